<script setup lang="ts">
/** As whom, joined when, in which groups, having done how much. */
import type { MembersAnswer } from '@itinerary/contract';
import { computed, onMounted, shallowRef } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../../api/client.ts';
import { useProblemSentence } from '../../words/problems.ts';
import { usePlan } from '../../stores/plan.ts';
import { useSeeing } from '../../stores/seeing.ts';
import type { SeenRole } from '../../stores/seeing.ts';
import DayField from '../../ui/fields/DayField.vue';
import CheckField from '../fields/CheckField.vue';
import { PROGRESS } from '../../stores/example-deeds.ts';
import type { Progress } from '../../stores/example-deeds.ts';
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
const groups = computed(() => plan.groups);

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
const value = (event: Event): string => (event.target as HTMLSelectElement).value;
</script>

<template>
  <section class="see-as" :aria-label="t('setup.seeing.title')">
    <label class="field">
      <span class="soft">{{ t('setup.seeing.title') }}</span>
      <select class="input" :value="chosen" @change="choose(value($event))">
        <option v-for="role in ROLES" :key="role" :value="`role ${role}`">
          {{ roleOfExample(role) }}
        </option>
        <optgroup v-if="learners.length > 0" :label="t('setup.seeing.onTheCourse')">
          <option v-for="one in learners" :key="one.person" :value="`person ${one.person}`">
            {{ one.name }}
          </option>
        </optgroup>
      </select>
    </label>
    <template v-if="seeing.role === 'learner' && seeing.person === null">
      <label class="field">
        <span class="soft">{{ t('setup.seeing.hasDone') }}</span>
        <select class="input" :value="seeing.progress" @change="seeing.progress = value($event) as Progress">
          <option v-for="one in PROGRESS" :key="one" :value="one">
            {{ t(`setup.seeing.progress.${one}`) }}
          </option>
        </select>
      </label>
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

.field {
  display: grid;
  gap: 2px;
  font-size: 12.5px;
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
