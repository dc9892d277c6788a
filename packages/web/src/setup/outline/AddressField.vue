<script setup lang="ts">
/** Where a link or a video leads. */
import { addressSchema } from '@itinerary/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextField } from 'vuetify/components/VTextField';
import { usePlan } from '../../stores/plan.ts';

const props = defineProps<{ target: string; address: string | null; readonly: boolean }>();
const { t } = useI18n();
const plan = usePlan();

const stored = computed(() => props.address ?? '');
const address = ref(stored.value);
watch(stored, (now) => {
  if (full(address.value) !== now) address.value = now;
});
/** "college.example/map" is typed without its scheme more often than with it. */
const full = (typed: string): string => {
  const trimmed = typed.trim();
  return trimmed === '' || /^[a-z][a-z0-9+.-]*:/i.test(trimmed) ? trimmed : `https://${trimmed}`;
};
const isAddress = computed(
  () => address.value.trim() === '' || addressSchema.safeParse(full(address.value)).success,
);

function type(typed: string): void {
  address.value = typed;
  if (!isAddress.value) return;
  const next = full(typed);
  plan.set(props.target, 'address', next === '' ? null : next, stored.value === '' ? null : stored.value, {
    typing: true,
  });
}
</script>

<template>
  <VTextField
    :model-value="address"
    class="figures-field"
    inputmode="url"
    name="address"
    :label="t('setup.outline.address')"
    :hint="t('setup.outline.addressHint')"
    persistent-hint
    :readonly="readonly"
    :error-messages="isAddress ? [] : [t('setup.text.addressWrong')]"
    @update:model-value="type"
  />
</template>
