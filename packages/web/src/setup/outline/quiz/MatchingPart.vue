<script setup lang="ts">
/** What goes together, pair by pair; right sides that go with nothing are there to mislead. */
import { IconX } from '@tabler/icons-vue';
import { MAX_PART, MAX_PARTS } from '@itinerary/core';
import type { PlannedQuestion } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextField } from 'vuetify/components/VTextField';
import { newId } from '../../../stores/new-id.ts';
import SelectField from '../../../ui/fields/choice/SelectField.vue';
import DraftField from '../../../ui/fields/DraftField.vue';
import IconButton from '../../../ui/frame/IconButton.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import PartField from './PartField.vue';
import { usePartWords } from './part-words.ts';

type Matching = Extract<PlannedQuestion, { kind: 'matching' }>;
const props = defineProps<{ id: string; question: Matching; readonly: boolean }>();
const emit = defineEmits<{ set: [question: PlannedQuestion, typing: boolean] }>();
const { t } = useI18n();
const { needed, credits } = usePartWords();
const left = ref('');
const right = ref('');
const leftField = ref<{ focus: () => void } | null>(null);

const put = (change: Partial<Matching>, typing = false): void =>
  emit('set', { ...props.question, ...change }, typing);
const write = (side: 'lefts' | 'rights', id: string, text: string): void =>
  put({ [side]: props.question[side].map((one) => (one.id === id ? { ...one, text } : one)) }, true);
const rightOf = (id: string) => props.question.rights.find((one) => one.id === props.question.pairs[id]);
const extras = computed(() => {
  const paired = new Set(Object.values(props.question.pairs));
  return props.question.rights.filter(({ id }) => !paired.has(id));
});
function putPair(): void {
  const [one, other] = [left.value.trim(), right.value.trim()];
  if (one === '' || other === '') return;
  const [a, b] = [newId(), newId()];
  const { lefts, rights, pairs } = props.question;
  left.value = '';
  right.value = '';
  put({
    lefts: [...lefts, { id: a, text: one }],
    rights: [...rights, { id: b, text: other }],
    pairs: { ...pairs, [a]: b },
  });
  leftField.value?.focus();
}
function removePair(id: string): void {
  const { lefts, rights, pairs } = props.question;
  const { [id]: with_, ...others } = pairs;
  put({
    lefts: lefts.filter((one) => one.id !== id),
    // A side that another left goes with too stays.
    rights: rights.filter((one) => one.id !== with_ || Object.values(others).includes(one.id)),
    pairs: others,
  });
}
</script>

<template>
  <div class="matching">
    <div v-for="one in question.lefts" :key="one.id" class="line">
      <DraftField
        :text="one.text"
        :most="MAX_PART"
        :label="t('setup.quiz.left')"
        :readonly="readonly"
        :keep-as="`${id} ${one.id}`"
        :wrong="needed"
        dir="auto"
        @type="write('lefts', one.id, $event)"
      />
      <DraftField
        v-if="rightOf(one.id)"
        :text="rightOf(one.id)?.text ?? ''"
        :most="MAX_PART"
        :label="t('setup.quiz.goesWith')"
        :readonly="readonly"
        :keep-as="`${id} ${one.id} right`"
        :wrong="needed"
        dir="auto"
        @type="write('rights', rightOf(one.id)?.id ?? '', $event)"
      />
      <IconButton
        v-if="!readonly"
        :icon="IconX"
        :label="t('setup.quiz.part', { text: one.text })"
        @click="removePair(one.id)"
      />
    </div>
    <div v-if="!readonly && question.rights.length < MAX_PARTS" class="line">
      <VTextField
        ref="leftField"
        v-model="left"
        :label="t('setup.quiz.pair')"
        :maxlength="MAX_PART"
        dir="auto"
        hide-details
        @keydown.enter.prevent="putPair"
      />
      <VTextField
        v-model="right"
        :label="t('setup.quiz.pairRight')"
        :maxlength="MAX_PART"
        dir="auto"
        hide-details
        @keydown.enter.prevent="putPair"
      />
      <PushButton small :disabled="left.trim() === '' || right.trim() === ''" @click="putPair">
        {{ t('setup.quiz.putPair') }}
      </PushButton>
    </div>
    <div v-for="one in extras" :key="one.id" class="line">
      <span />
      <DraftField
        :text="one.text"
        :most="MAX_PART"
        :label="t('setup.quiz.extra')"
        :readonly="readonly"
        :keep-as="`${id} ${one.id}`"
        :wrong="needed"
        dir="auto"
        @type="write('rights', one.id, $event)"
      />
      <IconButton
        v-if="!readonly"
        :icon="IconX"
        :label="t('setup.quiz.part', { text: one.text })"
        @click="put({ rights: question.rights.filter(({ id: of }) => of !== one.id) })"
      />
    </div>
    <PartField
      v-if="question.rights.length < MAX_PARTS"
      :label="t('setup.quiz.extra')"
      :hint="t('setup.quiz.anotherHint')"
      :most="MAX_PART"
      :readonly="readonly"
      @put="put({ rights: [...question.rights, { id: newId(), text: $event }] })"
    />
    <SelectField
      :label="t('setup.quiz.credit')"
      :value="question.credit"
      :options="credits"
      :disabled="readonly"
      @choose="put({ credit: $event })"
    />
  </div>
</template>

<style scoped>
.matching {
  display: grid;
  gap: 8px;
}

.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) auto;
  gap: 8px;
  align-items: start;
}
</style>
