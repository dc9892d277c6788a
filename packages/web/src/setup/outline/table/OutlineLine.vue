<script setup lang="ts">
/** One line of the outline: a section, a folder or an item, every cell edited where it stands. */
import {
  IconChevronDown,
  IconChevronRight,
  IconEye,
  IconEyeOff,
  IconGripVertical,
  IconPencil,
  IconPlus,
  IconTrash,
} from '@tabler/icons-vue';
import type { Resolved } from '@itinerary/core';
import { computed, onUpdated, ref, watchPostEffect } from 'vue';
import { useI18n } from 'vue-i18n';
import { formatDays, formatMinutes } from '../../../words/dates.ts';
import ItemSign from '../../../learner/outline/ItemSign.vue';
import { momentWords } from '../../../words/moment-words.ts';
import { sectionTitle } from '../../../learner/words/titles.ts';
import { useSession } from '../../../stores/session.ts';
import { countDrawing } from '../../../ui/course/drawings.ts';
import type { Column } from './columns.ts';
import MinutesCell from './MinutesCell.vue';
import MomentCell from './MomentCell.vue';
import { useOutlineActs } from '../acts/outline-acts.ts';
import { useLineIndex } from './line-index.ts';
import { useRowDrag } from './row-drag.ts';
import type { ItemRow, SectionRow } from './rows.ts';
import NodeMarks from './NodeMarks.vue';
import TitleCell from './TitleCell.vue';

const props = defineProps<{
  row: SectionRow | ItemRow;
  columns: readonly Column[];
  readonly: boolean;
  opened: boolean;
  selected: boolean;
}>();
const emit = defineEmits<{ next: [] }>();
const acts = useOutlineActs();
const { t, locale } = useI18n();
const session = useSession();
onUpdated(() => countDrawing('outline-line'));

const holds = computed(() => props.row.kind === 'section' || props.row.of === 'folder');
const line = ref<HTMLElement | null>(null);
const grip = ref<HTMLElement | null>(null);
const { isDragging, edge } = useRowDrag(
  () => props.row.id,
  () => holds.value,
  line,
  grip,
  (dragged, drop) => acts.drop(dragged, drop),
);

const slot = computed(() =>
  props.row.kind === 'section' && props.row.span.kind === 'slot' ? props.row.span.slot : null,
);
/** The title that follows the dates, until somebody types one. */
const following = computed(() =>
  props.row.kind === 'section'
    ? sectionTitle({ title: null, days: slot.value, meeting: slot.value?.meeting ?? null }, t, locale.value)
    : '',
);
const name = computed(() => props.row.title ?? following.value);
/** What its controls are called does not change with its number, which most of what one does changes. */
const said = computed(() => {
  const title = name.value;
  return {
    select: t('setup.outline.select', { title }),
    fold: t('setup.outline.fold', { title }),
    add: t('setup.outline.addTo', { title }),
    remove: t('setup.outline.removeIt', { title }),
    minutes: t('setup.outline.minutesOf', { title }),
    shown: t('setup.outline.shownTo', { title }),
    open: t('setup.outline.openItem', { title }),
  };
});
/** Where it stands among all lines is written onto it: nothing else of a line has to be drawn for one above it. */
const indexOf = useLineIndex();
watchPostEffect(() => {
  line.value?.setAttribute('aria-rowindex', String(indexOf(props.row.id) + 2));
});

const words = (resolved: Resolved): string =>
  resolved.kind === 'at'
    ? momentWords(resolved, locale.value, session.today)
    : t(`setup.outline.undated.${resolved.because}`);

const when = computed(() => {
  const { row } = props;
  if (row.kind === 'item') return row.when === null ? '' : words(row.when);
  if (slot.value !== null) return formatDays(slot.value.first, slot.value.last, locale.value, session.today);
  if (row.span.kind === 'own') {
    return t('learner.ownDays', { first: row.span.own.firstOwn, last: row.span.own.lastOwn });
  }
  if (row.span.kind === 'unplaced') return t('setup.dates.unplaced');
  return row.outside ? t('setup.dates.outside') : '';
});
const isWrong = computed(() => {
  const { row } = props;
  return row.kind === 'section' ? row.span.kind === 'unplaced' : row.when?.kind === 'undated';
});
const momentField = computed(() =>
  props.row.kind === 'item' && props.row.of === 'meeting' ? 'held' : 'due',
);
const has = (column: Column): boolean => props.columns.includes(column);
/** What it opens with, where it says nothing of that itself. */
const opensWith = computed(() => {
  if (props.row.kind !== 'item') return 'course';
  return props.row.depth > 0 ? 'folder' : 'section';
});
</script>

<template>
  <div
    ref="line"
    role="row"
    :aria-selected="selected"
    :class="[
      'line',
      row.kind,
      edge,
      row.accent ? `accent-${row.accent}` : '',
      { dim: row.dim, dragging: isDragging, opened, selected },
    ]"
    :data-row="row.id"
  >
    <span role="cell" class="grip-cell">
      <span ref="grip" class="grip" :title="t('setup.outline.drag')" aria-hidden="true">
        <IconGripVertical v-if="!readonly" :size="16" />
      </span>
      <input
        v-if="!readonly"
        type="checkbox"
        class="select"
        :checked="selected"
        :aria-label="said.select"
        data-cell="select"
        @click="acts.select(row.id, $event.shiftKey)"
      />
    </span>
    <span role="cell" class="number figures">{{ row.number ?? '·' }}</span>
    <span role="cell" class="title">
      <span
        v-if="row.kind === 'item' && row.depth > 0"
        :style="{ width: `${18 * row.depth}px` }"
        class="indent"
      />
      <button
        v-if="holds"
        type="button"
        class="icon"
        :aria-expanded="!row.folded"
        :aria-label="said.fold"
        tabindex="-1"
        @click="acts.fold(row.id)"
      >
        <component :is="row.folded ? IconChevronRight : IconChevronDown" :size="16" aria-hidden="true" />
      </button>
      <ItemSign v-if="row.kind === 'item'" :kind="row.of" class="sign" />
      <TitleCell
        :title="row.title ?? ''"
        :placeholder="following"
        :label="
          t(row.kind === 'section' ? 'setup.outline.sectionTitle' : 'setup.outline.itemTitle', {
            number: row.number ?? '',
          })
        "
        :strong="holds"
        :readonly="readonly"
        :may-be-empty="row.kind === 'section'"
        :keep-as="`${row.id} title`"
        @typed="acts.title(row, $event)"
        @next="emit('next')"
        @lines="(titles, replacing) => acts.lines(row, titles, replacing)"
      />
      <NodeMarks v-if="row.marks.length > 0" :marks="row.marks" />
      <span v-if="!readonly" class="more">
        <button
          v-if="holds"
          type="button"
          class="icon"
          :aria-label="said.add"
          :title="t('setup.outline.addPage')"
          @click="acts.add(row)"
        >
          <IconPlus :size="17" aria-hidden="true" />
        </button>
        <button
          type="button"
          class="icon"
          :aria-label="said.remove"
          :title="t('setup.outline.remove')"
          @click="acts.remove(row)"
        >
          <IconTrash :size="17" aria-hidden="true" />
        </button>
      </span>
    </span>
    <span v-if="has('when')" role="cell" :class="['when figures', { wrong: isWrong }]">
      <MomentCell
        v-if="row.kind === 'item' && row.mayBeDue && !readonly"
        :words="when"
        :field="momentField"
        cell="when"
        :label="
          t(`setup.outline.${momentField}Of`, { title: name, when: when || t('setup.outline.noMoment') })
        "
        @press="acts.moment(row, momentField)"
      />
      <template v-else>{{ when }}</template>
    </span>
    <span v-if="has('opens')" role="cell" class="opens figures">
      <MomentCell
        v-if="!readonly"
        :words="row.opens ? words(row.opens) : ''"
        field="opens"
        cell="opens"
        :label="
          t('setup.outline.opensOf', {
            title: name,
            when: row.opens ? words(row.opens) : t(`setup.outline.atOnce.${opensWith}`),
          })
        "
        @press="acts.moment(row, 'opens')"
      />
      <template v-else>{{ row.opens ? words(row.opens) : '' }}</template>
    </span>
    <span v-if="has('minutes')" role="cell" class="minutes figures">
      <template v-if="holds">{{ row.minutes ? formatMinutes(row.minutes, locale) : '' }}</template>
      <MinutesCell
        v-else-if="row.kind === 'item' && row.of !== 'heading'"
        :minutes="row.minutes"
        :label="said.minutes"
        :readonly="readonly"
        @typed="row.kind === 'item' && acts.minutes(row, $event)"
      />
    </span>
    <span v-if="has('shown')" role="cell" class="shown">
      <button
        type="button"
        class="icon"
        :disabled="readonly"
        :aria-pressed="row.shown"
        :aria-label="said.shown"
        :title="t(row.shown ? 'setup.outline.isShown' : 'setup.outline.isHidden')"
        data-cell="shown"
        @click="acts.shown(row, !row.shown)"
      >
        <component :is="row.shown ? IconEye : IconEyeOff" :size="17" aria-hidden="true" />
      </button>
    </span>
    <span role="cell" class="acts">
      <template v-if="!readonly">
        <button
          type="button"
          class="icon"
          :aria-label="said.open"
          :title="t('setup.outline.edit')"
          :aria-expanded="opened"
          data-cell="act"
          @click="acts.open(row)"
        >
          <IconPencil :size="17" aria-hidden="true" />
        </button>
      </template>
    </span>
  </div>
</template>

<style scoped src="./outline-line.css"></style>
