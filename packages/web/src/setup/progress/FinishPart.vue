<script setup lang="ts">
/** Whether the course can be finished, by when, what waits for what, and why it cannot: each reason with its cure. */
import { ANY_LEARNER, cureOf, feasibility, reasonsWhyNot } from '@itinerary/core';
import type { Edit, Feasibility, ReasonWhyNot, Viewer } from '@itinerary/core';
import { computed, onMounted, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import DayField from '../../ui/fields/when/DayField.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import { formatDay } from '../../words/dates.ts';
import { useNodeTitle } from '../node-title.ts';
import { useFinishFor } from './finish-for.ts';

defineProps<{ readonly: boolean }>();
const { t, locale } = useI18n();
const plan = usePlan();
const session = useSession();
const titleOf = useNodeTitle();

/** Whoever is in no group, or those of one; the list takes no null. */
const NOBODY = '';
const whom = ref<string>(NOBODY);
const { asked, others, unasked, failure, load } = useFinishFor();
onMounted(load);
const choices = computed(() => [
  { value: NOBODY, title: t('setup.progress.finish.anybody') },
  ...asked.value.map(({ id, name, isPerson }) => ({
    value: id,
    title: name,
    ...(isPerson ? { group: t('setup.progress.finish.ownMoments') } : {}),
  })),
]);
const joins = ref<string | null>(null);
const viewer = computed((): Viewer => ({
  ...(asked.value.find(({ id }) => id === whom.value)?.viewer ?? ANY_LEARNER),
  ...(joins.value === null ? {} : { joinedAt: `${joins.value}T00:00:00.000Z` }),
}));
const answer = computed((): Feasibility => feasibility(plan.course!, viewer.value));
const day = (iso: string | null | undefined): string =>
  iso == null ? '' : formatDay(iso, locale.value, { today: session.today });
const sentence = computed(() => {
  const { can, earliest, atPace } = answer.value;
  if (can === 'nothing') return t('setup.progress.finish.nothing');
  if (can === 'no') return t('setup.progress.finish.no');
  const first =
    earliest?.day == null
      ? t('setup.progress.finish.yes')
      : t('setup.progress.finish.earliest', { day: day(earliest.day) });
  if (atPace === null) return `${first} ${t('setup.progress.finish.notAtPace')}`;
  return atPace.day === null
    ? first
    : `${first} ${t('setup.progress.finish.atPace', { day: day(atPace.day) })}`;
});

interface Line {
  readonly key: string;
  readonly words: string;
  readonly cure: readonly Edit[] | null;
}
const lines = computed((): readonly Line[] =>
  answer.value.can !== 'no'
    ? []
    : reasonsWhyNot(plan.course!, viewer.value).map((reason) => ({
        key: `${reason.because} ${reason.of} ${reason.part ?? ''}`,
        words: wordsOf(reason),
        cure: cureOf(plan.course!, viewer.value, reason),
      })),
);
function wordsOf({ because, of, others, wants, are }: ReasonWhyNot): string {
  const title = of === plan.course!.id ? t('setup.progress.finish.theCourse') : (titleOf(of) ?? '');
  const named = others.map((id) => titleOf(id)).filter((one) => one !== null);
  return t(`setup.progress.finish.because.${because}`, {
    title,
    others: new Intl.ListFormat(locale.value, { type: 'conjunction' }).format(named),
    wants: wants ?? 0,
    are: are ?? 0,
  });
}
</script>

<template>
  <div class="finish">
    <div class="for">
      <SelectField
        v-if="asked.length > 0"
        :label="t('setup.progress.finish.for')"
        :value="whom"
        :options="choices"
        @choose="whom = $event"
      />
      <DayField
        class="joins"
        name="joins"
        :label="t('setup.progress.finish.joins')"
        :day="joins"
        @set="joins = $event"
      />
    </div>
    <p :class="['verdict', answer.can]" role="status">{{ sentence }}</p>
    <ul v-if="lines.length > 0" class="reasons">
      <li v-for="line in lines" :key="line.key">
        <span>{{ line.words }}</span>
        <PushButton v-if="line.cure !== null && !readonly" small @click="plan.change([...line.cure])">
          {{ t('setup.progress.finish.cure') }}
        </PushButton>
        <span v-else-if="line.cure === null" class="soft">{{ t('setup.progress.finish.decide') }}</span>
      </li>
    </ul>
    <template v-if="answer.chain.length > 2">
      <p class="soft">{{ t('setup.progress.finish.chain', answer.chain.length) }}</p>
      <ol class="chain">
        <li v-for="link in answer.chain" :key="link.id">{{ titleOf(link.id) }}</li>
      </ol>
    </template>
    <ul v-if="others.length > 0" class="others">
      <li v-for="one in others" :key="one.id">
        {{ t(`setup.progress.finish.other.${one.can}`, { name: one.name, day: day(one.day) }) }}
      </li>
    </ul>
    <p v-if="failure !== null" class="failure" role="alert">{{ failure }}</p>
    <p v-if="unasked > 0" class="soft">
      {{ t('setup.progress.finish.unasked', { count: unasked }, unasked) }}
    </p>
  </div>
</template>

<style scoped>
.finish {
  display: grid;
  gap: 10px;
}

.for {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
}

.joins {
  flex: 0 1 220px;
}

.verdict {
  padding: 10px 14px;
  border-top: 3px solid var(--route);
  background: var(--card);
  font-family: var(--font-heading);
  font-size: 17px;
}

.verdict.no {
  border-color: var(--blocker);
}

.reasons,
.others {
  margin: 0;
  padding: 0;
  list-style: none;
}

.reasons li {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
  justify-content: space-between;
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);
}

.failure {
  color: var(--blocker);
}

.chain {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 6px;
  margin: 0;
  padding: 0;
  list-style: none;
}

.chain li:not(:last-child)::after {
  content: ' →';
  color: var(--route);
}

[dir='rtl'] .chain li:not(:last-child)::after {
  content: ' ←';
}
</style>
