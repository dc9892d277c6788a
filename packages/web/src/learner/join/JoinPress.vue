<script setup lang="ts">
/** What somebody can do about joining now: join, ask, wait, take the seat that is offered; and why not, if not. */
import type { JoinedAnswer, JoinPageAnswer } from '@itinerary/contract';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import { VTextarea } from 'vuetify/components/VTextarea';
import { ask, ProblemError } from '../../api/client.ts';
import { MOST_ANSWER } from '../../stores/limits.ts';
import { useMomentWords } from '../../stores/moment-words.ts';
import { useSession } from '../../stores/session.ts';
import { formatAmount } from '../../words/intl.ts';
import PushButton from '../../ui/frame/PushButton.vue';
import { useProblemSentence } from '../../words/problems.ts';
import InvitedAccount from './InvitedAccount.vue';

const props = defineProps<{
  page: JoinPageAnswer;
  /** The code, or what the letter of an invitation holds; null: they know of the course. */
  by: string | null;
  /** Of several ways this one. */
  which?: number;
}>();
/** It stands otherwise than it did: to be asked anew. */
const emit = defineEmits<{ changed: [] }>();
const { t, locale } = useI18n();
const route = useRoute();
const router = useRouter();
const session = useSession();
const sentence = useProblemSentence();
const when = useMomentWords();
const answer = ref('');
const failure = ref<string | null>(null);
const said = ref('');
const isUnderWay = ref(false);

const way = computed(() => props.page.ways[props.which ?? 0]!);
const can = computed(() => way.value.answer);
const zone = computed(() => props.page.course.zone);
const isHere = computed(() => session.person !== null);
const isIn = computed(() => can.value.can === 'no' && can.value.because === 'in');
const isRequest = computed(() => way.value.way === 'request' && !way.value.isOffered);
const amount = computed(() => {
  const { price } = way.value;
  return price === null ? '' : formatAmount(price.amount, price.currency, locale.value);
});
const isAsked = computed(
  () => way.value.way === 'request' && isHere.value && props.page.request?.state === 'open' && !isIn.value,
);
const isWaiting = computed(() => can.value.can === 'wait' && can.value.isIn);
const mayCome = computed(() => can.value.can !== 'no' && !isAsked.value && !isWaiting.value);
const makesAccount = computed(
  () => !isHere.value && props.page.invited?.hasAccount === false && can.value.can !== 'no',
);
const onward = computed(() => ({ then: route.fullPath }));

/** Why not, and when that changes by itself. */
const says = computed(() => {
  const now = can.value;
  const until = 'until' in now && now.until !== null ? when(now.until, zone.value) : null;
  if (isAsked.value) {
    return t('learner.join.asked', { when: when(Date.parse(props.page.request!.askedAt), zone.value) });
  }
  if (way.value.isPaying) return t('learner.join.underWay');
  if (now.can === 'yes') {
    if (way.value.isOffered && until !== null) return t('learner.join.offered', { until });
    if (until !== null) return t('learner.join.until', { until });
    return isRequest.value ? t('learner.join.lead2') : '';
  }
  if (now.can === 'wait') {
    const wait = isRequest.value ? 'waitAsk' : 'wait';
    return t(`learner.join.${now.isIn ? 'place' : wait}`, { place: now.place });
  }
  if (now.because === 'not_for') {
    // Who they are is not known before they have signed in.
    if (!isHere.value) return t('learner.join.notKnown');
    return t(`learner.join.missing.${now.missing[0] ?? 'staff'}`, { course: way.value.after ?? '' });
  }
  const dated = until !== null && (now.because === 'draft' || now.because === 'not_yet');
  return t(`learner.join.because.${now.because}${dated ? '_until' : ''}`, { until: until ?? '' });
});
const costs = computed(() => {
  const { price } = way.value;
  if (price === null || isIn.value || can.value.can === 'no') return '';
  const until = price.until === null ? null : when(price.until, zone.value);
  const costs =
    until === null
      ? t('learner.join.costs', { amount: amount.value })
      : t('learner.join.costsUntil', { amount: amount.value, until });
  if (price.months === null || price.amount === 0) return costs;
  return `${costs} ${t('learner.join.again', { months: price.months }, price.months)}`;
});
const press = computed(() => {
  if (way.value.isPaying) return t('learner.join.toDesk');
  if (way.value.isOffered && way.value.way !== 'paying') return t('learner.join.take');
  if (way.value.way === 'paying' && can.value.can === 'yes')
    return t('learner.join.pay', { amount: amount.value });
  if (isRequest.value) return t('learner.join.ask');
  return t(can.value.can === 'wait' ? 'learner.join.enter' : 'learner.join.press');
});
const mayLeave = computed(
  () => isAsked.value || isWaiting.value || way.value.isOffered || way.value.isPaying,
);
const leaving = computed(() => {
  if (way.value.isPaying) return t('learner.join.noPay');
  if (way.value.isOffered) return t('learner.join.decline');
  return t(isAsked.value ? 'learner.join.askBack' : 'learner.join.noLonger');
});

async function attempt(work: () => Promise<void>): Promise<void> {
  failure.value = null;
  said.value = '';
  isUnderWay.value = true;
  try {
    await work();
  } catch (error) {
    // What stands in the way now is told as it stands.
    if (error instanceof ProblemError && error.problem.code === 'cannot_join') emit('changed');
    else failure.value = sentence(error);
  } finally {
    isUnderWay.value = false;
  }
}
async function come(): Promise<JoinedAnswer> {
  if (props.by !== null) return ask('POST /api/join/{key}', { params: { key: props.by } });
  const body = { way: way.value.way, answer: answer.value.trim() === '' ? null : answer.value };
  return ask('POST /api/join/to/{course}', { params: { course: props.page.course.id }, body });
}
async function comeIn(): Promise<void> {
  const { course, is, page } = await come();
  if (page !== null) {
    // The desk has pages of its own, and leads back here.
    location.assign(page);
    return;
  }
  if (is === 'in') await router.push(`/courses/${course}`);
  else {
    said.value = t(is === 'asked' ? 'learner.join.askedNow' : 'learner.join.waited');
    emit('changed');
  }
}
const join = (): Promise<void> => attempt(comeIn);
const makeAndJoin = (name: string, password: string): Promise<void> =>
  attempt(async () => {
    await session.byInvitation(props.by ?? '', name, password);
    await comeIn();
  });
const leave = (): Promise<void> =>
  attempt(async () => {
    await ask('DELETE /api/join/to/{course}', { params: { course: props.page.course.id } });
    emit('changed');
  });
</script>

<template>
  <section class="press" :aria-label="t(`learner.join.by.${way.way}`)">
    <p v-if="page.invited">{{ t('learner.join.invited', { address: page.invited.address }) }}</p>
    <p v-if="page.request?.state === 'no' && isHere && !isIn" class="refused">
      {{ t('learner.join.refused', { reason: page.request.reason ?? '' }) }}
    </p>
    <p v-if="costs" class="figures">{{ costs }}</p>
    <p v-if="says" class="says">{{ says }}</p>
    <p class="said" role="status">{{ said }}</p>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <RouterLink v-if="isIn" class="button main" :to="`/courses/${page.course.id}`">
      {{ t('learner.join.open') }}
    </RouterLink>
    <InvitedAccount v-else-if="makesAccount" :is-under-way="isUnderWay" @make="makeAndJoin" />
    <p v-else-if="!isHere && (can.can !== 'no' || can.because === 'not_for')" class="acts">
      <RouterLink class="button main" :to="{ path: '/sign-in', query: onward }">
        {{ t(way.way === 'paying' ? 'learner.join.signInPay' : 'learner.join.signIn') }}
      </RouterLink>
      <RouterLink
        v-if="page.invited?.hasAccount !== true"
        class="button"
        :to="{ path: '/account/new', query: onward }"
      >
        {{ t('learner.join.newAccount') }}
      </RouterLink>
    </p>
    <template v-else-if="isHere">
      <p v-if="page.invited && session.person && mayCome" class="soft">
        {{ t('learner.join.other', { name: session.person.name }) }}
      </p>
      <template v-if="mayCome && isRequest && way.question !== null">
        <p class="question">{{ way.question }}</p>
        <VTextarea
          v-model="answer"
          class="answer"
          :label="t('learner.join.question')"
          :rows="3"
          auto-grow
          :maxlength="MOST_ANSWER"
          variant="outlined"
          density="comfortable"
          hide-details="auto"
        />
      </template>
      <p v-if="mayCome || mayLeave" class="acts">
        <PushButton
          v-if="mayCome"
          weight="main"
          :disabled="isUnderWay || (isRequest && way.question !== null && answer.trim() === '')"
          @click="join"
        >
          {{ press }}
        </PushButton>
        <PushButton v-if="mayLeave" :disabled="isUnderWay" @click="leave">{{ leaving }}</PushButton>
      </p>
    </template>
  </section>
</template>

<style scoped>
.press {
  display: grid;
  gap: 10px;
  justify-items: start;
  padding: 16px 18px;
  border-top: 3px solid var(--route);
  background: var(--card);
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}

.question {
  font-weight: 600;
}

.answer {
  width: 100%;
}

.said:empty {
  display: none;
}

.refused {
  padding-inline-start: 10px;
  border-inline-start: 4px solid var(--advice);
}

.failure {
  color: var(--blocker);
}
</style>
