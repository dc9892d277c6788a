<script setup lang="ts">
/** A course as a learner meets it: banner, the way on, the sections on their line. Also shown in setup. */
import { IconChevronDown, IconChevronRight, IconPlayerPlay } from '@tabler/icons-vue';
import type { CourseView, ItemView } from '@itinerary/core';
import { computed, ref, useId } from 'vue';
import { useI18n } from 'vue-i18n';
import { formatDay, formatDays, formatMinutes } from '../app/dates.ts';
import CoursePicture from '../ui/CoursePicture.vue';
import ItemSign from './ItemSign.vue';
import { sectionTitle } from './titles.ts';

const props = defineProps<{
  course: CourseView;
  today: string;
  descriptionHtml: string | null;
  staff: readonly string[];
  /** The item to go on with. */
  carryOn: ItemView | null;
  hasBegun: boolean;
  /** Makes real addresses of items; without it they are buttons. */
  hrefFor?: (item: ItemView) => string;
  /** 1 on a page of its own, 2 inside another. */
  level: 1 | 2;
}>();
const emit = defineEmits<{ open: [item: ItemView] }>();
const { t, locale } = useI18n();

const isLink = computed(() => props.hrefFor !== undefined);

const status = computed(() => {
  const { now, firstDay, state } = props.course;
  if (state === 'archived') return t('learner.now.archived');
  switch (now.kind) {
    case 'undated':
      return null;
    case 'before':
      return t('learner.now.before', {
        day: formatDay(firstDay ?? '', locale.value, { today: props.today }),
      });
    case 'week':
      return t('learner.now.week', { number: now.number });
    case 'after':
      return t('learner.now.after');
  }
});

const days = (section: CourseView['sections'][number]): string | null =>
  section.days === null ? null : formatDays(section.days.first, section.days.last, locale.value, props.today);

const address = (item: ItemView): string | undefined =>
  item.kind === 'link' ? (item.address ?? undefined) : props.hrefFor?.(item);

/** A link leads straight outside; whoever needs a word about it first gets a page. */
const attributes = (item: ItemView): Record<string, unknown> => {
  if (!isLink.value) return { type: 'button', onClick: () => emit('open', item) };
  if (item.kind === 'link') return { href: address(item), target: '_blank', rel: 'noopener noreferrer' };
  return {
    href: address(item),
    onClick: (event: MouseEvent) => {
      if (event.ctrlKey || event.metaKey || event.shiftKey) return;
      event.preventDefault();
      emit('open', item);
    },
  };
};

/** A wall of items hides where one is: only the section that is on stands open, unless there are few. */
const FEW = 3;
const chosen = ref<Readonly<Record<string, boolean>>>({});
const baseId = useId();
const standing = computed(() => {
  const { sections } = props.course;
  if (sections.length <= FEW) return new Set(sections.map(({ id }) => id));
  return new Set([(sections.find(({ current }) => current) ?? sections[0])?.id]);
});
const isUnfolded = (id: string): boolean => chosen.value[id] ?? standing.value.has(id);
const toggle = (id: string): void => {
  chosen.value = { ...chosen.value, [id]: !isUnfolded(id) };
};
const holds = (section: CourseView['sections'][number]): string => {
  const minutes = section.items.reduce((sum, item) => sum + (item.minutes ?? 0), 0);
  const items = t('learner.items', section.items.length);
  return minutes === 0 ? items : `${items} · ${formatMinutes(minutes)}`;
};

const state = (section: CourseView['sections'][number]): 'past' | 'current' | 'ahead' => {
  if (section.current) return 'current';
  return section.days !== null && section.days.last < props.today ? 'past' : 'ahead';
};
</script>

<template>
  <article class="face">
    <header class="banner">
      <CoursePicture :code="course.code" />
      <component :is="`h${level}`" class="plate">{{ course.title }}</component>
    </header>
    <div class="columns">
      <div class="way">
        <component
          :is="isLink ? 'a' : 'button'"
          v-if="carryOn !== null"
          class="carry-on"
          v-bind="attributes(carryOn)"
        >
          <IconPlayerPlay :size="22" aria-hidden="true" />
          <span>
            <strong>{{
              t(hasBegun ? 'learner.carryOn' : 'learner.startWith', { title: carryOn.title })
            }}</strong>
            <span class="figures meta">
              <template v-if="carryOn.number">{{ carryOn.number }}</template>
              <template v-if="carryOn.number && carryOn.minutes"> · </template>
              <template v-if="carryOn.minutes">{{ formatMinutes(carryOn.minutes) }}</template>
            </span>
          </span>
        </component>
        <p v-if="status" class="status figures">{{ status }}</p>
        <p v-if="course.sections.length === 0" class="soft">{{ t('learner.empty') }}</p>
        <ol class="sections">
          <li
            v-for="section in course.sections"
            :key="section.id"
            :class="['section', state(section)]"
            :aria-current="section.current ? 'step' : undefined"
          >
            <span class="stop" aria-hidden="true" />
            <div class="body">
              <component :is="`h${level + 1}`" class="section-title">
                <span v-if="section.number" class="number figures">{{ section.number }}</span>
                {{ sectionTitle(section, t, locale) }}
              </component>
              <p v-if="days(section)" class="figures days">
                {{ days(section) }}
                <span v-if="section.current" class="now">{{ t('learner.thisWeek') }}</span>
              </p>
              <button
                v-if="section.items.length > 0"
                type="button"
                class="fold soft"
                :aria-expanded="isUnfolded(section.id)"
                :aria-controls="`${baseId}-${section.id}`"
                @click="toggle(section.id)"
              >
                <component
                  :is="isUnfolded(section.id) ? IconChevronDown : IconChevronRight"
                  :size="16"
                  aria-hidden="true"
                />
                {{ holds(section) }}
                <span class="visually-hidden">{{
                  t('learner.inSection', { title: sectionTitle(section, t, locale) })
                }}</span>
              </button>
              <ul
                v-if="section.items.length > 0"
                v-show="isUnfolded(section.id)"
                :id="`${baseId}-${section.id}`"
                class="items"
              >
                <li v-for="item in section.items" :key="item.id">
                  <component :is="isLink ? 'a' : 'button'" class="item" v-bind="attributes(item)">
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
        </ol>
      </div>
      <aside class="about" :aria-label="t('learner.about')">
        <component :is="`h${level + 1}`">{{ t('learner.about') }}</component>
        <!-- Sanitised on the server by an allow list. -->
        <!-- eslint-disable-next-line vue/no-v-html -->
        <div v-if="descriptionHtml" class="rich-text" v-html="descriptionHtml" />
        <dl>
          <template v-if="course.firstDay && course.lastDay">
            <dt>{{ t('learner.runs') }}</dt>
            <dd class="figures">{{ formatDays(course.firstDay, course.lastDay, locale, today) }}</dd>
          </template>
          <template v-if="staff.length > 0">
            <dt>{{ t('learner.taughtBy') }}</dt>
            <dd v-for="name in staff" :key="name">{{ name }}</dd>
          </template>
          <dt>{{ t('learner.code') }}</dt>
          <dd class="figures">{{ course.code }}</dd>
        </dl>
      </aside>
    </div>
  </article>
</template>

<style scoped>
.face {
  container-type: inline-size;
  background: var(--card);
}

.banner {
  position: relative;
  height: clamp(112px, 22cqi, 210px);
}

.plate {
  position: absolute;
  left: 16px;
  right: 16px;
  bottom: 12px;
  width: fit-content;
  max-width: calc(100% - 32px);
  padding: 3px 10px 5px;
  border-radius: 4px;
  background: var(--card);
  font-size: clamp(20px, 5cqi, 30px);
}

.columns {
  display: grid;
  gap: 24px;
  padding: 16px;
}

.way {
  min-width: 0;
}

.carry-on {
  display: flex;
  align-items: center;
  gap: 14px;
  width: 100%;
  padding: 11px 16px;
  border: 0;
  border-radius: 6px;
  background: var(--bottle);
  color: var(--on-bottle);
  text-align: left;
  text-decoration: none;
  cursor: pointer;
}

.carry-on:hover {
  background: color-mix(in srgb, var(--bottle) 88%, var(--ink));
}

.carry-on strong,
.carry-on .meta {
  display: block;
}

.carry-on .meta {
  font-size: 13.5px;
}

.status {
  margin-top: 14px;
  color: var(--ink-soft);
}

.sections {
  margin: 14px 0 0;
  padding: 0;
  list-style: none;
}

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

.current .fold {
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

.about {
  display: grid;
  align-content: start;
  gap: 12px;
  padding-top: 16px;
  border-top: 3px solid var(--route);
}

dl {
  margin: 0;
}

dt {
  margin-top: 10px;
  color: var(--ink-soft);
  font-size: 12.5px;
}

dd {
  margin: 0;
}

@container (min-width: 860px) {
  .columns {
    grid-template-columns: minmax(0, 1fr) 320px;
    gap: 48px;
    max-width: 1120px;
    margin: 0 auto;
    padding: 24px;
  }

  .plate {
    left: max(24px, calc(50% - 536px));
    bottom: 20px;
  }

  .section-title {
    font-size: 17px;
  }
}
</style>
