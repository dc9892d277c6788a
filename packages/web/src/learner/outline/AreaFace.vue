<script setup lang="ts">
/** What an area collects from the course, as one reader gets it. */
import { isInArea } from '@itinerary/core/kinds';
import type { Area, CourseView, ItemView, SectionView } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import CourseFacts from '../course/CourseFacts.vue';
import ItemLines from './ItemLines.vue';
import PublicFacts from '../course/PublicFacts.vue';
import SectionList from './SectionList.vue';
import { sectionTitle } from '../words/titles.ts';

const props = defineProps<{
  area: Area;
  course: CourseView;
  descriptionHtml: string | null;
  staff: readonly string[];
  today: string;
  hrefFor?: (item: ItemView) => string;
  sectionHrefFor?: (section: SectionView) => string;
  level: 1 | 2;
}>();
const emit = defineEmits<{ open: [item: Pick<ItemView, 'id'>]; section: [section: SectionView] }>();
const { t, locale } = useI18n();

const flat = (items: readonly ItemView[]): readonly ItemView[] =>
  items.flatMap((item) => [item, ...flat(item.items)]);

/** Section by section, those with nothing of the kind left out. */
const parts = computed(() => {
  const wanted = (item: ItemView): boolean => isInArea(props.area, item);
  const { sections, around } = props.course;
  const alone = around !== null && wanted(around) ? [{ id: around.id, title: null, items: [around] }] : [];
  const inSections = sections.map((section) => ({
    id: section.id,
    title: sectionTitle(section, t, locale.value),
    items: flat(section.items).filter(wanted),
  }));
  return [...alone, ...inSections].filter(({ items }) => items.length > 0);
});
</script>

<template>
  <component :is="`h${level}`">{{ t(`learner.areas.${area}`) }}</component>
  <SectionList
    v-if="area === 'sections'"
    class="sections"
    :course="course"
    :today="today"
    :level="level === 1 ? 2 : 3"
    :href-for="hrefFor"
    :section-href-for="sectionHrefFor"
    @open="emit('open', $event)"
    @section="emit('section', $event)"
  />
  <div v-else-if="area === 'syllabus'" class="syllabus">
    <CourseFacts :course="course" :today="today" :description-html="descriptionHtml" :staff="staff" />
    <PublicFacts :course="course" :level="level + 1" />
  </div>
  <section v-for="part in parts" :key="part.id" class="part">
    <component :is="`h${level + 1}`" v-if="part.title">{{ part.title }}</component>
    <ItemLines
      :items="part.items"
      :today="today"
      v-bind="hrefFor === undefined ? {} : { hrefFor }"
      @open="emit('open', $event)"
    />
  </section>
</template>

<style scoped>
.sections {
  margin-top: 18px;
}

.syllabus {
  margin-top: 12px;
}

.part {
  margin-top: 20px;
}

.part h2,
.part h3 {
  padding-top: 8px;
  border-top: 3px solid var(--route);
  font-size: 16px;
}
</style>
