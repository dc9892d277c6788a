<script setup lang="ts">
/** The groups of a menu with their entries, and the way to the institution's own site. */
import { IconArrowUpRight, IconEyeOff } from '@tabler/icons-vue';
import type { MenuItemView, MenuView } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import { useMenuWords } from '../../words/menu-words.ts';
import { ownWords } from '../../words/own-words.ts';
import AreaSign from './AreaSign.vue';

/** What an entry is drawn as, and with what. */
export interface Drawn {
  readonly is: string;
  readonly attributes: Record<string, unknown>;
}
const props = defineProps<{
  menu: MenuView;
  unread: number;
  drawn: (item: MenuItemView) => Drawn;
  /** Each with the sign of where it leads. */
  signed?: boolean;
}>();
const { t, locale } = useI18n();
const words = useMenuWords();
const hasNews = (item: MenuItemView): boolean => item.area === 'announcements' && props.unread > 0;
const leadsOut = ({ to }: MenuItemView): boolean => to === 'address' || to === 'institution';
</script>

<template>
  <div v-for="group in menu.groups" :key="group.id ?? ''" class="group">
    <p v-if="words.ofGroup(group)" class="group-name">{{ words.ofGroup(group) }}</p>
    <ul>
      <li v-for="item in group.entries" :key="item.id" :class="{ divider: item.to === 'divider' }">
        <component
          :is="drawn(item).is"
          v-if="item.to !== 'divider'"
          class="entry"
          v-bind="drawn(item).attributes"
        >
          <AreaSign v-if="signed" :item="item" />
          <span>{{ words.ofItem(item) }}</span>
          <span v-if="hasNews(item)" class="news figures"
            >{{ unread }}<span class="visually-hidden"> {{ t('learner.menu.unread', unread) }}</span></span
          >
          <IconEyeOff v-if="item.staffOnly" :size="15" :aria-label="t('learner.menu.staffOnly')" role="img" />
          <IconArrowUpRight v-if="leadsOut(item)" :size="15" aria-hidden="true" />
          <span v-if="leadsOut(item)" class="visually-hidden">{{ t('learner.newTab') }}</span>
        </component>
      </li>
    </ul>
  </div>
  <a v-if="menu.site" class="entry site" :href="menu.site.address" rel="noopener">
    <span>{{ ownWords(menu.site.names, locale) }}</span>
    <IconArrowUpRight :size="15" aria-hidden="true" />
  </a>
</template>

<style scoped src="./menu-groups.css"></style>
