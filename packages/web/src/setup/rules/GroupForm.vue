<script setup lang="ts">
/** Conditions of which all or any are needed; groups in groups, as deep as a sentence still says. */
import { IconPlus, IconX } from '@tabler/icons-vue';
import { MAX_CONDITIONS, MAX_RULE_DEPTH } from '@itinerary/core';
import type { Condition, ConditionGroup } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import IconButton from '../../ui/frame/IconButton.vue';
import ConditionForm from './ConditionForm.vue';
import { useConditionChoices } from './condition-choices.ts';
import PushButton from '../../ui/frame/PushButton.vue';
import ChoiceList from '../../ui/fields/choice/ChoiceList.vue';

const props = defineProps<{ node: string; depth: number }>();
const group = defineModel<ConditionGroup>({ required: true });
const { t } = useI18n();
const choices = useConditionChoices(() => props.node);

const kinds = computed(() =>
  choices.kinds.value.filter((kind) => (kind !== 'any' && kind !== 'all') || props.depth < MAX_RULE_DEPTH),
);

const KINDS = ['all', 'any'] as const;

function replace(at: number, next: Condition | null): void {
  const of = next === null ? group.value.of.toSpliced(at, 1) : group.value.of.with(at, next);
  // Of nothing nothing is waited for, and an "any" of nothing could never be.
  group.value = { kind: of.length === 0 ? 'all' : group.value.kind, of };
}

function add(): void {
  group.value = { ...group.value, of: [...group.value.of, choices.first()] };
}
</script>

<template>
  <div class="group">
    <ChoiceList
      v-if="group.of.length > 1"
      :legend="t('setup.rules_editor.howMany')"
      :choices="KINDS.map((value) => ({ value, title: t(`setup.rules_editor.kinds.${value}`) }))"
      :chosen="group.kind"
      @choose="group = { ...group, kind: $event }"
    />
    <ul>
      <li v-for="(condition, at) in group.of" :key="at">
        <ConditionForm
          :condition="condition"
          :node="node"
          :depth="depth"
          :kinds="kinds"
          @change="replace(at, $event)"
        />
        <IconButton :icon="IconX" :label="t('setup.rules_editor.drop')" @click="replace(at, null)" />
      </li>
    </ul>
    <PushButton v-if="group.of.length < MAX_CONDITIONS" small @click="add">
      <IconPlus :size="15" aria-hidden="true" /> {{ t('setup.rules_editor.add') }}
    </PushButton>
  </div>
</template>

<style scoped>
.group {
  display: grid;
  flex: 1;
  gap: 8px;
  justify-items: start;
  min-width: 0;
}

ul {
  display: grid;
  gap: 6px;
  width: 100%;
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  gap: 8px;
  align-items: start;
  padding: 6px 8px;
  border: 1px solid var(--rule);
  border-radius: 6px;
}
</style>
