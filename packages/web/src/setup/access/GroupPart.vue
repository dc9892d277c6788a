<script setup lang="ts">
/** Groups and classes, how work is done in them, and whose names learners see. */
import { IconPlus, IconX } from '@tabler/icons-vue';
import {
  allLivingItems,
  isContent,
  livingSections,
  nextPlace,
  setField,
  setTableEntry,
} from '@itinerary/core';
import type { ChangedBy, Group, GroupWork, Names } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { newId } from '../../stores/new-id.ts';
import { usePlan } from '../../stores/plan.ts';
import FieldFrame from '../../ui/fields/FieldFrame.vue';
import ChoiceTiles from '../../ui/fields/choice/ChoiceTiles.vue';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import IconButton from '../../ui/frame/IconButton.vue';
import { useActs } from '../frame/acts.ts';
import DraftField from '../../ui/fields/DraftField.vue';
import { useNodeTitle } from '../node-title.ts';
import PushButton from '../../ui/frame/PushButton.vue';

defineProps<{ readonly: boolean }>();
const { t } = useI18n();
const plan = usePlan();
const acts = useActs();
const titleOf = useNodeTitle();
const course = computed(() => plan.course!);

const groups = computed(() => plan.groups);
const kind = ref<Group['kind']>('group');

function setGroup(id: string, next: Group | null): void {
  plan.change([setTableEntry(course.value, 'groups', id, next)]);
}
function add(): void {
  const at = nextPlace(course.value.groups);
  const count = groups.value.filter(([, group]) => group.kind === kind.value).length + 1;
  setGroup(newId(), {
    name: t(`setup.access.groups.new.${kind.value}`, { number: count }),
    kind: kind.value,
    at,
  });
}

const MODES: readonly GroupWork[] = ['none', 'apart', 'beside'];
const modeTiles = computed(() =>
  MODES.map((value) => ({
    value,
    title: t(`setup.gates.modes.${value}`),
    text: t(`setup.access.modeTexts.${value}`),
  })),
);
/** Items with a mode of their own that is not the course's. */
const differing = computed(() =>
  livingSections(course.value)
    .flatMap((section) => allLivingItems(section))
    .flatMap((item) =>
      isContent(item) && item.groupWork !== null && item.groupWork !== course.value.groupWork
        ? [{ item, id: item.id, mode: item.groupWork }]
        : [],
    ),
);
function bringIntoLine(): void {
  plan.change(differing.value.map(({ item }) => setField(item, 'groupWork', null)));
}

const NAMES: readonly Names[] = ['everybody', 'class', 'staff'];
const CHANGED_BY: readonly ChangedBy[] = ['staff', 'learners'];
const KINDS: readonly Group['kind'][] = ['group', 'class'];
</script>

<template>
  <section class="part" aria-labelledby="access-groups">
    <h2 id="access-groups">{{ t('setup.access.parts.groups') }}</h2>
    <div id="field-groups" class="list" tabindex="-1">
      <p v-if="groups.length === 0" class="soft">{{ t('setup.access.groups.none') }}</p>
      <ul>
        <li v-for="[id, group] in groups" :key="id">
          <DraftField
            :text="group.name"
            :keep-as="`${id} name`"
            :label="t(`setup.access.groups.kinds.${group.kind}`)"
            :readonly="readonly"
            :wrong="(text) => (text === '' ? t('setup.about.titleMissing') : null)"
            :most="200"
            @type="setGroup(id, { ...group, name: $event })"
          />
          <span class="figures soft">{{ t('setup.access.groups.size', plan.groupSizes[id] ?? 0) }}</span>
          <IconButton
            v-if="!readonly"
            :icon="IconX"
            :label="t('setup.access.groups.remove', { name: group.name })"
            @click="setGroup(id, null)"
          />
        </li>
      </ul>
      <p v-if="!readonly" class="acts">
        <SelectField
          bare
          :label="t('setup.access.groups.kind')"
          :value="kind"
          :options="KINDS.map((value) => ({ value, title: t(`setup.access.groups.kinds.${value}`) }))"
          @choose="kind = $event"
        />
        <PushButton small @click="add">
          <IconPlus :size="15" aria-hidden="true" /> {{ t('setup.access.groups.add') }}
        </PushButton>
        <PushButton v-if="groups.length > 0" small @click="acts.members">
          {{ t('setup.access.groups.who') }}
        </PushButton>
      </p>
    </div>
    <div id="field-groupWork" tabindex="-1">
      <FieldFrame :label="t('setup.gates.groupWork')" of="groupWork" :help="t('setup.help.groupWork')">
        <ChoiceTiles
          :legend="t('setup.gates.groupWork')"
          :tiles="modeTiles"
          :chosen="course.groupWork"
          :disabled="readonly"
          compact
          @choose="plan.set(course.id, 'groupWork', $event, course.groupWork)"
        />
      </FieldFrame>
      <div v-if="differing.length > 0" class="differing">
        <p>{{ t('setup.access.differing', differing.length) }}</p>
        <ul class="names">
          <li v-for="{ id, mode } in differing" :key="id">
            {{ titleOf(id) }} <span class="soft">{{ t(`setup.gates.modes.${mode}`) }}</span>
          </li>
        </ul>
        <PushButton v-if="!readonly" small @click="bringIntoLine">
          {{ t('setup.access.intoLine') }}
        </PushButton>
      </div>
    </div>
    <div class="pair">
      <FieldFrame :label="t('setup.access.names.title')" of="names" :help="t('setup.help.names')">
        <SelectField
          :label="t('setup.access.names.title')"
          :value="course.names"
          :options="NAMES.map((value) => ({ value, title: t(`setup.access.names.${value}`) }))"
          :disabled="readonly"
          @choose="plan.set(course.id, 'names', $event, course.names)"
        />
      </FieldFrame>
      <FieldFrame :label="t('setup.access.changedBy.title')" of="changedBy" :help="t('setup.help.changedBy')">
        <SelectField
          :label="t('setup.access.changedBy.title')"
          :value="course.changedBy"
          :options="CHANGED_BY.map((value) => ({ value, title: t(`setup.access.changedBy.${value}`) }))"
          :disabled="readonly"
          @choose="plan.set(course.id, 'changedBy', $event, course.changedBy)"
        />
      </FieldFrame>
    </div>
  </section>
</template>

<style scoped>
.part,
.list {
  display: grid;
  gap: 12px;
}

h2 {
  font-size: 17px;
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

.list li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 110px 32px;
  gap: 10px;
  align-items: center;
  margin-bottom: 6px;
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.differing {
  display: grid;
  gap: 6px;
  justify-items: start;
  margin-top: 8px;
  padding: 8px 12px;
  border-inline-start: 4px solid var(--advice);
  background: var(--card);
}

.names li {
  display: inline;
  margin-inline-end: 12px;
}

.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: 12px;
}
</style>
