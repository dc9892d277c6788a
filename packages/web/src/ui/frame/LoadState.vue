<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import NothingHere from './NothingHere.vue';
import type { Loading } from '../../api/use-answer.ts';
import PushButton from './PushButton.vue';

defineProps<{ state: Loading }>();
defineEmits<{ again: [] }>();
const { t } = useI18n();
</script>

<template>
  <NothingHere
    v-if="state === 'nothing'"
    :title="t('common.nowhere.title')"
    :text="t('common.nowhere.text')"
  />
  <main v-else id="main" class="wait">
    <div v-if="state === 'loading'" role="status">
      <h1 class="loading">{{ t('learner.loading') }}</h1>
    </div>
    <template v-else>
      <h1>{{ t('learner.failed') }}</h1>
      <p class="soft">{{ t('common.problems.unreachable') }}</p>
      <PushButton weight="main" @click="$emit('again')">{{ t('common.away.again') }}</PushButton>
    </template>
  </main>
</template>

<style scoped>
.loading {
  font: inherit;
  color: var(--ink-soft);
}

.wait {
  display: grid;
  gap: 12px;
  justify-items: start;
  max-width: 520px;
  margin: 12vh auto;
  padding: 0 24px;
}
</style>
