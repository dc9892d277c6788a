<script setup lang="ts">
/** What learners are told, and whom they can turn to. */
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import PartLinks from '../frame/PartLinks.vue';
import StopHead from '../frame/StopHead.vue';
import { useFieldFocus } from '../fields/use-field-focus.ts';
import AnnouncementPart from './AnnouncementPart.vue';
import ContactPart from './ContactPart.vue';

const { t } = useI18n();
const plan = usePlan();
useFieldFocus();
const parts = computed(() =>
  (['announcements', 'contacts'] as const).map(
    (part) => [`${part}-part`, t(`setup.messages.parts.${part}`)] as const,
  ),
);
</script>

<template>
  <StopHead stop="messages" />
  <PartLinks :parts="parts" />
  <div class="stop">
    <AnnouncementPart :readonly="plan.isReadonly" />
    <ContactPart :readonly="plan.isReadonly" />
  </div>
</template>

<style scoped>
.stop {
  display: grid;
  gap: 26px;
  max-width: 900px;
}

.stop :deep(h2) {
  font-size: 17px;
}
</style>
