<script setup lang="ts">
/** What a new item of each kind counts as done by, until somebody says otherwise of it. */
import { ITEM_KINDS, isContentKind, newItem } from '@itinerary/core';
import type { ContentItem, DoneRule, FieldValue } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import PlainTable from '../../ui/frame/PlainTable.vue';
import DoneField from './DoneField.vue';

defineProps<{ readonly: boolean }>();
const { t } = useI18n();
const plan = usePlan();

/** As an item of its kind would be, so that it is chosen as of any item. */
const items = computed((): readonly ContentItem[] =>
  ITEM_KINDS.filter(isContentKind).map((kind) => {
    const done = plan.course!.usualDone[kind] ?? null;
    return newItem(kind, { id: kind, title: t(`learner.kinds.${kind}`), done } as never) as ContentItem;
  }),
);
function set({ kind, done: was }: ContentItem, done: DoneRule | null): void {
  plan.set(plan.course!.id, `usualDone.${kind}`, done as FieldValue, was as FieldValue);
}
</script>

<template>
  <PlainTable
    :columns="[{ title: t('setup.progress.columns.kind') }, { title: t('setup.progress.columns.done') }]"
  >
    <tr v-for="item in items" :key="item.kind">
      <th scope="row">{{ item.title }}</th>
      <td><DoneField small :item="item" :readonly="readonly" @set="set(item, $event)" /></td>
    </tr>
  </PlainTable>
</template>
