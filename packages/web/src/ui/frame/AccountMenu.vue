<script setup lang="ts">
import { IconCheck, IconChevronDown, IconUser } from '@tabler/icons-vue';
import { onBeforeUnmount, onMounted, ref, useId } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import { useTheme } from 'vuetify';
import { ask } from '../../api/client.ts';
import { changeLocale, LOCALES } from '../../words/i18n.ts';
import type { Locale } from '../../words/i18n.ts';
import { storeAppearance, storedAppearance } from '../../theme/vuetify.ts';
import type { Appearance } from '../../theme/vuetify.ts';
import { useSession } from '../../stores/session.ts';

const { t, locale } = useI18n();
const session = useSession();
const router = useRouter();
const theme = useTheme();
const isOpen = ref(false);
const root = ref<HTMLElement | null>(null);
const trigger = ref<HTMLButtonElement | null>(null);
const panelId = useId();
const appearance = ref<Appearance>(storedAppearance());
const APPEARANCES: readonly Appearance[] = ['system', 'light', 'dark'];

function choose(next: Appearance): void {
  appearance.value = next;
  storeAppearance(next);
  void theme.change(next);
}

/** Letters come in the language that was chosen last; what does not arrive now comes with the next choice. */
async function speak(lang: Locale): Promise<void> {
  await changeLocale(lang);
  await ask('PUT /api/me/language', { body: { lang } }).catch(() => undefined);
}

const signOut = (): Promise<void> => session.signOut(() => router.push({ name: 'sign-in' }));

function closeFrom(event: Event): void {
  if (isOpen.value && !root.value?.contains(event.target as Node)) isOpen.value = false;
}

function close(): void {
  isOpen.value = false;
  trigger.value?.focus();
}

onMounted(() => document.addEventListener('pointerdown', closeFrom));
onBeforeUnmount(() => document.removeEventListener('pointerdown', closeFrom));
</script>

<template>
  <div ref="root" class="account" @keydown.esc="close">
    <button
      ref="trigger"
      class="button bare trigger"
      type="button"
      :aria-expanded="isOpen"
      :aria-controls="panelId"
      :aria-label="t('common.account.label', { name: session.person?.name ?? '' })"
      @click="isOpen = !isOpen"
    >
      <IconUser :size="18" aria-hidden="true" />
      <span class="name">{{ session.person?.name }}</span>
      <IconChevronDown :size="15" aria-hidden="true" />
    </button>
    <div v-show="isOpen" :id="panelId" class="panel">
      <p class="who">
        <strong>{{ session.person?.name }}</strong>
        <span class="soft">{{ session.person?.address }}</span>
      </p>
      <fieldset>
        <legend>{{ t('common.account.language') }}</legend>
        <button
          v-for="code in LOCALES"
          :key="code"
          class="choice"
          type="button"
          :lang="code"
          :aria-pressed="locale === code"
          @click="speak(code)"
        >
          <IconCheck v-if="locale === code" :size="15" aria-hidden="true" />
          {{ t(`common.languages.${code}`) }}
        </button>
      </fieldset>
      <fieldset>
        <legend>{{ t('common.account.appearance') }}</legend>
        <button
          v-for="name in APPEARANCES"
          :key="name"
          class="choice"
          type="button"
          :aria-pressed="appearance === name"
          @click="choose(name)"
        >
          <IconCheck v-if="appearance === name" :size="15" aria-hidden="true" />
          {{ t(`common.account.appearances.${name}`) }}
        </button>
      </fieldset>
      <RouterLink class="button" to="/calendar" @click="isOpen = false">{{
        t('common.account.calendar')
      }}</RouterLink>
      <RouterLink class="button" to="/account" @click="isOpen = false">{{
        t('common.account.own')
      }}</RouterLink>
      <button class="button" type="button" @click="signOut">{{ t('common.account.signOut') }}</button>
    </div>
  </div>
</template>

<style scoped>
.account {
  position: relative;
}

.trigger {
  padding-inline: 8px;
  font-weight: 450;
}

.panel {
  position: absolute;
  top: calc(100% + 8px);
  inset-inline-end: 0;
  z-index: 30;
  display: grid;
  gap: 12px;
  width: 268px;
  padding: 16px;
  border: 1px solid var(--field-rule);
  border-radius: 8px;
  background: var(--card);
  color: var(--ink);
}

.panel :focus-visible {
  outline-color: var(--bottle);
}

.panel .button {
  border-color: var(--field-rule) !important;
  color: var(--ink) !important;
}

.panel .button:hover {
  background: var(--bottle-pale) !important;
}

.who {
  display: grid;
  overflow-wrap: anywhere;
}

fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  padding: 0 0 4px;
  color: var(--ink-soft);
  font-size: 12.5px;
}

.choice {
  display: inline-flex;
  align-items: center;
  gap: 4px;
  min-height: 30px;
  padding: 2px 10px;
  border: 1px solid var(--field-rule);
  border-radius: 6px;
  background: transparent;
  cursor: pointer;
}

.choice[aria-pressed='true'] {
  border-color: var(--bottle);
  background: var(--bottle-pale);
}

@media (max-width: 620px) {
  .name {
    display: none;
  }
}
</style>
