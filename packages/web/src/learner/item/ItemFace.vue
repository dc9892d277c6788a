<script setup lang="ts">
/** One item as a learner reads it, whatever kind it is. Also shown in setup. */
import { traitsOf } from '@itinerary/core/kinds';
import { IconClock, IconExternalLink, IconFlag3Filled, IconMapPin, IconPlayerPlay } from '@tabler/icons-vue';
import type { ItemView, MomentView, SectionView } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { formatDays, formatMinutes } from '../../words/dates.ts';
import DoneWhy from './DoneWhy.vue';
import ItemFile from './ItemFile.vue';
import ItemSign from '../outline/ItemSign.vue';
import { momentWords, ownMoment } from '../../words/moment-words.ts';
import RichText from '../text/RichText.vue';
import { sectionTitle } from '../words/titles.ts';

const props = defineProps<{
  /** Null around one item. */
  section: Pick<SectionView, 'number' | 'title' | 'days' | 'meeting'> | null;
  item: ItemView;
  html: string | null;
  today: string;
  /** The course's, for moments that the reader's own clocks show otherwise. */
  zone: string;
  level: 1 | 2;
  /** Where its file is; null: it has none. */
  fileHref: string | null;
}>();
const emit = defineEmits<{ tick: [done: boolean] }>();
const { t, locale } = useI18n();

const traits = computed(() => traitsOf(props.item));
const own = (moment: MomentView): string | null => ownMoment(moment, locale.value, props.today);
const words = (moment: MomentView): string => momentWords(moment, locale.value, props.today);
/** "4 min" of a film of 3:40. */
const plays = computed(() => (props.item.seconds === null ? null : Math.ceil(props.item.seconds / 60)));
</script>

<template>
  <article class="reading">
    <p v-if="section" class="where figures">
      <span v-if="section.number" class="section-number">{{ section.number }}</span>
      <span class="words">{{ sectionTitle(section, t, locale) }}</span>
      <template v-if="section.days">
        · {{ formatDays(section.days.first, section.days.last, locale, today) }}</template
      >
    </p>
    <component :is="`h${level}`" class="title">
      <span v-if="item.number" class="figures number">{{ item.number }}</span> {{ item.title }}
    </component>
    <p class="soft figures kind">
      <ItemSign :kind="item.kind" :size="16" />
      <span class="words">{{ t(`learner.kinds.${item.kind}`) }}</span>
      <template v-if="item.minutes"> · {{ formatMinutes(item.minutes, locale) }}</template>
      <template v-if="plays !== null">
        · {{ t('learner.length', { length: formatMinutes(plays, locale) }) }}</template
      >
    </p>
    <div
      v-for="moment in [item.due, item.held].filter((one) => one !== null)"
      :key="moment.instant"
      class="moment"
    >
      <p>
        <IconFlag3Filled v-if="moment === item.due" :size="16" aria-hidden="true" />
        <IconClock v-else :size="16" aria-hidden="true" />
        <strong class="figures">{{
          t(moment === item.due ? 'learner.due' : 'learner.held', { when: words(moment) })
        }}</strong>
        <span v-if="own(moment)" class="soft">{{ t('learner.byZone', { zone }) }}</span>
      </p>
      <p v-if="own(moment)" class="figures">{{ t('learner.inYourZone', { when: own(moment) }) }}</p>
    </div>
    <p v-if="item.place" class="place"><IconMapPin :size="16" aria-hidden="true" /> {{ item.place }}</p>
    <slot v-if="item.file && fileHref" name="file" :file="item.file" :href="fileHref">
      <ItemFile :file="item.file" :href="fileHref" />
    </slot>
    <p v-if="traits.address !== 'none'" class="link">
      <a
        v-if="item.address"
        class="button main"
        :href="item.address"
        target="_blank"
        rel="noopener noreferrer"
      >
        <component
          :is="traits.address === 'film' ? IconPlayerPlay : IconExternalLink"
          :size="18"
          aria-hidden="true"
        />
        {{ t(traits.address === 'film' ? 'learner.watch' : 'learner.followLink') }}
      </a>
      <span v-else-if="item.file === null" class="soft">{{
        t(traits.address === 'film' ? 'learner.noVideo' : 'learner.noAddress')
      }}</span>
    </p>
    <p v-else-if="traits.file === 'any' && item.file === null" class="soft">{{ t('learner.noFile') }}</p>
    <RichText v-if="html" class="text" :html="html" />
    <p v-else-if="traits.isText" class="soft">{{ t('learner.noText') }}</p>
    <p v-if="item.until" class="soft until">
      <IconClock :size="15" aria-hidden="true" />
      {{ t('learner.waits.until', { when: words(item.until) }) }}
    </p>
    <DoneWhy
      v-if="item.done"
      :done="item.done"
      :may-tick="item.state === 'open'"
      :today="today"
      @tick="emit('tick', $event)"
    />
  </article>
</template>

<style scoped>
.until {
  display: flex;
  gap: 5px;
  align-items: center;
  margin-top: 12px;
}

.reading {
  max-width: 720px;
}

.where {
  color: var(--ink-soft);
  font-size: 13.5px;
}

.section-number {
  margin-inline-end: 6px;
}

.where .words {
  font-family: var(--font-text);
}

.title {
  margin: 4px 0 2px;
  font-size: clamp(22px, 4.2vw, 30px);
  overflow-wrap: anywhere;
}

.title .number {
  margin-inline-end: 6px;
  color: var(--ink-soft);
  font-size: 0.72em;
  font-weight: 500;
}

.kind {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}

.kind .words {
  font-family: var(--font-text);
}

.moment {
  margin-top: 14px;
  padding: 8px 14px;
  border-inline-start: 4px solid var(--ink);
  background: var(--mist);
}

.moment p,
.place {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
}

.place {
  margin-top: 8px;
}

.text {
  margin-top: 20px;
  font-size: 16px;
  line-height: 1.6;
}

.link {
  margin-top: 20px;
}
</style>
