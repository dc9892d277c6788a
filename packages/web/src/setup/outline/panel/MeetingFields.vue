<script setup lang="ts">
/** A meeting's room on the net, who says who was there, and what is left of it. */
import { MAX_AFTERWARDS } from '@itinerary/core';
import type { FieldValue, Meeting } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../../stores/plan.ts';
import SelectField from '../../../ui/fields/choice/SelectField.vue';
import DraftField from '../../../ui/fields/DraftField.vue';
import AddressField from './AddressField.vue';
import PanelPart from './PanelPart.vue';

const props = defineProps<{ item: Meeting; readonly: boolean }>();
const { t } = useI18n();
const plan = usePlan();
const set = (field: keyof Meeting, value: FieldValue, typing = false): void => {
  plan.set(props.item.id, field, value, props.item[field] as FieldValue, { typing });
};
const ATTENDANCE = ['none', 'list', 'code'] as const;
</script>

<template>
  <PanelPart class="meeting" :title="t('setup.meeting.title')" :readonly="readonly">
    <AddressField
      :key="`${item.id} room`"
      :target="item.id"
      field="room"
      :address="item.room"
      :label="t('setup.meeting.room')"
      :readonly="readonly"
    />
    <SelectField
      :label="t('setup.meeting.attendance')"
      :value="item.attendance"
      :options="ATTENDANCE.map((value) => ({ value, title: t(`setup.meeting.attendanceOf.${value}`) }))"
      :disabled="readonly"
      @choose="set('attendance', $event)"
    />
    <p v-if="item.attendance !== 'none'">
      <RouterLink :to="`/courses/${plan.course?.id ?? ''}/items/${item.id}/attendance`">
        {{ t('setup.meeting.look') }}
      </RouterLink>
    </p>
    <DraftField
      name="afterwards"
      :rows="3"
      :most="MAX_AFTERWARDS"
      :text="item.afterwards ?? ''"
      :label="t('setup.meeting.afterwards')"
      :readonly="readonly"
      :keep-as="`${item.id} afterwards`"
      dir="auto"
      @type="set('afterwards', $event === '' ? null : $event, true)"
    />
    <AddressField
      :key="`${item.id} recording`"
      :target="item.id"
      field="recording"
      :address="item.recording"
      :label="t('setup.meeting.recording')"
      :readonly="readonly"
    />
  </PanelPart>
</template>
