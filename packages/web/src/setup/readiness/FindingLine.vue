<script setup lang="ts">
/** One finding: what, why, where, and the press that cures it. */
import type { Edit, Finding } from '@itinerary/core';
import { computed, onBeforeUnmount, shallowRef, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import { formatDay, weekdayName } from '../../words/dates.ts';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import FindingSign from '../../ui/frame/FindingSign.vue';
import { useEntryWords } from '../menu/entry-words.ts';
import { useNodeTitle } from '../node-title.ts';
import PushButton from '../../ui/frame/PushButton.vue';
import BareButton from '../../ui/frame/BareButton.vue';

const props = defineProps<{
  finding: Finding;
  /** The stop that it is shown at, when that is where it is settled. */ here?: boolean;
}>();
const { t, locale } = useI18n();
const router = useRouter();
const plan = usePlan();
const session = useSession();

const DAY = /^\d{4}-\d{2}-\d{2}$/;

const entryWords = useEntryWords();
function entryName(id: string): string {
  const entry = plan.course?.menu[id];
  return entry === undefined ? '' : entryWords(entry);
}

/** Values as the reader's language writes them: days as days, weekdays by name. */
const values = computed(() =>
  Object.fromEntries(
    Object.entries(props.finding.values).map(([name, value]) => {
      if (typeof value === 'string' && DAY.test(value)) {
        return [name, formatDay(value, locale.value, { today: session.today })];
      }
      if (name === 'entry' || name === 'content') return [name, entryName(String(value))];
      if (name === 'weekday' || name === 'weekStart') return [name, weekdayName(Number(value), locale.value)];
      if (name === 'way') return [name, t(`setup.members.ways.short.${value}`)];
      return [name, value];
    }),
  ),
);
const count = computed(() => Number(props.finding.values['count'] ?? 1));
/** Some rules have more than one sentence: the variant says which. */
const sentences = computed(() => {
  const { rule, values: given } = props.finding;
  const variant = String(given['variant'] ?? '');
  return variant === '' ? rule : `${rule}_${variant}`;
});
const text = (part: 'what' | 'why' | 'cure'): string =>
  t(`setup.rules.${sentences.value}.${part}`, { ...values.value }, { plural: count.value });

const MOST_PLACES = 6;
const titleOf = useNodeTitle();
const places = computed(() => {
  return props.finding.targets.slice(0, MOST_PLACES).flatMap((id) => {
    const title = titleOf(id);
    return title === null ? [] : [{ id, title }];
  });
});
const more = computed(() => props.finding.targets.length - places.value.length);

function go(target?: string): void {
  const { stop, field } = props.finding;
  void router.push({
    path: `/setup/${plan.course?.id ?? ''}/${stop}`,
    query: target === undefined ? {} : { at: target },
    hash: field === null ? '' : `#field-${field}`,
  });
}

/** Offered once it is known that it brings no blocker; until then the last one that was known stands. */
const offered = shallowRef<readonly Edit[] | null>(null);
let waiting: ReturnType<typeof setTimeout> | undefined;
function look(): void {
  clearTimeout(waiting);
  if (props.finding.cure === null) offered.value = null;
  // After what has changed is drawn: in a long course this takes as long as all findings do.
  else waiting = setTimeout(() => (offered.value = plan.cureOf(props.finding)));
}
watch(() => props.finding, look, { immediate: true });
onBeforeUnmount(() => clearTimeout(waiting));

function cure(): void {
  if (offered.value !== null) plan.change(offered.value);
}
</script>

<template>
  <li :class="['finding', finding.severity]">
    <FindingSign :severity="finding.severity" :size="18" class="sign" />
    <div class="words">
      <p class="what">{{ text('what') }}</p>
      <p class="soft">{{ text('why') }}</p>
      <p v-if="places.length > 0" class="places">
        <BareButton v-for="place in places" :key="place.id" class="place" @click="go(place.id)">
          {{ place.title }}
        </BareButton>
        <span v-if="more > 0" class="soft">{{ t('setup.readiness.more', more) }}</span>
      </p>
    </div>
    <div class="acts">
      <PushButton v-if="offered" @click="cure">{{ text('cure') }}</PushButton>
      <PushButton v-if="!here" class="to" weight="bare" @click="go()">
        {{ t(`setup.readiness.goTo.${finding.stop}`) }}
      </PushButton>
    </div>
  </li>
</template>

<style scoped>
.finding {
  display: grid;
  grid-template-columns: 18px minmax(0, 1fr) auto;
  gap: 12px;
  align-items: start;
  padding: 12px 14px;
  border: 1px solid var(--rule);
  border-bottom-width: 0;
  background: var(--card);
}

.finding:first-child {
  border-radius: 8px 8px 0 0;
}

.finding:last-child {
  border-bottom-width: 1px;
  border-radius: 0 0 8px 8px;
}

.finding:only-child {
  border-radius: 8px;
}

.sign {
  margin-top: 2px;
}

.what {
  font-weight: 600;
}

.places {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 6px;
  margin-top: 6px;
}

.place {
  min-height: 26px;
  padding: 1px 8px;
  border: 1px solid var(--rule);
  border-radius: 4px;
  background: var(--mist);
  font-size: 13px;
  cursor: pointer;
}

.place:hover {
  border-color: var(--bottle);
}

.acts {
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: 4px;
  max-width: 260px;
}

.acts .button {
  white-space: normal;
  text-align: start;
}

.to {
  color: var(--bottle);
  text-decoration: underline;
}

@media (max-width: 720px) {
  .finding {
    grid-template-columns: 18px minmax(0, 1fr);
  }

  .acts {
    grid-column: 2;
    justify-content: flex-start;
    max-width: none;
  }
}
</style>
