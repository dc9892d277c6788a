<script setup lang="ts">
/** How long a video plays, written as people write it: 3:40, or 1:02:10. */
import { readLength, writeLength } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../../stores/plan.ts';
import DraftField from '../../../ui/fields/DraftField.vue';

const props = defineProps<{ target: string; seconds: number | null; readonly: boolean }>();
const { t } = useI18n();
const plan = usePlan();

function set(text: string): void {
  const seconds = readLength(text);
  if (seconds !== undefined) plan.set(props.target, 'seconds', seconds, props.seconds, { typing: true });
}
</script>

<template>
  <DraftField
    class="figures-field"
    name="length"
    :text="writeLength(seconds)"
    :label="t('setup.outline.videoLength')"
    :readonly="readonly"
    :wrong="(text) => (readLength(text) === undefined ? t('setup.outline.videoLengthWrong') : null)"
    @type="set"
  />
</template>
