<script setup lang="ts">
/** Who gets a section or item, when, and what counts as done: all that decides about it besides its words. */
import { IconHandStop } from '@tabler/icons-vue';
import { heldAt, holdEdit, isContent, momentsOf, resolveAccess, stateAt, waitsOf } from '@itinerary/core';
import type { ChangedBy, CourseNode, FieldValue, GroupWork } from '@itinerary/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { openingSentence } from '../../../learner/words/opening-words.ts';
import { usePlan } from '../../../stores/plan.ts';
import { useSession } from '../../../stores/session.ts';
import SelectField from '../../../ui/fields/choice/SelectField.vue';
import CheckField from '../../../ui/fields/choice/CheckField.vue';
import HeldNote from '../../held/HeldNote.vue';
import DoneField from '../../progress/DoneField.vue';
import RuleDialog from '../../rules/RuleDialog.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import BareButton from '../../../ui/frame/BareButton.vue';

const props = defineProps<{ node: CourseNode; readonly: boolean }>();
const { t, locale } = useI18n();
const plan = usePlan();
const session = useSession();
const isWriting = ref(false);
watch(
  () => props.node.id,
  () => (isWriting.value = false),
);

const read = (field: string): FieldValue =>
  (props.node as unknown as Record<string, FieldValue>)[field] ?? null;
const set = (field: string, value: FieldValue): void => {
  plan.set(props.node.id, field, value, read(field));
};
const has = (field: string): boolean => field in props.node;
const groups = computed(() => plan.groups);

/** All names are known to whoever writes the rule. */
const sentence = computed(() => {
  const { course, planned } = plan;
  if (course === null || planned === null) return '';
  const now = session.now();
  const staff = { role: 'instructor' as const, institutionStaff: false };
  const access = resolveAccess(course, staff, now, planned);
  const viewer = { role: 'learner' as const, institutionStaff: false };
  const reader = { plan: planned, access, viewer, at: Date.parse(now) };
  const view = waitsOf(props.node, momentsOf(planned, props.node.id), reader);
  const say = { t, locale: locale.value, today: session.today };
  return view === null ? t('setup.rules_editor.atOnce') : openingSentence(view, say);
});

const asCourse = computed(() => ({ value: null, title: t('setup.gates.asCourse') }));
const MODES: readonly GroupWork[] = ['none', 'apart', 'beside'];
const CHANGED_BY: readonly ChangedBy[] = ['staff', 'learners'];
// The same list is the same array: a list to choose from is not drawn anew for the next node.
const closedOptions = computed(() => [
  asCourse.value,
  { value: 'name' as const, title: t('setup.gates.name') },
  { value: 'leave_out' as const, title: t('setup.gates.leaveOut') },
]);
const groupOptions = computed(() => [
  asCourse.value,
  ...MODES.map((value) => ({ value, title: t(`setup.gates.modes.${value}`) })),
]);
const changedByOptions = computed(() => [
  asCourse.value,
  ...CHANGED_BY.map((value) => ({ value, title: t(`setup.access.changedBy.${value}`) })),
]);

function audience(id: string, isIn: boolean): void {
  const now = props.node.audience;
  set('audience', isIn ? [...now, id] : now.filter((one) => one !== id));
}
const isLive = computed(
  () => plan.course !== null && stateAt(plan.course, Date.parse(session.now())) === 'live',
);
const moment = (): number => Date.parse(session.now());
const isHeld = computed(() => plan.course !== null && heldAt(plan.course, moment()).includes(props.node.id));
function hold(): void {
  if (plan.course !== null) plan.change([holdEdit(plan.course, props.node.id, moment())]);
}
</script>

<template>
  <section class="gates" :aria-label="t('setup.gates.title')">
    <h3>{{ t('setup.gates.title') }}</h3>
    <BareButton class="sentence" :disabled="readonly" @click="isWriting = true">
      <span>{{ sentence }}</span>
      <span class="soft">{{ t('setup.gates.write') }}</span>
    </BareButton>
    <CheckField
      v-if="node.kind === 'section'"
      :checked="node.inOrder"
      :disabled="readonly"
      @toggle="set('inOrder', $event)"
    >
      {{ t('setup.gates.inOrder') }}
    </CheckField>
    <div class="pair">
      <DoneField
        v-if="isContent(node)"
        :item="node"
        :readonly="readonly"
        @set="set('done', $event as FieldValue)"
      />
      <SelectField
        :label="t('setup.gates.closed')"
        :value="node.closed"
        :options="closedOptions"
        :disabled="readonly"
        @choose="set('closed', $event)"
      />
      <SelectField
        v-if="isContent(node)"
        :label="t('setup.gates.groupWork')"
        :value="node.groupWork"
        :options="groupOptions"
        :disabled="readonly"
        @choose="set('groupWork', $event)"
      />
      <SelectField
        v-if="'changedBy' in node"
        :label="t('setup.access.changedBy.title')"
        :value="node.changedBy"
        :options="changedByOptions"
        :disabled="readonly"
        @choose="set('changedBy', $event)"
      />
    </div>
    <div class="checks">
      <CheckField :checked="node.staffOnly" :disabled="readonly" @toggle="set('staffOnly', $event)">
        {{ t('setup.gates.staffOnly') }}
      </CheckField>
      <CheckField
        v-if="has('listed')"
        :checked="read('listed') === false"
        :disabled="readonly"
        @toggle="set('listed', !$event)"
      >
        {{ t('setup.gates.unlisted') }}
      </CheckField>
      <CheckField
        v-if="has('sample')"
        :checked="read('sample') === true"
        :disabled="readonly"
        @toggle="set('sample', $event)"
      >
        {{ t('setup.gates.sample') }}
      </CheckField>
    </div>
    <fieldset v-if="groups.length > 0">
      <legend class="soft">{{ t('setup.gates.audience') }}</legend>
      <CheckField
        v-for="[id, group] in groups"
        :key="id"
        :checked="node.audience.includes(id)"
        :disabled="readonly"
        @toggle="audience(id, $event)"
      >
        {{ group.name }}
      </CheckField>
      <span v-if="node.audience.length === 0" class="soft">{{ t('setup.gates.everybody') }}</span>
    </fieldset>
    <HeldNote v-if="isHeld" :key="node.id" :node="node" :readonly="readonly" />
    <PushButton v-else-if="isLive && !readonly" small @click="hold">
      <IconHandStop :size="16" aria-hidden="true" /> {{ t('setup.held.hold') }}
    </PushButton>
    <RuleDialog
      :target="isWriting ? node.id : null"
      @close="isWriting = false"
      @set="(edits) => (plan.change(edits), (isWriting = false))"
    />
  </section>
</template>

<style scoped>
.gates {
  display: grid;
  gap: 10px;
  padding-top: 12px;
  border-top: 3px solid var(--route);
}

h3 {
  font-size: 15px;
}

.sentence {
  display: grid;
  gap: 2px;
  padding: 6px 10px;
  border: 1px solid var(--field-rule);
  border-radius: 6px;
  background: var(--card);
  color: var(--ink);
  text-align: start;
  cursor: pointer;
}

.sentence .soft {
  font-size: 12.5px;
}

.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 8px;
}

.checks {
  display: grid;
}

fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  align-items: center;
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  padding: 0;
  font-size: 12.5px;
}
</style>
