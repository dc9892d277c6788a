<script setup lang="ts">
/** Writing a post, or another version of one: what is typed is kept on its way until it is posted. */
import type { PostDraft } from '@itinerary/contract';
import { computed, onMounted, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextField } from 'vuetify/components/VTextField';
import WordsEditor from '../../../page-editor/WordsEditor.vue';
import { MOST_POST_FILES } from '../../../stores/limits.ts';
import PushButton from '../../../ui/frame/PushButton.vue';
import { refusedWork, useProblemSentence } from '../../../words/problems.ts';
import KeepingLine from '../KeepingLine.vue';
import WorkFiles from '../WorkFiles.vue';
import { usePost } from './use-post.ts';
import type { Where } from './use-post.ts';
import type { Written } from './use-talk.ts';

const props = defineProps<{
  where: Where;
  label: string;
  press: string;
  /** The post that is changed. */
  before?: { readonly html: string; readonly files: PostDraft['files'] };
  /** A thread has a title too. */
  titled?: boolean;
  mayAttach: boolean;
  send: (written: Written) => Promise<void>;
}>();
const emit = defineEmits<{ done: []; cancel: [] }>();
const { t } = useI18n();
const MOST_TITLE = 200;
const its = usePost(props.where, props.before ?? null);
const { answer, typed, keeping, uploads, files, mine, failure: notKept } = its;
const sentence = useProblemSentence();
const failure = ref<string | null>(null);
const isUnderWay = ref(false);
const KNOWN = ['shut', 'starts', 'closed', 'full', 'known', 'files'];
function says(error: unknown): string {
  const path = refusedWork(error)?.path ?? '';
  return KNOWN.includes(path) ? t(`talk.refused.${path}`) : sentence(error);
}
const editor = ref<{ focus: () => void; fill: (html: string) => void } | null>(null);
/** What the editor itself has, so that only what comes from elsewhere is put into it. */
let inEditor = typed.value.html;
watch(typed, ({ html }) => {
  if (html === inEditor) return;
  inEditor = html;
  editor.value?.fill(html);
});
function type(html: string): void {
  inEditor = html;
  its.type({ html });
}
void its.load().catch(() => undefined);
onMounted(() => {
  if (props.titled !== true) editor.value?.focus();
});

const isNothing = computed(
  () => typed.value.html === '' || (props.titled === true && typed.value.title.trim() === ''),
);
const isSending = computed(() => uploads.value.some(({ error }) => error === null));
const keepsWords = computed(() => t(`talk.keeping.${keeping.value}`));
async function post(): Promise<void> {
  const { html, title } = typed.value;
  failure.value = null;
  isUnderWay.value = true;
  try {
    // Nothing that is on its way begins it anew once it is posted.
    await its.settle().catch(() => undefined);
    await props.send({ html, title: title.trim(), files: files.value.map(({ hash }) => hash) });
  } catch (error) {
    // What has been typed stays where it stands, with the server and on the device.
    failure.value = says(error);
    return;
  } finally {
    isUnderWay.value = false;
  }
  its.done(null);
  emit('done');
}
async function cancel(): Promise<void> {
  await its.giveUp();
  emit('cancel');
}
</script>

<template>
  <div class="post-editor">
    <div v-if="mine !== null" class="elsewhere" role="alert">
      <p>{{ t('talk.elsewhere') }}</p>
      <p class="acts">
        <PushButton small @click="its.takeMine">{{ t('work.own.takeMine') }}</PushButton>
        <PushButton small @click="its.dropMine">{{ t('work.own.dropMine') }}</PushButton>
      </p>
    </div>
    <VTextField
      v-if="titled"
      :model-value="typed.title"
      :label="t('talk.title')"
      :maxlength="MOST_TITLE"
      dir="auto"
      autofocus
      variant="outlined"
      density="comfortable"
      hide-details
      @update:model-value="its.type({ title: $event })"
    />
    <WordsEditor ref="editor" :label="label" :html="typed.html" @typed="type" />
    <WorkFiles
      v-if="mayAttach"
      :files="files"
      :uploads="uploads"
      :most="MOST_POST_FILES"
      :megabytes="answer?.megabytes ?? null"
      :says="t('talk.attach', { most: MOST_POST_FILES, megabytes: answer?.megabytes ?? '…' })"
      @add="its.add"
      @stop="its.stop"
      @remove="its.remove"
    />
    <p class="acts">
      <PushButton weight="main" :disabled="isUnderWay || isSending || isNothing" @click="post">
        {{ press }}
      </PushButton>
      <PushButton @click="cancel">{{ t('common.cancel') }}</PushButton>
    </p>
    <!-- Below what is pressed, which would move away under the press as the words change. -->
    <KeepingLine :keeping="keeping" :words="keepsWords" :hidden="isNothing && keeping === 'kept'" />
    <p v-if="failure ?? notKept" class="failure" role="alert">{{ failure ?? sentence(notKept) }}</p>
  </div>
</template>

<style scoped>
.post-editor {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}

.acts {
  display: flex;
  gap: 8px;
}

.elsewhere {
  padding-inline-start: 10px;
  border-inline-start: 4px solid var(--advice);
}

.failure {
  color: var(--blocker);
}
</style>
