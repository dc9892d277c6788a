<script setup lang="ts">
/** The page to which such a letter leads: a password is chosen, and whoever chooses it is in. */
import type { AccountKeyAnswer } from '@itinerary/contract';
import { computed, ref, shallowRef, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import { VTextField } from 'vuetify/components/VTextField';
import { ask, ProblemError } from '../api/client.ts';
import { LEAST_PASSWORD } from '../stores/limits.ts';
import { useSession } from '../stores/session.ts';
import PasswordField from '../ui/fields/PasswordField.vue';
import PushButton from '../ui/frame/PushButton.vue';
import { useProblemSentence } from '../words/problems.ts';
import AccountFrame from './AccountFrame.vue';

const { t } = useI18n();
const route = useRoute();
const router = useRouter();
const session = useSession();
const sentence = useProblemSentence();
const key = computed(() => String(route.params['key']));
const kind = computed(() => (route.params['kind'] === 'reset' ? 'reset' : 'confirm'));
const found = shallowRef<AccountKeyAnswer | null>(null);
const name = ref('');
const password = ref('');
const failure = ref<string | null>(null);
const isOver = ref(false);
const isUnderWay = ref(false);
const isReady = computed(
  () => password.value.length >= LEAST_PASSWORD && (kind.value === 'reset' || name.value.trim() !== ''),
);

async function attempt(work: () => Promise<void>): Promise<void> {
  failure.value = null;
  isUnderWay.value = true;
  try {
    await work();
  } catch (error) {
    isOver.value = error instanceof ProblemError && error.problem.code === 'not_found';
    failure.value = isOver.value ? t('account.choose.over') : sentence(error);
  } finally {
    isUnderWay.value = false;
  }
}
watch(
  key,
  () =>
    attempt(async () => {
      found.value = null;
      found.value = await ask('GET /api/accounts/keys/{key}', { params: { key: key.value } });
      name.value = found.value.name;
    }),
  { immediate: true },
);
const choose = (): Promise<void> =>
  attempt(async () => {
    const wanted = kind.value === 'reset' ? null : name.value.trim();
    const onward = await session.byLetter(key.value, wanted, password.value);
    await router.push(onward ?? '/desk');
  });
</script>

<template>
  <AccountFrame :title="t(`account.choose.${kind}`)">
    <template v-if="isOver">
      <p class="failure" role="alert">{{ failure }}</p>
      <p>
        <RouterLink class="button main" :to="kind === 'reset' ? '/account/forgotten' : '/account/new'">
          {{ t('account.choose.newOne') }}
        </RouterLink>
      </p>
    </template>
    <form v-else class="form" @submit.prevent="choose">
      <p v-if="found" class="soft">{{ t('account.choose.of', { address: found.address }) }}</p>
      <VTextField
        v-if="kind === 'confirm'"
        v-model="name"
        :label="t('account.make.name')"
        autocomplete="name"
        maxlength="200"
        required
      />
      <PasswordField
        v-model="password"
        :label="t('account.choose.password', { least: LEAST_PASSWORD })"
        :short="t('account.choose.short', { least: LEAST_PASSWORD })"
      />
      <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
      <PushButton weight="main" type="submit" :disabled="isUnderWay || found === null || !isReady">
        {{ t(kind === 'reset' ? 'account.choose.setIt' : 'account.choose.makeIt') }}
      </PushButton>
    </form>
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

.failure {
  color: var(--blocker);
}
</style>
