<script setup lang="ts">
/** A class made two: what the new one is called, and who goes into it. */
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { newId } from '../../../stores/new-id.ts';
import { useMembers } from '../../../stores/members.ts';
import DraftField from '../../../ui/fields/DraftField.vue';
import NumberField from '../../../ui/fields/NumberField.vue';
import DialogBox from '../../../ui/frame/DialogBox.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import { useAttempt } from '../../../words/use-attempt.ts';
import type { BoardColumn } from './board.ts';

/** Null: none is being split. */
const props = defineProps<{ column: BoardColumn | null }>();
const open = defineModel<boolean>({ required: true });
const emit = defineEmits<{ said: [words: string] }>();
const { t } = useI18n();
const members = useMembers();
const { failure, isUnderWay, attempt } = useAttempt();

const name = ref('');
const count = ref(1);
watch(open, (now) => {
  if (!now) return;
  failure.value = null;
  name.value = t('setup.groupings.splitName', { name: props.column?.name ?? '' });
  count.value = Math.max(1, Math.floor((props.column?.people.length ?? 0) / 2));
});
/** The last of them, in the order in which they are shown. */
const going = computed(() => props.column?.people.slice(-count.value) ?? []);

async function split(): Promise<void> {
  const group = props.column?.group;
  if (group == null) return;
  const people = going.value.map(({ person }) => person);
  const into = { id: newId(), name: name.value };
  if (!(await attempt(() => members.edit({ act: 'split', group, into, people })))) return;
  open.value = false;
  emit('said', t('setup.groupings.moved', { group: into.name }, people.length));
}
</script>

<template>
  <DialogBox v-model="open" :title="t('setup.groupings.splitTitle', { name: column?.name ?? '' })">
    <div class="split">
      <DraftField :text="name" :label="t('setup.groupings.splitInto')" :most="200" @type="name = $event" />
      <NumberField
        :label="t('setup.groupings.splitCount')"
        :number="count"
        :least="1"
        :most="Math.max(1, (column?.people.length ?? 1) - 1)"
        required
        @set="$event !== null && (count = $event)"
      />
      <p>
        {{ t('setup.groupings.splitSays', { names: going.map((one) => one.name).join(', ') }, going.length) }}
      </p>
      <p class="soft">{{ t('setup.groupings.keeps') }}</p>
      <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    </div>
    <template #foot>
      <PushButton @click="open = false">{{ t('common.cancel') }}</PushButton>
      <PushButton weight="main" :disabled="isUnderWay || name.trim() === ''" @click="split">
        {{ t('setup.groupings.split') }}
      </PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
.split {
  display: grid;
  gap: 12px;
}

.failure {
  color: var(--blocker);
}
</style>
