<script setup lang="ts">
/** The groups of one grouping side by side. Whoever is picked up is put down in another: by a press, or dragged there. */
import { IconPlus } from '@tabler/icons-vue';
import { nextPlace, setTableEntry } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { newId } from '../../../stores/new-id.ts';
import { useMembers } from '../../../stores/members.ts';
import { usePlan } from '../../../stores/plan.ts';
import SelectField from '../../../ui/fields/choice/SelectField.vue';
import DialogBox from '../../../ui/frame/DialogBox.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import { useAttempt } from '../../../words/use-attempt.ts';
import ListGroupsDialog from './ListGroupsDialog.vue';
import SplitDialog from './SplitDialog.vue';
import { columnsOf, groupsOf, movesTo } from './board.ts';
import type { BoardColumn, Picked } from './board.ts';

const props = defineProps<{
  /** Null: groups of no grouping. */
  grouping: string | null;
  /** Classes, which are split and joined, or groups. */
  kind?: 'group' | 'class';
  name: string;
  /** In one group, by learners’ own choice. */
  most: number | null;
}>();
const emit = defineEmits<{ said: [words: string] }>();
const { t } = useI18n();
const plan = usePlan();
const members = useMembers();
const { failure, isUnderWay, attempt } = useAttempt();

const MOST_SHOWN = 30;
const isClasses = computed(() => props.kind === 'class');
const columns = computed(() =>
  columnsOf(
    members.all,
    isClasses.value
      ? plan.groups.filter(([, { kind }]) => kind === 'class')
      : groupsOf(plan.groups, props.grouping, Object.keys(plan.course?.groupings ?? {})),
    t('setup.groupings.nowhere'),
  ),
);
const mayMove = computed(() => plan.rights.members && !plan.isReadonly && members.isWhole);
const picked = ref<readonly Picked[]>([]);
const isPicked = ({ person, from }: Picked): boolean =>
  picked.value.some((one) => one.person === person && one.from === from);
function pick(one: Picked): void {
  picked.value = isPicked(one)
    ? picked.value.filter(({ person, from }) => person !== one.person || from !== one.from)
    : [...picked.value, one];
}
/** Whoever is dragged while others are picked up takes them along. */
function lift(one: Picked, event: DragEvent): void {
  if (!isPicked(one)) picked.value = [one];
  event.dataTransfer?.setData('text/plain', '');
}
async function putDown({ group, name }: BoardColumn): Promise<void> {
  const people = picked.value;
  const groups = movesTo(columns.value, people, group, isClasses.value);
  picked.value = [];
  if (groups.length === 0) return;
  const went = await attempt(() => members.edit({ act: 'groups', groups: [...groups] }));
  if (went) emit('said', t('setup.groupings.moved', { group: name }, people.length));
}
const splitting = ref<BoardColumn | null>(null);
const isSplitting = ref(false);
const isListing = ref(false);
function askHow(column: BoardColumn): void {
  splitting.value = column;
  isSplitting.value = true;
}
const joining = ref<BoardColumn | null>(null);
const isJoining = ref(false);
const into = ref('');
function askInto(column: BoardColumn): void {
  joining.value = column;
  into.value = others(column)[0]?.value ?? '';
  failure.value = null;
  isJoining.value = true;
}
const others = ({ group }: BoardColumn): { value: string; title: string }[] =>
  columns.value.flatMap((one) =>
    one.group === null || one.group === group ? [] : [{ value: one.group, title: one.name }],
  );
async function join(): Promise<void> {
  const group = joining.value?.group;
  const target = columns.value.find((one) => one.group === into.value);
  if (group == null || target === undefined) return;
  const count = joining.value?.people.length ?? 0;
  if (!(await attempt(() => members.edit({ act: 'join', group, into: into.value })))) return;
  isJoining.value = false;
  emit('said', t('setup.groupings.joined', { group: target.name }, count));
}
function add(): void {
  const kind = props.kind ?? 'group';
  const name = t(`setup.access.groups.new.${kind}`, { number: columns.value.length });
  const group = { name, kind, at: nextPlace(plan.course!.groups), grouping: props.grouping };
  plan.change([setTableEntry(plan.course!, 'groups', newId(), group)]);
}
const sizeOf = ({ group, people }: BoardColumn): string =>
  props.most === null || group === null ? String(people.length) : `${people.length} / ${props.most}`;
</script>

<template>
  <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
  <p class="soft" role="status">
    {{ picked.length === 0 ? t('setup.groupings.how') : t('setup.groupings.picked', picked.length) }}
  </p>
  <div class="board">
    <div
      v-for="column in columns"
      :key="column.group ?? ''"
      :class="['column', { nowhere: column.group === null }]"
      role="group"
      :aria-label="column.name"
      @dragover.prevent
      @drop.prevent="mayMove && putDown(column)"
    >
      <h3>
        {{ column.name }} <span class="figures soft">{{ sizeOf(column) }}</span>
      </h3>
      <PushButton
        v-if="picked.length > 0"
        small
        :disabled="isUnderWay"
        :aria-label="t('setup.groupings.hereOf', { group: column.name })"
        @click="putDown(column)"
      >
        {{ t('setup.groupings.here') }}
      </PushButton>
      <p v-if="isClasses && mayMove && column.group !== null" class="acts">
        <PushButton
          v-if="column.people.length > 1"
          small
          :aria-label="t('setup.groupings.splitOf', { name: column.name })"
          @click="askHow(column)"
        >
          {{ t('setup.groupings.splitPress') }}
        </PushButton>
        <PushButton
          v-if="others(column).length > 0"
          small
          :aria-label="t('setup.groupings.joinOf', { name: column.name })"
          @click="askInto(column)"
        >
          {{ t('setup.groupings.joinPress') }}
        </PushButton>
      </p>
      <ul>
        <li v-for="one in column.people.slice(0, MOST_SHOWN)" :key="one.person">
          <PushButton
            small
            weight="bare"
            :class="{ picked: isPicked({ person: one.person, from: column.group }) }"
            :aria-pressed="isPicked({ person: one.person, from: column.group })"
            :disabled="!mayMove"
            :draggable="mayMove"
            @click="pick({ person: one.person, from: column.group })"
            @dragstart="lift({ person: one.person, from: column.group }, $event)"
          >
            {{ one.name }}
          </PushButton>
        </li>
        <li v-if="column.people.length > MOST_SHOWN" class="soft">
          {{ t('setup.groupings.more', column.people.length - MOST_SHOWN) }}
        </li>
      </ul>
    </div>
  </div>
  <PushButton v-if="!plan.isReadonly" small @click="add">
    <IconPlus :size="15" aria-hidden="true" />
    {{ t(isClasses ? 'setup.groupings.addClass' : 'setup.groupings.addGroup') }}
  </PushButton>
  <template v-if="!isClasses && mayMove">
    {{ ' ' }}
    <PushButton small :aria-label="t('setup.groupings.list.title', { name })" @click="isListing = true">
      {{ t('setup.groupings.list.open') }}
    </PushButton>
    <ListGroupsDialog v-model="isListing" :grouping="grouping" :name="name" @said="emit('said', $event)" />
  </template>
  <SplitDialog v-model="isSplitting" :column="splitting" @said="emit('said', $event)" />
  <DialogBox v-model="isJoining" :title="t('setup.groupings.joinTitle', { name: joining?.name ?? '' })">
    <SelectField
      v-if="joining !== null"
      :label="t('setup.groupings.joinInto')"
      :value="into"
      :options="others(joining)"
      @choose="into = $event"
    />
    <p>{{ t('setup.groupings.joinSays', { name: joining?.name ?? '' }) }} {{ t('setup.groupings.keeps') }}</p>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <template #foot>
      <PushButton @click="isJoining = false">{{ t('common.cancel') }}</PushButton>
      <PushButton weight="main" :disabled="isUnderWay" @click="join">
        {{ t('setup.groupings.join') }}
      </PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
.board {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  gap: 10px;
  margin: 8px 0;
}

.column {
  display: grid;
  gap: 4px;
  align-content: start;
  justify-items: start;
  min-height: 80px;
  padding: 8px 10px;
  border: 1px solid var(--rule);
  background: var(--mist);
}

.nowhere {
  border-inline-start: 4px solid var(--advice);
}

h3 {
  font-size: 14.5px;
  overflow-wrap: anywhere;
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}

.picked {
  outline: 2px solid var(--route);
}

.failure {
  color: var(--blocker);
}
</style>
