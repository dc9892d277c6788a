<script setup lang="ts">
/** The parts of a film, and what is said in it: each line goes there. */
import { chapterAt, writeLength } from '@itinerary/core/film';
import { IconListDetails } from '@tabler/icons-vue';
import type { FilmAnswer } from '@itinerary/contract';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import BareButton from '../../../ui/frame/BareButton.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import { languageName } from '../../../words/spoken.ts';

/** `here` in seconds. */
const props = defineProps<{ film: FilmAnswer; here: number }>();
const emit = defineEmits<{ go: [seconds: number] }>();
const { t, locale } = useI18n();
const spoken = ref('');
const said = computed(() => {
  const all = props.film.captions;
  return all.find(({ language }) => language === spoken.value) ?? all[0] ?? null;
});
const chapter = computed(() => chapterAt(props.film.chapters, props.here));
const isSaid = ({ from, to }: { readonly from: number; readonly to: number }): boolean =>
  props.here * 1000 >= from && props.here * 1000 < to;
const time = (seconds: number): string => writeLength(Math.floor(seconds));
</script>

<template>
  <nav v-if="film.chapters.length > 0" :aria-label="t('film.chapters')">
    <p class="head"><IconListDetails :size="16" aria-hidden="true" /> {{ t('film.chapters') }}</p>
    <ol>
      <li v-for="one in film.chapters" :key="one.at">
        <BareButton
          :class="['line', { here: one === chapter }]"
          :aria-current="one === chapter ? 'true' : undefined"
          @click="emit('go', one.at)"
        >
          <span class="figures time">{{ time(one.at) }}</span> <span dir="auto">{{ one.title }}</span>
        </BareButton>
      </li>
    </ol>
  </nav>
  <details v-if="said !== null" class="said">
    <summary>{{ t('film.said') }}</summary>
    <p v-if="film.captions.length > 1" class="languages">
      <PushButton
        v-for="{ language } in film.captions"
        :key="language"
        small
        :aria-pressed="language === said.language"
        @click="spoken = language"
      >
        {{ languageName(language, locale) }}
      </PushButton>
    </p>
    <ol :lang="said.language">
      <li v-for="(cue, index) in said.cues" :key="index">
        <BareButton :class="['line', { here: isSaid(cue) }]" @click="emit('go', cue.from / 1000)">
          <span class="figures time">{{ time(cue.from / 1000) }}</span> <span dir="auto">{{ cue.text }}</span>
        </BareButton>
      </li>
    </ol>
  </details>
</template>

<style scoped>
.head {
  display: flex;
  gap: 6px;
  align-items: center;
  font-weight: 600;
}

ol {
  margin: 0;
  padding: 0;
  list-style: none;
}

.said ol {
  max-height: 50vh;
  overflow: auto;
}

.line {
  justify-content: start;
  width: 100%;
  height: auto;
  min-height: 34px;
  padding: 5px 8px;
  border-inline-start: 3px solid transparent;
  border-radius: 0;
  text-align: start;
}

.line :deep(.v-btn__content) {
  display: grid;
  grid-template-columns: 56px minmax(0, 1fr);
  gap: 8px;
  align-items: baseline;
  width: 100%;
  white-space: pre-wrap;
}

.line.here {
  border-inline-start-color: var(--route);
  background: var(--mist);
}

.time {
  color: var(--ink-soft);
  font-size: 13.5px;
}

.languages {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 8px 0;
}

summary {
  padding: 6px 0;
  font-weight: 600;
  cursor: pointer;
}
</style>
