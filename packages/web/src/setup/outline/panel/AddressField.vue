<script setup lang="ts">
/** Where something leads: a link, a video, a meeting's room. */
import { addressSchema } from '@itinerary/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextField } from 'vuetify/components/VTextField';
import { usePlan } from '../../../stores/plan.ts';

const props = withDefaults(
  defineProps<{
    target: string;
    address: string | null;
    readonly: boolean;
    field?: 'address' | 'room' | 'recording';
    label?: string | null;
  }>(),
  { field: 'address', label: null },
);
const { t } = useI18n();
const plan = usePlan();

const stored = computed(() => props.address ?? '');
const typed = ref(stored.value);
watch(stored, (now) => {
  if (full(typed.value) !== now) typed.value = now;
});
/** "college.example/map" is typed without its scheme more often than with it. */
const full = (text: string): string => {
  const trimmed = text.trim();
  return trimmed === '' || /^[a-z][a-z0-9+.-]*:/i.test(trimmed) ? trimmed : `https://${trimmed}`;
};
const isAddress = computed(
  () => typed.value.trim() === '' || addressSchema.safeParse(full(typed.value)).success,
);

function type(next: string): void {
  typed.value = next;
  if (!isAddress.value) return;
  const whole = full(next);
  plan.set(
    props.target,
    props.field,
    whole === '' ? null : whole,
    stored.value === '' ? null : stored.value,
    {
      typing: true,
    },
  );
}
</script>

<template>
  <VTextField
    :model-value="typed"
    class="figures-field"
    inputmode="url"
    :name="field"
    :label="label ?? t('setup.outline.address')"
    :hint="t('setup.outline.addressHint')"
    persistent-hint
    :readonly="readonly"
    :error-messages="isAddress ? [] : [t('setup.text.addressWrong')]"
    @update:model-value="type"
  />
</template>
