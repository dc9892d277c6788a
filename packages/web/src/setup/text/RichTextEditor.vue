<script setup lang="ts">
/** Rich text, with its tools in view. What it writes is what the server's allow list keeps. */
import type { UploadAnswer } from '@itinerary/contract';
import { isPictureType } from '@itinerary/core';
import type { Command } from '@tiptap/core';
import { NodeSelection, TextSelection } from '@tiptap/pm/state';
import { EditorContent, useEditor } from '@tiptap/vue-3';
import { computed, onBeforeUnmount, ref, useId, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import { useUploads } from '../../stores/uploads.ts';
import PictureWords from '../files/PictureWords.vue';
import { EXTENSIONS } from './pieces/extensions.ts';
import FormulaForm from './pieces/FormulaForm.vue';
import LinkForm from './pieces/LinkForm.vue';
import TextTools from './TextTools.vue';
import { takeSelection } from './taken-selection.ts';
import { tableTools, textTools } from './tools.ts';

const props = defineProps<{
  /** Null while it loads, or when there is none. */ html: string | null;
  label: string;
  disabled?: boolean;
}>();
const emit = defineEmits<{ write: [html: string | null] }>();
const { t } = useI18n();
const plan = usePlan();
const uploads = useUploads();

const labelId = useId();
/** What was asked for with a tool; what the cursor stands on is shown without being asked. */
const asked = ref<'link' | 'formula' | null>(null);
const picker = ref<HTMLInputElement | null>(null);
const notPicture = ref<string | null>(null);

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
  extensions: EXTENSIONS,
  editorProps: {
    attributes: {
      class: 'rich-text',
      role: 'textbox',
      'aria-multiline': 'true',
      'aria-labelledby': labelId,
    },
    handleKeyDown: (view, { key }) => {
      if (key === 'Tab') takeSelection(view);
      return false;
    },
    handlePaste: (_view, event) => takePictures(event.clipboardData?.files),
    handleDrop: (view, event, _slice, isMoved) => {
      if (isMoved || !takePictures(event.dataTransfer?.files, event)) return false;
      const at = view.posAtCoords({ left: event.clientX, top: event.clientY });
      if (at !== null) editor.value?.commands.setTextSelection(at.pos);
      return true;
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

/** Pictures among them are sent and put where the cursor is; true: they were taken, and nobody else need. */
function takePictures(files: FileList | null | undefined, event?: DragEvent): boolean {
  const pictures = [...(files ?? [])].filter(({ type }) => type.startsWith('image/'));
  if (pictures.length === 0 || props.disabled) return false;
  // The outline around the editor would make items of them.
  event?.stopPropagation();
  pictures.forEach((file) => uploads.add(file, arrived));
  return true;
}

function arrived({ hash, name, type }: UploadAnswer): void {
  notPicture.value = isPictureType(type) ? null : name;
  if (notPicture.value !== null) return;
  const now = editor.value;
  if (now === undefined || now.isDestroyed) {
    plan.tell({ kind: 'problem', code: 'picture_late' });
    return;
  }
  now.chain().focus().insertContent({ type: 'picture', attrs: { hash } }).run();
  // What it shows is asked for at once: the picture is chosen, and the fields for it are there.
  const at = now.state.selection.from;
  for (const place of [at, at - 1]) {
    if (now.state.doc.nodeAt(place)?.type.name !== 'picture') continue;
    now.commands.setNodeSelection(place);
    return;
  }
}

function choose(event: Event): void {
  const field = event.target as HTMLInputElement;
  takePictures(field.files);
  field.value = '';
}

const chosen = computed(() => {
  const selection = editor.value?.state.selection;
  return selection instanceof NodeSelection ? selection.node : null;
});
const picture = computed(() => (chosen.value?.type.name === 'picture' ? chosen.value.attrs : null));
const formula = computed(() => {
  const node = chosen.value;
  if (node?.type.name !== 'formula' && node?.type.name !== 'formulaBlock') return null;
  return { tex: String(node.attrs['tex']), isBlock: node.type.name === 'formulaBlock' };
});
const isInTable = computed(() => editor.value?.isActive('table') === true);
const linked = computed(() => {
  const now = editor.value;
  const mark = now?.getAttributes('itemLink')['item'] as string | undefined;
  const name = chosen.value?.type.name === 'itemName' ? (chosen.value.attrs['item'] as string) : undefined;
  const address = now?.getAttributes('link')['href'] as string | undefined;
  const hasWords = now !== undefined && (!now.state.selection.empty || mark !== undefined);
  return { address: address ?? null, item: mark ?? name ?? null, hasWords: hasWords && name === undefined };
});

const tools = computed(() => {
  const now = editor.value;
  if (now === undefined) return [];
  return textTools(now, {
    link: () => (asked.value = 'link'),
    formula: () => (asked.value = 'formula'),
    picture: () => picker.value?.click(),
  });
});
const inTable = computed(() => (editor.value === undefined ? [] : tableTools(editor.value)));

/** After what was linked, and no more of the link: whoever types on must not type over the words. */
const goOn: Command = ({ tr }) => {
  tr.setSelection(TextSelection.create(tr.doc, tr.selection.to)).setStoredMarks([]);
  return true;
};

function close(): void {
  asked.value = null;
  editor.value?.commands.focus();
}

function linkAddress(href: string, typed: string): void {
  const now = editor.value;
  if (now === undefined) return;
  const chain = now.chain().focus();
  // With nothing chosen, the address itself becomes the words of the link.
  if (now.state.selection.empty && linked.value.address === null && linked.value.item === null) {
    chain.insertContent({ type: 'text', text: typed, marks: [{ type: 'link', attrs: { href } }] }).run();
  } else if (linked.value.item !== null && !linked.value.hasWords) {
    chain.insertContent({ type: 'text', text: typed, marks: [{ type: 'link', attrs: { href } }] }).run();
  } else {
    chain
      .extendMarkRange('itemLink')
      .unsetMark('itemLink')
      .extendMarkRange('link')
      .setLink({ href })
      .command(goOn)
      .run();
  }
  asked.value = null;
}

function linkItem(item: string): void {
  const now = editor.value;
  if (now === undefined) return;
  const chain = now.chain().focus();
  const isLinked = linked.value.address !== null || now.isActive('itemLink');
  if (chosen.value !== null || (now.state.selection.empty && !isLinked)) {
    chain.insertContent({ type: 'itemName', attrs: { item } }).run();
  } else {
    chain
      .extendMarkRange('link')
      .unsetLink()
      .extendMarkRange('itemLink')
      .setMark('itemLink', { item })
      .command(goOn)
      .run();
  }
  asked.value = null;
}

function unlink(): void {
  const now = editor.value;
  if (chosen.value?.type.name === 'itemName') now?.chain().focus().deleteSelection().run();
  else
    now
      ?.chain()
      .focus()
      .extendMarkRange('link')
      .unsetLink()
      .extendMarkRange('itemLink')
      .unsetMark('itemLink')
      .run();
  asked.value = null;
}

function setFormula(tex: string, isBlock: boolean): void {
  editor.value
    ?.chain()
    .focus()
    .insertContent({ type: isBlock ? 'formulaBlock' : 'formula', attrs: { tex } })
    .run();
  asked.value = null;
}

function say(field: 'alt' | 'author' | 'licence', text: string | null): void {
  editor.value?.commands.updateAttributes('picture', { [field]: text });
}
</script>

<template>
  <div class="editor">
    <span :id="labelId" class="label">{{ label }}</span>
    <template v-if="!disabled">
      <div class="bars">
        <TextTools :tools="tools" :label="t('setup.text.tools')" />
        <TextTools v-if="isInTable" :tools="inTable" :label="t('setup.text.tableTools')" />
        <p v-if="notPicture" class="strip wrong" role="alert">
          {{ t('setup.text.notPicture', { name: notPicture }) }}
        </p>
        <div v-if="asked === 'link'" class="strip">
          <LinkForm v-bind="linked" @address="linkAddress" @item="linkItem" @unlink="unlink" @close="close" />
        </div>
        <div v-else-if="asked === 'formula' || formula" class="strip">
          <FormulaForm :current="formula" @set="setFormula" @close="close" />
        </div>
        <div v-else-if="picture" class="strip">
          <PictureWords
            :words="{ alt: picture['alt'], author: picture['author'], licence: picture['licence'] }"
            :readonly="false"
            @say="say"
          />
        </div>
      </div>
      <input
        ref="picker"
        class="visually-hidden"
        type="file"
        accept="image/*"
        multiple
        tabindex="-1"
        :aria-label="t('setup.text.choosePicture')"
        @change="choose"
      />
    </template>
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

/* However long the text is, its tools stay in view, and what is said of the piece that is chosen. */
.bars {
  position: sticky;
  top: var(--under-edge, 0);
  z-index: 1;
  border-radius: 6px 6px 0 0;
  background: var(--card);
}

.strip {
  padding: 8px 12px;
  border-bottom: 1px solid var(--rule);
  background: var(--mist);
}

.wrong {
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
