<script setup lang="ts">
import { isBlocker } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import { useActs } from '../frame/acts.ts';
import StopHead from '../frame/StopHead.vue';
import FindingLine from './FindingLine.vue';
import PushButton from '../../ui/frame/PushButton.vue';

const { t } = useI18n();
const plan = usePlan();
const acts = useActs();
const blockers = computed(() => plan.found.filter(isBlocker));
const advice = computed(() => plan.found.filter((finding) => !isBlocker(finding)));
</script>

<template>
  <StopHead stop="readiness" />
  <div class="readiness" role="status">
    <p class="verdict">
      <template v-if="blockers.length > 0">{{ t('setup.readiness.blocked', blockers.length) }}</template>
      <template v-else-if="plan.course?.state === 'draft'">{{ t('setup.readiness.ready') }}</template>
      <template v-else>{{ t('setup.readiness.isOpen') }}</template>
    </p>
    <PushButton
      v-if="plan.course?.state === 'draft' && plan.rights.state && blockers.length === 0"
      weight="go"
      @click="acts.goLive"
    >
      {{ t('setup.bar.goLive') }}
    </PushButton>
  </div>
  <section v-if="blockers.length > 0" class="group" aria-labelledby="blockers">
    <h2 id="blockers">{{ t('setup.readiness.blockers') }}</h2>
    <ul>
      <FindingLine v-for="finding in blockers" :key="finding.rule" :finding="finding" />
    </ul>
  </section>
  <section v-if="advice.length > 0" class="group" aria-labelledby="advice">
    <h2 id="advice">{{ t('setup.readiness.advice') }}</h2>
    <ul>
      <FindingLine v-for="finding in advice" :key="finding.rule" :finding="finding" />
    </ul>
  </section>
  <p v-if="plan.found.length === 0" class="settled">{{ t('setup.readiness.settled') }}</p>
</template>

<style scoped>
.readiness {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  padding: 12px 16px;
  border-top: 3px solid var(--route);
  background: var(--card);
}

.verdict {
  font-family: var(--font-heading);
  font-size: 18px;
  font-weight: 600;
}

.group {
  margin-top: 20px;
}

.group h2 {
  margin-bottom: 8px;
}

.group ul {
  padding: 0;
  list-style: none;
}

.settled {
  margin-top: 16px;
  color: var(--ink-soft);
}
</style>
