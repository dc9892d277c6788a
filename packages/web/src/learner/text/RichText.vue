<script setup lang="ts">
/** A long text as it is read. Its HTML was sanitised on the server by an allow list, and its pieces filled in. */
import type { AWAY, CONTACT_CARDS, ContactView } from '@itinerary/core';
import { computed, inject } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import { FOLLOW } from '../item/follow.ts';
import ContactCards from '../panels/ContactCards.vue';
import { CONTACTS } from '../shell/frame.ts';

const props = defineProps<{ html: string }>();
const { t } = useI18n();
const router = useRouter();
const elsewhere = inject(FOLLOW, null);
/** Core's own mark, held to it by its type: learners' pages load nothing of core. */
const away: typeof AWAY = '<span class="away"></span>';
const cards: typeof CONTACT_CARDS = '<div data-part="contact"></div>';
const contacts = inject(CONTACTS, null);
/** What stands between the places of the contact cards; one piece where there are none. */
const pieces = computed(() =>
  props.html.replaceAll(away, `<em class="away">${t('learner.away')}</em>`).split(cards),
);
const pictureHref = (card: ContactView): string => contacts?.value.pictureHref?.(card) ?? '';

/** Links to items stay in the application; a new tab is left to those who ask for one. */
function follow(event: MouseEvent): void {
  const link = (event.target as HTMLElement).closest<HTMLAnchorElement>('a[data-item]');
  if (link === null || event.button !== 0 || event.ctrlKey || event.metaKey || event.shiftKey) return;
  event.preventDefault();
  if (elsewhere === null) void router.push(link.getAttribute('href') ?? '');
  else elsewhere(link.dataset['item'] ?? '');
}
</script>

<template>
  <div class="rich-text" @click="follow">
    <template v-for="(piece, at) in pieces" :key="at">
      <div v-if="at > 0 && contacts" class="cards">
        <ContactCards
          :contacts="contacts.contacts"
          :level="3"
          :picture-href="contacts.pictureHref && pictureHref"
          wide
        />
      </div>
      <!-- eslint-disable-next-line vue/no-v-html -->
      <div class="piece" v-html="piece" />
    </template>
  </div>
</template>

<style scoped>
.cards {
  margin: 12px 0;
}
</style>
