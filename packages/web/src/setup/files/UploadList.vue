<script setup lang="ts">
/** Files on their way, at the foot of the workspace. */
import { IconX } from '@tabler/icons-vue';
import { useI18n } from 'vue-i18n';
import { ProblemError } from '../../api/client.ts';
import { useProblemSentence } from '../../words/problems.ts';
import { LargerThan, useUploads } from '../../stores/uploads.ts';
import type { UploadEntry } from '../../stores/uploads.ts';
import IconButton from '../../ui/frame/IconButton.vue';

const { t } = useI18n();
const uploads = useUploads();
const sentence = useProblemSentence();

const percent = ({ sent, size }: UploadEntry): number => (size === 0 ? 0 : Math.round((100 * sent) / size));

function why({ error, name }: UploadEntry): string {
  if (error instanceof LargerThan) return t('setup.files.larger', { name, limit: error.megabytes });
  const wrong = error instanceof ProblemError ? error.problem.errors?.[0] : undefined;
  // The server's sentence names the file and what it is; it is said as it came.
  return wrong === undefined || !(error instanceof ProblemError)
    ? sentence(error)
    : (error.problem.detail ?? '');
}
</script>

<template>
  <section v-if="uploads.entries.length > 0" class="uploads" :aria-label="t('setup.files.onTheirWay')">
    <ul>
      <li v-for="entry in uploads.entries" :key="entry.id" :class="entry.state">
        <span class="name">{{ entry.name }}</span>
        <template v-if="entry.state === 'failed'">
          <span class="why" role="alert">{{ why(entry) }}</span>
        </template>
        <template v-else>
          <progress
            :value="percent(entry)"
            max="100"
            :aria-label="t('setup.files.progress', { name: entry.name })"
          />
          <span v-if="entry.isAway" role="status">{{ t('setup.files.away') }}</span>
          <span v-else class="figures">{{
            entry.state === 'waiting' ? t('setup.files.waits') : `${percent(entry)} %`
          }}</span>
        </template>
        <IconButton
          :icon="IconX"
          :label="
            t(entry.state === 'failed' ? 'setup.files.dismiss' : 'setup.files.stop', { name: entry.name })
          "
          :size="16"
          @click="uploads.stop(entry.id)"
        />
      </li>
    </ul>
  </section>
</template>

<style scoped>
.uploads {
  position: fixed;
  inset-inline-end: 16px;
  bottom: 104px;
  z-index: 20;
  width: min(420px, calc(100vw - 32px));
  max-height: 40vh;
  overflow: auto;
  border: 1px solid var(--field-rule);
  border-top: 3px solid var(--route);
  border-radius: 6px;
  background: var(--card);
}

ul {
  margin: 0;
  padding: 4px 10px;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 110px 52px 32px;
  gap: 8px;
  align-items: center;
  min-height: 34px;
}

.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.failed {
  grid-template-columns: minmax(0, 1fr) 32px;
}

.failed .why {
  grid-row: 2;
  color: var(--blocker);
  font-size: 13px;
}

progress {
  width: 100%;
  accent-color: var(--bottle);
}
</style>
