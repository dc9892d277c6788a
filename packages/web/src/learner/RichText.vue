<script setup lang="ts">
/** A long text as it is read. Its HTML was sanitised on the server by an allow list, and its pieces filled in. */
import type { AWAY } from '@itinerary/core';
import { computed, inject } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import { FOLLOW } from './follow.ts';

const props = defineProps<{ html: string }>();
const { t } = useI18n();
const router = useRouter();
const elsewhere = inject(FOLLOW, null);
/** Core's own mark, held to it by its type: learners' pages load nothing of core. */
const away: typeof AWAY = '<span class="away"></span>';
const filled = computed(() => props.html.replaceAll(away, `<em class="away">${t('learner.away')}</em>`));

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
  <!-- eslint-disable-next-line vue/no-v-html -->
  <div class="rich-text" @click="follow" v-html="filled" />
</template>
