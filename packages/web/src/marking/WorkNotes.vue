<script setup lang="ts">
/** What staff note among themselves about a piece of work. */
import { IconX } from '@tabler/icons-vue';
import type { LookedAtAnswer } from '@itinerary/contract';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextarea } from 'vuetify/components/VTextarea';
import { newId } from '../stores/new-id.ts';
import { useMomentWords } from '../stores/moment-words.ts';
import IconButton from '../ui/frame/IconButton.vue';
import PushButton from '../ui/frame/PushButton.vue';
import { useAttempt } from '../words/use-attempt.ts';

const props = defineProps<{
  notes: LookedAtAnswer['notes'];
  zone: string;
  add: (id: string, text: string) => Promise<void>;
  drop: (id: string) => Promise<void>;
}>();
const { t } = useI18n();
const when = useMomentWords();
const text = ref('');
const MOST = 5000;
const { failure, isUnderWay, attempt } = useAttempt();
/** Sent again it is the same, until it has been answered. */
let id = newId();
async function note(): Promise<void> {
  const words = text.value.trim();
  if (words === '') return;
  if (!(await attempt(() => props.add(id, words)))) return;
  id = newId();
  text.value = '';
}
</script>

<template>
  <details class="notes" :open="notes.length > 0">
    <summary>
      {{ t('work.marking.notes') }} <span class="soft figures">{{ notes.length || '' }}</span>
    </summary>
    <p v-if="notes.length === 0" class="soft">{{ t('work.marking.noNotes') }}</p>
    <ul v-else>
      <li v-for="one in notes" :key="one.id">
        <div>
          <span class="soft"
            >{{ one.by }} <span class="figures">{{ when(Date.parse(one.at), zone) }}</span></span
          >
          <p dir="auto" class="text">{{ one.text }}</p>
        </div>
        <IconButton
          v-if="one.isOwn"
          :icon="IconX"
          :label="t('work.marking.dropNote')"
          @click="attempt(() => drop(one.id))"
        />
      </li>
    </ul>
    <VTextarea
      v-model="text"
      :label="t('work.marking.note')"
      :rows="2"
      :maxlength="MOST"
      auto-grow
      variant="outlined"
      density="comfortable"
      hide-details
      dir="auto"
    />
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <p>
      <PushButton small :disabled="isUnderWay || text.trim() === ''" @click="note">{{
        t('work.marking.addNote')
      }}</PushButton>
    </p>
  </details>
</template>

<style scoped>
.notes {
  display: grid;
  gap: 8px;
}

summary {
  min-height: 26px;
}

ul {
  margin: 0 0 8px;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  gap: 8px;
  align-items: start;
  justify-content: space-between;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}

.text {
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}

.failure {
  color: var(--blocker);
}
</style>
