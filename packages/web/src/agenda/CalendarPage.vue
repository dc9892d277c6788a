<script setup lang="ts">
/** One's own calendar over all courses: a month, or its days one after the other. */
import { IconChevronLeft, IconChevronRight } from '@tabler/icons-vue';
import type { AgendaThing } from '@itinerary/contract';
import { computed, nextTick, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import { useAnswer } from '../api/use-answer.ts';
import { useLive } from '../stores/live.ts';
import { useSession } from '../stores/session.ts';
import AppBar from '../ui/frame/AppBar.vue';
import IconButton from '../ui/frame/IconButton.vue';
import LoadState from '../ui/frame/LoadState.vue';
import PushButton from '../ui/frame/PushButton.vue';
import { formatDay } from '../words/dates.ts';
import { intlLocale } from '../words/intl.ts';
import FeedPart from './FeedPart.vue';
import MonthTable from './MonthTable.vue';
import ThingLine from './ThingLine.vue';
import { byDay, monthOf, monthsOn, monthWeeks } from './month.ts';

/** The week of this product begins on Monday where nobody has said otherwise. */
const WEEK_START = 1;
const NARROW = 760;
const { t, locale } = useI18n();
const session = useSession();
const route = useRoute();
const router = useRouter();

const month = computed(() => {
  const asked = String(route.query['month'] ?? '');
  return /^(19|20|21)\d\d-(0[1-9]|1[0-2])$/.test(asked) ? asked : monthOf(session.today);
});
const isList = ref(window.innerWidth <= NARROW);
const weeks = computed(() => monthWeeks(month.value, WEEK_START));
const days = computed(() => weeks.value.flat());
const { answer, state, reload, refresh } = useAnswer('GET /api/calendar', () => ({
  query: { from: days.value[0] ?? '', to: days.value.at(-1) ?? '' },
}));
useLive(() => void refresh());

const things = computed(() => byDay(answer.value?.things ?? [], days.value));
const listed = computed(() =>
  days.value.filter((day) => monthOf(day) === month.value && (things.value.get(day)?.length ?? 0) > 0),
);
const courses = computed(() => new Map((answer.value?.courses ?? []).map((one) => [one.id, one])));
const courseOf = ({ course }: AgendaThing) => courses.value.get(course);
const name = computed(() =>
  new Intl.DateTimeFormat(intlLocale(locale.value), {
    month: 'long',
    year: 'numeric',
    timeZone: 'UTC',
  }).format(new Date(`${month.value}-01T12:00Z`)),
);
const day = (of: string): string => formatDay(of, locale.value, { today: session.today });
const chosen = ref<string | null>(null);
const whole = ref<HTMLElement | null>(null);
watch(month, () => (chosen.value = null));
async function choose(of: string): Promise<void> {
  chosen.value = chosen.value === of ? null : of;
  await nextTick();
  whole.value?.focus();
}
const go = (to: string): Promise<unknown> => router.push({ query: { ...route.query, month: to } });
/** A moment of one node can stand there in several ways: it opens, and is due. */
const keyOf = (thing: AgendaThing): string => `${thing.course} ${thing.what} ${thing.id} ${thing.day}`;
</script>

<template>
  <AppBar />
  <!-- While another month is on its way, this one stays, and the focus with it. -->
  <main v-if="answer !== null && state !== 'failed'" id="main" class="calendar">
    <header class="head">
      <h1>{{ t('agenda.title') }}</h1>
      <div class="turn">
        <IconButton
          :icon="IconChevronLeft"
          class="turns"
          :label="t('agenda.before')"
          @click="go(monthsOn(month, -1))"
        />
        <h2 class="name" aria-live="polite">{{ name }}</h2>
        <IconButton
          :icon="IconChevronRight"
          class="turns"
          :label="t('agenda.after')"
          @click="go(monthsOn(month, 1))"
        />
        <PushButton small :disabled="month === monthOf(session.today)" @click="go(monthOf(session.today))">
          {{ t('agenda.today') }}
        </PushButton>
      </div>
      <div class="ways" role="group" :aria-label="t('agenda.shown')">
        <PushButton small :aria-pressed="!isList" @click="isList = false">{{ t('agenda.month') }}</PushButton>
        <PushButton small :aria-pressed="isList" @click="isList = true">{{ t('agenda.list') }}</PushButton>
      </div>
    </header>
    <p v-if="answer.courses.length === 0" class="soft">{{ t('agenda.noCourses') }}</p>
    <template v-if="!isList">
      <MonthTable
        :month="month"
        :weeks="weeks"
        :things="things"
        :course-of="courseOf"
        :today="session.today"
        :chosen="chosen"
        :week-start="WEEK_START"
        @choose="choose"
      />
      <section v-if="chosen !== null" ref="whole" class="day" tabindex="-1" aria-labelledby="calendar-day">
        <h3 id="calendar-day" class="figures">{{ day(chosen) }}</h3>
        <p v-if="(things.get(chosen)?.length ?? 0) === 0" class="soft">{{ t('agenda.nothing') }}</p>
        <ul>
          <li v-for="thing in things.get(chosen)" :key="keyOf(thing)">
            <ThingLine :thing="thing" :course="courseOf(thing)" />
          </li>
        </ul>
      </section>
    </template>
    <template v-else>
      <p v-if="listed.length === 0" class="soft">{{ t('agenda.nothingInMonth') }}</p>
      <section v-for="of in listed" :key="of" class="day" :aria-labelledby="`day-${of}`">
        <h3 :id="`day-${of}`" class="figures">
          {{ day(of) }} <span v-if="of === session.today" class="now">{{ t('agenda.today') }}</span>
        </h3>
        <ul>
          <li v-for="thing in things.get(of)" :key="keyOf(thing)">
            <ThingLine :thing="thing" :course="courseOf(thing)" />
          </li>
        </ul>
      </section>
    </template>
    <FeedPart />
  </main>
  <LoadState v-else :state="state" @again="reload" />
</template>

<style scoped>
.calendar {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
  max-width: 1240px;
  margin: 0 auto;
  padding: 20px 16px 48px;
}

.head {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: center;
  justify-content: space-between;
}

h1 {
  font-size: 26px;
}

.turn {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}

.name {
  min-width: 170px;
  font-size: 18px;
  text-align: center;
}

[dir='rtl'] .turns {
  transform: scaleX(-1);
}

.ways {
  display: flex;
  gap: 6px;
}

.day h3 {
  margin-bottom: 6px;
  font-size: 15.5px;
}

.now {
  margin-inline-start: 6px;
  padding: 1px 8px;
  border-radius: 9px;
  background: var(--bottle);
  color: var(--card);
  font-size: 12.5px;
}

.day ul {
  display: grid;
  gap: 6px;
  margin: 0;
  padding: 0;
  list-style: none;
}
</style>
