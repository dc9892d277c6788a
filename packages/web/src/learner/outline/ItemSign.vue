<script setup lang="ts">
import {
  IconBlockquote,
  IconChartBar,
  IconExternalLink,
  IconFileText,
  IconFolder,
  IconHeading,
  IconInbox,
  IconListCheck,
  IconMapPin,
  IconPaperclip,
  IconVideo,
} from '@tabler/icons-vue';
import type { ItemKind } from '@itinerary/core';
import type { Component } from 'vue';
import { useI18n } from 'vue-i18n';

defineProps<{ kind: ItemKind; size?: number }>();
const { t } = useI18n();
/** An assignment is a tray, a discussion lines of speech. */
const SIGNS: Readonly<Record<ItemKind, Component>> = {
  page: IconFileText,
  file: IconPaperclip,
  link: IconExternalLink,
  video: IconVideo,
  assignment: IconInbox,
  quiz: IconListCheck,
  discussion: IconBlockquote,
  meeting: IconMapPin,
  survey: IconChartBar,
  heading: IconHeading,
  folder: IconFolder,
};
</script>

<template>
  <component
    :is="SIGNS[kind]"
    :size="size ?? 18"
    :stroke-width="1.75"
    role="img"
    :aria-label="t(`learner.kinds.${kind}`)"
  />
</template>
