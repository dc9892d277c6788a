<script setup lang="ts">
import { DESK_ROWS } from '@itinerary/contract';
import type { AllProgressAnswer } from '@itinerary/contract';
import { daysBetween } from '@itinerary/core';
import { IconCalendarOff, IconLifebuoy, IconPlus, IconUsers } from '@tabler/icons-vue';
import { computed, defineAsyncComponent, ref, shallowRef, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import { formatDays } from '../words/dates.ts';
import { intlLocale } from '../words/intl.ts';
import LoadState from '../ui/frame/LoadState.vue';
import { ask } from '../api/client.ts';
import { useLive } from '../stores/live.ts';
import { useSession } from '../stores/session.ts';
import AppBar from '../ui/frame/AppBar.vue';
import BrokenCourses from './BrokenCourses.vue';
import DeskBoard from './DeskBoard.vue';
import DepartureBoard from './DepartureBoard.vue';
import DeskFilters from './DeskFilters.vue';
import DeskPages from './DeskPages.vue';
import { keptOnDevice } from './kept-on-device.ts';
import type { KeptCourse } from './kept-on-device.ts';
import { isFiltering, NO_FILTER, useDesk } from './use-desk.ts';
import PushButton from '../ui/frame/PushButton.vue';

/** Few are staff of the institution: its dialogs come when they are wanted. */
const HolidaysDialog = defineAsyncComponent(() => import('./HolidaysDialog.vue'));
const NameOrderDialog = defineAsyncComponent(() => import('./NameOrderDialog.vue'));
const InstitutionPagesDialog = defineAsyncComponent(() => import('./InstitutionPagesDialog.vue'));

/** Seldom there, and it brings the plan along. */
const KeptHere = defineAsyncComponent(() => import('./KeptHere.vue'));

const { t, locale } = useI18n();
const session = useSession();
const router = useRouter();
const { filter, page, pages, answer, state, reload, refresh } = useDesk();
// A course that goes live while the desk is open comes onto it.
useLive(() => void refresh());
/** What is new, and how far one is, come after the courses themselves. */
const news = shallowRef<ReadonlyMap<string, number>>(new Map());
const howFar = shallowRef<ReadonlyMap<string, AllProgressAnswer['courses'][number]>>(new Map());
let isAsked = false;
watch(answer, async (desk) => {
  if (isAsked || desk?.courses.some(({ role }) => role === 'learner') !== true) return;
  isAsked = true;
  const [all, far] = await Promise.all([
    ask('GET /api/news', {}).catch(() => null),
    ask('GET /api/progress', {}).catch(() => null),
  ]);
  if (all !== null) news.value = new Map(all.courses.map(({ course, count }) => [course, count]));
  if (far !== null) howFar.value = new Map(far.courses.map((one) => [one.course, one]));
});
const isShowingHolidays = ref(false);
const isShowingPages = ref(false);
const isShowingNames = ref(false);
const isStaff = computed(() => session.person?.kind === 'staff');

const courses = computed(() => answer.value?.courses ?? []);
const others = computed(() => answer.value?.found ?? []);
const planned = computed(() => courses.value.filter(({ mayPlan }) => mayPlan));
const read = computed(() => courses.value.filter(({ mayPlan }) => !mayPlan));
const institution = computed(() => session.me?.institution);
const term = computed(() => {
  const { today } = session;
  return institution.value?.terms.find(({ firstDay, lastDay }) => firstDay <= today && today <= lastDay)
    ?.name;
});
/** What pages that are gone have left on this device. */
const kept = shallowRef<readonly KeptCourse[]>([]);
watch(
  () => session.person?.id,
  (person, _before, whenOver) => {
    let isWanted = true;
    whenOver(() => (isWanted = false));
    kept.value = [];
    if (person === undefined) return;
    const tell = (course: KeptCourse): void => void (kept.value = [...kept.value, course]);
    void keptOnDevice(person, tell, () => isWanted);
  },
  { immediate: true },
);
const lead = computed(() => {
  const next = answer.value?.next ?? null;
  if (next === null) return null;
  const days = daysBetween(session.today, next.firstDay);
  const relative = new Intl.RelativeTimeFormat(intlLocale(locale.value), { numeric: 'auto' });
  const when = days < 14 ? relative.format(days, 'day') : relative.format(Math.round(days / 7), 'week');
  return t('desk.nextToStart', { title: next.title, when });
});
</script>

<template>
  <AppBar>
    <template #end>
      <span v-if="term" class="term">{{ term }}</span>
      <PushButton v-if="isStaff" @click="isShowingPages = true">
        <IconLifebuoy :size="18" aria-hidden="true" />
        <span class="words">{{ t('desk.pages.button') }}</span>
      </PushButton>
      <PushButton v-if="isStaff" @click="isShowingNames = true">
        <IconUsers :size="18" aria-hidden="true" />
        <span class="words">{{ t('desk.names.button') }}</span>
      </PushButton>
      <PushButton v-if="isStaff" @click="isShowingHolidays = true">
        <IconCalendarOff :size="18" aria-hidden="true" />
        <span class="words">{{ t('desk.holidays.button') }}</span>
      </PushButton>
      <PushButton v-if="session.me?.mayCreate" to="/new-course">
        <IconPlus :size="18" aria-hidden="true" /> <span class="words">{{ t('desk.new.title') }}</span>
      </PushButton>
    </template>
  </AppBar>
  <main v-if="answer !== null && state === 'there'" id="main" class="desk">
    <header class="head">
      <div>
        <h1>{{ t('desk.title') }}</h1>
        <p class="soft lead">
          <span v-if="lead">{{ lead }}</span>
          <RouterLink to="/calendar">{{ t('common.account.calendar') }}</RouterLink>
          <RouterLink to="/join">{{ t('learner.join.title') }}</RouterLink>
        </p>
      </div>
      <DeskFilters
        v-if="answer.all > 0 || answer.moreFound || isFiltering(filter)"
        v-model="filter"
        :desk="answer"
        :terms="institution?.terms ?? []"
      />
    </header>
    <KeptHere v-if="kept.length > 0" :courses="kept" />
    <p class="visually-hidden" role="status">{{ t('desk.count', answer.total) }}</p>
    <DeskBoard v-if="planned.length > 0" :courses="planned" :today="session.today" />
    <template v-if="read.length > 0">
      <h2 v-if="planned.length > 0" class="reading">{{ t('desk.reading') }}</h2>
      <DepartureBoard :courses="read" :today="session.today" :news="news" :how-far="howFar" />
    </template>
    <BrokenCourses v-if="answer.broken.length > 0" :courses="answer.broken" />
    <DeskPages v-if="pages > 1" v-model="page" :pages="pages" :total="answer.total" :rows="DESK_ROWS" />
    <section v-if="answer.total === 0" class="empty">
      <template v-if="isFiltering(filter)">
        <h2>{{ t('desk.noneFound') }}</h2>
        <PushButton @click="filter = NO_FILTER">{{ t('desk.showAll') }}</PushButton>
      </template>
      <template v-else-if="session.me?.mayCreate">
        <h2>{{ t('desk.none') }}</h2>
        <p class="soft">{{ t('desk.noneText') }}</p>
        <PushButton weight="main" @click="router.push('/new-course')">
          {{ t('desk.new.title') }}
        </PushButton>
      </template>
      <template v-else>
        <h2>{{ t('desk.noneOpen') }}</h2>
        <p class="soft">{{ t('desk.noneOpenText') }}</p>
      </template>
    </section>
    <section v-if="others.length > 0" class="others" aria-labelledby="desk-others">
      <h2 id="desk-others">{{ t('desk.others') }}</h2>
      <ul>
        <li v-for="course in others" :key="course.id">
          <RouterLink :to="`/courses/${course.id}`">{{ course.title }}</RouterLink>
          <span class="figures soft">
            {{ course.code
            }}<template v-if="course.firstDay && course.lastDay">
              · {{ formatDays(course.firstDay, course.lastDay, locale, session.today) }}</template
            >
          </span>
        </li>
      </ul>
      <p v-if="answer.moreFound" class="soft">{{ t('desk.moreFound') }}</p>
    </section>
  </main>
  <LoadState v-else :state="state" @again="reload" />
  <HolidaysDialog v-if="isStaff" v-model="isShowingHolidays" />
  <NameOrderDialog v-if="isStaff" v-model="isShowingNames" />
  <InstitutionPagesDialog v-if="isStaff" v-model="isShowingPages" />
</template>

<style scoped>
.desk {
  max-width: 1216px;
  margin: 0 auto;
  padding: 24px 32px 48px;
}

.head {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  justify-content: space-between;
  gap: 12px 24px;
  margin-bottom: 16px;
}

.lead {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
}

.term {
  color: var(--bar-soft);
}

.reading {
  margin: 28px 0 12px;
}

.others {
  margin-top: 32px;
}

.others ul {
  margin: 10px 0 0;
  padding: 0;
  border-top: 3px solid var(--route);
  list-style: none;
}

.others li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  justify-content: space-between;
  padding: 8px 2px;
  border-bottom: 1px solid var(--rule);
}

.empty {
  display: grid;
  gap: 10px;
  justify-items: start;
  padding: 32px 0;
  border-top: 3px solid var(--route);
}

.empty h2 {
  font-size: 20px;
}

@media (max-width: 620px) {
  .desk {
    padding: 16px 16px 40px;
  }

  .term {
    display: none;
  }

  /* The sign stays; its words are still read out. */
  .words {
    position: absolute;
    width: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
}
</style>
