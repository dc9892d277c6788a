<script setup lang="ts">
/** What is done to those who are chosen. Whoever goes keeps everything, which is said before. */
import { IconCopy, IconUserMinus, IconX } from '@tabler/icons-vue';
import type { Role } from '@itinerary/core';
import { ROLES } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useMembers } from '../../../stores/members.ts';
import { usePlan } from '../../../stores/plan.ts';
import { roleWord } from '../../../words/own-words.ts';
import SelectField from '../../../ui/fields/choice/SelectField.vue';
import DialogBox from '../../../ui/frame/DialogBox.vue';
import IconButton from '../../../ui/frame/IconButton.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import { keepsInstructor } from '../member-rows.ts';
import { useAttempt } from '../../../words/use-attempt.ts';
import { useCopied } from '../use-copied.ts';

const props = defineProps<{ chosen: readonly string[] }>();
const emit = defineEmits<{ clear: []; said: [words: string] }>();
const { t } = useI18n();
const plan = usePlan();
const members = useMembers();
const { failure, isUnderWay, attempt } = useAttempt();
const copied = useCopied(failure);
const isRemoving = ref(false);

const picked = computed(() => {
  const wanted = new Set(props.chosen);
  return members.all.filter(({ person }) => wanted.has(person));
});
/** Without them nobody would be left to lead the course. */
const isLast = computed(() => !keepsInstructor(members.all, new Set(props.chosen)));
const addresses = computed(() => picked.value.flatMap(({ address }) => address ?? []));
const learners = computed(() =>
  picked.value.filter(({ role }) => role === 'learner').map(({ person }) => person),
);

const roles = computed(() => [
  { value: null, title: t('setup.members.giveRole') },
  ...ROLES.map((value) => ({
    value,
    title: roleWord(value, plan.course?.roleNames ?? {}, t),
    disabled: isLast.value && value !== 'instructor',
  })),
]);
const intoGroups = computed(() => [
  { value: null, title: t('setup.members.intoGroup') },
  ...plan.groups.map(([value, { name }]) => ({ value, title: name })),
]);
const outOfGroups = computed(() => [
  { value: null, title: t('setup.members.outOfGroup') },
  ...plan.groups
    .filter(([id]) => picked.value.some(({ groups }) => groups.includes(id)))
    .map(([value, { name }]) => ({ value, title: name })),
]);
const groupName = (id: string): string => plan.course?.groups[id]?.name ?? '';

async function done(work: () => Promise<void>, words: string): Promise<void> {
  if (await attempt(work)) emit('said', words);
}
const giveRole = (role: Role | null): void => {
  if (role === null) return;
  const words = t(
    'setup.members.gaveRole',
    { role: roleWord(role, plan.course?.roleNames ?? {}, t) },
    props.chosen.length,
  );
  void done(() => members.edit({ act: 'role', people: [...props.chosen], role }), words);
};
const put = (group: string | null, into: boolean): void => {
  if (group === null) return;
  const people = into ? learners.value : [...props.chosen];
  const edit = { group, add: into ? people : [], leave: into ? [] : people };
  const words = t(
    `setup.members.${into ? 'wentInto' : 'wentOut'}`,
    { group: groupName(group) },
    people.length,
  );
  void done(() => members.edit({ act: 'groups', groups: [edit] }), words);
};
async function remove(): Promise<void> {
  const count = props.chosen.length;
  const isGone = await attempt(() => members.edit({ act: 'remove', people: [...props.chosen] }));
  isRemoving.value = false;
  if (!isGone) return;
  emit('clear');
  emit('said', t('setup.members.removed', count));
}
async function copy(): Promise<void> {
  const words = t('setup.members.copied', addresses.value.length);
  if (await copied(addresses.value.join(', '))) emit('said', words);
}
</script>

<template>
  <section class="chosen" :aria-label="t('setup.members.chosen', chosen.length)">
    <p class="figures">{{ t('setup.members.chosen', chosen.length) }}</p>
    <SelectField
      bare
      small
      :label="t('setup.members.giveRole')"
      :value="null"
      :options="roles"
      :disabled="isUnderWay"
      @choose="giveRole"
    />
    <template v-if="plan.groups.length > 0">
      <SelectField
        bare
        small
        :label="t('setup.members.intoGroup')"
        :value="null"
        :options="intoGroups"
        :disabled="isUnderWay || learners.length === 0"
        @choose="put($event, true)"
      />
      <SelectField
        bare
        small
        :label="t('setup.members.outOfGroup')"
        :value="null"
        :options="outOfGroups"
        :disabled="isUnderWay || outOfGroups.length === 1"
        @choose="put($event, false)"
      />
    </template>
    <PushButton small :disabled="addresses.length === 0" @click="copy">
      <IconCopy :size="16" aria-hidden="true" /> {{ t('setup.members.copy', addresses.length) }}
    </PushButton>
    <PushButton small :disabled="isLast || isUnderWay" @click="isRemoving = true">
      <IconUserMinus :size="16" aria-hidden="true" /> {{ t('setup.members.remove') }}
    </PushButton>
    <IconButton :icon="IconX" :label="t('setup.members.chooseNone')" @click="emit('clear')" />
    <p v-if="isLast" class="soft wide">{{ t('setup.members.lastInstructor') }}</p>
    <p v-if="failure" class="failure wide" role="alert">{{ failure }}</p>
    <DialogBox v-model="isRemoving" :title="t('setup.members.removeTitle', chosen.length)">
      <p>{{ t('setup.members.removeText') }}</p>
      <ul class="names">
        <li v-for="{ person, name } in picked.slice(0, 12)" :key="person">{{ name }}</li>
        <li v-if="picked.length > 12">{{ t('setup.members.andMore', picked.length - 12) }}</li>
      </ul>
      <template #foot>
        <PushButton @click="isRemoving = false">{{ t('common.cancel') }}</PushButton>
        <PushButton weight="main" :disabled="isUnderWay" @click="remove">
          {{ t('setup.members.removeThem', chosen.length) }}
        </PushButton>
      </template>
    </DialogBox>
  </section>
</template>

<style scoped>
.chosen {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  padding: 6px 12px;
  border-inline-start: 4px solid var(--bottle);
  background: var(--bottle-pale);
}

.chosen > p:first-child {
  font-weight: 600;
}

.wide {
  flex: 1 0 100%;
}

.failure {
  color: var(--blocker);
}

.names {
  columns: 2;
  margin-top: 8px;
}
</style>
