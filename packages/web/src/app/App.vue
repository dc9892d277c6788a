<script setup lang="ts">
import { onErrorCaptured, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { VApp } from 'vuetify/components/VApp';
import PaletteKeys from '../palette/PaletteKeys.vue';
import AwayNotice from './AwayNotice.vue';
import FootNotice from './FootNotice.vue';
import WayNotice from './WayNotice.vue';
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
    <WayNotice />
    <FootNotice v-if="broken" :text="t('common.broken')" @close="broken = false" />
  </VApp>
</template>
