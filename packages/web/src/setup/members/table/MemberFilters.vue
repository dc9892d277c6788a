<script setup lang="ts">
/** Finding members by a few letters, and narrowing them by what they are and where they are. */
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../../stores/plan.ts';
import FindField from '../../../ui/fields/FindField.vue';
import SelectField from '../../../ui/fields/choice/SelectField.vue';
import type { MemberFilter, MemberLine } from '../member-rows.ts';

const props = defineProps<{ lines: readonly MemberLine[]; shown: number; total: number }>();
const filter = defineModel<MemberFilter>({ required: true });
const { t } = useI18n();
const plan = usePlan();

function set(change: Partial<MemberFilter>): void {
  filter.value = { ...filter.value, ...change };
}
const roles = computed(() => [
  { value: null, title: t('setup.members.anyRole') },
  ...[...new Map(props.lines.map(({ member, role }) => [member.role, role]))].map(([value, title]) => ({
    value,
    title,
  })),
]);
const groups = computed(() => [
  { value: null, title: t('setup.members.anyGroup') },
  ...plan.groups.map(([value, { name, kind }]) => ({
    value,
    title: name,
    group: t(`setup.members.kinds.${kind}`),
  })),
]);
const STANDINGS = ['place', 'absent', 'ungrouped'] as const;
const standings = computed(() => [
  { value: null, title: t('setup.members.anyStanding') },
  ...STANDINGS.map((value) => ({ value, title: t(`setup.members.standings.${value}`) })),
]);
</script>

<template>
  <search class="filters">
    <FindField
      class="find"
      :model-value="filter.find"
      :label="t('setup.members.findHere')"
      @update:model-value="set({ find: $event })"
    />
    <SelectField
      bare
      :label="t('setup.members.columns.role')"
      :value="filter.role"
      :options="roles"
      @choose="set({ role: $event })"
    />
    <SelectField
      v-if="plan.groups.length > 0"
      bare
      :label="t('setup.members.columns.groups')"
      :value="filter.group"
      :options="groups"
      @choose="set({ group: $event })"
    />
    <SelectField
      bare
      :label="t('setup.members.standing')"
      :value="filter.standing"
      :options="standings"
      @choose="set({ standing: $event })"
    />
    <p class="figures soft" role="status">
      <template v-if="shown !== total">
        {{ t('setup.members.shown', { shown, all: total }) }}
      </template>
    </p>
  </search>
</template>

<style scoped>
.filters {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
</style>
