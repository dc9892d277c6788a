<script setup lang="ts">
/** What people say about an announcement; loaded when it is opened. */
import { IconArrowBackUp, IconMessage, IconTrash } from '@tabler/icons-vue';
import type { CommentsAnswer } from '@itinerary/contract';
import { computed, ref, useId } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../../api/client.ts';
import { dayIn, formatDay, formatTime } from '../../words/dates.ts';
import { useProblemSentence } from '../../words/problems.ts';
import { idsOfTries } from '../../stores/id-of-try.ts';
import { useSession } from '../../stores/session.ts';

const props = defineProps<{ courseId: string; announcement: string; count: number }>();
const { t, locale } = useI18n();
const session = useSession();
const sentence = useProblemSentence();
const listId = useId();
const isOpen = ref(false);
const answer = ref<CommentsAnswer | null>(null);
const draft = ref('');
const failure = ref<string | null>(null);
const many = computed(
  () => answer.value?.comments.filter(({ isRemoved }) => !isRemoved).length ?? props.count,
);
const here = computed(() => ({ course: props.courseId, announcement: props.announcement }));

const COMMENTS = '/api/learn/{course}/announcements/{announcement}/comments';
const COMMENT = `${COMMENTS}/{comment}` as const;

async function take(work: () => Promise<CommentsAnswer>): Promise<boolean> {
  failure.value = null;
  try {
    answer.value = await work();
    return true;
  } catch (error) {
    failure.value = sentence(error);
    return false;
  }
}

async function toggle(): Promise<void> {
  isOpen.value = !isOpen.value;
  if (isOpen.value && answer.value === null) await take(() => ask(`GET ${COMMENTS}`, { params: here.value }));
}
const tries = idsOfTries();
async function say(): Promise<void> {
  const body = { id: tries.idOf(draft.value), text: draft.value };
  if (!(await take(() => ask(`POST ${COMMENTS}`, { params: here.value, body })))) return;
  tries.done();
  draft.value = '';
}
/** What is there is taken away, and what was taken away is brought back. */
function turn({ id, isRemoved }: CommentsAnswer['comments'][number]): Promise<boolean> {
  const params = { ...here.value, comment: id };
  return take(() => (isRemoved ? ask(`PUT ${COMMENT}`, { params }) : ask(`DELETE ${COMMENT}`, { params })));
}

/** The course may show the names of its staff alone. */
const nameOf = ({ name }: CommentsAnswer['comments'][number]): string =>
  name ?? t('learner.comments.somebody');

function when(at: string): string {
  const day = formatDay(dayIn(at, session.me?.institution.zone ?? 'UTC'), locale.value, {
    today: session.today,
  });
  return `${day} ${formatTime(at, locale.value)}`;
}
</script>

<template>
  <div class="comments">
    <button class="fold" type="button" :aria-expanded="isOpen" :aria-controls="listId" @click="toggle">
      <IconMessage :size="16" aria-hidden="true" /> {{ t('learner.comments.count', many) }}
    </button>
    <div v-show="isOpen" :id="listId">
      <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
      <ul>
        <li v-for="one in answer?.comments ?? []" :key="one.id" :class="{ away: one.isRemoved }">
          <p class="who">
            <strong dir="auto">{{ nameOf(one) }}</strong> <span class="figures soft">{{ when(one.at) }}</span>
            <span v-if="one.isRemoved" class="soft">{{ t('learner.comments.removed') }}</span>
            <!-- One button that becomes the other, so that the focus stays where it was pressed. -->
            <button
              v-if="one.isRemoved || one.mayRemove"
              class="button bare square small"
              type="button"
              :aria-label="
                t(`learner.comments.${one.isRemoved ? 'restore' : 'remove'}`, { name: nameOf(one) })
              "
              @click="turn(one)"
            >
              <component :is="one.isRemoved ? IconArrowBackUp : IconTrash" :size="15" aria-hidden="true" />
            </button>
          </p>
          <p class="said" dir="auto">{{ one.text }}</p>
        </li>
      </ul>
      <form v-if="answer?.mayComment" @submit.prevent="say">
        <label>
          <span class="soft">{{ t('learner.comments.label') }}</span>
          <textarea v-model="draft" class="input" rows="2" maxlength="2000" />
        </label>
        <button class="button main" type="submit" :disabled="draft.trim() === ''">
          {{ t('learner.comments.send') }}
        </button>
      </form>
    </div>
  </div>
</template>

<style scoped>
.comments {
  margin-top: 8px;
}

.fold {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  min-height: 28px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--bottle);
  cursor: pointer;
}

ul {
  margin: 6px 0;
  padding: 0;
  list-style: none;
}

li {
  padding: 6px 12px;
  border-inline-start: 3px solid var(--route-pale);
}

.away {
  border-inline-start-color: var(--rule);
}

.away .said {
  color: var(--ink-soft);
  text-decoration: line-through;
}

.who {
  display: flex;
  flex-wrap: wrap;
  gap: 0 8px;
  align-items: center;
}

li + li {
  margin-top: 6px;
}

.said {
  white-space: pre-line;
  overflow-wrap: anywhere;
}

form {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
}

label {
  display: grid;
  flex: 1;
  min-width: 220px;
}

.failure {
  color: var(--blocker);
}
</style>
