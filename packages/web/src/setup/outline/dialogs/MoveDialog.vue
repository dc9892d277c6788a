<script setup lang="ts">
/** Where the selected lines go: into a section or a folder, or after a section. */
import { isHolder, livingSections, numberOf, subtree } from '@itinerary/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../../stores/plan.ts';
import SelectField from '../../../ui/fields/choice/SelectField.vue';
import DialogBox from '../../../ui/frame/DialogBox.vue';
import type { Seat } from '../acts/moves.ts';
import { useNodeTitle } from '../../node-title.ts';
import PushButton from '../../../ui/frame/PushButton.vue';

const props = defineProps<{
  /** Of the lines that move; null: nobody asks. */
  ids: readonly string[] | null;
  areSections: boolean;
}>();
const emit = defineEmits<{ move: [seat: Seat]; close: [] }>();
const { t } = useI18n();
const plan = usePlan();
const chosen = ref('');
const isOpen = computed({
  get: () => props.ids !== null,
  set: (open) => {
    if (!open) emit('close');
  },
});

interface Goal {
  readonly id: string;
  readonly title: string;
  readonly seat: Seat;
}

const titleOf = useNodeTitle();
const goals = computed<readonly Goal[]>(() => {
  const course = plan.course!;
  const moving = new Set(props.ids ?? []);
  const titled = (id: string, depth = 0): string => {
    const number = plan.planned === null ? null : numberOf(plan.planned, id);
    return `${'\u2003'.repeat(depth)}${number ?? '·'} ${titleOf(id) ?? ''}`;
  };
  if (props.areSections) {
    const rest = livingSections(course).filter(({ id }) => !moving.has(id));
    return [
      { id: 'first', title: t('setup.outline.toFirst'), seat: { parent: course.id, after: null } },
      ...rest.map(({ id }) => ({
        id,
        title: t('setup.outline.toAfter', { title: titled(id) }),
        seat: { parent: course.id, after: id },
      })),
    ];
  }
  return livingSections(course).flatMap((section) =>
    subtree(section)
      .filter(isHolder)
      .filter(({ id, removed }) => !removed && !moving.has(id))
      .map((holder): Goal => ({
        id: holder.id,
        title: titled(holder.id, holder.kind === 'section' ? 0 : 1),
        seat: {
          parent: holder.id,
          after: holder.items.filter(({ id, removed }) => !removed && !moving.has(id)).at(-1)?.id ?? null,
        },
      })),
  );
});
watch(isOpen, () => (chosen.value = goals.value[0]?.id ?? ''));

function move(): void {
  const goal = goals.value.find(({ id }) => id === chosen.value);
  if (goal !== undefined) emit('move', goal.seat);
}
</script>

<template>
  <DialogBox
    v-model="isOpen"
    :title="t('setup.outline.moveTitle', { count: ids?.length ?? 0 }, ids?.length ?? 0)"
  >
    <SelectField
      :label="t('setup.outline.moveGoal')"
      :value="chosen"
      :options="goals.map(({ id, title }) => ({ value: id, title }))"
      :lines="10"
      @choose="chosen = $event"
    />
    <template #foot>
      <PushButton @click="emit('close')">{{ t('common.cancel') }}</PushButton>
      <PushButton weight="main" :disabled="chosen === ''" @click="move">
        {{ t('setup.outline.moveIt') }}
      </PushButton>
    </template>
  </DialogBox>
</template>
