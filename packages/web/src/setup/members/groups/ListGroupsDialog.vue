<script setup lang="ts">
/** Groups as a list has them: who comes into which is shown, and then done as one act. */
import { MAX_GROUPS } from '@itinerary/core';
import { groupsOfList } from '@itinerary/core/people';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useMembers } from '../../../stores/members.ts';
import { usePlan } from '../../../stores/plan.ts';
import DialogBox from '../../../ui/frame/DialogBox.vue';
import PlainTable from '../../../ui/frame/PlainTable.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import { useAttempt } from '../../../words/use-attempt.ts';
import { groupsOf, placesAs } from './board.ts';
import { fillGroups } from './fill-groups.ts';
import ListValues from './ListValues.vue';

const props = defineProps<{
  /** Null: groups of no division. */
  grouping: string | null;
  name: string;
}>();
const open = defineModel<boolean>({ required: true });
const emit = defineEmits<{ said: [words: string] }>();
const { t } = useI18n();
const plan = usePlan();
const members = useMembers();
const { failure, isUnderWay, attempt } = useAttempt();
const values = ref<ReadonlyMap<string, string> | null>(null);

const standing = computed(() =>
  groupsOf(plan.groups, props.grouping, Object.keys(plan.course?.groupings ?? {})),
);
const groups = computed(() =>
  groupsOfList(
    values.value ?? new Map(),
    standing.value.map(([id, { name }]) => [id, name] as const),
  ),
);
const made = computed(() => groups.value.filter(({ id }) => id === null).length);
const isTooMany = computed(() => plan.groups.length + made.value > MAX_GROUPS);
const longest = computed(() => groups.value.find(({ name }) => name.length > MOST_NAME));
const MOST_NAME = 200;
/** Who is where already stays there; out of another group of this division whoever is moved goes. */
const places = computed(() => placesAs(members.all, standing.value, groups.value));
const coming = computed(() => places.value.coming);
/** Everybody is where the list has them. */
const isNothing = computed(() => made.value === 0 && places.value.edits.length === 0);
const says = computed(() =>
  isTooMany.value
    ? t('setup.members.deal.tooMany', { most: MAX_GROUPS })
    : longest.value !== undefined
      ? t('setup.groupings.list.long', { name: longest.value.name, most: MOST_NAME })
      : t('setup.groupings.list.says', { made: made.value, moved: places.value.moved }, coming.value),
);

async function put(): Promise<void> {
  const all = groups.value;
  const fresh = all.filter(({ id }) => id === null).map(({ name }) => name);
  const count = coming.value;
  const went = await fillGroups(
    fresh,
    props.grouping,
    (ids) => {
      const made = new Map(fresh.map((name, at) => [name, ids[at] ?? null]));
      const wanted = all.map((one) => ({ ...one, id: one.id ?? made.get(one.name) ?? null }));
      return placesAs(members.all, standing.value, wanted).edits;
    },
    attempt,
  );
  if (!went) return;
  emit('said', t('setup.groupings.list.done', count));
  open.value = false;
}
watch(open, (now) => {
  if (!now) return;
  failure.value = null;
  void members.whole();
});
</script>

<template>
  <DialogBox v-model="open" :title="t('setup.groupings.list.title', { name })" :width="760">
    <div class="list">
      <ListValues
        v-if="open"
        v-model="values"
        :lead="t('setup.groupings.list.lead')"
        :column="t('setup.groupings.list.column')"
      />
      <template v-if="values !== null">
        <PlainTable
          :columns="[
            { title: t('setup.groupings.list.group') },
            { title: t('setup.groupings.list.people'), atEnd: true },
            { title: t('setup.groupings.list.is') },
          ]"
        >
          <tr v-for="one in groups" :key="one.name">
            <th scope="row">{{ one.name }}</th>
            <td class="right figures">{{ one.people.length }}</td>
            <td>{{ t(`setup.groupings.list.${one.id === null ? 'new' : 'there'}`) }}</td>
          </tr>
        </PlainTable>
        <p role="status">{{ says }}</p>
      </template>
      <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    </div>
    <template #foot>
      <PushButton @click="open = false">{{ t('common.cancel') }}</PushButton>
      <PushButton
        weight="main"
        :disabled="
          values === null || isTooMany || longest !== undefined || isUnderWay || !members.isWhole || isNothing
        "
        @click="put"
      >
        {{ t('setup.groupings.list.press') }}
      </PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
.list {
  display: grid;
  gap: 12px;
}

th {
  font-weight: 400;
  overflow-wrap: anywhere;
}

.failure {
  color: var(--blocker);
}
</style>
