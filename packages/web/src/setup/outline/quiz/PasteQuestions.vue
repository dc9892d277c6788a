<script setup lang="ts">
/** Many questions at once, as people type them in a mail: shown as they are read before they are put in. */
import { MAX_QUESTIONS, planned, readQuestions, rightWords } from '@itinerary/core';
import type { AskedQuestion, Quiz, WrittenQuestion } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextarea } from 'vuetify/components/VTextarea';
import { newId } from '../../../stores/new-id.ts';
import DialogBox from '../../../ui/frame/DialogBox.vue';
import PushButton from '../../../ui/frame/PushButton.vue';

const props = defineProps<{ item: Quiz }>();
const open = defineModel<boolean>({ required: true });
const emit = defineEmits<{ put: [questions: readonly WrittenQuestion[]] }>();
const { t } = useI18n();
const text = ref('');
const said = ref('');
/** The same place has the same id for as long as one types: then nothing is drawn anew. */
const ids = new Map<string, string>();
function idOf(question: number, part?: number): string {
  const place = `${question} ${part ?? ''}`;
  const id = ids.get(place) ?? newId();
  ids.set(place, id);
  return id;
}
const read = computed(() => readQuestions(text.value, idOf));
const room = computed(() => MAX_QUESTIONS - Object.keys(props.item.questions).length);
const fits = computed(() => read.value.questions.length <= room.value);
function right(one: WrittenQuestion): string {
  const question = planned(one, 0);
  if (question?.kind === 'truth') return t(`setup.quiz.truth.${String(question.right)}`);
  return question === null ? '' : rightWords({ ...question, id: one.id } as AskedQuestion).join(' · ');
}
function take(): void {
  const { questions, left } = read.value;
  emit('put', questions);
  ids.clear();
  text.value = left;
  said.value = t('setup.quiz.from.taken', questions.length);
  if (left === '') open.value = false;
  else said.value += ` ${t('setup.quiz.from.left')}`;
}
</script>

<template>
  <DialogBox v-model="open" :title="t('setup.quiz.from.title')" :width="1080">
    <p class="soft">{{ t('setup.quiz.from.hint') }}</p>
    <div class="sides">
      <VTextarea
        v-model="text"
        class="text"
        :label="t('setup.quiz.from.text')"
        :placeholder="t('setup.quiz.from.example')"
        persistent-placeholder
        :rows="16"
        variant="outlined"
        density="comfortable"
        dir="auto"
        hide-details
      />
      <section :aria-label="t('setup.quiz.from.read')" class="read" tabindex="0">
        <p v-if="read.questions.length === 0 && read.unread.length === 0" class="soft">
          {{ t('setup.quiz.from.nothing') }}
        </p>
        <template v-if="read.unread.length > 0">
          <h3>{{ t('setup.quiz.from.unread') }}</h3>
          <ul class="unread">
            <li v-for="one in read.unread" :key="`${one.line} ${one.code}`">
              <strong dir="auto">{{
                t('setup.quiz.from.line', { line: one.line, value: one.value })
              }}</strong>
              {{ t(`setup.quiz.from.why.${one.code}`) }}
            </li>
          </ul>
        </template>
        <template v-if="read.questions.length > 0">
          <h3>{{ t('setup.quiz.from.read') }}</h3>
          <ol>
            <li v-for="one in read.questions" :key="one.id">
              <span dir="auto">{{ one.text }}</span>
              <span class="soft">
                {{ t(`setup.quiz.kinds.${one.kind}`) }},
                {{ t('setup.quiz.points', { points: one.points }, one.points) }}
              </span>
              <span class="right" dir="auto">{{
                right(one) === ''
                  ? t('setup.quiz.from.staff')
                  : t('setup.quiz.from.right', { right: right(one) })
              }}</span>
            </li>
          </ol>
        </template>
      </section>
    </div>
    <p role="status">{{ said }}</p>
    <p v-if="!fits" class="failure" role="alert">
      {{ t('setup.quiz.from.tooMany', { most: MAX_QUESTIONS, room }) }}
    </p>
    <template #foot>
      <PushButton @click="open = false">{{ t('common.cancel') }}</PushButton>
      <PushButton weight="main" :disabled="read.questions.length === 0 || !fits" @click="take">
        {{ t('setup.quiz.from.take', read.questions.length) }}
      </PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 16px;
  margin-top: 12px;
}

.text :deep(textarea) {
  font-family: var(--font-figures);
  font-size: 14px;
}

.read {
  max-height: 420px;
  padding: 4px 12px;
  overflow: auto;
  border: 1px solid var(--rule);
}

h3 {
  margin: 6px 0;
  font-size: 14.5px;
}

li {
  margin-bottom: 8px;
}

li > span {
  display: block;
  overflow-wrap: anywhere;
}

.unread li {
  padding-inline-start: 8px;
  border-inline-start: 4px solid var(--advice);
}

.unread {
  padding: 0;
  list-style: none;
}

.right {
  color: var(--open);
}

.failure {
  color: var(--blocker);
}

@media (width <= 760px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
