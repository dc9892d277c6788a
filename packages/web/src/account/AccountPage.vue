<script setup lang="ts">
/** One's own account: the password, and where one is signed in. */
import type { SessionsAnswer } from '@itinerary/contract';
import { computed, ref, shallowRef } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextField } from 'vuetify/components/VTextField';
import { ask, ProblemError } from '../api/client.ts';
import { useMomentWords } from '../stores/moment-words.ts';
import { LEAST_PASSWORD } from '../stores/limits.ts';
import { useSession } from '../stores/session.ts';
import AppBar from '../ui/frame/AppBar.vue';
import PasswordField from '../ui/fields/PasswordField.vue';
import PushButton from '../ui/frame/PushButton.vue';
import { useProblemSentence } from '../words/problems.ts';
import { browserName } from './browser-name.ts';

const { t } = useI18n();
const session = useSession();
const sentence = useProblemSentence();
const when = useMomentWords();
const zone = computed(() => session.me?.institution.zone ?? 'UTC');
const sessions = shallowRef<SessionsAnswer['sessions']>([]);
const old = ref('');
const password = ref('');
const failure = ref<string | null>(null);
const said = ref('');
const isUnderWay = ref(false);

async function attempt(work: () => Promise<void>): Promise<void> {
  failure.value = null;
  said.value = '';
  isUnderWay.value = true;
  try {
    await work();
  } catch (error) {
    const isWrong = error instanceof ProblemError && error.problem.code === 'wrong_name_or_password';
    failure.value = isWrong ? t('account.own.wrong') : sentence(error);
  } finally {
    isUnderWay.value = false;
  }
}
async function read(): Promise<void> {
  ({ sessions: sessions.value } = await ask('GET /api/me/sessions', {}));
}
void attempt(read);
const change = (): Promise<void> =>
  attempt(async () => {
    await ask('PUT /api/me/password', { body: { old: old.value, password: password.value } });
    old.value = '';
    password.value = '';
    await read();
    said.value = t('account.own.changed');
  });
const end = (id: string): Promise<void> =>
  attempt(async () => {
    await ask('DELETE /api/me/sessions/{session}', { params: { session: id } });
    await read();
    said.value = t('account.own.ended');
  });
const nameOf = (browser: string): string => browserName(browser) ?? t('account.own.unknown');
</script>

<template>
  <AppBar />
  <main id="main" class="own">
    <h1>{{ t('account.own.title') }}</h1>
    <dl v-if="session.person">
      <div>
        <dt class="soft">{{ t('account.own.name') }}</dt>
        <dd>{{ session.person.name }}</dd>
      </div>
      <div>
        <dt class="soft">{{ t('account.own.address') }}</dt>
        <dd>{{ session.person.address }}</dd>
      </div>
    </dl>
    <p class="soft">{{ t('account.own.letters') }}</p>
    <p class="said" role="status">{{ said }}</p>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <section aria-labelledby="own-password">
      <h2 id="own-password">{{ t('account.own.password') }}</h2>
      <form class="form" @submit.prevent="change">
        <VTextField
          v-model="old"
          :label="t('account.own.old')"
          type="password"
          autocomplete="current-password"
          required
        />
        <PasswordField
          v-model="password"
          :label="t('account.own.new', { least: LEAST_PASSWORD })"
          :short="t('account.choose.short', { least: LEAST_PASSWORD })"
        />
        <PushButton
          weight="main"
          type="submit"
          :disabled="isUnderWay || old === '' || password.length < LEAST_PASSWORD"
        >
          {{ t('account.own.change') }}
        </PushButton>
      </form>
    </section>
    <section aria-labelledby="own-sessions">
      <h2 id="own-sessions">{{ t('account.own.sessions') }}</h2>
      <ul>
        <li v-for="one in sessions" :key="one.id">
          <strong>{{ nameOf(one.browser) }}</strong>
          <span v-if="one.isThis" class="here">{{ t('account.own.this') }}</span>
          <span v-if="one.since" class="soft">
            {{ t('account.own.since', { when: when(Date.parse(one.since), zone) }) }}
          </span>
          <PushButton
            v-if="!one.isThis"
            small
            :disabled="isUnderWay"
            :aria-label="t('account.own.endOf', { browser: nameOf(one.browser) })"
            @click="end(one.id)"
          >
            {{ t('account.own.end') }}
          </PushButton>
        </li>
      </ul>
    </section>
  </main>
</template>

<style scoped>
.own {
  display: grid;
  gap: 16px;
  max-width: 640px;
  margin: 0 auto;
  padding: 28px 20px 48px;
}

dl {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 32px;
  margin: 0;
}

dd {
  margin: 0;
  font-weight: 600;
}

h2 {
  margin-bottom: 8px;
  font-size: 17px;
}

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

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
  min-height: 44px;
  border-bottom: 1px solid var(--rule);
}

li > button {
  margin-inline-start: auto;
}

.here {
  color: var(--open);
  font-weight: 600;
}

.said:empty {
  display: none;
}

.said {
  padding: 8px 12px;
  border-inline-start: 4px solid var(--open);
  background: var(--card);
}

.failure {
  color: var(--blocker);
}
</style>
