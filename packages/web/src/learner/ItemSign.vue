<script setup lang="ts">
import { IconExternalLink, IconFileText } from '@tabler/icons-vue';
import type { ItemKind } from '@itinerary/core';
import { useI18n } from 'vue-i18n';

defineProps<{ kind: ItemKind; size?: number }>();
const { t } = useI18n();
</script>

<template>
  <component
    :is="kind === 'page' ? IconFileText : IconExternalLink"
    :size="size ?? 18"
    :stroke-width="1.75"
    role="img"
    :aria-label="t(`learner.kinds.${kind}`)"
  />
</template>
