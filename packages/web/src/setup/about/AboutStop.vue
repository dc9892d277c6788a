<script setup lang="ts">
import { MAX_TITLE, totalMinutes } from '@itinerary/core';
import type { Purpose } from '@itinerary/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { VCombobox } from 'vuetify/components/VCombobox';
import { VSelect } from 'vuetify/components/VSelect';
import { formatMinutes } from '../../words/dates.ts';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import FieldFrame from '../../ui/fields/FieldFrame.vue';
import CodeField from '../../ui/fields/CodeField.vue';
import PurposeTiles from '../../ui/fields/choice/PurposeTiles.vue';
import DraftField from '../../ui/fields/DraftField.vue';
import NumberField from '../../ui/fields/NumberField.vue';
import StopHead from '../frame/StopHead.vue';
import TextField from '../text/TextField.vue';
import { useFieldFocus } from '../fields/use-field-focus.ts';
import OutcomeList from './OutcomeList.vue';
import { useTags } from './tags.ts';
import LaterPart from '../../ui/frame/LaterPart.vue';

const { t, locale } = useI18n();
const plan = usePlan();
const session = useSession();
useFieldFocus();

const course = computed(() => plan.course!);

function setTitle(text: string): void {
  plan.set(course.value.id, 'title', text, course.value.title, { typing: true });
}
function setHours(hours: number | null): void {
  plan.set(course.value.id, 'statedHours', hours, course.value.statedHours, { typing: true });
}
const MOST_HOURS = 5000;
const minutes = computed(() => (plan.planned === null ? 0 : totalMinutes(plan.planned)));
const code = ref(course.value.code);
watch(
  () => course.value.code,
  (now) => (code.value = now),
);

const purpose = computed({
  get: () => course.value.purpose,
  set: (next: Purpose) => void plan.set(course.value.id, 'purpose', next, course.value.purpose),
});

const belongs = computed(() => [
  { field: 'department' as const, items: session.me?.institution.departments ?? [] },
  { field: 'term' as const, items: session.me?.institution.terms ?? [] },
]);
function choose(field: 'department' | 'term', value: string | null): void {
  plan.set(course.value.id, field, value, course.value[field]);
}

function setCode(free: string): void {
  if (free !== course.value.code) plan.set(course.value.id, 'code', free, course.value.code);
}

const { left, setTags, wrong: tagWrong } = useTags();
</script>

<template>
  <StopHead stop="about" />
  <div class="fields">
    <div class="pair wide-first">
      <FieldFrame :label="t('setup.about.title')" of="title">
        <DraftField
          id="field-title"
          name="title"
          :most="MAX_TITLE"
          keep-as="title"
          :text="course.title"
          :label="t('setup.about.title')"
          :readonly="plan.isReadonly"
          :wrong="(text) => (text === '' ? t('setup.about.titleMissing') : null)"
          @type="setTitle"
        />
      </FieldFrame>
      <FieldFrame :label="t('setup.about.code')" of="code" :help="t('setup.help.code')">
        <CodeField
          id="field-code"
          v-model="code"
          :except="course.id"
          :readonly="plan.isReadonly"
          @settled="setCode"
        />
      </FieldFrame>
    </div>
    <PurposeTiles v-model="purpose" :disabled="plan.isReadonly" />
    <div class="pair">
      <FieldFrame
        v-for="{ field, items } in belongs"
        :key="field"
        :label="t(`setup.about.${field}`)"
        :of="field"
        :help="t(`setup.help.${field}`)"
      >
        <VSelect
          :model-value="course[field]"
          :items="items"
          item-title="name"
          item-value="code"
          :label="t(`setup.about.${field}`)"
          :readonly="plan.isReadonly"
          :clearable="!plan.isReadonly"
          @update:model-value="choose(field, $event)"
        />
      </FieldFrame>
    </div>
    <FieldFrame :label="t('setup.about.tags')" of="tags" :help="t('setup.help.tags')">
      <VCombobox
        :model-value="[...course.tags, ...left]"
        :error-messages="tagWrong === null ? [] : [tagWrong]"
        :label="t('setup.about.tags')"
        :hint="t('setup.about.tagsHint')"
        multiple
        chips
        :closable-chips="!plan.isReadonly"
        :readonly="plan.isReadonly"
        hide-no-data
        @update:model-value="setTags"
      />
    </FieldFrame>
    <div id="field-description" tabindex="-1">
      <TextField
        :key="course.id"
        :target="course.id"
        field="description"
        :hash="course.description"
        :label="t('setup.about.description')"
      />
      <p class="hint">{{ t('setup.about.descriptionHint') }}</p>
    </div>
    <LaterPart><OutcomeList :readonly="plan.isReadonly" /></LaterPart>
    <FieldFrame :label="t('setup.about.statedHours')" of="statedHours">
      <NumberField
        id="field-statedHours"
        class="hours"
        name="statedHours"
        keeps
        :number="course.statedHours"
        :least="1"
        :most="MOST_HOURS"
        :label="t('setup.about.statedHours')"
        :hint="t('setup.about.statedHoursHint', { length: formatMinutes(minutes, locale) })"
        :readonly="plan.isReadonly"
        @set="setHours"
      />
    </FieldFrame>
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 14px;
  max-width: 780px;
}

.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
  align-items: start;
}

.wide-first {
  grid-template-columns: 3fr 2fr;
}

.hours {
  max-width: 320px;
}

.hint {
  padding: 4px 12px 0;
  color: var(--ink-soft);
  font-size: 12.5px;
}

@media (max-width: 720px) {
  .pair,
  .wide-first {
    grid-template-columns: 1fr;
  }
}
</style>
