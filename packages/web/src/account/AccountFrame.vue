<script setup lang="ts">
/** What stands around the pages about an account, for whoever is not signed in. */
import { useI18n } from 'vue-i18n';
import AppMark from '../ui/frame/AppMark.vue';
import LanguageChoice from '../signin/LanguageChoice.vue';

defineProps<{ title: string }>();
const { t } = useI18n();
</script>

<template>
  <header class="head on-bar">
    <AppMark />
    <RouterLink to="/sign-in">{{ t('account.links.back') }}</RouterLink>
  </header>
  <main id="main" class="account">
    <LanguageChoice class="languages" />
    <h1>{{ title }}</h1>
    <slot />
  </main>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: center;
  justify-content: space-between;
  padding: 12px 20px;
  background: var(--bar);
  color: var(--on-bar);
}

.head a {
  color: var(--on-bar);
}

.account {
  display: grid;
  gap: 14px;
  max-width: 560px;
  margin: 0 auto;
  padding: 24px 20px 48px;
}

.languages {
  justify-self: end;
}
</style>
