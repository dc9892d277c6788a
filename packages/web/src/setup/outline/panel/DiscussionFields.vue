<script setup lang="ts">
/** Who begins threads in a discussion, and what is seen when. */
import type { Discussion, FieldValue } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../../stores/plan.ts';
import CheckField from '../../../ui/fields/choice/CheckField.vue';
import SelectField from '../../../ui/fields/choice/SelectField.vue';
import PanelPart from './PanelPart.vue';

const props = defineProps<{ item: Discussion; readonly: boolean }>();
const { t } = useI18n();
const plan = usePlan();
const set = (field: keyof Discussion, value: FieldValue): void => {
  plan.set(props.item.id, field, value, props.item[field] as FieldValue);
};
const STARTS = ['everybody', 'staff'] as const;
const MORE = ['firstPost', 'ownEdits', 'mayAttach', 'shut'] as const;
</script>

<template>
  <PanelPart class="discussion" :title="t('setup.discussion.title')" :readonly="readonly">
    <SelectField
      :label="t('setup.discussion.starts')"
      :value="item.starts"
      :options="STARTS.map((value) => ({ value, title: t(`setup.discussion.startsOf.${value}`) }))"
      :disabled="readonly"
      @choose="set('starts', $event)"
    />
    <CheckField
      v-for="field in MORE"
      :key="field"
      :checked="item[field]"
      :disabled="readonly"
      @toggle="set(field, $event)"
    >
      {{ t(`setup.discussion.${field}`) }}
    </CheckField>
    <p>
      <RouterLink :to="`/courses/${plan.course?.id ?? ''}/items/${item.id}`">
        {{ t('setup.discussion.look') }}
      </RouterLink>
    </p>
  </PanelPart>
</template>
