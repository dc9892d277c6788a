<script setup lang="ts">
/** Words of learners: plain rich text, with its tools. Filled once; what is in it is asked for. */
import { IconBold, IconH2, IconItalic, IconList, IconListNumbers } from '@tabler/icons-vue';
import StarterKit from '@tiptap/starter-kit';
import { EditorContent, useEditor } from '@tiptap/vue-3';
import { computed, onBeforeUnmount, useId } from 'vue';
import { useI18n } from 'vue-i18n';
import PushButton from '../ui/frame/PushButton.vue';
import '../ui/fields/writing.css';

const props = defineProps<{ label: string; html: string }>();
/** As it is typed; empty: nothing is in it. */
const emit = defineEmits<{ typed: [html: string] }>();
const { t } = useI18n();
const labelId = useId();

const editor = useEditor({
  injectCSS: false,
  content: props.html,
  extensions: [StarterKit],
  editorProps: {
    attributes: { class: 'rich-text', role: 'textbox', 'aria-multiline': 'true', 'aria-labelledby': labelId },
  },
  onUpdate: ({ editor: now }) => emit('typed', now.isEmpty ? '' : now.getHTML()),
});
onBeforeUnmount(() => editor.value?.destroy());
defineExpose({
  focus: () => editor.value?.commands.focus('end'),
  fill: (html: string) => editor.value?.commands.setContent(html),
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
  <div class="words-editor">
    <p :id="labelId" class="soft">{{ label }}</p>
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
  </div>
</template>

<style scoped>
.words-editor {
  display: grid;
  gap: 8px;
}

.tools {
  display: flex;
  gap: 6px;
}

.tools [aria-pressed='true'] {
  background: var(--bottle-pale);
}

.words :deep(.rich-text) {
  min-height: 110px;
  padding: 10px 12px;
  border: 1px solid var(--field-rule);
  border-radius: 6px;
}
</style>
