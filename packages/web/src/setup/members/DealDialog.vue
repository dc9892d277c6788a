<script setup lang="ts">
/** Learners dealt into new groups at random, by number or by size; what that comes to is said before. */
import { MAX_GROUPS, nextPlace, setTableEntry } from '@itinerary/core';
import type { GroupCount } from '@itinerary/core/people';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { newId } from '../../stores/new-id.ts';
import { useMembers } from '../../stores/members.ts';
import { usePlan } from '../../stores/plan.ts';
import NumberField from '../../ui/fields/NumberField.vue';
import CheckField from '../../ui/fields/choice/CheckField.vue';
import ChoiceList from '../../ui/fields/choice/ChoiceList.vue';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import DialogBox from '../../ui/frame/DialogBox.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import { byChance, dealInto, dealtMembers, sizesOf } from './dealing.ts';
import type { Dealing } from './dealing.ts';
import { groupsOf } from './groups/board.ts';
import { useAttempt } from './use-attempt.ts';

/** Whom it is of; nobody chosen: all who learn here. */
const props = defineProps<{ chosen: readonly string[] }>();
const open = defineModel<boolean>({ required: true });
const emit = defineEmits<{ said: [words: string] }>();
const { t } = useI18n();
const plan = usePlan();
const members = useMembers();
const { failure, isUnderWay, attempt } = useAttempt();

const whom = ref<Dealing['whom']>('groupless');
const by = ref<GroupCount['by']>('size');
const number = ref<number | null>(4);
const isBalanced = ref(true);
const count = computed((): GroupCount | null => {
  if (number.value === null) return null;
  return by.value === 'size' ? { by: 'size', most: number.value } : { by: 'number', groups: number.value };
});
const NONE = '';
const grouping = ref(NONE);
const groupings = computed(() => [
  { value: NONE, title: t('setup.groupings.ofNoneChoice') },
  ...Object.entries(plan.course?.groupings ?? {})
    .sort(([, a], [, b]) => a.at - b.at)
    .map(([value, { name }]) => ({ value, title: name })),
]);
/** Of the groups, those that are dealt into; and all classes. */
const ofThese = computed(() => {
  const known = Object.keys(plan.course?.groupings ?? {});
  const classes = plan.groups.filter(([, { kind }]) => kind === 'class');
  return [...classes, ...groupsOf(plan.groups, grouping.value === NONE ? null : grouping.value, known)];
});
const people = computed(() =>
  dealtMembers(members.all, ofThese.value, { whom: whom.value }, new Set(props.chosen)),
);
const sizes = computed(() => (count.value === null ? null : sizesOf(people.value.length, count.value)));
const isTooMany = computed(() => plan.groups.length + (sizes.value?.groups ?? 0) > MAX_GROUPS);
const hasClasses = computed(() => plan.groups.some(([, { kind }]) => kind === 'class'));
const says = computed(() => {
  const now = sizes.value;
  if (now === null) return t('setup.members.deal.nobody');
  if (isTooMany.value) return t('setup.members.deal.tooMany', { most: MAX_GROUPS });
  const each =
    now.least === now.most
      ? String(now.most)
      : t('setup.members.deal.or', { least: now.least, most: now.most });
  return t('setup.members.deal.comes', { people: people.value.length, each }, now.groups);
});

async function deal(): Promise<void> {
  const [now, wanted] = [sizes.value, count.value];
  if (now === null || wanted === null) return;
  const dealt = dealInto(
    people.value,
    plan.groups,
    { whom: whom.value, count: wanted, isBalanced: isBalanced.value && hasClasses.value },
    byChance,
  );
  const from = nextPlace(plan.course!.groups);
  const before = ofThese.value.filter(([, { kind }]) => kind === 'group').length;
  const made = dealt.map((people, at) => ({
    id: newId(),
    people,
    group: {
      name: t('setup.access.groups.new.group', { number: before + at + 1 }),
      kind: 'group' as const,
      at: from + at,
      ...(grouping.value === NONE ? {} : { grouping: grouping.value }),
    },
  }));
  plan.change(made.map(({ id, group }) => setTableEntry(plan.course!, 'groups', id, group)));
  const groups = made.map(({ id, people }) => ({ group: id, add: [...people], leave: [] }));
  if (!(await attempt(() => members.edit({ act: 'groups', groups })))) {
    // Nobody is in them: tried again, there would be twice as many.
    plan.change(made.map(({ id }) => setTableEntry(plan.course!, 'groups', id, null)));
    return;
  }
  emit('said', t('setup.members.deal.done', now.groups));
  open.value = false;
}
watch(open, (now) => {
  if (now) failure.value = null;
});
</script>

<template>
  <DialogBox v-model="open" :title="t('setup.members.deal.title')">
    <div class="deal">
      <SelectField
        v-if="groupings.length > 1"
        :label="t('setup.groupings.of')"
        :value="grouping"
        :options="groupings"
        @choose="grouping = $event"
      />
      <ChoiceList
        :legend="t('setup.members.deal.whom')"
        :choices="[
          { value: 'groupless', title: t('setup.members.deal.groupless') },
          { value: 'all', title: t('setup.members.deal.all') },
        ]"
        :chosen="whom"
        @choose="whom = $event"
      />
      <ChoiceList
        :legend="t('setup.members.deal.by')"
        :choices="[
          { value: 'size', title: t('setup.members.deal.bySize') },
          { value: 'number', title: t('setup.members.deal.byNumber') },
        ]"
        :chosen="by"
        @choose="by = $event"
      />
      <NumberField
        :label="t(by === 'size' ? 'setup.members.deal.most' : 'setup.members.deal.groups')"
        :number="number"
        :least="1"
        :most="MAX_GROUPS"
        required
        @set="number = $event"
      />
      <CheckField v-if="hasClasses" :checked="isBalanced" @toggle="isBalanced = $event">
        {{ t('setup.members.deal.balanced') }}
      </CheckField>
      <p role="status">{{ says }}</p>
      <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    </div>
    <template #foot>
      <PushButton @click="open = false">{{ t('common.cancel') }}</PushButton>
      <PushButton weight="main" :disabled="sizes === null || isTooMany || isUnderWay" @click="deal">
        {{ t('setup.members.deal.press') }}
      </PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
.deal {
  display: grid;
  gap: 12px;
}

.failure {
  color: var(--blocker);
}
</style>
