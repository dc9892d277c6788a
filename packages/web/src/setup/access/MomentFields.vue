<script setup lang="ts">
/** A day and a time by the course's own clocks, set together; or none. */
import { timeSchema } from '@itinerary/core';
import type { LocalMoment } from '@itinerary/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextField } from 'vuetify/components/VTextField';
import DayField from '../../ui/fields/DayField.vue';

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
    <VTextField
      v-model="time"
      class="figures-field time"
      type="time"
      :label="t('setup.moment.time.held')"
      hide-details
    />
    <button class="button" type="submit" :disabled="!isWhole || isSame">
      {{ act ?? t('setup.moment.set') }}
    </button>
    <button v-if="moment" class="button bare" type="button" @click="emit('set', null)">
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

.time {
  flex: 0 0 132px;
}

/* In the middle of the fields beside them, which are taller. */
.button {
  margin-top: 6px;
}
</style>
