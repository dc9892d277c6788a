<script setup lang="ts">
/** What one has done in the course, day by day, the latest first. */
import type { OwnLogAnswer } from '@itinerary/contract';
import { computed, ref, shallowRef } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { ask, ProblemError } from '../../api/client.ts';
import { useSession } from '../../stores/session.ts';
import LoadState from '../../ui/frame/LoadState.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import { dayIn, formatDay, formatTime } from '../../words/dates.ts';
import { setTitle } from '../../words/page-title.ts';
import { useAttempt } from '../../words/use-attempt.ts';
import ItemSign from '../outline/ItemSign.vue';

type Entry = OwnLogAnswer['entries'][number];
const { t, locale } = useI18n();
const route = useRoute();
const session = useSession();
const courseId = String(route.params['course']);
const entries = shallowRef<readonly Entry[]>([]);
const zone = ref('UTC');
const isMore = ref(false);
const state = ref<'loading' | 'there' | 'nothing' | 'failed'>('loading');
const { failure, attempt } = useAttempt();
setTitle(t('own.log.title'));

async function read(before: string | undefined): Promise<void> {
  const answer = await ask('GET /api/learn/{course}/log', {
    params: { course: courseId },
    query: before === undefined ? {} : { before },
  });
  entries.value = before === undefined ? answer.entries : [...entries.value, ...answer.entries];
  zone.value = answer.zone;
  isMore.value = answer.more;
}
async function load(): Promise<void> {
  state.value = 'loading';
  try {
    await read(undefined);
    state.value = 'there';
  } catch (error) {
    state.value = error instanceof ProblemError && error.problem.status === 404 ? 'nothing' : 'failed';
  }
}
void load();

/** By days of the course's zone. */
const days = computed(() => {
  const found = new Map<string, Entry[]>();
  for (const entry of entries.value) {
    const day = dayIn(entry.at, zone.value);
    found.set(day, [...(found.get(day) ?? []), entry]);
  }
  return [...found].map(([day, deeds]) => ({
    day,
    words: formatDay(day, locale.value, { today: session.today }),
    deeds,
  }));
});
</script>

<template>
  <main v-if="state === 'there'" id="main" class="page">
    <h1>{{ t('own.log.title') }}</h1>
    <p class="soft">{{ t('own.log.lead', { zone }) }}</p>
    <p v-if="entries.length === 0">{{ t('own.log.none') }}</p>
    <section v-for="{ day, words, deeds } in days" :key="day" :aria-labelledby="`day-${day}`">
      <h2 :id="`day-${day}`" class="figures">{{ words }}</h2>
      <ul>
        <li v-for="(entry, at) in deeds" :key="at">
          <span class="figures soft">{{ formatTime(entry.at, locale, zone) }}</span>
          <span class="what">{{ t(`own.log.what.${entry.what}`) }}</span>
          <RouterLink v-if="entry.item" :to="`/courses/${courseId}/items/${entry.item.id}`">
            <ItemSign :kind="entry.item.kind" class="sign" />
            <span v-if="entry.item.number" class="figures soft">{{ entry.item.number }}</span>
            <span dir="auto">{{ entry.item.title }}</span>
          </RouterLink>
          <span v-else class="soft">{{ t('own.log.gone') }}</span>
        </li>
      </ul>
    </section>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <p v-if="isMore">
      <PushButton @click="attempt(() => read(entries.at(-1)?.at))">{{ t('own.log.more') }}</PushButton>
    </p>
  </main>
  <LoadState v-else :state="state" @again="load" />
</template>

<style scoped>
.page {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  width: 100%;
  max-width: 820px;
  margin-inline: auto;
  padding: 20px 16px 40px;
}

h2 {
  font-size: 16px;
}

ul {
  margin: 4px 0 0;
  padding: 0;
  border-top: 3px solid var(--route);
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: 56px minmax(120px, auto) minmax(0, 1fr);
  gap: 2px 14px;
  align-items: baseline;
  padding: 7px 2px;
  border-bottom: 1px solid var(--rule);
}

li a {
  display: flex;
  gap: 7px;
  align-items: baseline;
  min-height: 24px;
  overflow-wrap: anywhere;
}

.sign {
  align-self: center;
}

.failure {
  color: var(--blocker);
}

@media (width <= 520px) {
  li {
    grid-template-columns: 50px minmax(0, 1fr);
  }

  li > :last-child {
    grid-column: 2;
  }
}
</style>
