<script setup lang="ts">
/** A page whose words its learners may change: plain rich text, kept when they say so. */
import { onMounted, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../api/client.ts';
import { useProblemSentence } from '../words/problems.ts';
import PushButton from '../ui/frame/PushButton.vue';
import WordsEditor from './WordsEditor.vue';

const props = defineProps<{ courseId: string; itemId: string }>();
const emit = defineEmits<{ done: [] }>();
const { t } = useI18n();
const sentence = useProblemSentence();
const failure = ref<string | null>(null);
const was = ref<string | null>(null);
const isLoaded = ref(false);
const html = ref('');
const PAGE = '/api/learn/{course}/items/{item}/text';
const page = (): { course: string; item: string } => ({ course: props.courseId, item: props.itemId });

async function attempt(work: () => Promise<void>): Promise<void> {
  failure.value = null;
  try {
    await work();
  } catch (error) {
    failure.value = sentence(error);
  }
}
onMounted(() =>
  attempt(async () => {
    const answer = await ask(`GET ${PAGE}`, { params: page() });
    was.value = answer.hash;
    html.value = answer.html;
    isLoaded.value = true;
  }),
);
const save = (): Promise<void> =>
  attempt(async () => {
    await ask(`PUT ${PAGE}`, { params: page(), body: { html: html.value, was: was.value } });
    emit('done');
  });
</script>

<template>
  <section class="page-editor">
    <WordsEditor v-if="isLoaded" :label="t('learner.changePage.label')" :html="html" @typed="html = $event" />
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <p class="acts">
      <PushButton weight="main" :disabled="!isLoaded" @click="save">
        {{ t('learner.changePage.save') }}
      </PushButton>
      <PushButton @click="emit('done')">{{ t('common.cancel') }}</PushButton>
    </p>
  </section>
</template>

<style scoped>
.page-editor {
  display: grid;
  gap: 8px;
  max-width: 720px;
  margin-top: 24px;
  padding-top: 12px;
  border-top: 3px solid var(--route);
}

.acts {
  display: flex;
  gap: 6px;
}

.failure {
  color: var(--blocker);
}
</style>
