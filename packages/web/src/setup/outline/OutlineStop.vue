<script setup lang="ts">
import { IconFilePlus, IconLinkPlus, IconPlus } from '@tabler/icons-vue';
import { findNode, livingItems, livingSections } from '@itinerary/core';
import type { Item, MoveEdit } from '@itinerary/core';
import { computed, nextTick, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { formatDays } from '../../app/dates.ts';
import { fold } from '../../desk/filter.ts';
import { newId } from '../../stores/new-id.ts';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import FindField from '../../ui/FindField.vue';
import { useActs } from '../acts.ts';
import StopHead from '../StopHead.vue';
import { nextCell } from './cells.ts';
import ItemPanel from './ItemPanel.vue';
import { moveByDrop, moveByOne } from './moves.ts';
import type { Drop } from './moves.ts';
import OutlineLine from './OutlineLine.vue';
import { outlineRows } from './rows.ts';

const { t, locale } = useI18n();
const route = useRoute();
const plan = usePlan();
const session = useSession();
const table = ref<HTMLElement | null>(null);
const folded = ref(new Set<string>());
const find = ref('');
const opened = ref<string | null>(null);
const said = ref('');

const course = computed(() => plan.course!);
const isReadonly = computed(() => course.value.state === 'archived' || !plan.rights.plan);
const isFinding = computed(() => find.value.trim() !== '');
const rows = computed(() =>
  outlineRows(
    course.value,
    folded.value,
    (title) => fold(title).includes(fold(find.value.trim())),
    isFinding.value,
  ),
);
const sections = computed(() => livingSections(course.value));
const itemCount = computed(() =>
  sections.value.reduce((sum, section) => sum + livingItems(section).length, 0),
);
const openedItem = computed(() => {
  const place = opened.value === null ? null : findNode(course.value, opened.value);
  return place !== null &&
    place.node.kind !== 'section' &&
    !place.node.removed &&
    place.section?.removed === false
    ? { item: place.node, section: place.section }
    : null;
});

const { isItemOpen } = useActs();
watch(openedItem, (now) => (isItemOpen.value = now !== null));
onBeforeUnmount(() => (isItemOpen.value = false));

const cellOf = (row: string, cell: string): HTMLElement | null =>
  table.value?.querySelector<HTMLElement>(`[data-row="${row}"] [data-cell="${cell}"]`) ?? null;

async function focus(row: string, cell = 'title'): Promise<void> {
  await nextTick();
  const element = cellOf(row, cell);
  element?.focus();
  element?.scrollIntoView({ block: 'nearest' });
  if (element instanceof HTMLInputElement) element.select();
}

/** New things go below where one is: the row in focus, or the opened item, or the end. */
const focusedRow = ref<string | null>(null);

async function addSection(): Promise<void> {
  const id = newId();
  const place = focusedRow.value === null ? null : findNode(course.value, focusedRow.value);
  const after = place === null ? (sections.value.at(-1)?.id ?? null) : (place.section?.id ?? place.node.id);
  const node = {
    id,
    kind: 'section' as const,
    title: null,
    shown: true,
    removed: false,
    outside: false,
    items: [],
  };
  if (plan.change([{ kind: 'insert', parent: course.value.id, after, node }])) await focus(id);
}

async function addItem(kind: Item['kind'], sectionId?: string): Promise<void> {
  const place = focusedRow.value === null ? null : findNode(course.value, focusedRow.value);
  const section =
    sections.value.find(({ id }) => id === (sectionId ?? place?.section?.id ?? place?.node.id)) ??
    sections.value.at(-1);
  if (section === undefined) {
    await addSection();
    return addItem(kind);
  }
  const isBelow = sectionId === undefined && place?.section?.id === section.id;
  const after = isBelow ? place.node.id : (livingItems(section).at(-1)?.id ?? null);
  const id = newId();
  const common = { id, shown: true, removed: false, minutes: null };
  const node: Item =
    kind === 'page'
      ? { ...common, kind, title: t('setup.outline.newPage'), text: null }
      : { ...common, kind, title: t('setup.outline.newLink'), address: null };
  const next = new Set(folded.value);
  if (next.delete(section.id)) folded.value = next;
  if (!plan.change([{ kind: 'insert', parent: section.id, after, node }])) return;
  opened.value = id;
  await focus(id);
}

async function moved(edit: MoveEdit | null, id: string): Promise<void> {
  if (edit === null || !plan.change([edit])) return;
  await nextTick();
  const row = rows.value.find((one) => one.id === id);
  const where = row !== undefined && row.kind !== 'spare' ? row.number : null;
  said.value = t('setup.outline.movedTo', { place: where ?? '·' });
}

async function remove(id: string, title: string): Promise<void> {
  const at = rows.value.findIndex((row) => row.id === id);
  if (!plan.change([{ kind: 'remove', target: id }])) return;
  plan.tell({ kind: 'removed', title });
  const next = rows.value[Math.min(at, rows.value.length - 1)];
  if (next !== undefined && next.kind !== 'spare') await focus(next.id);
}

async function onKey(event: KeyboardEvent): Promise<void> {
  const cell = (event.target as HTMLElement).closest<HTMLElement>('[data-cell]');
  const row = cell?.closest<HTMLElement>('[data-row]')?.dataset['row'];
  if (cell === null || row === undefined) return;
  const name = cell.dataset['cell'] ?? 'title';
  if (event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
    event.preventDefault();
    if (isReadonly.value || isFinding.value) return;
    await moved(moveByOne(course.value, row, event.key === 'ArrowUp' ? 'up' : 'down'), row);
    await nextTick();
    cellOf(row, name)?.focus();
    return;
  }
  const next = nextCell(table.value, cell, event);
  if (next === null) return;
  event.preventDefault();
  next.focus();
  if (next instanceof HTMLInputElement) next.select();
}

function down(event: KeyboardEvent): void {
  const cell = (event.target as HTMLElement).closest<HTMLElement>('[data-cell]');
  const next =
    cell === null ? null : nextCell(table.value, cell, new KeyboardEvent('keydown', { key: 'ArrowDown' }));
  next?.focus();
}

function toggle(id: string): void {
  const next = new Set(folded.value);
  if (!next.delete(id)) next.add(id);
  folded.value = next;
}

/** Coming from a finding: the line that it is about. */
async function showPlace(): Promise<void> {
  const at = route.query['at'];
  if (typeof at !== 'string') return;
  const place = findNode(course.value, at);
  if (place === null) return;
  if (place.node.kind !== 'section') opened.value = at;
  await focus(at);
}
onMounted(showPlace);
watch(() => route.query['at'], showPlace);
</script>

<template>
  <StopHead stop="outline" />
  <div class="tools">
    <template v-if="!isReadonly">
      <button class="button main" type="button" @click="addSection">
        <IconPlus :size="18" aria-hidden="true" /> {{ t('setup.outline.addSection') }}
      </button>
      <button class="button" type="button" @click="addItem('page')">
        <IconFilePlus :size="18" aria-hidden="true" /> {{ t('setup.outline.addPage') }}
      </button>
      <button class="button" type="button" @click="addItem('link')">
        <IconLinkPlus :size="18" aria-hidden="true" /> {{ t('setup.outline.addLink') }}
      </button>
    </template>
    <span class="spacer" />
    <FindField
      v-model="find"
      :label="t('setup.outline.findLabel')"
      :placeholder="t('setup.outline.find', { sections: sections.length, items: itemCount })"
    />
  </div>
  <p class="visually-hidden" role="status">{{ said }}</p>
  <div :class="['sides', { beside: openedItem !== null }]">
    <div class="scroll">
      <table
        v-if="rows.length > 0"
        ref="table"
        class="outline"
        @keydown="onKey"
        @focusin="
          focusedRow =
            ($event.target as HTMLElement).closest<HTMLElement>('[data-row]')?.dataset['row'] ?? focusedRow
        "
      >
        <caption class="visually-hidden">
          {{
            t('setup.outline.caption')
          }}
        </caption>
        <thead>
          <tr>
            <th class="grip-head">
              <span class="visually-hidden">{{ t('setup.outline.columns.drag') }}</span>
            </th>
            <th>{{ t('setup.outline.columns.number') }}</th>
            <th>{{ t('setup.outline.columns.title') }}</th>
            <th>{{ t('setup.outline.columns.days') }}</th>
            <th class="right">{{ t('setup.outline.columns.minutes') }}</th>
            <th>{{ t('setup.outline.columns.shown') }}</th>
            <th>
              <span class="visually-hidden">{{ t('setup.outline.columns.acts') }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <template v-for="row in rows" :key="row.id">
            <tr v-if="row.kind === 'spare'" class="spare">
              <td colspan="3">{{ t('setup.outline.spare', { number: row.week.number }) }}</td>
              <td class="figures">{{ formatDays(row.week.first, row.week.last, locale, session.today) }}</td>
              <td colspan="3" />
            </tr>
            <OutlineLine
              v-else
              :row="row"
              :readonly="isReadonly"
              :opened="row.id === opened"
              @title="
                plan.set(
                  row.id,
                  'title',
                  $event === '' ? null : $event,
                  row.kind === 'section' ? row.section.title : row.item.title,
                  { typing: true },
                )
              "
              @minutes="
                plan.set(row.id, 'minutes', $event, row.kind === 'item' ? row.item.minutes : null, {
                  typing: true,
                })
              "
              @shown="plan.set(row.id, 'shown', $event, !$event)"
              @remove="
                remove(
                  row.id,
                  (row.kind === 'section' ? row.section.title : row.item.title) ?? t('learner.untitled'),
                )
              "
              @open="opened = opened === row.id ? null : row.id"
              @add="addItem('page', row.id)"
              @fold="toggle(row.id)"
              @drop="(dragged: string, drop: Drop) => moved(moveByDrop(course, dragged, drop), dragged)"
              @next="down"
            />
          </template>
        </tbody>
      </table>
      <div v-else class="empty">
        <h2>{{ t(isFinding ? 'setup.outline.noneFound' : 'setup.outline.none') }}</h2>
        <p v-if="!isFinding" class="soft">{{ t('setup.outline.noneText') }}</p>
      </div>
      <p v-if="!isReadonly && rows.length > 0" class="keys soft">{{ t('setup.outline.keys') }}</p>
    </div>
    <ItemPanel
      v-if="openedItem"
      :key="openedItem.item.id"
      :item="openedItem.item"
      :readonly="isReadonly"
      @close="opened = null"
    />
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin-bottom: 12px;
}

.spacer {
  flex: 1;
}

.sides.beside {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(320px, 44%);
  gap: 14px;
  align-items: start;
}

.scroll {
  min-width: 0;
  overflow-x: auto;
}

.outline {
  width: 100%;
  border-collapse: collapse;
  background: var(--card);
}

th {
  padding: 6px;
  font-size: 12.5px;
  font-weight: 500;
  text-align: left;
  white-space: nowrap;
}

.right {
  text-align: right;
}

.spare td {
  height: 30px;
  padding: 0 8px;
  border-bottom: 1px solid var(--rule);
  background: repeating-linear-gradient(-45deg, transparent 0 5px, var(--mist) 5px 10px);
  color: var(--ink-soft);
  font-size: 13.5px;
}

.keys {
  margin-top: 8px;
  font-size: 12.5px;
}

.empty {
  padding: 24px 0;
  border-top: 3px solid var(--route);
}

.empty h2 {
  font-size: 18px;
}

.beside :deep(.days),
.beside th:nth-child(4) {
  display: none;
}

@media (max-width: 1080px) {
  .sides.beside {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
