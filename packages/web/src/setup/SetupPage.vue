<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, provide, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { onBeforeRouteLeave, useRoute, useRouter } from 'vue-router';
import { VDialog } from 'vuetify/components/VDialog';
import { ProblemError } from '../api/client.ts';
import { setTitle } from '../words/page-title.ts';
import LoadState from '../ui/frame/LoadState.vue';
import type { Loading } from '../api/use-answer.ts';
import { offerCommands } from '../stores/commands.ts';
import { useLive } from '../stores/live.ts';
import { usePlan } from '../stores/plan.ts';
import { useSeeing } from '../stores/seeing.ts';
import { COURSE_DAYS } from '../ui/fields/when/day-context.ts';
import { FIELD_STATE } from '../ui/fields/reading/field-state.ts';
import { keepFocusInView } from '../ui/frame/in-view.ts';
import { useBehind } from '../ui/frame/behind.ts';
import AppBar from '../ui/frame/AppBar.vue';
import AccessStop from './access/AccessStop.vue';
import AboutStop from './about/AboutStop.vue';
import CourseTimeline from './timeline/CourseTimeline.vue';
import { courseDays } from './dates/course-days.ts';
import DatesStop from './dates/DatesStop.vue';
import UploadList from './files/UploadList.vue';
import GoLiveDialog from './frame/GoLiveDialog.vue';
import LookStop from './look/LookStop.vue';
import MembersStop from './members/MembersStop.vue';
import MenuStop from './menu/MenuStop.vue';
import MessagesStop from './messages/MessagesStop.vue';
import NoticeList from './frame/NoticeList.vue';
import OutlineStop from './outline/OutlineStop.vue';
import { usePreviewOpen } from './preview/open.ts';
import PreviewPane from './preview/PreviewPane.vue';
import { useMarker } from './preview/marker.ts';
import MovesDialog from './progress/MovesDialog.vue';
import ProgressStop from './progress/ProgressStop.vue';
import ReadinessStop from './readiness/ReadinessStop.vue';
import { changesFor, spanOf } from './seeing/changes.ts';
import SetupBar from './frame/SetupBar.vue';
import SetupRoute from './frame/SetupRoute.vue';
import { SETUP_ACTS } from './frame/acts.ts';
import { STOPS } from './frame/stops.ts';
import type { Stop } from './frame/stops.ts';
import { undoKeys } from './frame/undo-keys.ts';

const COMPONENTS = {
  about: AboutStop,
  dates: DatesStop,
  outline: OutlineStop,
  menu: MenuStop,
  look: LookStop,
  progress: ProgressStop,
  access: AccessStop,
  members: MembersStop,
  messages: MessagesStop,
  readiness: ReadinessStop,
};

const { t } = useI18n();
const route = useRoute();
const router = useRouter();
const plan = usePlan();
const seeing = useSeeing();
const state = ref<Loading>('loading');
const isGoingLive = ref(false);
const isItemOpen = ref(false);
const isTimelineOpen = ref(localStorage.getItem('itinerary.timeline') !== 'folded');

const stop = computed<Stop>(() => STOPS.find((name) => name === route.params['stop']) ?? 'about');
const { isOpen: isPreviewOpen, isNarrow } = usePreviewOpen(() => stop.value);
useBehind(computed(() => isNarrow.value && isPreviewOpen.value));

const courseId = computed(() => String(route.params['course']));
const isSeeing = ref(false);
const changes = computed(() =>
  plan.course === null ? [] : changesFor(plan.course, seeing.lasting, plan.planned),
);
const span = computed(() => spanOf(plan.planned, changes.value));
const marker = useMarker(() => plan.planned);
seeing.momentOf = () => marker.moment.value;
const toMembers = (): void => void router.push(`/setup/${courseId.value}/members`);
function seeAs(): void {
  isItemOpen.value = false;
  // Over the stop one looks and comes back; beside it, as whom is asked and put away.
  isSeeing.value = isNarrow.value || !isSeeing.value;
  isPreviewOpen.value = true;
}

provide(COURSE_DAYS, courseDays());
provide(FIELD_STATE, (field, target) => plan.stateOf(target ?? courseId.value, field));
provide(SETUP_ACTS, {
  goLive: () => (isGoingLive.value = true),
  members: toMembers,
  marker,
  changes,
  span,
  isSeeing,
  isItemOpen,
});

async function load(): Promise<void> {
  state.value = 'loading';
  try {
    await plan.open(courseId.value);
    marker.reset();
    seeing.reset();
    state.value = 'there';
  } catch (error) {
    const code = error instanceof ProblemError ? error.problem.code : null;
    if (code === 'not_allowed') await router.replace(`/courses/${courseId.value}`);
    else state.value = code === 'not_found' ? 'nothing' : 'failed';
  }
}

watch(courseId, load, { immediate: true });
watch(
  () => [stop.value, plan.course?.title],
  () => {
    if (plan.course !== null) setTitle(`${t(`setup.stops.${stop.value}`)} · ${plan.course.title}`);
  },
  { immediate: true },
);
watch(isTimelineOpen, (open) => localStorage.setItem('itinerary.timeline', open ? 'open' : 'folded'));

offerCommands('setup', () => [
  ...STOPS.map((name) => ({
    id: `stop-${name}`,
    title: t(`setup.stops.${name}`),
    run: () => router.push(`/setup/${courseId.value}/${name}`),
  })),
  {
    id: 'class-list',
    title: t('setup.members.readList'),
    run: () => router.push({ path: `/setup/${courseId.value}/members`, query: { list: 'new' } }),
  },
  ...(plan.rights.state
    ? [
        {
          id: 'state',
          title: t(plan.course?.state === 'draft' ? 'setup.goLive.title' : 'setup.goLive.stateTitle'),
          run: () => (isGoingLive.value = true),
        },
      ]
    : []),
  { id: 'see-as', title: t('setup.seeing.title'), run: seeAs },
  {
    id: 'preview',
    title: t(isPreviewOpen.value ? 'setup.preview.fold' : 'setup.preview.unfold'),
    run: () => (isPreviewOpen.value = !isPreviewOpen.value),
  },
  { id: 'undo', title: t('setup.bar.undo'), run: plan.undo },
  { id: 'redo', title: t('setup.bar.redo'), run: plan.redo },
]);

keepFocusInView();
const onKey = undoKeys(plan);
useLive((heard) => {
  if (state.value !== 'there') return;
  if (heard.kind === 'course' && heard.id === courseId.value) void plan.catchUp(heard.seq);
  if (heard.kind === 'missed') void plan.flush();
});
/** Somebody else may have worked here meanwhile. */
const onReturn = (): void => {
  if (document.visibilityState === 'visible' && state.value === 'there') void plan.flush();
};
const onUnload = (event: BeforeUnloadEvent): void => {
  if (plan.isUnsaved && plan.saving !== 'saving' && !plan.isKept) event.preventDefault();
};

onMounted(() => {
  document.addEventListener('keydown', onKey);
  document.addEventListener('visibilitychange', onReturn);
  window.addEventListener('pagehide', plan.leave);
  window.addEventListener('beforeunload', onUnload);
});
onBeforeUnmount(() => {
  document.removeEventListener('keydown', onKey);
  document.removeEventListener('visibilitychange', onReturn);
  window.removeEventListener('pagehide', plan.leave);
  window.removeEventListener('beforeunload', onUnload);
});
onBeforeRouteLeave(async () => {
  // What is on the device is sent when the line is back, from the next page too.
  if (plan.isUnsaved && !(plan.isKept && plan.saving === 'retrying')) await plan.flush();
  return plan.isUnsaved && !plan.isKept ? window.confirm(t('setup.leaveUnsaved')) : true;
});
</script>

<template>
  <div
    v-if="state === 'there' && plan.course !== null"
    :class="['setup', { previewed: isPreviewOpen, timed: isTimelineOpen }]"
  >
    <SetupBar class="bar" @go-live="isGoingLive = true" @see-as="seeAs" />
    <SetupRoute class="route" :course-id="courseId" :stop="stop" />
    <main id="main" class="work">
      <component :is="COMPONENTS[stop]" />
    </main>
    <PreviewPane v-if="!isItemOpen && !isNarrow" v-model:open="isPreviewOpen" class="preview" />
    <CourseTimeline v-if="!isNarrow || !isPreviewOpen" v-model:open="isTimelineOpen" class="timeline" />
    <VDialog
      v-if="isNarrow"
      v-model="isPreviewOpen"
      fullscreen
      :transition="false"
      :aria-label="t('setup.preview.title')"
    >
      <div class="over">
        <PreviewPane v-model:open="isPreviewOpen" class="preview" />
        <CourseTimeline v-model:open="isTimelineOpen" class="timeline" />
      </div>
    </VDialog>
    <NoticeList />
    <UploadList />
    <GoLiveDialog v-model="isGoingLive" />
    <MovesDialog />
  </div>
  <template v-else>
    <AppBar />
    <LoadState :state="state" @again="load" />
  </template>
</template>

<style scoped>
.setup {
  display: grid;
  grid-template: var(--bar-height) minmax(0, 1fr) auto / 212px minmax(0, 1fr) auto;
  grid-template-areas: 'bar bar bar' 'route work preview' 'timeline timeline timeline';
  height: 100vh;
}

.bar {
  grid-area: bar;
}

.route {
  grid-area: route;
  overflow-y: auto;
}

.work {
  /* What is told and not seen stands where its words would: else the page itself would be as long as the stop. */
  position: relative;
  grid-area: work;
  overflow: auto;
  padding: 18px 26px 32px;
}

.preview {
  grid-area: preview;
  min-height: 0;
}

.timeline {
  grid-area: timeline;
}

/* Over the stop, where there is no room beside it. */
.over {
  display: grid;
  grid-template: minmax(0, 1fr) auto / minmax(0, 1fr);
  grid-template-areas: 'preview' 'timeline';
  height: 100dvh;
  background: var(--card);
}

@media (max-width: 1080px) {
  .setup {
    grid-template: auto auto minmax(0, 1fr) auto / minmax(0, 1fr);
    grid-template-areas: 'bar' 'route' 'work' 'timeline';
    height: auto;
    min-height: 100vh;
  }

  .work {
    padding: 16px;
  }
}
</style>
