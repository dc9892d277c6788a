<script setup lang="ts">
/** One condition: what it is, and what it names. */
import { isGroup, MAX_DAYS_AFTER } from '@itinerary/core';
import type { Condition } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import NumberField from '../../ui/fields/NumberField.vue';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import MomentForm from '../outline/dialogs/MomentForm.vue';
import CourseField from './CourseField.vue';
import { usePlan } from '../../stores/plan.ts';
import { useConditionChoices } from './condition-choices.ts';
import { coursesFound } from './courses-found.ts';
import type { CourseChoice } from './courses-found.ts';
import type { ConditionKind } from './condition-choices.ts';
import GroupForm from './GroupForm.vue';

const props = defineProps<{
  condition: Condition;
  node: string;
  depth: number;
  kinds: readonly ConditionKind[];
}>();
const emit = defineEmits<{ change: [next: Condition] }>();
const { t } = useI18n();
const choices = useConditionChoices(() => props.node);
const plan = usePlan();

async function become(kind: ConditionKind): Promise<void> {
  const [course] = kind === 'course' ? await coursesFound('', plan.course?.id).catch(() => []) : [];
  emit('change', choices.blank(kind, course));
}
const item = computed(() => {
  const { condition } = props;
  if (condition.kind === 'scored') return condition.item;
  return condition.kind === 'done' ? (condition.items[0] ?? '') : '';
});

function chooseItem(id: string): void {
  const { condition } = props;
  if (condition.kind === 'scored') emit('change', { ...condition, item: id });
  // The first is chosen here; further ones are conditions of their own.
  else if (condition.kind === 'done')
    emit('change', { ...condition, items: [id, ...condition.items.slice(1)] });
}

function least(number: number | null): void {
  if (props.condition.kind === 'scored' && number !== null) {
    emit('change', { ...props.condition, least: number });
  }
}

function later(days: number | null): void {
  const { condition } = props;
  if (condition.kind !== 'done') return;
  const { days: _before, ...without } = condition;
  void _before;
  emit('change', days === null || days === 0 ? without : { ...without, days });
}

function chooseCourse(course: CourseChoice | null): void {
  if (course !== null) emit('change', { kind: 'course', course: course.id, title: course.title });
}
/** What is named and no longer there stays to be seen. */
const isGone = computed(() => item.value !== '' && choices.items.value.every(({ id }) => id !== item.value));
const items = computed(() => [
  ...(isGone.value ? [{ value: item.value, title: t('setup.rules_editor.gone') }] : []),
  ...choices.items.value.map(({ id, title, counts }) => ({
    value: id,
    title: counts ? title : t('setup.rules_editor.uncounted', { title }),
  })),
]);
</script>

<template>
  <div class="condition">
    <SelectField
      bare
      :label="t('setup.rules_editor.condition')"
      :value="condition.kind"
      :options="kinds.map((value) => ({ value, title: t(`setup.rules_editor.conditions.${value}`) }))"
      @choose="become"
    />
    <template v-if="condition.kind === 'done' || condition.kind === 'scored'">
      <NumberField
        v-if="condition.kind === 'scored'"
        class="least"
        bare
        :number="condition.least"
        :least="0"
        :most="100"
        fractions
        required
        live
        suffix="%"
        :label="t('setup.rules_editor.least')"
        @set="least"
      />
      <SelectField
        class="item"
        bare
        :label="t('setup.rules_editor.item')"
        :value="item"
        :options="items"
        @choose="chooseItem"
      />
      <NumberField
        v-if="condition.kind === 'done'"
        class="least"
        bare
        :number="condition.days ?? 0"
        :least="0"
        :most="MAX_DAYS_AFTER"
        required
        live
        :suffix="t('setup.rules_editor.daysSuffix')"
        :label="t('setup.rules_editor.days')"
        @set="later"
      />
      <span v-if="condition.kind === 'done' && condition.items.length > 1" class="soft">
        {{ t('setup.rules_editor.andMore', condition.items.length - 1) }}
      </span>
    </template>
    <CourseField
      v-else-if="condition.kind === 'course'"
      class="item"
      bare
      :label="t('setup.rules_editor.course')"
      :chosen="condition"
      @choose="chooseCourse"
    />
    <div v-else-if="condition.kind === 'from'" class="whole">
      <MomentForm
        :id="node"
        :model-value="condition.moment"
        field="opens"
        @update:model-value="$event && emit('change', { kind: 'from', moment: $event })"
      />
    </div>
    <GroupForm
      v-else-if="isGroup(condition)"
      class="whole"
      :model-value="condition"
      :node="node"
      :depth="depth + 1"
      @update:model-value="emit('change', $event)"
    />
  </div>
</template>

<style scoped>
.condition {
  display: flex;
  flex: 1;
  flex-wrap: wrap;
  gap: 6px 8px;
  align-items: center;
  min-width: 0;
}

.item {
  flex: 1;
  min-width: 180px;
}

.least {
  flex: 0 0 96px;
}

.whole {
  width: 100%;
}
</style>
