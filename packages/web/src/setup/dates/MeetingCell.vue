<script setup lang="ts">
/** One meeting: when and where it is held, and what can be done with it alone. */
import { IconCalendarCancel, IconCalendarRepeat, IconRestore, IconTrash } from '@tabler/icons-vue';
import { meetingChangeSchema, setDatesEntry } from '@itinerary/core';
import type { Edit, HeldMeeting, MeetingChange } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextField } from 'vuetify/components/VTextField';
import { formatDay } from '../../words/dates.ts';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import DayField from '../../ui/fields/when/DayField.vue';
import DurationField from '../../ui/fields/when/DurationField.vue';
import { useForm } from '../../ui/fields/reading/refusals.ts';
import TimeField from '../../ui/fields/when/TimeField.vue';
import DialogBox from '../../ui/frame/DialogBox.vue';
import IconButton from '../../ui/frame/IconButton.vue';
import PushButton from '../../ui/frame/PushButton.vue';

const props = defineProps<{ meeting: HeldMeeting; readonly: boolean }>();
const emit = defineEmits<{ propose: [edits: readonly Edit[]] }>();
const { t, locale } = useI18n();
const plan = usePlan();
const session = useSession();

const asking = ref<'cancel' | 'move' | null>(null);
const isAsking = computed({
  get: () => asking.value !== null,
  set: (open) => {
    if (!open) asking.value = null;
  },
});
const name = computed(() => formatDay(props.meeting.day, locale.value, { today: session.today }));
const draft = ref({ day: '', time: '', minutes: 60, place: '' });

function ask(what: 'cancel' | 'move'): void {
  const { day, time, minutes, place } = props.meeting;
  draft.value = { day, time, minutes, place: place ?? '' };
  asking.value = what;
}

function set(value: MeetingChange | null): void {
  asking.value = null;
  const { key } = props.meeting;
  emit('propose', [setDatesEntry(plan.course!, 'changes', key, value)]);
}

const moved = computed<MeetingChange>(() => ({
  kind: props.meeting.status === 'added' ? 'added' : 'moved',
  day: draft.value.day,
  time: draft.value.time,
  minutes: draft.value.minutes,
  place: draft.value.place.trim() === '' ? null : draft.value.place.trim(),
}));
const form = useForm();
const isRight = computed(() => !form.isRefused.value && meetingChangeSchema.safeParse(moved.value).success);
</script>

<template>
  <div class="meeting">
    <span class="words">
      <span :class="['figures', { cancelled: meeting.status === 'cancelled' }]">{{ meeting.time }}</span>
      <span class="soft">{{ t('setup.dates.minutes', { minutes: meeting.minutes }) }}</span>
      <span v-if="meeting.place" class="soft">{{ meeting.place }}</span>
      <span v-if="meeting.status !== 'held'" class="status">{{
        t(`setup.dates.statuses.${meeting.status}`)
      }}</span>
    </span>
    <span v-if="!readonly" class="acts">
      <IconButton
        v-if="meeting.status === 'cancelled' || meeting.status === 'moved'"
        :icon="IconRestore"
        :label="t('setup.dates.asUsualOn', { day: name })"
        :hint="t('setup.dates.asUsual')"
        @click="set(null)"
      />
      <IconButton
        v-if="meeting.status !== 'cancelled'"
        :icon="IconCalendarRepeat"
        :label="t('setup.dates.moveMeeting', { day: name })"
        :hint="t('setup.dates.move')"
        @click="ask('move')"
      />
      <IconButton
        v-if="meeting.status === 'added'"
        :icon="IconTrash"
        :label="t('setup.dates.removeMeeting', { day: name })"
        :hint="t('setup.outline.remove')"
        @click="set(null)"
      />
      <IconButton
        v-else-if="meeting.status !== 'cancelled'"
        :icon="IconCalendarCancel"
        :label="t('setup.dates.cancelMeeting', { day: name })"
        :hint="t('setup.dates.callOff')"
        @click="ask('cancel')"
      />
    </span>
    <DialogBox
      v-model="isAsking"
      :title="t(asking === 'cancel' ? 'setup.dates.cancelMeeting' : 'setup.dates.moveMeeting', { day: name })"
    >
      <p v-if="asking === 'cancel'">{{ t('setup.dates.cancelAsks') }}</p>
      <div v-else class="form">
        <DayField
          name="meeting-day"
          :day="draft.day"
          :label="t('setup.dates.meetingDay')"
          required
          live
          @day="$event && (draft.day = $event)"
        />
        <TimeField
          name="meeting-time"
          :time="draft.time"
          :label="t('setup.dates.patternTime')"
          required
          live
          @set="$event && (draft.time = $event)"
        />
        <DurationField
          name="meeting-minutes"
          :minutes="draft.minutes"
          :least="1"
          :most="1440"
          :label="t('setup.dates.patternMinutes')"
          required
          live
          @set="$event && (draft.minutes = $event)"
        />
        <VTextField
          v-model="draft.place"
          name="meeting-place"
          maxlength="200"
          :label="t('setup.dates.patternPlace')"
        />
      </div>
      <template #foot>
        <PushButton @click="asking = null">{{ t('common.cancel') }}</PushButton>
        <template v-if="asking === 'cancel'">
          <PushButton @click="set({ kind: 'cancelled', sections: 'keep' })">
            {{ t('setup.dates.keepItems') }}
          </PushButton>
          <PushButton weight="main" @click="set({ kind: 'cancelled', sections: 'slide' })">
            {{ t('setup.dates.slideItems') }}
          </PushButton>
        </template>
        <PushButton v-else weight="main" :disabled="!isRight" @click="set(moved)">
          {{ t('setup.dates.move') }}
        </PushButton>
      </template>
    </DialogBox>
  </div>
</template>

<style scoped>
.meeting {
  display: flex;
  gap: 8px;
  align-items: center;
}

.words {
  display: flex;
  flex: 1;
  flex-wrap: wrap;
  gap: 0 8px;
}

.acts {
  display: flex;
  flex: none;
}

.cancelled {
  text-decoration: line-through;
}

.status {
  color: var(--later);
  font-size: 13px;
}

.form {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
</style>
