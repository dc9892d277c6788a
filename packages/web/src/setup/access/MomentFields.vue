<script setup lang="ts">
/** A day and a time by the course's own clocks, set together; or none. */
import { timeSchema } from '@itinerary/core';
import type { LocalMoment } from '@itinerary/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import DayField from '../../ui/DayField.vue';

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
const isWhole = computed(() => day.value !== null && timeSchema.safeParse(time.value).success);
const isSame = computed(() => props.moment?.day === day.value && props.moment?.time === time.value);

function set(): void {
  if (day.value !== null && isWhole.value) emit('set', { day: day.value, time: time.value });
}
</script>

<template>
  <form class="moment" @submit.prevent="set">
    <DayField :name="name" :day="day" :label="label" @day="day = $event" />
    <label>
      <span class="soft">{{ t('setup.moment.time.held') }}</span>
      <input v-model="time" class="figures" type="time" />
    </label>
    <button class="button small" type="submit" :disabled="!isWhole || isSame">
      {{ act ?? t('setup.moment.set') }}
    </button>
    <button v-if="moment" class="button small bare" type="button" @click="emit('set', null)">
      {{ t('setup.access.noMoment') }}
    </button>
  </form>
</template>

<style scoped>
.moment {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: start;
}

label {
  display: grid;
  font-size: 12.5px;
}

input {
  min-height: 32px;
  padding: 0 8px;
  border: 1px solid var(--field-rule);
  border-radius: 5px;
  background: var(--card);
  color: var(--ink);
}

.button {
  margin-top: 16px;
}
</style>
