<script setup lang="ts">
/** Who is in the course: the table of members, what is done to several, and the lists that they came by. */
import { IconDownload, IconListDetails, IconUserPlus, IconUsersGroup } from '@tabler/icons-vue';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import { useLive } from '../../stores/live.ts';
import { useMembers } from '../../stores/members.ts';
import { usePlan } from '../../stores/plan.ts';
import { roleWord } from '../../words/own-words.ts';
import LoadState from '../../ui/frame/LoadState.vue';
import type { Loading } from '../../api/use-answer.ts';
import PushButton from '../../ui/frame/PushButton.vue';
import StopHead from '../frame/StopHead.vue';
import AddPeopleDialog from './AddPeopleDialog.vue';
import DealDialog from './DealDialog.vue';
import ChosenBar from './table/ChosenBar.vue';
import GroupingsPart from './groups/GroupingsPart.vue';
import ListHistory from './list/ListHistory.vue';
import ListReader from './list/ListReader.vue';
import MemberFilters from './table/MemberFilters.vue';
import MemberTable from './table/MemberTable.vue';
import WriteOutDialog from './table/WriteOutDialog.vue';
import WaysPart from './ways/WaysPart.vue';
import { ANYBODY, memberLines, narrowed } from './member-rows.ts';
import type { MemberLine } from './member-rows.ts';
import { useAttempt } from '../../words/use-attempt.ts';
import { useFirstMembers } from './use-first-members.ts';
import type { Locale } from '../../words/i18n.ts';
import type { Member } from '../../stores/members.ts';

const { t, locale } = useI18n();
const route = useRoute();
const router = useRouter();
const plan = usePlan();
const members = useMembers();

const course = computed(() => plan.course!);
const state = ref<Loading>('loading');
const filter = ref(ANYBODY);
const chosen = ref<readonly string[]>([]);
const isAdding = ref(false);
const isWriting = ref(false);
const isDealing = ref(false);
const said = ref('');

/** Reading a list has an address of its own, so that the way back is the browser's too. */
const isReading = computed(() => route.query['list'] !== undefined && plan.rights.members);
const toList = (open: boolean): void =>
  void router.push({ path: route.path, query: open ? { list: 'new' } : {} });

const linesOf = (all: readonly Member[]): readonly MemberLine[] =>
  memberLines(all, plan.groups, (role) => roleWord(role, course.value.roleNames, t));
const lines = computed(() => linesOf(members.all));
const { found, rest } = useFirstMembers(filter);
/** While not all are here, the server says who is found. */
const shown = computed(() => {
  if (members.isWhole) return narrowed(lines.value, filter.value);
  return found.value === null ? lines.value : linesOf(found.value.members);
});
const count = computed(() => {
  if (members.isWhole) return shown.value.length;
  return found.value === null ? members.total : found.value.found;
});
/** Whoever is chosen and has gone meanwhile is chosen no more. */
const standing = computed(() => {
  const there = new Set(members.all.map(({ person }) => person));
  return chosen.value.filter((person) => there.has(person));
});

async function load(): Promise<void> {
  state.value = members.isThere ? 'there' : 'loading';
  try {
    await members.load(course.value.id, locale.value as Locale);
    rest();
    state.value = 'there';
  } catch {
    if (!members.isThere) state.value = 'failed';
  }
}
void load();
useLive((heard) => {
  if (heard.kind === 'missed' || (heard.kind === 'course' && heard.id === course.value.id)) void load();
});

const { failure, attempt } = useAttempt();
/** What is about all of them waits until they are here. */
async function withAll(act: () => void): Promise<void> {
  if (await attempt(members.whole)) act();
}
/** Whoever ticks all of the first means all who are shown. */
async function choose(keys: readonly string[]): Promise<void> {
  const isAll = !members.isWhole && shown.value.every(({ key }) => keys.includes(key));
  chosen.value = keys;
  if (!members.isWhole && (await attempt(members.whole)) && isAll)
    chosen.value = shown.value.map(({ key }) => key);
}

function taken(words: string): void {
  said.value = words;
  toList(false);
}
</script>

<template>
  <StopHead stop="members" />
  <LoadState v-if="state !== 'there'" within :state="state" @again="load" />
  <ListReader v-else-if="isReading" @back="toList(false)" @taken="taken" />
  <div v-else id="field-members" class="stop" tabindex="-1">
    <div class="acts">
      <p class="figures count">{{ t('setup.members.count', members.total) }}</p>
      <template v-if="plan.rights.members && !plan.isReadonly">
        <PushButton weight="main" @click="toList(true)">
          <IconListDetails :size="18" aria-hidden="true" /> {{ t('setup.members.readList') }}
        </PushButton>
        <PushButton @click="isAdding = true">
          <IconUserPlus :size="18" aria-hidden="true" /> {{ t('setup.members.add') }}
        </PushButton>
      </template>
      <PushButton v-if="plan.rights.members && !plan.isReadonly" @click="withAll(() => (isDealing = true))">
        <IconUsersGroup :size="18" aria-hidden="true" /> {{ t('setup.members.deal.title') }}
      </PushButton>
      <PushButton v-if="plan.rights.members" @click="withAll(() => (isWriting = true))">
        <IconDownload :size="18" aria-hidden="true" /> {{ t('setup.members.writeOut') }}
      </PushButton>
    </div>
    <p class="said" role="status">{{ said }}</p>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <MemberFilters v-model="filter" :lines="lines" :shown="count" :total="members.total" />
    <ChosenBar
      v-if="standing.length > 0 && members.isWhole && plan.rights.members"
      :chosen="standing"
      @clear="chosen = []"
      @said="said = $event"
    />
    <!-- Whoever looks further than at the beginning, or ticks somebody, means all of them. -->
    <MemberTable
      :chosen="chosen"
      :lines="shown"
      :may-choose="plan.rights.members && !plan.isReadonly"
      @update:chosen="choose"
      @scroll.capture="attempt(members.whole)"
      @pointerdown="attempt(members.whole)"
      @keydown="attempt(members.whole)"
    />
    <GroupingsPart v-if="plan.rights.members" @said="said = $event" />
    <WaysPart v-if="plan.rights.members" @said="said = $event" />
    <ListHistory v-if="members.lists.length > 0" @said="said = $event" />
    <AddPeopleDialog v-model="isAdding" :course-id="course.id" @said="said = $event" />
    <DealDialog v-model="isDealing" :chosen="standing" @said="said = $event" />
    <WriteOutDialog v-model="isWriting" :chosen="standing" />
  </div>
</template>

<style scoped>
.stop {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  outline: none;
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}

.count {
  flex: 1 1 120px;
  font-size: 17px;
  font-weight: 600;
}

.failure {
  color: var(--blocker);
}

.said:empty {
  display: none;
}

.said {
  padding: 8px 12px;
  border-inline-start: 4px solid var(--open);
  background: var(--card);
}
</style>
