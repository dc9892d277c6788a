<script setup lang="ts">
/** One piece of work, beside its mark and a comment; what was marked before can be read. */
import type { LookedAtAnswer } from '@itinerary/contract';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextarea } from 'vuetify/components/VTextarea';
import { path } from '../api/client.ts';
import { useMomentWords } from '../stores/moment-words.ts';
import NumberField from '../ui/fields/NumberField.vue';
import PushButton from '../ui/frame/PushButton.vue';
import { formatBytes } from '../words/bytes.ts';
import { useAttempt } from '../words/use-attempt.ts';
import MarkFiles from './MarkFiles.vue';
import WorkNotes from './WorkNotes.vue';
import type { BegunMark } from './use-begun-mark.ts';
import type { Given } from './use-marking.ts';

const props = defineProps<{
  courseId: string;
  looked: LookedAtAnswer;
  begun: BegunMark;
  total: number | null;
  passAt: number | null;
  zone: string;
  hasNext: boolean;
  example: { readonly words: string; readonly file: string | null; readonly href: string };
  mark: (mark: Given) => Promise<void>;
  note: (id: string, text: string) => Promise<void>;
  dropNote: (id: string) => Promise<void>;
}>();
const emit = defineEmits<{ next: [] }>();
const { t, locale } = useI18n();
const when = useMomentWords();
const root = ref<HTMLElement | null>(null);
const { points, comment, isBegun } = props.begun;
const { failure, isUnderWay, attempt } = useAttempt();
const said = ref('');

/** With the files that are on their way; one that does not come is said, and nothing is kept without it. */
async function save(): Promise<boolean> {
  said.value = '';
  let isKept = false;
  await attempt(async () => {
    const given = await props.begun.whole();
    if (given === null) return;
    await props.mark(given);
    props.begun.kept(given, props.looked.marks[0] ?? null);
    isKept = true;
  });
  if (isKept) said.value = t('work.marking.kept');
  return isKept;
}
async function saveAndNext(): Promise<void> {
  // What is still being typed counts once it is left.
  (document.activeElement as HTMLElement | null)?.blur();
  if (await save()) emit('next');
}
const isNameless = computed(() => props.looked.people.every(({ name }) => name === null));
const who = computed(() =>
  isNameless.value
    ? t('work.marking.nameless')
    : props.looked.people.map(({ name }) => name ?? '').join(', '),
);
defineExpose({ focus: () => root.value?.focus() });
</script>

<template>
  <article
    ref="root"
    class="beside"
    tabindex="-1"
    aria-labelledby="beside-who"
    @keydown.ctrl.enter.prevent="saveAndNext"
    @keydown.meta.enter.prevent="saveAndNext"
  >
    <div class="handed">
      <h2 id="beside-who">{{ who }}</h2>
      <p v-if="isNameless" class="soft">{{ t('work.marking.namelessHint') }}</p>
      <p class="soft figures">
        {{ when(Date.parse(looked.at), zone) }} · {{ t('work.marking.attempt', { number: looked.attempt }) }}
        <strong v-for="one in looked.people.filter(({ isLate }) => isLate)" :key="one.person" class="late">
          {{
            looked.people.length > 1
              ? t('work.marking.lateFor', { name: one.name ?? '' })
              : t('work.marking.late')
          }}
        </strong>
      </p>
      <p v-if="looked.by !== null" class="soft">{{ t('work.marking.by', { name: looked.by }) }}</p>
      <p v-if="looked.text" class="text" dir="auto">{{ looked.text }}</p>
      <p v-if="looked.address">
        <a :href="looked.address" target="_blank" rel="noopener noreferrer" dir="ltr">{{ looked.address }}</a>
      </p>
      <ul v-if="looked.files.length > 0">
        <li v-for="file in looked.files" :key="file.hash">
          <a
            :href="path`/api/courses/${courseId}/coursework/${looked.id}/files/${file.hash}`"
            target="_blank"
            >{{ file.name }}</a
          >
          <span class="soft figures">{{ formatBytes(file.size, locale) }}</span>
        </li>
      </ul>
      <p class="soft hash">
        {{ t('work.marking.receipt') }} <code class="figures" dir="ltr">{{ looked.hash }}</code>
      </p>
    </div>
    <form class="mark" @submit.prevent="save">
      <NumberField
        v-if="total !== null"
        :label="t('work.marking.pointsOf', { total })"
        :number="points"
        :least="0"
        :most="total"
        fractions
        @set="points = $event"
      />
      <p v-if="passAt !== null && points !== null" class="soft">
        {{ t(points >= passAt ? 'work.marking.passes' : 'work.marking.below', { points: passAt }) }}
      </p>
      <VTextarea
        v-model="comment"
        :label="t('work.marking.comment')"
        :rows="5"
        auto-grow
        variant="outlined"
        density="comfortable"
        hide-details="auto"
        dir="auto"
      />
      <MarkFiles :begun="begun" />
      <p v-if="isBegun" class="soft begun">
        {{ t('work.marking.begun') }}
        <PushButton small @click="begun.drop()">{{ t('work.marking.dropBegun') }}</PushButton>
      </p>
      <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
      <p class="soft" role="status">{{ said }}</p>
      <p class="acts">
        <PushButton weight="main" type="submit" :disabled="isUnderWay">{{
          t('work.marking.save')
        }}</PushButton>
        <PushButton v-if="hasNext" :disabled="isUnderWay" @click="saveAndNext">
          {{ t('work.marking.saveNext') }}
        </PushButton>
        <PushButton v-if="hasNext" :disabled="isUnderWay" @click="emit('next')">{{
          t('work.marking.next')
        }}</PushButton>
      </p>
      <details v-if="looked.marks.length > 0">
        <summary>{{ t('work.marking.before', looked.marks.length) }}</summary>
        <ul>
          <li v-for="one in looked.marks" :key="one.id">
            <span class="figures">{{ one.points ?? '–' }}</span> {{ one.by }}
            <span class="soft figures">{{ when(Date.parse(one.at), zone) }}</span>
            <span v-if="one.comment" class="text" dir="auto">{{ one.comment }}</span>
            <a
              v-for="file in one.files"
              :key="file.hash"
              :href="path`/api/courses/${courseId}/coursework/${looked.id}/files/${file.hash}`"
              target="_blank"
              >{{ file.name }}</a
            >
          </li>
        </ul>
      </details>
      <WorkNotes :notes="looked.notes" :zone="zone" :add="note" :drop="dropNote" />
      <details v-if="example.words || example.file !== null">
        <summary>{{ t('work.marking.example') }}</summary>
        <p v-if="example.words" class="text" dir="auto">{{ example.words }}</p>
        <p v-if="example.file !== null">
          <a :href="example.href" target="_blank">{{ example.file }}</a>
        </p>
      </details>
    </form>
  </article>
</template>

<style scoped>
.beside {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(220px, 2fr);
  gap: 20px;
  align-items: start;
}

@media (width <= 1000px) {
  .beside {
    grid-template-columns: minmax(0, 1fr);
  }
}

.handed,
.mark {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  padding: 14px 16px;
  border-top: 3px solid var(--route);
  background: var(--card);
}

h2 {
  font-size: 19px;
}

.text {
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}

.late {
  margin-inline-start: 8px;
  color: var(--advice);
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  padding: 4px 0;
  overflow-wrap: anywhere;
}

.hash code {
  display: block;
  font-size: 12px;
  overflow-wrap: anywhere;
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.begun {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
}

.failure {
  color: var(--blocker);
}
</style>
