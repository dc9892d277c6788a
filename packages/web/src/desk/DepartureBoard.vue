<script setup lang="ts">
/** The courses one reads, by what comes next in each: when, what, what is new, and how far one is. */
import type { AllProgressAnswer, DeskCourse } from '@itinerary/contract';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import { formatDay, formatDays } from '../words/dates.ts';
import { momentWords } from '../words/moment-words.ts';
import CourseThumb from '../ui/course/CourseThumb.vue';
import StateMark from '../ui/course/StateMark.vue';
import DoneLine from '../ui/progress/DoneLine.vue';
import BoardFrame from './BoardFrame.vue';
import { byDeparture } from './departures.ts';

const props = defineProps<{
  courses: readonly DeskCourse[];
  today: string;
  /** How much is new in each, by its id. */
  news: ReadonlyMap<string, number>;
  /** How far one is in each, by its id. */
  howFar: ReadonlyMap<string, AllProgressAnswer['courses'][number]>;
}>();
const { t, locale } = useI18n();
const router = useRouter();
const rows = computed(() =>
  byDeparture(props.courses).map((course) => ({
    course,
    far: props.howFar.get(course.id),
    fresh: props.news.get(course.id),
  })),
);
const hasNews = computed(() => rows.value.some(({ fresh }) => fresh !== undefined));
const to = (course: DeskCourse): string => `/courses/${course.id}`;

function days(course: DeskCourse): string {
  const { today } = props;
  if (course.firstDay === null || course.lastDay === null) return t('desk.noDay');
  if (course.firstDay > today)
    return t('desk.begins', { day: formatDay(course.firstDay, locale.value, { today }) });
  return formatDays(course.firstDay, course.lastDay, locale.value, today);
}

const COLUMNS = computed(() => [
  { title: t('desk.columns.picture'), isTold: true },
  ...(['next', 'course', 'howFar'] as const).map((name) => ({ title: t(`desk.columns.${name}`) })),
  ...(hasNews.value ? [{ title: t('desk.columns.fresh') }] : []),
]);
</script>

<template>
  <BoardFrame class="departures" :columns="COLUMNS">
    <tr v-for="{ course, far, fresh } in rows" :key="course.id" @click="router.push(to(course))">
      <td class="picture"><CourseThumb :course="course" :width="320" /></td>
      <td class="next">
        <template v-if="course.next">
          <span class="figures when">{{ momentWords(course.next.moment, locale, today) }}</span>
          <span class="what" dir="auto">{{
            t(`desk.next.${course.next.what}`, { title: course.next.title ?? course.next.number ?? '' })
          }}</span>
        </template>
        <StateMark v-else-if="course.state === 'archived'" :state="course.state" />
        <span v-else class="soft">{{ t('desk.nothingAhead') }}</span>
      </td>
      <td class="course">
        <RouterLink :to="to(course)" dir="auto" @click.stop>{{ course.title }}</RouterLink>
        <span class="figures soft code">{{ course.code }}</span>
        <span class="figures soft">{{ days(course) }}</span>
      </td>
      <td class="far">
        <template v-if="far?.share">
          <DoneLine :done="far.share.done" :counted="far.share.counted" />
          <span v-if="far.next" class="soft to-do" dir="auto">{{
            t('desk.nextToDo', { title: far.next.title })
          }}</span>
          <span v-else-if="far.since" class="soft to-do">{{ t('desk.allDone') }}</span>
        </template>
      </td>
      <td v-if="hasNews" class="fresh">
        <span v-if="fresh !== undefined" class="new figures">{{ t('desk.isNew', fresh) }}</span>
      </td>
    </tr>
  </BoardFrame>
</template>

<style scoped>
.departures :deep(td.picture) {
  width: 136px;
  height: 100px;
}

.departures :deep(.picture :is(svg, img)) {
  width: 112px;
  height: 84px;
  border-radius: 6px;
}

.next {
  width: 27%;
}

.next span,
.course span,
.to-do {
  display: block;
}

.when {
  font-size: 17px;
  font-weight: 600;
}

.what {
  overflow-wrap: anywhere;
}

.course span {
  font-size: 13.5px;
}

.far {
  width: 25%;
}

.to-do {
  margin-top: 4px;
  font-size: 13.5px;
  overflow-wrap: anywhere;
}

.new {
  display: inline-block;
  padding: 0 9px;
  border-radius: 10px;
  background: var(--bottle-pale);
  font-size: 13px;
  white-space: nowrap;
}

@media (max-width: 860px) {
  .departures :deep(tbody tr) {
    display: grid;
    gap: 8px;
    padding-inline: 112px 12px;
  }

  .departures :deep(td.picture) {
    width: 88px;
    height: auto;
  }

  .departures :deep(.picture :is(svg, img)) {
    width: 88px;
    height: 66px;
  }

  .next,
  .far {
    width: auto;
  }

  .far:empty,
  .fresh:empty {
    display: none;
  }
}
</style>
