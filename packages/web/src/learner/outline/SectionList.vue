<script setup lang="ts">
/** The sections of a course on their line, with the named pauses between them. */
import type { CourseView, ItemView, PauseView, SectionView } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { formatDays } from '../../words/dates.ts';
import SectionStop from './SectionStop.vue';

const props = defineProps<{
  course: CourseView;
  today: string;
  hrefFor?: ((item: ItemView) => string) | undefined;
  sectionHrefFor?: ((section: SectionView) => string) | undefined;
  /** Of the sections' headings. */
  level: 2 | 3;
}>();
const emit = defineEmits<{ open: [item: ItemView]; section: [section: SectionView] }>();
const { locale } = useI18n();

/** The same from day to day, so that a day later no line is drawn again that says the same. */
const inYear = computed(() => `${props.today.slice(0, 4)}-01-01`);

const stops = computed(() => {
  const { sections, pauses } = props.course;
  const before = (id: string | null): { pause: PauseView }[] =>
    pauses.filter((pause) => pause.before === id).map((pause) => ({ pause }));
  return [...sections.flatMap((section) => [...before(section.id), { section }]), ...before(null)];
});
const isIndex = computed(() => props.course.reading === 'sections');

/** A wall of items hides where one is: only the section that is on stands open, unless there are few. */
const FEW = 3;
const standing = computed(() => {
  const { sections } = props.course;
  if (sections.length <= FEW) return new Set(sections.map(({ id }) => id));
  return new Set([(sections.find(({ current }) => current) ?? sections[0])?.id]);
});
</script>

<template>
  <ol class="sections">
    <template v-for="stop in stops">
      <SectionStop
        v-if="'section' in stop"
        :key="stop.section.id"
        :section="stop.section"
        :today="inYear"
        :is-past="stop.section.days !== null && stop.section.days.last < today"
        :level="level"
        :stands-open="standing.has(stop.section.id)"
        :as-index="isIndex"
        v-bind="{
          ...(hrefFor === undefined ? {} : { hrefFor }),
          ...(sectionHrefFor === undefined ? {} : { sectionHref: sectionHrefFor(stop.section) }),
        }"
        @open="emit('open', $event)"
        @section="emit('section', stop.section)"
      />
      <li v-else :key="`${stop.pause.first} ${stop.pause.name}`" class="pause">
        <span v-if="stop.pause.number" class="figures">{{ stop.pause.number }}</span>
        <strong>{{ stop.pause.name }}</strong>
        <span class="figures soft">{{ formatDays(stop.pause.first, stop.pause.last, locale, today) }}</span>
      </li>
    </template>
  </ol>
</template>

<style scoped>
.sections {
  margin: 0;
  padding: 0;
  list-style: none;
}

.pause {
  position: relative;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  margin: 0 0 16px;
  margin-inline-start: 32px;
  padding: 5px 10px;
  border-radius: 4px;
  background: repeating-linear-gradient(-45deg, transparent 0 5px, var(--mist) 5px 10px);
  font-size: 13.5px;
}

.pause::before {
  content: '';
  position: absolute;
  inset-inline-start: -24.5px;
  top: -16px;
  bottom: -20px;
  width: 3px;
  background: repeating-linear-gradient(var(--route-pale) 0 4px, transparent 4px 8px);
}
</style>
