<script setup lang="ts">
/** Members as a table: who they are, where they are, and how they came. */
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { dayIn, formatDay } from '../../../words/dates.ts';
import { usePlan } from '../../../stores/plan.ts';
import { useSession } from '../../../stores/session.ts';
import LongTable from '../../../ui/frame/LongTable.vue';
import type { LongColumn } from '../../../ui/frame/LongTable.vue';
import type { MemberLine } from '../member-rows.ts';

const props = defineProps<{ lines: readonly MemberLine[]; mayChoose: boolean }>();
const chosen = defineModel<readonly string[]>('chosen', { required: true });
const { t, locale } = useI18n();
const plan = usePlan();
const session = useSession();
const sortBy = ref<readonly { key: string; order?: boolean | 'asc' | 'desc' }[]>([
  { key: 'name', order: 'asc' },
]);

const collator = computed(() => new Intl.Collator(locale.value, { numeric: true, sensitivity: 'base' }));
const words = (one: string, other: string): number => collator.value.compare(one, other);
/** A column in which nobody has anything takes no room. */
const has = (field: 'number' | 'classes' | 'groups'): boolean =>
  props.lines.some((line) => line[field] !== '');
const columns = computed((): readonly LongColumn[] => [
  { key: 'name', title: t('setup.members.columns.name'), sort: words, width: 210 },
  ...(has('number') ? [{ key: 'number', title: t('setup.members.columns.number'), sort: words }] : []),
  { key: 'role', title: t('setup.members.columns.role'), sort: words },
  ...(has('classes') ? [{ key: 'classes', title: t('setup.members.columns.classes'), sort: words }] : []),
  ...(has('groups') ? [{ key: 'groups', title: t('setup.members.columns.groups'), sort: words }] : []),
  { key: 'joined', title: t('setup.members.columns.joined') },
  { key: 'last', title: t('setup.members.columns.last') },
]);
const day = (instant: string): string =>
  formatDay(dayIn(instant, plan.course!.dates.zone), locale.value, { today: session.today, weekday: false });
</script>

<template>
  <LongTable
    v-model:sort-by="sortBy"
    :chosen="mayChoose ? chosen : undefined"
    :label="t('setup.members.title')"
    :rows="lines"
    :columns="columns"
    :name-of="({ name }) => name"
    :all-label="t('setup.members.all')"
    :none="t('setup.members.noneShown')"
    @update:chosen="chosen = $event ?? []"
  >
    <template #name="{ row }">
      <span class="who">
        <span
          >{{ row.name }}
          <span v-if="row.member.isPlace" class="place">{{ t('setup.members.place') }}</span></span
        >
        <span class="soft">{{ row.address }}</span>
      </span>
    </template>
    <template #number="{ row }"
      ><span class="figures">{{ row.number }}</span></template
    >
    <template #joined="{ row }">
      <span class="who">
        <span class="figures">{{ day(row.joined) }}</span>
        <span class="soft">{{ t(`setup.members.by.${row.member.way}`) }}</span>
      </span>
    </template>
    <template #last="{ row }">
      <span v-if="row.last" class="figures">{{ day(row.last) }}</span>
      <span v-else class="soft">{{ t('setup.members.never') }}</span>
    </template>
  </LongTable>
</template>

<style scoped>
.who {
  display: grid;
  min-width: 0;
  line-height: 1.25;
}

.who .soft {
  overflow: hidden;
  font-size: 12.5px;
  text-overflow: ellipsis;
}

.place {
  padding: 0 6px;
  border: 1px dashed var(--field-rule);
  border-radius: 4px;
  color: var(--ink-soft);
  font-size: 12px;
}
</style>
