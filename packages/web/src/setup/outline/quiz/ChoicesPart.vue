<script setup lang="ts">
/** What there is to choose from, which of it is right, and why. */
import { IconPhoto, IconX } from '@tabler/icons-vue';
import { isPictureType, MAX_PART, MAX_PARTS } from '@itinerary/core';
import type { CourseFileRef, PlannedQuestion } from '@itinerary/core';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { path } from '../../../api/client.ts';
import { newId } from '../../../stores/new-id.ts';
import { usePlan } from '../../../stores/plan.ts';
import { useUploads } from '../../../stores/uploads.ts';
import CheckField from '../../../ui/fields/choice/CheckField.vue';
import DraftField from '../../../ui/fields/DraftField.vue';
import FilePicker from '../../../ui/frame/FilePicker.vue';
import IconButton from '../../../ui/frame/IconButton.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import { asRef } from '../../files/arrivals.ts';
import PartField from './PartField.vue';
import { usePartWords } from './part-words.ts';

type Choices = Extract<PlannedQuestion, { kind: 'single' | 'several' }>;
type Choice = Choices['choices'][number];
const props = defineProps<{
  id: string;
  question: Choices;
  readonly: boolean;
  /** Once it has arrived: the question may have been changed meanwhile. */
  give: (choice: string, picture: CourseFileRef) => void;
}>();
const emit = defineEmits<{ set: [question: PlannedQuestion, typing: boolean] }>();
const { t } = useI18n();
const { needed } = usePartWords();
/** Somebody has tried to leave it without a right one. */
const isRefused = ref(false);

const isRight = (id: string): boolean =>
  props.question.kind === 'single' ? props.question.right === id : props.question.right.includes(id);
function mark(id: string, on: boolean): void {
  const { question } = props;
  isRefused.value = false;
  if (question.kind === 'single') {
    emit('set', { ...question, right: on ? id : null }, false);
    return;
  }
  const right = question.right.filter((one) => one !== id);
  if (!on && right.length === 0) isRefused.value = true;
  else emit('set', { ...question, right: on ? [...right, id] : right }, false);
}
function write(id: string, change: Partial<Choice>): void {
  const choices = props.question.choices.map((one) => (one.id === id ? { ...one, ...change } : one));
  emit('set', { ...props.question, choices }, true);
}
const plan = usePlan();
const uploads = useUploads();
const picker = ref<{ open: () => void } | null>(null);
const isNoPicture = ref(false);
let pictured: string | null = null;
const sourceOf = ({ hash }: CourseFileRef): string =>
  path`/api/courses/${plan.course?.id ?? ''}/files/${hash}`;
function choosePicture(id: string): void {
  pictured = id;
  isNoPicture.value = false;
  picker.value?.open();
}
function takePicture([file]: readonly File[]): void {
  const choice = pictured;
  const { give } = props;
  if (file === undefined || choice === null) return;
  uploads.add(file, (answer) => {
    isNoPicture.value = !isPictureType(answer.type);
    if (!isNoPicture.value) give(choice, asRef(answer));
  });
}
function add(text: string): void {
  const choices = [...props.question.choices, { id: newId(), text, why: '', picture: null }];
  emit('set', { ...props.question, choices }, false);
}
function remove(id: string): void {
  const { question } = props;
  const choices = question.choices.filter((one) => one.id !== id);
  isRefused.value = false;
  if (question.kind === 'single') {
    emit('set', { ...question, choices, right: question.right === id ? null : question.right }, false);
    return;
  }
  const right = question.right.filter((one) => one !== id);
  if (right.length === 0) isRefused.value = true;
  else emit('set', { ...question, choices, right }, false);
}
</script>

<template>
  <div class="choices">
    <p class="head soft" aria-hidden="true">{{ t('setup.quiz.rightMark') }}</p>
    <div v-for="one in question.choices" :key="one.id" class="choice">
      <CheckField
        :checked="isRight(one.id)"
        :disabled="readonly"
        :label="t('setup.quiz.right', { text: one.text })"
        @toggle="mark(one.id, $event)"
      />
      <DraftField
        :text="one.text"
        :most="MAX_PART"
        :label="t('setup.quiz.choiceText')"
        :readonly="readonly"
        :keep-as="`${id} ${one.id}`"
        :wrong="needed"
        dir="auto"
        @type="write(one.id, { text: $event })"
      />
      <DraftField
        :text="one.why"
        :most="MAX_PART"
        :label="t('setup.quiz.choiceWhy')"
        :readonly="readonly"
        :keep-as="`${id} ${one.id} why`"
        dir="auto"
        @type="write(one.id, { why: $event })"
      />
      <IconButton
        v-if="!readonly"
        :icon="IconX"
        :label="t('setup.quiz.part', { text: one.text })"
        @click="remove(one.id)"
      />
      <div class="picture">
        <img v-if="one.picture !== null" :src="sourceOf(one.picture)" :alt="one.picture.alt ?? ''" />
        <DraftField
          v-if="one.picture !== null"
          class="alt"
          :text="one.picture.alt ?? ''"
          :most="500"
          :label="t('setup.quiz.pictureAlt')"
          :hint="t('setup.quiz.pictureAltHint')"
          :readonly="readonly"
          :keep-as="`${id} ${one.id} alt`"
          dir="auto"
          @type="write(one.id, { picture: { ...one.picture, alt: $event === '' ? null : $event } })"
        />
        <template v-if="!readonly">
          <PushButton v-if="one.picture === null" small weight="bare" @click="choosePicture(one.id)">
            <IconPhoto :size="16" aria-hidden="true" /> {{ t('setup.quiz.picture')
            }}<span class="visually-hidden">: {{ one.text }}</span>
          </PushButton>
          <PushButton v-else small weight="bare" @click="write(one.id, { picture: null })">
            {{ t('setup.quiz.pictureOff') }}<span class="visually-hidden">: {{ one.text }}</span>
          </PushButton>
        </template>
      </div>
    </div>
    <FilePicker ref="picker" accept="image/*" :label="t('setup.quiz.picture')" @pick="takePicture" />
    <p v-if="isNoPicture" class="refused" role="alert">{{ t('setup.quiz.notPicture') }}</p>
    <p v-if="isRefused" class="refused" role="alert">{{ t('setup.quiz.oneRight') }}</p>
    <PartField
      v-if="question.choices.length < MAX_PARTS"
      class="more"
      :label="t('setup.quiz.another')"
      :hint="t('setup.quiz.anotherHint')"
      :most="MAX_PART"
      :readonly="readonly"
      @put="add"
    />
  </div>
</template>

<style scoped>
.head {
  margin-bottom: -6px;
  font-size: 12.5px;
}

.choices {
  display: grid;
  gap: 8px;
}

.choice {
  display: grid;
  grid-template-columns: 40px minmax(0, 3fr) minmax(0, 2fr) 40px;
  gap: 8px;
  align-items: start;
}

.alt {
  flex: 1;
  min-width: 180px;
}

.picture {
  display: flex;
  flex-wrap: wrap;
  grid-column: 2 / span 2;
  gap: 8px;
  align-items: center;
  margin-top: 2px;
}

.picture img {
  max-width: 120px;
  max-height: 80px;
  border: 1px solid var(--rule);
}

.more {
  margin-inline-start: 48px;
}

.refused {
  padding-inline-start: 10px;
  border-inline-start: 4px solid var(--blocker);
}

@media (width <= 700px) {
  .choice {
    grid-template-columns: 40px minmax(0, 1fr) 40px;
  }

  .choice > :nth-child(3) {
    grid-row: 2;
    grid-column: 2;
  }

  .picture {
    grid-row: 3;
    grid-column: 2;
  }
}
</style>
