<script setup lang="ts">
/** One section on the line of a learner's course, with its items folded or not. */
import { IconChevronDown, IconChevronRight } from '@tabler/icons-vue';
import type { ItemView, SectionView } from '@itinerary/core';
import { computed, ref, useId } from 'vue';
import { useI18n } from 'vue-i18n';
import { formatDays, formatMinutes } from '../app/dates.ts';
import { itemAttributes } from './item-attributes.ts';
import ItemSign from './ItemSign.vue';
import { sectionTitle } from './titles.ts';

const props = defineProps<{
  section: SectionView;
  today: string;
  /** Of the section's heading. */
  level: 2 | 3;
  /** Unfolded until somebody folds it. */
  standsOpen: boolean;
  hrefFor?: (item: ItemView) => string;
}>();
const emit = defineEmits<{ open: [item: ItemView] }>();
const { t, locale } = useI18n();
const listId = useId();

const chosen = ref<boolean | null>(null);
const isUnfolded = computed(() => chosen.value ?? props.standsOpen);
const title = computed(() => sectionTitle(props.section, t, locale.value));
const days = computed(() => {
  const { section, today } = props;
  return section.days === null
    ? null
    : formatDays(section.days.first, section.days.last, locale.value, today);
});
const holds = computed(() => {
  const minutes = props.section.items.reduce((sum, item) => sum + (item.minutes ?? 0), 0);
  const items = t('learner.items', props.section.items.length);
  return minutes === 0 ? items : `${items} · ${formatMinutes(minutes)}`;
});
const state = computed(() => {
  if (props.section.current) return 'current';
  return props.section.days !== null && props.section.days.last < props.today ? 'past' : 'ahead';
});
</script>

<template>
  <li :class="['section', state]" :aria-current="section.current ? 'step' : undefined">
    <span class="stop" aria-hidden="true" />
    <div class="body">
      <component :is="`h${level}`" class="section-title">
        <span v-if="section.number" class="number figures">{{ section.number }}</span>
        {{ title }}
      </component>
      <p v-if="days" class="figures days">
        {{ days }}
        <span v-if="section.current" class="now">{{ t('learner.thisWeek') }}</span>
      </p>
      <button
        v-if="section.items.length > 0"
        type="button"
        class="fold soft"
        :aria-expanded="isUnfolded"
        :aria-controls="listId"
        @click="chosen = !isUnfolded"
      >
        <component :is="isUnfolded ? IconChevronDown : IconChevronRight" :size="16" aria-hidden="true" />
        {{ holds }}
        <span class="visually-hidden">{{ t('learner.inSection', { title: title }) }}</span>
      </button>
      <ul v-if="section.items.length > 0" v-show="isUnfolded" :id="listId" class="items">
        <li v-for="item in section.items" :key="item.id">
          <component
            :is="hrefFor === undefined ? 'button' : 'a'"
            class="item"
            v-bind="itemAttributes(item, hrefFor, () => emit('open', item))"
          >
            <ItemSign :kind="item.kind" />
            <span class="item-title">{{ item.title }}</span>
            <span v-if="item.minutes" class="figures minutes">{{ formatMinutes(item.minutes) }}</span>
            <span v-if="item.kind === 'link'" class="visually-hidden">{{ t('learner.newTab') }}</span>
          </component>
        </li>
      </ul>
      <p v-else class="soft nothing">{{ t('learner.nothingYet') }}</p>
    </div>
  </li>
</template>

<style scoped>
.section {
  position: relative;
  padding: 0 0 16px 32px;
}

.section::before {
  content: '';
  position: absolute;
  left: 7.5px;
  top: 12px;
  bottom: -8px;
  width: 3px;
  background: var(--route-pale);
}

.section:last-child::before {
  display: none;
}

.stop {
  position: absolute;
  left: 1px;
  top: 4px;
  width: 16px;
  height: 16px;
  border: 3px solid var(--route);
  border-radius: 50%;
  background: var(--card);
}

.past .stop {
  background: var(--route);
}

.current {
  margin-left: -8px;
  padding-left: 40px;
}

.current::before {
  left: 15.5px;
}

.current .stop {
  left: 7px;
  top: 11px;
  width: 20px;
  height: 20px;
  border: 5px solid var(--route);
  box-shadow:
    0 0 0 2px var(--card),
    0 0 0 4px var(--route);
}

.current .body {
  margin: 0 -8px 0 -4px;
  padding: 8px 12px 14px;
  border-radius: 6px;
  background: var(--bottle-pale);
}

.section-title {
  font-size: 16px;
}

.section-title .number {
  margin-right: 4px;
}

.days {
  color: var(--ink-soft);
  font-size: 13.5px;
}

.now {
  margin-left: 8px;
  color: var(--bottle);
  font-family: var(--font-text);
  font-weight: 650;
}

.fold {
  display: inline-flex;
  align-items: center;
  gap: 4px;
  min-height: 28px;
  margin-left: -4px;
  padding: 0 8px 0 2px;
  border: 0;
  border-radius: 4px;
  background: none;
  font-size: 13.5px;
  cursor: pointer;
}

.fold:hover {
  color: var(--ink);
  text-decoration: underline;
}

.items {
  display: grid;
  gap: 2px;
  margin: 6px 0 0;
  padding: 0;
  list-style: none;
}

.item {
  display: flex;
  align-items: center;
  gap: 10px;
  width: 100%;
  min-height: 38px;
  padding: 6px 10px;
  border: 1px solid transparent;
  border-radius: 6px;
  background: none;
  text-align: left;
  text-decoration: none;
  color: var(--ink);
  cursor: pointer;
}

.item:hover {
  border-color: var(--rule);
  background: var(--card);
}

.past .item,
.ahead .item {
  margin-left: -10px;
  width: calc(100% + 10px);
}

.past .item:hover,
.ahead .item:hover {
  background: var(--mist);
}

.current .item {
  border-color: var(--rule);
  background: var(--card);
}

.current .items {
  gap: 6px;
}

.item-title {
  flex: 1;
  overflow-wrap: anywhere;
}

.minutes {
  color: var(--ink-soft);
  font-size: 13.5px;
  white-space: nowrap;
}

.nothing {
  margin-top: 2px;
  font-size: 13.5px;
}

@container (min-width: 860px) {
  .section-title {
    font-size: 17px;
  }
}
</style>
