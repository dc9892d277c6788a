<script setup lang="ts">
/** An account for whoever is invited and has none: a name and a password, their address being confirmed by the letter. */
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextField } from 'vuetify/components/VTextField';
import PushButton from '../../ui/frame/PushButton.vue';
import { useSession } from '../../stores/session.ts';
import { LEAST_PASSWORD } from '../../stores/passwords.ts';
import { useProblemSentence } from '../../words/problems.ts';

const props = defineProps<{ invitedBy: string }>();
const emit = defineEmits<{ made: [] }>();
const { t } = useI18n();
const session = useSession();
const sentence = useProblemSentence();
const name = ref('');
const password = ref('');
const failure = ref<string | null>(null);
const isUnderWay = ref(false);
const isShort = computed(() => password.value !== '' && password.value.length < LEAST_PASSWORD);

async function make(): Promise<void> {
  failure.value = null;
  isUnderWay.value = true;
  try {
    await session.byInvitation(props.invitedBy, name.value.trim(), password.value);
    emit('made');
  } catch (error) {
    failure.value = sentence(error);
  } finally {
    isUnderWay.value = false;
  }
}
</script>

<template>
  <form class="account" @submit.prevent="make">
    <VTextField v-model="name" :label="t('learner.join.name')" autocomplete="name" maxlength="200" required />
    <VTextField
      v-model="password"
      :label="t('learner.join.password', { least: LEAST_PASSWORD })"
      type="password"
      autocomplete="new-password"
      :error-messages="isShort ? [t('learner.join.shortPassword', { least: LEAST_PASSWORD })] : []"
      :aria-invalid="isShort"
      required
    />
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <PushButton
      weight="main"
      type="submit"
      :disabled="isUnderWay || name.trim() === '' || password.length < LEAST_PASSWORD"
    >
      {{ t('learner.join.makeAndJoin') }}
    </PushButton>
  </form>
</template>

<style scoped>
.account {
  display: grid;
  gap: 12px;
  justify-items: start;
  width: 100%;
  max-width: 420px;
}

.account > :deep(.v-input) {
  width: 100%;
}

.failure {
  color: var(--blocker);
}
</style>
