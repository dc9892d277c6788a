<script setup lang="ts">
/** Where a list comes from: pasted, or a file that is chosen or dropped. */
import { IconFileSpreadsheet } from '@tabler/icons-vue';
import { MAX_LIST_LENGTH } from '@itinerary/core/people';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextarea } from 'vuetify/components/VTextarea';
import { formatBytes } from '../../../words/bytes.ts';
import FilePicker from '../../../ui/frame/FilePicker.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import type { ListSource } from './use-list.ts';

/** What the list is for, where it is not a class list. */
defineProps<{ lead?: string }>();
const emit = defineEmits<{ come: [source: ListSource] }>();
const { t, locale } = useI18n();
const pasted = ref('');
const wrong = ref<string | null>(null);
const isOver = ref(false);
const picker = ref<{ open: () => void } | null>(null);

/** What no list can be is not even read: as many bytes as the longest has in any encoding. */
const MOST_BYTES = MAX_LIST_LENGTH * 2;

async function come(files: readonly File[]): Promise<void> {
  wrong.value = null;
  const [file] = files;
  if (file === undefined) return;
  if (file.size > MOST_BYTES) {
    const size = (bytes: number): string => formatBytes(bytes, locale.value);
    wrong.value = t('setup.members.list.tooLarge', {
      name: file.name,
      size: size(file.size),
      most: size(MOST_BYTES),
    });
    return;
  }
  try {
    emit('come', { name: file.name, list: new Uint8Array(await file.arrayBuffer()) });
  } catch {
    wrong.value = t('setup.members.list.unreadable', { name: file.name });
  }
}
function drop(event: DragEvent): void {
  isOver.value = false;
  void come([...(event.dataTransfer?.files ?? [])]);
}
</script>

<template>
  <section class="start" aria-labelledby="list-start">
    <h2 id="list-start" :class="{ 'visually-hidden': lead !== undefined }">
      {{ t('setup.members.readList') }}
    </h2>
    <p class="soft lead">{{ lead ?? t('setup.members.list.lead') }}</p>
    <div class="ways">
      <div
        :class="['file', { over: isOver }]"
        @dragover.prevent="isOver = true"
        @dragleave="isOver = false"
        @drop.prevent="drop"
      >
        <IconFileSpreadsheet :size="36" aria-hidden="true" />
        <p>{{ t('setup.members.list.drop') }}</p>
        <PushButton weight="main" @click="picker?.open()">{{ t('setup.members.list.choose') }}</PushButton>
        <p class="soft">{{ t('setup.members.list.kinds') }}</p>
        <FilePicker
          ref="picker"
          :label="t('setup.members.list.choose')"
          accept=".csv,.tsv,.txt,.xlsx,.zip"
          @pick="come"
        />
      </div>
      <div class="paste">
        <VTextarea
          v-model="pasted"
          :label="t('setup.members.list.paste')"
          :placeholder="t('setup.members.list.pasteLike')"
          rows="8"
          spellcheck="false"
        />
        <PushButton :disabled="pasted.trim() === ''" @click="emit('come', { name: '', list: pasted })">
          {{ t('setup.members.list.read') }}
        </PushButton>
      </div>
    </div>
    <p v-if="wrong" class="failure" role="alert">{{ wrong }}</p>
  </section>
</template>

<style scoped>
.start {
  display: grid;
  gap: 12px;
}

h2 {
  font-size: 20px;
}

.lead {
  max-width: 66ch;
}

.ways {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: 16px;
}

.file {
  display: grid;
  gap: 10px;
  place-content: center;
  justify-items: center;
  min-height: 240px;
  padding: 20px;
  border: 2px dashed var(--field-rule);
  border-radius: 8px;
  background: var(--card);
  text-align: center;
}

.file.over {
  border-color: var(--bottle);
  background: var(--bottle-pale);
}

.paste {
  display: grid;
  gap: 10px;
  justify-items: start;
}

.paste > :first-child {
  width: 100%;
}

.failure {
  color: var(--blocker);
}
</style>
