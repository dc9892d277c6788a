<script setup lang="ts">
/** From the registry: which of its classes the course follows, how many of them are in, and when it was read. */
import { IconListCheck, IconRefresh } from '@tabler/icons-vue';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../../../api/client.ts';
import { useMomentWords } from '../../../stores/moment-words.ts';
import { usePlan } from '../../../stores/plan.ts';
import PushButton from '../../../ui/frame/PushButton.vue';
import { useAttempt } from '../../../words/use-attempt.ts';
import WayCard from '../ways/WayCard.vue';
import type { Ways } from '../ways/use-ways.ts';
import RegistryAsked from './RegistryAsked.vue';
import RegistryClasses from './RegistryClasses.vue';
import RegistryNews from './RegistryNews.vue';
import { useClassWords } from '../../../stores/class-words.ts';
import { useRegistry } from './use-registry.ts';

defineProps<{ held: Ways }>();
const emit = defineEmits<{ said: [words: string] }>();
const { t } = useI18n();
const plan = usePlan();
const when = useMomentWords();
const words = useClassWords();
const followed = useRegistry();
const { registry, missing } = followed;
const isChoosing = ref(false);
const asked = useAttempt();
const zone = computed(() => plan.course?.dates.zone ?? 'UTC');
const at = (instant: string | null): string =>
  instant === null ? '' : when(Date.parse(instant), zone.value);
const isHere = computed(
  () => registry.value !== null && (registry.value.reading.isThere || registry.value.follows.length > 0),
);
const EXPECTED = ['draft', 'not_yet', 'over'];
const expected = computed(() =>
  (registry.value?.expected ?? []).filter(({ because }) => EXPECTED.includes(because)),
);
const groupName = (group: string | null): string | null =>
  group === null ? null : (plan.course?.groups[group]?.name ?? null);

/** A way that is on leads somewhere: first it is said which classes. */
async function before(): Promise<boolean> {
  if ((registry.value?.follows.length ?? 0) > 0) return true;
  isChoosing.value = true;
  return Promise.resolve(false);
}
/** A reading is told to whoever follows a class; whoever follows none yet looks for it for a while. */
const LOOKS_MS = [500, 1000, 2000, 4000, 8000];
async function readNow(): Promise<void> {
  const before = registry.value?.reading.triedAt ?? null;
  const went = await asked.attempt(async () => {
    await ask('POST /api/registry/readings', {});
  });
  if (!went) return;
  emit('said', t('setup.registry.asked'));
  if ((registry.value?.follows.length ?? 0) > 0) return;
  for (const ms of LOOKS_MS) {
    await new Promise((resolve) => setTimeout(resolve, ms));
    await followed.refresh();
    if (registry.value?.reading.triedAt !== before) return;
  }
}
</script>

<template>
  <WayCard kind="registry" :held="held" :before="before" without-domains :is-under-way="!isHere">
    <template #always>
      <p v-if="missing ?? asked.failure.value" class="failure" role="alert">
        {{ missing ?? asked.failure.value }}
      </p>
      <p v-if="registry !== null && !isHere" class="soft">{{ t('setup.registry.none') }}</p>
      <RegistryAsked v-if="registry !== null" :held="followed" @said="emit('said', $event)" />
    </template>
    <template v-if="registry !== null">
      <ul v-if="registry.follows.length > 0" class="followed">
        <li v-for="one in registry.follows" :key="one.class.id">
          <strong>{{ one.class.title }}</strong>
          <span class="soft">{{ words(one.class) }}</span>
          <span v-if="groupName(one.group)">{{
            t('setup.registry.itself', { name: groupName(one.group) })
          }}</span>
        </li>
      </ul>
      <p v-if="registry.follows.length > 0">
        {{ t('setup.registry.isIn', { in: registry.isIn, listed: registry.listed }) }}
        <template v-if="registry.waiting > 0">{{ t('setup.registry.waiting', registry.waiting) }}</template>
        <template v-for="one in expected" :key="one.because">
          {{ t(`setup.registry.expected.${one.because}`, one.count) }}
        </template>
      </p>
      <div class="acts">
        <PushButton v-if="!plan.isReadonly" small @click="isChoosing = true">
          <IconListCheck :size="16" aria-hidden="true" /> {{ t('setup.registry.choose') }}
        </PushButton>
        <PushButton v-if="registry.reading.isThere" small :disabled="asked.isUnderWay.value" @click="readNow">
          <IconRefresh :size="16" aria-hidden="true" /> {{ t('setup.registry.read') }}
        </PushButton>
        <span class="soft">{{
          registry.reading.readAt === null
            ? t('setup.registry.neverRead')
            : t('setup.registry.readAt', { when: at(registry.reading.readAt) })
        }}</span>
      </div>
      <p v-if="registry.reading.problem !== null" class="failure" role="status">
        {{
          t('setup.registry.away', {
            when: at(registry.reading.triedAt),
            why: registry.reading.problem,
          })
        }}
      </p>
      <details v-if="registry.reading.unread.length > 0">
        <summary>{{ t('setup.registry.unread', registry.reading.unread.length) }}</summary>
        <p v-for="one in registry.reading.unread" :key="one" class="soft figures">{{ one }}</p>
      </details>
      <RegistryNews v-if="registry.follows.length > 0 || registry.news.length > 0" :registry="registry" />
    </template>
  </WayCard>
  <RegistryClasses v-model="isChoosing" :held="followed" @said="emit('said', $event)" />
</template>

<style scoped>
.followed {
  display: grid;
  gap: 2px;
  margin: 0;
  padding: 0;
  list-style: none;
}

.followed li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  padding: 4px 0;
  border-bottom: 1px solid var(--rule);
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}

.failure {
  color: var(--blocker);
}
</style>
