<script setup lang="ts">
/** Whom one can turn to, on a page of its own. */
import type { ContactView } from '@itinerary/core';
import { computed, inject, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { path } from '../../api/client.ts';
import { setTitle } from '../../words/page-title.ts';
import ContactCards from '../panels/ContactCards.vue';
import ReadingFrame from '../text/ReadingFrame.vue';
import { COURSE_FRAME } from '../shell/frame.ts';

const { t } = useI18n();
const route = useRoute();
const frame = inject(COURSE_FRAME, ref(null));
const courseId = computed(() => String(route.params['course']));
const isThere = computed(() => frame.value === null || frame.value.areas.includes('contact'));
watch(frame, () => setTitle(t('learner.areas.contact')), { immediate: true });
const pictureHref = (card: ContactView): string =>
  `${path`/api/learn/${courseId.value}/face/card`}?width=160&id=${card.id}`;
</script>

<template>
  <ReadingFrame :course-id="courseId" :state="isThere ? 'there' : 'nothing'" area="contact" wide>
    <h1>{{ t('learner.areas.contact') }}</h1>
    <ContactCards
      class="cards"
      :contacts="frame?.contacts ?? []"
      :level="2"
      :picture-href="pictureHref"
      wide
    />
  </ReadingFrame>
</template>

<style scoped>
.cards {
  margin-top: 16px;
}
</style>
