<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import NothingHere from './NothingHere.vue';
import type { Loading } from '../../api/use-answer.ts';
import PushButton from './PushButton.vue';

/** `within`: the page has its own beginning, and this is a part of it. */
defineProps<{ state: Loading; within?: boolean }>();
defineEmits<{ again: [] }>();
const { t } = useI18n();
</script>

<template>
  <NothingHere
    v-if="state === 'nothing'"
    :title="t('common.nowhere.title')"
    :text="t('common.nowhere.text')"
  />
  <component :is="within ? 'div' : 'main'" v-else :id="within ? undefined : 'main'" class="wait">
    <div v-if="state === 'loading'" role="status">
      <component :is="within ? 'p' : 'h1'" class="loading">{{ t('learner.loading') }}</component>
    </div>
    <template v-else>
      <component :is="within ? 'h2' : 'h1'">{{ t('learner.failed') }}</component>
      <p class="soft">{{ t('common.problems.unreachable') }}</p>
      <PushButton weight="main" @click="$emit('again')">{{ t('common.away.again') }}</PushButton>
    </template>
  </component>
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
