<script setup lang="ts">
/** A survey as somebody answers it: nobody learns who has said what, and it says so before it is sent. */
import { IconCheck, IconEyeOff } from '@tabler/icons-vue';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { useLive } from '../../../stores/live.ts';
import PushButton from '../../../ui/frame/PushButton.vue';
import { refusedWork, useProblemSentence } from '../../../words/problems.ts';
import AskForm from './AskForm.vue';
import { useSurvey } from './use-survey.ts';
import WorkFrame from '../WorkFrame.vue';

const props = defineProps<{ courseId: string; itemId: string; personId: string }>();
const emit = defineEmits<{ changed: [] }>();
const { t } = useI18n();
const sentence = useProblemSentence();
const its = useSurvey(props.courseId, props.itemId, props.personId);
const { survey, answers, answered, isKept, isBusy } = its;
void its.load().catch(() => undefined);
useLive(() => void its.load().catch(() => undefined));

const KNOWN = ['item', 'empty', 'changed'];
const refused = computed(() => {
  const error = its.failure.value;
  if (error === null) return null;
  const path = refusedWork(error)?.path;
  return path !== undefined && KNOWN.includes(path) ? t(`survey.refused.${path}`) : sentence(error);
});
async function send(): Promise<void> {
  if (await its.send()) emit('changed');
}
</script>

<template>
  <WorkFrame v-if="survey !== null" class="survey" :title="t('survey.title')">
    <p v-if="survey.mayLook">
      <RouterLink class="button" :to="`/courses/${courseId}/items/${itemId}/survey`">
        {{ t('survey.look') }}
      </RouterLink>
    </p>
    <p v-if="survey.hasAnswered" class="thanks" role="status">
      <IconCheck :size="18" aria-hidden="true" /> {{ t('survey.thanks') }}
    </p>
    <p v-else-if="survey.asks.length === 0" class="soft">{{ t('survey.none') }}</p>
    <template v-else>
      <p class="promise">
        <IconEyeOff :size="18" aria-hidden="true" />
        <span>{{ t('survey.promise', survey.least) }}</span>
      </p>
      <AskForm
        v-for="(one, index) in survey.asks"
        :key="one.id"
        :ask="one"
        :number="index + 1"
        :answer="answers[one.id]"
        :readonly="!survey.mayAnswer"
        @answer="its.answer(one.id, $event)"
      />
      <p v-if="refused" class="failure" role="alert">{{ refused }}</p>
      <div v-if="survey.mayAnswer" class="bar">
        <p class="figures">{{ t('survey.answered', { answered, of: survey.asks.length }) }}</p>
        <p class="soft">{{ t(isKept ? 'survey.keptHere' : 'survey.keptNowhere') }}</p>
        <PushButton weight="main" :disabled="isBusy || answered === 0" @click="send">
          {{ t('survey.send') }}
        </PushButton>
      </div>
    </template>
  </WorkFrame>
</template>

<style scoped>
.promise {
  display: flex;
  gap: 10px;
  align-items: start;
  padding: 10px 14px;
  background: var(--mist);
}

.promise :deep(svg) {
  flex: none;
  margin-top: 2px;
}

.thanks {
  display: flex;
  gap: 8px;
  align-items: center;
  font-weight: 600;
}

.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  align-items: center;
  justify-content: space-between;
}

.failure {
  color: var(--blocker);
}
</style>
