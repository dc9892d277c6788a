<script setup lang="ts">
import { IconChartBar, IconColumns3, IconCopy, IconInbox, IconListNumbers } from '@tabler/icons-vue';
import {
  allLivingItems,
  findNode,
  heldAt,
  isHolder,
  ITEM_KINDS,
  livingSections,
  sectionOf,
  share,
} from '@itinerary/core';
import type { Edit } from '@itinerary/core';
import { computed, nextTick, onMounted, ref, watch, provide } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { VMenu } from 'vuetify/components/VMenu';
import { fold } from '../../words/fold.ts';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import FindField from '../../ui/fields/FindField.vue';
import type { SelectOption } from '../../ui/fields/choice/select-option.ts';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import { useNodeTitle } from '../node-title.ts';
import { relinkCopies } from '../text/copied-links.ts';
import LoadDialog from '../load/LoadDialog.vue';
import StopHead from '../frame/StopHead.vue';
import { useAdding } from './acts/adding.ts';
import AddMenu from './AddMenu.vue';
import { COLUMNS, useColumns } from './table/columns.ts';
import type { Column } from './table/columns.ts';
import CopyDialog from './dialogs/CopyDialog.vue';
import { useFileDrop } from './table/file-drop.ts';
import ItemPanel from './panel/ItemPanel.vue';
import { useOpened } from './panel/use-opened.ts';
import LayoutDialog from './dialogs/LayoutDialog.vue';
import MomentDialog from './dialogs/MomentDialog.vue';
import type { MomentAsk } from './dialogs/MomentDialog.vue';
import MoveDialog from './dialogs/MoveDialog.vue';
import { movable } from './acts/moves.ts';
import { useMoving } from './acts/moving.ts';
import { OUTLINE_ACTS } from './acts/outline-acts.ts';
import OutlineTable from './table/OutlineTable.vue';
import { isNodeRow, outlineRows } from './table/rows.ts';
import type { Filter, ItemRow, OutlineRow, SectionRow } from './table/rows.ts';
import { useSelectedActs } from './acts/selected-acts.ts';
import SelectionBar from './table/SelectionBar.vue';
import { useSelection } from './table/selection.ts';
import WorkDialog from './dialogs/WorkDialog.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import CheckField from '../../ui/fields/choice/CheckField.vue';

type Node = SectionRow | ItemRow;

const { t } = useI18n();
const route = useRoute();
const plan = usePlan();
const session = useSession();
const table = ref<{ focus: (id: string, cell?: string) => Promise<void> } | null>(null);
const folded = ref<ReadonlySet<string>>(new Set());
const find = ref('');
const only = ref<Filter['only']>('all');
const filters = computed((): readonly SelectOption<Filter['only']>[] => [
  { value: 'all', title: t('setup.outline.onlyAll') },
  { value: 'due', title: t('setup.outline.onlyDue') },
  { value: 'hidden', title: t('setup.outline.onlyHidden') },
  ...ITEM_KINDS.map((value) => ({ value, title: t(`learner.kinds.${value}`) })),
]);
const { opened, openedNode, isPressed, press } = useOpened();
const columns = useColumns();
const asked = ref<MomentAsk | null>(null);
const isCopying = ref(false);
const isLayingOut = ref(false);
const isShowingLoad = ref(false);
const isShowingWork = ref(false);

const course = computed(() => plan.course!);
const filter = computed<Filter>(() => {
  const wanted = fold(find.value.trim());
  return {
    matches: (title) => fold(title).includes(wanted),
    only: only.value,
    isOff: wanted === '' && only.value === 'all',
  };
});
/** A line that says the same is the same object, so that it is not drawn again. */
const rows = computed<readonly OutlineRow[]>((before) => {
  const held = heldAt(course.value, Date.parse(session.now()));
  const now = plan.planned === null ? [] : outlineRows(plan.planned, folded.value, filter.value, held);
  return share(before ?? [], now);
});
const order = computed(() => rows.value.filter(isNodeRow).map(({ id }) => id));
const sections = computed(() => livingSections(course.value));
const itemCount = computed(() => sections.value.reduce((sum, one) => sum + allLivingItems(one).length, 0));
const selection = useSelection((id) => {
  const place = findNode(course.value, id);
  return place !== null && !place.node.removed;
});
const titleOf = useNodeTitle();
const nameOf = (id: string): string => titleOf(id) ?? t('learner.untitled');

/** From this width on the panel stands beside the lines (outline-stop.css). */
const PANEL_BESIDE = 1080;

async function focus(id: string, cell?: string): Promise<void> {
  await nextTick();
  await table.value?.focus(id, cell);
}

const { focusedRow, here, addSection, addItem, addLines, addFile } = useAdding({
  focus,
  prepare: (parent) => {
    const next = new Set(folded.value);
    if (next.delete(parent)) folded.value = next;
    find.value = '';
    only.value = 'all';
  },
  // Where the panel lies over the lines, whoever adds one is at its title, and not behind the panel.
  open: (id) => {
    if (innerWidth > PANEL_BESIDE) opened.value = id;
  },
});

const { said, moving, group, stepBy, drop, move } = useMoving(selection);

async function step(id: string, way: 'up' | 'down', cell: string): Promise<void> {
  if (plan.isReadonly || !filter.value.isOff) return;
  stepBy(id, way, (holder) => folded.value.has(holder));
  await focus(id, cell);
}

async function remove(row: Node): Promise<void> {
  const at = order.value.indexOf(row.id);
  const title = nameOf(row.id);
  if (!plan.change([{ kind: 'remove', target: row.id }])) return;
  plan.tell({ kind: 'removed', title, of: plan.lastStep });
  const next = order.value[Math.min(at, order.value.length - 1)];
  if (next !== undefined) await focus(next);
}

const { chosenIds, dueIds, showAll, removeAll, duplicateAll } = useSelectedActs(selection, order);

function ask(ids: readonly string[], field: MomentAsk['field'], title: string): void {
  const node = ids[0] === undefined ? undefined : findNode(course.value, ids[0])?.node;
  if (node === undefined) return;
  const moment = (node as Partial<Record<MomentAsk['field'], MomentAsk['moment']>>)[field] ?? null;
  asked.value = { ids, field, title, moment };
}

function askFor(row: Node, field: MomentAsk['field']): void {
  const ids = group(row.id).filter((id) => field in (findNode(course.value, id)?.node ?? {}));
  ask(ids.length > 0 ? ids : [row.id], field, nameOf(row.id));
}

function setMoments(edits: readonly Edit[]): void {
  asked.value = null;
  plan.change(edits);
}

async function copied(edits: readonly Edit[], original: string): Promise<void> {
  isCopying.value = false;
  plan.change(await relinkCopies(course.value, edits, () => original));
}

function setMinutes(row: ItemRow, minutes: number | null): void {
  plan.set(row.id, 'minutes', minutes, row.minutes, { typing: true });
}

const { isFileOver, overFiles, dropFiles } = useFileDrop(() => !plan.isReadonly, addFile);

async function openWork(id: string): Promise<void> {
  isShowingWork.value = false;
  opened.value = id;
  await focus(id);
}

function toggle(id: string): void {
  const next = new Set(folded.value);
  if (!next.delete(id)) next.add(id);
  folded.value = next;
}
const foldAll = (): void => {
  folded.value = folded.value.size > 0 ? new Set() : new Set(sections.value.map(({ id }) => id));
};

function toggleColumn(column: Column): void {
  columns.value = columns.value.includes(column)
    ? columns.value.filter((one) => one !== column)
    : COLUMNS.filter((one) => one === column || columns.value.includes(one));
}

/** Coming from a finding: the line that it is about. */
async function showPlace(): Promise<void> {
  if (route.hash === '#field-largestUpload') isLayingOut.value = true;
  const at = route.query['at'];
  const place = typeof at === 'string' ? findNode(course.value, at) : null;
  if (place === null) return;
  const next = new Set(folded.value);
  place.above.forEach(({ id }) => next.delete(id));
  folded.value = next;
  if (!isHolder(place.node)) opened.value = place.node.id;
  await focus(place.node.id);
}
onMounted(showPlace);
watch(() => [route.query['at'], route.hash], showPlace);

provide(OUTLINE_ACTS, {
  title: (row, title) => plan.set(row.id, 'title', title === '' ? null : title, row.title, { typing: true }),
  lines: (row, titles, replacing) => void addLines(row.id, titles, replacing),
  minutes: setMinutes,
  shown: (row, shown) => plan.set(row.id, 'shown', shown, !shown),
  remove: (row) => void remove(row),
  open: ({ id }) => press(id),
  add: (row) => void addItem('page', row.id),
  fold: toggle,
  select: (id, extend) => (extend ? selection.extendTo(id, order.value) : selection.toggle(id)),
  selectAll: () => selection.all(order.value),
  moment: askFor,
  drop: (dragged, where) => {
    if (!plan.isReadonly) drop(dragged, where);
  },
  step: (id, way, cell) => void step(id, way, cell),
  focused: (id) => (focusedRow.value = id),
});
</script>

<template>
  <div class="outline-stop">
    <StopHead stop="outline" />
    <div class="tools">
      <AddMenu v-if="!plan.isReadonly" @section="addSection" @item="addItem($event)" />
      <span class="spacer" />
      <PushButton v-if="!plan.isReadonly" small @click="isCopying = true">
        <IconCopy :size="16" aria-hidden="true" /> {{ t('setup.outline.copyUnit') }}
      </PushButton>
      <PushButton small @click="isShowingWork = true">
        <IconInbox :size="16" aria-hidden="true" /> {{ t('setup.work.button') }}
      </PushButton>
      <PushButton small @click="isShowingLoad = true">
        <IconChartBar :size="16" aria-hidden="true" /> {{ t('setup.load.button') }}
      </PushButton>
      <PushButton small @click="isLayingOut = true">
        <IconListNumbers :size="16" aria-hidden="true" /> {{ t('setup.layout.button') }}
      </PushButton>
    </div>
    <div class="tools">
      <FindField
        v-model="find"
        :label="t('setup.outline.findLabel')"
        :placeholder="
          t('setup.outline.find', {
            sections: t('setup.outline.countSections', { count: sections.length }, sections.length),
            items: t('setup.outline.countItems', { count: itemCount }, itemCount),
          })
        "
      />
      <SelectField
        bare
        :label="t('setup.outline.only')"
        :value="only"
        :options="filters"
        @choose="only = $event"
      />
      <PushButton small @click="foldAll">
        {{ t(folded.size > 0 ? 'setup.outline.unfoldAll' : 'setup.outline.foldAll') }}
      </PushButton>
      <span class="spacer" />
      <VMenu :close-on-content-click="false">
        <template #activator="{ props: menu }">
          <PushButton small v-bind="menu">
            <IconColumns3 :size="16" aria-hidden="true" /> {{ t('setup.outline.columnsLabel') }}
          </PushButton>
        </template>
        <div class="columns" role="group" :aria-label="t('setup.outline.columnsLabel')">
          <CheckField
            v-for="column in COLUMNS"
            :key="column"
            :checked="columns.includes(column)"
            @toggle="toggleColumn(column)"
          >
            {{ t(`setup.outline.columns.${column}`) }}
          </CheckField>
        </div>
      </VMenu>
    </div>
    <SelectionBar
      v-if="chosenIds.length > 0 && !plan.isReadonly"
      :count="chosenIds.length"
      :may-be-due="dueIds.length > 0"
      @shown="showAll"
      @due="ask(dueIds, 'due', t('setup.outline.lines', { count: dueIds.length }, dueIds.length))"
      @move="moving = movable(course, chosenIds, chosenIds[0] ?? '')"
      @duplicate="duplicateAll"
      @remove="removeAll"
      @clear="selection.clear"
    />
    <p class="visually-hidden" role="status">{{ said }}</p>
    <div
      :class="['sides', { beside: openedNode !== null, over: isFileOver }]"
      @dragover="overFiles"
      @dragleave="isFileOver = false"
      @drop="dropFiles"
    >
      <OutlineTable
        v-if="rows.length > 0"
        ref="table"
        :rows="rows"
        :columns="
          openedNode === null
            ? columns
            : columns.filter((column) => column === 'shown' || column === 'minutes')
        "
        :readonly="plan.isReadonly"
        :opened="opened"
        :selected="selection.ids.value"
      />
      <div v-else class="empty">
        <h2>{{ t(filter.isOff ? 'setup.outline.none' : 'setup.outline.noneFound') }}</h2>
        <p v-if="filter.isOff" class="soft">{{ t('setup.outline.noneText') }}</p>
      </div>
      <ItemPanel
        v-if="openedNode"
        :key="openedNode.kind"
        :node="openedNode"
        :readonly="plan.isReadonly"
        :takes-focus="isPressed"
        @moment="(field) => ask([openedNode!.id], field, nameOf(openedNode!.id))"
        @close="opened = null"
      />
    </div>
    <MomentDialog :ask="asked" @set="setMoments" @close="asked = null" />
    <CopyDialog v-model="isCopying" :section="here === null ? null : sectionOf(here).id" @copy="copied" />
    <LoadDialog v-model="isShowingLoad" />
    <WorkDialog v-model="isShowingWork" @open="openWork" />
    <LayoutDialog v-model="isLayingOut" :readonly="plan.isReadonly" />
    <MoveDialog
      :ids="moving"
      :are-sections="moving?.[0] !== undefined && findNode(course, moving[0])?.node.kind === 'section'"
      @move="move"
      @close="moving = null"
    />
  </div>
</template>

<style scoped src="./outline-stop.css"></style>
