<script setup lang="ts">
/** All questions of a quiz, in a wide place: the list at one side, the one that is written at the other. */
import {
  IconAlertTriangle,
  IconArrowDown,
  IconArrowUp,
  IconCopy,
  IconPlus,
  IconTrash,
} from '@tabler/icons-vue';
import {
  MAX_QUESTIONS,
  QUESTION_KINDS,
  questionFault,
  questionsOf,
  worthOf,
  writeQuestions,
} from '@itinerary/core';
import type { PlannedQuestion, Quiz, WrittenQuestion } from '@itinerary/core';
import { computed, nextTick, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { VList, VListItem } from 'vuetify/components/VList';
import { VMenu } from 'vuetify/components/VMenu';
import { VTextarea } from 'vuetify/components/VTextarea';
import DialogBox from '../../../ui/frame/DialogBox.vue';
import IconButton from '../../../ui/frame/IconButton.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import { formatNumber } from '../../../words/intl.ts';
import PasteQuestions from './PasteQuestions.vue';
import PoolsPart from './PoolsPart.vue';
import QuestionEditor from './QuestionEditor.vue';
import { asPlanned, useQuestionActs } from './question-acts.ts';

const props = defineProps<{ item: Quiz; readonly: boolean }>();
const open = defineModel<boolean>({ required: true });
const { t, locale } = useI18n();
const acts = useQuestionActs(() => props.item, {
  question: t('setup.quiz.fresh'),
  choice: (number) => t('setup.quiz.choice', { number }),
});
const isPasting = ref(false);
const isWriting = ref(false);
const copied = ref('');
const editor = ref<{ focus: () => void } | null>(null);
const list = ref<HTMLElement | null>(null);
const chosen = ref<string | null>(null);

const questions = computed(() => questionsOf(props.item));
const worth = computed(() => worthOf(props.item));
const at = computed(() => {
  const found = questions.value.findIndex(({ id }) => id === chosen.value);
  return found === -1 ? 0 : found;
});
const shown = computed(() => questions.value[at.value] ?? null);
const number = (value: number): string => formatNumber(value, locale.value, { maximumFractionDigits: 2 });
const faultOf = (index: number) => questionFault(asPlanned(questions.value[index]!));

async function write(id: string): Promise<void> {
  chosen.value = id;
  await nextTick();
  editor.value?.focus();
}
const add = (kind: PlannedQuestion['kind']): Promise<void> => write(acts.add(kind));
async function remove(): Promise<void> {
  const { value: index } = at;
  const one = shown.value;
  if (one === null) return;
  acts.remove(one.id);
  chosen.value = questions.value[Math.min(index, questions.value.length - 1)]?.id ?? null;
  await nextTick();
  list.value?.querySelector<HTMLElement>('[aria-current]')?.focus();
}
async function move(by: -1 | 1): Promise<void> {
  const one = shown.value;
  if (one === null) return;
  chosen.value = one.id;
  acts.move(one.id, by);
  await nextTick();
}
function put(written: readonly WrittenQuestion[]): void {
  acts.put(written);
}
const asText = computed(() => writeQuestions(questions.value as readonly WrittenQuestion[]));
async function copyText(): Promise<void> {
  try {
    await navigator.clipboard.writeText(asText.value);
    copied.value = t('setup.quiz.asText.copied');
  } catch {
    copied.value = t('setup.quiz.asText.failed');
  }
}
</script>

<template>
  <DialogBox v-model="open" :title="t('setup.quiz.dialog', { title: item.title })" :width="1180">
    <div class="head">
      <p class="figures" role="status">
        {{
          questions.length === 0
            ? t('setup.quiz.empty')
            : t('setup.quiz.worth', { points: number(worth.points) }, worth.asked)
        }}
      </p>
      <div v-if="!readonly" class="acts">
        <VMenu>
          <template #activator="{ props: menu }">
            <PushButton v-bind="menu" weight="main" :disabled="questions.length >= MAX_QUESTIONS">
              <IconPlus :size="16" aria-hidden="true" /> {{ t('setup.quiz.add') }}
            </PushButton>
          </template>
          <VList density="compact">
            <VListItem
              v-for="kind in QUESTION_KINDS"
              :key="kind"
              :title="t(`setup.quiz.kinds.${kind}`)"
              @click="add(kind)"
            />
          </VList>
        </VMenu>
        <PushButton @click="isPasting = true">{{ t('setup.quiz.paste') }}</PushButton>
        <PushButton :disabled="questions.length === 0" @click="isWriting = true">
          {{ t('setup.quiz.write') }}
        </PushButton>
      </div>
    </div>
    <div class="sides">
      <div class="list">
        <ol ref="list" :aria-label="t('setup.quiz.list')">
          <li v-for="(one, index) in questions" :key="one.id">
            <PushButton
              weight="bare"
              :class="['one', { here: index === at }]"
              :aria-current="index === at ? 'true' : undefined"
              @click="write(one.id)"
            >
              <span class="place figures">{{ index + 1 }}</span>
              <span class="words" dir="auto">{{ one.text }}</span>
              <IconAlertTriangle
                v-if="faultOf(index) !== null"
                class="sign"
                :size="15"
                role="img"
                :aria-label="t(`setup.quiz.faults.${faultOf(index)}`)"
              />
              <span class="soft figures">{{ number(one.points) }}</span>
            </PushButton>
          </li>
        </ol>
        <PoolsPart :item="item" :readonly="readonly" />
      </div>
      <div v-if="shown !== null" class="writing">
        <div class="bar">
          <h3>{{ t('setup.quiz.number', { number: at + 1 }) }}</h3>
          <template v-if="!readonly">
            <IconButton
              :icon="IconArrowUp"
              :label="t('setup.quiz.up', { number: at + 1 })"
              :disabled="at === 0"
              @click="move(-1)"
            />
            <IconButton
              :icon="IconArrowDown"
              :label="t('setup.quiz.down', { number: at + 1 })"
              :disabled="at === questions.length - 1"
              @click="move(1)"
            />
            <IconButton
              :icon="IconCopy"
              :label="t('setup.quiz.copy', { number: at + 1 })"
              :disabled="questions.length >= MAX_QUESTIONS"
              @click="write(acts.copy(shown))"
            />
            <IconButton
              :icon="IconTrash"
              :label="t('setup.quiz.remove', { number: at + 1 })"
              @click="remove"
            />
          </template>
        </div>
        <QuestionEditor
          :key="shown.id"
          ref="editor"
          :question="shown"
          :number="at + 1"
          :pools="item.pools"
          :acts="acts"
          :readonly="readonly"
        />
      </div>
    </div>
    <PasteQuestions v-model="isPasting" :item="item" @put="put" />
    <DialogBox v-model="isWriting" :title="t('setup.quiz.asText.title')" :width="760">
      <p class="soft">{{ t('setup.quiz.asText.hint') }}</p>
      <VTextarea
        :model-value="asText"
        :label="t('setup.quiz.from.text')"
        readonly
        :rows="16"
        variant="outlined"
        density="comfortable"
        dir="auto"
        hide-details
      />
      <p role="status">{{ copied }}</p>
      <template #foot>
        <PushButton @click="isWriting = false">{{ t('common.close') }}</PushButton>
        <PushButton weight="main" @click="copyText">{{ t('setup.quiz.asText.copy') }}</PushButton>
      </template>
    </DialogBox>
    <template #foot>
      <PushButton weight="main" @click="open = false">{{ t('common.close') }}</PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  justify-content: space-between;
  margin-bottom: 12px;
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.sides {
  display: grid;
  grid-template-columns: minmax(220px, 320px) minmax(0, 1fr);
  gap: 20px;
  min-height: 320px;
}

.list ol {
  max-height: 54vh;
  margin: 0;
  padding: 0;
  overflow: auto;
  list-style: none;
}

.one {
  display: flex;
  justify-content: start;
  width: 100%;
  min-height: 38px;
  text-align: start;
}

.one :deep(.v-btn__content) {
  display: flex;
  gap: 8px;
  align-items: center;
  width: 100%;
  min-width: 0;
}

.one {
  font-weight: 400;
}

.one.here {
  background: var(--mist);
  font-weight: 600;
}

.place {
  min-width: 22px;
  color: var(--ink-soft);
}

.words {
  flex: 1;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.sign {
  color: var(--advice);
}

.bar {
  display: flex;
  gap: 4px;
  align-items: center;
  margin-bottom: 10px;
}

.bar h3 {
  flex: 1;
  font-size: 15.5px;
}

@media (width <= 820px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
  }

  .list ol {
    max-height: 26vh;
  }
}
</style>
