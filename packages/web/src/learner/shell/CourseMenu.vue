<script setup lang="ts">
/** The menu of a course: along the top or at the side; on a phone a bar of the first four, and the rest one press away. */
import { IconChevronUp, IconX } from '@tabler/icons-vue';
import type { MenuItemView, MenuView } from '@itinerary/core';
import { computed, nextTick, ref, useId } from 'vue';
import { useI18n } from 'vue-i18n';
import { ownWords } from '../../words/own-words.ts';
import AreaSign from './AreaSign.vue';
import MenuGroups from './MenuGroups.vue';
import type { Drawn } from './MenuGroups.vue';
import { useMenuWords, wayTo } from '../../words/menu-words.ts';

const props = defineProps<{
  courseId: string;
  menu: MenuView;
  place: 'top' | 'side';
  /** The address that is open, or the entry's id in a preview. */
  current: string | null;
  unread: number;
  /** Without addresses: presses are told instead. */
  told?: boolean;
}>();
const emit = defineEmits<{ go: [item: MenuItemView] }>();
const { t, locale } = useI18n();
const words = useMenuWords();
const isOpen = ref(false);
const sheet = ref<HTMLElement | null>(null);
const opener = ref<HTMLButtonElement | null>(null);
const sheetId = useId();

const BAR = 4;
const leading = computed(() =>
  props.menu.groups.flatMap(({ entries }) => entries).filter(({ to }) => to !== 'divider'),
);
const first = computed(() => leading.value.slice(0, BAR));
const hasMore = computed(() => leading.value.length > BAR || props.menu.site !== null);

const isCurrent = (item: MenuItemView): boolean => {
  if (props.told) return props.current === item.id;
  const way = wayTo(props.courseId, item);
  return (
    way !== null &&
    (props.current === way || (item.area === 'home' && props.current === `/courses/${props.courseId}`))
  );
};
const hasNews = (item: MenuItemView): boolean => item.area === 'announcements' && props.unread > 0;

/** What an entry is drawn as, and with what. */
function drawn(item: MenuItemView): Drawn {
  const current = isCurrent(item) ? 'page' : undefined;
  if (props.told) {
    const press = (): void => {
      isOpen.value = false;
      emit('go', item);
    };
    return { is: 'button', attributes: { type: 'button', 'aria-current': current, onClick: press } };
  }
  const way = wayTo(props.courseId, item);
  if (way !== null) {
    return {
      is: 'RouterLink',
      attributes: { to: way, 'aria-current': current, onClick: () => (isOpen.value = false) },
    };
  }
  return { is: 'a', attributes: { href: item.address ?? '', target: '_blank', rel: 'noopener noreferrer' } };
}
/** On a tab there is room for a short word, or for two lines. */
function inTab(item: MenuItemView): string {
  const isOwn = ownWords(item.names, locale.value) !== null;
  return item.area === 'announcements' && !isOwn ? t('learner.menu.announcementsTab') : words.ofItem(item);
}
const isOneWord = (name: string): boolean => !/[\s\u00ad]/.test(name);

async function toggle(): Promise<void> {
  isOpen.value = !isOpen.value;
  await nextTick();
  if (isOpen.value) sheet.value?.querySelector<HTMLElement>('a, button')?.focus();
}
function close(): void {
  if (!isOpen.value) return;
  isOpen.value = false;
  opener.value?.focus();
}
</script>

<template>
  <div :class="['menu', place]" @keydown.esc="close">
    <component
      :is="told ? 'div' : 'nav'"
      class="wide"
      :role="told ? 'group' : undefined"
      :aria-label="t('learner.menu.title')"
    >
      <MenuGroups :menu="menu" :unread="unread" :drawn="drawn" />
    </component>
    <component
      :is="told ? 'div' : 'nav'"
      class="narrow"
      :role="told ? 'group' : undefined"
      :aria-label="t('learner.menu.title')"
    >
      <div v-if="isOpen" :id="sheetId" ref="sheet" class="sheet">
        <MenuGroups :menu="menu" :unread="unread" :drawn="drawn" signed />
      </div>
      <div class="bar">
        <component
          :is="drawn(item).is"
          v-for="item in first"
          :key="item.id"
          class="tab"
          v-bind="drawn(item).attributes"
        >
          <span class="sign"><AreaSign :item="item" /><span v-if="hasNews(item)" class="dot" /></span>
          <span :class="['tab-name', { single: isOneWord(inTab(item)) }]" aria-hidden="true">{{
            inTab(item)
          }}</span>
          <span class="visually-hidden">{{ words.ofItem(item) }}</span>
          <span v-if="hasNews(item)" class="visually-hidden"
            >{{ unread }} {{ t('learner.menu.unread', unread) }}</span
          >
        </component>
        <button
          v-if="hasMore"
          ref="opener"
          class="tab"
          type="button"
          :aria-expanded="isOpen"
          :aria-controls="isOpen ? sheetId : undefined"
          @click="toggle"
        >
          <span class="sign">
            <IconX v-if="isOpen" :size="21" aria-hidden="true" />
            <IconChevronUp v-else :size="21" aria-hidden="true" />
          </span>
          <span class="tab-name">{{ t('learner.menu.more') }}</span>
        </button>
      </div>
    </component>
  </div>
</template>

<style scoped src="./course-menu.css"></style>
