<script setup lang="ts">
/** A course as a learner meets it: its banner, and the panels of its home page. Also shown in setup. */
import { IconClock } from '@tabler/icons-vue';
import type { PictureView } from '@itinerary/contract';
import type { CourseView, HomeView, ItemView, PanelView, SectionView } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { path } from '../../api/client.ts';
import { dayIn, formatDay, formatTime } from '../../words/dates.ts';
import CourseBanner from './CourseBanner.vue';
import CourseFacts from './CourseFacts.vue';
import HomePanel from '../panels/HomePanel.vue';
import ItemFace from '../item/ItemFace.vue';
import { momentWords, ownMoment } from '../../words/moment-words.ts';
import PublicFacts from './PublicFacts.vue';
import RichText from '../text/RichText.vue';

const props = defineProps<{
  course: CourseView;
  home: HomeView;
  /** What its panels say, by hash. */
  texts: Readonly<Record<string, string>>;
  banner: PictureView | null;
  /** The colour that the theme is made from; null: the product's own. */
  seed: string | null;
  today: string;
  descriptionHtml: string | null;
  staff: readonly string[];
  /** The item to go on with. */
  carryOn: ItemView | null;
  hasBegun: boolean;
  /** Takes part in it: others' names are for those alone. */
  isMember?: boolean;
  introductionHtml?: string | null;
  /** Around one item: its text. */
  aroundHtml?: string | null;
  /** Makes real addresses of items; without it they are buttons. */
  hrefFor?: ((item: ItemView) => string) | undefined;
  sectionHrefFor?: ((section: SectionView) => string) | undefined;
  /** 1 on a page of its own, 2 inside another. */
  level: 1 | 2;
}>();
const emit = defineEmits<{
  open: [item: Pick<ItemView, 'id'>];
  section: [section: SectionView];
  announcements: [];
  far: [];
}>();
const { t, locale } = useI18n();

const isLink = computed(() => props.hrefFor !== undefined);

/** Closed, only what it is about is there; when it opens is said by the course's clocks and by one's own. */
const opening = computed(() => {
  const { access, opens, zone, isOver } = props.course;
  // For who is not in it the course may be under way.
  if (access !== 'named' || (opens === null && !isOver)) return null;
  if (opens === null) return { words: t('learner.closedAfter'), own: null };
  const at = { day: dayIn(opens, zone), time: formatTime(opens, locale.value, zone), instant: opens };
  return {
    words: t('learner.closedUntil', { when: momentWords(at, locale.value, props.today) }),
    own: ownMoment(at, locale.value, props.today),
  };
});

const status = computed(() => {
  const { now, firstDay, state } = props.course;
  if (state === 'archived') return t('learner.now.archived');
  switch (now.kind) {
    case 'undated':
      return props.course.pace === 'together' ? null : t('learner.now.open');
    case 'before':
      return t('learner.now.before', {
        day: formatDay(firstDay ?? '', locale.value, { today: props.today }),
      });
    case 'slot':
      return t(`learner.now.${props.course.format}`, { number: now.number });
    case 'pause':
      return t('learner.now.pause', { name: now.name });
    case 'within':
      return t('learner.now.within');
    case 'after':
      return t('learner.now.after');
  }
});

/** Around one item that item is the page, and nothing stands beside it that would say it again. */
const panels = computed(() =>
  props.home.panels.filter(
    ({ kind }) => props.course.around === null || (kind !== 'outline' && kind !== 'carry_on'),
  ),
);
/** Landmarks are a page's own; in a preview, of which there can be two, they are groups. */
const part = computed(() => (props.level === 1 ? 'section' : 'div'));
const partRole = computed(() => (props.level === 1 ? undefined : 'group'));
const isNamed = computed(() => props.course.access === 'named');
const isEmpty = computed(
  () => !isNamed.value && props.course.sections.length === 0 && props.course.around === null,
);
const inColumn = (column: PanelView['column']): readonly PanelView[] =>
  props.home.columns === 1
    ? column === 'main'
      ? panels.value
      : []
    : panels.value.filter((panel) => panel.column === column);
const hasSide = computed(() => isNamed.value || inColumn('side').length > 0);
const shared = computed(() => ({
  course: props.course,
  today: props.today,
  texts: props.texts,
  descriptionHtml: props.descriptionHtml,
  staff: props.staff,
  isMember: props.isMember === true,
  carryOn: props.carryOn,
  hasBegun: props.hasBegun,
  hrefFor: props.hrefFor,
  sectionHrefFor: props.sectionHrefFor,
  level: props.level === 1 ? (2 as const) : (3 as const),
  onOpen: (item: Pick<ItemView, 'id'>) => emit('open', item),
  onSection: (section: SectionView) => emit('section', section),
  onAnnouncements: () => emit('announcements'),
  onFar: () => emit('far'),
}));
</script>

<template>
  <article class="face">
    <CourseBanner
      :course-id="course.id"
      :code="course.code"
      :title="course.title"
      :seed="seed"
      :picture="banner"
      :level="level"
    >
      <template v-if="$slots['banner']" #picture><slot name="banner" /></template>
    </CourseBanner>
    <div :class="['columns', { single: !hasSide }]">
      <div class="way">
        <div v-if="opening" class="opening">
          <p>
            <IconClock :size="18" aria-hidden="true" /> <strong>{{ opening.words }}</strong>
          </p>
          <template v-if="opening.own">
            <p class="soft">{{ t('learner.closedByZone', { zone: course.zone }) }}</p>
            <p class="figures">{{ t('learner.inYourZone', { when: opening.own }) }}</p>
          </template>
        </div>
        <p v-else-if="status" class="status figures">{{ status }}</p>
        <p v-if="isEmpty" class="soft">{{ t('learner.empty') }}</p>
        <slot name="visit" />
        <PublicFacts v-if="isNamed" :course="course" :level="level + 1" />
        <component
          :is="part"
          v-if="introductionHtml"
          class="introduction"
          :role="partRole"
          :aria-label="t('learner.introduction')"
        >
          <RichText :html="introductionHtml" />
        </component>
        <ItemFace
          v-if="course.around"
          :section="null"
          :item="course.around"
          :html="aroundHtml ?? null"
          :today="today"
          :zone="course.zone"
          :file-href="isLink ? path`/api/learn/${course.id}/items/${course.around.id}/file` : null"
          :level="2"
        />
        <HomePanel v-for="panel in inColumn('main')" :key="panel.id" :panel="panel" v-bind="shared">
          <template v-if="$slots['panel']" #picture="{ picture }"
            ><slot name="panel" :picture="picture"
          /></template>
        </HomePanel>
      </div>
      <component
        :is="level === 1 ? 'aside' : 'div'"
        v-if="hasSide"
        class="side"
        :aria-label="level === 1 ? t('learner.beside') : undefined"
      >
        <component :is="part" v-if="isNamed" class="about" :role="partRole" :aria-label="t('learner.about')">
          <CourseFacts :course="course" :today="today" :description-html="descriptionHtml" :staff="staff" />
        </component>
        <HomePanel v-for="panel in inColumn('side')" :key="panel.id" :panel="panel" v-bind="shared">
          <template v-if="$slots['panel']" #picture="{ picture }"
            ><slot name="panel" :picture="picture"
          /></template>
        </HomePanel>
      </component>
    </div>
  </article>
</template>

<style scoped>
.face {
  container-type: inline-size;
  background: var(--card);
}

.opening {
  padding: 12px 16px;
  border-inline-start: 4px solid var(--later);
  background: var(--mist);
}

.opening p {
  display: flex;
  gap: 8px;
  align-items: center;
}

.columns {
  display: grid;
  gap: var(--gap, 22px);
  padding: 16px;
}

.way,
.side {
  display: grid;
  gap: var(--gap, 22px);
  align-content: start;
  min-width: 0;
}

.status {
  color: var(--ink-soft);
}

.introduction {
  padding-bottom: 16px;
  border-bottom: 3px solid var(--route);
}

.about {
  padding-top: 12px;
  border-top: 3px solid var(--route);
}

@container (min-width: 860px) {
  .columns {
    grid-template-columns: minmax(0, 1fr) 320px;
    gap: 48px;
    max-width: 1120px;
    margin: 0 auto;
    padding: 24px;
  }

  .columns.single {
    grid-template-columns: minmax(0, 760px);
    justify-content: center;
  }
}
</style>
