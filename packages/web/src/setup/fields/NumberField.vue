<script setup lang="ts">
/** A number within bounds, or none. */
import { useI18n } from 'vue-i18n';
import { formatNumber } from '../../words/intl.ts';
import DraftField from './DraftField.vue';

const props = withDefaults(
  defineProps<{
    number: number | null;
    least: number;
    most: number;
    /** Parts of one are taken too, with a point or a comma. */
    fractions?: boolean;
    label: string;
    readonly: boolean;
  }>(),
  { fractions: false },
);
const emit = defineEmits<{ set: [number: number | null] }>();
const { t, locale } = useI18n();

function parse(text: string): number | null {
  return text === '' ? null : Number(text.replace(',', '.'));
}

function wrong(text: string): string | null {
  const pattern = props.fractions ? /^\d+([.,]\d+)?$/ : /^\d+$/;
  const value = parse(text);
  if (value === null || (pattern.test(text) && value >= props.least && value <= props.most)) return null;
  const bounds = {
    least: formatNumber(props.least, locale.value),
    most: formatNumber(props.most, locale.value),
  };
  return t(props.fractions ? 'setup.numberBetween' : 'setup.wholeBetween', bounds);
}
</script>

<template>
  <DraftField
    class="figures-field"
    :inputmode="fractions ? 'decimal' : 'numeric'"
    :text="String(number ?? '')"
    :label="label"
    :readonly="readonly"
    :wrong="wrong"
    @type="emit('set', parse($event))"
  />
</template>
