<script setup lang="ts">
/** Announcements: those that stand, those that will, those that are still being written. */
import { IconPin, IconPlus, IconTrash } from '@tabler/icons-vue';
import { announcementsAt, datedAnnouncements, homeStandings } from '@itinerary/core';
import type { Announcement, DatedAnnouncement, FieldValue } from '@itinerary/core';
import { computed, nextTick, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { dayIn, formatDay } from '../../words/dates.ts';
import { newId } from '../../stores/new-id.ts';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import IconButton from '../../ui/frame/IconButton.vue';
import AnnouncementForm from './AnnouncementForm.vue';
import UnfoldingLine from './UnfoldingLine.vue';
import PushButton from '../../ui/frame/PushButton.vue';

defineProps<{ readonly: boolean }>();
const { t, locale } = useI18n();
const route = useRoute();
const plan = usePlan();
const session = useSession();
const course = computed(() => plan.course!);
const open = ref<string | null>(/^#field-announcement-(.+)$/.exec(route.hash)?.[1] ?? null);

const all = computed<readonly DatedAnnouncement[]>(() =>
  plan.planned === null ? [] : datedAnnouncements(plan.planned),
);
const now = computed(() => Date.parse(session.now()));
const standing = computed(
  () => new Set((plan.planned === null ? [] : announcementsAt(plan.planned, now.value)).map(({ id }) => id)),
);
const panel = computed(() => Object.values(course.value.panels).find((one) => one.kind === 'announcements'));
const most = computed(() =>
  panel.value?.kind === 'announcements' && panel.value.shown ? panel.value.most : 0,
);
const standings = computed(() =>
  plan.planned === null || most.value === 0 ? null : homeStandings(plan.planned, most.value),
);

function day(instant: number): string {
  const iso = new Date(instant).toISOString();
  return formatDay(dayIn(iso, course.value.dates.zone), locale.value, { today: session.today });
}
interface OnHome {
  readonly words: string;
  /** Each "Mon 1 Feb – Thu 4 Feb". */
  readonly spans: readonly string[];
}
/** The days on which it stands on the home page. */
function onHome({ id }: DatedAnnouncement): OnHome {
  const own = standings.value?.get(id);
  if (own === undefined) return { words: t('setup.messages.noHome'), spans: [] };
  if (own.length === 0) return { words: t('setup.messages.neverOnHome'), spans: [] };
  const spans = own.map(({ from, until }) =>
    until === Infinity
      ? t('setup.messages.fromOn', { from: day(from) })
      : day(from) === day(until - 1)
        ? day(from)
        : t('setup.messages.span', { from: day(from), until: day(until - 1) }),
  );
  return { words: t('setup.messages.onHome'), spans };
}
function state({
  id,
  announcement,
  from,
  until,
}: DatedAnnouncement): 'draft' | 'stands' | 'coming' | 'over' | 'undated' {
  if (!announcement.ready) return 'draft';
  if (standing.value.has(id)) return 'stands';
  if (from === null) return 'undated';
  return from > now.value && from < until ? 'coming' : 'over';
}

function set(id: string, value: Announcement | null, typing = false): void {
  const was = course.value.announcements[id] ?? null;
  plan.set(course.value.id, `announcements.${id}`, value as FieldValue, was as FieldValue, { typing });
}
function change(id: string, part: Partial<Announcement>, typing: boolean): void {
  const was = course.value.announcements[id];
  if (was !== undefined) set(id, { ...was, ...part }, typing);
}

/** Dated now: an announcement is mostly of today. */
async function add(): Promise<void> {
  const id = newId();
  const { zone } = course.value.dates;
  const at = session.now();
  set(id, {
    subject: t('setup.messages.fresh'),
    text: null,
    files: [],
    pinned: false,
    from: {
      kind: 'fixed',
      day: dayIn(at, zone),
      time: new Intl.DateTimeFormat('en-GB', {
        timeZone: zone,
        hour: '2-digit',
        minute: '2-digit',
        hourCycle: 'h23',
      }).format(new Date(at)),
    },
    until: null,
    comments: false,
    ready: false,
  });
  open.value = id;
  await nextTick();
  const field = document.querySelector<HTMLInputElement>(`#field-announcement-${id} input[name="subject"]`);
  field?.focus();
  field?.select();
}
</script>

<template>
  <section aria-labelledby="announcements-part">
    <h2 id="announcements-part">{{ t('setup.messages.parts.announcements') }}</h2>
    <p class="soft">
      {{ most === 0 ? t('setup.messages.homeOff') : t('setup.messages.homeShows', most) }}
      <RouterLink :to="`/setup/${course.id}/menu#field-panels`">{{ t('setup.messages.toHome') }}</RouterLink>
    </p>
    <p v-if="all.length === 0" class="empty soft">{{ t('setup.messages.none') }}</p>
    <ul v-else class="list">
      <UnfoldingLine
        v-for="one in all"
        :id="`field-announcement-${one.id}`"
        :key="one.id"
        :class="state(one)"
        tabindex="-1"
        :is-open="open === one.id"
        @turn="open = open === one.id ? null : one.id"
      >
        <template #title>
          <IconPin
            v-if="one.announcement.pinned"
            class="pin"
            :size="15"
            :aria-label="t('learner.announcements.pinned')"
            role="img"
          />
          {{ one.announcement.subject }}
        </template>
        <span class="state">{{ t(`setup.messages.states.${state(one)}`) }}</span>
        <span class="soft when">
          {{ onHome(one).words }}
          <span v-for="(span, at) in onHome(one).spans" :key="at" class="figures span">{{ span }}</span>
        </span>
        <PushButton
          v-if="!readonly"
          :weight="one.announcement.ready ? 'usual' : 'main'"
          small
          @click="change(one.id, { ready: !one.announcement.ready }, false)"
        >
          {{ t(one.announcement.ready ? 'setup.messages.back' : 'setup.messages.put') }}
        </PushButton>
        <IconButton
          v-if="!readonly"
          :icon="IconTrash"
          :size="16"
          :label="t('setup.messages.remove', { subject: one.announcement.subject })"
          @click="set(one.id, null)"
        />
        <template #below>
          <AnnouncementForm
            :id="one.id"
            :announcement="one.announcement"
            :readonly="readonly"
            @set="(part, typing) => change(one.id, part, typing)"
          />
        </template>
      </UnfoldingLine>
    </ul>
    <PushButton v-if="!readonly" @click="add">
      <IconPlus :size="17" aria-hidden="true" /> {{ t('setup.messages.add') }}
    </PushButton>
  </section>
</template>

<style scoped src="../list.css"></style>

<style scoped>
.list {
  --columns: minmax(0, 1fr) 92px minmax(0, 1.1fr) auto auto;
}

.pin {
  color: var(--route);
}

.state {
  font-size: 12.5px;
}

.stands .state {
  color: var(--open);
}

.coming .state {
  color: var(--later);
}

.draft .state {
  color: var(--staff);
}

.undated .state {
  color: var(--advice);
}

.when {
  font-size: 12.5px;
}

.span {
  display: block;
}

.empty {
  margin: 8px 0;
  padding: 14px;
  border: 1px dashed var(--field-rule);
  border-radius: 6px;
}

@media (max-width: 900px) {
  .list {
    --columns: minmax(0, 1fr) auto auto;
  }

  .state,
  .when {
    grid-column: 1 / -1;
    grid-row: auto;
  }
}
</style>
