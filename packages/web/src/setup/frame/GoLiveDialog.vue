<script setup lang="ts">
import { isBlocker, setField, stateAt } from '@itinerary/core';
import type { CourseState, Edit, LocalMoment } from '@itinerary/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import DialogBox from '../../ui/frame/DialogBox.vue';
import MomentFields from '../access/MomentFields.vue';
import OutsideField from '../access/OutsideField.vue';
import { useBounds } from '../access/use-bounds.ts';
import { whatThen } from '../access/what-then.ts';
import FindingLine from '../readiness/FindingLine.vue';
import PushButton from '../../ui/frame/PushButton.vue';

const open = defineModel<boolean>({ required: true });
const { t } = useI18n();
const router = useRouter();
const plan = usePlan();
const session = useSession();
const isBusy = ref(false);

const blockers = computed(() => plan.found.filter(isBlocker));
const advice = computed(() => plan.found.length - blockers.value.length);
const state = computed(() =>
  plan.course === null ? 'draft' : stateAt(plan.course, Date.parse(session.now())),
);
/** Whoever has no account yet finds nothing on a desk. */
const hasWhoFinds = computed(() => plan.learners === 0 || plan.learners > plan.places);
const isDraft = computed(() => state.value === 'draft');
const { when } = useBounds();
const whatIs = computed(() =>
  plan.planned === null ? null : whatThen(plan.planned, Date.parse(session.now())),
);
/** What whoever finds it gets of it, and from when. */
const then = computed(() => {
  if (whatIs.value === null) return '';
  const { key, opensAt } = whatIs.value;
  return t(`setup.goLive.then.${key}`, opensAt === null ? {} : { when: when(opensAt) });
});

async function become(next: CourseState): Promise<void> {
  const { course } = plan;
  if (course === null) return;
  isBusy.value = true;
  // A moment that has come has opened it: whoever closes it again takes the moment away.
  const moment: Edit[] = course.goesLive === null ? [] : [setField(course, 'goesLive', null)];
  plan.change([...moment, setField(course, 'state', next)], { undoable: false });
  await plan.flush();
  isBusy.value = false;
  if (plan.course?.state === next) open.value = false;
}

async function planLive(moment: LocalMoment | null): Promise<void> {
  const { course } = plan;
  if (course === null) return;
  plan.set(course.id, 'goesLive', moment, course.goesLive, { undoable: false });
  await plan.flush();
  open.value = false;
}

function toReadiness(): void {
  open.value = false;
  void router.push(`/setup/${plan.course?.id ?? ''}/readiness`);
}

// A course that cannot be saved just now cannot go live just now either.
watch(open, (now) => {
  if (now) void plan.flush();
});
</script>

<template>
  <DialogBox v-model="open" :title="t(isDraft ? 'setup.goLive.title' : 'setup.goLive.stateTitle')">
    <template v-if="isDraft && blockers.length > 0">
      <p>{{ t('setup.goLive.blocked', blockers.length) }}</p>
      <ul class="blockers">
        <FindingLine v-for="finding in blockers" :key="finding.rule" :finding="finding" />
      </ul>
    </template>
    <template v-else-if="isDraft">
      <p v-if="hasWhoFinds">{{ t('setup.goLive.will', plan.learners - plan.places) }}</p>
      <p v-if="plan.places > 0">{{ t('setup.goLive.places', plan.places) }}</p>
      <p class="then">{{ then }}</p>
      <OutsideField v-if="whatIs !== null && whatIs.opensAt !== null" class="until-then" side="before" />
      <p v-if="advice > 0" class="soft">{{ t('setup.goLive.advice', advice) }}</p>
      <MomentFields
        class="by-itself"
        name="dialog-goes-live"
        :moment="plan.course?.goesLive ?? null"
        :label="t('setup.access.goesLiveOn')"
        @set="planLive"
      />
    </template>
    <template v-else>
      <template v-if="state === 'live'">
        <p v-if="hasWhoFinds">{{ t('setup.goLive.isLive', plan.learners - plan.places) }}</p>
        <p v-if="plan.places > 0">{{ t('setup.goLive.places', plan.places) }}</p>
      </template>
      <p v-else>{{ t('setup.goLive.isArchived') }}</p>
    </template>
    <template #foot>
      <PushButton weight="bare" @click="open = false">{{ t('common.cancel') }}</PushButton>
      <PushButton v-if="isDraft && plan.found.length > 0" @click="toReadiness">
        {{ t('setup.goLive.toReadiness') }}
      </PushButton>
      <PushButton
        v-if="isDraft && blockers.length === 0"
        weight="go"
        :disabled="isBusy"
        @click="become('live')"
      >
        {{ t('setup.bar.goLive') }}
      </PushButton>
      <template v-if="!isDraft">
        <PushButton :disabled="isBusy" @click="become('draft')">
          {{ t('setup.goLive.backToDraft') }}
        </PushButton>
        <PushButton v-if="state === 'live'" :disabled="isBusy" @click="become('archived')">
          {{ t('setup.goLive.archive') }}
        </PushButton>
      </template>
    </template>
  </DialogBox>
</template>

<style scoped>
.blockers {
  margin-top: 12px;
  padding: 0;
  list-style: none;
}

p + p,
.until-then,
.until-then + p,
.by-itself {
  margin-top: 8px;
}
</style>
