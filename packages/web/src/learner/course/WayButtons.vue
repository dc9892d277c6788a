<script setup lang="ts">
/** The way on and back: to the page before and the next one. */
import { IconArrowLeft, IconArrowRight } from '@tabler/icons-vue';
import { useI18n } from 'vue-i18n';

interface Way {
  readonly to: string;
  readonly title: string;
  readonly number: string | null;
}

defineProps<{ previous: Way | null; next: Way | null }>();
const { t } = useI18n();
</script>

<template>
  <nav class="ways" :aria-label="t('learner.ways')">
    <RouterLink v-if="previous" class="way" :to="previous.to">
      <span class="soft"><IconArrowLeft :size="16" aria-hidden="true" /> {{ t('learner.previous') }}</span>
      <span
        ><span class="figures">{{ previous.number }}</span> {{ previous.title }}</span
      >
    </RouterLink>
    <RouterLink v-if="next" class="way on" :to="next.to">
      <span class="soft">{{ t('learner.next') }} <IconArrowRight :size="16" aria-hidden="true" /></span>
      <span
        ><span class="figures">{{ next.number }}</span> {{ next.title }}</span
      >
    </RouterLink>
  </nav>
</template>

<style scoped>
.ways {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
  margin-top: 40px;
  padding-top: 16px;
  border-top: 3px solid var(--route);
}

.way {
  display: grid;
  gap: 2px;
  padding: 10px 14px;
  border: 1px solid var(--rule);
  border-radius: 6px;
  color: var(--ink);
  text-decoration: none;
}

.way:hover {
  border-color: var(--bottle);
  background: var(--bottle-pale);
}

.way .soft {
  display: inline-flex;
  align-items: center;
  gap: 4px;
  font-size: 13px;
}

.way.on {
  grid-column: 2;
  justify-items: end;
  text-align: end;
}

@media (max-width: 520px) {
  .ways {
    grid-template-columns: 1fr;
  }

  .way.on {
    grid-column: 1;
    grid-row: 1;
  }
}
</style>
