<script setup lang="ts">
/** A course as a learner meets it: banner, the way on, the sections on their line. Also shown in setup. */
import { IconClock, IconPlayerPlay } from '@tabler/icons-vue';
import type { CourseView, ItemView, PauseView, SectionView } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { path } from '../api/client.ts';
import { dayIn, formatDay, formatDays, formatMinutes, formatTime } from '../app/dates.ts';
import CoursePicture from '../ui/CoursePicture.vue';
import { itemAttributes } from './item-attributes.ts';
import ItemFace from './ItemFace.vue';
import { momentWords, ownMoment } from './moment-words.ts';
import PublicFacts from './PublicFacts.vue';
import RichText from './RichText.vue';
import SectionStop from './SectionStop.vue';

const props = defineProps<{
  course: CourseView;
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
  hrefFor?: (item: ItemView) => string;
  sectionHrefFor?: (section: SectionView) => string;
  /** 1 on a page of its own, 2 inside another. */
  level: 1 | 2;
}>();
const emit = defineEmits<{ open: [item: ItemView]; section: [section: SectionView] }>();
const { t, locale } = useI18n();

const isLink = computed(() => props.hrefFor !== undefined);
const attributes = (item: ItemView): Record<string, unknown> =>
  itemAttributes(item, props.hrefFor, () => emit('open', item));

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

/** The same from day to day, so that a day later no line is drawn again that says the same. */
const inYear = computed(() => `${props.today.slice(0, 4)}-01-01`);

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

/** Sections, with the named pauses between them. */
const stops = computed(() => {
  const { sections, pauses } = props.course;
  const before = (id: string | null): { pause: PauseView }[] =>
    pauses.filter((pause) => pause.before === id).map((pause) => ({ pause }));
  return [...sections.flatMap((section) => [...before(section.id), { section }]), ...before(null)];
});
const isIndex = computed(() => props.course.reading === 'sections');

/** A wall of items hides where one is: only the section that is on stands open, unless there are few. */
const FEW = 3;
const standing = computed(() => {
  const { sections } = props.course;
  if (sections.length <= FEW) return new Set(sections.map(({ id }) => id));
  return new Set([(sections.find(({ current }) => current) ?? sections[0])?.id]);
});
</script>

<template>
  <article class="face">
    <header class="banner">
      <CoursePicture :code="course.code" />
      <component :is="`h${level}`" class="plate">{{ course.title }}</component>
    </header>
    <div class="columns">
      <div class="way">
        <component
          :is="isLink ? 'a' : 'button'"
          v-if="carryOn !== null"
          class="carry-on"
          v-bind="attributes(carryOn)"
        >
          <IconPlayerPlay :size="22" aria-hidden="true" />
          <span>
            <strong>{{
              t(hasBegun ? 'learner.carryOn' : 'learner.startWith', { title: carryOn.title })
            }}</strong>
            <span class="figures meta">
              <template v-if="carryOn.number">{{ carryOn.number }}</template>
              <template v-if="carryOn.number && carryOn.minutes"> · </template>
              <template v-if="carryOn.minutes">{{ formatMinutes(carryOn.minutes) }}</template>
            </span>
          </span>
        </component>
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
        <p
          v-if="course.sections.length === 0 && course.around === null && course.access !== 'named'"
          class="soft"
        >
          {{ t('learner.empty') }}
        </p>
        <slot name="visit" />
        <PublicFacts v-if="course.access === 'named'" :course="course" />
        <section v-if="introductionHtml" class="introduction" :aria-label="t('learner.introduction')">
          <RichText :html="introductionHtml" />
        </section>
        <ItemFace
          v-if="course.around"
          class="around"
          :section="null"
          :item="course.around"
          :html="aroundHtml ?? null"
          :today="today"
          :zone="course.zone"
          :file-href="isLink ? path`/api/learn/${course.id}/items/${course.around.id}/file` : null"
          :level="2"
        />
        <ol v-else class="sections">
          <template v-for="stop in stops">
            <SectionStop
              v-if="'section' in stop"
              :key="stop.section.id"
              :section="stop.section"
              :today="inYear"
              :is-past="stop.section.days !== null && stop.section.days.last < today"
              :level="level === 1 ? 2 : 3"
              :stands-open="standing.has(stop.section.id)"
              :as-index="isIndex"
              v-bind="{
                ...(hrefFor === undefined ? {} : { hrefFor }),
                ...(sectionHrefFor === undefined ? {} : { sectionHref: sectionHrefFor(stop.section) }),
              }"
              @open="emit('open', $event)"
              @section="emit('section', stop.section)"
            />
            <li v-else :key="`${stop.pause.first} ${stop.pause.name}`" class="pause">
              <span v-if="stop.pause.number" class="figures">{{ stop.pause.number }}</span>
              <strong>{{ stop.pause.name }}</strong>
              <span class="figures soft">{{
                formatDays(stop.pause.first, stop.pause.last, locale, today)
              }}</span>
            </li>
          </template>
        </ol>
      </div>
      <component
        :is="level === 1 ? 'aside' : 'div'"
        class="about"
        :aria-label="level === 1 ? t('learner.about') : undefined"
      >
        <component :is="`h${level + 1}`">{{ t('learner.about') }}</component>
        <RichText v-if="descriptionHtml" :html="descriptionHtml" />
        <dl>
          <template v-if="course.firstDay && course.lastDay">
            <dt>{{ t('learner.runs') }}</dt>
            <dd class="figures">{{ formatDays(course.firstDay, course.lastDay, locale, today) }}</dd>
          </template>
          <template v-if="course.event">
            <dt>{{ t('learner.kinds.meeting') }}</dt>
            <dd class="figures">
              {{
                t('learner.event', {
                  day: formatDay(course.event.day, locale, { today }),
                  time: course.event.time,
                })
              }}
            </dd>
            <dd v-if="course.event.place">{{ course.event.place }}</dd>
          </template>
          <template v-if="staff.length > 0">
            <dt>{{ t('learner.taughtBy') }}</dt>
            <dd v-for="name in staff" :key="name">{{ name }}</dd>
          </template>
          <dt>{{ t('learner.code') }}</dt>
          <dd class="figures">{{ course.code }}</dd>
        </dl>
        <RouterLink
          v-if="isLink && isMember && course.access !== 'named'"
          class="guide"
          :to="`/courses/${course.id}/members`"
          >{{ t('learner.members.open') }}</RouterLink
        >
        <RouterLink
          v-if="isLink && course.access !== 'named'"
          class="guide"
          :to="`/courses/${course.id}/guide`"
          >{{ t('learner.guide.open') }}</RouterLink
        >
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
  border-left: 4px solid var(--later);
  background: var(--mist);
}

.opening p {
  display: flex;
  gap: 8px;
  align-items: center;
}

.banner {
  position: relative;
  height: clamp(112px, 22cqi, 210px);
}

.plate {
  position: absolute;
  left: 16px;
  right: 16px;
  bottom: 12px;
  width: fit-content;
  max-width: calc(100% - 32px);
  padding: 3px 10px 5px;
  border-radius: 4px;
  background: var(--card);
  font-size: clamp(20px, 5cqi, 30px);
}

.columns {
  display: grid;
  gap: 24px;
  padding: 16px;
}

.way {
  min-width: 0;
}

.carry-on {
  display: flex;
  align-items: center;
  gap: 14px;
  width: 100%;
  padding: 11px 16px;
  border: 0;
  border-radius: 6px;
  background: var(--bottle);
  color: var(--on-bottle);
  text-align: left;
  text-decoration: none;
  cursor: pointer;
}

.carry-on:hover {
  background: color-mix(in srgb, var(--bottle) 88%, var(--ink));
}

.carry-on strong,
.carry-on .meta {
  display: block;
}

.carry-on .meta {
  font-size: 13.5px;
}

.status {
  margin-top: 14px;
  color: var(--ink-soft);
}

.sections {
  margin: 14px 0 0;
  padding: 0;
  list-style: none;
}

.pause {
  position: relative;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  margin: 0 0 16px 32px;
  padding: 5px 10px;
  border-radius: 4px;
  background: repeating-linear-gradient(-45deg, transparent 0 5px, var(--mist) 5px 10px);
  font-size: 13.5px;
}

.pause::before {
  content: '';
  position: absolute;
  left: -24.5px;
  top: -16px;
  bottom: -20px;
  width: 3px;
  background: repeating-linear-gradient(var(--route-pale) 0 4px, transparent 4px 8px);
}

.around,
.introduction {
  margin-top: 20px;
}

.introduction {
  padding-bottom: 16px;
  border-bottom: 3px solid var(--route);
}

.about {
  display: grid;
  align-content: start;
  gap: 12px;
  padding-top: 16px;
  border-top: 3px solid var(--route);
}

dl {
  margin: 0;
}

dt {
  margin-top: 10px;
  color: var(--ink-soft);
  font-size: 12.5px;
}

dd {
  margin: 0;
}

@container (min-width: 860px) {
  .columns {
    grid-template-columns: minmax(0, 1fr) 320px;
    gap: 48px;
    max-width: 1120px;
    margin: 0 auto;
    padding: 24px;
  }

  .plate {
    left: max(24px, calc(50% - 536px));
    bottom: 20px;
  }
}
</style>
