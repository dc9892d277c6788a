<script setup lang="ts">
/** By when it is taken, how often, and what it is marked with: of an assignment and of a quiz. */
import { MAX_GRACE, MAX_POINTS, MAX_TRIES, pointsSchema, worthOf } from '@itinerary/core';
import type { Assignment, FieldValue, Quiz } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../../stores/plan.ts';
import NumberField from '../../../ui/fields/NumberField.vue';
import CheckField from '../../../ui/fields/choice/CheckField.vue';
import MomentForm from '../dialogs/MomentForm.vue';

const props = defineProps<{ item: Assignment | Quiz; readonly: boolean }>();
const { t } = useI18n();
const plan = usePlan();

type Field = keyof Assignment & keyof Quiz;
const set = (field: Field, value: FieldValue): void => {
  plan.set(props.item.id, field, value, props.item[field] as FieldValue);
};
const reach = computed(
  () => props.item.total ?? (props.item.kind === 'quiz' ? worthOf(props.item).points : 0),
);
const passesBeyond = computed(() => props.item.passAt !== null && props.item.passAt > reach.value);
const points = (value: number | null): number | null =>
  value === null ? null : (pointsSchema.safeParse(value).data ?? null);
</script>

<template>
  <NumberField
    :key="`${item.id} grace`"
    :label="t('setup.handing.grace')"
    :number="item.grace"
    :least="0"
    :most="MAX_GRACE"
    required
    :readonly="readonly"
    @set="set('grace', $event ?? 0)"
  />
  <details>
    <summary>{{ t(item.lateUntil === null ? 'setup.handing.noLate' : 'setup.handing.late') }}</summary>
    <MomentForm
      :id="`${item.id}-late`"
      field="late"
      :model-value="item.lateUntil"
      @update:model-value="set('lateUntil', $event as FieldValue)"
    />
  </details>
  <NumberField
    :key="`${item.id} tries`"
    :label="t(item.kind === 'quiz' ? 'setup.quiz.tries' : 'setup.handing.tries')"
    :number="item.tries"
    :least="1"
    :most="MAX_TRIES"
    :readonly="readonly"
    @set="set('tries', $event)"
  />
  <slot />
  <div class="pair">
    <NumberField
      :key="`${item.id} total`"
      :label="t(item.kind === 'quiz' ? 'setup.quiz.total' : 'setup.handing.total')"
      :number="item.total"
      :least="0"
      :most="MAX_POINTS"
      fractions
      :readonly="readonly"
      @set="set('total', points($event))"
    />
    <NumberField
      :key="`${item.id} pass`"
      :label="t('setup.handing.passAt')"
      :number="item.passAt"
      :least="0"
      :most="MAX_POINTS"
      fractions
      :readonly="readonly"
      @set="set('passAt', points($event))"
    />
  </div>
  <CheckField :checked="item.namesLeftOut" :disabled="readonly" @toggle="set('namesLeftOut', $event)">
    {{ t('setup.handing.namesLeftOut') }}
  </CheckField>
  <p v-if="passesBeyond" class="beyond" role="status">{{ t('setup.handing.beyond') }}</p>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(110px, 1fr));
  gap: 10px;
}

.beyond {
  padding-inline-start: 10px;
  border-inline-start: 4px solid var(--advice);
}
</style>
