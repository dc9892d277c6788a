<script setup lang="ts">
/** The menu: its entries in their order, what has been removed from it, and what can be added. */
import { IconArrowBackUp } from '@tabler/icons-vue';
import { computed, nextTick, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useWho } from '../seeing/use-who.ts';
import AddEntry from './AddEntry.vue';
import { useEntryWords } from './entry-words.ts';
import MenuRow from './MenuRow.vue';
import { useMenu } from './use-menu.ts';
import PushButton from '../../ui/frame/PushButton.vue';

defineProps<{ readonly: boolean }>();
const { t } = useI18n();
const menu = useMenu();
const words = useEntryWords();
const list = ref<HTMLElement | null>(null);
const said = ref('');

const offered = computed(() =>
  menu.standing.value.filter(({ entry, unseen }) => {
    const { to } = entry.leads;
    return unseen === null && to !== 'group' && to !== 'divider';
  }),
);
const who = useWho();

const rowOf = (id: string): HTMLElement | null =>
  list.value?.querySelector<HTMLElement>(`[data-entry="${CSS.escape(id)}"]`) ?? null;

/** A row that has moved keeps the focus, so that it can be moved on. */
async function move(id: string, by: number, name: string): Promise<void> {
  menu.move(id, by);
  await nextTick();
  rowOf(id)?.focus();
  const at = menu.standing.value.findIndex((one) => one.id === id) + 1;
  said.value = t('setup.menu.movedTo', { name, at, all: menu.standing.value.length });
}

/** What is removed leaves the focus where it stood, for the next. */
async function remove(id: string, name: string): Promise<void> {
  const at = menu.standing.value.findIndex((one) => one.id === id);
  menu.change(id, { removed: true });
  said.value = t('setup.menu.removedNow', { name });
  await nextTick();
  const next = menu.standing.value[at] ?? menu.standing.value.at(-1);
  if (next !== undefined) rowOf(next.id)?.focus();
}

async function bringBack(id: string, name: string): Promise<void> {
  menu.change(id, { removed: false, shown: true });
  said.value = t('setup.menu.backNow', { name });
  await nextTick();
  rowOf(id)?.focus();
}
async function added(id: string): Promise<void> {
  await nextTick();
  rowOf(id)?.focus();
}
</script>

<template>
  <section id="field-menu" aria-labelledby="menu-part" tabindex="-1">
    <h2 id="menu-part">{{ t('setup.menu.parts.menu') }}</h2>
    <p class="soft">
      {{ t('setup.menu.count', { who, count: offered.length }, offered.length) }}
      {{ t('setup.menu.keys') }}
    </p>
    <p class="visually-hidden" role="status">{{ said }}</p>
    <ul ref="list" class="list">
      <MenuRow
        v-for="(answer, at) in menu.standing.value"
        :key="answer.id"
        :answer="answer"
        :readonly="readonly"
        :is-first="at === 0"
        :is-last="at === menu.standing.value.length - 1"
        @move="move(answer.id, $event, words(answer.entry))"
        @drop="(dragged, edge) => menu.drop(dragged, answer.id, edge)"
        @set="menu.change(answer.id, $event)"
        @remove="remove(answer.id, words(answer.entry))"
      />
    </ul>
    <AddEntry v-if="!readonly" @added="added" />
    <template v-if="menu.removed.value.length > 0">
      <h3>{{ t('setup.menu.removedTitle') }}</h3>
      <p class="soft">{{ t('setup.menu.removedText') }}</p>
      <ul class="removed">
        <li v-for="answer in menu.removed.value" :key="answer.id">
          <span>{{ words(answer.entry) }}</span>
          <PushButton
            small
            :disabled="readonly"
            :aria-label="t('setup.menu.bringBackOne', { name: words(answer.entry) })"
            @click="bringBack(answer.id, words(answer.entry))"
          >
            <IconArrowBackUp :size="16" aria-hidden="true" /> {{ t('setup.menu.bringBack') }}
          </PushButton>
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped src="../list.css"></style>

<style scoped>
h3 {
  margin-top: 16px;
  font-size: 15px;
}

.removed {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  gap: 0 20px;
  margin: 4px 0 0;
  padding: 0;
  list-style: none;
}

.removed li {
  display: flex;
  gap: 8px;
  align-items: center;
  justify-content: space-between;
  min-height: 36px;
  border-bottom: 1px dashed var(--rule);
  color: var(--ink-soft);
}
</style>
