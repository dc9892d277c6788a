<script setup lang="ts">
/** Who else is on the course, as far as the course lets one see. */
import { computed, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { setTitle } from '../../words/page-title.ts';
import ChooseGroups from './ChooseGroups.vue';
import LeaveCourse from './LeaveCourse.vue';
import PaidPeriod from './PaidPeriod.vue';
import MembersFace from './MembersFace.vue';
import ReadingFrame from '../text/ReadingFrame.vue';
import { useAnswer } from '../../api/use-answer.ts';

const { t } = useI18n();
const route = useRoute();
const courseId = computed(() => String(route.params['course']));
const { answer, state, reload } = useAnswer('GET /api/learn/{course}/members', () => ({
  params: { course: courseId.value },
}));
watch(answer, () => setTitle(t('learner.members.title')));
</script>

<template>
  <ReadingFrame :course-id="courseId" :state="state" area="members" @again="reload">
    <template v-if="answer !== null">
      <h1>{{ t('learner.members.title') }}</h1>
      <ChooseGroups :course-id="courseId" />
      <MembersFace :people="answer.people" />
      <PaidPeriod :course-id="courseId" />
      <LeaveCourse v-if="answer.mayLeave" :course-id="courseId" />
    </template>
  </ReadingFrame>
</template>
