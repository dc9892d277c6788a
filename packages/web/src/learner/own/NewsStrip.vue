<script setup lang="ts">
/** What is new since one was here last, each leading there; and the way to one's own log. */
import { IconHistory } from '@tabler/icons-vue';
import type { NewsAnswer } from '@itinerary/contract';
import { computed, shallowRef } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../../api/client.ts';
import { useMomentWords } from '../../stores/moment-words.ts';
import ItemSign from '../outline/ItemSign.vue';

const props = defineProps<{ courseId: string; showsLog: boolean }>();
const { t } = useI18n();
const when = useMomentWords();
const news = shallowRef<NewsAnswer | null>(null);
async function load(): Promise<void> {
  news.value = await ask('GET /api/learn/{course}/news', { params: { course: props.courseId } });
}
void load().catch(() => undefined);

type Thing = NewsAnswer['things'][number];
const things = computed(() => news.value?.things ?? []);
const at = (iso: string): string => when(Date.parse(iso), news.value?.zone ?? 'UTC');
const to = ({ item }: Thing): string =>
  item === null ? `/courses/${props.courseId}/announcements` : `/courses/${props.courseId}/items/${item.id}`;
</script>

<template>
  <section v-if="things.length > 0 || showsLog" class="news" :aria-label="t('own.news.title')">
    <details v-if="things.length > 0" open>
      <summary>
        {{ t('own.news.title') }}
        <span v-if="news?.since" class="soft figures">{{
          t('own.news.since', { when: at(news.since) })
        }}</span>
      </summary>
      <ul>
        <li v-for="(thing, index) in things" :key="index">
          <RouterLink :to="to(thing)">
            <ItemSign v-if="thing.item" :kind="thing.item.kind" class="sign" />
            <span v-if="thing.item?.number" class="figures soft">{{ thing.item.number }}</span>
            <span dir="auto" class="title">{{ thing.title }}</span>
          </RouterLink>
          <span class="soft">{{ t(`own.news.what.${thing.what}`, thing.count) }}</span>
          <span class="soft figures">{{ at(thing.at) }}</span>
        </li>
      </ul>
    </details>
    <p v-if="showsLog" class="ways">
      <RouterLink :to="`/courses/${courseId}/log`">
        <IconHistory :size="17" aria-hidden="true" /> {{ t('own.log.title') }}
      </RouterLink>
    </p>
  </section>
</template>

<style scoped>
.news {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
}

summary {
  min-height: 28px;
  font-weight: 600;
}

summary .soft {
  margin-inline-start: 8px;
  font-weight: 400;
}

ul {
  margin: 6px 0 0;
  padding: 0;
  border-top: 3px solid var(--route);
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: 2px 14px;
  align-items: baseline;
  padding: 7px 2px;
  border-bottom: 1px solid var(--rule);
  font-size: 14.5px;
}

li a {
  display: flex;
  gap: 7px;
  align-items: baseline;
  min-height: 24px;
}

.sign {
  align-self: center;
}

.title {
  overflow-wrap: anywhere;
}

.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 20px;
  font-size: 14.5px;
}

.ways a {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  min-height: 28px;
}

@media (width <= 520px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
  }

  li a {
    grid-column: 1 / -1;
  }
}
</style>
