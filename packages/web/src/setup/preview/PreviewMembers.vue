<script setup lang="ts">
/** Whom somebody finds on the page of members, of those who are on the course now. */
import { classmatesOf, onceLive } from '@itinerary/core';
import type { Viewer } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import MembersFace from '../../learner/members/MembersFace.vue';
import { useAnswer } from '../../api/use-answer.ts';
import { usePlan } from '../../stores/plan.ts';
import PushButton from '../../ui/frame/PushButton.vue';

const props = defineProps<{
  viewer: Viewer;
  /** ISO, UTC. */
  moment: string;
}>();
const { t } = useI18n();
const plan = usePlan();
const { answer, state, reload } = useAnswer('GET /api/courses/{course}/members', () => ({
  params: { course: plan.course?.id ?? '' },
}));
const people = computed(() => {
  if (plan.course === null || answer.value === null) return [];
  return classmatesOf(onceLive(plan.course), props.viewer, props.moment, answer.value.members) ?? [];
});
</script>

<template>
  <MembersFace v-if="state === 'there'" :people="people" />
  <p v-else-if="state === 'loading'" class="soft" role="status">{{ t('learner.loading') }}</p>
  <template v-else>
    <p class="soft" role="status">{{ t('common.problems.unreachable') }}</p>
    <PushButton small @click="reload">{{ t('common.away.again') }}</PushButton>
  </template>
</template>
