<script setup lang="ts">
/** What an opening waits for, written as the sentence that learners read, with the days that follow. */
import {
  analyseRules,
  applyChange,
  findNode,
  momentsOf,
  ownPlan,
  planCourse,
  resolveAccess,
  setField,
  waitsOf,
} from '@itinerary/core';
import type { ConditionGroup, Edit, OpeningRule, PlannedMoment } from '@itinerary/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { momentWords } from '../../words/moment-words.ts';
import { openingSentence } from '../../learner/words/opening-words.ts';
import { usePlan } from '../../stores/plan.ts';
import { useSeeing } from '../../stores/seeing.ts';
import { useSession } from '../../stores/session.ts';
import DialogBox from '../../ui/frame/DialogBox.vue';
import { useWhyWords } from '../access/why-words.ts';
import CheckField from '../../ui/fields/choice/CheckField.vue';
import MomentForm from '../outline/dialogs/MomentForm.vue';
import GroupForm from './GroupForm.vue';
import PushButton from '../../ui/frame/PushButton.vue';

const props = defineProps<{
  /** The section or item; null: the dialog is closed. */
  target: string | null;
}>();
const emit = defineEmits<{ set: [edits: readonly Edit[]]; close: [] }>();
const { t, locale } = useI18n();
const plan = usePlan();
const seeing = useSeeing();
const session = useSession();
const words = useWhyWords();

const node = computed(() =>
  props.target === null || plan.course === null ? null : (findNode(plan.course, props.target)?.node ?? null),
);
const isOpen = computed({
  get: () => node.value !== null,
  set: (open) => {
    if (!open) emit('close');
  },
});

const opens = ref<PlannedMoment | null>(null);
const when = ref<ConditionGroup>({ kind: 'all', of: [] });
const until = ref<PlannedMoment | null>(null);
const then = ref<OpeningRule['then']>('look');
watch(
  () => props.target,
  () => {
    const rule = node.value?.rule ?? null;
    opens.value = node.value?.opens ?? null;
    when.value = rule?.when ?? { kind: 'all', of: [] };
    until.value = rule?.until ?? null;
    then.value = rule?.then ?? 'look';
  },
  { immediate: true },
);

const rule = computed<OpeningRule | null>(() =>
  when.value.of.length === 0 && until.value === null
    ? null
    : { when: when.value, until: until.value, then: then.value },
);
const edits = computed<readonly Edit[]>(() => {
  if (node.value === null) return [];
  return [setField(node.value, 'opens', opens.value), setField(node.value, 'rule', rule.value)];
});

/** The course as it would be, tried on every key. */
const tried = computed(() => {
  if (plan.course === null || node.value === null) return null;
  const applied = applyChange(plan.course, { id: 'rule', edits: [...edits.value] });
  return applied.ok ? applied.course : null;
});
const sentence = computed(() => {
  const course = tried.value;
  const id = node.value?.id;
  const of = course === null || id === undefined ? null : (findNode(course, id)?.node ?? null);
  if (course === null || of === null) return null;
  const moment = session.now();
  const staff = { role: 'instructor' as const, institutionStaff: false };
  const planned = planCourse(course);
  const access = resolveAccess(course, staff, moment, planned);
  const viewer = { ...seeing.viewer, role: 'learner' as const };
  const reader = {
    plan: ownPlan(course, viewer, Date.parse(moment)),
    access,
    viewer,
    at: Date.parse(moment),
  };
  const view = waitsOf(of, momentsOf(reader.plan, of.id), reader);
  const say = { t, locale: locale.value, today: session.today };
  const opening = view === null ? t('setup.rules_editor.atOnce') : openingSentence(view, say);
  const last = momentsOf(planned, of.id).until;
  if (last?.kind !== 'at') return opening;
  const untilWords = t('learner.waits.until', { when: momentWords(last, locale.value, session.today) });
  return `${opening} ${untilWords} ${t(`setup.rules_editor.then.${then.value}`)}`;
});

/** What it comes to: the earliest day, or why never. */
const effect = computed(() => {
  const course = tried.value;
  const id = node.value?.id;
  if (course === null || id === undefined) return { text: t('setup.rules_editor.incomplete'), isWrong: true };
  const learner = { ...seeing.viewer, role: 'learner' as const, groups: Object.keys(course.groups) };
  const { earliest, never } = analyseRules(course, learner);
  const why = never.find((one) => one.id === id);
  if (why !== undefined) {
    const waits = why.waitsFor.map((one) => words.named(one)).join(' → ');
    return { text: t(`setup.rules_editor.never.${why.because}`, { waits }), isWrong: true };
  }
  const at = earliest.get(id);
  if (at === undefined || !Number.isFinite(at)) return null;
  return { text: t('setup.rules_editor.earliest', { when: words.when(at) }), isWrong: false };
});
</script>

<template>
  <DialogBox
    v-model="isOpen"
    :title="t('setup.moment.titles.opens', { title: node?.title ?? t('learner.untitled') }, 1)"
    :width="720"
  >
    <template v-if="node">
      <p class="sentence" role="status">{{ sentence }}</p>
      <p v-if="effect" :class="['effect', { wrong: effect.isWrong }]" role="status">{{ effect.text }}</p>
      <details class="part" :open="opens !== null">
        <summary>{{ t('setup.rules_editor.moment') }}</summary>
        <MomentForm :id="node.id" v-model="opens" field="opens" />
      </details>
      <fieldset class="part">
        <legend>{{ t('setup.rules_editor.waits') }}</legend>
        <GroupForm v-model="when" :node="node.id" :depth="1" />
      </fieldset>
      <details class="part" :open="until !== null">
        <summary>{{ t('setup.rules_editor.until') }}</summary>
        <MomentForm :id="node.id" v-model="until" field="until" />
        <CheckField
          v-if="until !== null"
          :checked="then === 'look'"
          :disabled="false"
          @toggle="then = $event ? 'look' : 'absent'"
        >
          {{ t('setup.rules_editor.stays') }}
        </CheckField>
      </details>
    </template>
    <template #foot>
      <PushButton @click="emit('close')">{{ t('common.cancel') }}</PushButton>
      <PushButton weight="main" :disabled="tried === null" @click="emit('set', edits)">
        {{ t('setup.moment.set') }}
      </PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
.sentence {
  padding: 10px 14px;
  border-top: 3px solid var(--route);
  background: var(--mist);
  font-size: 16px;
}

.effect {
  margin: 6px 0 0;
  padding: 4px 14px;
  color: var(--open);
}

.effect.wrong {
  color: var(--blocker);
}

.part {
  margin-top: 14px;
  padding: 0;
  border: 0;
}

summary,
legend {
  margin-bottom: 6px;
  padding: 0;
  font-weight: 600;
  cursor: pointer;
}

legend {
  cursor: auto;
}
</style>
