<script setup lang="ts">
/** A list of which one column counts: what it says of each learner here, and of whom it says nothing that can be taken. */
import { valuesOfList } from '@itinerary/core/people';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useMembers } from '../../../stores/members.ts';
import { usePlan } from '../../../stores/plan.ts';
import CheckField from '../../../ui/fields/choice/CheckField.vue';
import SelectField from '../../../ui/fields/choice/SelectField.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import ListStart from '../list/ListStart.vue';
import { lineWords } from '../list/list-lines.ts';
import { useList } from '../list/use-list.ts';
import { useRefusal } from '../list/use-refusal.ts';

defineProps<{ lead: string; column: string }>();
/** By person; null: there is no list, or it says nothing of anybody. */
const values = defineModel<ReadonlyMap<string, string> | null>({ required: true });
const { t } = useI18n();
const plan = usePlan();
const members = useMembers();
const list = useList(() => plan.course!.id);
const { source, held, there, step, isBroken } = list;
const refusal = useRefusal(held);
const takesNames = ref(true);

const NONE = -1;
const columns = computed(() =>
  (there.value?.reading.columns ?? []).map((_, at) => ({
    value: at,
    title:
      there.value?.reading.heading?.[at] ||
      there.value?.reading.samples[at]?.join(' · ') ||
      t('setup.members.list.column', { number: at + 1 }),
  })),
);
const counted = computed(
  () => there.value?.reading.columns.findIndex(({ column }) => column === 'group') ?? NONE,
);
const learners = computed(() => members.all.filter(({ role }) => role === 'learner').length);
const said = computed(() =>
  there.value === null || counted.value === NONE
    ? null
    : valuesOfList(there.value.reconciliation, learners.value),
);
const MOST_NAMED = 5;
const left = computed(() =>
  (['nobody', 'unclear'] as const).flatMap((kind) => {
    const rows = said.value?.[kind] ?? [];
    if (rows.length === 0) return [];
    const named = rows
      .slice(0, MOST_NAMED)
      .map((row) => t('setup.groupings.list.row', { line: row.line, name: lineWords(row) }));
    const more = rows.length - named.length;
    const names = [...named, ...(more > 0 ? [t('setup.groupings.more', more)] : [])].join(', ');
    return [t(`setup.groupings.list.${kind}`, { names, count: rows.length }, rows.length)];
  }),
);
watch(
  [said, takesNames, step],
  ([now, names, doing]) => {
    const all = new Map([...(now?.values ?? []), ...(names ? (now?.byName ?? []) : [])]);
    values.value = doing !== null || all.size === 0 ? null : all;
  },
  { immediate: true },
);
</script>

<template>
  <ListStart v-if="source === null" :lead="lead" @come="list.begin" />
  <template v-else>
    <p v-if="step !== null" role="status">{{ t(`setup.members.list.steps.${step}`) }}</p>
    <p v-if="isBroken" class="failure" role="alert">{{ t('setup.members.list.broken') }}</p>
    <p v-if="refusal" class="failure" role="alert">{{ refusal }}</p>
    <template v-if="there !== null">
      <p v-if="columns.length === 0" class="failure" role="alert">{{ t('setup.groupings.list.noColumn') }}</p>
      <SelectField
        v-else
        :label="column"
        :value="counted"
        :options="[...(counted === NONE ? [{ value: NONE, title: '–', disabled: true }] : []), ...columns]"
        @choose="list.chooseColumn($event, 'group')"
      />
      <CheckField
        v-if="columns.length > 0"
        :checked="there.reading.heading !== null"
        @toggle="list.setHeading($event)"
      >
        {{ t('setup.members.list.hasHeading') }}
      </CheckField>
      <template v-if="said !== null">
        <CheckField v-if="said.byName.size > 0" :checked="takesNames" @toggle="takesNames = $event">
          {{ t('setup.groupings.list.byName', said.byName.size) }}
        </CheckField>
        <ul v-if="left.length > 0 || said.unsaid > 0" class="left">
          <li v-for="words in left" :key="words">{{ words }}</li>
          <li v-if="said.unsaid > 0">{{ t('setup.groupings.list.unsaid', said.unsaid) }}</li>
        </ul>
      </template>
    </template>
    <p>
      <PushButton small @click="list.forget">{{ t('setup.groupings.list.other') }}</PushButton>
    </p>
  </template>
</template>

<style scoped>
.left {
  margin: 0;
  padding-inline-start: 18px;
}

.left li {
  overflow-wrap: anywhere;
}

.failure {
  color: var(--blocker);
}
</style>
