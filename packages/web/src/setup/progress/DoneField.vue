<script setup lang="ts">
/** What one item counts as done by: one thing, chosen here; several, or by a moment, in a dialog. */
import { conditionsOf, isSeveral, traitsOf } from '@itinerary/core';
import type { ContentItem, DoneBy, DoneRule } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import AmountField from './AmountField.vue';
import DoneDialog from './DoneDialog.vue';
import { newCondition, ruleLabel, withAmount } from './done-rule.ts';

const props = defineProps<{
  item: ContentItem;
  readonly: boolean;
  /** In a row of a table. */
  small?: boolean;
}>();
const emit = defineEmits<{ set: [rule: DoneRule | null] }>();
const { t, locale } = useI18n();
const isAsking = ref(false);

/** More than one of a list can say. */
const isMore = computed(() => {
  const { done } = props.item;
  return done !== null && (isSeveral(done) || done.byThen != null);
});
type Choice = DoneBy | 'none' | 'more';
const value = computed((): Choice => {
  const { done } = props.item;
  if (done === null) return 'none';
  return isMore.value ? 'more' : (conditionsOf(done)[0]?.by ?? 'none');
});
const options = computed(() => [
  { value: 'none' as const, title: t('setup.progress.by.none') },
  ...traitsOf(props.item).doneBy.map((by) => ({ value: by, title: t(`setup.progress.by.${by}`) })),
  {
    value: 'more' as const,
    title: isMore.value ? ruleLabel(props.item.done, t, locale.value) : t('setup.progress.more'),
  },
]);
const single = computed(() => (isMore.value ? null : (conditionsOf(props.item.done)[0] ?? null)));

function choose(chosen: Choice): void {
  if (chosen === 'more') isAsking.value = true;
  else emit('set', chosen === 'none' ? null : newCondition(chosen));
}
</script>

<template>
  <div :class="['done-field', { small }]">
    <SelectField
      :label="small ? t('setup.progress.doneFor', { title: item.title }) : t('setup.gates.done')"
      :bare="small ?? false"
      :small="small ?? false"
      :value="value"
      :options="options"
      :disabled="readonly"
      @choose="choose"
    />
    <AmountField
      v-if="single !== null"
      :key="item.id"
      :condition="single"
      :readonly="readonly"
      @set="item.done !== null && emit('set', withAmount(item.done, $event))"
    />
    <PushButton v-if="isMore && !readonly" small @click="isAsking = true">
      {{ t('setup.progress.change') }}
    </PushButton>
    <DoneDialog v-model="isAsking" :item="item" @set="emit('set', $event)" />
  </div>
</template>

<style scoped>
.done-field {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 6px;
  align-items: center;
}

.done-field:not(.small) {
  grid-template-columns: minmax(0, 1fr);
}
</style>
