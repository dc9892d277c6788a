<script setup lang="ts">
/** People on a course, each with what they are in it. */
import type { ClassmateView } from '@itinerary/core';
import { useRoleWord } from '../shell/frame.ts';

defineProps<{ people: readonly ClassmateView[] }>();
const roleWord = useRoleWord();
</script>

<template>
  <ul>
    <li v-for="(person, at) in people" :key="at">
      <span>{{ person.name }}</span>
      <span class="soft">{{ [roleWord(person.role), ...person.groups].join(' · ') }}</span>
    </li>
  </ul>
</template>

<style scoped>
ul {
  max-width: 560px;
  margin: 12px 0 0;
  padding: 0;
  border-top: 3px solid var(--route);
  list-style: none;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  justify-content: space-between;
  padding: 7px 2px;
  border-bottom: 1px solid var(--rule);
}
</style>
