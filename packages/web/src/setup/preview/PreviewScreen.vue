<script setup lang="ts">
/** The learner's own pages, resolved from the plan as it stands, for somebody at a moment. */
import { IconArrowLeft } from '@tabler/icons-vue';
import {
  announcementsAt,
  announcementView,
  courseView,
  findNode,
  homeView,
  lookView,
  menuView,
  onceLive,
  ownCourse,
  ownPlan,
  progressTold,
  share,
} from '@itinerary/core';
import type { Area, CourseView, HomeView, MenuItemView, Viewer } from '@itinerary/core';
import { computed, provide, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { path } from '../../api/client.ts';
import { itemToCarryOn } from '../../learner/course/carry-on.ts';
import AreaFace from '../../learner/outline/AreaFace.vue';
import CourseFace from '../../learner/course/CourseFace.vue';
import { FOLLOW } from '../../learner/item/follow.ts';
import GuideFace from '../../learner/guide/GuideFace.vue';
import ItemFace from '../../learner/item/ItemFace.vue';
import AnnouncementCard from '../../learner/panels/AnnouncementCard.vue';
import ContactCards from '../../learner/panels/ContactCards.vue';
import CourseFrame from '../../learner/shell/CourseFrame.vue';
import { CONTACTS, ROLE_NAMES } from '../../learner/shell/frame.ts';
import CroppedPicture from '../pictures/CroppedPicture.vue';
import { readableItems } from '../../learner/outline/section-index.ts';
import SectionFace from '../../learner/outline/SectionFace.vue';
import { usePlan } from '../../stores/plan.ts';
import { useTexts } from '../../stores/texts.ts';
import { dayIn } from '../../words/dates.ts';
import HowFar from '../../ui/progress/HowFar.vue';
import { useFilled } from '../text/filled.ts';
import PreviewJoin from './PreviewJoin.vue';
import PreviewMembers from './PreviewMembers.vue';
import { useBecause } from './because.ts';
import { usePreviewPeople } from './people.ts';
import PushButton from '../../ui/frame/PushButton.vue';

const props = withDefaults(
  defineProps<{
    viewer: Viewer;
    /** ISO, UTC. */
    moment: string;
    /** Two may stand beside each other. */
    label: string;
    /** Left out: as the workspace is. */
    dark?: boolean | undefined;
    /** The item that they were in last; null: nobody in particular, or none. */
    last?: string | null;
  }>(),
  { dark: undefined, last: null },
);
const { t } = useI18n();
const plan = usePlan();
const texts = useTexts();
const reading = ref<string | null>(null);
provide(FOLLOW, (id) => (reading.value = id));
const inSection = ref<string | null>(null);

/**
 * A draft is shown as it would be once live: the point is to see it before. What an edit leaves alone is the
 * same object before and after, so that only the line concerned is drawn again.
 */
const view = computed<CourseView | null>((before) => {
  const { course, planned } = plan;
  if (course === null || planned === null) return null;
  return share(before ?? null, courseView(onceLive(course), props.viewer, props.moment, planned));
});
const { contacts, staff } = usePreviewPeople(() => view.value);
const live = computed(() => (plan.course === null ? null : onceLive(plan.course)));
const asked = computed(() => {
  const { planned } = plan;
  return live.value === null || planned === null ? null : { course: live.value, planned };
});
const menu = computed(() => {
  if (asked.value === null) return null;
  const { course, planned } = asked.value;
  return menuView(course, props.viewer, props.moment, plan.face, planned);
});
const home = computed<HomeView>(() => {
  if (asked.value === null || view.value === null) return { columns: 2, panels: [] };
  const { course, planned } = asked.value;
  return homeView(course, props.viewer, props.moment, view.value, plan.face, planned);
});
const announcements = computed(() => {
  if (asked.value === null) return [];
  const at = Date.parse(props.moment);
  const own = ownPlan(asked.value.course, props.viewer, at, asked.value.planned);
  return announcementsAt(own, at).map((one) => announcementView(own, one));
});
const panelTexts = computed(() => {
  const hashes = home.value.panels.flatMap((panel) => {
    if (panel.kind === 'welcome') return [panel.text];
    return panel.kind === 'announcements' ? panel.announcements.map(({ text }) => text) : [];
  });
  const named = [...hashes, ...announcements.value.map(({ text }) => text)].filter((hash) => hash !== null);
  return Object.fromEntries(named.map((hash) => [hash, filled(texts.read(hash)) ?? '']));
});
const far = computed(() =>
  live.value === null ? null : progressTold(live.value, props.viewer, props.moment),
);
const look = computed(() => (plan.course === null ? null : lookView(plan.course.look)));
provide(
  ROLE_NAMES,
  computed(() => plan.course?.roleNames ?? {}),
);
provide(
  CONTACTS,
  computed(() => ({ contacts: contacts.value, pictureHref: null })),
);
/** The entry of the menu that was pressed; null: the home page. */
const pressed = ref<MenuItemView | null>(null);
const area = computed<Area | null>(() => {
  const own = pressed.value?.area ?? null;
  return own === 'home' ? null : own;
});
/** Where they stand, item by item, is looked at. */
const isFar = ref(false);
function go(item: MenuItemView): void {
  isFar.value = false;
  reading.value = item.item;
  inSection.value = null;
  pressed.value = item.to === 'area' || item.to === 'item' ? item : pressed.value;
}
const announcementsEntry = computed<MenuItemView | null>(() => {
  const all = menu.value?.groups.flatMap(({ entries }) => entries) ?? [];
  return all.find((item) => item.area === 'announcements') ?? null;
});
const currentEntry = computed(() => {
  if (pressed.value !== null) return pressed.value.id;
  const all = menu.value?.groups.flatMap(({ entries }) => entries) ?? [];
  return all.find((item) => item.area === 'home')?.id ?? null;
});
const filled = useFilled(() => view.value);
const sections = computed(() => view.value?.sections ?? []);
const section = computed(() =>
  sections.value.find(({ id, state }) => id === inSection.value && state !== 'named'),
);
const place = computed(() => {
  for (const one of sections.value) {
    const item = readableItems(one.items).find(({ id }) => id === reading.value);
    if (item !== undefined) return { section: one, item };
  }
  return null;
});
function textOf(id: string | undefined): string | null {
  if (id === undefined || plan.course === null) return null;
  // What is held is read as they get it.
  const own = ownCourse(plan.course, props.viewer, Date.parse(props.moment));
  const node = findNode(own, id)?.node;
  return node !== undefined && 'text' in node ? filled(texts.read(node.text)) : null;
}
const html = computed(() => textOf(place.value?.item.id));
const aroundHtml = computed(() => textOf(view.value?.around?.id));
const carryOn = computed(() => (view.value === null ? null : itemToCarryOn(view.value, props.last)));

const today = computed(() => dayIn(props.moment, view.value?.zone ?? 'UTC'));
const { reasons, because, point, leave } = useBecause(() => ({ viewer: props.viewer, moment: props.moment }));

watch(place, (now) => {
  if (now === null) reading.value = null;
});

/** Another page begins at its top. */
const screen = ref<HTMLElement | null>(null);
const page = computed(() => [reading.value, inSection.value, isFar.value, area.value].join(' '));
watch(
  page,
  () => screen.value?.querySelectorAll('.columns, .content').forEach((part) => (part.scrollTop = 0)),
  { flush: 'post' },
);
</script>

<template>
  <div v-if="view" class="whole" @pointerover="point" @focusin="point" @pointerleave="leave">
    <div ref="screen" class="screen" role="region" :aria-label="label">
      <CourseFrame
        :course-id="view.id"
        :menu="menu"
        :place="plan.course?.menuPlace ?? 'top'"
        :current="currentEntry"
        :unread="0"
        :look="look"
        :dark="dark"
        told
        @go="go"
      >
        <div v-if="place" class="page">
          <PushButton small @click="reading = null">
            <IconArrowLeft :size="16" aria-hidden="true" /> {{ t('learner.allSections') }}
          </PushButton>
          <ItemFace
            :section="place.section"
            :item="place.item"
            :html="html"
            :today="today"
            :zone="view.zone"
            :file-href="
              place.item.file === null ? null : path`/api/courses/${view.id}/files/${place.item.file.hash}`
            "
            :level="2"
          />
        </div>
        <div v-else-if="isFar && far !== null" class="page">
          <PushButton small @click="isFar = false">
            <IconArrowLeft :size="16" aria-hidden="true" /> {{ t('learner.allSections') }}
          </PushButton>
          <h2>{{ t('progress.title') }}</h2>
          <HowFar :course-id="null" :progress="far" :today="today" @open="reading = $event" />
        </div>
        <div v-else-if="section" class="page">
          <PushButton small @click="inSection = null">
            <IconArrowLeft :size="16" aria-hidden="true" /> {{ t('learner.allSections') }}
          </PushButton>
          <SectionFace :section="section" :today="today" :level="2" @open="reading = $event.id" />
        </div>
        <div v-else-if="area === 'announcements'" class="page">
          <h2>{{ t('learner.areas.announcements') }}</h2>
          <AnnouncementCard
            v-for="one in announcements"
            :key="one.id"
            :announcement="one"
            :html="one.text === null ? null : (panelTexts[one.text] ?? null)"
            :today="today"
            :level="3"
            :file-href="null"
          />
        </div>
        <div v-else-if="area === 'contact'" class="page">
          <h2>{{ t('learner.areas.contact') }}</h2>
          <ContactCards :contacts="contacts" :level="3" :picture-href="null" />
        </div>
        <div v-else-if="area === 'guide'" class="page wide">
          <GuideFace :course="view" :today="today" :level="2" />
        </div>
        <div v-else-if="area === 'members'" class="page">
          <h2>{{ t('learner.members.title') }}</h2>
          <PreviewMembers :viewer="viewer" :moment="moment" />
        </div>
        <div v-else-if="area !== null" class="page wide">
          <AreaFace
            :area="area"
            :course="view"
            :description-html="filled(texts.read(view.description))"
            :staff="staff"
            :today="today"
            :level="2"
            @open="reading = $event.id"
            @section="inSection = $event.id"
          />
        </div>
        <CourseFace
          v-else
          :course="view"
          :home="home"
          :texts="panelTexts"
          :banner="null"
          :seed="plan.course?.look.seed ?? null"
          :today="today"
          :description-html="filled(texts.read(view.description))"
          :introduction-html="filled(texts.read(view.introduction))"
          :around-html="aroundHtml"
          :staff="staff"
          :carry-on="carryOn"
          :has-begun="last !== null && carryOn?.id === last"
          :level="2"
          @open="reading = $event.id"
          @section="inSection = $event.id"
          @announcements="pressed = announcementsEntry"
          @far="isFar = true"
        >
          <template v-if="plan.course?.banner" #banner>
            <CroppedPicture :course-id="view.id" :picture="plan.course.banner" fills />
          </template>
          <template #panel="{ picture }">
            <CroppedPicture :course-id="view.id" :picture="picture" frame="panel" />
          </template>
          <template v-if="viewer.role === null" #visit>
            <PreviewJoin :moment="moment" />
          </template>
        </CourseFace>
      </CourseFrame>
    </div>
    <p v-if="because" class="because">{{ because }}</p>
  </div>
  <div v-else class="nothing">
    <strong>{{ t('setup.seeing.noCourse') }}</strong>
    <p v-for="reason in reasons" :key="reason">{{ reason }}</p>
  </div>
</template>

<style scoped>
.whole {
  display: flex;
  flex-direction: column;
  height: 100%;
}

.because {
  padding: 6px 12px;
  border-top: 1px solid var(--rule);
  background: var(--mist);
  font-size: 13px;
}

.nothing {
  display: grid;
  gap: 6px;
  padding: 20px 16px;
}

.screen {
  flex: 1;
  min-height: 0;
  background: var(--card);
  color: var(--ink);
}

/* As wide as the pages themselves. */
.page {
  display: grid;
  gap: 12px;
  max-width: 752px;
  margin: 0 auto;
  padding: 16px;
}

.page.wide {
  max-width: 1040px;
}

.page > .button {
  justify-self: start;
}
</style>
