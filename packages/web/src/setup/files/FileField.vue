<script setup lang="ts">
/** The file of an item: chosen or dropped, described, taken off. Several at once make several items. */
import { IconFile, IconUpload, IconX } from '@tabler/icons-vue';
import { findNode, newItem, setField, traitsOf } from '@itinerary/core';
import type { CourseFileRef, Edit, FieldValue, FiledItem } from '@itinerary/core';
import type { UploadAnswer } from '@itinerary/contract';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { path } from '../../api/client.ts';
import { formatBytes } from '../../words/bytes.ts';
import { newId } from '../../stores/new-id.ts';
import { usePlan } from '../../stores/plan.ts';
import { useUploads } from '../../stores/uploads.ts';
import { asRef, placeOf, titleOf } from './arrivals.ts';
import { filmLength } from './film-length.ts';
import PictureWords from './PictureWords.vue';
import IconButton from '../../ui/frame/IconButton.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import FilePicker from '../../ui/frame/FilePicker.vue';

const props = defineProps<{ item: FiledItem; readonly: boolean }>();
const { t, locale } = useI18n();
const plan = usePlan();
const uploads = useUploads();
const picker = ref<{ open: () => void } | null>(null);
const isOver = ref(false);
const file = computed(() => props.item.file);
const isPicture = computed(() => file.value?.type.startsWith('image/') === true);
const source = computed(() =>
  file.value === null ? '' : path`/api/courses/${plan.course!.id}/files/${file.value.hash}`,
);

function set(value: CourseFileRef | null, typing = false): void {
  plan.set(props.item.id, 'file', value as FieldValue, file.value as FieldValue, { typing });
}

/** A title that nobody has typed yet becomes the file's; a film brings its length along. */
function arrived(id: string, answer: UploadAnswer, seconds: number | null): void {
  const item = plan.course === null ? undefined : findNode(plan.course, id)?.node;
  if (item === undefined || !('file' in item)) return;
  const isFresh = item.title === t(`setup.outline.fresh.${item.kind}`);
  const edits: Edit[] = [setField(item, 'file', asRef(answer))];
  if (isFresh) edits.push(setField(item, 'title', titleOf(answer.name)));
  if (item.kind === 'video' && seconds !== null) edits.push(setField(item, 'seconds', seconds));
  plan.change(edits);
}

/** The first is this item's; each of the others becomes an item after it. */
function take(files: readonly File[]): void {
  const { id } = props.item;
  let after = id;
  files.forEach((one, at) => {
    if (at === 0) {
      const lasting = props.item.kind === 'video' ? filmLength(one) : Promise.resolve(null);
      uploads.add(one, (answer) => void lasting.then((seconds) => arrived(id, answer, seconds)));
      return;
    }
    const made = newId();
    const before = after;
    after = made;
    uploads.add(one, (answer: UploadAnswer) => {
      const parent = placeOf(plan.course, id);
      if (parent === null || traitsOf(props.item).file === 'film') return;
      const node = newItem('file', { id: made, title: titleOf(answer.name), file: asRef(answer) });
      plan.change([
        { kind: 'insert', parent, after: placeOf(plan.course, before) === parent ? before : id, node },
      ]);
    });
  });
}

function drop(event: DragEvent): void {
  isOver.value = false;
  if (!props.readonly) take([...(event.dataTransfer?.files ?? [])]);
}

function say(field: 'alt' | 'author' | 'licence', text: string | null, typing: boolean): void {
  if (file.value !== null) set({ ...file.value, [field]: text }, typing);
}
</script>

<template>
  <div
    :class="['file', { over: isOver }]"
    @dragover.prevent="isOver = true"
    @dragleave="isOver = false"
    @drop.prevent.stop="drop"
  >
    <div v-if="file" class="there">
      <img v-if="isPicture" :src="source" :alt="file.alt ?? ''" />
      <IconFile v-else :size="28" :stroke-width="1.5" aria-hidden="true" />
      <span class="words">
        <a :href="source" target="_blank" rel="noopener">{{ file.name }}</a>
        <span class="soft figures">{{ formatBytes(file.size, locale) }}</span>
      </span>
      <IconButton
        v-if="!readonly"
        :icon="IconX"
        :label="t('setup.files.takeOff', { name: file.name })"
        @click="set(null)"
      />
    </div>
    <p v-else class="soft">{{ t('setup.files.none') }}</p>
    <template v-if="!readonly">
      <PushButton small @click="picker?.open()">
        <IconUpload :size="16" aria-hidden="true" />
        {{ t(file === null ? 'setup.files.choose' : 'setup.files.replace') }}
      </PushButton>
      <span class="soft hint">{{ t('setup.files.dropHere', { limit: uploads.limit }) }}</span>
      <FilePicker ref="picker" multiple :label="t('setup.files.choose')" @pick="take" />
    </template>
    <PictureWords v-if="file && isPicture" :words="file" :readonly="readonly" @say="say" />
  </div>
</template>

<style scoped>
.file {
  display: grid;
  gap: 8px;
  justify-items: start;
  padding: 10px 12px;
  border: 1px dashed var(--field-rule);
  border-radius: 6px;
}

.over {
  border-color: var(--bottle);
  background: var(--bottle-pale);
}

.there {
  display: flex;
  gap: 10px;
  align-items: center;
  width: 100%;
}

.there img {
  max-width: 120px;
  max-height: 80px;
  border-radius: 4px;
}

.words {
  display: grid;
  flex: 1;
  min-width: 0;
  overflow-wrap: anywhere;
}

.hint {
  font-size: 12.5px;
}
</style>
