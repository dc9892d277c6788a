<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import { changeLocale, LOCALES } from '../words/i18n.ts';
import BareButton from '../ui/frame/BareButton.vue';

const { t, locale } = useI18n();
</script>

<template>
  <div role="group" :aria-label="t('common.account.language')" class="choice">
    <BareButton
      v-for="code in LOCALES"
      :key="code"
      :lang="code"
      :aria-pressed="locale === code"
      @click="changeLocale(code)"
    >
      {{ t(`common.languages.${code}`) }}
    </BareButton>
  </div>
</template>

<style scoped>
.choice {
  display: flex;
  gap: 4px;
}

button {
  min-height: 28px;
  padding: 2px 8px;
  border: 0;
  border-bottom: 2px solid transparent;
  background: none;
  color: var(--ink-soft);
  cursor: pointer;
}

button[aria-pressed='true'] {
  border-bottom-color: var(--route);
  color: var(--ink);
  font-weight: 600;
}
</style>
