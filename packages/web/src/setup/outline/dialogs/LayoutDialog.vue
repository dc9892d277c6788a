<script setup lang="ts">
/** How the outline is numbered, how its sections read, and what stands where one is not open. */
import type { FieldValue, Numbering } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../../stores/plan.ts';
import { useSession } from '../../../stores/session.ts';
import ChoiceTiles from '../../../ui/fields/choice/ChoiceTiles.vue';
import DialogBox from '../../../ui/frame/DialogBox.vue';
import CheckField from '../../../ui/fields/choice/CheckField.vue';
import NumberField from '../../../ui/fields/NumberField.vue';
import PushButton from '../../../ui/frame/PushButton.vue';

defineProps<{ readonly: boolean }>();
const isOpen = defineModel<boolean>({ required: true });
const { t } = useI18n();
const plan = usePlan();
const session = useSession();
const course = computed(() => plan.course!);

type Field = 'numbering' | 'reading' | 'closed' | 'hoursAWeek' | 'largestUpload' | 'programs';
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

const limit = computed(() => session.me?.institution.largestUpload ?? 100);
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
        <CheckField
          :checked="course.numbering.from === 0"
          :disabled="readonly"
          @toggle="setNumbering({ from: $event ? 0 : 1 })"
        >
          {{ t('setup.layout.fromZero') }}
        </CheckField>
        <CheckField
          v-if="course.numbering.style === 'items'"
          :checked="!course.numbering.restart"
          :disabled="readonly"
          @toggle="setNumbering({ restart: !$event })"
        >
          {{ t('setup.layout.runOn') }}
        </CheckField>
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
        <NumberField
          name="hoursAWeek"
          fractions
          :number="course.hoursAWeek"
          :least="0.5"
          :most="80"
          :label="t('setup.layout.hours')"
          :hint="t('setup.layout.hoursHint')"
          :readonly="readonly"
          @set="set('hoursAWeek', $event, true)"
        />
        <NumberField
          id="field-largestUpload"
          name="largestUpload"
          :number="course.largestUpload"
          :least="1"
          :most="limit"
          :label="t('setup.layout.upload')"
          :hint="t('setup.layout.uploadHint', { limit })"
          :readonly="readonly"
          @set="set('largestUpload', $event, true)"
        />
      </div>
      <CheckField :checked="course.programs" :disabled="readonly" @toggle="set('programs', $event)">
        <span
          >{{ t('setup.layout.programs') }}<br /><span class="soft">{{
            t('setup.layout.programsHint')
          }}</span></span
        >
      </CheckField>
    </div>
    <template #foot>
      <PushButton weight="main" @click="isOpen = false">{{ t('common.close') }}</PushButton>
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
  border-inline-start: 4px solid var(--advice);
  background: var(--advice-pale);
}

.checks {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
}

.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
</style>
