<script setup lang="ts">
/** The sign of a menu entry, where entries stand as signs. */
import {
  IconAddressBook,
  IconBinoculars,
  IconBook2,
  IconCalendarEvent,
  IconFileText,
  IconHome,
  IconInbox,
  IconLifebuoy,
  IconListDetails,
  IconListNumbers,
  IconMessages,
  IconPaperclip,
  IconSpeakerphone,
  IconUsers,
  IconWorld,
} from '@tabler/icons-vue';
import type { Area, MenuItemView } from '@itinerary/core';
import type { Component } from 'vue';
import { computed } from 'vue';

const props = defineProps<{ item: Pick<MenuItemView, 'to' | 'area'>; size?: number }>();

const OF_AREA: Readonly<Record<Area, Component>> = {
  home: IconHome,
  sections: IconListDetails,
  announcements: IconSpeakerphone,
  assignments: IconInbox,
  quizzes: IconListNumbers,
  discussions: IconMessages,
  meetings: IconBinoculars,
  files: IconPaperclip,
  guide: IconCalendarEvent,
  members: IconUsers,
  contact: IconAddressBook,
  syllabus: IconBook2,
};
const sign = computed<Component>(() => {
  const { to, area } = props.item;
  if (area !== null) return OF_AREA[area];
  if (to === 'institution') return IconLifebuoy;
  return to === 'address' ? IconWorld : IconFileText;
});
</script>

<template>
  <component :is="sign" :size="size ?? 21" aria-hidden="true" />
</template>
