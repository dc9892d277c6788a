<script setup lang="ts">
/** The courses one reads, led by their pictures. */
import type { AllProgressAnswer, DeskCourse } from '@itinerary/contract';
import { useI18n } from 'vue-i18n';
import { formatDay, formatDays } from '../words/dates.ts';
import { momentWords } from '../words/moment-words.ts';
import DoneLine from '../ui/progress/DoneLine.vue';
import CourseThumb from '../ui/course/CourseThumb.vue';
import StateMark from '../ui/course/StateMark.vue';

const props = defineProps<{
  courses: readonly DeskCourse[];
  today: string;
  /** How much is new in each, by its id. */
  news: ReadonlyMap<string, number>;
  /** How far one is in each, by its id. */
  howFar: ReadonlyMap<string, AllProgressAnswer['courses'][number]>;
}>();
const farIn = ({ id }: DeskCourse) => props.howFar.get(id);
const { t, locale } = useI18n();

function when(course: DeskCourse): string {
  const { today } = props;
  if (course.firstDay === null || course.lastDay === null) return t('desk.noDay');
  if (course.firstDay > today)
    return t('desk.begins', { day: formatDay(course.firstDay, locale.value, { today }) });
  return formatDays(course.firstDay, course.lastDay, locale.value, today);
}
</script>

<template>
  <ul class="cards">
    <li v-for="course in courses" :key="course.id">
      <RouterLink :to="`/courses/${course.id}`" class="card">
        <span class="picture"><CourseThumb :course="course" :width="640" /></span>
        <span class="words">
          <strong>{{ course.title }}</strong>
          <span class="figures soft">{{ course.code }}</span>
          <span class="figures soft">{{ when(course) }}</span>
          <span v-if="course.next" class="next">
            {{ t(`desk.next.${course.next.what}`, { title: course.next.title ?? course.next.number ?? '' }) }}
            <span class="figures">{{ momentWords(course.next.moment, locale, today) }}</span>
          </span>
          <template v-if="farIn(course)?.share">
            <DoneLine
              class="far"
              :done="farIn(course)?.share?.done ?? 0"
              :counted="farIn(course)?.share?.counted ?? 1"
            />
            <span v-if="farIn(course)?.next" class="soft" dir="auto">{{
              t('desk.nextToDo', { title: farIn(course)?.next?.title ?? '' })
            }}</span>
            <span v-else-if="farIn(course)?.since" class="soft">{{ t('desk.allDone') }}</span>
          </template>
          <span v-if="news.has(course.id)" class="new figures">{{
            t('desk.isNew', news.get(course.id) ?? 0)
          }}</span>
          <StateMark v-if="course.state === 'archived'" :state="course.state" />
        </span>
      </RouterLink>
    </li>
  </ul>
</template>

<style scoped>
.new {
  justify-self: start;
  padding: 0 9px;
  border-radius: 10px;
  background: var(--bottle-pale);
  font-size: 13px;
}

.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(264px, 1fr));
  gap: 16px;
  padding: 0;
  list-style: none;
}

.card {
  display: block;
  overflow: hidden;
  height: 100%;
  border: 1px solid var(--rule);
  border-radius: 8px;
  background: var(--card);
  color: var(--ink);
  text-decoration: none;
  transition: border-color var(--motion);
}

.card:hover {
  border-color: var(--bottle);
}

.picture {
  display: block;
  height: 148px;
}

.next {
  display: flex;
  flex-wrap: wrap;
  gap: 0 8px;
  margin-top: 6px;
  padding-top: 6px;
  border-top: 2px solid var(--route);
  overflow-wrap: anywhere;
}

.far {
  margin-top: 6px;
}

.words {
  display: grid;
  gap: 2px;
  padding: 12px 16px 16px;
  border-top: 3px solid var(--route);
}

strong {
  font-family: var(--font-heading);
  font-size: 18px;
  line-height: 1.2;
}
</style>
