<script setup lang="ts">
/** Every row as it is read, and what happens by it; a row can be left out. */
import type { EntryChoice, ListReading } from '@itinerary/core/people';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import BareButton from '../../../ui/frame/BareButton.vue';
import LongTable from '../../../ui/frame/LongTable.vue';
import type { LongColumn } from '../../../ui/frame/LongTable.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import { HAPPENINGS } from './list-lines.ts';
import type { Happening, ListLine } from './list-lines.ts';

const props = defineProps<{
  lines: readonly ListLine[];
  counts: Readonly<Record<Happening, number>>;
  leftOut: ListReading['leftOut'];
}>();
const emit = defineEmits<{ answer: [given: readonly (readonly [string, EntryChoice | null])[]] }>();
const { t } = useI18n();
const only = ref<Happening | 'doubted' | null>(null);

const doubted = computed(() => props.lines.filter(({ doubts }) => doubts.length > 0).length);
const shown = computed(() => {
  if (only.value === null) return props.lines;
  if (only.value === 'doubted') return props.lines.filter(({ doubts }) => doubts.length > 0);
  return props.lines.filter(({ happens }) => happens === only.value);
});
const kinds = computed(() => HAPPENINGS.filter((kind) => props.counts[kind] > 0));
type Words = 'id' | 'address' | 'userName' | 'classes' | 'group';
const SHOWN: readonly (readonly [Words, string])[] = [
  ['id', 'id'],
  ['address', 'address'],
  ['userName', 'userName'],
  ['classes', 'class'],
  ['group', 'group'],
];
const columns = computed((): readonly LongColumn[] => [
  { key: 'line', title: t('setup.members.list.lineHead'), sortable: false },
  { key: 'name', title: t('setup.members.list.columns.name'), sortable: false, width: 170 },
  ...SHOWN.filter(([field]) => props.lines.some((line) => line[field] !== '')).map(([key, words]) => ({
    key,
    title: t(`setup.members.list.columns.${words}`),
    sortable: false,
  })),
  ...(props.lines.some(({ role }) => role !== null)
    ? [{ key: 'role', title: t('setup.members.list.columns.role'), sortable: false }]
    : []),
  { key: 'happens', title: t('setup.members.list.happens'), sortable: false },
]);
const said = (value: string | readonly string[] | null): string =>
  (typeof value === 'string' ? value : value?.join(', ')) || '–';
const changeWords = ({ changes }: ListLine): string =>
  changes
    .map(({ field, from, to }) =>
      t('setup.members.list.change', {
        field: t(`setup.members.list.fields.${field}`),
        from: said(from),
        to: said(to),
      }),
    )
    .join('; ');
const doubtWords = ({ doubts }: ListLine): string =>
  doubts.map(({ code, value }) => t(`setup.members.list.doubts.${code}`, { value })).join(' ');
</script>

<template>
  <section aria-labelledby="list-rows">
    <h3 id="list-rows">{{ t('setup.members.list.every') }}</h3>
    <div class="kinds">
      <BareButton class="kind" :aria-pressed="only === null" @click="only = null">
        {{ t('setup.members.list.allRows') }} <span class="figures">{{ lines.length }}</span>
      </BareButton>
      <BareButton
        v-for="kind in kinds"
        :key="kind"
        :class="['kind', kind]"
        :aria-pressed="only === kind"
        @click="only = kind"
      >
        {{ t(`setup.members.list.kind.${kind}`) }} <span class="figures">{{ counts[kind] }}</span>
      </BareButton>
      <BareButton
        v-if="doubted > 0"
        class="kind"
        :aria-pressed="only === 'doubted'"
        @click="only = 'doubted'"
      >
        {{ t('setup.members.list.doubted') }} <span class="figures">{{ doubted }}</span>
      </BareButton>
    </div>
    <LongTable
      :label="t('setup.members.list.every')"
      :rows="shown"
      :columns="columns"
      :name-of="({ name }) => name"
      :none="t('setup.members.list.noRows')"
    >
      <template #line="{ row }"
        ><span class="figures soft">{{ row.line }}</span></template
      >
      <template #role="{ row }">{{
        row.role === null ? '' : t(`learner.members.roles.${row.role}`)
      }}</template>
      <template #happens="{ row }">
        <span :class="['happens', row.happens]">
          {{ t(`setup.members.list.kind.${row.happens}`) }}
          <span v-if="row.changes.length > 0" class="soft">{{ changeWords(row) }}</span>
          <span v-if="row.doubts.length > 0" class="doubt">{{ doubtWords(row) }}</span>
          <PushButton
            v-if="row.happens !== 'asked'"
            small
            weight="bare"
            :aria-label="
              t(`setup.members.list.${row.happens === 'left' ? 'takeIn' : 'leaveOut'}`, {
                name: row.name || row.line,
              })
            "
            @click="emit('answer', [[row.key, row.happens === 'left' ? null : { is: 'nobody' }]])"
          >
            {{ t(`setup.members.list.${row.happens === 'left' ? 'again' : 'leave'}`) }}
          </PushButton>
        </span>
      </template>
    </LongTable>
    <p v-if="leftOut.length > 0" class="soft">
      {{
        t(
          'setup.members.list.skipped',
          {
            lines: leftOut
              .slice(0, 12)
              .map(({ line }) => line)
              .join(', '),
          },
          leftOut.length,
        )
      }}
    </p>
  </section>
</template>

<style scoped>
h3 {
  margin-bottom: 6px;
  font-size: 15px;
}

.kinds {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-bottom: 8px;
}

.kind {
  min-height: 30px;
  padding: 0 10px;
  border: 1px solid var(--field-rule);
  border-radius: 4px;
  background: var(--card);
  color: var(--ink);
  font-size: 13px;
}

.kind[aria-pressed='true'] {
  border-color: var(--bottle);
  background: var(--bottle-pale);
}

.happens {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 8px;
  align-items: center;
}

.happens.added,
.happens.returning {
  color: var(--open);
}

.happens.changed {
  color: var(--later);
}

.happens.asked {
  color: var(--advice);
}

.happens.left {
  color: var(--ink-soft);
}

.doubt {
  color: var(--advice);
  font-size: 12.5px;
}
</style>
