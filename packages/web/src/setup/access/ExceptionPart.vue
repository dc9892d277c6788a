<script setup lang="ts">
/** Other moments for a class, a group or a person: all in one place. */
import { IconPlus, IconX } from '@tabler/icons-vue';
import type { MembersAnswer, OwnMomentsAnswer } from '@itinerary/contract';
import { allLivingItems, findNode, livingSections, MAX_FACTOR, momentsOf, ownPlan } from '@itinerary/core';
import type { Exception, FieldValue, PlannedMoment, Viewer } from '@itinerary/core';
import { computed, onMounted, ref, shallowRef } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../../api/client.ts';
import { useProblemSentence } from '../../words/problems.ts';
import { momentWords } from '../../words/moment-words.ts';
import { newId } from '../../stores/new-id.ts';
import PlainTable from '../../ui/frame/PlainTable.vue';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import DialogBox from '../../ui/frame/DialogBox.vue';
import IconButton from '../../ui/frame/IconButton.vue';
import { NOTHING_CHOSEN } from '../../ui/fields/choice/select-option.ts';
import PersonField from '../../ui/fields/choice/PersonField.vue';
import type { Choosable } from '../../ui/fields/choice/PersonField.vue';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import NumberField from '../../ui/fields/NumberField.vue';
import { formatNumber } from '../../words/intl.ts';
import MomentForm from '../outline/dialogs/MomentForm.vue';
import { useWhyWords } from './why-words.ts';
import PushButton from '../../ui/frame/PushButton.vue';

defineProps<{ readonly: boolean }>();
const { t, locale } = useI18n();
const plan = usePlan();
const session = useSession();
const sentence = useProblemSentence();
const words = useWhyWords();
const course = computed(() => plan.course!);

const members = shallowRef<MembersAnswer['members']>([]);
const persons = shallowRef<OwnMomentsAnswer['exceptions']>([]);
const failure = ref<string | null>(null);

async function attempt(work: () => Promise<void>): Promise<boolean> {
  failure.value = null;
  try {
    await work();
    return true;
  } catch (error) {
    failure.value = sentence(error);
    return false;
  }
}
onMounted(() =>
  attempt(async () => {
    const { members: all } = await ask('GET /api/courses/{course}/members', {
      params: { course: course.value.id },
    });
    members.value = all.filter(({ role }) => role === 'learner');
    const own = await ask('GET /api/courses/{course}/exceptions', { params: { course: course.value.id } });
    persons.value = own.exceptions;
  }),
);

const MOMENTS = ['opens', 'due', 'until'] as const;
/** A moment, or more time in a quiz. */
const FIELDS = [...MOMENTS, 'factor'] as const;
type Field = (typeof FIELDS)[number];
interface Line {
  readonly id: string;
  readonly of: 'group' | 'person';
  readonly who: string;
  readonly node: string;
  readonly moments: readonly { readonly field: Field; readonly words: string }[];
}

/** What the moments come to for exactly them. */
function momentsFor(viewer: Viewer, node: string, one: Pick<Exception, Field>): Line['moments'] {
  const times = one.factor ?? null;
  const own = ownPlan(course.value, viewer, Date.parse(session.now()));
  const resolved = momentsOf(own, node);
  const moments = MOMENTS.filter((field) => one[field] !== null).map((field) => {
    const at = resolved[field];
    const known =
      at?.kind === 'at' ? momentWords(at, locale.value, session.today) : t('setup.access.exceptions.undated');
    return { field, words: known };
  });
  const more = t('setup.access.exceptions.times', { times: formatNumber(times ?? 1, locale.value) });
  return times === null ? moments : [...moments, { field: 'factor', words: more }];
}
const learner = { role: 'learner' as const, institutionStaff: false };
const lines = computed<readonly Line[]>(() => [
  ...Object.entries(course.value.exceptions).map(([id, one]): Line => ({
    id,
    of: 'group',
    who: course.value.groups[one.for]?.name ?? t('setup.access.exceptions.goneGroup'),
    node: one.node,
    moments: momentsFor({ ...learner, groups: [one.for] }, one.node, one),
  })),
  ...persons.value.map((one): Line => ({
    id: one.id,
    of: 'person',
    who: one.name,
    node: one.node,
    moments: momentsFor({ ...learner, exceptions: [one] }, one.node, one),
  })),
]);

async function remove(line: Line): Promise<void> {
  if (line.of === 'group') {
    const was = (course.value.exceptions[line.id] ?? null) as FieldValue;
    plan.set(course.value.id, `exceptions.${line.id}`, null, was);
    return;
  }
  await attempt(async () => {
    const answer = await ask('DELETE /api/courses/{course}/exceptions/{exception}', {
      params: { course: course.value.id, exception: line.id },
    });
    persons.value = answer.exceptions;
  });
}

const isAdding = ref(false);
const who = ref<string | null>(null);
const node = ref('');
const field = ref<Field>('due');
const moment = ref<PlannedMoment | null>(null);
const factor = ref<number | null>(null);
/** There is something to be set. */
const isWhole = computed(() => (field.value === 'factor' ? factor.value !== null : moment.value !== null));

const nodes = computed(() => [
  NOTHING_CHOSEN,
  ...livingSections(course.value)
    .flatMap((section) => [section, ...allLivingItems(section)])
    .filter((one) => field.value !== 'due' || 'due' in one)
    .filter((one) => field.value !== 'factor' || one.kind === 'quiz')
    .map(({ id }) => ({ value: id, title: words.named(id) })),
]);
const everybody = computed((): readonly Choosable[] => [
  ...Object.entries(course.value.groups).map(([id, { name }]) => ({ id: `group ${id}`, name })),
  ...members.value.map(({ person, name }) => ({ id: `person ${person}`, name })),
]);
function begin(): void {
  who.value = null;
  node.value = '';
  field.value = 'due';
  moment.value = null;
  factor.value = null;
  failure.value = null;
  isAdding.value = true;
}
/** It begins with the moment that everybody has. */
function chosenNode(id: string): void {
  node.value = id;
  const found = findNode(course.value, id)?.node;
  const own = found === undefined ? null : field.value === 'until' ? (found.rule?.until ?? null) : null;
  const due = found !== undefined && 'due' in found ? found.due : null;
  moment.value = field.value === 'due' ? due : field.value === 'opens' ? (found?.opens ?? null) : own;
}

async function save(): Promise<void> {
  const [kind, id = ''] = (who.value ?? '').split(' ');
  if (!isWhole.value || node.value === '' || id === '') return;
  const empty = { opens: null, due: null, until: null, factor: null };
  const asked = { [field.value]: field.value === 'factor' ? factor.value : moment.value };
  if (kind === 'group') {
    const same = Object.entries(course.value.exceptions).find(
      ([, one]) => one.for === id && one.node === node.value,
    );
    const before = same?.[1] ?? { for: id, node: node.value, ...empty };
    const next = { ...before, ...asked, at: Date.parse(session.now()) };
    const was = (same?.[1] ?? null) as FieldValue;
    plan.set(course.value.id, `exceptions.${same?.[0] ?? newId()}`, next as FieldValue, was);
    isAdding.value = false;
    return;
  }
  const same = persons.value.find((one) => one.person === id && one.node === node.value);
  const before = same ?? empty;
  const body = {
    person: id,
    node: node.value,
    opens: before.opens,
    due: before.due,
    until: before.until,
    factor: before.factor ?? null,
    ...asked,
  };
  // The node may be new: the server has to have it first.
  await plan.flush();
  isAdding.value = !(await attempt(async () => {
    const answer = await ask('PUT /api/courses/{course}/exceptions/{exception}', {
      params: { course: course.value.id, exception: same?.id ?? newId() },
      body,
    });
    persons.value = answer.exceptions;
  }));
}
</script>

<template>
  <section id="field-exceptions" class="part" aria-labelledby="access-exceptions" tabindex="-1">
    <h2 id="access-exceptions">{{ t('setup.access.parts.exceptions') }}</h2>
    <p class="soft">{{ t('setup.access.exceptions.text') }}</p>
    <PlainTable
      v-if="lines.length > 0"
      :columns="[
        { title: t('setup.access.exceptions.who') },
        { title: t('setup.access.exceptions.what') },
        { title: t('setup.access.exceptions.when') },
        null,
      ]"
    >
      <tr v-for="line in lines" :key="line.id">
        <th scope="row">{{ line.who }}</th>
        <td>{{ words.named(line.node) }}</td>
        <td>
          <span v-for="one in line.moments" :key="one.field" class="when">
            {{ t(`setup.access.exceptions.fields.${one.field}`) }}
            <span class="figures">{{ one.words }}</span>
          </span>
        </td>
        <td>
          <IconButton
            v-if="!readonly"
            :icon="IconX"
            :label="t('setup.access.exceptions.remove', { name: line.who, title: words.named(line.node) })"
            @click="remove(line)"
          />
        </td>
      </tr>
    </PlainTable>
    <PushButton v-if="!readonly" small @click="begin">
      <IconPlus :size="15" aria-hidden="true" /> {{ t('setup.access.exceptions.add') }}
    </PushButton>
    <p v-if="failure && !isAdding" class="failure" role="alert">{{ failure }}</p>
    <DialogBox v-model="isAdding" :title="t('setup.access.exceptions.add')" :width="620">
      <div class="fields">
        <PersonField
          :label="t('setup.access.exceptions.who')"
          :person="who"
          :people="everybody"
          @choose="who = $event"
        />
        <SelectField
          :label="t('setup.access.exceptions.field')"
          :value="field"
          :options="FIELDS.map((value) => ({ value, title: t(`setup.access.exceptions.fields.${value}`) }))"
          @choose="
            field = $event;
            chosenNode('');
          "
        />
        <SelectField
          class="wide"
          :label="t('setup.access.exceptions.what')"
          :value="node"
          :options="nodes"
          @choose="chosenNode"
        />
      </div>
      <NumberField
        v-if="field === 'factor'"
        :label="t('setup.access.exceptions.factor')"
        :number="factor"
        :least="1"
        :most="MAX_FACTOR"
        fractions
        @set="factor = $event"
      />
      <MomentForm v-else-if="node" :id="node" v-model="moment" :field="field" />
      <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
      <template #foot>
        <PushButton @click="isAdding = false">{{ t('common.cancel') }}</PushButton>
        <PushButton weight="main" :disabled="who === null || node === '' || !isWhole" @click="save">
          {{ t('setup.moment.set') }}
        </PushButton>
      </template>
    </DialogBox>
  </section>
</template>

<style scoped>
.part {
  display: grid;
  gap: 10px;
  justify-items: start;
}

h2 {
  font-size: 17px;
}

.when {
  display: block;
}

.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
  margin-bottom: 12px;
}

.wide {
  grid-column: 1 / -1;
}

.failure {
  color: var(--blocker);
}
</style>
