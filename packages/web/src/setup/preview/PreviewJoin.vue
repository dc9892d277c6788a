<script setup lang="ts">
/** How whoever is not in the course could come in, at a moment: by the answer that decides, with nothing to press. */
import type { JoinPageAnswer, WaysInAnswer } from '@itinerary/contract';
import { onceLive } from '@itinerary/core';
import type { JoinAnswer } from '@itinerary/core/people';
import { canJoin, joinCourseOf, shownWays, wayOf } from '@itinerary/core/people';
import { computed, onMounted, shallowRef } from 'vue';
import { ask } from '../../api/client.ts';
import JoinPress from '../../learner/join/JoinPress.vue';
import { saysAnything } from '../../learner/join/shown.ts';
import { usePlan } from '../../stores/plan.ts';
import { factsOf } from '../members/ways/ways-facts.ts';

const props = defineProps<{
  /** ISO, UTC. */
  moment: string;
}>();
const plan = usePlan();
const ways = shallowRef<WaysInAnswer | null>(null);
onMounted(async () => {
  // Whoever may not see who is in is shown it as if nobody were.
  if (plan.course === null || !plan.rights.members) return;
  const params = { course: plan.course.id };
  ways.value = await ask('GET /api/courses/{course}/ways', { params }).catch(() => null);
});

type Sent = JoinPageAnswer['ways'][number]['answer'];
const sent = (answer: JoinAnswer): Sent =>
  answer.can === 'yes'
    ? { ...answer, steps: [...answer.steps] }
    : answer.can === 'no'
      ? { ...answer, missing: [...answer.missing] }
      : answer;

const page = computed((): JoinPageAnswer | null => {
  const { course, planned } = plan;
  if (course === null || planned === null) return null;
  const at = Date.parse(props.moment);
  const live = { ...planned, course: onceLive(course) };
  const facts = factsOf(ways.value ?? { learners: [], held: [], waiting: [] });
  const somebody = {
    person: 'somebody',
    kind: 'visitor',
    addresses: [],
    completed: [],
    standing: 'never' as const,
    hasLink: false,
    invitation: null,
  };
  const join = joinCourseOf(live, facts, at);
  const answerBy = (way: 'request' | 'paying' | 'link' | 'invitation'): JoinAnswer =>
    canJoin(join, somebody, wayOf(live, way), at);
  return {
    course: {
      id: course.id,
      title: course.title,
      code: course.code,
      zone: course.dates.zone,
      firstDay: planned.firstDay,
      lastDay: planned.lastDay,
      descriptionHtml: null,
      outcomes: [],
      madeFor: null,
      bringAlong: null,
      hoursAWeek: null,
      staff: [],
    },
    seatsLeft: null,
    ways: shownWays(live, ['paying', 'request'], answerBy, 'visitor', at).map((one) => ({
      ...one,
      answer: sent(one.answer),
      isOffered: false,
      isPaying: false,
    })),
    request: null,
    invited: null,
  };
});
</script>

<template>
  <div v-if="page !== null && saysAnything(page)" inert>
    <JoinPress v-for="(way, which) in page.ways" :key="way.way" :page="page" :by="null" :which="which" />
  </div>
</template>
