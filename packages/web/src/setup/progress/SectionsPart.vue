<script setup lang="ts">
/** What it takes to be done with each section: all that counts in it, or a rule of its own. */
import { isContent, livingSections, subtree } from '@itinerary/core';
import type { FieldValue, Section, SectionRule, Want } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import SeveralField from '../../ui/fields/choice/SeveralField.vue';
import PlainTable from '../../ui/frame/PlainTable.vue';
import { useNodeTitle } from '../node-title.ts';
import WantFields from './WantFields.vue';

defineProps<{ readonly: boolean }>();
const { t } = useI18n();
const plan = usePlan();
const titleOf = useNodeTitle();

const counted = (section: Section): { value: string; title: string }[] =>
  subtree(section).flatMap((node) =>
    !node.removed && isContent(node) && node.done !== null ? [{ value: node.id, title: node.title }] : [],
  );
const rows = computed(() =>
  livingSections(plan.course!).map((section) => ({ section, items: counted(section) })),
);
const WAYS = ['usual', 'own'] as const;
const ways = computed(() =>
  WAYS.map((value) => ({ value, title: t(`setup.progress.sectionWays.${value}`) })),
);

function set(section: Section, done: SectionRule | null): void {
  plan.set(section.id, 'done', done as FieldValue, section.done as FieldValue);
}
const setWant = (section: Section, want: Want): void => {
  set(section, { want, named: section.done?.named ?? [] });
};
</script>

<template>
  <PlainTable
    :columns="[
      { title: t('setup.progress.columns.section') },
      { title: t('setup.progress.columns.counted'), atEnd: true },
      { title: t('setup.progress.columns.done') },
    ]"
  >
    <tr v-for="{ section, items } in rows" :key="section.id">
      <th scope="row">{{ titleOf(section.id) }}</th>
      <td class="figures right">{{ items.length }}</td>
      <td>
        <div class="rule">
          <SelectField
            :label="t('setup.progress.sectionDone', { title: titleOf(section.id) ?? '' })"
            bare
            :value="section.done === null ? 'usual' : 'own'"
            :options="ways"
            :disabled="readonly"
            @choose="set(section, $event === 'usual' ? null : { want: { how: 'any' }, named: [] })"
          />
          <template v-if="section.done !== null">
            <WantFields
              :want="section.done.want"
              :label="t('setup.progress.howMany')"
              minutes
              :readonly="readonly"
              @set="setWant(section, $event)"
            />
            <SeveralField
              :label="t('setup.progress.named')"
              :values="section.done.named"
              :options="items"
              :readonly="readonly"
              :hint="t('setup.progress.namedHint')"
              @choose="set(section, { want: section.done.want, named: $event })"
            />
          </template>
        </div>
      </td>
    </tr>
  </PlainTable>
</template>

<style scoped>
.rule {
  display: grid;
  gap: 6px;
  justify-items: start;
}

.right {
  text-align: end;
}
</style>
