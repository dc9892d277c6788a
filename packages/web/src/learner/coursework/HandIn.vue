<script setup lang="ts">
/** What a learner hands in: begun here, kept on the way, handed in with a receipt, and what came of it. */
import { IconCheck } from '@tabler/icons-vue';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextarea } from 'vuetify/components/VTextarea';
import { VTextField } from 'vuetify/components/VTextField';
import { path, ProblemError } from '../../api/client.ts';
import { MOST_HANDED_TEXT } from '../../stores/limits.ts';
import { useLive } from '../../stores/live.ts';
import { useMomentWords } from '../../stores/moment-words.ts';
import { useSession } from '../../stores/session.ts';
import DialogBox from '../../ui/frame/DialogBox.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import { formatMinutes } from '../../words/dates.ts';
import { useProblemSentence } from '../../words/problems.ts';
import FileLines from './FileLines.vue';
import HandedIn from './HandedIn.vue';
import KeepingLine from './KeepingLine.vue';
import WorkFiles from './WorkFiles.vue';
import { useHandIn } from './use-hand-in.ts';
import { useTicking } from '../../words/ticking.ts';
import WorkFrame from './WorkFrame.vue';

const props = defineProps<{ courseId: string; itemId: string; personId: string }>();
/** It counts, or is done: what is shown around it is to be asked anew. */
const emit = defineEmits<{ changed: [] }>();
const { t, locale } = useI18n();
const session = useSession();
const when = useMomentWords();
const sentence = useProblemSentence();
const hand = useHandIn(props.courseId, props.itemId, props.personId);
const { answer: work, typed, keeping, uploads, files, mine, failure, isHandingIn, isEmpty } = hand;
const isAsked = ref(false);
const said = ref('');
void hand.load().catch(() => undefined);
useLive(() => void hand.load().catch(() => undefined));

const zone = computed(() => work.value?.zone ?? 'UTC');
const takenTo = computed(() => (work.value?.takenTo == null ? null : Date.parse(work.value.takenTo)));
const due = computed(() => (work.value?.due == null ? null : Date.parse(work.value.due)));

/** By the server’s clock, which has the last word. */
const now = useTicking(() => Date.parse(session.now()));
watch(now, (is, was) => {
  const end = takenTo.value;
  if (end !== null && was < end && is >= end) void hand.load().catch(() => undefined);
});

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;
/** The next end: on time, then at all. */
const left = computed(() => {
  if (work.value?.mayHandIn !== true || work.value.punctual === 'over') return null;
  const end = [due.value, takenTo.value].find((one) => one !== null && one > now.value) ?? null;
  if (end === null || end - now.value > DAY_MS) return null;
  const ms = end - now.value;
  const words =
    ms >= HOUR_MS
      ? formatMinutes(Math.floor(ms / 60_000), locale.value)
      : `${Math.floor(ms / 60_000)}:${String(Math.floor((ms % 60_000) / 1000)).padStart(2, '0')}`;
  return t(`work.own.left.${end === due.value ? 'due' : 'taken'}`, { left: words });
});
const standing = computed(() => {
  const at = work.value;
  if (at === null) return '';
  if (at.punctual === 'over') return t('work.own.over');
  const end = takenTo.value === null ? null : when(takenTo.value - 1, zone.value);
  if (at.punctual === 'late') {
    return end === null ? t('work.own.late') : t('work.own.lateUntil', { until: end });
  }
  return '';
});
const tries = computed(() => {
  const { most = null, used = 0 } = work.value?.tries ?? {};
  return most === null
    ? ''
    : t('work.own.tries', { left: Math.max(0, most - used) }, Math.max(0, most - used));
});
const isUsedUp = computed(() => {
  const { most = null, used = 0 } = work.value?.tries ?? {};
  return most !== null && used >= most;
});
const mayWork = computed(
  () => work.value?.mayHandIn === true && work.value.punctual !== 'over' && !isUsedUp.value,
);
const keepsWords = computed(() => {
  const at = work.value?.draft?.at;
  return t(`work.own.keeping.${keeping.value}`, {
    at: at === undefined ? '' : when(Date.parse(at), zone.value),
  });
});
const wrong = computed(() => {
  const error = failure.value;
  if (error === null) return null;
  const code = error instanceof ProblemError ? error.problem.errors?.[0]?.path : undefined;
  const isKnown = error instanceof ProblemError && error.problem.code === 'cannot_hand_in';
  if (isKnown && code !== undefined && KNOWN.includes(code)) return t(`work.own.refused.${code}`);
  const place = error instanceof ProblemError && error.problem.code === 'bad_input' ? code : undefined;
  return place === 'address' ? t('work.own.refused.address') : sentence(error);
});
const KNOWN = ['over', 'empty', 'no_text', 'no_address', 'too_many', 'wrong_kind', 'no_tries', 'item'];

const ownFile = (hash: string): string =>
  path`/api/learn/${props.courseId}/items/${props.itemId}/coursework/files/${hash}`;
const takes = computed(() => {
  if (work.value === null) return '';
  const { takes: taken, limit } = work.value;
  const kinds =
    taken.kinds.length === 0
      ? t('work.own.anyKind')
      : taken.kinds.map((kind) => t(`work.own.kinds.${kind}`)).join(', ');
  const values = { most: taken.files, kinds, megabytes: limit.megabytes };
  return t(`work.own.limit.${limit.by}`, values, taken.files);
});

async function handIn(): Promise<void> {
  isAsked.value = false;
  if (!(await hand.handIn())) return;
  isAnew.value = false;
  said.value = t('work.own.done');
  emit('changed');
}
/** Once it is handed in there is nothing to fill in, until somebody wants to hand in anew. */
const isAnew = ref(false);
const isAtWork = computed(
  () => isAnew.value || work.value?.handed.length === 0 || !isEmpty.value || mine.value !== null,
);
function begin(): void {
  isAnew.value = true;
  said.value = '';
}
async function again(): Promise<void> {
  const last = work.value?.handed[0];
  if (last === undefined) return;
  begin();
  await hand.write(
    last.files.map(({ hash }) => hash),
    { text: last.text, address: last.address },
  );
}
</script>

<template>
  <WorkFrame v-if="work !== null" class="work" :title="t('work.own.title')">
    <p v-if="work.mayMark" class="staff">
      <RouterLink class="button" :to="`/courses/${courseId}/items/${itemId}/coursework`">
        {{ t('work.own.look') }}
      </RouterLink>
    </p>
    <FileLines
      :label="t('work.own.attached')"
      :files="work.attachments"
      :href-of="(hash) => path`/api/learn/${courseId}/items/${itemId}/attachments/${hash}`"
    />
    <p v-if="standing" :class="['standing', work.punctual]">{{ standing }}</p>
    <p v-if="left && mayWork" class="figures left" role="timer">{{ left }}</p>
    <p v-if="mayWork && !isAtWork" class="acts">
      <PushButton @click="begin">{{ t('work.own.anew') }}</PushButton>
      <PushButton @click="again">{{ t('work.own.again') }}</PushButton>
    </p>
    <template v-else-if="mayWork">
      <div v-if="mine !== null" class="elsewhere" role="alert">
        <p>{{ t('work.own.elsewhere') }}</p>
        <blockquote>{{ mine.text || mine.address }}</blockquote>
        <p class="acts">
          <PushButton small @click="hand.takeMine">{{ t('work.own.takeMine') }}</PushButton>
          <PushButton small @click="hand.dropMine">{{ t('work.own.dropMine') }}</PushButton>
        </p>
      </div>
      <VTextarea
        v-if="work.takes.text"
        :model-value="typed.text"
        :label="t('work.own.text')"
        :rows="6"
        :maxlength="MOST_HANDED_TEXT"
        auto-grow
        variant="outlined"
        density="comfortable"
        hide-details="auto"
        dir="auto"
        @update:model-value="hand.type({ text: $event })"
      />
      <VTextField
        v-if="work.takes.address"
        :model-value="typed.address"
        :label="t('work.own.address')"
        type="url"
        inputmode="url"
        variant="outlined"
        density="comfortable"
        hide-details="auto"
        dir="ltr"
        @update:model-value="hand.type({ address: $event })"
      />
      <WorkFiles
        v-if="work.takes.files > 0"
        :files="files"
        :uploads="uploads"
        :most="work.takes.files"
        :megabytes="work.limit.megabytes"
        :says="takes"
        :href-of="ownFile"
        @add="hand.add"
        @stop="hand.stop"
        @remove="hand.remove"
      />
      <p class="acts">
        <PushButton
          weight="main"
          :disabled="isEmpty || isHandingIn || uploads.some(({ error }) => error === null)"
          @click="isAsked = true"
        >
          {{ t(work.punctual === 'late' ? 'work.own.pressLate' : 'work.own.press') }}
        </PushButton>
      </p>
      <!-- Below what is pressed, which would move away under the press as the words change. -->
      <KeepingLine :keeping="keeping" :words="keepsWords" :hidden="isEmpty && keeping === 'kept'" />
      <p v-if="wrong" class="failure" role="alert">{{ wrong }}</p>
      <p v-if="tries" class="soft">{{ tries }}</p>
    </template>
    <p v-else-if="isUsedUp" class="soft">{{ t('work.own.refused.no_tries') }}</p>
    <p class="said" role="status">
      <template v-if="said"><IconCheck :size="17" aria-hidden="true" /> {{ said }}</template>
    </p>
    <div v-if="work.mark !== null" class="mark">
      <p class="figures points">
        {{
          work.mark.points === null || work.total === null
            ? t('work.own.looked')
            : t('work.own.points', { points: work.mark.points, total: work.total })
        }}
        <template v-if="work.mark.hasPassed !== null">
          · {{ t(work.mark.hasPassed ? 'work.own.passed' : 'work.own.notPassed') }}
        </template>
      </p>
      <p v-if="work.mark.comment" class="comment" dir="auto">{{ work.mark.comment }}</p>
      <FileLines :label="t('work.own.back')" :files="work.mark.files" :href-of="ownFile" />
    </div>
    <HandedIn :course-id="courseId" :item-id="itemId" :handed="work.handed" :zone="zone" />
    <DialogBox v-model="isAsked" :title="t('work.own.ask')">
      <p>{{ t(work.punctual === 'late' ? 'work.own.askLate' : 'work.own.askText') }}</p>
      <ul>
        <li v-if="typed.text.trim()">{{ t('work.own.some', typed.text.trim().length) }}</li>
        <li v-if="typed.address">{{ typed.address }}</li>
        <li v-for="file in files" :key="file.hash">{{ file.name }}</li>
      </ul>
      <template #foot>
        <PushButton @click="isAsked = false">{{ t('common.cancel') }}</PushButton>
        <PushButton weight="main" @click="handIn">{{ t('work.own.press') }}</PushButton>
      </template>
    </DialogBox>
  </WorkFrame>
</template>

<style scoped>
.standing.over {
  font-weight: 600;
}

.standing.late,
.elsewhere {
  padding-inline-start: 10px;
  border-inline-start: 4px solid var(--advice);
}

blockquote {
  margin: 6px 0;
  padding-inline-start: 10px;
  border-inline-start: 1px solid var(--rule);
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}

.left {
  font-weight: 600;
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}

.said {
  display: flex;
  gap: 6px;
  align-items: center;
  min-height: 22px;
  color: var(--open);
  font-size: 14px;
  font-weight: 600;
}

.said:empty {
  display: none;
}

.mark {
  padding: 10px 14px;
  border-inline-start: 4px solid var(--open);
  background: var(--mist);
}

.points {
  font-weight: 600;
}

.comment {
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}

.failure {
  color: var(--blocker);
}
</style>
