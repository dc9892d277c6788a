<script setup lang="ts">
/** Who else is on the course, as far as the course lets one see. */
import type { ClassmatesAnswer } from '@itinerary/contract';
import { computed, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { path } from '../api/client.ts';
import { setTitle } from '../app/router.ts';
import ReadingFrame from './ReadingFrame.vue';
import { useRoleWord } from './shell/frame.ts';
import { useAnswer } from './use-answer.ts';

const { t } = useI18n();
const roleWord = useRoleWord();
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
      <ul>
        <li v-for="person in answer.people" :key="`${person.role} ${person.name}`">
          <span>{{ person.name }}</span>
          <span class="soft">{{ [roleWord(person.role), ...person.groups].join(' · ') }}</span>
        </li>
      </ul>
    </template>
  </ReadingFrame>
</template>

<style scoped>
ul {
  max-width: 560px;
  margin: 12px 0 0;
  padding: 0;
  border-top: 3px solid var(--route);
  list-style: none;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  justify-content: space-between;
  padding: 7px 2px;
  border-bottom: 1px solid var(--rule);
}
</style>
