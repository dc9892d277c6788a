<script setup lang="ts">
/** What it takes to be done with the course: all that counts, or a mix of sections, items, a mark and attendance. */
import { isContent, ITEM_KINDS, livingSections, MAX_COURSE_PARTS, subtree } from '@itinerary/core';
import type { CoursePart, CourseRule, FieldValue, Many, Want } from '@itinerary/core';
import { IconX } from '@tabler/icons-vue';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import SeveralField from '../../ui/fields/choice/SeveralField.vue';
import NumberField from '../../ui/fields/NumberField.vue';
import IconButton from '../../ui/frame/IconButton.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import { useNodeTitle } from '../node-title.ts';
import WantFields from './WantFields.vue';

defineProps<{ readonly: boolean }>();
const { t } = useI18n();
const plan = usePlan();
const titleOf = useNodeTitle();
const rule = computed(() => plan.course!.done);

const items = computed(() =>
  livingSections(plan.course!)
    .flatMap((section) => subtree(section))
    .filter((node) => !node.removed && isContent(node))
    .map((node) => ({
      value: node.id,
      title: node.title ?? '',
      isCounted: 'done' in node && node.done !== null,
    })),
);
const counted = computed(() => items.value.filter(({ isCounted }) => isCounted));
const sections = computed(() =>
  livingSections(plan.course!).map(({ id }) => ({ value: id, title: titleOf(id) ?? '' })),
);
/** The list takes no null. */
const ANY = 'any';
const kinds = computed(() => [
  { value: ANY as string, title: t('setup.progress.anyKind') },
  ...ITEM_KINDS.filter((kind) => kind !== 'folder' && kind !== 'heading').map((value) => ({
    value: value as string,
    title: t(`learner.kinds.${value}`),
  })),
]);
const WAYS = ['usual', 'own'] as const;
const ways = computed(() => WAYS.map((value) => ({ value, title: t(`setup.progress.courseWays.${value}`) })));
const OVERS = ['sections', 'items', 'scored', 'attended'] as const;
const overs = computed(() => OVERS.map((value) => ({ value, title: t(`setup.progress.over.${value}`) })));
const matches = computed(() =>
  (['all', 'any'] as const).map((value) => ({ value, title: t(`setup.progress.match.${value}`) })),
);

function set(next: CourseRule | null): void {
  plan.set(plan.course!.id, 'done', next as FieldValue, rule.value as FieldValue);
}
function setParts(of: readonly CoursePart[]): void {
  set(of.length === 0 || rule.value === null ? null : { ...rule.value, of: [...of] });
}
const put = (at: number, part: CoursePart): void => {
  setParts((rule.value?.of ?? []).map((was, index) => (index === at ? part : was)));
};
function fresh(over: CoursePart['over']): CoursePart {
  if (over === 'scored') return { over, item: items.value[0]?.value ?? '', least: 60 };
  if (over === 'attended') return { over, want: { how: 'share', percent: 80 } };
  return over === 'items'
    ? { over, want: { how: 'all' }, kind: null, named: [] }
    : { over, want: { how: 'all' }, named: [] };
}
</script>

<template>
  <div class="course-done">
    <SelectField
      :label="t('setup.progress.courseDone')"
      :value="rule === null ? 'usual' : 'own'"
      :options="ways"
      :disabled="readonly"
      @choose="set($event === 'usual' ? null : { match: 'all', of: [fresh('sections')] })"
    />
    <template v-if="rule !== null">
      <SelectField
        v-if="rule.of.length > 1"
        :label="t('setup.progress.matchLabel')"
        :value="rule.match"
        :options="matches"
        :disabled="readonly"
        @choose="set({ ...rule, match: $event })"
      />
      <ul>
        <li v-for="(part, at) in rule.of" :key="at">
          <SelectField
            :label="t('setup.progress.part', { number: at + 1 })"
            :value="part.over"
            :options="overs"
            :disabled="readonly"
            @choose="put(at, fresh($event))"
          />
          <template v-if="part.over === 'scored'">
            <SelectField
              :label="t('setup.progress.inItem')"
              :value="part.item"
              :options="items"
              :disabled="readonly"
              @choose="put(at, { ...part, item: $event })"
            />
            <NumberField
              :label="t('setup.progress.amount.scored')"
              :number="part.least"
              :least="0"
              :most="100"
              fractions
              required
              :readonly="readonly"
              @set="put(at, { ...part, least: $event ?? 0 })"
            />
          </template>
          <WantFields
            v-else
            :want="part.want as Want"
            :label="t('setup.progress.howMany')"
            :minutes="part.over === 'items'"
            :readonly="readonly"
            @set="put(at, { ...part, want: $event as Many } as CoursePart)"
          />
          <SelectField
            v-if="part.over === 'items'"
            :label="t('setup.progress.ofKind')"
            :value="part.kind ?? ANY"
            :options="kinds"
            :disabled="readonly"
            @choose="put(at, { ...part, kind: $event === ANY ? null : ($event as never) })"
          />
          <SeveralField
            v-if="part.over === 'items' || part.over === 'sections'"
            :label="t('setup.progress.named')"
            :values="part.named"
            :options="part.over === 'items' ? counted : sections"
            :readonly="readonly"
            :hint="t('setup.progress.namedHint')"
            @choose="put(at, { ...part, named: $event })"
          />
          <IconButton
            v-if="!readonly"
            :icon="IconX"
            :label="t('setup.progress.dropPart', { number: at + 1 })"
            @click="setParts(rule.of.filter((_part, index) => index !== at))"
          />
        </li>
      </ul>
      <p v-if="!readonly && rule.of.length < MAX_COURSE_PARTS">
        <PushButton small @click="setParts([...rule.of, fresh('items')])">{{
          t('setup.progress.anotherPart')
        }}</PushButton>
      </p>
    </template>
  </div>
</template>

<style scoped>
.course-done {
  display: grid;
  gap: 10px;
  justify-items: start;
}

ul {
  width: 100%;
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);
}
</style>
