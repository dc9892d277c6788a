<script setup lang="ts">
/** Choosing another course, found by words of its title, its code or a tag among all that are on one's desk. */
import { computed, ref, shallowRef, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { VAutocomplete } from 'vuetify/components/VAutocomplete';
import { usePlan } from '../../stores/plan.ts';
import { useRest } from '../../ui/fields/rest.ts';
import { coursesFound } from './courses-found.ts';
import type { CourseChoice } from './courses-found.ts';

const props = defineProps<{
  label: string;
  /** As it is written down, which may be on the desk of a colleague alone. */
  chosen: { readonly course: string; readonly title: string } | null;
  /** What stands for no course; without it there has to be one. */
  none?: string;
  readonly?: boolean;
  /** What stands beside it says what it is: the label is told to whoever cannot see that. */
  bare?: boolean;
}>();
const emit = defineEmits<{ choose: [course: CourseChoice | null] }>();
const { t } = useI18n();
const plan = usePlan();

/** The library takes null for nothing chosen. */
const NONE = '';
const found = shallowRef<readonly CourseChoice[]>([]);
const words = ref('');
const isOpen = ref(false);
let latest = 0;

const titleOf = computed(() => {
  const { chosen } = props;
  if (chosen === null) return props.none ?? '';
  return found.value.find(({ id }) => id === chosen.course)?.title ?? chosen.title;
});
const items = computed(() => {
  const { chosen, none } = props;
  const own = chosen === null ? [] : [{ value: chosen.course, title: titleOf.value }];
  const others = found.value.filter(({ id }) => id !== chosen?.course);
  return [
    ...(none === undefined ? [] : [{ value: NONE, title: none }]),
    ...own,
    ...others.map(({ id, title }) => ({ value: id, title })),
  ];
});

async function look(): Promise<void> {
  latest += 1;
  const mine = latest;
  // What stands there because it is chosen is not looked for.
  const wanted = words.value === titleOf.value ? '' : words.value;
  const courses = await coursesFound(wanted, plan.course?.id).catch(() => null);
  if (mine === latest && courses !== null) found.value = courses;
}
watch(isOpen, (now) => now && void look());
const { later } = useRest(() => void look());
watch(words, () => isOpen.value && later());

function choose(id: string | null): void {
  if (id === null || id === (props.chosen?.course ?? NONE)) return;
  if (id === NONE) emit('choose', null);
  else {
    const course = found.value.find((one) => one.id === id);
    if (course !== undefined) emit('choose', course);
  }
}
</script>

<template>
  <VAutocomplete
    v-model:search="words"
    v-model:menu="isOpen"
    class="course-field"
    :model-value="chosen?.course ?? NONE"
    :items="items"
    :label="bare ? undefined : label"
    :aria-label="bare ? label : undefined"
    :density="bare ? 'compact' : 'comfortable'"
    :no-data-text="t('setup.outline.noneFound')"
    :readonly="readonly ?? false"
    no-filter
    hide-details
    @update:model-value="choose"
  />
</template>
