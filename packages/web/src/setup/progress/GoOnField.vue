<script setup lang="ts">
/** The course in which whoever has done this one can go on: one of those on one's own desk. */
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import CourseField from '../rules/CourseField.vue';
import type { CourseChoice } from '../rules/courses-found.ts';

defineProps<{ readonly: boolean }>();
const { t } = useI18n();
const plan = usePlan();
const chosen = computed(() => plan.course?.doneNext ?? null);
function choose(next: CourseChoice | null): void {
  const { course } = plan;
  if (course === null) return;
  const value = next === null ? null : { course: next.id, title: next.name };
  plan.set(course.id, 'doneNext', value, course.doneNext);
}
</script>

<template>
  <div id="field-doneNext" class="go-on" tabindex="-1">
    <CourseField
      :label="t('setup.fields.doneNext')"
      :chosen="chosen"
      :none="t('setup.progress.doneNextNone')"
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
