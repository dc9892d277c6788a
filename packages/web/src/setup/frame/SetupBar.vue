<script setup lang="ts">
import { IconArrowBackUp, IconArrowForwardUp, IconEye, IconUsers, IconUserSearch } from '@tabler/icons-vue';
import { isBlocker, stateAt } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import AccountMenu from '../../ui/frame/AccountMenu.vue';
import AppMark from '../../ui/frame/AppMark.vue';
import SaveState from './SaveState.vue';
import IconButton from '../../ui/frame/IconButton.vue';
import PushButton from '../../ui/frame/PushButton.vue';

defineEmits<{ goLive: []; seeAs: [] }>();
const { t } = useI18n();
const plan = usePlan();
const session = useSession();

const state = computed(() =>
  plan.course === null ? 'draft' : stateAt(plan.course, Date.parse(session.now())),
);
const term = computed(
  () => session.me?.institution.terms.find(({ code }) => code === plan.course?.term)?.name,
);
const left = computed(() => plan.found.length);
const blockers = computed(() => plan.found.filter(isBlocker).length);
</script>

<template>
  <header v-if="plan.course" class="setup-bar on-bar">
    <AppMark to="/desk" />
    <div class="course">
      <span class="title">{{ plan.course.title }}</span>
      <span class="figures meta">
        {{ plan.course.code }}<template v-if="term"> · {{ term }}</template>
      </span>
    </div>
    <span :class="['state', state]">{{ t(`setup.bar.states.${state}`) }}</span>
    <span class="spacer" />
    <SaveState />
    <span class="pair">
      <IconButton
        :icon="IconArrowBackUp"
        :label="t('setup.bar.undo')"
        :size="19"
        :disabled="!plan.canUndo"
        @click="plan.undo"
      />
      <IconButton
        :icon="IconArrowForwardUp"
        :label="t('setup.bar.redo')"
        :size="19"
        :disabled="!plan.canRedo"
        @click="plan.redo"
      />
    </span>
    <PushButton
      weight="bare"
      :to="`/setup/${plan.course.id}/members`"
      :aria-label="t('setup.bar.members', plan.learners)"
    >
      <IconUsers :size="18" aria-hidden="true" /> <span class="figures">{{ plan.learners }}</span>
    </PushButton>
    <PushButton class="see" :aria-label="t('setup.seeing.title')" @click="$emit('seeAs')">
      <IconUserSearch :size="18" aria-hidden="true" /> <span class="wide">{{ t('setup.seeing.title') }}</span>
    </PushButton>
    <PushButton
      v-if="state !== 'draft'"
      class="see"
      :to="`/courses/${plan.course.id}`"
      :aria-label="t('setup.bar.openCourse')"
    >
      <IconEye :size="18" aria-hidden="true" /> <span class="wide">{{ t('setup.bar.openCourse') }}</span>
    </PushButton>
    <PushButton v-if="plan.rights.state && state === 'draft'" weight="go" @click="$emit('goLive')">
      <span>
        {{ t('setup.bar.goLive') }}
        <template v-if="left > 0">
          · <span class="figures">{{ left }}</span> {{ t('setup.bar.toSettle') }}
        </template>
      </span>
      <span v-if="blockers > 0" class="visually-hidden">{{ t('setup.bar.blockers', blockers) }}</span>
    </PushButton>
    <PushButton v-else-if="plan.rights.state" @click="$emit('goLive')">
      {{ t('setup.bar.changeState') }}
    </PushButton>
    <AccountMenu />
  </header>
</template>

<style scoped>
.setup-bar {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 0 10px 0 16px;
  background: var(--bar);
  color: var(--on-bar);
}

/* The title gives way; what can be pressed does not. */
.setup-bar > :not(.course) {
  flex-shrink: 0;
}

.course {
  display: grid;
  min-width: 0;
  padding-inline-start: 14px;
  border-inline-start: 1px solid var(--bar-rule);
  line-height: 1.25;
}

.title {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.meta {
  color: var(--bar-soft);
  font-size: 13px;
  white-space: nowrap;
}

.state {
  padding: 2px 8px;
  border: 1px solid var(--on-bar);
  border-radius: 4px;
  font-size: 13px;
  white-space: nowrap;
}

.state.draft {
  border-style: dashed;
}

.spacer {
  flex: 1;
}

.pair {
  display: flex;
}

.setup-bar :deep(.account .name) {
  display: none;
}

@media (max-width: 1180px) {
  .wide {
    display: none;
  }
}

@media (max-width: 1080px) {
  .setup-bar {
    flex-wrap: wrap;
    padding-block: 8px;
  }

  .spacer {
    display: none;
  }
}
</style>
