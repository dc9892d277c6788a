<script setup lang="ts">
/** One line of the outline: a section or an item, every cell edited where it stands. */
import {
  IconChevronDown,
  IconChevronRight,
  IconEye,
  IconEyeOff,
  IconFilePlus,
  IconGripVertical,
  IconPencil,
  IconTrash,
} from '@tabler/icons-vue';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { formatDays, formatMinutes } from '../../app/dates.ts';
import ItemSign from '../../learner/ItemSign.vue';
import { sectionTitle } from '../../learner/titles.ts';
import { useSession } from '../../stores/session.ts';
import MinutesCell from './MinutesCell.vue';
import type { Drop } from './moves.ts';
import { useRowDrag } from './row-drag.ts';
import type { OutlineRow } from './rows.ts';
import TitleCell from './TitleCell.vue';

const props = defineProps<{
  row: Exclude<OutlineRow, { kind: 'spare' }>;
  readonly: boolean;
  opened: boolean;
}>();
const emit = defineEmits<{
  title: [title: string];
  minutes: [minutes: number | null];
  shown: [shown: boolean];
  remove: [];
  open: [];
  add: [];
  fold: [];
  drop: [dragged: string, drop: Drop];
  next: [event: KeyboardEvent];
}>();
const { t, locale } = useI18n();
const session = useSession();
const line = ref<HTMLElement | null>(null);
const grip = ref<HTMLElement | null>(null);
const { isDragging, edge } = useRowDrag(props.row.id, line, grip, (dragged, drop) =>
  emit('drop', dragged, drop),
);

const node = computed(() => (props.row.kind === 'section' ? props.row.section : props.row.item));
const following = computed(() =>
  props.row.kind === 'section' ? sectionTitle({ title: null, days: props.row.days }, t, locale.value) : '',
);
const name = computed(() => node.value.title ?? following.value);
const days = computed(() => {
  if (props.row.kind !== 'section') return '';
  if (props.row.days !== null)
    return formatDays(props.row.days.first, props.row.days.last, locale.value, session.today);
  return props.row.unplaced ? t('setup.dates.unplaced') : '';
});
</script>

<template>
  <tr
    ref="line"
    :class="['line', row.kind, edge, { dim: row.dim, dragging: isDragging, opened }]"
    :data-row="row.id"
  >
    <td class="grip-cell">
      <span ref="grip" class="grip" :title="t('setup.outline.drag')" aria-hidden="true">
        <IconGripVertical v-if="!readonly" :size="16" />
      </span>
    </td>
    <td class="number figures">{{ row.number ?? '·' }}</td>
    <td class="title">
      <span class="title-box">
        <button
          v-if="row.kind === 'section'"
          type="button"
          class="icon"
          :aria-expanded="!row.folded"
          :aria-label="t('setup.outline.fold', { title: name })"
          @click="emit('fold')"
        >
          <component :is="row.folded ? IconChevronRight : IconChevronDown" :size="16" aria-hidden="true" />
        </button>
        <ItemSign v-else :kind="row.item.kind" class="sign" />
        <TitleCell
          :title="node.title ?? ''"
          :placeholder="following"
          :label="
            t(row.kind === 'section' ? 'setup.outline.sectionTitle' : 'setup.outline.itemTitle', {
              number: row.number ?? '',
            })
          "
          :strong="row.kind === 'section'"
          :readonly="readonly"
          :may-be-empty="row.kind === 'section'"
          @typed="emit('title', $event)"
          @next="emit('next', $event)"
        />
      </span>
    </td>
    <td :class="['days figures', { unplaced: row.kind === 'section' && row.unplaced }]">{{ days }}</td>
    <td class="minutes figures">
      <template v-if="row.kind === 'section'">{{
        row.minutes > 0 ? formatMinutes(row.minutes) : ''
      }}</template>
      <MinutesCell
        v-else
        :minutes="row.item.minutes"
        :label="t('setup.outline.minutesOf', { title: row.item.title })"
        :readonly="readonly"
        @typed="emit('minutes', $event)"
      />
    </td>
    <td class="shown">
      <button
        type="button"
        class="icon"
        :disabled="readonly"
        :aria-pressed="node.shown"
        :aria-label="t('setup.outline.shownTo', { title: name })"
        :title="t(node.shown ? 'setup.outline.isShown' : 'setup.outline.isHidden')"
        data-cell="shown"
        @click="emit('shown', !node.shown)"
      >
        <component :is="node.shown ? IconEye : IconEyeOff" :size="17" aria-hidden="true" />
      </button>
    </td>
    <td class="acts">
      <template v-if="!readonly">
        <button
          v-if="row.kind === 'section'"
          type="button"
          class="icon"
          :aria-label="t('setup.outline.addTo', { title: name })"
          :title="t('setup.outline.addPage')"
          data-cell="act"
          @click="emit('add')"
        >
          <IconFilePlus :size="17" aria-hidden="true" />
        </button>
        <button
          v-else
          type="button"
          class="icon"
          :aria-label="t('setup.outline.openItem', { title: name })"
          :title="t('setup.outline.edit')"
          :aria-expanded="opened"
          data-cell="act"
          @click="emit('open')"
        >
          <IconPencil :size="17" aria-hidden="true" />
        </button>
        <button
          type="button"
          class="icon"
          :aria-label="t('setup.outline.removeIt', { title: name })"
          :title="t('setup.outline.remove')"
          data-cell="remove"
          @click="emit('remove')"
        >
          <IconTrash :size="17" aria-hidden="true" />
        </button>
      </template>
    </td>
  </tr>
</template>

<style scoped>
.line td {
  height: 32px;
  padding: 1px 6px;
  border-bottom: 1px solid var(--rule);
}

.section td {
  height: 36px;
  border-top: 2px solid var(--route);
  background: color-mix(in srgb, var(--mist) 70%, var(--card));
  font-weight: 500;
}

.section .number {
  font-size: 15px;
  font-weight: 650;
}

.number {
  color: var(--ink-soft);
  white-space: nowrap;
}

.section .number {
  color: var(--ink);
}

.title {
  width: 100%;
}

.title-box {
  display: flex;
  align-items: center;
  gap: 4px;
}

.item .title-box {
  padding-left: 4px;
}

.sign {
  flex: none;
  color: var(--ink-soft);
}

.days,
.minutes {
  white-space: nowrap;
}

.minutes {
  text-align: right;
}

.unplaced {
  color: var(--blocker);
  font-family: var(--font-text);
  font-weight: 600;
}

.shown {
  text-align: center;
}

.acts {
  white-space: nowrap;
}

.icon {
  display: inline-grid;
  place-items: center;
  width: 26px;
  height: 26px;
  padding: 0;
  border: 0;
  border-radius: 4px;
  background: none;
  color: var(--ink-soft);
  cursor: pointer;
}

.icon:hover:not(:disabled) {
  background: var(--bottle-pale);
  color: var(--ink);
}

.grip-cell {
  width: 22px;
  padding: 0 0 0 2px !important;
}

.grip {
  display: grid;
  place-items: center;
  width: 20px;
  height: 28px;
  color: var(--field-rule);
  cursor: grab;
}

.dim .number,
.dim .title :deep(input),
.dim .days,
.dim .minutes,
.dim .minutes :deep(input) {
  color: var(--ink-soft);
  text-decoration-line: none;
  font-style: italic;
}

.opened td {
  background: var(--bottle-pale);
}

.opened td:first-child {
  box-shadow: inset 3px 0 0 var(--bottle);
}

.dragging {
  opacity: 0.4;
}

.top td {
  box-shadow: inset 0 3px 0 var(--bottle);
}

.bottom td {
  box-shadow: inset 0 -3px 0 var(--bottle);
}
</style>
