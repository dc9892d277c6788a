<script setup lang="ts">
/** What has been handed in, each with its receipt. */
import type { ReceiptAnswer } from '@itinerary/contract';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { path } from '../../api/client.ts';
import PushButton from '../../ui/frame/PushButton.vue';
import FileLines from './FileLines.vue';
import { useMomentWords } from '../../stores/moment-words.ts';

const props = defineProps<{
  courseId: string;
  itemId: string;
  handed: readonly ReceiptAnswer[];
  zone: string;
}>();
const { t } = useI18n();
const when = useMomentWords();
const receiptOf = ({ id }: ReceiptAnswer): string =>
  path`/api/learn/${props.courseId}/items/${props.itemId}/coursework/handed/${id}/receipt`;

/** What came of having them hashed anew, here on the device. */
const checked = ref<ReadonlyMap<string, string>>(new Map());
async function check(one: ReceiptAnswer): Promise<void> {
  const says = (words: string): void => {
    checked.value = new Map([...checked.value, [one.id, words]]);
  };
  try {
    const answer = await fetch(receiptOf(one));
    if (!answer.ok) throw new Error(String(answer.status));
    const digest = await crypto.subtle.digest('SHA-256', await answer.arrayBuffer());
    const hash = [...new Uint8Array(digest)].map((byte) => byte.toString(16).padStart(2, '0')).join('');
    says(t(hash === one.hash ? 'work.own.receiptSame' : 'work.own.receiptOther'));
  } catch {
    says(t('work.own.receiptAway'));
  }
}
</script>

<template>
  <template v-if="handed.length > 0">
    <h3>{{ t('work.own.receipts') }}</h3>
    <details v-for="(one, at) in handed" :key="one.id" class="receipt">
      <summary>
        <span class="figures">{{ when(Date.parse(one.at), zone) }}</span>
        <strong :class="one.isLate ? 'late' : 'on-time'">
          {{ t(one.isLate ? 'work.own.wasLate' : 'work.own.wasOnTime') }}
        </strong>
        <span v-if="at === 0 && handed.length > 1" class="soft">{{ t('work.own.counts') }}</span>
        <span v-if="one.by !== null" class="soft">{{ t('work.own.by', { name: one.by }) }}</span>
      </summary>
      <p v-if="one.text" class="text" dir="auto">{{ one.text }}</p>
      <p v-if="one.address">
        <a :href="one.address" target="_blank" rel="noopener noreferrer" dir="ltr">{{ one.address }}</a>
      </p>
      <FileLines
        :label="t('work.own.receipt', { number: one.attempt })"
        :files="one.files"
        :href-of="(hash) => path`/api/learn/${courseId}/items/${itemId}/coursework/files/${hash}`"
      />
      <p class="soft">
        {{ t('work.own.receipt', { number: one.attempt }) }}
        <code class="figures" dir="ltr">{{ one.hash }}</code>
      </p>
      <p class="acts">
        <a :href="receiptOf(one)" download>{{ t('work.own.receiptSave') }}</a>
        <PushButton small @click="check(one)">{{ t('work.own.receiptCheck') }}</PushButton>
        <span role="status">{{ checked.get(one.id) ?? '' }}</span>
      </p>
    </details>
  </template>
</template>

<style scoped>
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
  font-size: 14px;
}

h3 {
  font-size: 15.5px;
}

.receipt {
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);
}

summary > span,
summary > strong {
  margin-inline-end: 10px;
}

.late {
  color: var(--advice);
}

.on-time {
  color: var(--open);
}

.text {
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}

code {
  display: block;
  font-size: 12px;
  overflow-wrap: anywhere;
}
</style>
