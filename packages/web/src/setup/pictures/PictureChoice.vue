<script setup lang="ts">
/** A picture: where it comes from, what of it is seen, and what is said of it. */
import { IconPhoto, IconUpload, IconX } from '@tabler/icons-vue';
import type { TakenPicture } from '@itinerary/contract';
import { isPictureType } from '@itinerary/core';
import type { CoursePicture, Frame } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import { useUploads } from '../../stores/uploads.ts';
import { asRef } from '../files/arrivals.ts';
import PictureWords from '../files/PictureWords.vue';
import CroppedPicture from './CroppedPicture.vue';
import FocusPicker from './FocusPicker.vue';
import PictureDialog from './PictureDialog.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import { VSlider } from 'vuetify/components/VSlider';
import FilePicker from '../../ui/frame/FilePicker.vue';

const props = defineProps<{
  picture: CoursePicture | null;
  /** What it will be cropped for, to be looked at while it is. */
  frames: readonly Frame[];
  readonly: boolean;
}>();
const emit = defineEmits<{ set: [picture: CoursePicture | null, typing: boolean] }>();
const { t } = useI18n();
const plan = usePlan();
const uploads = useUploads();
const picker = ref<{ open: () => void } | null>(null);
const isChoosing = ref(false);
const wrong = ref<string | null>(null);
const courseId = computed(() => plan.course!.id);

function take({ file, width, height }: TakenPicture): void {
  isChoosing.value = false;
  emit('set', { file, width, height, focus: { x: 0.5, y: 0.5 }, zoom: 1 }, false);
}
function upload([file]: readonly File[]): void {
  wrong.value = null;
  if (file === undefined) return;
  uploads.add(file, (answer) => {
    const { width, height } = answer;
    if (width === null || height === null || !isPictureType(answer.type)) {
      wrong.value = t('setup.look.notPicture', { name: answer.name });
      return;
    }
    take({ file: asRef(answer), width, height });
  });
}
function change(part: Partial<CoursePicture>, typing: boolean): void {
  if (props.picture !== null) emit('set', { ...props.picture, ...part }, typing);
}
function say(field: 'alt' | 'author' | 'licence', text: string | null, typing: boolean): void {
  if (props.picture !== null) change({ file: { ...props.picture.file, [field]: text } }, typing);
}
</script>

<template>
  <div class="choice">
    <p v-if="!readonly" class="acts">
      <PushButton small @click="picker?.open()">
        <IconUpload :size="16" aria-hidden="true" /> {{ t('setup.look.upload') }}
      </PushButton>
      <PushButton small @click="isChoosing = true">
        <IconPhoto :size="16" aria-hidden="true" /> {{ t('setup.look.fromLibrary') }}
      </PushButton>
      <PushButton v-if="picture" weight="bare" small @click="emit('set', null, false)">
        <IconX :size="16" aria-hidden="true" /> {{ t('setup.look.takeOff') }}
      </PushButton>
      <FilePicker
        ref="picker"
        accept="image/png,image/jpeg,image/webp,image/avif,image/gif"
        :label="t('setup.look.upload')"
        @pick="upload"
      />
    </p>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <template v-if="picture">
      <p class="soft hint">{{ t('setup.look.focusHint') }}</p>
      <div class="crop">
        <FocusPicker
          :course-id="courseId"
          :picture="picture"
          :readonly="readonly"
          @focus="(focus, typing) => change({ focus }, typing)"
        />
        <div class="frames">
          <figure v-for="frame in frames" :key="frame" :class="frame">
            <CroppedPicture :course-id="courseId" :picture="picture" :frame="frame" />
            <figcaption class="soft">{{ t(`setup.look.frames.${frame}`) }}</figcaption>
          </figure>
        </div>
      </div>
      <div class="zoom">
        <VSlider
          :model-value="picture.zoom"
          :min="1"
          :max="4"
          :step="0.1"
          :disabled="readonly"
          :label="t('setup.look.zoom')"
          :name="t('setup.look.zoom')"
          hide-details
          @update:model-value="change({ zoom: Math.round(Number($event) * 10) / 10 }, true)"
        />
        <span class="figures">{{ picture.zoom.toFixed(1) }} ×</span>
      </div>
      <PictureWords :words="picture.file" :readonly="readonly" @say="say" />
    </template>
    <PictureDialog v-model="isChoosing" :course-id="courseId" @take="take" />
  </div>
</template>

<style scoped>
.choice {
  display: grid;
  gap: 10px;
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.hint {
  font-size: 13px;
}

.crop {
  display: grid;
  grid-template-columns: minmax(0, auto) minmax(150px, 1fr);
  gap: 14px;
  align-items: start;
}

.frames {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}

figure {
  margin: 0;
  width: 100%;
  max-width: 300px;
}

figure.phone {
  max-width: 170px;
}

figure.thumbnail {
  max-width: 110px;
}

figcaption {
  font-size: 12px;
}

.zoom {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}

.wrong {
  color: var(--blocker);
}

@media (max-width: 720px) {
  .crop {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
