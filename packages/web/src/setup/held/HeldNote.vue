<script setup lang="ts">
/** What is held: that learners do not see it, what has changed since, and its release, now or at a moment. */
import { IconHandStop } from '@tabler/icons-vue';
import { planRelease, releaseEdit } from '@itinerary/core';
import type { CourseNode } from '@itinerary/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { momentWords } from '../../words/moment-words.ts';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import MomentFields from '../access/MomentFields.vue';
import CompareDialog from './CompareDialog.vue';
import PushButton from '../../ui/frame/PushButton.vue';

const props = defineProps<{ node: CourseNode; readonly: boolean }>();
const { t, locale } = useI18n();
const plan = usePlan();
const session = useSession();
const isComparing = ref(false);
const held = computed(() => plan.course?.heldBack[props.node.id] ?? null);

function release(): void {
  if (plan.course !== null) plan.change([releaseEdit(plan.course, props.node.id)]);
}
function at(moment: { day: string; time: string } | null): void {
  const edit = plan.course === null ? null : planRelease(plan.course, props.node.id, moment);
  if (edit !== null) plan.change([edit]);
}
</script>

<template>
  <div v-if="held" class="held">
    <p>
      <IconHandStop :size="17" aria-hidden="true" />
      <strong>{{ t('setup.held.isHeld') }}</strong>
    </p>
    <p class="soft">
      {{
        held.release === null
          ? t('setup.held.text')
          : t('setup.held.at', { when: momentWords(held.release, locale, session.today) })
      }}
    </p>
    <p v-if="!readonly" class="acts">
      <PushButton weight="main" small @click="release">{{ t('setup.held.release') }}</PushButton>
      <PushButton small @click="isComparing = true">
        {{ t('setup.held.compare') }}
      </PushButton>
    </p>
    <MomentFields
      v-if="!readonly"
      :moment="held.release"
      :label="t('setup.held.releaseOn')"
      name="release"
      @set="at"
    />
    <CompareDialog v-model="isComparing" :node="node" />
  </div>
</template>

<style scoped>
.held {
  display: grid;
  gap: 6px;
  padding: 10px 12px;
  border: 1px dashed var(--staff);
  border-radius: 6px;
}

p {
  display: flex;
  gap: 6px;
  align-items: center;
}
</style>
