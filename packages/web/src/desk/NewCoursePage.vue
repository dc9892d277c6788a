<script setup lang="ts">
import { addDays, MAX_TITLE, MAX_WEEKS, weekdayOf } from '@itinerary/core';
import type { Purpose } from '@itinerary/core';
import type { NewCourseRequest } from '@itinerary/contract';
import { computed, onMounted, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import { ask } from '../api/client.ts';
import { useProblemSentence } from '../words/problems.ts';
import { formatDay, weekdayName } from '../words/dates.ts';
import { idsOfTries } from '../stores/id-of-try.ts';
import { useSession } from '../stores/session.ts';
import AppBar from '../ui/frame/AppBar.vue';
import DraftField from '../ui/fields/DraftField.vue';
import CodeField from '../ui/fields/CodeField.vue';
import DayField from '../ui/fields/when/DayField.vue';
import NumberField from '../ui/fields/NumberField.vue';
import PurposeTiles from '../ui/fields/choice/PurposeTiles.vue';
import { useForm } from '../ui/fields/reading/refusals.ts';
import PushButton from '../ui/frame/PushButton.vue';
import TaughtClasses from './TaughtClasses.vue';
import type { Taught } from './TaughtClasses.vue';

const { t, locale } = useI18n();
const sentence = useProblemSentence();
const session = useSession();
const router = useRouter();

const title = ref('');
const code = ref('');
const codeIsFree = ref(false);
const purpose = ref<Purpose>('learners');
const firstDay = ref('');
const weeks = ref(15);
const failure = ref<string | null>(null);
const isBusy = ref(false);

/** What stands in a field and cannot be taken is not left out in silence. */
const form = useForm();
const titleField = ref<{ focus: () => void } | null>(null);

onMounted(() => {
  // At once: the field's own autofocus comes late, and takes the focus from whoever was quicker.
  titleField.value?.focus();
  const next = session.me?.institution.terms.find((term) => term.firstDay > session.today);
  if (next === undefined) return;
  firstDay.value = next.firstDay;
});

const term = computed(
  () =>
    session.me?.institution.terms.find(
      (one) => one.firstDay <= firstDay.value && firstDay.value <= one.lastDay,
    ) ?? null,
);
const zone = computed(() => session.me?.institution.zone ?? 'UTC');
const lastDay = computed(() => {
  if (firstDay.value === '') return null;
  return addDays(firstDay.value, 7 * weeks.value - 1);
});
const midWeek = computed(() =>
  firstDay.value !== '' && weekdayOf(firstDay.value) !== 1 ? weekdayOf(firstDay.value) : null,
);
const isReady = computed(() => title.value.trim() !== '' && codeIsFree.value && !form.isRefused.value);

watch([title, code], () => (failure.value = null));

const follows = ref<NonNullable<NewCourseRequest['follows']>>([]);
/** What the registry says fills what nobody has filled, or what it has filled before. */
let filled: Taught = { title: '', code: '', firstDay: '', weeks: 15 };
function take(chosen: NonNullable<NewCourseRequest['follows']>, says: Taught | null): void {
  follows.value = chosen;
  if (says === null) return;
  if (['', filled.title].includes(title.value)) title.value = says.title;
  if (['', filled.code].includes(code.value)) code.value = says.code;
  if (says.firstDay !== '') {
    firstDay.value = says.firstDay;
    weeks.value = says.weeks;
  }
  filled = says;
}

const tries = idsOfTries();
async function create(): Promise<void> {
  if (!isReady.value || isBusy.value) return;
  isBusy.value = true;
  const wanted: NewCourseRequest = {
    title: title.value.trim(),
    code: code.value.trim(),
    purpose: purpose.value,
    department: null,
    term: term.value?.code ?? null,
    firstDay: firstDay.value === '' ? null : firstDay.value,
    weeks: weeks.value,
    zone: zone.value,
    follows: follows.value,
  };
  const body = { ...wanted, id: tries.idOf(wanted) };
  try {
    const { id } = await ask('POST /api/courses', { body });
    await router.push(`/setup/${id}/about`);
  } catch (error) {
    failure.value = sentence(error);
  } finally {
    isBusy.value = false;
  }
}

const day = (iso: string): string => formatDay(iso, locale.value, { today: session.today });
</script>

<template>
  <AppBar />
  <main id="main" class="new">
    <h1>{{ t('desk.new.title') }}</h1>
    <p class="soft">{{ t('desk.new.lead') }}</p>
    <form @submit.prevent="create">
      <TaughtClasses @choose="take" />
      <div class="pair">
        <DraftField
          ref="titleField"
          :text="title"
          :label="t('setup.about.title')"
          :hint="t('desk.new.titleHint')"
          persistent-hint
          :most="MAX_TITLE"
          name="title"
          @type="title = $event"
        />
        <CodeField v-model="code" v-model:free="codeIsFree" />
      </div>
      <PurposeTiles v-model="purpose" />
      <div class="pair">
        <DayField
          name="firstDay"
          :day="firstDay === '' ? null : firstDay"
          :label="t('setup.dates.firstDay')"
          :hint="
            midWeek
              ? t('desk.new.midWeek', { weekday: weekdayName(midWeek, locale) })
              : t('desk.new.firstDayHint')
          "
          live
          warns-of-past
          @day="firstDay = $event ?? ''"
        />
        <NumberField
          name="weeks"
          :number="weeks"
          :least="1"
          :most="MAX_WEEKS"
          :label="t('setup.dates.weeks')"
          required
          live
          @set="$event !== null && (weeks = $event)"
        />
      </div>
      <p class="result" role="status">
        <span class="soft">{{ t('setup.dates.lastDay') }}</span>
        <span class="figures value">{{ lastDay === null ? '–' : day(lastDay) }}</span>
        <span v-if="term" class="soft">{{ t('desk.new.inTerm', { term: term.name }) }}</span>
      </p>
      <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
      <div class="acts">
        <PushButton weight="main" type="submit" :disabled="!isReady || isBusy">
          {{ t('desk.new.create') }}
        </PushButton>
        <PushButton weight="bare" to="/desk">{{ t('common.cancel') }}</PushButton>
      </div>
    </form>
  </main>
</template>

<style scoped>
.new {
  max-width: 780px;
  margin: 0 auto;
  padding: 28px 24px 48px;
}

form {
  display: grid;
  gap: 20px;
  margin-top: 20px;
}

.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
  align-items: start;
}

.result {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 14px;
  padding: 12px 16px;
  border-top: 3px solid var(--route);
  background: var(--card);
}

.value {
  font-size: 20px;
}

.failure {
  color: var(--blocker);
}

.acts {
  display: flex;
  gap: 8px;
}

@media (max-width: 620px) {
  .pair {
    grid-template-columns: 1fr;
  }
}
</style>
