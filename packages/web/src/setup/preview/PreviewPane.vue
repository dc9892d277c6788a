<script setup lang="ts">
/** What a learner sees, computed from the plan as it stands: the learner's own pages, on the marker's day. */
import { IconArrowsMaximize, IconChevronLeft, IconChevronRight, IconUser } from '@tabler/icons-vue';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { VDialog } from 'vuetify/components/VDialog';
import { formatDay } from '../../app/dates.ts';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import { useActs } from '../acts.ts';
import PreviewScreen from './PreviewScreen.vue';
import IconButton from '../../ui/IconButton.vue';

const open = defineModel<boolean>('open', { required: true });
const { t, locale } = useI18n();
const plan = usePlan();
const session = useSession();
const { marker } = useActs();
const isFull = ref(false);
const on = computed(() => formatDay(marker.day.value, locale.value, { today: session.today }));
</script>

<template>
  <aside :class="['pane', { folded: !open }]" :aria-label="t('setup.preview.title')">
    <button
      v-if="!open"
      class="unfold"
      type="button"
      :aria-label="t('setup.preview.unfold')"
      :title="t('setup.preview.unfold')"
      @click="open = true"
    >
      <IconChevronLeft :size="18" aria-hidden="true" />
    </button>
    <template v-else>
      <header>
        <span class="word">{{ t('setup.preview.seenBy') }}</span>
        <span class="chip"><IconUser :size="16" aria-hidden="true" /> {{ t('setup.preview.learner') }}</span>
        <span>{{ t('setup.preview.on') }}</span>
        <span class="chip figures">{{ on }}</span>
        <span class="spacer" />
        <IconButton :icon="IconArrowsMaximize" :label="t('setup.preview.full')" @click="isFull = true" />
        <IconButton
          :icon="IconChevronRight"
          :label="t('setup.preview.fold')"
          :size="18"
          @click="open = false"
        />
      </header>
      <p v-if="plan.course?.state === 'draft'" class="draft">{{ t('setup.preview.draft') }}</p>
    </template>
    <div v-if="open" class="phone"><PreviewScreen /></div>
    <VDialog v-model="isFull" :max-width="1180" :aria-label="t('setup.preview.title')">
      <div class="wide">
        <PreviewScreen />
        <button class="button close" type="button" @click="isFull = false">{{ t('common.close') }}</button>
      </div>
    </VDialog>
  </aside>
</template>

<style scoped>
.pane {
  display: flex;
  flex-direction: column;
  width: 372px;
  padding: 12px 16px 0;
  border-left: 1px solid var(--rule);
  background: color-mix(in srgb, var(--mist) 92%, var(--ink));
}

.pane.folded {
  width: 34px;
  padding: 8px 0;
  align-items: center;
}

.unfold {
  display: grid;
  place-items: center;
  width: 28px;
  height: 44px;
  border: 1px solid var(--field-rule);
  border-radius: 6px;
  background: var(--card);
  cursor: pointer;
}

header {
  display: flex;
  align-items: center;
  gap: 5px;
  margin-bottom: 10px;
  font-size: 13px;
}

.word {
  white-space: nowrap;
}

.chip {
  display: inline-flex;
  align-items: center;
  gap: 5px;
  min-height: 28px;
  padding: 0 7px;
  border: 1px solid var(--field-rule);
  border-radius: 6px;
  background: var(--card);
  white-space: nowrap;
}

.spacer {
  flex: 1;
}

.draft {
  margin-bottom: 8px;
  padding: 3px 8px;
  border: 1px dashed var(--staff);
  border-radius: 4px;
  background: var(--card);
  color: var(--staff);
  font-size: 12.5px;
}

.phone {
  flex: 1;
  min-height: 0;
  border: 1px solid var(--field-rule);
  border-bottom: 0;
  border-radius: 10px 10px 0 0;
  background: var(--card);
  overflow: hidden;
}

.wide {
  position: relative;
  height: 86vh;
  overflow: hidden;
  border-radius: 8px;
}

.close {
  position: absolute;
  top: 12px;
  right: 24px;
}

@media (max-width: 1080px) {
  .pane,
  .pane.folded {
    width: auto;
    border-left: 0;
    border-top: 1px solid var(--rule);
  }

  .phone {
    max-width: 372px;
    max-height: 640px;
    margin: 0 auto;
  }
}
</style>
