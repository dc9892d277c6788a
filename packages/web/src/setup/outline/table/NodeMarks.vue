<script setup lang="ts">
import {
  IconArrowsDown,
  IconHandStop,
  IconHourglass,
  IconLinkOff,
  IconLock,
  IconUsersGroup,
  IconWorld,
} from '@tabler/icons-vue';
import { useI18n } from 'vue-i18n';
import type { NodeMark } from './marks.ts';

defineProps<{ marks: readonly NodeMark[] }>();
const { t } = useI18n();
const ICONS = {
  held: IconHandStop,
  staff: IconLock,
  rule: IconHourglass,
  order: IconArrowsDown,
  audience: IconUsersGroup,
  unlisted: IconLinkOff,
  sample: IconWorld,
};
</script>

<template>
  <span class="marks">
    <span v-for="mark in marks" :key="mark" class="mark" :title="t(`setup.outline.marks.${mark}`)">
      <component :is="ICONS[mark]" :size="15" aria-hidden="true" />
      <span class="visually-hidden">{{ t(`setup.outline.marks.${mark}`) }}</span>
    </span>
  </span>
</template>

<style scoped>
.marks {
  display: inline-flex;
  flex: none;
  gap: 4px;
  padding-inline: 4px;
  color: var(--later);
}

.mark {
  display: inline-flex;
}
</style>
