<script setup lang="ts">
/**
 * What a section, a folder or an item holds, beside the outline. For another of the same kind it stays, and is filled
 * anew: what has words or files of its own on their way stands under the name of the node that they are for.
 */
import { IconClock, IconX } from '@tabler/icons-vue';
import {
  findNode,
  accentSchema,
  isContent,
  isHolder,
  MAX_MINUTES,
  MAX_SUMMARY,
  MAX_TITLE,
  momentsOf,
  traitsOf,
} from '@itinerary/core';
import type { Accent, CourseNode, FieldValue } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { momentWords } from '../../../words/moment-words.ts';
import { VRadio } from 'vuetify/components/VRadio';
import { VRadioGroup } from 'vuetify/components/VRadioGroup';
import { usePlan } from '../../../stores/plan.ts';
import { useSession } from '../../../stores/session.ts';
import DurationField from '../../../ui/fields/when/DurationField.vue';
import { useFocusIn } from '../../../ui/frame/focus-in.ts';
import TextField from '../../text/TextField.vue';
import CheckField from '../../../ui/fields/choice/CheckField.vue';
import DraftField from '../../../ui/fields/DraftField.vue';
import FileField from '../../files/FileField.vue';
import AddressField from './AddressField.vue';
import DiscussionFields from './DiscussionFields.vue';
import FilmFields from '../film/FilmFields.vue';
import GateFields from './GateFields.vue';
import HandInFields from './HandInFields.vue';
import LengthField from './LengthField.vue';
import MeetingFields from './MeetingFields.vue';
import SurveyFields from '../survey/SurveyFields.vue';
import QuizFields from '../quiz/QuizFields.vue';
import OutcomeChoice from './OutcomeChoice.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import BareButton from '../../../ui/frame/BareButton.vue';

const props = defineProps<{ node: CourseNode; readonly: boolean; takesFocus: boolean }>();
const emit = defineEmits<{ close: []; moment: [field: 'due' | 'held' | 'opens'] }>();
const { t, locale } = useI18n();
const plan = usePlan();
const session = useSession();

const root = ref<HTMLElement | null>(null);
useFocusIn(
  root,
  () => props.takesFocus,
  () => props.node.id,
);

const read = (field: string): FieldValue =>
  (props.node as unknown as Record<string, FieldValue>)[field] ?? null;
const set = (field: string, value: FieldValue, typing = false): void => {
  plan.set(props.node.id, field, value, read(field), { typing });
};
const setText = (field: string, text: string): void => set(field, text === '' ? null : text, true);

const has = (field: string): boolean => field in props.node;
const accent = computed(() => (isHolder(props.node) ? props.node.accent : null));
const accents: readonly Accent[] = accentSchema.options;
/** The library takes null for nothing chosen. */
const NO_ACCENT = 'none';

/** What it opens with, where it says nothing of that itself. */
const opensWith = computed(() => {
  const above = plan.course === null ? [] : (findNode(plan.course, props.node.id)?.above ?? []);
  return above.length === 0 ? 'course' : above.length === 1 ? 'section' : 'folder';
});
/** Opening, due and held, each with what it comes to. */
const moments = computed(() => {
  const resolved = plan.planned === null ? {} : momentsOf(plan.planned, props.node.id);
  return (['due', 'held', 'opens'] as const)
    .filter((field) => has(field))
    .map((field) => {
      const at = resolved[field];
      const words =
        at === undefined
          ? t(field === 'opens' ? `setup.outline.atOnce.${opensWith.value}` : 'setup.outline.noMoment')
          : at.kind === 'at'
            ? momentWords(at, locale.value, session.today)
            : t(`setup.outline.undated.${at.because}`);
      return { field, words };
    });
});
</script>

<template>
  <aside
    ref="root"
    class="panel"
    data-panel
    tabindex="-1"
    :aria-label="t('setup.outline.panel', { title: node.title ?? t('learner.untitled') })"
    @keydown.esc="emit('close')"
  >
    <header>
      <h2>{{ node.kind === 'section' ? t('setup.outline.addSection') : t(`learner.kinds.${node.kind}`) }}</h2>
      <PushButton weight="bare" square :aria-label="t('common.close')" @click="emit('close')">
        <IconX :size="18" aria-hidden="true" />
      </PushButton>
    </header>
    <DraftField
      :most="MAX_TITLE"
      :keep-as="`${node.id} title`"
      :text="node.title ?? ''"
      :label="t('setup.outline.columns.title')"
      :readonly="readonly"
      :wrong="(text) => (text === '' && node.kind !== 'section' ? t('setup.about.titleMissing') : null)"
      @type="setText('title', $event)"
    />
    <div class="moments">
      <BareButton
        v-for="{ field, words } in moments"
        :key="field"
        class="moment"
        :disabled="readonly"
        @click="emit('moment', field)"
      >
        <span class="soft"
          ><IconClock :size="14" aria-hidden="true" /> {{ t(`setup.outline.momentNames.${field}`) }}</span
        >
        <span class="figures">{{ words }}</span>
      </BareButton>
      <DurationField
        v-if="isContent(node)"
        :key="node.id"
        class="minutes"
        name="minutes"
        :minutes="node.minutes"
        :most="MAX_MINUTES"
        :label="t('setup.outline.columns.minutes')"
        :readonly="readonly"
        @set="set('minutes', $event)"
      />
    </div>
    <AddressField
      v-if="'address' in node"
      :key="node.id"
      :target="node.id"
      :address="node.address"
      :readonly="readonly"
    />
    <FileField v-if="'file' in node" :key="node.id" :item="node" :readonly="readonly" />
    <LengthField
      v-if="'seconds' in node"
      :key="node.id"
      :target="node.id"
      :seconds="node.seconds"
      :readonly="readonly"
    />
    <DraftField
      v-if="'held' in node"
      name="place"
      :keep-as="`${node.id} place`"
      :most="200"
      :text="node.place ?? ''"
      :label="t('setup.dates.patternPlace')"
      :readonly="readonly"
      @type="setText('place', $event)"
    />
    <QuizFields v-if="node.kind === 'quiz'" :key="node.id" :item="node" :readonly="readonly" />
    <TextField
      v-if="isContent(node)"
      :target="node.id"
      field="text"
      :hash="node.text"
      :label="t('setup.outline.text')"
    />
    <FilmFields v-if="node.kind === 'video'" :key="node.id" :item="node" :readonly="readonly" />
    <MeetingFields v-if="node.kind === 'meeting'" :key="node.id" :item="node" :readonly="readonly" />
    <SurveyFields v-if="node.kind === 'survey'" :key="node.id" :item="node" :readonly="readonly" />
    <DiscussionFields v-if="node.kind === 'discussion'" :key="node.id" :item="node" :readonly="readonly" />
    <HandInFields v-if="node.kind === 'assignment'" :key="node.id" :item="node" :readonly="readonly" />
    <DraftField
      v-if="traitsOf(node).part !== 'mark'"
      name="summary"
      :rows="2"
      :most="MAX_SUMMARY"
      :text="String(read('summary') ?? '')"
      :label="t('setup.outline.summary')"
      :readonly="readonly"
      :keep-as="`${node.id} summary`"
      @type="setText('summary', $event)"
    />
    <CheckField
      v-if="has('summaryShown') && traitsOf(node).part !== 'mark'"
      :checked="read('summaryShown') === true"
      :disabled="readonly"
      @toggle="set('summaryShown', $event)"
    >
      {{ t('setup.outline.summaryShown') }}
    </CheckField>
    <template v-if="node.kind === 'section'">
      <CheckField :checked="node.outside" :disabled="readonly" @toggle="set('outside', $event)">
        {{ t('setup.outline.outside') }}
      </CheckField>
      <CheckField
        v-if="node.outside"
        :checked="node.numbered"
        :disabled="readonly"
        @toggle="set('numbered', $event)"
      >
        {{ t('setup.outline.numbered') }}
      </CheckField>
    </template>
    <VRadioGroup
      v-if="isHolder(node)"
      class="accents"
      :model-value="accent ?? NO_ACCENT"
      :label="t('setup.outline.accent')"
      :disabled="readonly"
      inline
      hide-details
      @update:model-value="set('accent', $event === NO_ACCENT ? null : $event)"
    >
      <VRadio
        v-for="one in [NO_ACCENT, ...accents]"
        :key="one"
        :value="one"
        :class="one === NO_ACCENT ? '' : `accent-${one}`"
      >
        <template #label>
          <span class="swatch" aria-hidden="true" /> {{ t(`setup.outline.accents.${one}`) }}
        </template>
      </VRadio>
    </VRadioGroup>
    <GateFields :node="node" :readonly="readonly" />
    <OutcomeChoice v-if="isContent(node)" :item="node" :readonly="readonly" />
  </aside>
</template>

<style scoped>
.panel {
  /* What sticks to the top of it covers its padding too. */
  --under-edge: -12px;

  display: grid;
  align-content: start;
  gap: 12px;
  min-height: 0;
  padding: 12px 14px 14px;
  overflow: auto;
  border: 1px solid var(--field-rule);
  border-top: 3px solid var(--route);
  border-radius: 6px;
  background: var(--card);
}

header {
  display: flex;
  align-items: center;
  justify-content: space-between;
}

.moments {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.moment {
  display: grid;
  flex: 1;
  min-width: 150px;
  padding: 4px 10px;
  border: 1px solid var(--field-rule);
  border-radius: 6px;
  background: var(--card);
  text-align: start;
  cursor: pointer;
}

.moment .soft {
  display: inline-flex;
  gap: 4px;
  align-items: center;
  font-size: 12.5px;
}

.check {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 28px;
}

.swatch {
  margin-inline-end: 5px;
  width: 14px;
  height: 14px;
  border: 1px solid var(--field-rule);
  border-radius: 3px;
  background: var(--accent, transparent);
}

.panel :deep(.content) {
  max-height: 40vh;
}
</style>
