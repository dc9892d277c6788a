<script setup lang="ts">
/** Rows that may mean two people: nothing is decided silently. Each is answered, or all of a kind at once. */
import { entriesIn } from '@itinerary/core/people';
import type { Entry, EntryChoice, Question } from '@itinerary/core/people';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import SelectField from '../../../ui/fields/choice/SelectField.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import { lineWords, memberWords } from './list-lines.ts';

const props = defineProps<{
  questions: readonly Question[];
  answers: ReadonlyMap<string, EntryChoice>;
}>();
const emit = defineEmits<{ answer: [given: readonly (readonly [string, EntryChoice | null])[]] }>();
const { t } = useI18n();

const MOST_SHOWN = 40;
const isWhole = ref(false);
const shown = computed(() => (isWhole.value ? props.questions : props.questions.slice(0, MOST_SHOWN)));
const why = (one: Question): string =>
  one.kind === 'possible' ? t('setup.members.list.why.possible') : t(`setup.members.list.why.${one.reason}`);

const NEW = 'new';
const NOBODY = 'nobody';
const keyOf = (entry: Entry): string | null => {
  const choice = props.answers.get(entry.key);
  if (choice === undefined) return null;
  return choice.is === 'member' ? `member ${choice.key}` : choice.is;
};
const choiceOf = (key: string | null): EntryChoice | null => {
  if (key === null) return null;
  return key === NEW
    ? { is: NEW }
    : key === NOBODY
      ? { is: NOBODY }
      : { is: 'member', key: key.slice('member '.length) };
};
const options = (one: Question) => [
  { value: null, title: t('setup.members.list.decide') },
  ...one.members.map((member) => ({
    value: `member ${member.key}`,
    title: t('setup.members.list.isMember', { member: memberWords(member) }),
  })),
  { value: NEW, title: t('setup.members.list.isNew') },
  { value: NOBODY, title: t('setup.members.list.isNobody') },
];

/** All at once: whom a row may mean is meant by the first row alone that may, since nobody is two rows. */
function answerAll(kind: 'first' | typeof NEW | typeof NOBODY): void {
  const taken = new Set<string>();
  const given = props.questions.flatMap((one) =>
    entriesIn(one).map((entry): readonly [string, EntryChoice] => {
      if (kind !== 'first') return [entry.key, { is: kind }];
      const member = one.members.find(({ key }) => !taken.has(key));
      if (member === undefined) return [entry.key, { is: NEW }];
      taken.add(member.key);
      return [entry.key, { is: 'member', key: member.key }];
    }),
  );
  emit('answer', given);
}
</script>

<template>
  <section class="asked" aria-labelledby="list-asked">
    <h3 id="list-asked">{{ t('setup.members.list.asked', questions.length) }}</h3>
    <p v-if="questions.length > 1" class="all">
      <PushButton small @click="answerAll('first')">{{ t('setup.members.list.allFirst') }}</PushButton>
      <PushButton small @click="answerAll('new')">{{ t('setup.members.list.allNew') }}</PushButton>
      <PushButton small @click="answerAll('nobody')">{{ t('setup.members.list.allNobody') }}</PushButton>
    </p>
    <ul>
      <li v-for="(one, at) in shown" :key="at">
        <p class="soft">{{ why(one) }}</p>
        <div v-for="entry in entriesIn(one)" :key="entry.key" class="row">
          <span>
            <span class="figures soft">{{
              t('setup.members.list.line', { line: entry.lines.join(', ') })
            }}</span>
            {{ lineWords(entry.row) }}
            <span class="soft">{{
              [entry.row.id, entry.row.address, ...entry.classes].filter(Boolean).join(' · ')
            }}</span>
          </span>
          <SelectField
            bare
            small
            :label="t('setup.members.list.who', { name: lineWords(entry.row) })"
            :value="keyOf(entry)"
            :options="options(one)"
            @choose="emit('answer', [[entry.key, choiceOf($event)]])"
          />
        </div>
      </li>
    </ul>
    <PushButton v-if="!isWhole && questions.length > MOST_SHOWN" small @click="isWhole = true">
      {{ t('setup.members.list.allAsked', questions.length) }}
    </PushButton>
  </section>
</template>

<style scoped>
.asked {
  padding: 10px 14px;
  border-inline-start: 4px solid var(--advice);
  background: var(--card);
}

h3 {
  font-size: 15px;
}

.all {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 6px 0;
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}

.row {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 300px);
  gap: 10px;
  align-items: center;
}

@media (max-width: 620px) {
  .row {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
