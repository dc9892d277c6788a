<script setup lang="ts">
/** The courses one plans, as a departures board. */
import type { DeskCourse } from '@itinerary/contract';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import { formatDay } from '../words/dates.ts';
import CourseThumb from '../ui/course/CourseThumb.vue';
import FindingSign from '../ui/frame/FindingSign.vue';
import StateMark from '../ui/course/StateMark.vue';
import BoardFrame from './BoardFrame.vue';

const props = defineProps<{ courses: readonly DeskCourse[]; today: string }>();
const { t, locale } = useI18n();
const router = useRouter();

function firstDay(course: DeskCourse): string {
  if (course.firstDay === null) return t('desk.noDay');
  const { today } = props;
  if (course.lastDay !== null && course.lastDay < today) {
    return t('desk.ended', { day: formatDay(course.lastDay, locale.value, { today, weekday: false }) });
  }
  return formatDay(course.firstDay, locale.value, { today });
}

/** "Week by week · 15 weeks", and the pace where it is not everybody's together. */
function formatLine({ format, pace, slots }: DeskCourse): string {
  const base = t(`desk.format.${format}`, { count: slots }, slots);
  const isPaced = (format === 'weeks' || format === 'units') && pace !== 'together';
  return isPaced ? `${base} · ${t(`desk.paces.${pace}`)}` : base;
}

const COLUMNS = computed(() => [
  { title: t('desk.columns.picture'), isTold: true },
  ...(['code', 'course', 'firstDay', 'state'] as const).map((name) => ({ title: t(`desk.columns.${name}`) })),
  { title: t('desk.columns.learners'), atEnd: true },
  { title: t('desk.columns.settle') },
]);
const to = (course: DeskCourse): string => `/setup/${course.id}`;
const settle = (course: DeskCourse): number =>
  (course.toSettle?.blockers ?? 0) + (course.toSettle?.advice ?? 0);
</script>

<template>
  <BoardFrame :columns="COLUMNS">
    <tr v-for="course in courses" :key="course.id" @click="router.push(to(course))">
      <td class="picture"><CourseThumb :course="course" :width="320" /></td>
      <td class="figures code">{{ course.code }}</td>
      <td class="course">
        <RouterLink :to="to(course)" @click.stop>{{ course.title }}</RouterLink>
        <span class="soft format">{{ formatLine(course) }}</span>
      </td>
      <td class="figures day">{{ firstDay(course) }}</td>
      <td><StateMark :state="course.state" /></td>
      <td class="figures last">{{ course.learners }}</td>
      <td class="settle">
        <span v-if="course.state === 'archived'" class="soft">–</span>
        <span v-else-if="settle(course) === 0" class="soft">{{ t('desk.settled') }}</span>
        <span v-else class="left">
          <FindingSign :severity="(course.toSettle?.blockers ?? 0) > 0 ? 'blocker' : 'advice'" />
          <span class="figures">{{ settle(course) }}</span> {{ t('desk.toSettle') }}
        </span>
      </td>
    </tr>
  </BoardFrame>
</template>

<style scoped>
.code,
.day {
  white-space: nowrap;
}

.format {
  font-size: 13px;
}

.last {
  text-align: end;
}

.left {
  display: inline-flex;
  align-items: center;
  gap: 6px;
}

@media (max-width: 860px) {
  td.last {
    display: none;
  }
}
</style>
