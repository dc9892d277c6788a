<script setup lang="ts">
/** Leaving a course by oneself, with what it comes to said first. */
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import { ask } from '../../api/client.ts';
import DialogBox from '../../ui/frame/DialogBox.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import { useProblemSentence } from '../../words/problems.ts';

const props = defineProps<{ courseId: string }>();
const { t } = useI18n();
const router = useRouter();
const sentence = useProblemSentence();
const isAsked = ref(false);
const failure = ref<string | null>(null);

async function leave(): Promise<void> {
  failure.value = null;
  try {
    await ask('POST /api/learn/{course}/leave', { params: { course: props.courseId } });
    await router.push('/desk');
  } catch (error) {
    failure.value = sentence(error);
  }
}
</script>

<template>
  <p class="leave">
    <PushButton @click="isAsked = true">{{ t('learner.leaving.press') }}</PushButton>
  </p>
  <DialogBox v-model="isAsked" :title="t('learner.leaving.title')">
    <p>{{ t('learner.leaving.text') }}</p>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <template #foot>
      <PushButton @click="isAsked = false">{{ t('common.cancel') }}</PushButton>
      <PushButton weight="main" @click="leave">{{ t('learner.leaving.press') }}</PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
.leave {
  margin-top: 28px;
}

.failure {
  color: var(--blocker);
}
</style>
