<script setup lang="ts" generic="Of extends Want">
/** How many of some things are wanted: all, any, so many, a share, or so many minutes of them. */
import type { Want } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import NumberField from '../../ui/fields/NumberField.vue';

const props = defineProps<{
  want: Of;
  label: string;
  /** Minutes are no matter of sections and meetings. */
  minutes?: boolean;
  readonly: boolean;
  bare?: boolean;
}>();
const emit = defineEmits<{ set: [want: Of] }>();
const { t } = useI18n();

const HOW = ['all', 'any', 'least', 'share'] as const;
const options = computed(() =>
  [...HOW, ...(props.minutes ? (['minutes'] as const) : [])].map((value) => ({
    value,
    title: t(`setup.progress.how.${value}`),
  })),
);
/** The number that goes with it: of things, percent, or minutes. */
const number = computed((): number | null => {
  const want: Want = props.want;
  if (want.how === 'least') return want.count;
  if (want.how === 'share') return want.percent;
  return want.how === 'minutes' ? want.minutes : null;
});
const MOST = { least: 1000, share: 100, minutes: 1_000_000 } as const;
function choose(how: Want['how']): void {
  emit('set', made(how, null) as Of);
}
function made(how: Want['how'], value: number | null): Want {
  if (how === 'least') return { how, count: value ?? 1 };
  if (how === 'share') return { how, percent: value ?? 80 };
  return how === 'minutes' ? { how, minutes: value ?? 60 } : { how };
}
</script>

<template>
  <div class="want">
    <SelectField
      :label="label"
      :bare="bare ?? false"
      :small="bare ?? false"
      :value="want.how"
      :options="options"
      :disabled="readonly"
      @choose="choose"
    />
    <NumberField
      v-if="number !== null"
      :key="want.how"
      :label="t(`setup.progress.wants.${want.how}`)"
      :number="number"
      :least="1"
      :most="MOST[want.how as 'least']"
      required
      :readonly="readonly"
      @set="emit('set', made(want.how, $event) as Of)"
    />
  </div>
</template>

<style scoped>
.want {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}
</style>
