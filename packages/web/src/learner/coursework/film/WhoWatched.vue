<script setup lang="ts">
/** Who has watched how much of a film, those who have watched least first. It is asked for once it is unfolded. */
import type { WhoWatched } from '@itinerary/contract';
import { shallowRef } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../../../api/client.ts';
import { useMomentWords } from '../../../stores/moment-words.ts';
import PlainTable from '../../../ui/frame/PlainTable.vue';
import { formatNumber } from '../../../words/intl.ts';
import { useAttempt } from '../../../words/use-attempt.ts';

const props = defineProps<{ courseId: string; itemId: string }>();
const { t, locale } = useI18n();
const when = useMomentWords();
const { failure, attempt } = useAttempt();
const who = shallowRef<WhoWatched | null>(null);

async function unfold(event: Event): Promise<void> {
  if (!(event.target as HTMLDetailsElement).open) return;
  await attempt(async () => {
    who.value = await ask('GET /api/courses/{course}/items/{item}/film', {
      params: { course: props.courseId, item: props.itemId },
    });
  });
}
const percent = (value: number): string =>
  formatNumber(Math.floor(value * 100) / 100, locale.value, {
    style: 'percent',
    maximumFractionDigits: 0,
  });
const at = (iso: string | null): string =>
  iso === null ? '' : when(Date.parse(iso), who.value?.zone ?? 'UTC');
</script>

<template>
  <details @toggle="unfold">
    <summary>{{ t('film.who') }}</summary>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <PlainTable v-if="who !== null">
      <tr v-for="one in who.people" :key="one.person">
        <th scope="row">{{ one.name }}</th>
        <td class="right figures">
          {{
            one.at === null ? t('film.notOpened') : one.share === null ? t('film.opened') : percent(one.share)
          }}
        </td>
        <td class="soft">{{ at(one.at) }}</td>
      </tr>
    </PlainTable>
  </details>
</template>

<style scoped>
summary {
  padding: 6px 0;
  font-weight: 600;
  cursor: pointer;
}

.failure {
  color: var(--blocker);
}
</style>
