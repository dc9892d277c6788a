<script setup lang="ts">
/** All questions of a survey, one below the other, each with what its kind asks for; sets that are ready load into it. */
import { IconArrowDown, IconArrowUp, IconPlus, IconTrash } from '@tabler/icons-vue';
import { askedOf, MAX_ASK, MAX_ASKS, MAX_CHOICE, MAX_STEPS } from '@itinerary/core';
import type { Ask, AskKind, Asked, Survey } from '@itinerary/core';
import { computed, nextTick, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { VList, VListItem } from 'vuetify/components/VList';
import { VMenu } from 'vuetify/components/VMenu';
import { newId } from '../../../stores/new-id.ts';
import SelectField from '../../../ui/fields/choice/SelectField.vue';
import DraftField from '../../../ui/fields/DraftField.vue';
import NumberField from '../../../ui/fields/NumberField.vue';
import DialogBox from '../../../ui/frame/DialogBox.vue';
import IconButton from '../../../ui/frame/IconButton.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import PartField from '../quiz/PartField.vue';
import { asAsk, newAsk, useAskActs } from './ask-acts.ts';
import { READY_SETS, readySet } from './ready-sets.ts';

const KINDS: readonly AskKind[] = ['scale', 'single', 'several', 'open'];
const MOST_CHOICES = 20;
const LEAST_STEPS = 2;

const props = defineProps<{ item: Survey; readonly: boolean }>();
const open = defineModel<boolean>({ required: true });
const { t } = useI18n();
const words = {
  text: t('setup.survey.fresh'),
  low: t('setup.survey.low'),
  high: t('setup.survey.high'),
  choice: (number: number) => t('setup.survey.choice', { number }),
};
const acts = useAskActs(() => props.item, words);
const root = ref<HTMLElement | null>(null);
const asks = computed(() => askedOf(props.item));
const isFull = computed(() => asks.value.length >= MAX_ASKS);
const kinds = computed(() => KINDS.map((value) => ({ value, title: t(`setup.survey.kinds.${value}`) })));
const needed = (text: string): string | null => (text === '' ? t('setup.survey.needed') : null);

const set = (ask: Asked, change: object, typing = false): void =>
  acts.set(ask.id, { ...asAsk(ask), ...change } as Ask, typing);
function become(ask: Asked, kind: AskKind): void {
  if (kind === ask.kind) return;
  const next = newAsk(kind, { ...words, text: ask.text }, ask.at);
  // What there is to choose between stays.
  acts.set(ask.id, 'choices' in next && 'choices' in ask ? { ...next, choices: ask.choices } : next);
}
type Chosen = Extract<Asked, { kind: 'single' | 'several' }>;
const write = (ask: Chosen, id: string, text: string): void =>
  set(ask, { choices: ask.choices.map((one) => (one.id === id ? { ...one, text } : one)) }, true);
const addChoice = (ask: Chosen, text: string): void =>
  set(ask, { choices: [...ask.choices, { id: newId(), text }] });
const removeChoice = (ask: Chosen, id: string): void =>
  set(ask, { choices: ask.choices.filter((one) => one.id !== id) });

async function add(kind: AskKind): Promise<void> {
  const id = acts.add(kind);
  await nextTick();
  root.value?.querySelector<HTMLElement>(`[data-ask="${id}"] textarea`)?.focus();
}
const load = (set: (typeof READY_SETS)[number]): void =>
  acts.put(readySet(set, t).slice(0, MAX_ASKS - asks.value.length));
</script>

<template>
  <DialogBox v-model="open" :title="t('setup.survey.dialog', { title: item.title })" :width="820">
    <div v-if="!readonly" class="acts">
      <VMenu>
        <template #activator="{ props: menu }">
          <PushButton v-bind="menu" weight="main" :disabled="isFull">
            <IconPlus :size="16" aria-hidden="true" /> {{ t('setup.survey.add') }}
          </PushButton>
        </template>
        <VList density="compact">
          <VListItem v-for="{ value, title } in kinds" :key="value" :title="title" @click="add(value)" />
        </VList>
      </VMenu>
      <VMenu>
        <template #activator="{ props: menu }">
          <PushButton v-bind="menu" :disabled="isFull">{{ t('setup.survey.load') }}</PushButton>
        </template>
        <VList density="compact">
          <VListItem
            v-for="one in READY_SETS"
            :key="one"
            :title="t(`setup.survey.sets.${one}.title`)"
            @click="load(one)"
          />
        </VList>
      </VMenu>
    </div>
    <p v-if="asks.length === 0" class="soft">{{ t('setup.survey.empty') }}</p>
    <ol ref="root" :aria-label="t('setup.survey.list')">
      <li v-for="(one, index) in asks" :key="one.id" :data-ask="one.id">
        <div class="bar">
          <span class="place figures">{{ index + 1 }}</span>
          <SelectField
            class="kind"
            :label="t('setup.survey.kind')"
            :value="one.kind"
            :options="kinds"
            :disabled="readonly"
            small
            @choose="become(one, $event)"
          />
          <template v-if="!readonly">
            <IconButton
              :icon="IconArrowUp"
              :label="t('setup.survey.up', { number: index + 1 })"
              :disabled="index === 0"
              @click="acts.move(one.id, -1)"
            />
            <IconButton
              :icon="IconArrowDown"
              :label="t('setup.survey.down', { number: index + 1 })"
              :disabled="index === asks.length - 1"
              @click="acts.move(one.id, 1)"
            />
            <IconButton
              :icon="IconTrash"
              :label="t('setup.survey.remove', { number: index + 1 })"
              @click="acts.remove(one.id)"
            />
          </template>
        </div>
        <DraftField
          :text="one.text"
          :rows="2"
          :most="MAX_ASK"
          :label="t('setup.survey.text')"
          :readonly="readonly"
          :keep-as="`${one.id} text`"
          :wrong="needed"
          dir="auto"
          @type="set(one, { text: $event }, true)"
        />
        <div v-if="one.kind === 'scale'" class="scale">
          <NumberField
            :label="t('setup.survey.steps')"
            :number="one.steps"
            :least="LEAST_STEPS"
            :most="MAX_STEPS"
            required
            :readonly="readonly"
            @set="$event !== null && set(one, { steps: $event })"
          />
          <DraftField
            :text="one.low"
            :most="MAX_CHOICE"
            :label="t('setup.survey.lowLabel')"
            :readonly="readonly"
            :keep-as="`${one.id} low`"
            dir="auto"
            @type="set(one, { low: $event }, true)"
          />
          <DraftField
            :text="one.high"
            :most="MAX_CHOICE"
            :label="t('setup.survey.highLabel')"
            :readonly="readonly"
            :keep-as="`${one.id} high`"
            dir="auto"
            @type="set(one, { high: $event }, true)"
          />
        </div>
        <template v-else-if="one.kind === 'single' || one.kind === 'several'">
          <div v-for="choice in one.choices" :key="choice.id" class="choice">
            <DraftField
              :text="choice.text"
              :most="MAX_CHOICE"
              :label="t('setup.survey.choiceText')"
              :readonly="readonly"
              :keep-as="`${one.id} ${choice.id}`"
              :wrong="needed"
              dir="auto"
              @type="write(one, choice.id, $event)"
            />
            <IconButton
              v-if="!readonly"
              :icon="IconTrash"
              :label="t('setup.survey.removeChoice', { text: choice.text })"
              @click="removeChoice(one, choice.id)"
            />
          </div>
          <PartField
            v-if="one.choices.length < MOST_CHOICES"
            :label="t('setup.survey.another')"
            :most="MAX_CHOICE"
            :readonly="readonly"
            @put="addChoice(one, $event)"
          />
        </template>
      </li>
    </ol>
    <template #foot>
      <PushButton weight="main" @click="open = false">{{ t('common.close') }}</PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-bottom: 12px;
}

ol {
  display: grid;
  gap: 14px;
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
  padding-top: 12px;
  border-top: 1px solid var(--rule);
}

.bar {
  display: flex;
  gap: 6px;
  align-items: center;
}

.place {
  min-width: 24px;
  color: var(--ink-soft);
}

.kind {
  flex: 1;
}

.scale {
  display: grid;
  grid-template-columns: 100px minmax(0, 1fr) minmax(0, 1fr);
  gap: 8px;
}

.choice {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 8px;
  align-items: start;
}

@media (width <= 700px) {
  .scale {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
