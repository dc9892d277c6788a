<script setup lang="ts">
/** Joining a course by its code, typed here or come with the address, by an invitation, or as somebody who knows of it. */
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import type { JoinPageAnswer } from '@itinerary/contract';
import { ask, ProblemError } from '../../api/client.ts';
import { useSession } from '../../stores/session.ts';
import AppBar from '../../ui/frame/AppBar.vue';
import { formatDays } from '../../words/dates.ts';
import { formatNumber } from '../../words/intl.ts';
import { setTitle } from '../../words/page-title.ts';
import { useProblemSentence } from '../../words/problems.ts';
import RichText from '../text/RichText.vue';
import JoinPress from './JoinPress.vue';

const { t, locale } = useI18n();
const route = useRoute();
const router = useRouter();
const session = useSession();
const sentence = useProblemSentence();

const code = computed(() => String(route.params['code'] ?? ''));
const course = computed(() => String(route.params['course'] ?? ''));
const typed = ref('');
const page = ref<JoinPageAnswer | null>(null);
const failure = ref<string | null>(null);
const isUnderWay = ref(false);

async function load(isAnew: boolean): Promise<void> {
  failure.value = null;
  isUnderWay.value = true;
  if (isAnew) page.value = null;
  try {
    if (course.value !== '') {
      page.value = await ask('GET /api/join/to/{course}', { params: { course: course.value } });
    } else if (code.value !== '') {
      page.value = await ask('GET /api/join/{key}', { params: { key: code.value } });
    }
    if (page.value !== null) setTitle(page.value.course.title);
  } catch (error) {
    page.value = null;
    const isUnknown = error instanceof ProblemError && error.problem.code === 'not_found';
    const unknown = course.value === '' ? 'learner.join.unknown' : 'learner.join.unknownCourse';
    failure.value = isUnknown ? t(unknown) : sentence(error);
  } finally {
    isUnderWay.value = false;
  }
}
watch([code, course], () => load(true), { immediate: true });

/** Whoever comes back from the desk may be here before its word is: it is asked for, for a while. */
const ASKS_MS = 2000;
const MOST_ASKS = 60;
let asks = 0;
let timer: ReturnType<typeof setTimeout> | undefined;
watch(page, (shown) => {
  clearTimeout(timer);
  if (shown?.ways.some(({ isPaying }) => isPaying) !== true) return;
  asks += 1;
  if (asks <= MOST_ASKS) timer = setTimeout(() => void load(false), ASKS_MS);
});
onBeforeUnmount(() => clearTimeout(timer));

const days = computed(() => {
  const shown = page.value?.course;
  if (shown?.firstDay == null || shown.lastDay === null) return null;
  return formatDays(shown.firstDay, shown.lastDay, locale.value, session.today);
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
      <JoinPress
        v-for="(way, which) in page.ways"
        :key="way.way"
        :page="page"
        :by="code === '' ? null : code"
        :which="which"
        @changed="load(false)"
      />
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
      <p v-if="course === ''" class="soft">{{ t('learner.join.lead') }}</p>
      <form
        v-if="course === ''"
        class="typed"
        @submit.prevent="router.push(`/join/${encodeURIComponent(typed.trim())}`)"
      >
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
