<script setup lang="ts">
/** How much a condition wants: percent, or how often; nothing, where it is so or is not. */
import type { DoneCondition } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import NumberField from '../../ui/fields/NumberField.vue';
import { amountOf, MOST_POSTS } from './done-rule.ts';

const props = defineProps<{ condition: DoneCondition; readonly?: boolean }>();
const emit = defineEmits<{ set: [least: number] }>();
const { t } = useI18n();
const least = computed(() => amountOf(props.condition));
const isOften = computed(() => props.condition.by === 'posted' || props.condition.by === 'replied');
</script>

<template>
  <NumberField
    v-if="least !== null"
    :key="condition.by"
    :label="t(`setup.progress.amount.${condition.by}`)"
    :number="least"
    :least="condition.by === 'scored' ? 0 : 1"
    :most="isOften ? MOST_POSTS : 100"
    :fractions="condition.by === 'scored'"
    required
    :readonly="readonly ?? false"
    @set="emit('set', $event ?? 1)"
  />
</template>
