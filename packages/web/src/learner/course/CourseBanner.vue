<script setup lang="ts">
/** The picture of a course across its page, with its title. The slot shows a picture that is still being chosen. */
import type { PictureView } from '@itinerary/contract';
import { computed, onMounted, useTemplateRef } from 'vue';
import { useI18n } from 'vue-i18n';
import CoursePicture from '../../ui/course/CoursePicture.vue';
import { useMissing } from '../../ui/course/missing.ts';
import { removeFirstFace } from './first-face.ts';

const props = defineProps<{
  courseId: string;
  code: string;
  title: string;
  seed: string | null;
  picture: PictureView | null;
  level: 1 | 2;
}>();
const { t } = useI18n();
const { isMissing, miss } = useMissing();

const at = (frame: 'banner' | 'phone', width: number): string =>
  `/api/learn/${props.courseId}/face/${frame}?width=${width}&v=${props.picture?.version ?? ''}`;
const credit = computed(() => {
  const { author = null, licence = null } = props.picture ?? {};
  return [author, licence].filter((words) => words !== null && words !== '').join(' · ');
});

const own = useTemplateRef<HTMLImageElement>('own');
onMounted(async () => {
  // A picture that cannot be shown is no reason to keep another one in its place.
  await own.value?.decode().catch(() => undefined);
  removeFirstFace();
});
</script>

<template>
  <header class="banner">
    <slot name="picture">
      <picture v-if="picture && !isMissing(picture.version)">
        <source
          media="(max-width: 620px)"
          :srcset="`${at('phone', 480)} 480w, ${at('phone', 960)} 960w`"
          sizes="100vw"
        />
        <img
          ref="own"
          :src="at('banner', 1600)"
          :alt="picture.alt"
          fetchpriority="high"
          @error="miss(picture.version)"
        />
      </picture>
      <CoursePicture v-else :code="code" :title="title" :seed="seed" />
    </slot>
    <component :is="`h${level}`" class="plate">{{ title }}</component>
    <p v-if="credit" class="credit" :aria-label="t('learner.pictureBy', { credit })">{{ credit }}</p>
  </header>
</template>

<style scoped>
.banner {
  position: relative;
  height: clamp(132px, 20cqi, 260px);
  overflow: hidden;
  background: var(--bottle-pale);
}

img {
  display: block;
  width: 100%;
  height: 100%;
  object-fit: cover;
}

picture {
  display: block;
  height: 100%;
}

.plate {
  overflow-wrap: anywhere;
  position: absolute;
  inset-inline-start: 16px;
  bottom: 14px;
  width: fit-content;
  max-width: calc(100% - 32px);
  padding: 3px 12px 5px;
  border-radius: var(--corner, 4px);
  background: var(--card);
  color: var(--ink);
  font-size: clamp(20px, 5cqi, 31px);
}

.credit {
  position: absolute;
  inset-inline-end: 0;
  top: 0;
  padding: 1px 7px;
  background: var(--card);
  color: var(--ink-soft);
  font-size: 11.5px;
}

@container (max-width: 620px) {
  .banner {
    /* The shape that the picture was cropped for, and that the first of them has in base.css. */
    height: calc(100cqi / 2.6);
  }
}

@container (min-width: 860px) {
  .plate {
    inset-inline-start: max(24px, calc(50% - 536px));
    bottom: 20px;
  }
}
</style>
