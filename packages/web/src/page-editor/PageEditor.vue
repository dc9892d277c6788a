<script setup lang="ts">
/** A page whose words its learners may change: plain rich text, kept when they say so. */
import { IconBold, IconH2, IconItalic, IconList, IconListNumbers } from '@tabler/icons-vue';
import StarterKit from '@tiptap/starter-kit';
import { EditorContent, useEditor } from '@tiptap/vue-3';
import { computed, onBeforeUnmount, onMounted, ref, useId } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../api/client.ts';
import { useProblemSentence } from '../words/problems.ts';
import PushButton from '../ui/frame/PushButton.vue';
import '../ui/fields/writing.css';

const props = defineProps<{ courseId: string; itemId: string }>();
const emit = defineEmits<{ done: [] }>();
const { t } = useI18n();
const sentence = useProblemSentence();
const labelId = useId();
const failure = ref<string | null>(null);
const was = ref<string | null>(null);
const isLoaded = ref(false);
const PAGE = '/api/learn/{course}/items/{item}/text';
const page = (): { course: string; item: string } => ({ course: props.courseId, item: props.itemId });

const editor = useEditor({
  injectCSS: false,
  content: '',
  extensions: [StarterKit],
  editorProps: {
    attributes: { class: 'rich-text', role: 'textbox', 'aria-multiline': 'true', 'aria-labelledby': labelId },
  },
});
onBeforeUnmount(() => editor.value?.destroy());

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
    const { html, hash } = await ask(`GET ${PAGE}`, { params: page() });
    was.value = hash;
    editor.value?.commands.setContent(html);
    isLoaded.value = true;
  }),
);
const save = (): Promise<void> =>
  attempt(async () => {
    const now = editor.value;
    const html = now === undefined || now.isEmpty ? '' : now.getHTML();
    await ask(`PUT ${PAGE}`, { params: page(), body: { html, was: was.value } });
    emit('done');
  });

const tools = computed(() => {
  const now = editor.value;
  if (now === undefined) return [];
  const run = (): ReturnType<typeof now.chain> => now.chain().focus();
  return [
    {
      name: 'heading',
      icon: IconH2,
      on: now.isActive('heading'),
      act: () => run().toggleHeading({ level: 2 }).run(),
    },
    { name: 'bold', icon: IconBold, on: now.isActive('bold'), act: () => run().toggleBold().run() },
    { name: 'italic', icon: IconItalic, on: now.isActive('italic'), act: () => run().toggleItalic().run() },
    {
      name: 'bullets',
      icon: IconList,
      on: now.isActive('bulletList'),
      act: () => run().toggleBulletList().run(),
    },
    {
      name: 'numbers',
      icon: IconListNumbers,
      on: now.isActive('orderedList'),
      act: () => run().toggleOrderedList().run(),
    },
  ];
});
</script>

<template>
  <section class="page-editor">
    <p :id="labelId" class="soft">{{ t('learner.changePage.label') }}</p>
    <div class="tools">
      <PushButton
        v-for="tool in tools"
        :key="tool.name"
        weight="bare"
        square
        :aria-label="t(`learner.changePage.${tool.name}`)"
        :aria-pressed="tool.on"
        @click="tool.act"
      >
        <component :is="tool.icon" :size="18" aria-hidden="true" />
      </PushButton>
    </div>
    <EditorContent v-if="editor" class="words" :editor="editor" />
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

.tools,
.acts {
  display: flex;
  gap: 6px;
}

.tools [aria-pressed='true'] {
  background: var(--bottle-pale);
}

.words :deep(.rich-text) {
  min-height: 160px;
  padding: 10px 12px;
  border: 1px solid var(--field-rule);
  border-radius: 6px;
}

.failure {
  color: var(--blocker);
}
</style>
