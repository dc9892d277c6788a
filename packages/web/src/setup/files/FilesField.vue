<script setup lang="ts">
/** Files that go with something: several can be added, each can be looked at and taken off. */
import { IconFile, IconUpload, IconX } from '@tabler/icons-vue';
import type { CourseFileRef } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { path } from '../../api/client.ts';
import { usePlan } from '../../stores/plan.ts';
import { useUploads } from '../../stores/uploads.ts';
import FilePicker from '../../ui/frame/FilePicker.vue';
import IconButton from '../../ui/frame/IconButton.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import { formatBytes } from '../../words/bytes.ts';
import { asRef } from './arrivals.ts';

const props = defineProps<{
  label: string;
  files: readonly CourseFileRef[];
  most: number;
  readonly: boolean;
  /** Built on what stands there then: others may have changed it, and this may be gone, once a file has arrived. */
  put: (change: (before: readonly CourseFileRef[]) => CourseFileRef[]) => void;
}>();
const { t, locale } = useI18n();
const plan = usePlan();
const uploads = useUploads();
const picker = ref<{ open: () => void } | null>(null);
const hasRoom = computed(() => props.files.length < props.most);

function take(chosen: readonly File[]): void {
  const { put, most } = props;
  for (const file of chosen.slice(0, most - props.files.length)) {
    uploads.add(file, (answer) =>
      put((before) => [...before.filter(({ hash }) => hash !== answer.hash), asRef(answer)].slice(0, most)),
    );
  }
}
</script>

<template>
  <div class="files" role="group" :aria-label="label">
    <p class="soft">{{ label }}</p>
    <ul v-if="files.length > 0">
      <li v-for="file in files" :key="file.hash">
        <IconFile :size="17" aria-hidden="true" />
        <a
          :href="path`/api/courses/${plan.course?.id ?? ''}/files/${file.hash}`"
          target="_blank"
          rel="noopener"
          >{{ file.name }}</a
        >
        <span class="soft figures">{{ formatBytes(file.size, locale) }}</span>
        <IconButton
          v-if="!readonly"
          :icon="IconX"
          :label="t('setup.files.takeOff', { name: file.name })"
          @click="put((before) => before.filter(({ hash }) => hash !== file.hash))"
        />
      </li>
    </ul>
    <template v-if="!readonly && hasRoom">
      <PushButton small @click="picker?.open()">
        <IconUpload :size="16" aria-hidden="true" />
        {{ t('setup.files.choose') }}<span class="visually-hidden">: {{ label }}</span>
      </PushButton>
      <FilePicker ref="picker" :multiple="most > 1" :label="label" @pick="take" />
    </template>
  </div>
</template>

<style scoped>
.files {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 6px;
  justify-items: start;
}

ul {
  width: 100%;
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto auto;
  gap: 8px;
  align-items: center;
  overflow-wrap: anywhere;
}
</style>
