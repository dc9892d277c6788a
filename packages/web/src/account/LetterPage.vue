<script setup lang="ts">
/** Asking for the letter by which an account is made, or a password set anew. What comes of it is told by the letter. */
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { VTextField } from 'vuetify/components/VTextField';
import { ask } from '../api/client.ts';
import PushButton from '../ui/frame/PushButton.vue';
import { LOCALES } from '../words/i18n.ts';
import { useProblemSentence } from '../words/problems.ts';
import AccountFrame from './AccountFrame.vue';

const props = defineProps<{ wants: 'make' | 'forgotten' }>();
const { t, locale } = useI18n();
const route = useRoute();
const sentence = useProblemSentence();
const name = ref('');
const address = ref('');
const failure = ref<string | null>(null);
const isUnderWay = ref(false);
/** The address to which it went; null: it has not gone yet. */
const sentTo = ref<string | null>(null);
const isMaking = computed(() => props.wants === 'make');
const isReady = computed(
  () => /^\S+@\S+\.\S+$/.test(address.value.trim()) && (!isMaking.value || name.value.trim() !== ''),
);

async function send(): Promise<void> {
  failure.value = null;
  isUnderWay.value = true;
  const lang = LOCALES.find((one) => one === locale.value) ?? 'en';
  const to = address.value.trim();
  const then = route.query['then'];
  try {
    if (isMaking.value) {
      const onward = typeof then === 'string' && /^\/(?![/\\])/.test(then) ? then : null;
      await ask('POST /api/accounts', { body: { address: to, name: name.value.trim(), lang, onward } });
    } else await ask('POST /api/accounts/forgotten', { body: { address: to, lang } });
    sentTo.value = to;
  } catch (error) {
    failure.value = sentence(error);
  } finally {
    isUnderWay.value = false;
  }
}
</script>

<template>
  <AccountFrame :title="sentTo === null ? t(`account.${wants}.title`) : t('account.sent.title')">
    <template v-if="sentTo === null">
      <p class="soft">{{ t(`account.${wants}.lead`) }}</p>
      <form class="form" @submit.prevent="send">
        <VTextField
          v-if="isMaking"
          v-model="name"
          :label="t('account.make.name')"
          autocomplete="name"
          maxlength="200"
          required
        />
        <VTextField
          v-model="address"
          :label="t('account.make.address')"
          type="email"
          autocomplete="email"
          maxlength="200"
          required
        />
        <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
        <PushButton weight="main" type="submit" :disabled="isUnderWay || !isReady">
          {{ t(`account.${wants}.send`) }}
        </PushButton>
      </form>
    </template>
    <div v-else class="sent" role="status">
      <p>{{ t('account.sent.text', { address: sentTo }) }}</p>
      <p class="soft">{{ t('account.sent.again') }}</p>
    </div>
  </AccountFrame>
</template>

<style scoped>
.form {
  display: grid;
  gap: 12px;
  justify-items: start;
  padding: 16px 18px;
  border-top: 3px solid var(--route);
  background: var(--card);
}

.form > :deep(.v-input) {
  width: 100%;
}

.sent {
  display: grid;
  gap: 8px;
  padding: 16px 18px;
  border-top: 3px solid var(--open);
  background: var(--card);
}

.failure {
  color: var(--blocker);
}
</style>
