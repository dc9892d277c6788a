<script setup lang="ts">
/** A row of what stands in an order: dragged, moved by keys, hidden, taken away; and why learners do not get it. */
import { IconEye, IconEyeOff, IconGripVertical, IconTrash } from '@tabler/icons-vue';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import IconButton from '../../ui/frame/IconButton.vue';
import MoveButtons from '../fields/MoveButtons.vue';
import { useRowDrag } from '../outline/table/row-drag.ts';

const props = defineProps<{
  id: string;
  /** Rows are dropped among those of their own list. */
  list: 'menu' | 'panels';
  name: string;
  /** Why whoever one looks as does not get it. */
  reason: string | null;
  /** `null`: it is never hidden. */
  shown: boolean | null;
  canGo: boolean;
  readonly: boolean;
  isFirst: boolean;
  isLast: boolean;
}>();
const emit = defineEmits<{
  move: [by: number];
  drop: [dragged: string, edge: 'top' | 'bottom'];
  show: [shown: boolean];
  remove: [];
  /** Any other key; of the row itself, or of something in it. */
  key: [event: KeyboardEvent, isRows: boolean];
}>();
const { t } = useI18n();
const row = ref<HTMLElement | null>(null);
const handle = ref<HTMLElement | null>(null);

const { isDragging, edge } = useRowDrag(
  () => props.id,
  () => false,
  row,
  handle,
  (dragged, drop) => emit('drop', dragged, drop.edge === 'top' ? 'top' : 'bottom'),
  props.list,
);

/** In its fields and on its buttons keys mean what they mean everywhere. */
function onKey(event: KeyboardEvent): void {
  if (props.readonly) return;
  if (event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
    event.preventDefault();
    emit('move', event.key === 'ArrowUp' ? -1 : 1);
  } else emit('key', event, event.target === row.value);
}
defineExpose({ element: row });
</script>

<template>
  <li
    :id="`field-${list}-${id}`"
    ref="row"
    :class="['row', { dragging: isDragging, unseen: reason !== null }, edge ? `to-${edge}` : '']"
    tabindex="0"
    :aria-label="reason === null ? name : `${name}. ${reason}`"
    @keydown="onKey"
  >
    <div class="line">
      <span ref="handle" class="grip" :title="t('setup.menu.drag')">
        <IconGripVertical :size="16" aria-hidden="true" />
      </span>
      <slot name="sign" />
      <slot name="name">
        <span class="name">
          {{ name }} <span v-if="reason" class="reason">{{ reason }}</span>
        </span>
      </slot>
      <slot name="mark" />
      <span v-if="!readonly" class="acts">
        <MoveButtons :name="name" :is-first="isFirst" :is-last="isLast" @move="emit('move', $event)" />
        <slot name="acts" />
        <IconButton
          v-if="shown !== null"
          :icon="shown ? IconEye : IconEyeOff"
          :label="t(shown ? 'setup.menu.hide' : 'setup.menu.show', { name })"
          :size="16"
          :aria-pressed="shown"
          @click="emit('show', !shown)"
        />
        <IconButton
          v-if="canGo"
          :icon="IconTrash"
          :label="t('setup.menu.remove', { name })"
          :size="16"
          @click="emit('remove')"
        />
      </span>
    </div>
    <slot />
  </li>
</template>

<style scoped>
.row {
  position: relative;
  display: grid;
  gap: 8px;
  padding: 2px 8px 2px 4px;
  border-bottom: 1px solid var(--rule);
  background: var(--card);
}

.row:focus-visible {
  z-index: 1;
  outline-offset: -2px;
}

.line {
  display: grid;
  grid-template-columns: 18px minmax(0, 1fr) auto auto;
  gap: 8px;
  align-items: center;
  min-height: 36px;
}

.line:has(> .sign) {
  grid-template-columns: 18px 20px minmax(0, 1fr) auto auto;
}

.grip {
  display: grid;
  place-items: center;
  min-height: 28px;
  color: var(--ink-soft);
  cursor: grab;
}

.name {
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
  align-items: baseline;
  overflow-wrap: anywhere;
}

.unseen .name {
  color: var(--ink-soft);
}

.reason {
  color: var(--later);
  font-family: var(--font-text);
  font-size: 12.5px;
  font-weight: 450;
}

.acts {
  display: flex;
  grid-column: -2;
}

.dragging {
  opacity: 0.5;
}

.to-top {
  box-shadow: inset 0 3px 0 var(--bottle);
}

.to-bottom {
  box-shadow: inset 0 -3px 0 var(--bottle);
}

@media (max-width: 720px) {
  .line,
  .line:has(> .sign) {
    grid-template-columns: 18px 20px minmax(0, 1fr);
  }

  .line:not(:has(> .sign)) > .name {
    grid-column: 2 / -1;
  }

  .acts,
  .line > :deep(.mark) {
    grid-column: 3;
    justify-self: start;
  }
}
</style>
