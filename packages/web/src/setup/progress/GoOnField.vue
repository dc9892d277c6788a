<script setup lang="ts">
/** The course in which whoever has done this one can go on: one of those on one's own desk. */
import { computed, onMounted } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import { useConditionChoices } from '../rules/condition-choices.ts';

defineProps<{ readonly: boolean }>();
const { t } = useI18n();
const plan = usePlan();
const { courses, loadCourses } = useConditionChoices(() => '');
onMounted(() => loadCourses().catch(() => undefined));

/** The list takes no null. */
const NONE = '';
const chosen = computed(() => plan.course?.doneNext ?? null);
const options = computed(() => {
  const others = courses.value.map(({ id, title }) => ({ value: id, title }));
  const { value } = chosen;
  // What a colleague has chosen stands there, be it on their desk alone.
  const isKnown = value === null || others.some((one) => one.value === value.course);
  const theirs = isKnown || value === null ? [] : [{ value: value.course, title: value.title }];
  return [{ value: NONE, title: t('setup.progress.doneNextNone') }, ...theirs, ...others];
});
function choose(id: string): void {
  const { course } = plan;
  if (course === null) return;
  const title = courses.value.find((one) => one.id === id)?.name ?? chosen.value?.title ?? '';
  plan.set(course.id, 'doneNext', id === NONE ? null : { course: id, title }, course.doneNext);
}
</script>

<template>
  <div id="field-doneNext" class="go-on" tabindex="-1">
    <SelectField
      :label="t('setup.fields.doneNext')"
      :value="chosen?.course ?? NONE"
      :options="options"
      :readonly="readonly"
      @choose="choose"
    />
    <p class="soft">{{ t('setup.progress.doneNextHint') }}</p>
  </div>
</template>

<style scoped>
.go-on {
  max-width: 620px;
  margin-top: 14px;
}

.soft {
  padding: 4px 16px 0;
  font-size: 13px;
}
</style>
