<script setup lang="ts">
/** Until when one's own payment counts, what is taken then, and ending that; where it was refused, paying it. */
import type { RenewalAnswer } from '@itinerary/contract';
import { computed, ref, shallowRef } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../../api/client.ts';
import { useLive } from '../../stores/live.ts';
import { useMomentWords } from '../../stores/moment-words.ts';
import PushButton from '../../ui/frame/PushButton.vue';
import { formatAmount } from '../../words/intl.ts';
import { useAttempt } from '../../words/use-attempt.ts';

const props = defineProps<{ courseId: string }>();
const { t, locale } = useI18n();
const when = useMomentWords();
const renewal = shallowRef<RenewalAnswer['renewal']>(null);
const { failure, isUnderWay, attempt } = useAttempt();
const said = ref('');
const params = computed(() => ({ course: props.courseId }));

/** The page is there without it: what does not come now comes with the next that is told. */
const read = (): Promise<void> =>
  ask('GET /api/learn/{course}/renewal', { params: params.value }).then(
    (answer) => {
      ({ renewal: renewal.value } = answer);
    },
    () => undefined,
  );
void read();
useLive(() => void read());

const says = computed(() => {
  const now = renewal.value;
  if (now === null) return '';
  const { until, lapses, isOwed, isStopped, zone, months } = now;
  const facts = {
    amount: formatAmount(now.amount, now.currency, locale.value),
    until: when(Date.parse(isOwed ? lapses : until), zone),
  };
  const kind = isOwed ? 'owed' : isStopped ? 'ends' : 'renews';
  return t(`learner.period.${kind}`, { ...facts, months }, months);
});

const stop = (stops: boolean): Promise<boolean> =>
  attempt(async () => {
    const answer = await ask('PUT /api/learn/{course}/renewal', { params: params.value, body: { stops } });
    renewal.value = answer.renewal;
    said.value = t(stops ? 'learner.period.stopped' : 'learner.period.resumed');
  });
const pay = (): Promise<boolean> =>
  attempt(async () => {
    const body = { way: 'paying' as const, answer: null };
    const { page } = await ask('POST /api/join/to/{course}', { params: params.value, body });
    // The desk has pages of its own, and leads back.
    if (page === null) await read();
    else location.assign(page);
  });
</script>

<template>
  <section v-if="renewal !== null" class="period" aria-labelledby="paid-period">
    <h2 id="paid-period">{{ t('learner.period.title') }}</h2>
    <p :class="{ owed: renewal.isOwed }">{{ says }}</p>
    <p class="said" role="status">{{ said }}</p>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <PushButton v-if="renewal.isOwed" weight="main" :disabled="isUnderWay" @click="pay">
      {{ t('learner.period.pay') }}
    </PushButton>
    <PushButton v-else :disabled="isUnderWay" @click="stop(!renewal.isStopped)">
      {{ t(renewal.isStopped ? 'learner.period.resume' : 'learner.period.stop') }}
    </PushButton>
  </section>
</template>

<style scoped>
.period {
  display: grid;
  gap: 8px;
  justify-items: start;
  max-width: 560px;
  margin-top: 24px;
  padding: 14px 16px;
  border-top: 3px solid var(--route);
  background: var(--card);
}

h2 {
  font-size: 17px;
}

.owed {
  padding-inline-start: 10px;
  border-inline-start: 4px solid var(--advice);
}

.said:empty {
  display: none;
}

.failure {
  color: var(--blocker);
}
</style>
