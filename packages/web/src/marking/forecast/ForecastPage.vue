<script setup lang="ts">
/** Where the class is going: who finishes by when, as it looks now; what holds them up; and what a change would do. */
import { findNode, numberNodes } from '@itinerary/core';
import { IconArrowLeft } from '@tabler/icons-vue';
import { computed, defineAsyncComponent, onBeforeUnmount, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { path } from '../../api/client.ts';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import LoadState from '../../ui/frame/LoadState.vue';
import { formatDay, formatDays } from '../../words/dates.ts';
import { formatNumber } from '../../words/intl.ts';
import { setTitle } from '../../words/page-title.ts';
import { useForecast } from './use-forecast.ts';
import WhatIfPart from './WhatIfPart.vue';

const ForecastChart = defineAsyncComponent(() => import('./ForecastChart.vue'));
const { t, locale } = useI18n();
const route = useRoute();
const courseId = String(route.params['course']);
const its = useForecast(courseId);
const { state, course, deeds, found, other, whatIf, isReckoning, missing, dues } = its;
setTitle(t('forecast.title'));
void its.load();
onBeforeUnmount(its.stop);

const OF = ['share', 'finished'] as const;
const of = ref<(typeof OF)[number]>('share');
const choices = computed(() => OF.map((value) => ({ value, title: t(`forecast.of.${value}`) })));

const today = computed(() => deeds.value?.today ?? '');
const dayAt = (at: number): string => found.value?.days[at] ?? '';
const day = (at: number): string => formatDay(dayAt(at), locale.value, { today: today.value });
const number = (value: number): string => formatNumber(value, locale.value, { maximumFractionDigits: 0 });
const numbers = computed(() => (course.value === null ? null : numberNodes(course.value)));
function titleOf(id: string): string {
  const title = course.value === null ? null : findNode(course.value, id)?.node.title;
  return [numbers.value?.get(id), title ?? t('learner.untitled')].filter((one) => one != null).join(' ');
}
const listed = (ids: readonly string[]): string =>
  new Intl.ListFormat(locale.value, { type: 'conjunction' }).format(ids.map(titleOf));

const sentence = computed(() => {
  const end = found.value?.finished.at(-1);
  if (found.value === null || end === undefined) return '';
  const values = { middle: number(end.middle), low: number(end.low), high: number(end.high) };
  const words = { ...values, of: number(found.value.learners), day: day(found.value.days.length - 1) };
  return found.value.isOver ? t('forecast.was', words) : t('forecast.sentence', words);
});
/** In the order of their days; waits for one another last, since they have none. */
const lines = computed((): readonly string[] => {
  const one = found.value;
  if (one === null) return [];
  const dated = [
    ...one.still.map(({ first, last, learners, until }) => ({
      at: first,
      words: t(
        until === null ? 'forecast.still' : 'forecast.stillUntil',
        {
          days: formatDays(dayAt(first), dayAt(last), locale.value, today.value),
          ...{ count: learners, title: until === null ? '' : titleOf(until) },
        },
        learners,
      ),
    })),
    ...one.peaks.map(({ day: at, learners, items }) => ({
      at,
      words: t('forecast.peak', { day: day(at), count: learners, titles: listed(items) }, learners),
    })),
  ].sort((a, b) => a.at - b.at);
  const waits = one.waiting.map(({ id, learners, days }) =>
    t('forecast.waiting', { count: learners, days: number(days), title: titleOf(id) }, learners),
  );
  return [...dated.map(({ words }) => words), ...waits];
});

/** Less likely than not; the least likely first. */
const unlikely = computed(() =>
  (deeds.value?.learners ?? [])
    .map(({ person, name }, at) => ({
      ...{ person, name, chance: found.value?.chances[at] ?? 1 },
      missed: found.value?.missed[at] ?? null,
    }))
    .filter(({ chance }) => chance < 0.5)
    .sort((a, b) => a.chance - b.chance || a.name.localeCompare(b.name)),
);
const chance = (share: number): string =>
  formatNumber(share, locale.value, { style: 'percent', maximumFractionDigits: 0 });
const assumed = computed(() => {
  const one = found.value;
  if (one === null) return [];
  const { pace, lead } = one.gait;
  const leadWords = Math.round(lead);
  return [
    t(`forecast.assumed.basis.${one.basis}`, { minutes: number(pace) }),
    leadWords < 0
      ? t('forecast.assumed.after', { count: -leadWords }, -leadWords)
      : t('forecast.assumed.lead', { count: leadWords }, leadWords),
    t('forecast.assumed.order'),
    t('forecast.assumed.pauses'),
    t('forecast.assumed.passes'),
    t('forecast.assumed.groups'),
    t('forecast.assumed.draws', { count: one.draws }, one.draws),
  ];
});
</script>

<template>
  <main v-if="state === 'there' && course !== null" id="main" class="page">
    <RouterLink class="back" :to="path`/courses/${courseId}/progress`">
      <IconArrowLeft :size="17" aria-hidden="true" /> {{ t('forecast.back') }}
    </RouterLink>
    <h1>{{ t('forecast.title') }}</h1>
    <p v-if="found === null" class="soft">{{ t('forecast.nothing') }}</p>
    <template v-else>
      <p v-if="deeds?.learners.length === 0" class="soft">
        {{ t('forecast.nobody', { count: found.learners }, found.learners) }}
      </p>
      <p class="sentence" role="status">{{ sentence }}</p>
      <div class="of">
        <SelectField :label="t('forecast.ofLabel')" :value="of" :options="choices" @choose="of = $event" />
        <p class="soft legend">
          <span><span class="line was" aria-hidden="true" /> {{ t('forecast.lines.was') }}</span>
          <span><span class="line ahead" aria-hidden="true" /> {{ t('forecast.lines.ahead') }}</span>
          <span><span class="band" aria-hidden="true" /> {{ t('forecast.lines.band') }}</span>
          <span v-if="of === 'share'"
            ><span class="line plan" aria-hidden="true" /> {{ t('forecast.lines.plan') }}</span
          >
          <span v-if="other !== null"
            ><span class="line other" aria-hidden="true" /> {{ t('forecast.lines.other') }}</span
          >
        </p>
      </div>
      <ForecastChart :found="found" :other="other" :of="of" :label="sentence" />
      <ul v-if="lines.length > 0" class="lines">
        <li v-for="line in lines" :key="line" dir="auto">{{ line }}</li>
      </ul>
      <p v-else class="soft">{{ t('forecast.smooth') }}</p>
      <div class="parts">
        <WhatIfPart
          v-model="whatIf"
          :course-id="courseId"
          :dues="dues"
          :title-of="titleOf"
          :found="found"
          :other="other"
          :missing="missing"
          :is-reckoning="isReckoning"
          :today="today"
        />
        <section v-if="(deeds?.learners.length ?? 0) > 0" aria-labelledby="unlikely">
          <h2 id="unlikely">{{ t('forecast.unlikely') }}</h2>
          <p v-if="unlikely.length === 0" class="soft">{{ t('forecast.allLikely') }}</p>
          <ul v-else class="people" tabindex="0" aria-labelledby="unlikely">
            <li v-for="one in unlikely" :key="one.person">
              <RouterLink :to="path`/courses/${courseId}/progress/${one.person}`" dir="auto">{{
                one.name
              }}</RouterLink>
              <span class="soft" dir="auto">{{
                one.chance === 0 && one.missed !== null
                  ? t('forecast.missed', { title: titleOf(one.missed) })
                  : t('forecast.chance', { share: chance(one.chance) })
              }}</span>
            </li>
          </ul>
        </section>
      </div>
      <section aria-labelledby="assumed">
        <h2 id="assumed">{{ t('forecast.assumed.title') }}</h2>
        <ul class="lines soft">
          <li v-for="line in assumed" :key="line">{{ line }}</li>
        </ul>
      </section>
    </template>
  </main>
  <LoadState v-else :state="state === 'failed' ? 'failed' : 'loading'" @again="its.load" />
</template>

<style scoped>
.page {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  max-width: 1080px;
  margin: 0 auto;
  padding: 20px 20px 40px;
}

.back {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  justify-self: start;
}

[dir='rtl'] .back svg {
  transform: scaleX(-1);
}

h1 {
  font-size: 26px;
}

h2 {
  font-size: 17px;
}

.sentence {
  font-size: 19px;
  line-height: 1.45;
}

.of {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 22px;
  align-items: center;
}

.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  font-size: 13.5px;
}

.line,
.band {
  display: inline-block;
  width: 26px;
  margin-inline-end: 4px;
  vertical-align: middle;
  border-top: 3px solid var(--bottle);
}

.ahead {
  border-top: 3px dashed var(--route);
}

.plan {
  border-top: 2px dotted var(--ink-soft);
}

.other {
  border-top: 2px dashed var(--ink);
}

.band {
  height: 12px;
  border: 0;
  background: color-mix(in srgb, var(--route) 28%, transparent);
}

.lines {
  margin: 0;
  padding-inline-start: 20px;
  line-height: 1.5;
}

.parts {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 380px), 1fr));
  gap: 18px 32px;
  align-items: start;
}

.people {
  max-height: 320px;
  margin: 0;
  padding: 0;
  overflow-y: auto;
  list-style: none;
}

.people li {
  display: flex;
  gap: 12px;
  justify-content: space-between;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
</style>
