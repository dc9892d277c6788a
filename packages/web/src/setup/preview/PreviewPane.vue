<script setup lang="ts">
/** What somebody sees, computed from the plan as it stands: the learner's own pages, at the marker's moment. */
import {
  IconArrowsMaximize,
  IconChevronLeft,
  IconChevronRight,
  IconMoon,
  IconPin,
  IconSun,
  IconUser,
} from '@tabler/icons-vue';
import { onceLive } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useTheme } from 'vuetify';
import { VDialog } from 'vuetify/components/VDialog';
import { formatDay, formatTime } from '../../words/dates.ts';
import { usePlan } from '../../stores/plan.ts';
import { useSeeing } from '../../stores/seeing.ts';
import { useSession } from '../../stores/session.ts';
import { useBehind } from '../../ui/frame/behind.ts';
import IconButton from '../../ui/frame/IconButton.vue';
import { useActs } from '../frame/acts.ts';
import { ghostsOf } from '../seeing/ghosts.ts';
import GhostList from '../seeing/GhostList.vue';
import SeeAs from '../seeing/SeeAs.vue';
import { useWho } from '../seeing/use-who.ts';
import PreviewScreen from './PreviewScreen.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import BareButton from '../../ui/frame/BareButton.vue';

const open = defineModel<boolean>('open', { required: true });
const { t, locale } = useI18n();
const plan = usePlan();
const seeing = useSeeing();
const session = useSession();
const { marker, isSeeing } = useActs();
const isFull = ref(false);
useBehind(isFull);
const side = ref<'there' | 'missing'>('there');
/** Undefined: as the workspace is. */
const dark = ref<boolean | undefined>(undefined);
const theme = useTheme();
const isDark = computed(() => dark.value ?? theme.current.value.dark);
const frame = ref<'page' | 'phone'>('page');

function moment(iso: string, isExact: boolean, day: string): string {
  const words = formatDay(day, locale.value, { today: session.today });
  const zone = plan.course?.dates.zone ?? 'UTC';
  return isExact ? `${words} ${formatTime(iso, locale.value, zone)}` : words;
}
const on = computed(() => moment(marker.moment.value, marker.isExact.value, marker.day.value));
const who = useWho();
const missing = computed(() => {
  const { course, planned } = plan;
  if (course === null) return null;
  return ghostsOf(onceLive(course), seeing.viewer, marker.moment.value, planned);
});
const isWaiting = computed(() => plan.course?.state === 'draft' && plan.course.goesLive === null);

function pin(): void {
  seeing.pinned =
    seeing.pinned === null
      ? { viewer: seeing.viewer, moment: marker.moment.value, name: `${who.value}, ${on.value}` }
      : null;
  if (seeing.pinned !== null) isFull.value = true;
}
</script>

<template>
  <aside :class="['pane', { folded: !open }]" :aria-label="t('setup.preview.title')">
    <BareButton
      v-if="!open"
      class="unfold"
      :aria-label="t('setup.preview.unfold')"
      :title="t('setup.preview.unfold')"
      @click="open = true"
    >
      <IconChevronLeft :size="18" aria-hidden="true" />
    </BareButton>
    <template v-else>
      <header>
        <span :class="marker.isExact.value ? 'visually-hidden' : 'word'">{{
          t('setup.preview.seenBy')
        }}</span>
        <BareButton class="chip" :aria-expanded="isSeeing" @click="isSeeing = !isSeeing">
          <IconUser :size="16" aria-hidden="true" /> <span class="who">{{ who }}</span>
        </BareButton>
        <span class="chip figures when">{{ on }}</span>
        <span class="spacer" />
        <IconButton
          :icon="isDark ? IconSun : IconMoon"
          :label="t('setup.preview.dark')"
          :aria-pressed="isDark"
          @click="dark = !isDark"
        />
        <IconButton :icon="IconArrowsMaximize" :label="t('setup.preview.full')" @click="isFull = true" />
        <IconButton
          :icon="IconChevronRight"
          :label="t('setup.preview.fold')"
          :size="18"
          @click="open = false"
        />
      </header>
      <SeeAs v-if="isSeeing" />
      <p v-if="isWaiting" class="draft">{{ t('setup.preview.draft') }}</p>
      <div v-if="missing !== null" class="sides" role="group" :aria-label="t('setup.seeing.sides')">
        <BareButton :aria-pressed="side === 'there'" @click="side = 'there'">
          {{ t('setup.seeing.there') }}
        </BareButton>
        <BareButton :aria-pressed="side === 'missing'" @click="side = 'missing'">
          {{ t('setup.seeing.missing') }} <span class="figures">{{ missing.length }}</span>
        </BareButton>
      </div>
    </template>
    <div v-if="open" class="small-screen">
      <GhostList v-if="side === 'missing' && missing !== null" />
      <PreviewScreen
        v-else
        :viewer="seeing.viewer"
        :moment="marker.moment.value"
        :last="seeing.last"
        :label="t('setup.preview.title')"
        :dark="dark"
      />
    </div>
    <VDialog v-model="isFull" :max-width="1180" :aria-label="t('setup.preview.title')">
      <div :class="['wide', { two: seeing.pinned !== null }]">
        <div v-if="seeing.pinned" class="one">
          <p class="head figures">{{ seeing.pinned.name }}</p>
          <PreviewScreen
            :viewer="seeing.pinned.viewer"
            :moment="seeing.pinned.moment"
            :label="t('setup.seeing.keptBeside', { name: seeing.pinned.name })"
            :dark="dark"
            :class="{ 'as-phone': frame === 'phone' }"
          />
        </div>
        <div class="one">
          <p class="head figures">{{ who }}, {{ on }}</p>
          <PreviewScreen
            :viewer="seeing.viewer"
            :moment="marker.moment.value"
            :last="seeing.last"
            :label="`${who}, ${on}`"
            :dark="dark"
            :class="{ 'as-phone': frame === 'phone' }"
          />
        </div>
        <p class="acts">
          <span class="frames" role="group" :aria-label="t('setup.preview.frame')">
            <PushButton
              v-for="one in ['page', 'phone'] as const"
              :key="one"
              :aria-pressed="frame === one"
              @click="frame = one"
            >
              {{ t(`setup.preview.frames.${one}`) }}
            </PushButton>
            <PushButton :aria-pressed="isDark" @click="dark = !isDark">
              {{ t('setup.preview.dark') }}
            </PushButton>
          </span>
          <PushButton @click="pin">
            <IconPin :size="16" aria-hidden="true" />
            {{ t(seeing.pinned === null ? 'setup.seeing.pin' : 'setup.seeing.unpin') }}
          </PushButton>
          <PushButton @click="isFull = false">{{ t('common.close') }}</PushButton>
        </p>
      </div>
    </VDialog>
  </aside>
</template>

<style scoped src="./preview-pane.css"></style>
