<script setup lang="ts">
import type { DemoPeopleAnswer } from '@itinerary/contract';
import { computed, onMounted, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import { VTextField } from 'vuetify/components/VTextField';
import { ask } from '../api/client.ts';
import { useProblemSentence } from '../words/problems.ts';
import AppMark from '../ui/frame/AppMark.vue';
import LanguageChoice from './LanguageChoice.vue';
import { useSession } from '../stores/session.ts';
import PushButton from '../ui/frame/PushButton.vue';
import BareButton from '../ui/frame/BareButton.vue';

const { t } = useI18n();
const sentence = useProblemSentence();
const session = useSession();
const route = useRoute();
const router = useRouter();
const address = ref('');
const password = ref('');
const failure = ref<string | null>(null);
const isBusy = ref(false);
const people = ref<DemoPeopleAnswer['people']>([]);

const PARTS = ['instructor', 'co_instructor', 'assistant', 'learner', 'staff', 'visitor'];
const cards = computed(() => [...people.value].sort((a, b) => PARTS.indexOf(a.part) - PARTS.indexOf(b.part)));

onMounted(async () => {
  if (session.me?.demo !== true) return;
  people.value = (await ask('GET /api/demo/people', {})).people;
});

async function enter(work: () => Promise<void>): Promise<void> {
  isBusy.value = true;
  failure.value = null;
  try {
    await work();
    const then = route.query['then'];
    // Only addresses of our own: "//elsewhere" would leave the site.
    await router.push(typeof then === 'string' && /^\/(?!\/)/.test(then) ? then : '/desk');
  } catch (error) {
    failure.value = sentence(error);
  } finally {
    isBusy.value = false;
  }
}

const submit = (): Promise<void> => enter(() => session.signIn(address.value, password.value));
/** Whoever makes an account on the way goes on from there. */
const onward = computed(() => (typeof route.query['then'] === 'string' ? { then: route.query['then'] } : {}));
const initials = (name: string): string =>
  name
    .split(' ')
    .map((word) => word[0])
    .slice(0, 2)
    .join('');
</script>

<template>
  <div class="sign-in">
    <aside class="cover on-bar">
      <AppMark />
      <p class="promise">{{ t('common.signIn.promise') }}</p>
      <ol class="line" aria-hidden="true">
        <li v-for="stop in ['about', 'dates', 'outline', 'readiness', 'live']" :key="stop" :class="stop">
          {{ t(`common.signIn.line.${stop}`) }}
        </li>
      </ol>
      <p class="college">{{ session.me?.institution.name }}</p>
    </aside>
    <main id="main" class="entry">
      <LanguageChoice class="languages" />
      <h1>{{ t('common.signIn.title') }}</h1>
      <form class="form" @submit.prevent="submit">
        <VTextField
          v-model="address"
          :label="t('common.signIn.address')"
          type="email"
          name="address"
          autocomplete="username"
          required
        />
        <VTextField
          v-model="password"
          :label="t('common.signIn.password')"
          type="password"
          name="password"
          autocomplete="current-password"
          required
        />
        <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
        <PushButton weight="main" type="submit" :disabled="isBusy || !address || !password">
          {{ t('common.signIn.enter') }}
        </PushButton>
        <p class="links">
          <RouterLink :to="{ path: '/account/new', query: onward }">{{ t('account.links.make') }}</RouterLink>
          <RouterLink to="/account/forgotten">{{ t('account.links.forgotten') }}</RouterLink>
        </p>
      </form>
      <section v-if="cards.length > 0" class="demo" aria-labelledby="demo-heading">
        <h2 id="demo-heading">{{ t('common.demo.title') }}</h2>
        <p class="soft">{{ t('common.demo.text') }}</p>
        <ul>
          <li v-for="person in cards" :key="person.id">
            <BareButton :disabled="isBusy" @click="enter(() => session.signInAs(person.id))">
              <span class="initials figures" aria-hidden="true">{{ initials(person.name) }}</span>
              <span class="who">
                <strong>{{ person.name }}</strong>
                <span class="soft">{{ t(`common.demo.parts.${person.part}`) }}</span>
              </span>
            </BareButton>
          </li>
        </ul>
      </section>
    </main>
  </div>
</template>

<style scoped>
.sign-in {
  display: grid;
  grid-template-columns: minmax(280px, 400px) 1fr;
  min-height: 100vh;
}

.cover {
  display: flex;
  flex-direction: column;
  gap: 28px;
  padding: 28px 32px;
  background: var(--bar);
  color: var(--on-bar);
}

.promise {
  margin-top: 6vh;
  font-family: var(--font-heading);
  font-size: 30px;
  font-weight: 600;
  line-height: 1.2;
}

.line {
  margin: 0;
  padding: 0;
  list-style: none;
}

.line li {
  position: relative;
  padding: 0 0 18px 30px;
  color: var(--bar-soft);
}

.line li::before {
  content: '';
  position: absolute;
  inset-inline-start: 0;
  top: 4px;
  z-index: 1;
  width: 14px;
  height: 14px;
  box-sizing: border-box;
  border: 3px solid var(--go);
  border-radius: 50%;
  background: var(--bar);
}

.line li::after {
  content: '';
  position: absolute;
  inset-inline-start: 5.5px;
  top: 10px;
  bottom: -6px;
  width: 3px;
  background: var(--go);
}

.line li:last-child::after {
  display: none;
}

.line .live {
  color: var(--on-bar);
  font-weight: 650;
}

.line .live::before {
  background: var(--go);
}

.college {
  margin-top: auto;
  color: var(--bar-soft);
}

.entry {
  position: relative;
  display: grid;
  align-content: center;
  gap: 16px;
  max-width: 760px;
  padding: 56px 48px 32px;
}

.languages {
  position: absolute;
  top: 16px;
  inset-inline-end: 48px;
}

.form {
  display: grid;
  gap: 12px;
  justify-items: start;
  max-width: 380px;
}

.form > :deep(.v-input) {
  width: 100%;
}

.links {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 20px;
}

.failure {
  color: var(--blocker);
}

.demo {
  display: grid;
  gap: 8px;
  margin-top: 12px;
  padding-top: 16px;
  border-top: 3px solid var(--route);
}

.demo ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  gap: 8px;
  padding: 0;
  list-style: none;
}

.demo button {
  display: flex;
  align-items: center;
  gap: 10px;
  width: 100%;
  min-height: 52px;
  padding: 6px 12px;
  border: 1px solid var(--rule);
  border-radius: 8px;
  background: var(--card);
  text-align: start;
  cursor: pointer;
}

.demo button:hover {
  border-color: var(--bottle);
  background: var(--bottle-pale);
}

.initials {
  display: grid;
  flex: none;
  place-items: center;
  width: 34px;
  height: 34px;
  border-radius: 4px;
  background: var(--bottle-pale);
  color: var(--bottle);
  font-weight: 600;
}

.who {
  display: grid;
  line-height: 1.3;
}

.who .soft {
  font-size: 13px;
}

@media (max-width: 860px) {
  .sign-in {
    grid-template-columns: 1fr;
    grid-template-rows: auto 1fr;
  }

  .cover {
    gap: 8px;
    padding: 16px;
  }

  .promise {
    margin-top: 0;
    font-size: 20px;
  }

  .line,
  .college {
    display: none;
  }

  .entry {
    align-content: start;
    padding: 56px 16px 24px;
  }

  .languages {
    inset-inline-end: 16px;
  }
}
</style>
