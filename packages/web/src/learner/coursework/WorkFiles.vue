<script setup lang="ts">
/** Files of what is begun: several at once, each with its bar and a stop. */
import { IconFile, IconTrash, IconX } from '@tabler/icons-vue';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { ProblemError } from '../../api/client.ts';
import { useProblemSentence } from '../../words/problems.ts';
import { formatBytes } from '../../words/bytes.ts';
import FilePicker from '../../ui/frame/FilePicker.vue';
import IconButton from '../../ui/frame/IconButton.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import type { OnItsWay } from './use-begun.ts';

const props = defineProps<{
  files: readonly { readonly hash: string; readonly name: string; readonly size: number }[];
  uploads: readonly OnItsWay[];
  /** So many are taken, each of so many megabytes; null: not known yet, and what comes by then waits. */
  most: number;
  megabytes: number | null;
  /** What is taken, in words. */
  says: string;
  /** Where one of them can be had; none: nowhere yet. */
  hrefOf?: (hash: string) => string;
}>();
const emit = defineEmits<{ add: [files: readonly File[]]; stop: [id: string]; remove: [hash: string] }>();
const { t, locale } = useI18n();
const sentence = useProblemSentence();
const picker = ref<{ open: () => void } | null>(null);
const isOver = ref(false);
const tooLarge = ref<readonly string[]>([]);
const MEGABYTE = 1_000_000;

const hasRoom = computed(
  () => props.megabytes !== null && props.files.length + props.uploads.length < props.most,
);
/** The server's sentence names the file and what it is. */
const why = (error: unknown): string =>
  error instanceof ProblemError && error.problem.errors?.[0] !== undefined
    ? (error.problem.detail ?? sentence(error))
    : sentence(error);

/** Chosen before it is known how large they may be. */
let early: readonly File[] = [];
/** What is larger than is taken is said before a byte of it is sent. */
function come(chosen: readonly File[]): void {
  if (props.megabytes === null) {
    early = [...early, ...chosen];
    return;
  }
  const most = props.megabytes * MEGABYTE;
  tooLarge.value = chosen.filter(({ size }) => size > most).map(({ name }) => name);
  emit(
    'add',
    chosen.filter(({ size }) => size <= most),
  );
}
watch(
  () => props.megabytes,
  () => {
    if (early.length === 0) return;
    const waited = early;
    early = [];
    come(waited);
  },
);
function drop(event: DragEvent): void {
  isOver.value = false;
  come([...(event.dataTransfer?.files ?? [])]);
}
</script>

<template>
  <div
    :class="['files', { over: isOver }]"
    @dragover.prevent="isOver = true"
    @dragleave="isOver = false"
    @drop.prevent="drop"
  >
    <ul v-if="files.length + uploads.length > 0">
      <li v-for="file in files" :key="file.hash">
        <IconFile :size="17" aria-hidden="true" />
        <a v-if="hrefOf" :href="hrefOf(file.hash)" download>{{ file.name }}</a>
        <span v-else>{{ file.name }}</span>
        <span class="soft figures">{{ formatBytes(file.size, locale) }}</span>
        <IconButton
          :icon="IconTrash"
          :label="t('work.own.remove', { name: file.name })"
          :size="16"
          @click="emit('remove', file.hash)"
        />
      </li>
      <li v-for="one in uploads" :key="one.id">
        <IconFile :size="17" aria-hidden="true" />
        <span>{{ one.name }}</span>
        <span v-if="one.error !== null" class="failure" role="alert">{{ why(one.error) }}</span>
        <span v-else-if="one.isAway" class="soft" role="status">{{ t('work.own.waits') }}</span>
        <progress
          v-else
          :value="one.sent"
          :max="one.size"
          :aria-label="t('work.own.sending', { name: one.name })"
        />
        <IconButton
          :icon="IconX"
          :label="t('work.own.stop', { name: one.name })"
          :size="16"
          @click="emit('stop', one.id)"
        />
      </li>
    </ul>
    <p v-for="name in tooLarge" :key="name" class="failure" role="alert">
      {{ t('work.own.tooLarge', { name, megabytes: megabytes ?? '' }) }}
    </p>
    <p class="soft">{{ says }}</p>
    <FilePicker ref="picker" multiple :label="t('work.own.choose')" @pick="come" />
    <PushButton :disabled="!hasRoom" @click="picker?.open()">{{ t('work.own.choose') }}</PushButton>
  </div>
</template>

<style scoped>
.files {
  display: grid;
  gap: 8px;
  justify-items: start;
  padding: 10px 12px;
  border: 1px dashed var(--field-rule);
  border-radius: 6px;
}

.files.over {
  background: var(--bottle-pale);
}

ul {
  width: 100%;
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
  min-height: 34px;
  border-bottom: 1px solid var(--rule);
  overflow-wrap: anywhere;
}

li > :last-child {
  margin-inline-start: auto;
}

.failure {
  color: var(--blocker);
}
</style>
