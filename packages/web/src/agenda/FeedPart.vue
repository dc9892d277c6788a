<script setup lang="ts">
/** The address at which a calendar program reads one's calendar: whoever has it reads it. */
import type { FeedAnswer } from '@itinerary/contract';
import { computed, ref, shallowRef } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextField } from 'vuetify/components/VTextField';
import { ask } from '../api/client.ts';
import PushButton from '../ui/frame/PushButton.vue';
import { useAttempt } from '../words/use-attempt.ts';

const { t } = useI18n();
const { failure, isUnderWay, attempt } = useAttempt();
const feed = shallowRef<FeedAnswer | null>(null);
const said = ref('');
const address = computed(() => (feed.value?.path == null ? null : `${location.origin}${feed.value.path}`));

async function unfold(event: Event): Promise<void> {
  if (!(event.target as HTMLDetailsElement).open || feed.value !== null) return;
  await attempt(async () => {
    feed.value = await ask('GET /api/calendar/feed', {});
  });
}
const make = (): Promise<boolean> =>
  attempt(async () => {
    const isAnew = address.value !== null;
    feed.value = await ask('POST /api/calendar/feed', {});
    said.value = isAnew ? t('agenda.feed.madeAnew') : '';
  });
const end = (): Promise<boolean> =>
  attempt(async () => {
    feed.value = await ask('DELETE /api/calendar/feed', {});
    said.value = t('agenda.feed.ended');
  });
async function copy(): Promise<void> {
  try {
    await navigator.clipboard.writeText(address.value ?? '');
    said.value = t('agenda.feed.copied');
  } catch {
    said.value = t('agenda.feed.notCopied');
  }
}
</script>

<template>
  <details class="feed" @toggle="unfold">
    <summary>{{ t('agenda.feed.title') }}</summary>
    <p>{{ t('agenda.feed.text') }}</p>
    <template v-if="address !== null">
      <VTextField
        class="figures-field"
        :model-value="address"
        :label="t('agenda.feed.address')"
        readonly
        dir="ltr"
        variant="outlined"
        density="comfortable"
        hide-details
      />
      <p class="acts">
        <PushButton weight="main" @click="copy">{{ t('agenda.feed.copy') }}</PushButton>
        <PushButton :disabled="isUnderWay" @click="make">{{ t('agenda.feed.anew') }}</PushButton>
        <PushButton :disabled="isUnderWay" @click="end">{{ t('agenda.feed.end') }}</PushButton>
      </p>
    </template>
    <p v-else-if="feed !== null">
      <PushButton weight="main" :disabled="isUnderWay" @click="make">{{ t('agenda.feed.make') }}</PushButton>
    </p>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <p role="status" class="said">{{ said }}</p>
  </details>
</template>

<style scoped>
.feed {
  display: grid;
  gap: 10px;
  max-width: 720px;
  padding: 10px 0;
  border-top: 1px solid var(--rule);
}

summary {
  font-weight: 600;
  cursor: pointer;
}

.feed > * + * {
  margin-top: 10px;
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.said:empty {
  display: none;
}

.failure {
  color: var(--blocker);
}
</style>
