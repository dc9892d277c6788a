<script setup lang="ts">
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useSession } from '../stores/session.ts';

const { t } = useI18n();
const session = useSession();
const trying = ref(false);

async function again(): Promise<void> {
  trying.value = true;
  try {
    await session.load();
    location.reload();
  } catch {
    trying.value = false;
  }
}
</script>

<template>
  <main id="main" class="away">
    <h1>{{ t('common.away.title') }}</h1>
    <p>{{ t('common.away.text') }}</p>
    <button class="button main" type="button" :disabled="trying" @click="again">
      {{ t('common.away.again') }}
    </button>
  </main>
</template>

<style scoped>
.away {
  display: grid;
  gap: 12px;
  justify-items: start;
  max-width: 560px;
  margin: 15vh auto 0;
  padding: 0 24px;
}
</style>
