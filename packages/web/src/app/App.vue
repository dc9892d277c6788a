<script setup lang="ts">
import { onErrorCaptured, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { VApp } from 'vuetify/components/VApp';
import PaletteKeys from '../palette/PaletteKeys.vue';
import AwayNotice from './AwayNotice.vue';
import { useSession } from '../stores/session.ts';

const { t } = useI18n();
const session = useSession();
const broken = ref(false);

onErrorCaptured(() => {
  broken.value = true;
  return true;
});
</script>

<template>
  <VApp>
    <a class="skip-link" href="#main">{{ t('common.skip') }}</a>
    <AwayNotice v-if="session.me === null" />
    <template v-else>
      <RouterView />
      <PaletteKeys v-if="session.person !== null" />
    </template>
    <p v-if="broken" class="broken" role="alert">
      {{ t('common.broken') }}
      <button class="button small" type="button" @click="broken = false">{{ t('common.close') }}</button>
    </p>
  </VApp>
</template>

<style scoped>
.broken {
  position: fixed;
  inset: auto 16px 16px auto;
  z-index: 3000;
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 10px 14px;
  border: 1px solid var(--blocker);
  border-radius: 6px;
  background: var(--blocker-pale);
}
</style>
