<script setup lang="ts">
/** Words looked for in all of the course that one gets. */
import type { FoundAnswer } from '@itinerary/contract';
import { computed, nextTick, onMounted, ref, shallowRef, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import { ask } from '../../api/client.ts';
import FindField from '../../ui/fields/FindField.vue';
import { setTitle } from '../../words/page-title.ts';
import ItemSign from '../outline/ItemSign.vue';

const { t } = useI18n();
const route = useRoute();
const router = useRouter();
const courseId = computed(() => String(route.params['course']));
const find = ref(typeof route.query['find'] === 'string' ? route.query['find'] : '');
const found = shallowRef<FoundAnswer | null>(null);
const isAway = ref(false);
const root = ref<HTMLElement | null>(null);
setTitle(t('own.find.title'));
onMounted(async () => {
  await nextTick();
  root.value?.querySelector('input')?.focus();
});

/** What is answered late is not shown over what was asked since. */
let asked = 0;
async function look(): Promise<void> {
  const words = find.value.trim();
  asked += 1;
  const mine = asked;
  isAway.value = false;
  if (words === '') {
    found.value = null;
    return;
  }
  try {
    const answer = await ask('GET /api/learn/{course}/found', {
      params: { course: courseId.value },
      query: { find: words.slice(0, 200) },
    });
    if (mine === asked) found.value = answer;
  } catch {
    if (mine === asked) isAway.value = true;
  }
}
let waiting: ReturnType<typeof setTimeout> | undefined;
watch(find, (words) => {
  clearTimeout(waiting);
  waiting = setTimeout(() => {
    void router.replace({ query: words.trim() === '' ? {} : { find: words } });
    void look();
  }, 250);
});
void look();

type Found = FoundAnswer['found'][number];
function to({ where, id, item }: Found): string {
  const course = `/courses/${courseId.value}`;
  switch (where) {
    case 'section':
      return `${course}/sections/${id}`;
    case 'item':
      return `${course}/items/${id}`;
    case 'announcement':
      return `${course}/announcements`;
    case 'thread':
      return `${course}/items/${item?.id ?? ''}?thread=${id}`;
  }
}
function whereOf({ where, item }: Found): string {
  if (where === 'thread') return t('own.find.in', { title: item?.title ?? '' });
  return item === null ? t(`own.find.where.${where}`) : t(`learner.kinds.${item.kind}`);
}
const said = computed(() => {
  if (isAway.value) return t('own.find.away');
  if (found.value === null) return '';
  return t('own.find.count', found.value.found.length);
});
</script>

<template>
  <main id="main" ref="root" class="page">
    <h1>{{ t('own.find.title') }}</h1>
    <FindField v-model="find" :label="t('own.find.label')" />
    <p class="soft" role="status">{{ said }}</p>
    <ul v-if="found !== null && found.found.length > 0">
      <li v-for="one in found.found" :key="`${one.where} ${one.id}`">
        <RouterLink :to="to(one)">
          <ItemSign v-if="one.item" :kind="one.item.kind" class="sign" />
          <span v-if="one.number" class="figures soft">{{ one.number }}</span>
          <span dir="auto" class="title">{{ one.title || t('learner.untitled') }}</span>
        </RouterLink>
        <span class="soft">
          {{ whereOf(one) }}
        </span>
        <p v-if="one.around" dir="auto" class="around">{{ one.around }}</p>
      </li>
    </ul>
    <p v-if="found?.more" class="soft">{{ t('own.find.more') }}</p>
  </main>
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

ul {
  margin: 0;
  padding: 0;
  border-top: 3px solid var(--route);
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 14px;
  align-items: baseline;
  padding: 9px 2px;
  border-bottom: 1px solid var(--rule);
}

li a {
  display: flex;
  gap: 7px;
  align-items: baseline;
  min-height: 26px;
  font-weight: 600;
}

.sign {
  align-self: center;
}

.title {
  overflow-wrap: anywhere;
}

.around {
  grid-column: 1 / -1;
  overflow-wrap: anywhere;
}
</style>
