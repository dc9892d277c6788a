<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import { useTryAgain } from './try-again.ts';
import PushButton from '../ui/frame/PushButton.vue';

const { t } = useI18n();
const { trying, again } = useTryAgain(() => location.href);
</script>

<template>
  <main id="main" class="away">
    <h1>{{ t('common.away.title') }}</h1>
    <p>{{ t('common.away.text') }}</p>
    <PushButton weight="main" :disabled="trying" @click="again">
      {{ t('common.away.again') }}
    </PushButton>
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
