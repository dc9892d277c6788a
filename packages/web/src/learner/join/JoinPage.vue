<script setup lang="ts">
/** Joining a course by its code: typed here, or come with the address. Without an account one signs in on the way. */
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import type { JoinPageAnswer } from '@itinerary/contract';
import { ask, ProblemError } from '../../api/client.ts';
import { useMomentWords } from '../../stores/moment-words.ts';
import { useSession } from '../../stores/session.ts';
import AppBar from '../../ui/frame/AppBar.vue';
import { formatDays } from '../../words/dates.ts';
import { formatNumber } from '../../words/intl.ts';
import { setTitle } from '../../words/page-title.ts';
import { useProblemSentence } from '../../words/problems.ts';
import RichText from '../text/RichText.vue';

const { t, locale } = useI18n();
const route = useRoute();
const router = useRouter();
const session = useSession();
const sentence = useProblemSentence();
const when = useMomentWords();

const code = computed(() => String(route.params['code'] ?? ''));
const typed = ref('');
const page = ref<JoinPageAnswer | null>(null);
const failure = ref<string | null>(null);
const isUnderWay = ref(false);

async function attempt(work: () => Promise<void>): Promise<void> {
  failure.value = null;
  isUnderWay.value = true;
  try {
    await work();
  } catch (error) {
    const isUnknown = error instanceof ProblemError && error.problem.code === 'not_found';
    failure.value = isUnknown ? t('learner.join.unknown') : sentence(error);
  } finally {
    isUnderWay.value = false;
  }
}
const load = (): Promise<void> =>
  attempt(async () => {
    page.value = null;
    if (code.value === '') return;
    page.value = await ask('GET /api/join/{code}', { params: { code: code.value } });
    setTitle(page.value.course.title);
  });
watch(code, load, { immediate: true });

const join = (): Promise<void> =>
  attempt(async () => {
    try {
      const { course } = await ask('POST /api/join/{code}', { params: { code: code.value } });
      await router.push(`/courses/${course}`);
    } catch (error) {
      // What stands in the way now is told as it stands.
      if (error instanceof ProblemError && error.problem.code === 'cannot_join') await load();
      else throw error;
    }
  });
const toSignIn = computed(() => ({ path: '/sign-in', query: { then: `/join/${code.value}` } }));
const isHere = computed(() => session.person !== null);

/** Why not, and when that changes by itself. */
const says = computed(() => {
  const answer = page.value?.answer;
  if (answer === undefined) return '';
  const zone = page.value?.course.zone ?? 'UTC';
  const until = 'until' in answer && answer.until !== null ? when(answer.until, zone) : null;
  if (answer.can === 'yes') return until === null ? '' : t('learner.join.until', { until });
  if (answer.can === 'wait') return t('learner.join.because.full');
  if (answer.because === 'not_for') {
    // Who they are is not known before they have signed in.
    if (!isHere.value) return t('learner.join.notKnown');
    return t(`learner.join.missing.${answer.missing[0] ?? 'staff'}`);
  }
  const dated = until !== null && (answer.because === 'draft' || answer.because === 'not_yet');
  return t(`learner.join.because.${answer.because}${dated ? '_until' : ''}`, { until: until ?? '' });
});
const mayPress = computed(() => page.value?.answer.can === 'yes');
const isIn = computed(() => {
  const answer = page.value?.answer;
  return answer?.can === 'no' && answer.because === 'in';
});
const days = computed(() => {
  const course = page.value?.course;
  if (course?.firstDay == null || course.lastDay === null) return null;
  return formatDays(course.firstDay, course.lastDay, locale.value, session.today);
});
</script>

<template>
  <AppBar />
  <main id="main" class="join">
    <template v-if="page !== null">
      <p class="figures soft">{{ page.course.code }}</p>
      <h1>{{ page.course.title }}</h1>
      <p class="facts">
        <span v-if="days">{{ days }}</span>
        <span v-if="page.course.hoursAWeek">
          {{ t('learner.public.hours', { hours: formatNumber(page.course.hoursAWeek, locale) }) }}
        </span>
        <span v-if="page.course.staff.length > 0">
          {{ t('learner.join.staff', { names: page.course.staff.join(', ') }) }}
        </span>
        <span v-if="page.seatsLeft !== null" class="figures">{{
          t('learner.join.seats', page.seatsLeft)
        }}</span>
      </p>
      <section class="press" :aria-label="t('learner.join.title')">
        <p v-if="says" role="status">{{ says }}</p>
        <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
        <RouterLink v-if="isIn" class="button main" :to="`/courses/${page.course.id}`">
          {{ t('learner.join.open') }}
        </RouterLink>
        <RouterLink v-else-if="!isHere" class="button main" :to="toSignIn">
          {{ t('learner.join.signIn') }}
        </RouterLink>
        <button v-else-if="mayPress" class="button main" type="button" :disabled="isUnderWay" @click="join">
          {{ t('learner.join.press') }}
        </button>
      </section>
      <RichText v-if="page.course.descriptionHtml" :html="page.course.descriptionHtml" />
      <section v-if="page.course.outcomes.length > 0">
        <h2>{{ t('learner.public.outcomes') }}</h2>
        <ul>
          <li v-for="outcome in page.course.outcomes" :key="outcome">{{ outcome }}</li>
        </ul>
      </section>
      <section v-if="page.course.madeFor">
        <h2>{{ t('learner.public.madeFor') }}</h2>
        <p>{{ page.course.madeFor }}</p>
      </section>
      <section v-if="page.course.bringAlong">
        <h2>{{ t('learner.public.bringAlong') }}</h2>
        <p>{{ page.course.bringAlong }}</p>
      </section>
    </template>
    <template v-else>
      <h1>{{ t('learner.join.title') }}</h1>
      <p class="soft">{{ t('learner.join.lead') }}</p>
      <form class="typed" @submit.prevent="router.push(`/join/${encodeURIComponent(typed.trim())}`)">
        <label>
          <span class="soft">{{ t('learner.join.code') }}</span>
          <input
            v-model="typed"
            class="input figures"
            maxlength="40"
            autocomplete="off"
            autocapitalize="characters"
            spellcheck="false"
            required
          />
        </label>
        <button class="button main" type="submit" :disabled="typed.trim() === '' || isUnderWay">
          {{ t('learner.join.look') }}
        </button>
      </form>
      <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    </template>
  </main>
</template>

<style scoped>
.join {
  display: grid;
  gap: 14px;
  max-width: 720px;
  margin: 0 auto;
  padding: 28px 20px 48px;
}

h1 {
  font-size: clamp(26px, 5vw, 36px);
  line-height: 1.15;
}

h2 {
  margin-bottom: 4px;
  font-size: 16px;
}

.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  color: var(--ink-soft);
}

.press {
  display: grid;
  gap: 10px;
  justify-items: start;
  padding: 16px 18px;
  border-top: 3px solid var(--route);
  background: var(--card);
}

.typed {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: end;
  padding: 16px 18px;
  border-top: 3px solid var(--route);
  background: var(--card);
}

.typed label {
  display: grid;
  gap: 4px;
}

.typed input {
  width: 15ch;
  font-size: 22px;
  letter-spacing: 0.06em;
  text-transform: uppercase;
}

.failure {
  color: var(--blocker);
}
</style>
