<script setup lang="ts">
/** The groups of one grouping side by side. Whoever is picked up is put down in another: by a press, or dragged there. */
import { IconPlus } from '@tabler/icons-vue';
import { setTableEntry } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { newId } from '../../../stores/new-id.ts';
import { useMembers } from '../../../stores/members.ts';
import { usePlan } from '../../../stores/plan.ts';
import PushButton from '../../../ui/frame/PushButton.vue';
import { useAttempt } from '../use-attempt.ts';
import { columnsOf, groupsOf, movesTo } from './board.ts';
import type { BoardColumn } from './board.ts';

const props = defineProps<{
  /** Null: groups of no grouping. */
  grouping: string | null;
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
const columns = computed(() =>
  columnsOf(
    members.all,
    groupsOf(plan.groups, props.grouping, Object.keys(plan.course?.groupings ?? {})),
    t('setup.groupings.nowhere'),
  ),
);
const mayMove = computed(() => plan.rights.members && !plan.isReadonly && members.isWhole);
const picked = ref<readonly string[]>([]);
const isPicked = (person: string): boolean => picked.value.includes(person);
function pick(person: string): void {
  picked.value = isPicked(person) ? picked.value.filter((one) => one !== person) : [...picked.value, person];
}
/** Whoever is dragged while others are picked up takes them along. */
function lift(person: string, event: DragEvent): void {
  if (!isPicked(person)) picked.value = [person];
  event.dataTransfer?.setData('text/plain', '');
}
async function putDown({ group, name }: BoardColumn): Promise<void> {
  const people = picked.value;
  const groups = movesTo(columns.value, people, group);
  picked.value = [];
  if (groups.length === 0) return;
  const went = await attempt(() => members.edit({ act: 'groups', groups: [...groups] }));
  if (went) emit('said', t('setup.groupings.moved', { group: name }, people.length));
}
function add(): void {
  const last = Math.max(0, ...plan.groups.map(([, { at }]) => at));
  const name = t('setup.access.groups.new.group', { number: columns.value.length });
  const group = { name, kind: 'group' as const, at: last + 1, grouping: props.grouping };
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
  <div class="board" role="group" :aria-label="name">
    <section
      v-for="column in columns"
      :key="column.group ?? ''"
      :class="['column', { nowhere: column.group === null }]"
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
      <ul>
        <li v-for="one in column.people.slice(0, MOST_SHOWN)" :key="one.person">
          <PushButton
            small
            weight="bare"
            :class="{ picked: isPicked(one.person) }"
            :aria-pressed="isPicked(one.person)"
            :disabled="!mayMove"
            :draggable="mayMove"
            @click="pick(one.person)"
            @dragstart="lift(one.person, $event)"
          >
            {{ one.name }}
          </PushButton>
        </li>
        <li v-if="column.people.length > MOST_SHOWN" class="soft">
          {{ t('setup.groupings.more', column.people.length - MOST_SHOWN) }}
        </li>
      </ul>
    </section>
  </div>
  <PushButton v-if="!plan.isReadonly" small @click="add">
    <IconPlus :size="15" aria-hidden="true" /> {{ t('setup.groupings.addGroup') }}
  </PushButton>
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

.picked {
  outline: 2px solid var(--route);
}

.failure {
  color: var(--blocker);
}
</style>
