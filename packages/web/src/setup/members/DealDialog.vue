<script setup lang="ts">
/** Learners dealt into new groups at random, by number or by size; what that comes to is said before. */
import { MAX_GROUPS } from '@itinerary/core';
import type { GroupCount } from '@itinerary/core/people';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useMembers } from '../../stores/members.ts';
import type { Member } from '../../stores/members.ts';
import { usePlan } from '../../stores/plan.ts';
import NumberField from '../../ui/fields/NumberField.vue';
import ChoiceList from '../../ui/fields/choice/ChoiceList.vue';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import DialogBox from '../../ui/frame/DialogBox.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import { byChance, classOf, dealInto, dealtMembers, sizesOf } from './dealing.ts';
import type { Dealing } from './dealing.ts';
import ListValues from './groups/ListValues.vue';
import { groupsOf } from './groups/board.ts';
import { fillGroups } from './groups/fill-groups.ts';
import { useAttempt } from '../../words/use-attempt.ts';

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
type Balance = 'none' | 'class' | 'list';
const chosenBalance = ref<Balance>('class');
/** By a column of a list: what it says of each. */
const values = ref<ReadonlyMap<string, string> | null>(null);
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
const balance = computed(() =>
  chosenBalance.value === 'class' && !hasClasses.value ? 'none' : chosenBalance.value,
);
const balances = computed(() =>
  (['none', ...(hasClasses.value ? ['class' as const] : []), 'list'] as const).map((value) => ({
    value,
    title: t(`setup.members.deal.balances.${value}`),
  })),
);
/** Until the list is there, nothing is known of what is to be spread. */
const isMissing = computed(() => balance.value === 'list' && values.value === null);
function kindOf(member: Member): string | null {
  if (balance.value === 'none') return null;
  return balance.value === 'class'
    ? classOf(member, plan.groups)
    : (values.value?.get(member.person) ?? null);
}
const says = computed(() => {
  const now = sizes.value;
  if (now === null) return t('setup.members.deal.nobody');
  if (isMissing.value) return t('setup.members.deal.listMissing');
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
  const dealt = dealInto(people.value, { count: wanted, kindOf }, byChance);
  const before = ofThese.value.filter(([, { kind }]) => kind === 'group').length;
  const went = await fillGroups(
    dealt.map((_, at) => t('setup.access.groups.new.group', { number: before + at + 1 })),
    grouping.value === NONE ? null : grouping.value,
    (ids) => dealt.map((people, at) => ({ group: ids[at]!, add: [...people], leave: [] })),
    attempt,
  );
  if (!went) return;
  emit('said', t('setup.members.deal.done', now.groups));
  open.value = false;
}
watch(open, (now) => {
  if (!now) return;
  failure.value = null;
  void members.whole();
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
      <ChoiceList
        :legend="t('setup.members.deal.balanced')"
        :choices="balances"
        :chosen="balance"
        @choose="chosenBalance = $event"
      />
      <ListValues
        v-if="open && balance === 'list'"
        v-model="values"
        :lead="t('setup.members.deal.listLead')"
        :column="t('setup.members.deal.listColumn')"
      />
      <p role="status">{{ says }}</p>
      <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    </div>
    <template #foot>
      <PushButton @click="open = false">{{ t('common.cancel') }}</PushButton>
      <PushButton
        weight="main"
        :disabled="sizes === null || isTooMany || isMissing || isUnderWay"
        @click="deal"
      >
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
