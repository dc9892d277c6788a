<script setup lang="ts">
/** On the page of a course that somebody is not in: how they come in, where there is a way for them. */
import type { JoinPageAnswer } from '@itinerary/contract';
import { computed, shallowRef } from 'vue';
import { ask } from '../../api/client.ts';
import { useLive } from '../../stores/live.ts';
import JoinPress from './JoinPress.vue';
import { saysAnything } from './shown.ts';

const props = defineProps<{ courseId: string }>();
const page = shallowRef<JoinPageAnswer | null>(null);
/** The page is there without it: what does not come now comes with the next that is told. */
const read = (): Promise<void> =>
  ask('GET /api/join/to/{course}', { params: { course: props.courseId } }).then(
    (answer) => {
      page.value = answer;
    },
    () => undefined,
  );
void read();
useLive(() => void read());

const isOpen = computed(() => page.value !== null && saysAnything(page.value));
</script>

<template>
  <template v-if="page !== null && isOpen">
    <JoinPress
      v-for="(way, which) in page.ways"
      :key="way.way"
      :page="page"
      :by="null"
      :which="which"
      @changed="read"
    />
  </template>
</template>
