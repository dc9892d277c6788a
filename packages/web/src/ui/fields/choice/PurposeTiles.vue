<script setup lang="ts">
/** What a course is for, as tiles. Readiness stays silent about what makes no sense for it. */
import { IconFlask, IconSchool, IconUsersGroup } from '@tabler/icons-vue';
import type { Purpose } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import ChoiceTiles from './ChoiceTiles.vue';

defineProps<{ disabled?: boolean }>();
const purpose = defineModel<Purpose>({ required: true });
const { t } = useI18n();
const SIGNS = { learners: IconSchool, practice: IconFlask, circle: IconUsersGroup };
const tiles = computed(() =>
  (['learners', 'practice', 'circle'] as const).map((value) => ({
    value,
    title: t(`setup.about.purposes.${value}`),
    text: t(`setup.about.purposeTexts.${value}`),
  })),
);
</script>

<template>
  <ChoiceTiles
    :legend="t('setup.about.purpose')"
    :tiles="tiles"
    :chosen="purpose"
    :disabled="disabled"
    @choose="purpose = $event"
  >
    <template #sign="{ value }">
      <component :is="SIGNS[value]" :size="22" :stroke-width="1.75" class="sign" aria-hidden="true" />
    </template>
  </ChoiceTiles>
</template>

<style scoped>
.sign {
  margin-bottom: 4px;
  color: var(--route);
}
</style>
