<script setup lang="ts">
/** How a quiz is taken; its questions are written in a wide place of their own. */
import { MAX_LIMIT, MAX_WAIT, revealsSchema, worthOf } from '@itinerary/core';
import type { FieldValue, Quiz } from '@itinerary/core';
import { computed, defineAsyncComponent, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../../stores/plan.ts';
import CheckField from '../../../ui/fields/choice/CheckField.vue';
import SelectField from '../../../ui/fields/choice/SelectField.vue';
import NumberField from '../../../ui/fields/NumberField.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import { formatMinutes } from '../../../words/dates.ts';
import { formatNumber } from '../../../words/intl.ts';
import TakenFields from '../panel/TakenFields.vue';
import PanelPart from '../panel/PanelPart.vue';

const QuestionsDialog = defineAsyncComponent(() => import('./QuestionsDialog.vue'));

const props = defineProps<{ item: Quiz; readonly: boolean }>();
const { t, locale } = useI18n();
const plan = usePlan();
const isOpen = ref(false);

const set = (field: keyof Quiz, value: FieldValue): void => {
  plan.set(props.item.id, field, value, props.item[field] as FieldValue);
};
const worth = computed(() => worthOf(props.item));
const minutes = computed(() => props.item.limit ?? props.item.minutes);
/** What it gives at most, in how many minutes. */
const says = computed(() => {
  const { asked, points } = worth.value;
  if (asked === 0) return t('setup.quiz.asks.none');
  const words = t('setup.quiz.asks.asks', { points: formatNumber(points, locale.value) }, asked);
  if (minutes.value === null) return words;
  return `${words}, ${t('setup.quiz.asks.minutes', { minutes: formatMinutes(minutes.value, locale.value) })}`;
});
const COUNTS = ['best', 'last', 'average'] as const;
const LAYOUTS = ['all', 'one'] as const;
const MORE = ['shuffleQuestions', 'shuffleChoices', 'showsPoints'] as const;
</script>

<template>
  <PanelPart class="quiz" :title="t('setup.quiz.title')" :readonly="readonly">
    <p class="figures">{{ says }}</p>
    <p>
      <PushButton weight="main" @click="isOpen = true">
        {{ t(Object.keys(item.questions).length === 0 ? 'setup.quiz.open' : 'setup.quiz.openSome') }}
      </PushButton>
    </p>
    <NumberField
      :key="`${item.id} limit`"
      :label="t('setup.quiz.limit')"
      :number="item.limit"
      :least="1"
      :most="MAX_LIMIT"
      :readonly="readonly"
      @set="set('limit', $event)"
    />
    <TakenFields :item="item" :readonly="readonly">
      <template v-if="item.tries !== 1">
        <NumberField
          :key="`${item.id} wait`"
          :label="t('setup.quiz.wait')"
          :number="item.wait"
          :least="0"
          :most="MAX_WAIT"
          required
          :readonly="readonly"
          @set="set('wait', $event ?? 0)"
        />
        <SelectField
          :label="t('setup.quiz.counts')"
          :value="item.counts"
          :options="COUNTS.map((value) => ({ value, title: t(`setup.quiz.countsOf.${value}`) }))"
          :disabled="readonly"
          @choose="set('counts', $event)"
        />
      </template>
    </TakenFields>
    <SelectField
      :label="t('setup.quiz.layout')"
      :value="item.layout"
      :options="LAYOUTS.map((value) => ({ value, title: t(`setup.quiz.layoutOf.${value}`) }))"
      :disabled="readonly"
      @choose="set('layout', $event)"
    />
    <SelectField
      :label="t('setup.quiz.reveals')"
      :value="item.reveals"
      :options="revealsSchema.options.map((value) => ({ value, title: t(`setup.quiz.revealsOf.${value}`) }))"
      :disabled="readonly"
      @choose="set('reveals', $event)"
    />
    <CheckField
      v-for="field in MORE"
      :key="field"
      :checked="item[field]"
      :disabled="readonly"
      @toggle="set(field, $event)"
    >
      {{ t(`setup.quiz.${field}`) }}
    </CheckField>
    <p>
      <RouterLink :to="`/courses/${plan.course?.id ?? ''}/items/${item.id}/answers`">
        {{ t('setup.quiz.look') }}
      </RouterLink>
    </p>
    <QuestionsDialog v-if="isOpen" v-model="isOpen" :item="item" :readonly="readonly" />
  </PanelPart>
</template>
