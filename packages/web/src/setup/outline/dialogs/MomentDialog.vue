<script setup lang="ts">
/** When something is due, held or opens: chosen by what it is measured from, with the day that follows. */
import { applyChange, findNode, momentsOf, planCourse, setMoment, timeSchema } from '@itinerary/core';
import type { Edit, PlannedMoment } from '@itinerary/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { momentWords, ownMoment } from '../../../words/moment-words.ts';
import { usePlan } from '../../../stores/plan.ts';
import { useSession } from '../../../stores/session.ts';
import DialogBox from '../../../ui/frame/DialogBox.vue';
import MomentForm from './MomentForm.vue';
import PushButton from '../../../ui/frame/PushButton.vue';

export interface MomentAsk {
  readonly field: 'due' | 'held' | 'opens';
  /** What is set: one, or all that are selected. */
  readonly ids: readonly string[];
  readonly title: string;
  readonly moment: PlannedMoment | null;
}

const props = defineProps<{ ask: MomentAsk | null }>();
const emit = defineEmits<{ set: [edits: readonly Edit[]]; close: [] }>();
const { t, locale } = useI18n();
const plan = usePlan();
const session = useSession();
const draft = ref<PlannedMoment | null>(null);
watch(
  () => props.ask,
  (ask) => (draft.value = ask?.moment ?? null),
  { immediate: true },
);
const isOpen = computed({
  get: () => props.ask !== null,
  set: (open) => {
    if (!open) emit('close');
  },
});

const edits = computed<readonly Edit[]>(() => {
  const { ask } = props;
  const { course } = plan;
  if (ask === null || course === null) return [];
  return ask.ids.flatMap((id) => setMoment(findNode(course, id)?.node, ask.field, draft.value));
});

/** What core makes of it for the first one: the day, and how it is by the reader's own clocks. */
const follows = computed(() => {
  const { course, planned } = plan;
  const id = props.ask?.ids[0];
  if (course === null || id === undefined || draft.value === null || props.ask === null) return null;
  const applied = applyChange(course, { id: 'moment', edits: [...edits.value] });
  if (!applied.ok) return { text: t('setup.moment.incomplete'), isWrong: true };
  const resolved = momentsOf(planCourse(applied.course, {}, planned), id)[props.ask.field];
  if (resolved === undefined) return null;
  if (resolved.kind === 'undated') {
    return { text: t(`setup.moment.undated.${resolved.because}`), isWrong: true };
  }
  const words = momentWords(resolved, locale.value, session.today);
  const instant = new Date(resolved.instant).toISOString();
  const own = ownMoment({ ...resolved, instant }, locale.value, session.today);
  const notes = [
    ...(resolved.clock === 'plain' ? [] : [t(`setup.moment.clock.${resolved.clock}`)]),
    ...(resolved.nearest ? [t('setup.moment.nearest')] : []),
    ...(own === null ? [] : [t('learner.inYourZone', { when: own })]),
  ];
  return { text: [t('setup.moment.follows', { when: words }), ...notes].join(' · '), isWrong: false };
});
const isWhole = computed(() => {
  const moment = draft.value;
  return (
    moment === null ||
    moment.kind === 'usual' ||
    moment.time === null ||
    timeSchema.safeParse(moment.time).success
  );
});

function save(): void {
  if (!isWhole.value) return;
  emit('set', edits.value);
}
</script>

<template>
  <DialogBox
    v-model="isOpen"
    :title="ask ? t(`setup.moment.titles.${ask.field}`, { title: ask.title }, ask.ids.length) : ''"
    :width="620"
  >
    <MomentForm v-if="ask" v-model="draft" :field="ask.field" :id="ask.ids[0] ?? ''" />
    <p v-if="follows" :class="['follows', { wrong: follows.isWrong }]" role="status">{{ follows.text }}</p>
    <p v-if="ask && ask.ids.length > 1" class="soft">
      {{ t('setup.moment.forAll', { count: ask.ids.length }) }}
    </p>
    <template #foot>
      <PushButton @click="emit('close')">{{ t('common.cancel') }}</PushButton>
      <PushButton weight="main" :disabled="!isWhole" @click="save">
        {{ t('setup.moment.set') }}
      </PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
.follows {
  margin-top: 14px;
  padding: 8px 12px;
  border-top: 3px solid var(--route);
  background: var(--mist);
  font-family: var(--font-figures);
}

.wrong {
  border-color: var(--blocker);
  color: var(--blocker);
  font-family: var(--font-text);
}
</style>
