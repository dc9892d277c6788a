<script setup lang="ts">
/** What is due, held or opening, in the order of its days. */
import { IconCalendarEvent, IconClock, IconFlag } from '@tabler/icons-vue';
import type { AheadView } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import { momentWords } from '../../words/moment-words.ts';

defineProps<{
  ahead: readonly AheadView[];
  today: string;
  /** Its page; null: it has none, or not yet. */
  hrefFor: ((thing: AheadView) => string | null) | null;
}>();
const emit = defineEmits<{ open: [thing: AheadView] }>();
const { t, locale } = useI18n();
const SIGNS = { due: IconFlag, held: IconCalendarEvent, opens: IconClock };
const leads = (thing: AheadView): boolean => thing.what !== 'opens' && thing.kind !== null;
</script>

<template>
  <ul>
    <li v-for="thing in ahead" :key="`${thing.what} ${thing.id}`" :class="thing.what">
      <component :is="SIGNS[thing.what]" :size="17" aria-hidden="true" />
      <span>
        <RouterLink v-if="leads(thing) && hrefFor?.(thing)" :to="hrefFor(thing) ?? ''">{{
          thing.title
        }}</RouterLink>
        <button
          v-else-if="leads(thing) && hrefFor === null"
          type="button"
          class="link"
          @click="emit('open', thing)"
        >
          {{ thing.title }}
        </button>
        <template v-else>{{
          thing.title ?? t('learner.sectionOf', { number: thing.number ?? '' })
        }}</template>
        <span class="figures soft when">{{
          t(`learner.ahead.${thing.what}`, { when: momentWords(thing.moment, locale, today) })
        }}</span>
      </span>
    </li>
  </ul>
</template>

<style scoped>
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: 17px minmax(0, 1fr);
  gap: 9px;
  padding: 7px 0;
  border-bottom: 1px solid var(--rule);
}

li:last-child {
  border-bottom: 0;
}

svg {
  margin-top: 3px;
}

.opens svg {
  color: var(--later);
}

.held svg {
  color: var(--open);
}

.when {
  display: block;
  font-size: 13px;
}

.link {
  padding: 0;
  border: 0;
  background: none;
  color: var(--bottle);
  text-align: start;
  text-decoration: underline;
  cursor: pointer;
}
</style>
