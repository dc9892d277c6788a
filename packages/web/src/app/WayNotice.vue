<script setup lang="ts">
/** A line while the next page is fetched, and a word when it did not come. */
import { useI18n } from 'vue-i18n';
import { useSession } from '../stores/session.ts';
import FootNotice from './FootNotice.vue';
import { useTryAgain } from './try-again.ts';
import { failedAt, forgetFailure, isSlow } from './under-way.ts';
import PushButton from '../ui/frame/PushButton.vue';

const { t } = useI18n();
const session = useSession();
const { trying, again } = useTryAgain(() => failedAt.value ?? '/');
</script>

<template>
  <div role="status">
    <div v-if="isSlow" class="line">
      <span class="visually-hidden">{{ t('common.way.slow') }}</span>
    </div>
  </div>
  <FootNotice
    v-if="failedAt !== null && session.me !== null"
    :text="t('common.way.failed')"
    @close="forgetFailure"
  >
    <PushButton small :disabled="trying" @click="again">
      {{ t('common.away.again') }}
    </PushButton>
  </FootNotice>
</template>

<style scoped>
.line {
  position: fixed;
  inset: 0 0 auto;
  z-index: 3000;
  height: 3px;
  background: linear-gradient(90deg, transparent, var(--route), transparent) 0 / 40% 100% no-repeat;
  animation: along 1.2s linear infinite;
}

@keyframes along {
  from {
    background-position: -60% 0;
  }
  to {
    background-position: 160% 0;
  }
}

@media (prefers-reduced-motion: reduce) {
  .line {
    background: var(--route);
  }
}
</style>
