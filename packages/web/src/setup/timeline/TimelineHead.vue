<script setup lang="ts">
/** What the marker stands on, and the ways to the changes before and after it, and to a day. */
import { IconChevronDown, IconChevronUp, IconPlayerTrackNext, IconPlayerTrackPrev } from '@tabler/icons-vue';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { formatDay, formatTime } from '../../words/dates.ts';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import DayField from '../../ui/fields/when/DayField.vue';
import IconButton from '../../ui/frame/IconButton.vue';
import { useActs } from '../frame/acts.ts';
import BareButton from '../../ui/frame/BareButton.vue';

const open = defineModel<boolean>('open', { required: true });
const { t, locale } = useI18n();
const plan = usePlan();
const session = useSession();
const { marker, changes, span } = useActs();

const at = computed(() => Date.parse(marker.moment.value));
const next = computed(() => changes.value.find((change) => change.at > at.value));
const previous = computed(() => changes.value.findLast((change) => change.at < at.value));
/** What the moment that the marker stands on does. */
const happening = computed(() => {
  const here = changes.value.find((change) => change.at === at.value);
  if (here === undefined || !marker.isExact.value) return null;
  const zone = plan.course?.dates.zone ?? 'UTC';
  const parts = [
    ...(here.opening > 0 ? [t('setup.timeline.opening', here.opening)] : []),
    ...(here.closing > 0 ? [t('setup.timeline.closing', here.closing)] : []),
  ];
  const day = formatDay(here.day, locale.value, { today: session.today });
  const when = `${day} ${formatTime(new Date(here.at).toISOString(), locale.value, zone)}`;
  return `${when}: ${parts.length === 0 ? t('setup.timeline.other') : parts.join(', ')}`;
});
</script>

<template>
  <header :class="{ folded: !open }">
    <BareButton class="fold" :aria-expanded="open" @click="open = !open">
      <component :is="open ? IconChevronDown : IconChevronUp" :size="16" aria-hidden="true" />
      <span class="title">{{ t('setup.timeline.title') }}</span>
    </BareButton>
    <p v-if="open" class="changes">
      <IconButton
        :icon="IconPlayerTrackPrev"
        :label="t('setup.timeline.previous')"
        :disabled="previous === undefined"
        @click="previous && marker.moveTo(previous.at)"
      />
      <IconButton
        :icon="IconPlayerTrackNext"
        :label="t('setup.timeline.next')"
        :disabled="next === undefined"
        @click="next && marker.moveTo(next.at)"
      />
      <DayField
        v-if="span"
        class="to-day"
        bare
        short
        name="to-day"
        :label="t('setup.timeline.toDay')"
        :day="marker.day.value"
        required
        @day="$event && marker.move($event)"
      />
    </p>
    <p v-if="open" class="soft said" role="status">{{ happening ?? t('setup.timeline.text') }}</p>
  </header>
</template>

<style scoped>
header {
  padding: 8px 12px;
  border-inline-end: 1px solid var(--rule);
}

.folded {
  padding-block: 3px;
}

.fold {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: 26px;
  padding: 0 4px;
  border: 0;
  border-radius: 4px;
  background: none;
  cursor: pointer;
}

.title {
  font-family: var(--font-heading);
  font-weight: 650;
}

header p {
  padding-inline-start: 26px;
  font-size: 12.5px;
  line-height: 1.35;
}

.changes {
  display: flex;
  gap: 2px;
  align-items: center;
}

header .changes {
  padding-inline-start: 0;
}

.to-day {
  flex: 1 1 130px;
}

.to-day :deep(input) {
  padding-inline: 6px 0;
  font-family: var(--font-text);
  font-size: 12px;
}

header .said {
  padding-inline-start: 4px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

@media (max-width: 1080px) {
  header {
    border-inline-end: 0;
  }
}
</style>
