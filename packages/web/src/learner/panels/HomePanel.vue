<script setup lang="ts">
/** One panel of the home page, filled. */
import { IconPlayerPlay } from '@tabler/icons-vue';
import type {
  AheadView,
  ContactView,
  CoursePicture,
  CourseView,
  ItemView,
  PanelView,
  SectionView,
} from '@itinerary/core';
import { computed, useId } from 'vue';
import { useI18n } from 'vue-i18n';
import { formatMinutes } from '../../words/dates.ts';
import CourseFacts from '../course/CourseFacts.vue';
import { itemAttributes } from '../outline/item-attributes.ts';
import ItemWay from '../../ui/progress/ItemWay.vue';
import AheadList from './AheadList.vue';
import AnnouncementCard from './AnnouncementCard.vue';
import ContactCards from './ContactCards.vue';
import ShareDone from './ShareDone.vue';
import WeekDays from './WeekDays.vue';
import RichText from '../text/RichText.vue';
import SectionList from '../outline/SectionList.vue';

const props = defineProps<{
  panel: PanelView;
  course: CourseView;
  today: string;
  /** By hash. */
  texts: Readonly<Record<string, string>>;
  descriptionHtml: string | null;
  staff: readonly string[];
  isMember: boolean;
  carryOn: ItemView | null;
  hasBegun: boolean;
  hrefFor?: ((item: ItemView) => string) | undefined;
  sectionHrefFor?: ((section: SectionView) => string) | undefined;
  /** Of the panel's heading. */
  level: 2 | 3;
}>();
const emit = defineEmits<{
  open: [item: Pick<ItemView, 'id'>];
  section: [section: SectionView];
  announcements: [];
  far: [];
}>();
const { t, locale } = useI18n();
const headingId = useId();
const isLink = computed(() => props.hrefFor !== undefined);
const attributes = (item: ItemView): Record<string, unknown> =>
  itemAttributes(item, props.hrefFor, () => emit('open', item));

/** The outline's own headings say what it is; carrying on is one press. */
const isNamed = computed(() => !['outline', 'carry_on', 'welcome', 'picture'].includes(props.panel.kind));
const at = computed(() => `/courses/${props.course.id}`);
const textOf = (hash: string | null): string | null => (hash === null ? null : (props.texts[hash] ?? null));

const versionOf = ({ file, focus, zoom }: CoursePicture): string =>
  [file.hash.slice(0, 12), focus.x, focus.y, zoom].join('-');
const pictureAt = (frame: 'panel' | 'card', id: string, width: number, picture: CoursePicture): string =>
  `/api/learn/${props.course.id}/face/${frame}?width=${width}&id=${id}&v=${versionOf(picture)}`;
const cardHref = (card: ContactView): string =>
  card.picture === null ? '' : pictureAt('card', card.id, 160, card.picture);
const aheadHref = (thing: AheadView): string => `${at.value}/items/${thing.id}`;
const fileHref = (announcement: string) => (hash: string) =>
  `/api/learn/${props.course.id}/announcements/${announcement}/files/${hash}`;
const creditOf = ({ file }: CoursePicture): string =>
  [file.author, file.licence].filter((words) => words !== null && words !== '').join(' · ');
</script>

<template>
  <!-- A landmark on a page of its own; in a preview, of which there can be two, a group. -->
  <component
    :is="level === 2 ? 'section' : 'div'"
    v-if="panel.kind !== 'carry_on' || carryOn !== null"
    :class="['panel', panel.kind]"
    :role="level === 2 ? undefined : 'group'"
    :aria-labelledby="isNamed ? headingId : undefined"
    :aria-label="isNamed ? undefined : t(`learner.panels.${panel.kind}`)"
  >
    <component :is="`h${level}`" v-if="isNamed" :id="headingId" class="name">{{
      panel.kind === 'next' ? t('learner.panels.nextDays', panel.days) : t(`learner.panels.${panel.kind}`)
    }}</component>
    <RichText v-if="panel.kind === 'welcome'" :html="textOf(panel.text) ?? ''" />
    <component
      :is="isLink ? 'a' : 'button'"
      v-else-if="panel.kind === 'carry_on' && carryOn !== null"
      class="carry-on"
      v-bind="attributes(carryOn)"
    >
      <IconPlayerPlay :size="22" aria-hidden="true" />
      <span>
        <strong>{{ t(hasBegun ? 'learner.carryOn' : 'learner.startWith', { title: carryOn.title }) }}</strong>
        <span class="figures meta">
          <template v-if="carryOn.number">{{ carryOn.number }}</template>
          <template v-if="carryOn.number && carryOn.minutes"> · </template>
          <template v-if="carryOn.minutes">{{ formatMinutes(carryOn.minutes, locale) }}</template>
        </span>
      </span>
    </component>
    <SectionList
      v-else-if="panel.kind === 'outline'"
      :course="course"
      :today="today"
      :level="level"
      :href-for="hrefFor"
      :section-href-for="sectionHrefFor"
      @open="emit('open', $event)"
      @section="emit('section', $event)"
    />
    <template v-else-if="panel.kind === 'announcements'">
      <AnnouncementCard
        v-for="one in panel.announcements"
        :key="one.id"
        :announcement="one"
        :html="textOf(one.text)"
        :today="today"
        :level="level === 2 ? 3 : 4"
        brief
        :file-href="isLink ? fileHref(one.id) : null"
      >
        <template #subject>
          <RouterLink v-if="isLink" class="subject" :to="`${at}/announcements#${one.id}`">{{
            one.subject
          }}</RouterLink>
          <button v-else type="button" class="subject" @click="emit('announcements')">
            {{ one.subject }}
          </button>
        </template>
      </AnnouncementCard>
      <p v-if="panel.more > 0" class="more">
        <ItemWay :to="isLink ? `${at}/announcements` : null" @open="emit('announcements')">{{
          t('learner.announcements.more', panel.more)
        }}</ItemWay>
      </p>
    </template>
    <AheadList
      v-else-if="panel.kind === 'next'"
      :ahead="panel.ahead"
      :today="today"
      :href-for="isLink ? aheadHref : null"
      @open="emit('open', { id: $event.id })"
    />
    <WeekDays v-else-if="panel.kind === 'week'" :week="panel.week" :today="today" />
    <ContactCards
      v-else-if="panel.kind === 'contact'"
      :contacts="panel.contacts"
      :level="level === 2 ? 3 : 4"
      :picture-href="cardHref"
    />
    <ShareDone
      v-else-if="panel.kind === 'progress'"
      :panel="panel"
      :at="isLink ? at : null"
      :zone="course.zone"
      :today="today"
      @open="emit('open', { id: $event })"
      @far="emit('far')"
    />
    <figure v-else-if="panel.kind === 'picture'">
      <slot name="picture" :picture="panel.picture">
        <img
          :src="pictureAt('panel', panel.id, 960, panel.picture)"
          :alt="panel.picture.file.alt ?? ''"
          loading="lazy"
        />
      </slot>
      <figcaption v-if="creditOf(panel.picture)" class="soft">{{ creditOf(panel.picture) }}</figcaption>
    </figure>
    <template v-else-if="panel.kind === 'about'">
      <CourseFacts :course="course" :today="today" :description-html="descriptionHtml" :staff="staff" />
      <template v-if="isLink">
        <RouterLink v-if="isMember" class="way" :to="`${at}/members`">{{
          t('learner.members.open')
        }}</RouterLink>
        <RouterLink class="way" :to="`${at}/guide`">{{ t('learner.guide.open') }}</RouterLink>
      </template>
    </template>
  </component>
</template>

<style scoped>
.panel {
  min-width: 0;
}

.name {
  margin-bottom: 6px;
  padding-top: 10px;
  border-top: 3px solid var(--route);
  font-size: 17px;
}

.carry-on {
  display: flex;
  align-items: center;
  gap: 14px;
  width: 100%;
  padding: 11px 16px;
  border: 0;
  border-radius: var(--corner, 6px);
  background: var(--bottle);
  color: var(--on-bottle);
  text-align: start;
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

.subject {
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: start;
  text-decoration: underline;
  text-decoration-color: var(--route);
  text-underline-offset: 3px;
  cursor: pointer;
}

.more {
  padding-top: 8px;
}

.way {
  display: block;
  min-height: 28px;
  margin-top: 6px;
}

figure {
  margin: 0;
}

figure img {
  display: block;
  width: 100%;
  border-radius: var(--corner, 6px);
}

figcaption {
  font-size: 12px;
}
</style>
