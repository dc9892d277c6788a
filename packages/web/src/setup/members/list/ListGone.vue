<script setup lang="ts">
/** Learners whom an earlier list had and this one has not. They stay unless somebody says that they go. */
import type { RosterMember } from '@itinerary/core/people';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import CheckField from '../../../ui/fields/choice/CheckField.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import { memberWords } from './list-lines.ts';

const props = defineProps<{ gone: readonly RosterMember[]; remove: ReadonlySet<string> }>();
const emit = defineEmits<{ going: [keys: readonly string[], goes: boolean] }>();
const { t } = useI18n();
const MOST_SHOWN = 40;
const isWhole = ref(false);
const shown = computed(() => (isWhole.value ? props.gone : props.gone.slice(0, MOST_SHOWN)));
const keys = computed(() => props.gone.map(({ key }) => key));
const isAll = computed(() => keys.value.every((key) => props.remove.has(key)));
</script>

<template>
  <section class="gone" aria-labelledby="list-gone">
    <h3 id="list-gone">{{ t('setup.members.list.gone', gone.length) }}</h3>
    <p class="soft">{{ t('setup.members.list.goneText') }}</p>
    <CheckField v-if="gone.length > 1" :checked="isAll" @toggle="emit('going', keys, $event)">
      <strong>{{ t('setup.members.list.allGo', gone.length) }}</strong>
    </CheckField>
    <ul>
      <li v-for="member in shown" :key="member.key">
        <CheckField :checked="remove.has(member.key)" @toggle="emit('going', [member.key], $event)">
          {{ t('setup.members.list.goes', { name: memberWords(member) }) }}
        </CheckField>
      </li>
    </ul>
    <PushButton v-if="!isWhole && gone.length > MOST_SHOWN" small @click="isWhole = true">
      {{ t('setup.members.list.allGone', gone.length) }}
    </PushButton>
  </section>
</template>

<style scoped>
.gone {
  padding: 10px 14px;
  border-inline-start: 4px solid var(--later);
  background: var(--card);
}

h3 {
  font-size: 15px;
}

ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(260px, 1fr));
  gap: 0 16px;
  margin: 4px 0 0;
  padding: 0;
  list-style: none;
}
</style>
