<script setup lang="ts">
/** A film as somebody watches it: it goes on where they were, and shows what of it they have watched. */
import { writeLength } from '@itinerary/core/film';
import { IconCloudCheck, IconDeviceMobile } from '@tabler/icons-vue';
import type { CourseFileRef } from '@itinerary/core';
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import PushButton from '../../../ui/frame/PushButton.vue';
import { formatNumber } from '../../../words/intl.ts';
import { languageName } from '../../../words/spoken.ts';
import FilmParts from './FilmParts.vue';
import WhoWatched from './WhoWatched.vue';
import { useFilm } from './use-film.ts';

const props = defineProps<{
  courseId: string;
  itemId: string;
  personId: string;
  file: CourseFileRef;
  href: string;
}>();
const emit = defineEmits<{ changed: [] }>();
const { t, locale } = useI18n();
const watching = useFilm(props.courseId, props.itemId, props.personId);
const { film, runs, watched, isKept } = watching;
const player = ref<HTMLVideoElement | null>(null);
/** Of the file itself, once the player knows it. In seconds. */
const length = ref<number | null>(null);
const here = ref(0);
const goesOnAt = ref<number | null>(null);
void watching.load().catch(() => undefined);

const seconds = computed(() => film.value?.seconds ?? length.value);
const isFollowed = computed(() => film.value?.watched != null);
const part = (ms: number): number => (seconds.value === null ? 0 : Math.min(100, ms / seconds.value / 10));
const share = computed(() => {
  if (seconds.value === null || seconds.value === 0) return null;
  const played = runs.value.reduce((sum, { from, to }) => sum + (to - from), 0);
  return Math.min(1, Math.max(watched.value?.share ?? 0, played / seconds.value / 1000));
});
const percent = (value: number): string =>
  formatNumber(Math.floor(value * 100) / 100, locale.value, {
    style: 'percent',
    maximumFractionDigits: 0,
  });
const chapters = computed(() => film.value?.chapters ?? []);
const playingTime = (at: number): string => writeLength(Math.floor(at));

/** Words that the player shows over the picture: one track for each language. */
watch([film, player], ([of, element]) => {
  if (of === null || element === null || element.textTracks.length > 0) return;
  for (const { language, cues } of of.captions) {
    const track = element.addTextTrack('captions', languageName(language, locale.value), language);
    track.mode = 'disabled';
    for (const cue of cues) track.addCue(new VTTCue(cue.from / 1000, cue.to / 1000, cue.text));
  }
});
/** Somebody who has nearly finished it begins anew. */
const NEAR_S = 5;
watch([film, length], ([of, lasts]) => {
  const element = player.value;
  const at = (of?.watched?.position ?? 0) / 1000;
  if (element === null || lasts === null || goesOnAt.value !== null || element.currentTime > 0) return;
  if (at < NEAR_S || at > lasts - NEAR_S) return;
  goesOnAt.value = at;
  element.currentTime = at;
});

const now = (): number => (player.value?.currentTime ?? 0) * 1000;
function moved(): void {
  here.value = player.value?.currentTime ?? 0;
  if (player.value?.paused === false && !player.value.seeking) watching.at(now(), player.value.playbackRate);
}
/** Enough of it has been watched: the page around it says so, whatever told the server. */
watch(watched, (after, before) => {
  const wanted = film.value?.wanted ?? null;
  if (wanted === null || before === null || after === null) return;
  const isEnough = (share: number | null): boolean => (share ?? 0) * 100 >= wanted;
  if (isEnough(after.share) && !isEnough(before.share)) emit('changed');
});
function stopped(): void {
  // What was played since the player's last word; where it was put elsewhere meanwhile, that is no run.
  watching.at(now(), player.value?.playbackRate ?? 1);
  watching.stop(now());
  void watching.report();
}
function go(to: number): void {
  if (player.value === null) return;
  player.value.currentTime = to;
  here.value = to;
  player.value.focus();
}
const left = (): void => {
  if (document.visibilityState === 'hidden') void watching.report(true);
};
onMounted(() => document.addEventListener('visibilitychange', left));
onBeforeUnmount(() => document.removeEventListener('visibilitychange', left));
</script>

<template>
  <figure class="film">
    <video
      ref="player"
      :src="href"
      controls
      playsinline
      preload="metadata"
      :aria-label="t('film.player', { name: file.name })"
      @loadedmetadata="length = Number.isFinite(player?.duration) ? (player?.duration ?? null) : null"
      @timeupdate="moved"
      @pause="stopped"
      @seeking="watching.stop(now())"
      @ended="stopped"
    />
    <div v-if="film !== null && (isFollowed || chapters.length > 0) && seconds !== null" class="under">
      <div class="strip" dir="ltr" aria-hidden="true">
        <span
          v-for="run in runs"
          :key="run.from"
          class="run"
          :style="{ left: `${part(run.from)}%`, width: `${part(run.to - run.from)}%` }"
        />
        <span
          v-for="one in chapters.filter(({ at }) => at > 0)"
          :key="one.at"
          class="tick"
          :style="{ left: `${part(one.at * 1000)}%` }"
        />
        <span class="mark" :style="{ left: `${part(here * 1000)}%` }" />
      </div>
      <p v-if="isFollowed" class="line">
        <span class="figures">
          {{ share === null ? t('film.opened') : t('film.watched', { share: percent(share) }) }}
          <template v-if="film.wanted !== null">
            · {{ t('film.wanted', { share: percent(film.wanted / 100) }) }}</template
          >
        </span>
        <span class="soft kept">
          <component :is="isKept ? IconCloudCheck : IconDeviceMobile" :size="15" aria-hidden="true" />
          {{ t(isKept ? 'film.kept' : 'film.onItsWay') }}
        </span>
      </p>
      <p v-if="goesOnAt !== null" class="line">
        {{ t('film.goesOn', { time: playingTime(goesOnAt) }) }}
        <PushButton small @click="go(0)">{{ t('film.fromBeginning') }}</PushButton>
      </p>
    </div>
    <FilmParts v-if="film !== null" :film="film" :here="here" @go="go" />
    <WhoWatched v-if="film?.mayLook" :course-id="courseId" :item-id="itemId" />
    <figcaption v-if="file.author || file.licence" class="soft">
      {{ [file.author, file.licence].filter(Boolean).join(' · ') }}
    </figcaption>
  </figure>
</template>

<style scoped>
.film {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  margin: 20px 0 0;
}

video {
  width: 100%;
  max-height: 70vh;
  border-radius: 6px;
  background: #0c1a1a;
}

.strip {
  position: relative;
  height: 10px;
  border-radius: 5px;
  background: var(--mist);
  overflow: hidden;
}

.run {
  position: absolute;
  top: 0;
  bottom: 0;
  background: var(--open);
}

.tick {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 2px;
  background: var(--card);
}

.mark {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 3px;
  background: var(--route);
}

.under {
  display: grid;
  gap: 6px;
}

.line {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
  justify-content: space-between;
  font-size: 14.5px;
}

.kept {
  display: inline-flex;
  gap: 5px;
  align-items: center;
}
</style>
