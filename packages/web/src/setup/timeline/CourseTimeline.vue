<script setup lang="ts">
/** The course from first to last day, with a marker to go through it: by what changes, to a day, or along the line. */
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import { useActs } from '../frame/acts.ts';
import TimelineHead from './TimelineHead.vue';
import TimelineTrack from './TimelineTrack.vue';

const open = defineModel<boolean>('open', { required: true });
const { t } = useI18n();
const { span } = useActs();
const plan = usePlan();
/** Why there is no line. */
const why = computed(() => {
  const { firstDay = null, course } = plan.planned ?? {};
  const isOwn = course?.dates.pace === 'joining' && ['weeks', 'units'].includes(course.dates.format);
  return isOwn ? 'own' : firstDay === null ? 'first' : 'last';
});
</script>

<template>
  <section :class="['timeline', { folded: !open }]" :aria-label="t('setup.timeline.title')">
    <TimelineHead v-model:open="open" />
    <template v-if="open">
      <TimelineTrack v-if="span" :line="span" />
      <p v-else class="none soft">{{ t(`setup.timeline.none.${why}`) }}</p>
    </template>
  </section>
</template>

<style scoped>
.timeline {
  position: relative;
  display: grid;
  grid-template-columns: 212px minmax(0, 1fr);
  height: 92px;
  border-top: 1px solid var(--rule);
  background: var(--card);
}

.timeline.folded {
  height: 34px;
}

.none {
  padding: 20px;
}

@media (max-width: 1080px) {
  .timeline {
    grid-template-columns: minmax(0, 1fr);
    height: auto;
  }
}
</style>
