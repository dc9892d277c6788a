<script setup lang="ts">
/** Words in a cell of a table, edited where they stand: what cannot be kept is said below, over the next line. */
import { computed, useId } from 'vue';
import { isNear, useTooLong } from './reading/limits.ts';
import { useDraft } from './reading/use-draft.ts';

defineOptions({ inheritAttrs: false });
const props = withDefaults(
  defineProps<{
    text: string;
    label: string;
    readonly: boolean;
    most: number;
    /** What is expected where nothing is typed; null: nothing may stand there. */
    missing?: string | null;
    keepAs?: string;
  }>(),
  { missing: null },
);
const emit = defineEmits<{ type: [text: string] }>();
const tooLong = useTooLong();
const id = useId();
const wrongOf = (text: string): string | null =>
  tooLong(text, props.most) ?? (text === '' ? props.missing : null);
const { draft, typed, left } = useDraft(
  () => props.text,
  (text) => emit('type', text),
  { isWrong: (text) => wrongOf(text) !== null, keepAs: () => props.keepAs },
);
const wrong = computed(() => wrongOf(draft.value.trim()));
const count = computed(() =>
  isNear(draft.value, props.most) && wrong.value === null ? `${draft.value.length} / ${props.most}` : null,
);
</script>

<template>
  <span class="cell-field">
    <input
      v-bind="$attrs"
      :class="['cell', { wrong }]"
      :value="draft"
      :aria-label="label"
      :readonly="readonly"
      :aria-invalid="wrong !== null"
      :aria-describedby="wrong === null ? undefined : id"
      @input="typed(($event.target as HTMLInputElement).value)"
      @blur="left"
    />
    <span v-if="wrong !== null" :id="id" class="said wrong" role="status">{{ wrong }}</span>
    <span v-else-if="count !== null" class="said count figures" aria-hidden="true">{{ count }}</span>
  </span>
</template>

<style scoped>
.cell-field {
  position: relative;
  display: block;
  flex: 1;
  width: 100%;
  min-width: 0;
}

.cell {
  width: 100%;
  min-height: 28px;
  padding: 0 6px;
  border: 1px solid transparent;
  border-radius: 4px;
  background: none;
  text-overflow: ellipsis;
}

.cell::placeholder {
  color: var(--ink-soft);
  font-weight: 500;
  opacity: 1;
}

.cell:hover:not([readonly]) {
  border-color: var(--field-rule);
}

.cell:focus {
  border-color: var(--bottle);
  outline: 1px solid var(--bottle);
  background: var(--card);
}

.cell.wrong {
  border-color: var(--blocker);
  outline-color: var(--blocker);
}

.said {
  position: absolute;
  top: 100%;
  z-index: 5;
  inset-inline-start: 0;
  max-width: 100%;
  padding: 3px 8px;
  border: 1px solid var(--field-rule);
  border-radius: 0 0 4px 4px;
  background: var(--card);
  font-size: 12.5px;
  white-space: normal;
}

.said.wrong {
  border-color: var(--blocker);
  color: var(--blocker);
}

/* It says nothing of a cell in which nobody writes. */
.cell:not(:focus) + .count {
  display: none;
}
</style>
