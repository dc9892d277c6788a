<script setup lang="ts">
/** A moment by the course's own clocks, set with one press; or none. */
import { instantOf } from '@itinerary/core';
import type { LocalMoment } from '@itinerary/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import { useForm } from '../../ui/fields/reading/refusals.ts';
import MomentField from '../../ui/fields/when/MomentField.vue';
import PushButton from '../../ui/frame/PushButton.vue';

const props = defineProps<{ moment: LocalMoment | null; label: string; name: string; act?: string }>();
const emit = defineEmits<{ set: [moment: LocalMoment | null] }>();
const { t } = useI18n();
/** Before the first class of a day. */
const USUAL = '08:00';
const asked = ref<LocalMoment | null>(null);
watch(
  () => props.moment,
  (now) => (asked.value = now),
  { immediate: true },
);
const form = useForm();
const plan = usePlan();
const session = useSession();
/** What is set to a moment that is past would happen at once, which nobody means who sets a moment. */
const past = computed(() => {
  if (asked.value === null || plan.course === null || isSame.value) return null;
  const at = instantOf(plan.course, asked.value);
  return at <= Date.parse(session.now()) ? t('setup.access.momentPast') : null;
});
const isWhole = computed(() => asked.value !== null && past.value === null && !form.isRefused.value);
const isSame = computed(
  () => props.moment?.day === asked.value?.day && props.moment?.time === asked.value?.time,
);

function set(): void {
  if (asked.value !== null && isWhole.value) emit('set', asked.value);
}
</script>

<template>
  <form class="moment" @submit.prevent="set">
    <MomentField
      class="when"
      :name="name"
      :moment="asked"
      :label="label"
      :usual="USUAL"
      :wrong="past"
      live
      @set="asked = $event"
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

.when {
  flex: 1 1 280px;
  max-width: 420px;
}

/* In the middle of the fields beside them, which are taller. */
.button {
  margin-top: 6px;
}
</style>
