<script setup lang="ts">
/** A page within a course, to read: the way back, and the page. */
import { IconArrowLeft, IconLifebuoy } from '@tabler/icons-vue';
import { computed, inject, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { ownWords } from '../../words/own-words.ts';
import LoadState from '../../ui/frame/LoadState.vue';
import { COURSE_FRAME } from '../shell/frame.ts';
import type { Loading } from '../../api/use-answer.ts';

const props = defineProps<{
  courseId: string;
  state: Loading;
  /** A page of the menu's: one goes on by the menu, and help with it stands beside it. */
  area?: string;
  wide?: boolean;
}>();
const emit = defineEmits<{ again: [] }>();
const { t, locale } = useI18n();
const frame = inject(COURSE_FRAME, ref(null));

const help = computed(() => {
  const all = frame.value?.menu.help ?? {};
  const found = props.area === undefined ? undefined : (all[props.area] ?? all['']);
  return found === undefined
    ? null
    : { address: found.address, words: ownWords(found.names, locale.value) ?? '' };
});
const back = computed(() => {
  const hasOutline = frame.value?.areas.includes('sections') === true;
  return `/courses/${props.courseId}${hasOutline ? '/outline' : '/home'}`;
});
</script>

<template>
  <main v-if="state === 'there'" id="main" :class="['page', { wide }]">
    <RouterLink v-if="area === undefined" class="back" :to="back">
      <IconArrowLeft :size="17" aria-hidden="true" /> {{ t('learner.allSections') }}
    </RouterLink>
    <a v-if="help" class="help" :href="help.address" target="_blank" rel="noopener noreferrer">
      <IconLifebuoy :size="17" aria-hidden="true" /> {{ help.words }}
      <span class="visually-hidden">{{ t('learner.newTab') }}</span>
    </a>
    <slot />
  </main>
  <LoadState v-else :state="state" @again="emit('again')" />
</template>

<style scoped>
.page {
  max-width: 752px;
  margin: 0 auto;
  padding: 20px 16px 48px;
}

.page.wide {
  max-width: 1040px;
}

.back {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: 32px;
  margin-bottom: 12px;
}

.help {
  float: inline-end;
  display: inline-flex;
  gap: 6px;
  align-items: center;
  min-height: 32px;
  font-size: 13.5px;
}
</style>
