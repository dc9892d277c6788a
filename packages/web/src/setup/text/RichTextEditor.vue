<script setup lang="ts">
/** Rich text, with its tools in view. What it writes is what the server's allow list keeps. */
import type { UploadAnswer } from '@itinerary/contract';
import { isPictureType, MAX_TEXT } from '@itinerary/core';
import { IconArrowsMaximize } from '@tabler/icons-vue';
import { NodeSelection } from '@tiptap/pm/state';
import { EditorContent, useEditor } from '@tiptap/vue-3';
import { computed, nextTick, onBeforeUnmount, ref, shallowRef, useId, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import { useUploads } from '../../stores/uploads.ts';
import PictureWords from '../files/PictureWords.vue';
import { EXTENSIONS } from './pieces/extensions.ts';
import FormulaForm from './pieces/FormulaForm.vue';
import LinkForm from './pieces/LinkForm.vue';
import IconButton from '../../ui/frame/IconButton.vue';
import { useLinks } from './links.ts';
import { cleanPasted } from './pasted.ts';
import TextTools from './TextTools.vue';
import { takeSelection } from './taken-selection.ts';
import { tableTools, textTools } from './tools.ts';
import WideText from './WideText.vue';
import { plain, startAnew, useWriting } from './writing.ts';
import FilePicker from '../../ui/frame/FilePicker.vue';
import '../../ui/fields/writing.css';

const props = defineProps<{
  /** Null while it loads, or when there is none. */ html: string | null;
  label: string;
  /** Under this name, what was too long is there again when one comes back. */
  name: string;
  /** What it belongs to, over the wide way of writing. */
  title?: string;
  disabled?: boolean;
}>();
const emit = defineEmits<{ write: [html: string | null] }>();
const { t, n } = useI18n();
const plan = usePlan();
const uploads = useUploads();

const labelId = useId();
/** What was asked for with a tool; what the cursor stands on is shown without being asked. */
const asked = ref<'link' | 'formula' | null>(null);
const isWide = ref(false);
const picker = ref<{ open: () => void } | null>(null);
const notPicture = ref<string | null>(null);

const { begin, length, isTooLong, wrote, flush, isOwn } = useWriting((html) => emit('write', html));

const editor = useEditor({
  injectCSS: false,
  content: begin(props.name) ?? props.html ?? '',
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
    transformPastedHTML: cleanPasted,
    // Word processors add a picture of the words that are copied.
    handlePaste: (_view, event) => !hasWords(event.clipboardData) && takePictures(event.clipboardData?.files),
    handleDrop: (view, event, _slice, isMoved) => {
      if (isMoved || !takePictures(event.dataTransfer?.files, event)) return false;
      const at = view.posAtCoords({ left: event.clientX, top: event.clientY });
      if (at !== null) editor.value?.commands.setTextSelection(at.pos);
      return true;
    },
  },
  onUpdate: ({ editor: now }) => wrote(now),
  onBlur: flush,
});

watch(
  () => props.name,
  (name) => {
    asked.value = null;
    notPicture.value = null;
    isWide.value = false;
    if (editor.value !== undefined) startAnew(editor.value, begin(name) ?? props.html ?? '');
  },
);
watch(
  () => props.html,
  (html, before) => {
    const now = editor.value;
    if (now === undefined || isTooLong.value) return;
    const here = now.isEmpty ? '' : plain(now.getHTML());
    const stored = plain(html ?? '');
    if (now.isFocused && isOwn(stored)) return;
    if (here === stored) return;
    // What has come is where one begins: it is not taken back into nothing.
    if (before === null && now.isEmpty) startAnew(now, html ?? '');
    else now.commands.setContent(html ?? '', { emitUpdate: false });
  },
);
watch(
  () => props.disabled,
  (disabled) => editor.value?.setEditable(disabled !== true, false),
);
onBeforeUnmount(() => editor.value?.destroy());

function hasWords(data: DataTransfer | null): boolean {
  const html = data?.getData('text/html') ?? '';
  return new DOMParser().parseFromString(html, 'text/html').body.textContent.trim() !== '';
}

/** Pictures among them are sent and put where the cursor is; true: they were taken, and nobody else need. */
function takePictures(files: FileList | readonly File[] | null | undefined, event?: DragEvent): boolean {
  const pictures = [...(files ?? [])].filter(({ type }) => type.startsWith('image/'));
  if (pictures.length === 0 || props.disabled) return false;
  // The outline around the editor would make items of them.
  event?.stopPropagation();
  const { name } = props;
  pictures.forEach((file) => uploads.add(file, (answer) => arrived(answer, name)));
  return true;
}

/** @param into the text that it was sent for. */
function arrived({ hash, name, type }: UploadAnswer, into: string): void {
  notPicture.value = isPictureType(type) ? null : name;
  if (notPicture.value !== null) return;
  const now = editor.value;
  if (now === undefined || now.isDestroyed || into !== props.name) {
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
const { linked, linkAddress, linkItem, unlink } = useLinks(editor);

const tools = computed(() => {
  const now = editor.value;
  if (now === undefined) return [];
  return textTools(now, {
    link: () => (asked.value = 'link'),
    formula: () => (asked.value = 'formula'),
    picture: () => picker.value?.open(),
  });
});
const inTable = computed(() => (editor.value === undefined ? [] : tableTools(editor.value)));

function close(): void {
  asked.value = null;
  editor.value?.commands.focus();
}

/** Where the editor stands while it is wide. */
const seat = shallowRef<HTMLElement | null>(null);
async function moved(): Promise<void> {
  await nextTick();
  if (isWide.value) editor.value?.commands.focus();
}
watch(seat, moved);
/** Said from here on. */
const NEAR = 0.8;
const room = computed(() => {
  const [now, most] = [n(length.value), n(MAX_TEXT)];
  if (isTooLong.value) return t('setup.text.tooLong', { now, most, over: n(length.value - MAX_TEXT) });
  return length.value > MAX_TEXT * NEAR ? t('setup.text.nearlyFull', { now, most }) : null;
});

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
defineExpose({ flush });
</script>

<template>
  <div>
    <Teleport :to="seat" :disabled="seat === null">
      <div class="editor">
        <div class="head">
          <span :id="labelId" class="label">{{ label }}</span>
          <IconButton
            v-if="!disabled"
            v-show="!isWide"
            :icon="IconArrowsMaximize"
            :label="t('setup.text.widen', { name: label })"
            :size="15"
            @click="isWide = true"
          />
        </div>
        <template v-if="!disabled">
          <div class="bars">
            <TextTools :tools="tools" :label="t('setup.text.tools')" />
            <TextTools v-if="isInTable" :tools="inTable" :label="t('setup.text.tableTools')" />
            <p v-if="notPicture" class="strip wrong" role="alert">
              {{ t('setup.text.notPicture', { name: notPicture }) }}
            </p>
            <div v-if="asked === 'link'" class="strip">
              <LinkForm
                v-bind="linked"
                @address="(href, typed) => (linkAddress(href, typed), (asked = null))"
                @item="(item) => (linkItem(item), (asked = null))"
                @unlink="(unlink(), (asked = null))"
                @close="close"
              />
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
          <FilePicker
            ref="picker"
            accept="image/*"
            multiple
            :label="t('setup.text.choosePicture')"
            @pick="takePictures"
          />
        </template>
        <EditorContent v-if="editor" :editor="editor" class="content" />
        <p v-if="room" :class="['room', { wrong: isTooLong }]" role="status">{{ room }}</p>
      </div>
    </Teleport>
    <WideText v-if="editor" v-model="isWide" :editor="editor" :title="title ?? label" @seat="seat = $event" />
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

.head {
  display: flex;
  align-items: center;
  justify-content: space-between;
  padding: 2px 4px 0 12px;
}

.label {
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

.room {
  padding: 4px 12px 8px;
  color: var(--ink-soft);
  font-size: 13px;
}

.room.wrong {
  color: var(--blocker);
}
</style>
