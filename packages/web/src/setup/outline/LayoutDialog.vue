<script setup lang="ts">
/** How the outline is numbered, how its sections read, and what stands where one is not open. */
import type { Course, FieldValue, Numbering } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextField } from 'vuetify/components/VTextField';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import ChoiceTiles from '../../ui/ChoiceTiles.vue';
import DialogBox from '../../ui/DialogBox.vue';
import { useDraft } from '../use-draft.ts';

defineProps<{ readonly: boolean }>();
const isOpen = defineModel<boolean>({ required: true });
const { t } = useI18n();
const plan = usePlan();
const session = useSession();
const course = computed(() => plan.course!);

type Field = 'numbering' | 'reading' | 'closed' | 'hoursAWeek' | 'largestUpload';
function set(field: Field, value: FieldValue, typing = false): void {
  plan.set(course.value.id, field, value, course.value[field] as FieldValue, { typing });
}

function setNumbering(change: Partial<Numbering>): void {
  set('numbering', { ...course.value.numbering, ...change });
}

const styles = computed(() =>
  (['none', 'sections', 'items'] as const).map((value) => ({
    value,
    title: t(`setup.layout.numbers.${value}`),
    text: t(`setup.layout.numberTexts.${value}`),
  })),
);
const readings = computed(() =>
  (['scroll', 'sections'] as const).map((value) => ({
    value,
    title: t(`setup.layout.readings.${value}`),
    text: t(`setup.layout.readingTexts.${value}`),
  })),
);
const closings = computed(() =>
  (['name', 'leave_out'] as const).map((value) => ({
    value,
    title: t(`setup.layout.closings.${value}`),
    text: t(`setup.layout.closingTexts.${value}`),
  })),
);

/** A number, or nothing: in the bounds of its field, or it is not taken. */
function useNumber(
  field: 'hoursAWeek' | 'largestUpload',
  low: number,
  high: () => number,
): ReturnType<typeof useDraft> & { isRight: () => boolean } {
  const parse = (text: string): number | null => (text.trim() === '' ? null : Number(text.replace(',', '.')));
  const fits = (text: string): boolean => {
    const value = parse(text);
    const isWhole = field === 'hoursAWeek' || Number.isInteger(value);
    return value === null || (isWhole && value >= low && value <= high());
  };
  const draft = useDraft(
    () => String((course.value as Course)[field] ?? ''),
    (text) => {
      if (fits(text)) set(field, parse(text), true);
    },
  );
  return { ...draft, isRight: () => fits(draft.draft.value) };
}
const hours = useNumber('hoursAWeek', 0.5, () => 80);
const limit = computed(() => session.me?.institution.largestUpload ?? 100);
const upload = useNumber('largestUpload', 1, () => limit.value);
</script>

<template>
  <DialogBox v-model="isOpen" :title="t('setup.layout.title')" :width="720">
    <div class="stack">
      <p v-if="course.state === 'live'" class="live" role="note">{{ t('setup.layout.live') }}</p>
      <ChoiceTiles
        :legend="t('setup.layout.numbering')"
        :tiles="styles"
        :chosen="course.numbering.style"
        :disabled="readonly"
        compact
        @choose="setNumbering({ style: $event })"
      />
      <div v-if="course.numbering.style !== 'none'" class="checks">
        <label>
          <input
            type="checkbox"
            :checked="course.numbering.from === 0"
            :disabled="readonly"
            @change="setNumbering({ from: course.numbering.from === 0 ? 1 : 0 })"
          />
          {{ t('setup.layout.fromZero') }}
        </label>
        <label v-if="course.numbering.style === 'items'">
          <input
            type="checkbox"
            :checked="!course.numbering.restart"
            :disabled="readonly"
            @change="setNumbering({ restart: !course.numbering.restart })"
          />
          {{ t('setup.layout.runOn') }}
        </label>
      </div>
      <ChoiceTiles
        :legend="t('setup.layout.reading')"
        :tiles="readings"
        :chosen="course.reading"
        :disabled="readonly"
        compact
        @choose="set('reading', $event)"
      />
      <ChoiceTiles
        :legend="t('setup.layout.closed')"
        :tiles="closings"
        :chosen="course.closed"
        :disabled="readonly"
        compact
        @choose="set('closed', $event)"
      />
      <div class="pair">
        <VTextField
          class="figures-field"
          name="hoursAWeek"
          inputmode="decimal"
          :model-value="hours.draft.value"
          :label="t('setup.layout.hours')"
          :hint="t('setup.layout.hoursHint')"
          persistent-hint
          :readonly="readonly"
          :error-messages="hours.isRight() ? [] : [t('setup.layout.hoursWrong')]"
          @update:model-value="hours.typed"
          @blur="hours.left"
        />
        <VTextField
          id="field-largestUpload"
          class="figures-field"
          name="largestUpload"
          inputmode="numeric"
          :model-value="upload.draft.value"
          :label="t('setup.layout.upload')"
          :hint="t('setup.layout.uploadHint', { limit })"
          persistent-hint
          :readonly="readonly"
          :error-messages="upload.isRight() ? [] : [t('setup.dates.numberWrong', { most: limit })]"
          @update:model-value="upload.typed"
          @blur="upload.left"
        />
      </div>
    </div>
    <template #foot>
      <button class="button main" type="button" @click="isOpen = false">{{ t('common.close') }}</button>
    </template>
  </DialogBox>
</template>

<style scoped>
.stack {
  display: grid;
  gap: 16px;
}

.live {
  padding: 6px 12px;
  border-left: 4px solid var(--advice);
  background: var(--advice-pale);
}

.checks {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
}

.checks label {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 28px;
}

.checks input {
  accent-color: var(--bottle);
}

.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
</style>
