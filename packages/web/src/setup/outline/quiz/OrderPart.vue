<script setup lang="ts">
/** What is to be put in order, in its right order. */
import { IconArrowDown, IconArrowUp, IconX } from '@tabler/icons-vue';
import { MAX_PART, MAX_PARTS } from '@itinerary/core';
import type { PlannedQuestion } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import { newId } from '../../../stores/new-id.ts';
import SelectField from '../../../ui/fields/choice/SelectField.vue';
import DraftField from '../../../ui/fields/DraftField.vue';
import IconButton from '../../../ui/frame/IconButton.vue';
import PartField from './PartField.vue';
import { usePartWords } from './part-words.ts';

type Ordered = Extract<PlannedQuestion, { kind: 'order' }>;
const props = defineProps<{ id: string; question: Ordered; readonly: boolean }>();
const emit = defineEmits<{ set: [question: PlannedQuestion, typing: boolean] }>();
const { t } = useI18n();
const { needed, credits } = usePartWords();

const put = (change: Partial<Ordered>, typing = false): void =>
  emit('set', { ...props.question, ...change }, typing);
function move(at: number, by: -1 | 1): void {
  const entries = [...props.question.entries];
  const [moved] = entries.splice(at, 1);
  entries.splice(at + by, 0, moved!);
  put({ entries });
}
</script>

<template>
  <div class="order">
    <p class="soft">{{ t('setup.quiz.orderHint') }}</p>
    <div v-for="(one, at) in question.entries" :key="one.id" class="line">
      <DraftField
        :text="one.text"
        :most="MAX_PART"
        :label="t('setup.quiz.entry', { number: at + 1 })"
        :readonly="readonly"
        :keep-as="`${id} ${one.id}`"
        :wrong="needed"
        dir="auto"
        @type="
          put(
            { entries: question.entries.map((old) => (old.id === one.id ? { ...old, text: $event } : old)) },
            true,
          )
        "
      />
      <template v-if="!readonly">
        <IconButton
          :icon="IconArrowUp"
          :label="t('setup.quiz.partUp', { text: one.text })"
          :disabled="at === 0"
          @click="move(at, -1)"
        />
        <IconButton
          :icon="IconArrowDown"
          :label="t('setup.quiz.partDown', { text: one.text })"
          :disabled="at === question.entries.length - 1"
          @click="move(at, 1)"
        />
        <IconButton
          :icon="IconX"
          :label="t('setup.quiz.part', { text: one.text })"
          @click="put({ entries: question.entries.filter(({ id: of }) => of !== one.id) })"
        />
      </template>
    </div>
    <PartField
      v-if="question.entries.length < MAX_PARTS"
      :label="t('setup.quiz.another')"
      :hint="t('setup.quiz.anotherHint')"
      :most="MAX_PART"
      :readonly="readonly"
      @put="put({ entries: [...question.entries, { id: newId(), text: $event }] })"
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
.order {
  display: grid;
  gap: 8px;
}

.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto auto;
  gap: 4px;
  align-items: start;
}
</style>
