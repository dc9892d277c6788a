<script setup lang="ts">
/** One pause while it is being written. Nothing of it counts before it is whole. */
import { pauseSchema } from '@itinerary/core';
import type { Pause } from '@itinerary/core';
import { computed, onMounted, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextField } from 'vuetify/components/VTextField';
import ChoiceTiles from '../../ui/fields/choice/ChoiceTiles.vue';
import DayField from '../../ui/fields/when/DayField.vue';
import { useForm } from '../../ui/fields/reading/refusals.ts';
import PushButton from '../../ui/frame/PushButton.vue';

const props = defineProps<{ pause: Pause; covers: (pause: Pause) => boolean }>();
const emit = defineEmits<{ save: [pause: Pause]; cancel: [] }>();
const { t } = useI18n();
const draft = ref({ ...props.pause });
const isTried = ref(false);
const form = useForm();
const nameField = ref<{ focus: () => void } | null>(null);
onMounted(() => nameField.value?.focus());

const policies = computed(() =>
  (['between', 'silent', 'counted'] as const).map((value) => ({
    value,
    title: t(`setup.dates.policies.${value}`),
    text: t(`setup.dates.policyTexts.${value}`),
  })),
);
const wrong = computed(() => {
  const { first, last } = draft.value;
  if (last < first) return t('setup.dates.pauseReversed');
  if (!pauseSchema.safeParse({ ...draft.value, name: 'x' }).success) return t('setup.dates.pauseLong');
  return props.covers({ ...draft.value, name: draft.value.name || 'x' })
    ? t('setup.dates.pauseCovers')
    : null;
});
const nameWrong = computed(() => draft.value.name.trim() === '');

function save(): void {
  isTried.value = true;
  if (wrong.value === null && !nameWrong.value && !form.isRefused.value)
    emit('save', { ...draft.value, name: draft.value.name.trim() });
}
</script>

<template>
  <form class="form" novalidate @submit.prevent="save" @keydown.esc.stop="emit('cancel')">
    <VTextField
      ref="nameField"
      v-model="draft.name"
      name="pause-name"
      maxlength="80"
      :label="t('setup.dates.pauseName')"
      :error-messages="isTried && nameWrong ? [t('setup.dates.pauseNameMissing')] : []"
    />
    <div class="days">
      <DayField
        name="pause-first"
        :day="draft.first"
        :label="t('setup.dates.pauseFirst')"
        required
        live
        @day="$event && (draft.first = $event)"
      />
      <DayField
        name="pause-last"
        :day="draft.last"
        :label="t('setup.dates.pauseLast')"
        :wrong="wrong"
        required
        live
        @day="$event && (draft.last = $event)"
      />
    </div>
    <ChoiceTiles
      :legend="t('setup.dates.policy')"
      :tiles="policies"
      :chosen="draft.policy"
      compact
      @choose="draft.policy = $event"
    />
    <div class="acts">
      <PushButton @click="emit('cancel')">{{ t('common.cancel') }}</PushButton>
      <PushButton weight="main" type="submit">{{ t('setup.dates.savePause') }}</PushButton>
    </div>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  gap: 10px;
  width: 100%;
  padding: 12px;
  border: 1px solid var(--field-rule);
  border-top: 3px solid var(--route);
  border-radius: 6px;
  background: var(--card);
}

.days {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}

.acts {
  display: flex;
  justify-content: flex-end;
  gap: 8px;
}
</style>
