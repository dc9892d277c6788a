<script setup lang="ts">
/** What a survey came to: totals alone, from enough answers on. */
import { IconEyeOff } from '@tabler/icons-vue';
import type { SurveyTotals } from '@itinerary/contract';
import { defineAsyncComponent, ref, shallowRef } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { ask } from '../../api/client.ts';
import LoadState from '../../ui/frame/LoadState.vue';
import PlainTable from '../../ui/frame/PlainTable.vue';
import { formatNumber } from '../../words/intl.ts';
import { setTitle } from '../../words/page-title.ts';
import DeskFrame from '../DeskFrame.vue';

const TotalsChart = defineAsyncComponent(() => import('./TotalsChart.vue'));
const { t, locale } = useI18n();
const route = useRoute();
const params = { course: String(route.params['course']), item: String(route.params['item']) };
const totals = shallowRef<SurveyTotals | null>(null);
const state = ref<'loading' | 'there' | 'failed'>('loading');

async function load(): Promise<void> {
  state.value = 'loading';
  try {
    totals.value = await ask('GET /api/courses/{course}/items/{item}/survey', { params });
    state.value = 'there';
    setTitle(t('survey.desk.title', { title: totals.value.item.title }));
  } catch {
    state.value = 'failed';
  }
}
void load();

type Total = SurveyTotals['asks'][number];
const bars = ({ kind, counts }: Total) =>
  counts.map(({ key, text, count }) => ({
    key,
    title: kind !== 'scale' ? text : text === '' ? key : `${key} · ${text}`,
    count,
  }));
const mean = (value: number): string => formatNumber(value, locale.value, { maximumFractionDigits: 1 });
</script>

<template>
  <DeskFrame
    v-if="state === 'there' && totals !== null"
    :course-id="params.course"
    :item-id="params.item"
    :item="totals.item.title"
    :title="t('survey.desk.title', { title: totals.item.title })"
  >
    <p class="promise">
      <IconEyeOff :size="18" aria-hidden="true" />
      <span>
        {{ t('survey.desk.answered', totals.answered) }}
        {{
          totals.counted === 0
            ? t('survey.desk.notYet', { least: totals.least })
            : t('survey.desk.counted', totals.counted)
        }}
      </span>
    </p>
    <template v-if="totals.counted > 0">
      <section
        v-for="(one, index) in totals.asks"
        :key="one.id"
        class="ask"
        :aria-labelledby="`total-${one.id}`"
      >
        <h2 :id="`total-${one.id}`">
          <span class="figures number">{{ index + 1 }}</span> <span dir="auto">{{ one.text }}</span>
        </h2>
        <p class="soft figures">
          {{ t('survey.desk.answers', one.answered) }}
          <template v-if="one.mean !== null">
            · {{ t('survey.desk.mean', { mean: mean(one.mean) }) }}</template
          >
        </p>
        <template v-if="one.counts.length > 0">
          <TotalsChart :label="t('survey.desk.chart', { ask: one.text })" :bars="bars(one)" />
          <details>
            <summary>{{ t('survey.desk.table') }}</summary>
            <PlainTable
              :columns="[{ title: t('survey.desk.choice') }, { title: t('survey.desk.count'), atEnd: true }]"
            >
              <tr v-for="bar in bars(one)" :key="bar.key">
                <th scope="row" dir="auto">{{ bar.title }}</th>
                <td class="right figures">{{ bar.count }}</td>
              </tr>
            </PlainTable>
          </details>
        </template>
        <ul v-else-if="one.texts.length > 0" class="texts">
          <li v-for="(text, at) in one.texts" :key="at" dir="auto">{{ text }}</li>
        </ul>
      </section>
    </template>
  </DeskFrame>
  <LoadState v-else :state="state" @again="load" />
</template>

<style scoped>
h2 {
  font-size: 16.5px;
  overflow-wrap: anywhere;
}

.number {
  margin-inline-end: 6px;
  color: var(--ink-soft);
}

.promise {
  display: flex;
  gap: 10px;
  align-items: start;
  padding: 10px 14px;
  background: var(--mist);
}

.promise :deep(svg) {
  flex: none;
  margin-top: 2px;
}

.ask {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 6px;
  padding-top: 12px;
  border-top: 1px solid var(--rule);
}

.texts {
  margin: 0;
  padding: 0;
  list-style: none;
}

.texts li {
  padding: 6px 0 6px 12px;
  border-bottom: 1px solid var(--rule);
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}

summary {
  cursor: pointer;
}
</style>
