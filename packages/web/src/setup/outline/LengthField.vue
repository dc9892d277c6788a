<script setup lang="ts">
/** How long a video plays, written as people write it: 3:40, or 1:02:10. */
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextField } from 'vuetify/components/VTextField';
import { usePlan } from '../../stores/plan.ts';
import { useDraft } from '../use-draft.ts';
import { readLength, writeLength } from './video-length.ts';

const props = defineProps<{ target: string; seconds: number | null; readonly: boolean }>();
const { t } = useI18n();
const plan = usePlan();
const { draft, typed, left } = useDraft(
  () => writeLength(props.seconds),
  (text) => {
    const seconds = readLength(text);
    if (seconds !== undefined) plan.set(props.target, 'seconds', seconds, props.seconds, { typing: true });
  },
);
const isRight = computed(() => readLength(draft.value) !== undefined);
</script>

<template>
  <VTextField
    class="figures-field"
    name="length"
    :model-value="draft"
    :label="t('setup.outline.videoLength')"
    :readonly="readonly"
    :error-messages="isRight ? [] : [t('setup.outline.videoLengthWrong')]"
    @update:model-value="typed"
    @blur="left"
  />
</template>
