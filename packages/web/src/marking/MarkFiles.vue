<script setup lang="ts">
/** Files that are given back with a mark. */
import { IconUpload, IconX } from '@tabler/icons-vue';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { MOST_MARK_FILES } from '../stores/limits.ts';
import FilePicker from '../ui/frame/FilePicker.vue';
import IconButton from '../ui/frame/IconButton.vue';
import PushButton from '../ui/frame/PushButton.vue';
import { useProblemSentence } from '../words/problems.ts';
import type { BegunMark } from './use-begun-mark.ts';

const props = defineProps<{ begun: BegunMark }>();
const { t } = useI18n();
const sentence = useProblemSentence();
const picker = ref<{ open: () => void } | null>(null);
const { files, sending, leftOut, refused, take } = props.begun;
</script>

<template>
  <div class="back" role="group" :aria-label="t('work.marking.back')">
    <ul v-if="files.length + sending.length > 0">
      <li v-for="file in files" :key="file.hash">
        <span>{{ file.name }}</span>
        <IconButton
          :icon="IconX"
          :label="t('work.marking.backTake', { name: file.name })"
          @click="files = files.filter(({ hash }) => hash !== file.hash)"
        />
      </li>
      <li v-for="(name, at) in sending" :key="at" class="soft" role="status">
        {{ t('work.marking.sendingBack', { name }) }}
      </li>
    </ul>
    <PushButton v-if="files.length + sending.length < MOST_MARK_FILES" small @click="picker?.open()">
      <IconUpload :size="16" aria-hidden="true" /> {{ t('work.marking.addBack') }}
    </PushButton>
    <FilePicker ref="picker" multiple :label="t('work.marking.back')" @pick="take" />
    <p v-if="leftOut.length > 0" class="failure" role="alert">
      {{ t('work.marking.backMost', { names: leftOut.join(', '), most: MOST_MARK_FILES }) }}
    </p>
    <p v-if="refused !== null" class="failure" role="alert">{{ sentence(refused) }}</p>
  </div>
</template>

<style scoped>
.back {
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
  display: flex;
  gap: 8px;
  align-items: center;
  justify-content: space-between;
  overflow-wrap: anywhere;
}

.failure {
  color: var(--blocker);
}
</style>
