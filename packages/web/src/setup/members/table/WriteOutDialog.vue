<script setup lang="ts">
/** Members as a CSV: the columns that somebody wants, in their order, and one that is put together. */
import type { RosterAnswer } from '@itinerary/contract';
import { composed, unknownIn, writeList, WRITTEN_FIELDS } from '@itinerary/core/people';
import type { RosterMember, WrittenField } from '@itinerary/core/people';
import { computed, ref, shallowRef, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../../../api/client.ts';
import { usePlan } from '../../../stores/plan.ts';
import CheckField from '../../../ui/fields/choice/CheckField.vue';
import DraftField from '../../../ui/fields/DraftField.vue';
import DialogBox from '../../../ui/frame/DialogBox.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import MoveButtons from '../../fields/MoveButtons.vue';
import { useAttempt } from '../../../words/use-attempt.ts';

/** Whom it is of; nobody chosen: everybody on the course. */
const props = defineProps<{ chosen: readonly string[] }>();
const open = defineModel<boolean>({ required: true });
const { t } = useI18n();
const plan = usePlan();
const { failure, attempt } = useAttempt();
const roster = shallowRef<RosterAnswer['members']>([]);

const USUAL: readonly WrittenField[] = ['id', 'name', 'address', 'class', 'role'];
const order = ref<WrittenField[]>([...USUAL, ...WRITTEN_FIELDS.filter((field) => !USUAL.includes(field))]);
const wanted = ref(new Set<WrittenField>(USUAL));
const pattern = ref('');

const rows = computed((): readonly RosterMember[] => {
  const only = new Set(props.chosen);
  return (roster.value as readonly RosterMember[]).filter(
    ({ key, state }) => state === 'in' && (only.size === 0 || only.has(key)),
  );
});
const nameOf = (field: WrittenField): string => t(`setup.members.list.columns.${field}`);
const columns = computed(() => [
  ...order.value
    .filter((field) => wanted.value.has(field))
    .map((field) => ({ heading: nameOf(field), pattern: `{${field}}` })),
  ...(pattern.value === '' ? [] : [{ heading: t('setup.members.out.composed'), pattern: pattern.value }]),
]);
const wrongOf = (typed: string): string | null => {
  const [unknown] = unknownIn(typed);
  return unknown === undefined
    ? null
    : t('setup.members.out.unknown', {
        field: `{${unknown}}`,
        fields: WRITTEN_FIELDS.map((field) => `{${field}}`).join(' '),
      });
};
const example = computed(() => {
  const [first] = rows.value;
  return pattern.value === '' || first === undefined ? '' : composed(pattern.value, first);
});

function toggle(field: WrittenField): void {
  const next = new Set(wanted.value);
  if (!next.delete(field)) next.add(field);
  wanted.value = next;
}
function move(at: number, by: -1 | 1): void {
  const next = [...order.value];
  const [field] = next.splice(at, 1);
  if (field !== undefined) next.splice(at + by, 0, field);
  order.value = next;
}
function write(): void {
  const text = writeList(columns.value, rows.value);
  // With a mark, spreadsheets read its letters as they are.
  const url = URL.createObjectURL(new Blob(['\ufeff', text], { type: 'text/csv;charset=utf-8' }));
  const link = document.createElement('a');
  link.href = url;
  link.download = `${plan.course?.code ?? 'course'}-${t('setup.members.out.file')}.csv`;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
  open.value = false;
}

watch(open, (now) => {
  if (!now) return;
  void attempt(async () => {
    const { members } = await ask('GET /api/courses/{course}/roster', {
      params: { course: plan.course!.id },
    });
    roster.value = members;
  });
});
</script>

<template>
  <DialogBox v-model="open" :title="t('setup.members.writeOut')">
    <p class="soft">{{ t('setup.members.out.lead', rows.length) }}</p>
    <ul class="fields">
      <li v-for="(field, at) in order" :key="field">
        <CheckField :checked="wanted.has(field)" @toggle="toggle(field)">{{ nameOf(field) }}</CheckField>
        <span>
          <MoveButtons
            :name="nameOf(field)"
            :is-first="at === 0"
            :is-last="at === order.length - 1"
            @move="move(at, $event)"
          />
        </span>
      </li>
    </ul>
    <DraftField
      :text="pattern"
      :label="t('setup.members.out.composed')"
      :wrong="wrongOf"
      :most="200"
      @type="pattern = $event"
    />
    <p class="soft">
      {{
        example === ''
          ? t('setup.members.out.like', { pattern: '{given} {family} ({userName})' })
          : t('setup.members.out.example', { example })
      }}
    </p>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <template #foot>
      <PushButton @click="open = false">{{ t('common.cancel') }}</PushButton>
      <PushButton weight="main" :disabled="columns.length === 0 || rows.length === 0" @click="write">
        {{ t('setup.members.out.write', rows.length) }}
      </PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
.fields {
  margin: 8px 0 12px;
  padding: 0;
  border-top: 1px solid var(--rule);
  list-style: none;
}

.fields li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  border-bottom: 1px solid var(--rule);
}

.failure {
  color: var(--blocker);
}
</style>
