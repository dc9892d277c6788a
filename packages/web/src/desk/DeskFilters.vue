<script setup lang="ts">
import type { DeskCourse, InstitutionAnswer } from '@itinerary/contract';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import FindField from '../ui/fields/FindField.vue';
import type { DeskFilter } from './filter.ts';

const props = defineProps<{ courses: readonly DeskCourse[]; terms: InstitutionAnswer['terms'] }>();
const filter = defineModel<DeskFilter>({ required: true });
const { t } = useI18n();

const tags = computed(() => [...new Set(props.courses.flatMap((course) => course.tags))].sort());
const states = computed(() =>
  (['draft', 'live', 'archived'] as const).filter((state) =>
    props.courses.some((course) => course.state === state),
  ),
);

function set(change: Partial<DeskFilter>): void {
  filter.value = { ...filter.value, ...change };
}

const chosen = (event: Event): string | null => (event.target as HTMLSelectElement).value || null;
</script>

<template>
  <search class="filters">
    <FindField
      class="find"
      :model-value="filter.text"
      :label="t('desk.find')"
      @update:model-value="set({ text: $event })"
    />
    <select
      class="input"
      :aria-label="t('desk.term')"
      :value="filter.term ?? ''"
      @change="set({ term: chosen($event) })"
    >
      <option value="">{{ t('desk.anyTerm') }}</option>
      <option v-for="term in terms" :key="term.code" :value="term.code">{{ term.name }}</option>
    </select>
    <select
      class="input"
      :aria-label="t('desk.state')"
      :value="filter.state ?? ''"
      @change="set({ state: chosen($event) as DeskFilter['state'] })"
    >
      <option value="">{{ t('desk.anyState') }}</option>
      <option v-for="state in states" :key="state" :value="state">{{ t(`common.states.${state}`) }}</option>
    </select>
    <select
      v-if="tags.length > 0"
      class="input"
      :aria-label="t('desk.tag')"
      :value="filter.tag ?? ''"
      @change="set({ tag: chosen($event) })"
    >
      <option value="">{{ t('desk.anyTag') }}</option>
      <option v-for="tag in tags" :key="tag" :value="tag">{{ tag }}</option>
    </select>
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

  select {
    flex: 1;
    min-width: 0;
  }
}
</style>
