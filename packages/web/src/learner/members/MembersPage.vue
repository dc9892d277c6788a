<script setup lang="ts">
/** Who else is on the course, as far as the course lets one see. */
import type { ClassmatesAnswer } from '@itinerary/contract';
import { computed, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { path } from '../../api/client.ts';
import { setTitle } from '../../app/router.ts';
import MembersFace from './MembersFace.vue';
import ReadingFrame from '../text/ReadingFrame.vue';
import { useAnswer } from '../../api/use-answer.ts';

const { t } = useI18n();
const route = useRoute();
const courseId = computed(() => String(route.params['course']));
const { answer, state, reload } = useAnswer<ClassmatesAnswer>(
  () => path`/api/learn/${courseId.value}/members`,
);
watch(answer, () => setTitle(t('learner.members.title')));
</script>

<template>
  <ReadingFrame :course-id="courseId" :state="state" area="members" @again="reload">
    <template v-if="answer !== null">
      <h1>{{ t('learner.members.title') }}</h1>
      <MembersFace :people="answer.people" />
    </template>
  </ReadingFrame>
</template>
