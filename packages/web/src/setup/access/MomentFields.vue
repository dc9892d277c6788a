<script setup lang="ts">
/** A day and a time by the course's own clocks, set together; or none. */
import { instantOf } from '@itinerary/core';
import type { LocalMoment } from '@itinerary/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import DayField from '../../ui/fields/when/DayField.vue';
import { useForm } from '../../ui/fields/reading/refusals.ts';
import TimeField from '../../ui/fields/when/TimeField.vue';
import PushButton from '../../ui/frame/PushButton.vue';

const props = defineProps<{ moment: LocalMoment | null; label: string; name: string; act?: string }>();
const emit = defineEmits<{ set: [moment: LocalMoment | null] }>();
const { t } = useI18n();
const day = ref<string | null>(null);
const time = ref('08:00');
watch(
  () => props.moment,
  (now) => {
    day.value = now?.day ?? null;
    time.value = now?.time ?? '08:00';
  },
  { immediate: true },
);
const form = useForm();
const plan = usePlan();
const session = useSession();
/** What is set to a moment that is past would happen at once, which nobody means who sets a moment. */
const past = computed(() => {
  if (day.value === null || plan.course === null || isSame.value) return null;
  const at = instantOf(plan.course, { day: day.value, time: time.value });
  return at <= Date.parse(session.now()) ? t('setup.access.momentPast') : null;
});
const isWhole = computed(() => day.value !== null && past.value === null && !form.isRefused.value);
const isSame = computed(() => props.moment?.day === day.value && props.moment?.time === time.value);

function set(): void {
  if (day.value !== null && isWhole.value) emit('set', { day: day.value, time: time.value });
}
</script>

<template>
  <form class="moment" @submit.prevent="set">
    <DayField :name="name" :day="day" :label="label" :wrong="past" live @day="day = $event" />
    <TimeField
      class="time"
      :time="time"
      :label="t('setup.moment.time.held')"
      required
      live
      @set="$event && (time = $event)"
    />
    <PushButton type="submit" :disabled="!isWhole || isSame">
      {{ act ?? t('setup.moment.set') }}
    </PushButton>
    <PushButton v-if="moment" weight="bare" @click="emit('set', null)">
      {{ t('setup.access.noMoment') }}
    </PushButton>
  </form>
</template>

<style scoped>
.moment {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: start;
}

.time {
  flex: 0 0 132px;
}

/* In the middle of the fields beside them, which are taller. */
.button {
  margin-top: 6px;
}
</style>
