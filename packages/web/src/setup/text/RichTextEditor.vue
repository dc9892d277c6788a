<script setup lang="ts">
/** Rich text, with its tools in view. What it writes is what the server's allow list keeps. */
import {
  IconBlockquote,
  IconBold,
  IconCode,
  IconH2,
  IconH3,
  IconItalic,
  IconLink,
  IconList,
  IconListNumbers,
  IconUnlink,
} from '@tabler/icons-vue';
import StarterKit from '@tiptap/starter-kit';
import { EditorContent, useEditor } from '@tiptap/vue-3';
import { addressSchema } from '@itinerary/core';
import { computed, nextTick, onBeforeUnmount, ref, useId, watch } from 'vue';
import { useI18n } from 'vue-i18n';

const props = defineProps<{
  /** Null while it loads, or when there is none. */ html: string | null;
  label: string;
  disabled?: boolean;
}>();
const emit = defineEmits<{ write: [html: string | null] }>();
const { t } = useI18n();

const labelId = useId();
const isLinking = ref(false);
const address = ref('');
const addressWrong = ref(false);
const addressField = ref<HTMLInputElement | null>(null);

/** The same HTML may be written in two ways (`<br>`, `<br />`); the browser's own is compared. */
function plain(html: string): string {
  const holder = document.createElement('template');
  holder.innerHTML = html;
  return holder.innerHTML;
}

/** What was written here comes back as the stored text, a little later than the next letter is typed. */
const written = new Set<string>();

const editor = useEditor({
  content: props.html ?? '',
  editable: props.disabled !== true,
  extensions: [
    StarterKit.configure({
      heading: { levels: [2, 3, 4] },
      link: {
        openOnClick: false,
        autolink: true,
        defaultProtocol: 'https',
        protocols: ['http', 'https', 'mailto', 'tel'],
        HTMLAttributes: { target: null, rel: null, class: null },
      },
    }),
  ],
  editorProps: {
    attributes: {
      class: 'rich-text',
      role: 'textbox',
      'aria-multiline': 'true',
      'aria-labelledby': labelId,
    },
  },
  onUpdate: ({ editor: now }) => {
    const html = now.isEmpty ? null : now.getHTML();
    written.add(plain(html ?? ''));
    emit('write', html);
  },
});

watch(
  () => props.html,
  (html) => {
    const now = editor.value;
    if (now === undefined) return;
    const here = now.isEmpty ? '' : plain(now.getHTML());
    const stored = plain(html ?? '');
    if (now.isFocused && written.has(stored)) return;
    if (here !== stored) now.commands.setContent(html ?? '', { emitUpdate: false });
  },
);
watch(
  () => props.disabled,
  (disabled) => editor.value?.setEditable(disabled !== true, false),
);
onBeforeUnmount(() => editor.value?.destroy());

const tools = computed(() => {
  const now = editor.value;
  if (now === undefined) return [];
  const tool = (
    name: string,
    icon: unknown,
    on: boolean,
    run: () => void,
  ): { name: string; icon: unknown; on: boolean; run: () => void } => ({ name, icon, on, run });
  return [
    tool('h2', IconH2, now.isActive('heading', { level: 2 }), () =>
      now.chain().focus().toggleHeading({ level: 2 }).run(),
    ),
    tool('h3', IconH3, now.isActive('heading', { level: 3 }), () =>
      now.chain().focus().toggleHeading({ level: 3 }).run(),
    ),
    tool('bold', IconBold, now.isActive('bold'), () => now.chain().focus().toggleBold().run()),
    tool('italic', IconItalic, now.isActive('italic'), () => now.chain().focus().toggleItalic().run()),
    tool('list', IconList, now.isActive('bulletList'), () => now.chain().focus().toggleBulletList().run()),
    tool('numbers', IconListNumbers, now.isActive('orderedList'), () =>
      now.chain().focus().toggleOrderedList().run(),
    ),
    tool('quote', IconBlockquote, now.isActive('blockquote'), () =>
      now.chain().focus().toggleBlockquote().run(),
    ),
    tool('code', IconCode, now.isActive('codeBlock'), () => now.chain().focus().toggleCodeBlock().run()),
    tool('link', IconLink, now.isActive('link'), openLink),
  ];
});

function openLink(): void {
  address.value = (editor.value?.getAttributes('link')['href'] as string | undefined) ?? '';
  addressWrong.value = false;
  isLinking.value = true;
  void nextTick(() => addressField.value?.focus());
}

function closeLink(): void {
  isLinking.value = false;
  editor.value?.commands.focus();
}

function link(): void {
  const typed = address.value.trim();
  const full = /^[a-z][a-z0-9+.-]*:/i.test(typed)
    ? typed
    : typed.includes('@')
      ? `mailto:${typed}`
      : `https://${typed}`;
  if (!addressSchema.safeParse(full).success) {
    addressWrong.value = true;
    return;
  }
  const now = editor.value;
  if (now === undefined) return;
  // With nothing chosen, the address itself becomes the words of the link.
  const chain = now.chain().focus();
  if (now.state.selection.empty && !now.isActive('link')) {
    chain
      .insertContent({ type: 'text', text: typed, marks: [{ type: 'link', attrs: { href: full } }] })
      .run();
  } else {
    chain.extendMarkRange('link').setLink({ href: full }).run();
  }
  isLinking.value = false;
}

function unlink(): void {
  editor.value?.chain().focus().extendMarkRange('link').unsetLink().run();
  isLinking.value = false;
}
</script>

<template>
  <div class="editor">
    <span :id="labelId" class="label">{{ label }}</span>
    <div v-if="!disabled" class="tools" role="toolbar" :aria-label="t('setup.text.tools')">
      <button
        v-for="tool in tools"
        :key="tool.name"
        type="button"
        :aria-pressed="tool.on"
        :aria-label="t(`setup.text.${tool.name}`)"
        :title="t(`setup.text.${tool.name}`)"
        @click="tool.run"
      >
        <component :is="tool.icon" :size="18" aria-hidden="true" />
      </button>
    </div>
    <form v-if="isLinking" class="linking" @submit.prevent="link" @keydown.esc.stop="closeLink">
      <label>
        {{ t('setup.text.address') }}
        <input ref="addressField" v-model="address" :aria-invalid="addressWrong" inputmode="url" />
      </label>
      <button class="button small main" type="submit">{{ t('setup.text.setLink') }}</button>
      <button class="button small" type="button" :aria-label="t('setup.text.unlink')" @click="unlink">
        <IconUnlink :size="16" aria-hidden="true" />
      </button>
      <p v-if="addressWrong" class="wrong" role="alert">{{ t('setup.text.addressWrong') }}</p>
    </form>
    <EditorContent v-if="editor" :editor="editor" class="content" />
  </div>
</template>

<style scoped>
.editor {
  display: flex;
  flex-direction: column;
  border: 1px solid var(--field-rule);
  border-radius: 6px;
  background: var(--card);
}

.editor:focus-within {
  border-color: var(--bottle);
  box-shadow: inset 0 0 0 1px var(--bottle);
}

.label {
  padding: 6px 12px 0;
  color: var(--ink-soft);
  font-size: 12.5px;
}

.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 2px;
  padding: 2px 6px;
  border-bottom: 1px solid var(--rule);
}

.tools button {
  display: grid;
  place-items: center;
  width: 30px;
  height: 30px;
  border: 0;
  border-radius: 4px;
  background: none;
  cursor: pointer;
}

.tools button:hover {
  background: var(--mist);
}

.tools button[aria-pressed='true'] {
  background: var(--bottle-pale);
  color: var(--bottle);
}

.linking {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
  padding: 6px 12px;
  border-bottom: 1px solid var(--rule);
  background: var(--mist);
}

.linking label {
  display: flex;
  flex: 1;
  align-items: center;
  gap: 8px;
}

.linking input {
  flex: 1;
  min-width: 120px;
  min-height: 28px;
  padding: 0 8px;
  border: 1px solid var(--field-rule);
  border-radius: 4px;
  background: var(--card);
}

.wrong {
  flex-basis: 100%;
  color: var(--blocker);
}

.content {
  flex: 1;
  overflow-y: auto;
}

.content :deep(.ProseMirror) {
  min-height: 130px;
  padding: 10px 12px 14px;
  outline: 0;
}
</style>
