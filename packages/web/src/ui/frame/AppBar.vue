<script setup lang="ts">
import AccountMenu from './AccountMenu.vue';
import AppMark from './AppMark.vue';
import { useSession } from '../../stores/session.ts';
import PushButton from './PushButton.vue';

const session = useSession();
</script>

<template>
  <header class="app-bar on-bar">
    <AppMark to="/desk" />
    <slot />
    <span class="spacer" />
    <slot name="end" />
    <AccountMenu v-if="session.person !== null" />
    <PushButton v-else small :to="{ name: 'sign-in', query: { then: $route.fullPath } }">{{
      $t('common.signIn.title')
    }}</PushButton>
  </header>
</template>

<style scoped>
.app-bar {
  position: sticky;
  top: 0;
  z-index: 20;
  display: flex;
  align-items: center;
  gap: 16px;
  height: var(--bar-height);
  padding: 0 16px;
  background: var(--bar);
  color: var(--on-bar);
}

.spacer {
  flex: 1;
}
</style>
