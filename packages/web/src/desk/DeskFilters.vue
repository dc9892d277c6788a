<script setup lang="ts">
import type { DeskAnswer, InstitutionAnswer } from '@itinerary/contract';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import FindField from '../ui/fields/FindField.vue';
import SelectField from '../ui/fields/choice/SelectField.vue';
import type { DeskFilter } from './use-desk.ts';

const props = defineProps<{
  /** What there is to ask for. */
  desk: Pick<DeskAnswer, 'states' | 'tags'>;
  terms: InstitutionAnswer['terms'];
}>();
const filter = defineModel<DeskFilter>({ required: true });
const { t } = useI18n();

const states = computed(() =>
  (['draft', 'live', 'archived'] as const).filter((state) => props.desk.states.includes(state)),
);

function set(change: Partial<DeskFilter>): void {
  filter.value = { ...filter.value, ...change };
}
</script>

<template>
  <search class="filters">
    <FindField
      class="find"
      :model-value="filter.text"
      :label="t('desk.find')"
      @update:model-value="set({ text: $event })"
    />
    <SelectField
      bare
      :label="t('desk.term')"
      :value="filter.term"
      :options="[
        { value: null, title: t('desk.anyTerm') },
        ...terms.map(({ code, name }) => ({ value: code, title: name })),
      ]"
      @choose="set({ term: $event })"
    />
    <SelectField
      bare
      :label="t('desk.state')"
      :value="filter.state"
      :options="[
        { value: null, title: t('desk.anyState') },
        ...states.map((state) => ({ value: state, title: t(`common.states.${state}`) })),
      ]"
      @choose="set({ state: $event })"
    />
    <SelectField
      v-if="desk.tags.length > 0"
      bare
      :label="t('desk.tag')"
      :value="filter.tag"
      :options="[
        { value: null, title: t('desk.anyTag') },
        ...desk.tags.map((tag) => ({ value: tag, title: tag })),
      ]"
      @choose="set({ tag: $event })"
    />
  </search>
</template>

<style scoped>
.filters {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

@media (max-width: 620px) {
  .find {
    flex: 1 0 100%;
  }

  .select {
    flex: 1;
    min-width: 0;
  }
}
</style>
