<script setup lang="ts">
/** Changes that a page left behind on this device: they are sent from here, course by course, and what came of it. */
import { ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../stores/plan.ts';
import PushButton from '../ui/frame/PushButton.vue';
import type { KeptCourse } from './kept-on-device.ts';

type Fate = 'sending' | 'sent' | 'told' | 'waiting';

const props = defineProps<{ courses: readonly KeptCourse[] }>();
const { t } = useI18n();
const plan = usePlan();
const fates = ref<Readonly<Record<string, Fate>>>({});

async function sendOne(id: string): Promise<Fate> {
  try {
    // Where the page that made them is still under way here, they stand in the plan already.
    if (plan.course?.id !== id || !plan.isUnsaved) await plan.open(id);
    await plan.flush();
  } catch {
    return 'waiting';
  }
  if (plan.isUnsaved) return 'waiting';
  return plan.told.length > 0 ? 'told' : 'sent';
}

async function sendAll(): Promise<void> {
  const isDone = ({ id }: KeptCourse): boolean => fates.value[id] === 'sent' || fates.value[id] === 'told';
  for (const { id } of props.courses.filter((one) => !isDone(one))) {
    fates.value = { ...fates.value, [id]: 'sending' };
    fates.value = { ...fates.value, [id]: await sendOne(id) };
  }
}

/** One course after another, however many times it is asked for: there is one plan to send them from. */
let last = Promise.resolve();
const send = (): void => void (last = last.then(sendAll));
watch(() => props.courses.length, send, { immediate: true });
</script>

<template>
  <section class="kept" role="status" aria-live="polite">
    <p v-for="course in courses" :key="course.id">
      <span>{{
        t(
          `desk.kept.${fates[course.id] ?? 'sending'}`,
          { title: course.title, count: course.count },
          course.count,
        )
      }}</span>
      <RouterLink v-if="fates[course.id] === 'told'" :to="`/setup/${course.id}`">
        {{ t('desk.kept.look') }}
      </RouterLink>
      <PushButton v-if="fates[course.id] === 'waiting'" small @click="send">
        {{ t('desk.kept.again') }}
      </PushButton>
    </p>
  </section>
</template>

<style scoped>
.kept {
  display: grid;
  gap: 4px;
  margin-bottom: 14px;
  padding: 8px 14px;
  border: 1px solid var(--field-rule);
  border-inline-start: 4px solid var(--route);
  border-radius: 6px;
  background: var(--card);
}

.kept p {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
}
</style>
