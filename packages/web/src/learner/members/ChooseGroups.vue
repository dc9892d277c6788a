<script setup lang="ts">
/** Groups that learners choose by themselves, grouping by grouping: how full each is, which is one's own, until when. */
import type { ChoicesAnswer, ChooseGroup } from '@itinerary/contract';
import { ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../../api/client.ts';
import { useAnswer } from '../../api/use-answer.ts';
import { useLive } from '../../stores/live.ts';
import { useMomentWords } from '../../stores/moment-words.ts';
import { useProblemSentence } from '../../words/problems.ts';
import DraftField from '../../ui/fields/DraftField.vue';
import DialogBox from '../../ui/frame/DialogBox.vue';
import PushButton from '../../ui/frame/PushButton.vue';

const props = defineProps<{ courseId: string }>();
const { t } = useI18n();
const when = useMomentWords();
const sentence = useProblemSentence();
const { answer, refresh } = useAnswer('GET /api/learn/{course}/groups', () => ({
  params: { course: props.courseId },
}));
const groupings = ref<ChoicesAnswer['groupings']>([]);
const zone = ref('UTC');
watch(answer, (now) => {
  groupings.value = now?.groupings ?? [];
  zone.value = now?.zone ?? 'UTC';
});
// Others choose at the same time.
useLive((heard) => {
  if (heard.kind === 'missed' || (heard.kind === 'course' && heard.id === props.courseId)) void refresh();
});

type Grouping = ChoicesAnswer['groupings'][number];
const failure = ref<string | null>(null);
const isUnderWay = ref(false);
const making = ref<string | null>(null);
const isMaking = ref(false);
const name = ref('');

async function choose(body: ChooseGroup): Promise<boolean> {
  failure.value = null;
  isUnderWay.value = true;
  try {
    const got = await ask('POST /api/learn/{course}/groups', { params: { course: props.courseId }, body });
    groupings.value = got.groupings;
    return true;
  } catch (error) {
    failure.value = sentence(error);
    void refresh();
    return false;
  } finally {
    isUnderWay.value = false;
  }
}
function begin(grouping: string): void {
  making.value = grouping;
  name.value = '';
  failure.value = null;
  isMaking.value = true;
}
async function make(): Promise<void> {
  if (making.value !== null && (await choose({ grouping: making.value, name: name.value })))
    isMaking.value = false;
}
const isFull = ({ most }: Grouping, size: number): boolean => most !== null && size >= most;
// The last instant that is still in time: what is given as noon is told as noon.
const says = ({ isOpen, until }: Grouping): string => {
  if (!isOpen) return t('learner.choosing.over');
  return until === null
    ? t('learner.choosing.open')
    : t('learner.choosing.until', { until: when(until - 1, zone.value) });
};
const sizeOf = ({ most }: Grouping, size: number): string =>
  most === null ? t('learner.choosing.size', size) : t('learner.choosing.of', { size, most });
</script>

<template>
  <section
    v-for="grouping in groupings"
    :key="grouping.id"
    class="choosing"
    :aria-labelledby="`choose-${grouping.id}`"
  >
    <h2 :id="`choose-${grouping.id}`">{{ grouping.name }}</h2>
    <p class="soft">{{ says(grouping) }}</p>
    <p v-if="failure && !isMaking" class="failure" role="alert">{{ failure }}</p>
    <ul>
      <li v-for="group in grouping.groups" :key="group.id" :class="{ mine: group.isMine }">
        <span class="name">{{ group.name }}</span>
        <span class="figures soft">{{ sizeOf(grouping, group.size) }}</span>
        <span v-if="group.isMine" class="here">{{ t('learner.choosing.mine') }}</span>
        <PushButton
          v-if="grouping.isOpen && group.isMine"
          small
          :disabled="isUnderWay"
          :aria-label="t('learner.choosing.leaveOf', { name: group.name })"
          @click="choose({ grouping: grouping.id, group: null })"
        >
          {{ t('learner.choosing.leave') }}
        </PushButton>
        <PushButton
          v-else-if="grouping.isOpen"
          small
          :disabled="isUnderWay || isFull(grouping, group.size)"
          :aria-label="t('learner.choosing.takeOf', { name: group.name })"
          @click="choose({ grouping: grouping.id, group: group.id })"
        >
          {{ isFull(grouping, group.size) ? t('learner.choosing.full') : t('learner.choosing.take') }}
        </PushButton>
      </li>
    </ul>
    <PushButton
      v-if="grouping.isOpen && grouping.own"
      small
      :disabled="isUnderWay"
      @click="begin(grouping.id)"
    >
      {{ t('learner.choosing.make') }}
    </PushButton>
  </section>
  <DialogBox v-model="isMaking" :title="t('learner.choosing.makeTitle')">
    <DraftField :text="name" :label="t('learner.choosing.name')" :most="200" @type="name = $event" />
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <template #foot>
      <PushButton @click="isMaking = false">{{ t('common.cancel') }}</PushButton>
      <PushButton weight="main" :disabled="isUnderWay || name.trim() === ''" @click="make">
        {{ t('learner.choosing.makePress') }}
      </PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
.choosing {
  display: grid;
  gap: 6px;
  justify-items: start;
  max-width: 560px;
  margin-top: 16px;
  padding: 12px 14px;
  border-top: 3px solid var(--later);
  background: var(--card);
}

h2 {
  font-size: 17px;
}

ul {
  width: 100%;
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
  min-height: 44px;
  padding: 4px 0;
  border-bottom: 1px solid var(--rule);
}

.name {
  flex: 1 1 140px;
  overflow-wrap: anywhere;
}

.mine .name {
  font-weight: 600;
}

.here {
  color: var(--open);
}

.failure {
  color: var(--blocker);
}
</style>
