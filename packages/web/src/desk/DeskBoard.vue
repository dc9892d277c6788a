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
import PlainTable from '../ui/frame/PlainTable.vue';

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
  <PlainTable class="board" :columns="COLUMNS">
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
  </PlainTable>
</template>

<style scoped>
.board {
  width: 100%;
  border-collapse: collapse;
  border-top: 3px solid var(--route);
  background: var(--card);
}

.board :deep(thead th) {
  padding: 8px 12px;
  border-bottom: 1px solid var(--ink);
  font-size: 12.5px;
  font-weight: 500;
  text-align: start;
}

td {
  padding: 9px 12px;
  border-bottom: 1px solid var(--rule);
  vertical-align: middle;
}

.board tr {
  cursor: pointer;
  transition: background var(--motion);
}

.board tr:hover {
  background: var(--bottle-pale);
}

.picture {
  width: 68px;
  height: 54px;
}

.picture :deep(svg) {
  width: 48px;
  height: 36px;
  border-radius: 4px;
}

.code,
.day {
  white-space: nowrap;
}

.course a {
  display: block;
  color: var(--ink);
  font-family: var(--font-heading);
  font-size: 16px;
  font-weight: 650;
  text-decoration: none;
}

.course a:hover {
  text-decoration: underline;
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
  .board,
  .board :deep(tbody),
  tr,
  td {
    display: block;
  }

  .board :deep(thead) {
    display: none;
  }

  .board tr {
    position: relative;
    padding: 10px 12px 10px 76px;
    border-bottom: 1px solid var(--rule);
  }

  td {
    display: inline-block;
    padding: 0 12px 0 0;
    border: 0;
  }

  td.course {
    display: block;
  }

  td.picture {
    position: absolute;
    inset-inline-start: 12px;
    top: 12px;
    width: 52px;
  }

  td.last {
    display: none;
  }
}
</style>
