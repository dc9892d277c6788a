<script setup lang="ts">
/** As whom, joined when, in which groups, having done how much. */
import type { MembersAnswer } from '@itinerary/contract';
import { computed, onMounted, shallowRef } from 'vue';
import { useI18n } from 'vue-i18n';
import { countedItems, numberOf } from '@itinerary/core';
import { ask } from '../../api/client.ts';
import { useProblemSentence } from '../../words/problems.ts';
import { usePlan } from '../../stores/plan.ts';
import { HAS_DONE, useSeeing } from '../../stores/seeing.ts';
import type { SeenRole } from '../../stores/seeing.ts';
import DayField from '../../ui/fields/when/DayField.vue';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import CheckField from '../../ui/fields/choice/CheckField.vue';
import SeveralField from '../../ui/fields/choice/SeveralField.vue';
import { useRoleOfExample } from './use-who.ts';

const roleOfExample = useRoleOfExample();
const { t } = useI18n();
const plan = usePlan();
const seeing = useSeeing();
const sentence = useProblemSentence();
const learners = shallowRef<MembersAnswer['members']>([]);
const failure = shallowRef<string | null>(null);

const ROLES: readonly SeenRole[] = ['learner', 'visitor', 'assistant', 'passer_by'];
const chosen = computed(() =>
  seeing.person === null ? `role ${seeing.role}` : `person ${seeing.person.id}`,
);
const everybody = computed(() => [
  ...ROLES.map((role) => ({ value: `role ${role}`, title: roleOfExample(role) })),
  ...learners.value.map(({ person, name }) => ({
    value: `person ${person}`,
    title: name,
    group: t('setup.seeing.onTheCourse'),
  })),
]);
const groups = computed(() => plan.groups);
const counted = computed(() =>
  (plan.course === null ? [] : countedItems(plan.course)).map(([{ id, title }]) => {
    const number = plan.planned === null ? null : numberOf(plan.planned, id);
    return { value: id, title: [number, title].filter(Boolean).join(' ') };
  }),
);

onMounted(async () => {
  try {
    const answer = await ask('GET /api/courses/{course}/members', {
      params: { course: plan.course?.id ?? '' },
    });
    learners.value = answer.members.filter(({ role }) => role === 'learner');
  } catch (error) {
    failure.value = sentence(error);
  }
});

async function choose(value: string): Promise<void> {
  const [kind, id = ''] = value.split(' ');
  failure.value = null;
  if (kind === 'role') seeing.chooseExample(id as SeenRole);
  else {
    await seeing.choosePerson(plan.course?.id ?? '', id).catch((error: unknown) => {
      failure.value = sentence(error);
    });
  }
}

function toggle(id: string, isIn: boolean): void {
  seeing.groups = isIn ? [...seeing.groups, id] : seeing.groups.filter((one) => one !== id);
}
</script>

<template>
  <section class="see-as" :aria-label="t('setup.seeing.title')">
    <SelectField :label="t('setup.seeing.title')" :value="chosen" :options="everybody" @choose="choose" />
    <template v-if="seeing.role === 'learner' && seeing.person === null">
      <SelectField
        :label="t('setup.seeing.hasDone')"
        :value="seeing.hasDone"
        :options="HAS_DONE.map((value) => ({ value, title: t(`setup.seeing.progress.${value}`) }))"
        @choose="seeing.hasDone = $event"
      />
      <SeveralField
        v-if="seeing.hasDone === 'chosen'"
        :label="t('setup.seeing.doneItems')"
        :values="seeing.doneItems"
        :options="counted"
        chips
        @choose="seeing.doneItems = $event"
      />
      <DayField
        name="seen-joined"
        :day="seeing.joined"
        :label="t('setup.seeing.joined')"
        @day="seeing.joined = $event"
      />
      <fieldset v-if="groups.length > 0">
        <legend class="soft">{{ t('setup.seeing.groups') }}</legend>
        <CheckField
          v-for="[id, group] in groups"
          :key="id"
          :checked="seeing.groups.includes(id)"
          :disabled="false"
          @toggle="toggle(id, $event)"
        >
          {{ group.name }}
        </CheckField>
      </fieldset>
    </template>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <p class="soft note">{{ t('setup.seeing.note') }}</p>
  </section>
</template>

<style scoped>
.see-as {
  display: grid;
  gap: 8px;
  margin-bottom: 8px;
  padding: 10px 12px;
  border-top: 3px solid var(--route);
  background: var(--card);
}

fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  padding: 0;
  font-size: 12.5px;
}

.note {
  font-size: 12.5px;
}

.failure {
  color: var(--blocker);
}
</style>
