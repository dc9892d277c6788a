<script setup lang="ts">
/** A survey: what it asks is written in a wide place of its own. */
import { LEAST_ANSWERS, MAX_LEAST } from '@itinerary/core';
import type { Survey } from '@itinerary/core';
import { computed, defineAsyncComponent, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../../stores/plan.ts';
import NumberField from '../../../ui/fields/NumberField.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import PanelPart from '../panel/PanelPart.vue';

const AsksDialog = defineAsyncComponent(() => import('./AsksDialog.vue'));
const props = defineProps<{ item: Survey; readonly: boolean }>();
const { t } = useI18n();
const plan = usePlan();
const isOpen = ref(false);
const count = computed(() => Object.keys(props.item.asks).length);
</script>

<template>
  <PanelPart class="survey" :title="t('setup.survey.title')" :readonly="readonly">
    <p class="figures">{{ t('setup.survey.asks', count) }}</p>
    <p>
      <PushButton weight="main" @click="isOpen = true">
        {{ t(count === 0 ? 'setup.survey.open' : 'setup.survey.openSome') }}
      </PushButton>
    </p>
    <p class="soft">{{ t('setup.survey.anonymous') }}</p>
    <NumberField
      :key="`${item.id} least`"
      :label="t('setup.survey.least')"
      :number="item.least"
      :least="LEAST_ANSWERS"
      :most="MAX_LEAST"
      required
      :readonly="readonly"
      @set="plan.set(item.id, 'least', $event ?? LEAST_ANSWERS, item.least)"
    />
    <p>
      <RouterLink :to="`/courses/${plan.course?.id ?? ''}/items/${item.id}/survey`">
        {{ t('setup.survey.look') }}
      </RouterLink>
    </p>
    <AsksDialog v-if="isOpen" v-model="isOpen" :item="item" :readonly="readonly" />
  </PanelPart>
</template>
