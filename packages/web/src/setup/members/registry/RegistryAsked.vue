<script setup lang="ts">
/** What somebody has to say of the registry: whether so many go, who is meant, and which of two things is right. */
import type { RegistryAnswer, SettleRequest } from '@itinerary/contract';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../../../api/client.ts';
import { usePlan } from '../../../stores/plan.ts';
import PushButton from '../../../ui/frame/PushButton.vue';
import { useFieldWords } from './field-words.ts';
import type { RegistryHeld } from './use-registry.ts';

const props = defineProps<{ held: RegistryHeld }>();
const emit = defineEmits<{ said: [words: string] }>();
const { t } = useI18n();
const plan = usePlan();
const fieldWords = useFieldWords();
const { failure, isUnderWay, params, act } = props.held;
const registry = computed(() => props.held.registry.value!);
const isEmpty = computed(() => {
  const { held, questions, differs, broken } = registry.value;
  return held.length + questions.length + differs.length + broken.length === 0;
});

async function settle(body: SettleRequest, words: string): Promise<void> {
  const sent = structuredClone(body) as Parameters<typeof send>[0];
  if (await act(() => send(sent))) emit('said', words);
}
const send = (body: Parameters<typeof ask<'POST /api/courses/{course}/registry/settled'>>[1]['body']) =>
  ask('POST /api/courses/{course}/registry/settled', { params: params.value, body });

const goes = (): Promise<void> => {
  const people = registry.value.held.map((one) => one.registry);
  return settle({ about: 'leaving', people }, t('setup.registry.went', people.length));
};
/** All rows of a question are answered at once: whom it may mean is one of them, and the others are new. */
function answer(
  question: RegistryAnswer['questions'][number],
  entry: string,
  member: string | null,
): Promise<void> {
  const answers = question.entries.map(({ key }) => ({ entry: key, member: key === entry ? member : null }));
  return settle({ about: 'person', answers }, t('setup.registry.settled'));
}
type Difference = RegistryAnswer['differs'][number];
const decide = ({ registry: who, field }: Difference, take: boolean): Promise<void> =>
  settle({ about: 'field', registry: who, field, take }, t('setup.registry.settled'));
const said = (value: string, { field }: Difference): string =>
  value === '' ? t('setup.registry.nothingSaid') : fieldWords.value(field, value);
</script>

<template>
  <div v-if="!isEmpty" id="field-registry" class="asked" tabindex="-1">
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <section v-if="registry.held.length > 0">
      <h3>{{ t('setup.registry.held', registry.held.length) }}</h3>
      <p>{{ t('setup.registry.heldText') }}</p>
      <p class="soft">{{ registry.held.map(({ name }) => name).join(', ') }}</p>
      <PushButton v-if="!plan.isReadonly" small :disabled="isUnderWay" @click="goes">
        {{ t('setup.registry.go') }}
      </PushButton>
    </section>
    <section v-if="registry.questions.length > 0">
      <h3>{{ t('setup.registry.questions') }}</h3>
      <ul class="people">
        <template v-for="question in registry.questions" :key="question.entries[0]?.key ?? ''">
          <li v-for="entry in question.entries" :key="entry.key">
            <span>{{
              t('setup.registry.mayBe', {
                name: entry.name,
                details: [entry.id, entry.address].filter((part) => part !== '').join(', '),
              })
            }}</span>
            <span v-if="!plan.isReadonly" class="acts">
              <PushButton
                v-for="member in question.members"
                :key="member.key"
                small
                :disabled="isUnderWay"
                @click="answer(question, entry.key, member.key)"
              >
                {{ t('setup.registry.isMember', { name: member.name }) }}
              </PushButton>
              <PushButton small :disabled="isUnderWay" @click="answer(question, entry.key, null)">
                {{ t('setup.registry.isNew') }}
              </PushButton>
            </span>
          </li>
        </template>
      </ul>
    </section>
    <section v-if="registry.differs.length > 0">
      <h3>{{ t('setup.registry.differs') }}</h3>
      <ul class="people">
        <li v-for="one in registry.differs" :key="`${one.registry} ${one.field}`">
          <span>
            <strong>{{ one.name }}</strong> {{ fieldWords.name(one.field) }}
            <span class="soft">{{
              [
                t('setup.registry.ours', { ours: said(one.ours, one) }),
                t('setup.registry.theirs', { theirs: said(one.theirs, one) }),
              ].join(' · ')
            }}</span>
          </span>
          <span v-if="!plan.isReadonly" class="acts">
            <PushButton
              small
              :disabled="isUnderWay"
              :aria-label="t('setup.registry.takeOf', { name: one.name, field: fieldWords.name(one.field) })"
              @click="decide(one, true)"
            >
              {{ t('setup.registry.take') }}
            </PushButton>
            <PushButton
              small
              :disabled="isUnderWay"
              :aria-label="t('setup.registry.keepOf', { name: one.name, field: fieldWords.name(one.field) })"
              @click="decide(one, false)"
            >
              {{ t('setup.registry.keep') }}
            </PushButton>
          </span>
        </li>
      </ul>
    </section>
    <section v-if="registry.broken.length > 0">
      <h3>{{ t('setup.registry.broken') }}</h3>
      <p v-for="one in registry.broken" :key="one.name" class="soft">
        {{
          one.known === null
            ? one.name
            : t('setup.registry.brokenKnown', { name: one.name, known: one.known })
        }}
      </p>
    </section>
  </div>
</template>

<style scoped src="../asked.css"></style>

<style scoped>
section {
  display: grid;
  gap: 4px;
  justify-items: start;
}
</style>
