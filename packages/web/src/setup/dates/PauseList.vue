<script setup lang="ts">
/** Pauses: named days without teaching, and what becomes of their weeks. */
import { IconPlus, IconTrash } from '@tabler/icons-vue';
import { addDays, datedPauses, MAX_PAUSES, pauseSchema, planSections, setDatesEntry } from '@itinerary/core';
import type { Edit, Pause, PausePolicy } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { formatDays } from '../../words/dates.ts';
import { newId } from '../../stores/new-id.ts';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import PauseForm from './PauseForm.vue';
import IconButton from '../../ui/frame/IconButton.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import BareButton from '../../ui/frame/BareButton.vue';

defineProps<{ readonly: boolean }>();
const emit = defineEmits<{ propose: [edits: readonly Edit[]] }>();
const { t, locale } = useI18n();
const plan = usePlan();
const session = useSession();

const course = computed(() => plan.course!);
const dates = computed(() => course.value.dates);
const pauses = computed(() =>
  datedPauses(dates.value).all.map(({ id }) => ({ id, pause: dates.value.pauses[id] as Pause })),
);
const editing = ref<string | 'new' | null>(null);

/** The institution's holidays that fall into the course and are not among its pauses yet. */
const offers = computed(() => {
  const { firstDay, lastDay } = plan.planned ?? {};
  if (!firstDay || !lastDay) return [];
  return (session.me?.institution.holidays ?? []).filter(
    ({ first, last }) =>
      first <= lastDay &&
      last >= firstDay &&
      !pauses.value.some(({ pause }) => pause.first <= first && pause.last >= last),
  );
});

const set = (id: string, pause: Pause | null): Edit => setDatesEntry(course.value, 'pauses', id, pause);

/** A week in the middle: the first that no pause takes yet, on its teaching days. */
const fresh = computed<Pause>(() => {
  const { slots } = planSections(course.value);
  const middle = slots[Math.floor(slots.length / 2)];
  const first = middle?.first ?? session.today;
  return { name: '', first, last: addDays(first, 6), policy: 'between' };
});

function save(id: string, pause: Pause): void {
  editing.value = null;
  emit('propose', [set(id, pause)]);
}

/** A pause that leaves no day to teach is not taken: said where it is typed. */
function covers(id: string, pause: Pause): boolean {
  const next = { ...dates.value, pauses: { ...dates.value.pauses, [id]: pause } };
  const before = planSections(course.value);
  if (before.firstDay === null || before.lastDay === null) return false;
  const after = planSections({ ...course.value, dates: next });
  const takesAll = pause.first <= before.firstDay && pause.last >= before.lastDay;
  return takesAll || (before.slots.length > 0 && after.slots.length === 0);
}

function takeOffer(offer: { name: string; first: string; last: string }): void {
  const pause = {
    name: offer.name.slice(0, 80),
    first: offer.first,
    last: offer.last,
    policy: 'between' as PausePolicy,
  };
  if (pauseSchema.safeParse(pause).success) emit('propose', [set(newId(), pause)]);
}
</script>

<template>
  <div id="field-pauses" class="pauses" tabindex="-1">
    <ul v-if="pauses.length > 0" class="list">
      <li v-for="{ id, pause } in pauses" :key="id">
        <PauseForm
          v-if="editing === id"
          :pause="pause"
          :covers="(next: Pause) => covers(id, next)"
          @save="save(id, $event)"
          @cancel="editing = null"
        />
        <template v-else>
          <BareButton class="pause" :disabled="readonly" @click="editing = id">
            <strong>{{ pause.name }}</strong>
            <span class="figures">{{ formatDays(pause.first, pause.last, locale, session.today) }}</span>
            <span class="soft">{{ t(`setup.dates.policies.${pause.policy}`) }}</span>
          </BareButton>
          <IconButton
            v-if="!readonly"
            :icon="IconTrash"
            :label="t('setup.dates.removePause', { name: pause.name })"
            @click="emit('propose', [set(id, null)])"
          />
        </template>
      </li>
    </ul>
    <p v-else-if="editing !== 'new'" class="soft">{{ t('setup.dates.noPauses') }}</p>
    <PauseForm
      v-if="editing === 'new'"
      :pause="fresh"
      :covers="(next: Pause) => covers('new', next)"
      @save="save(newId(), $event)"
      @cancel="editing = null"
    />
    <PushButton v-else-if="!readonly && pauses.length < MAX_PAUSES" small @click="editing = 'new'">
      <IconPlus :size="16" aria-hidden="true" /> {{ t('setup.dates.addPause') }}
    </PushButton>
    <div v-if="!readonly && offers.length > 0" class="offers">
      <span class="soft">{{ t('setup.dates.holidays') }}</span>
      <PushButton
        v-for="offer in offers"
        :key="`${offer.first} ${offer.name}`"
        small
        @click="takeOffer(offer)"
      >
        <IconPlus :size="14" aria-hidden="true" /> {{ offer.name }}
        <span class="figures">{{ formatDays(offer.first, offer.last, locale, session.today) }}</span>
      </PushButton>
    </div>
  </div>
</template>

<style scoped>
.pauses {
  display: grid;
  gap: 8px;
  justify-items: start;
  align-content: start;
}

.list {
  display: grid;
  gap: 6px;
  width: 100%;
  padding: 0;
  list-style: none;
}

.list li {
  display: flex;
  gap: 4px;
  align-items: center;
}

.list .pause,
.list form {
  flex: 1;
}

.pause {
  display: grid;
  grid-template-columns: 1fr auto;
  padding: 6px 12px;
  border: 1px solid var(--field-rule);
  border-radius: 6px;
  background: var(--card);
  text-align: start;
  cursor: pointer;
}

.pause .soft {
  grid-column: 1 / -1;
  font-size: 13px;
}

.offers {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
  font-size: 13px;
}
</style>
