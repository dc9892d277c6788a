<script setup lang="ts">
/** The home page: its panels in one or two columns, with what learners get of each. */
import { IconPlus } from '@tabler/icons-vue';
import {
  courseView,
  isOnlyOnce,
  nextPlace,
  onceLive,
  PANEL_KINDS,
  panelSchema,
  reordered,
  resolveHome,
  setTableEntry,
} from '@itinerary/core';
import type { Edit, FieldValue, Panel, PanelAnswer, PanelKind } from '@itinerary/core';
import { computed, nextTick, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { newId } from '../../stores/new-id.ts';
import { usePlan } from '../../stores/plan.ts';
import { useSeeing } from '../../stores/seeing.ts';
import ChoiceTiles from '../../ui/fields/choice/ChoiceTiles.vue';
import CheckField from '../../ui/fields/choice/CheckField.vue';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import { useActs } from '../frame/acts.ts';
import PanelRow from './PanelRow.vue';
import PushButton from '../../ui/frame/PushButton.vue';

defineProps<{ readonly: boolean }>();
const { t } = useI18n();
const plan = usePlan();
const seeing = useSeeing();
const { marker } = useActs();
const root = ref<HTMLElement | null>(null);
const wanted = ref<PanelKind | ''>('');

const course = computed(() => plan.course!);
const answers = computed<readonly PanelAnswer[]>(() => {
  const live = onceLive(course.value);
  const moment = marker.moment.value;
  const view = courseView(live, seeing.viewer, moment, plan.planned);
  if (view === null) {
    return Object.entries(course.value.panels)
      .sort(([, a], [, b]) => a.at - b.at)
      .map(([id, panel]) => ({ id, panel, view: null, unseen: panel.shown ? 'empty' : 'not_shown' }));
  }
  return resolveHome(live, seeing.viewer, moment, view, plan.face, plan.planned);
});
const columns = computed<readonly Panel['column'][]>(() =>
  course.value.homeColumns === 1 ? ['main'] : ['main', 'side'],
);
/** In one column all stand below each other, as they will. */
const inColumn = (column: Panel['column']): readonly PanelAnswer[] =>
  course.value.homeColumns === 1
    ? answers.value
    : answers.value.filter(({ panel }) => panel.column === column);

const edit = (id: string, panel: Panel | null): Edit => setTableEntry(course.value, 'panels', id, panel);

async function keepFocus(id: string): Promise<void> {
  await nextTick();
  root.value?.querySelector<HTMLElement>(`[data-panel="${CSS.escape(id)}"]`)?.focus();
}

/** Panels are in one order; a column shows those that are in it. */
function place(id: string, target: string, edge: 'top' | 'bottom', column: Panel['column']): void {
  const all = answers.value.map((answer) => [answer.id, answer.panel] as const);
  const others = all.filter(([one]) => one !== id);
  const at = others.findIndex(([one]) => one === target) + (edge === 'bottom' ? 1 : 0);
  const places = reordered(all, id, at);
  const edits = [...places].map(([one, to]) => edit(one, { ...(course.value.panels[one] as Panel), at: to }));
  const moved = course.value.panels[id];
  if (moved === undefined) return;
  const isHere = edits.some((one) => one.kind === 'set' && one.field === `panels.${id}`);
  if (!isHere && moved.column !== column) edits.push(edit(id, { ...moved, column }));
  plan.change(
    edits.map((one) =>
      one.kind === 'set' && one.field === `panels.${id}`
        ? { ...one, value: { ...(one.value as Record<string, FieldValue>), column } }
        : one,
    ),
  );
}

async function move(column: Panel['column'], id: string, by: number): Promise<void> {
  const among = inColumn(column).map((answer) => answer.id);
  const target = among[among.indexOf(id) + by];
  const own = course.value.panels[id]?.column ?? column;
  if (target !== undefined)
    place(id, target, by < 0 ? 'top' : 'bottom', course.value.homeColumns === 1 ? own : column);
  await keepFocus(id);
}
async function cross(id: string, panel: Panel): Promise<void> {
  plan.change([edit(id, { ...panel, column: panel.column === 'main' ? 'side' : 'main' })]);
  await keepFocus(id);
}

const addable = computed(() =>
  PANEL_KINDS.filter(
    (kind) => !isOnlyOnce(kind) || !Object.values(course.value.panels).some((panel) => panel.kind === kind),
  ),
);
const adding = computed<PanelKind>(() =>
  wanted.value !== '' && addable.value.includes(wanted.value)
    ? wanted.value
    : (addable.value[0] ?? 'welcome'),
);
async function add(): Promise<void> {
  const at = nextPlace(course.value.panels);
  const id = newId();
  plan.change([edit(id, panelSchema.parse({ kind: adding.value, column: 'main', at }))]);
  wanted.value = '';
  await keepFocus(id);
}
const tiles = computed(() =>
  (['2', '1'] as const).map((value) => ({
    value,
    title: t(`setup.menu.columns.${value}`),
    text: t(`setup.menu.columnTexts.${value}`),
  })),
);
</script>

<template>
  <section id="field-panels" ref="root" aria-labelledby="home-part" tabindex="-1">
    <h2 id="home-part">{{ t('setup.menu.parts.home') }}</h2>
    <p class="soft">{{ t('setup.menu.homeText') }}</p>
    <ChoiceTiles
      :legend="t('setup.menu.columns.legend')"
      :tiles="tiles"
      :chosen="course.homeColumns === 1 ? '1' : '2'"
      :disabled="readonly"
      compact
      legend-hidden
      @choose="plan.set(course.id, 'homeColumns', $event === '1' ? 1 : 2, course.homeColumns)"
    />
    <div :class="['columns', { two: columns.length === 2 }]">
      <div v-for="column in columns" :key="column">
        <h3 v-if="columns.length === 2">{{ t(`setup.menu.${column}`) }}</h3>
        <ul>
          <PanelRow
            v-for="(answer, at) in inColumn(column)"
            :key="answer.id"
            :answer="answer"
            :readonly="readonly"
            :is-first="at === 0"
            :is-last="at === inColumn(column).length - 1"
            :has-other="columns.length === 2"
            @move="move(column, answer.id, $event)"
            @cross="cross(answer.id, answer.panel)"
            @drop="(dragged, edge) => place(dragged, answer.id, edge, answer.panel.column)"
            @set="plan.change([edit(answer.id, $event)])"
            @remove="plan.change([edit(answer.id, null)])"
          />
        </ul>
      </div>
    </div>
    <form v-if="!readonly && addable.length > 0" class="add" @submit.prevent="add">
      <SelectField
        :label="t('setup.menu.addPanel')"
        :value="adding"
        :options="addable.map((kind) => ({ value: kind, title: t(`learner.panels.${kind}`) }))"
        @choose="wanted = $event"
      />
      <PushButton type="submit">
        <IconPlus :size="17" aria-hidden="true" /> {{ t('setup.menu.add.act') }}
      </PushButton>
    </form>
    <CheckField
      :checked="course.ownLog"
      :disabled="readonly"
      @toggle="plan.set(course.id, 'ownLog', $event, course.ownLog)"
    >
      {{ t('setup.menu.ownLog') }}
    </CheckField>
  </section>
</template>

<style scoped>
.columns {
  display: grid;
  gap: 12px;
  margin-top: 10px;
}

.two {
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
}

h3 {
  color: var(--ink-soft);
  font-family: var(--font-text);
  font-size: 12.5px;
  font-weight: 450;
}

ul {
  margin: 0;
  padding: 0;
  border: 1px solid var(--rule);
  border-top: 3px solid var(--route);
  list-style: none;
}

.add {
  display: flex;
  gap: 12px;
  align-items: end;
  margin-top: 8px;
}

@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
