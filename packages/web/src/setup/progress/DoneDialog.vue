<script setup lang="ts">
/** What an item counts as done by, where it is more than one thing: all of them or any, and by when. */
import { conditionsOf, traitsOf } from '@itinerary/core';
import type { ContentItem, DoneBy, DoneCondition, DoneRule, PlannedMoment } from '@itinerary/core';
import { IconX } from '@tabler/icons-vue';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import DialogBox from '../../ui/frame/DialogBox.vue';
import IconButton from '../../ui/frame/IconButton.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import MomentForm from '../outline/dialogs/MomentForm.vue';
import AmountField from './AmountField.vue';
import { newCondition, ruleLabel, withAmount } from './done-rule.ts';

const open = defineModel<boolean>({ required: true });
const props = defineProps<{ item: ContentItem }>();
const emit = defineEmits<{ set: [rule: DoneRule | null] }>();
const { t, locale } = useI18n();

const match = ref<'all' | 'any'>('all');
const of = ref<readonly DoneCondition[]>([]);
const byThen = ref<PlannedMoment | null>(null);
watch(
  open,
  (is) => {
    if (!is) return;
    const { done } = props.item;
    match.value = done?.by === 'any' ? 'any' : 'all';
    of.value = conditionsOf(done).map((one) => plain(one));
    byThen.value = done?.byThen ?? null;
  },
  { immediate: true },
);

/** A condition alone, without what the rule says besides. */
const plain = (one: DoneCondition): DoneCondition =>
  ('least' in one ? { by: one.by, least: one.least } : { by: one.by }) as DoneCondition;
const possible = computed((): readonly DoneBy[] => traitsOf(props.item).doneBy);
const left = computed(() => possible.value.filter((by) => !of.value.some((one) => one.by === by)));
const options = (now: DoneBy): { value: DoneBy; title: string }[] =>
  possible.value
    .filter((by) => by === now || left.value.includes(by))
    .map((value) => ({ value, title: t(`setup.progress.by.${value}`) }));
const matches = computed(() =>
  (['all', 'any'] as const).map((value) => ({ value, title: t(`setup.progress.match.${value}`) })),
);

const rule = computed((): DoneRule | null => {
  const [first] = of.value;
  if (first === undefined) return null;
  const when = byThen.value === null ? {} : { byThen: byThen.value };
  return of.value.length === 1 ? { ...first, ...when } : { by: match.value, of: [...of.value], ...when };
});
const put = (at: number, one: DoneCondition): void => {
  of.value = of.value.map((was, index) => (index === at ? one : was));
};
function take(): void {
  emit('set', rule.value);
  open.value = false;
}
</script>

<template>
  <DialogBox v-model="open" :title="t('setup.progress.dialog', { title: item.title })" :width="620">
    <SelectField
      v-if="of.length > 1"
      :label="t('setup.progress.matchLabel')"
      :value="match"
      :options="matches"
      @choose="match = $event"
    />
    <ul class="conditions">
      <li v-for="(one, at) in of" :key="one.by">
        <SelectField
          :label="t('setup.progress.condition', { number: at + 1 })"
          :value="one.by"
          :options="options(one.by)"
          @choose="put(at, newCondition($event))"
        />
        <AmountField :condition="one" @set="put(at, withAmount(one, $event))" />
        <IconButton
          :icon="IconX"
          :label="t('setup.progress.drop', { what: t(`setup.progress.by.${one.by}`) })"
          @click="of = of.filter((_one, index) => index !== at)"
        />
      </li>
    </ul>
    <p>
      <PushButton v-if="left.length > 0" small @click="of = [...of, newCondition(left[0] ?? 'opened')]">
        {{ t(of.length === 0 ? 'setup.progress.first' : 'setup.progress.another') }}
      </PushButton>
    </p>
    <details :open="byThen !== null">
      <summary>{{ t(byThen === null ? 'setup.progress.noByThen' : 'setup.progress.byThen') }}</summary>
      <MomentForm
        :id="`done ${item.id}`"
        field="until"
        :model-value="byThen"
        @update:model-value="byThen = $event"
      />
    </details>
    <p class="soft">{{ t('setup.progress.reads', { rule: ruleLabel(rule, t, locale) }) }}</p>
    <template #foot>
      <PushButton @click="open = false">{{ t('common.cancel') }}</PushButton>
      <PushButton weight="main" @click="take">{{ t('setup.progress.take') }}</PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
.conditions {
  margin: 0;
  padding: 0;
  list-style: none;
}

.conditions li {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 1fr) auto;
  gap: 8px;
  align-items: center;
  padding: 4px 0;
}
</style>
