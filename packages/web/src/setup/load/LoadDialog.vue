<script setup lang="ts">
/** The load: what each section asks of a learner, against what they can be asked for; the heavy ones by name. */
import { sectionLoads, totalMinutes } from '@itinerary/core';
import { computed, defineAsyncComponent } from 'vue';
import { useI18n } from 'vue-i18n';
import { formatMinutes } from '../../words/dates.ts';
import PlainTable from '../../ui/frame/PlainTable.vue';
import { usePlan } from '../../stores/plan.ts';
import DialogBox from '../../ui/frame/DialogBox.vue';
import { plannedTitle } from '../node-title.ts';
import PushButton from '../../ui/frame/PushButton.vue';

/** The chart's library is large: it comes when it is looked at. */
const LoadChart = defineAsyncComponent(() => import('./LoadChart.vue'));

const isOpen = defineModel<boolean>({ required: true });
const { t, locale } = useI18n();
const plan = usePlan();

const loads = computed(() => {
  const { planned } = plan;
  if (planned === null) return [];
  const sections = new Map(planned.sections.map((section) => [section.id, section]));
  return sectionLoads(planned).map((load) => {
    const section = sections.get(load.id);
    const title = section === undefined ? '' : plannedTitle(section, t, locale.value);
    return { ...load, number: section?.number ?? '·', title };
  });
});
const heavy = computed(() => loads.value.filter(({ isHeavy }) => isHeavy));
const total = computed(() => (plan.planned === null ? 0 : totalMinutes(plan.planned)));
const hours = computed(() => plan.course?.hoursAWeek ?? null);
</script>

<template>
  <DialogBox v-model="isOpen" :title="t('setup.load.title')" :width="900">
    <p>
      {{ t('setup.load.total', { length: formatMinutes(total, locale) }) }}
      {{ hours === null ? t('setup.load.noTarget') : t('setup.load.target', { hours }) }}
    </p>
    <LoadChart v-if="loads.length > 0" :loads="loads" class="chart" />
    <h3 v-if="hours !== null">{{ t('setup.load.heavy', { count: heavy.length }, heavy.length) }}</h3>
    <ul v-if="heavy.length > 0" class="heavy">
      <li v-for="load in heavy" :key="load.id">
        <span class="figures">{{ load.number }}</span> {{ load.title }}
        <span class="figures">{{ formatMinutes(load.minutes, locale) }}</span>
        <span class="soft">{{
          t('setup.load.over', { length: formatMinutes(load.minutes - (load.target ?? 0), locale) })
        }}</span>
      </li>
    </ul>
    <details class="table">
      <summary>{{ t('setup.load.asTable') }}</summary>
      <PlainTable
        :columns="[
          { title: t('setup.outline.columns.number') },
          { title: t('setup.outline.columns.title') },
          { title: t('setup.load.asks'), atEnd: true },
          { title: t('setup.load.due'), atEnd: true },
          { title: t('setup.load.unsaid'), atEnd: true },
        ]"
      >
        <tr v-for="load in loads" :key="load.id" :class="{ over: load.isHeavy }">
          <td class="figures">{{ load.number }}</td>
          <td>{{ load.title }}</td>
          <td class="figures right">{{ formatMinutes(load.minutes, locale) }}</td>
          <td class="figures right">{{ load.due }}</td>
          <td class="figures right">{{ load.unsaid }}</td>
        </tr>
      </PlainTable>
    </details>
    <template #foot>
      <PushButton weight="main" @click="isOpen = false">{{ t('common.close') }}</PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
.chart {
  height: 280px;
  margin: 8px 0;
}

h3 {
  font-size: 15px;
}

.heavy {
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
}

.heavy li {
  display: flex;
  gap: 10px;
  padding: 3px 0;
}

.table {
  margin-top: 10px;
}

summary {
  min-height: 28px;
  cursor: pointer;
}

.over td {
  background: var(--advice-pale);
}
</style>
