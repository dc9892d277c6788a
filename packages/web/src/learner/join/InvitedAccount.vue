<script setup lang="ts">
/** An account for whoever is invited and has none: a name and a password, their address being confirmed by the letter. */
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextField } from 'vuetify/components/VTextField';
import PasswordField from '../../ui/fields/PasswordField.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import { LEAST_PASSWORD } from '../../stores/limits.ts';

defineProps<{ isUnderWay: boolean }>();
/** Whoever is in has no account to make: what follows is the page's to do. */
const emit = defineEmits<{ make: [name: string, password: string] }>();
const { t } = useI18n();
const name = ref('');
const password = ref('');
</script>

<template>
  <form class="account" @submit.prevent="emit('make', name.trim(), password)">
    <VTextField v-model="name" :label="t('learner.join.name')" autocomplete="name" maxlength="200" required />
    <PasswordField
      v-model="password"
      :label="t('learner.join.password', { least: LEAST_PASSWORD })"
      :short="t('learner.join.shortPassword', { least: LEAST_PASSWORD })"
    />
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
</style>
