<script setup lang="ts">
/** Groupings side by side: who is where in each, who is nowhere, and whether learners choose by themselves. */
import { IconPlus } from '@tabler/icons-vue';
import { MAX_GROUPINGS, MAX_IN_GROUP, nextPlace, setTableEntry } from '@itinerary/core';
import type { GroupingPlan } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { newId } from '../../../stores/new-id.ts';
import { usePlan } from '../../../stores/plan.ts';
import DraftField from '../../../ui/fields/DraftField.vue';
import NumberField from '../../../ui/fields/NumberField.vue';
import CheckField from '../../../ui/fields/choice/CheckField.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import MomentForm from '../../outline/dialogs/MomentForm.vue';
import GroupBoard from './GroupBoard.vue';

const emit = defineEmits<{ said: [words: string] }>();
const { t } = useI18n();
const plan = usePlan();
const course = computed(() => plan.course!);
const groupings = computed(() => Object.entries(course.value.groupings).sort(([, a], [, b]) => a.at - b.at));
const hasClasses = computed(() => plan.groups.some(([, { kind }]) => kind === 'class'));
const ofNone = computed(() =>
  plan.groups.some(
    ([, { kind, grouping }]) => kind === 'group' && course.value.groupings[grouping ?? ''] === undefined,
  ),
);

const set = (id: string, next: GroupingPlan | null): void =>
  void plan.change([setTableEntry(course.value, 'groupings', id, next)]);
function add(): void {
  const name = t('setup.groupings.new', { number: groupings.value.length + 1 });
  set(newId(), { name, at: nextPlace(course.value.groupings), choice: null });
}
type Choice = NonNullable<GroupingPlan['choice']>;
const setChoice = (id: string, grouping: GroupingPlan, change: Partial<Choice>): void => {
  if (grouping.choice !== null) set(id, { ...grouping, choice: { ...grouping.choice, ...change } });
};
</script>

<template>
  <section id="field-groupings" class="groupings" aria-labelledby="groupings-title" tabindex="-1">
    <div class="head">
      <h2 id="groupings-title">{{ t('setup.groupings.title') }}</h2>
      <PushButton v-if="!plan.isReadonly && groupings.length < MAX_GROUPINGS" small @click="add">
        <IconPlus :size="15" aria-hidden="true" /> {{ t('setup.groupings.add') }}
      </PushButton>
    </div>
    <p v-if="groupings.length === 0 && !ofNone && !hasClasses" class="soft">
      {{ t('setup.groupings.none') }}
    </p>
    <details v-for="[id, grouping] in groupings" :key="id" class="grouping" open>
      <summary>{{ grouping.name }}</summary>
      <div class="settings">
        <DraftField
          class="name"
          :text="grouping.name"
          :keep-as="`${id} name`"
          :label="t('setup.groupings.name')"
          :readonly="plan.isReadonly"
          :wrong="(text) => (text === '' ? t('setup.about.titleMissing') : null)"
          :most="200"
          @type="set(id, { ...grouping, name: $event })"
        />
        <CheckField
          :checked="grouping.choice !== null"
          :disabled="plan.isReadonly"
          @toggle="set(id, { ...grouping, choice: $event ? { until: null, most: null, own: false } : null })"
        >
          {{ t('setup.groupings.choice') }}
        </CheckField>
        <PushButton v-if="!plan.isReadonly" small @click="set(id, null)">
          {{ t('setup.groupings.remove', { name: grouping.name }) }}
        </PushButton>
      </div>
      <div v-if="grouping.choice !== null" class="settings">
        <NumberField
          :label="t('setup.groupings.most')"
          :number="grouping.choice.most"
          :least="1"
          :most="MAX_IN_GROUP"
          :readonly="plan.isReadonly"
          @set="setChoice(id, grouping, { most: $event })"
        />
        <fieldset :disabled="plan.isReadonly">
          <legend>{{ t('setup.groupings.until') }}</legend>
          <MomentForm
            :id="`grouping-${id}`"
            field="until"
            of-course
            of-way
            :model-value="grouping.choice.until"
            @update:model-value="setChoice(id, grouping, { until: $event })"
          />
        </fieldset>
        <CheckField
          :checked="grouping.choice.own"
          :disabled="plan.isReadonly"
          @toggle="setChoice(id, grouping, { own: $event })"
        >
          {{ t('setup.groupings.own') }}
        </CheckField>
      </div>
      <GroupBoard
        :grouping="id"
        :name="grouping.name"
        :most="grouping.choice?.most ?? null"
        @said="emit('said', $event)"
      />
    </details>
    <details v-if="hasClasses" class="grouping">
      <summary>{{ t('setup.members.kinds.class') }}</summary>
      <GroupBoard
        :grouping="null"
        kind="class"
        :name="t('setup.members.kinds.class')"
        :most="null"
        @said="emit('said', $event)"
      />
    </details>
    <details v-if="ofNone" class="grouping">
      <summary>{{ t('setup.groupings.ofNone') }}</summary>
      <GroupBoard
        :grouping="null"
        :name="t('setup.groupings.ofNone')"
        :most="null"
        @said="emit('said', $event)"
      />
    </details>
  </section>
</template>

<style scoped>
.groupings {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}

.head,
.settings {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 16px;
  align-items: center;
}

.settings {
  margin: 10px 0;
  align-items: start;
}

h2 {
  margin-top: 12px;
  font-size: 17px;
}

.grouping {
  padding: 10px 14px;
  border: 1px solid var(--rule);
  border-top: 3px solid var(--route);
  background: var(--card);
}

summary {
  font-weight: 600;
}

.name {
  flex: 0 1 260px;
}

fieldset {
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  font-weight: 600;
}
</style>
