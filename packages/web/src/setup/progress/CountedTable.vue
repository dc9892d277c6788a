<script setup lang="ts">
/** All items, what each counts as done by, and one rule for many of them: what changes is said before it does. */
import { DONE_BY, isContent, ITEM_KINDS, livingSections, numberOf, subtree } from '@itinerary/core';
import type { ContentItem, DoneBy, DoneCondition, DoneRule, FieldValue, ItemKind } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import ItemSign from '../../learner/outline/ItemSign.vue';
import { usePlan } from '../../stores/plan.ts';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import LongTable from '../../ui/frame/LongTable.vue';
import type { LongColumn } from '../../ui/frame/LongTable.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import { useNodeTitle } from '../node-title.ts';
import AmountField from './AmountField.vue';
import DoneField from './DoneField.vue';
import { newCondition, ruleEdits, withAmount } from './done-rule.ts';

defineProps<{ readonly: boolean }>();
const { t } = useI18n();
const plan = usePlan();
const titleOf = useNodeTitle();

interface Row {
  readonly key: string;
  readonly item: ContentItem;
  readonly section: string;
  readonly kind: string;
  readonly title: string;
  readonly in: string;
}
const rows = computed((): readonly Row[] =>
  livingSections(plan.course!).flatMap((section) =>
    subtree(section).flatMap((node): Row[] => {
      if (node.removed || !isContent(node)) return [];
      const number = plan.planned === null ? null : numberOf(plan.planned, node.id);
      return [
        {
          ...{ key: node.id, item: node, section: section.id, kind: t(`learner.kinds.${node.kind}`) },
          title: number === null ? node.title : `${number} ${node.title}`,
          in: titleOf(section.id) ?? '',
        },
      ];
    }),
  ),
);
const columns = computed((): readonly LongColumn[] => [
  { key: 'title', title: t('setup.progress.columns.item'), sortable: false },
  { key: 'in', title: t('setup.progress.columns.section'), sortable: false, width: 170 },
  { key: 'done', title: t('setup.progress.columns.done'), sortable: false, width: 330 },
]);

const chosen = ref<readonly string[]>([]);
const kinds = computed(() => ITEM_KINDS.filter((kind) => rows.value.some(({ item }) => item.kind === kind)));
const ALL = 'all';
const byKind = computed(() => [
  { value: ALL, title: t('setup.progress.choose.everything') },
  ...kinds.value.map((value) => ({ value: value as string, title: t(`learner.kinds.${value}`) })),
]);
const bySection = computed(() => [
  { value: ALL, title: t('setup.progress.choose.everywhere') },
  ...livingSections(plan.course!).map(({ id }) => ({ value: id, title: titleOf(id) ?? '' })),
]);
const kind = ref<string>(ALL);
const section = ref<string>(ALL);
function choose(): void {
  chosen.value = rows.value
    .filter(({ item }) => kind.value === ALL || item.kind === (kind.value as ItemKind))
    .filter((row) => section.value === ALL || row.section === section.value)
    .map(({ key }) => key);
}

/** Once something is chosen, only what all of it can be done by would make sense: the rest is said. */
const by = ref<DoneBy | 'none'>('opened');
const rule = ref<DoneCondition | null>(newCondition('opened'));
const rules = computed(() =>
  (['none', ...DONE_BY] as const).map((value) => ({ value, title: t(`setup.progress.by.${value}`) })),
);
function chooseRule(value: DoneBy | 'none'): void {
  by.value = value;
  rule.value = value === 'none' ? null : newCondition(value);
}
const given = computed(() => ruleEdits(plan.course!, chosen.value, rule.value));
const says = computed(() => {
  const { edits, cannot } = given.value;
  const changes = t('setup.progress.changes', { count: edits.length, of: chosen.value.length }, edits.length);
  return cannot === 0 ? changes : `${changes} ${t('setup.progress.cannot', { count: cannot }, cannot)}`;
});
function give(): void {
  if (given.value.edits.length > 0) plan.change([...given.value.edits]);
}
const set = (item: ContentItem, done: DoneRule | null): void => {
  plan.set(item.id, 'done', done as FieldValue, item.done as FieldValue);
};
</script>

<template>
  <div class="counted">
    <div v-if="!readonly" class="bar" role="group" :aria-label="t('setup.progress.choose.title')">
      <SelectField
        :label="t('setup.progress.choose.kind')"
        :value="kind"
        :options="byKind"
        @choose="(value) => ((kind = value), choose())"
      />
      <SelectField
        :label="t('setup.progress.choose.section')"
        :value="section"
        :options="bySection"
        @choose="(value) => ((section = value), choose())"
      />
      <PushButton small @click="choose">{{ t('setup.progress.choose.these') }}</PushButton>
    </div>
    <div
      v-if="chosen.length > 0 && !readonly"
      class="bar give"
      role="group"
      :aria-label="t('setup.progress.give')"
    >
      <SelectField :label="t('setup.gates.done')" :value="by" :options="rules" @choose="chooseRule" />
      <AmountField v-if="rule !== null" :condition="rule" @set="rule = withAmount(rule, $event)" />
      <PushButton weight="main" :disabled="given.edits.length === 0" @click="give">
        {{ t('setup.progress.give') }}
      </PushButton>
      <p role="status" class="soft">{{ says }}</p>
    </div>
    <LongTable
      v-model:chosen="chosen"
      :label="t('setup.progress.table')"
      :rows="rows"
      :columns="columns"
      :name-of="(row) => row.title"
      :all-label="t('setup.progress.choose.all')"
      :row-height="52"
      :none="t('setup.progress.noItems')"
    >
      <template #title="{ row }">
        <span class="title"><ItemSign :kind="row.item.kind" :size="16" /> {{ row.title }}</span>
      </template>
      <template #done="{ row }">
        <DoneField small :item="row.item" :readonly="readonly" @set="set(row.item, $event)" />
      </template>
    </LongTable>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 10px;
  align-items: center;
  margin-bottom: 8px;
}

.give {
  padding: 8px 12px;
  border-top: 3px solid var(--route);
  background: var(--card);
}

.title {
  display: inline-flex;
  gap: 7px;
  align-items: center;
}
</style>
