<script setup lang="ts">
/** Pools: for each attempt, some of the questions in each are drawn. */
import { IconPlus, IconX } from '@tabler/icons-vue';
import { MAX_POOLS, MAX_QUESTIONS, questionsOf, setQuizEntry } from '@itinerary/core';
import type { Pool, Quiz } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { newId } from '../../../stores/new-id.ts';
import { usePlan } from '../../../stores/plan.ts';
import DraftField from '../../../ui/fields/DraftField.vue';
import NumberField from '../../../ui/fields/NumberField.vue';
import IconButton from '../../../ui/frame/IconButton.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import { usePartWords } from './part-words.ts';

const props = defineProps<{ item: Quiz; readonly: boolean }>();
const { t } = useI18n();
const { needed } = usePartWords();
const plan = usePlan();
const pools = computed(() => Object.entries(props.item.pools).sort(([, a], [, b]) => a.at - b.at));
const has = (pool: string): number => questionsOf(props.item).filter((one) => one.pool === pool).length;
function put(id: string, pool: Pool | null, typing = false): void {
  plan.change([setQuizEntry(props.item, 'pools', id, pool)], { typing });
}
function add(): void {
  const at = Math.max(0, ...pools.value.map(([, one]) => one.at)) + 1;
  put(newId(), { name: t('setup.quiz.pools.fresh', { number: pools.value.length + 1 }), draws: 1, at });
}
</script>

<template>
  <details class="pools" :open="pools.length > 0">
    <summary>{{ t('setup.quiz.pools.title') }}</summary>
    <div v-for="[id, pool] in pools" :key="id" class="line">
      <DraftField
        :text="pool.name"
        :most="200"
        :label="t('setup.quiz.pools.name')"
        :readonly="readonly"
        :keep-as="`${id} name`"
        :wrong="needed"
        @type="put(id, { ...pool, name: $event }, true)"
      />
      <NumberField
        :label="t('setup.quiz.pools.draws')"
        :number="pool.draws"
        :least="1"
        :most="MAX_QUESTIONS"
        required
        :readonly="readonly"
        @set="put(id, { ...pool, draws: $event ?? 1 })"
      />
      <IconButton
        v-if="!readonly"
        :icon="IconX"
        :label="t('setup.quiz.pools.remove', { name: pool.name })"
        @click="put(id, null)"
      />
      <p class="soft figures">{{ t('setup.quiz.pools.has', has(id)) }}</p>
    </div>
    <PushButton v-if="!readonly && pools.length < MAX_POOLS" small @click="add">
      <IconPlus :size="15" aria-hidden="true" /> {{ t('setup.quiz.pools.add') }}
    </PushButton>
  </details>
</template>

<style scoped>
.pools {
  font-size: 14px;
}

summary {
  padding: 6px 0;
}

.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 76px 34px;
  gap: 6px;
  align-items: start;
  margin-bottom: 8px;
}

.line p {
  grid-column: 1 / -1;
}
</style>
