<script setup lang="ts">
/** Who was at a meeting: a list to tick, and a code by which learners say it themselves. */
import { computed, onBeforeUnmount, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { VRadio } from 'vuetify/components/VRadio';
import { VRadioGroup } from 'vuetify/components/VRadioGroup';
import { useCountdown } from '../../words/countdown.ts';
import { useLive } from '../../stores/live.ts';
import { useMomentWords } from '../../stores/moment-words.ts';
import { useSession } from '../../stores/session.ts';
import SelectField from '../../ui/fields/choice/SelectField.vue';
import LoadState from '../../ui/frame/LoadState.vue';
import PlainTable from '../../ui/frame/PlainTable.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import { setTitle } from '../../words/page-title.ts';
import { useAttempt } from '../../words/use-attempt.ts';
import { EVERYBODY, useAttendance } from './use-attendance.ts';
import type { Attended, Attendee } from './use-attendance.ts';
import DeskFrame from '../DeskFrame.vue';

const SAID: readonly Attended[] = ['there', 'late', 'excused', 'away'];
const { t } = useI18n();
const route = useRoute();
const when = useMomentWords();
const session = useSession();
const courseId = String(route.params['course']);
const itemId = String(route.params['item']);
const its = useAttendance(courseId, itemId);
const { list, group, people, unsaid, isChanged } = its;
const { failure, isUnderWay, attempt } = useAttempt();
const state = ref<'loading' | 'there' | 'failed'>('loading');

async function load(): Promise<void> {
  state.value = 'loading';
  try {
    await its.load();
    state.value = 'there';
    setTitle(t('meeting.desk.title', { title: list.value?.item.title ?? '' }));
  } catch {
    state.value = 'failed';
  }
}
void load();
useLive(() => void its.load().catch(() => undefined));

const held = computed(() => {
  const at = list.value?.begins;
  return at == null ? t('meeting.desk.undated') : when(Date.parse(at), list.value?.zone ?? 'UTC');
});
const groups = computed(() => [
  { value: EVERYBODY, title: t('meeting.desk.everybody') },
  ...(list.value?.groups ?? []).map(({ id, name }) => ({ value: id, title: name })),
]);
const counts = computed(() =>
  SAID.map((said) => ({ said, count: people.value.filter(({ attended }) => attended === said).length })),
);
const from = ({ by, byCode }: Attendee): string =>
  byCode ? t('meeting.desk.byCode') : by === null ? '' : t('meeting.desk.by', { name: by });
const say = (whom: readonly Attendee[], attended: Attended | null): Promise<boolean> =>
  attempt(() => its.say(whom, attended));

/** Whoever comes in by the code is on the list soon after. */
const SOON_MS = 4000;
const looking = setInterval(() => {
  if (list.value?.code != null && !isUnderWay.value) void its.load().catch(() => undefined);
}, SOON_MS);
onBeforeUnmount(() => clearInterval(looking));
const codeEnd = computed(() => (list.value?.code == null ? null : Date.parse(list.value.code.until)));
const left = useCountdown(
  codeEnd,
  () => Date.parse(session.now()),
  () => void its.load().catch(() => undefined),
);
</script>

<template>
  <DeskFrame
    v-if="state === 'there' && list !== null"
    :course-id="courseId"
    :item-id="itemId"
    :item="list.item.title"
    :title="t('meeting.desk.title', { title: list.item.title })"
  >
    <p class="figures">{{ held }}</p>
    <section v-if="list.attendance === 'code'" class="code" aria-labelledby="attendance-code">
      <h2 id="attendance-code">{{ t('meeting.desk.code') }}</h2>
      <template v-if="list.code !== null">
        <p class="letters figures" role="status" dir="ltr">{{ list.code.code }}</p>
        <p>
          {{ t('meeting.desk.codeHint') }}
          <span class="figures" role="timer">{{ t('meeting.desk.left', { left }) }}</span>
        </p>
      </template>
      <p v-else class="soft">{{ t('meeting.desk.noCode') }}</p>
      <p>
        <PushButton :disabled="isUnderWay" @click="attempt(its.newCode)">
          {{ t(list.code === null ? 'meeting.desk.newCode' : 'meeting.desk.anotherCode') }}
        </PushButton>
      </p>
    </section>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <p v-if="isChanged" class="changed" role="alert">{{ t('meeting.desk.changed') }}</p>
    <div class="head">
      <SelectField
        v-if="groups.length > 1"
        class="groups"
        :label="t('meeting.desk.show')"
        :value="group"
        :options="groups"
        @choose="group = $event"
      />
      <p class="figures counts" role="status">
        <span v-for="{ said, count } in counts" :key="said">{{ t(`meeting.said.${said}`) }} {{ count }}</span>
        <span>{{ t('meeting.desk.unsaid') }} {{ unsaid.length }}</span>
      </p>
      <PushButton :disabled="unsaid.length === 0 || isUnderWay" @click="say(unsaid, 'there')">
        {{ t('meeting.desk.restThere', unsaid.length) }}
      </PushButton>
      <PushButton :disabled="unsaid.length === 0 || isUnderWay" @click="say(unsaid, 'away')">
        {{ t('meeting.desk.restAway', unsaid.length) }}
      </PushButton>
    </div>
    <p v-if="people.length === 0" class="soft">{{ t('meeting.desk.nobody') }}</p>
    <PlainTable
      v-else
      :columns="[
        { title: t('meeting.desk.name') },
        { title: t('meeting.desk.was') },
        { title: t('meeting.desk.from') },
      ]"
    >
      <tr v-for="one in people" :key="one.person">
        <th scope="row">{{ one.name }}</th>
        <td>
          <VRadioGroup
            class="said"
            :model-value="one.attended"
            :aria-label="t('meeting.desk.of', { name: one.name })"
            color="primary"
            density="compact"
            inline
            hide-details
            @update:model-value="$event && say([one], $event as Attended)"
          >
            <VRadio v-for="said in SAID" :key="said" :value="said" :label="t(`meeting.said.${said}`)" />
          </VRadioGroup>
        </td>
        <td class="soft">
          {{ from(one) }}
          <PushButton
            v-if="one.attended !== null"
            small
            weight="bare"
            :aria-label="t('meeting.desk.takeBackOf', { name: one.name })"
            @click="say([one], null)"
          >
            {{ t('meeting.desk.takeBack') }}
          </PushButton>
        </td>
      </tr>
    </PlainTable>
  </DeskFrame>
  <LoadState v-else :state="state" @again="load" />
</template>

<style scoped>
h2 {
  font-size: 16px;
}

.code {
  display: grid;
  gap: 8px;
  padding: 14px 16px;
  border-top: 3px solid var(--route);
  background: var(--card);
}

.letters {
  font-size: clamp(40px, 9vw, 76px);
  font-weight: 600;
  letter-spacing: 0.12em;
  line-height: 1.1;
}

.head {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 14px;
  align-items: center;
}

.groups {
  min-width: 200px;
}

.counts {
  display: flex;
  flex: 1;
  flex-wrap: wrap;
  gap: 2px 14px;
}

.said :deep(.v-selection-control-group) {
  gap: 2px 10px;
}

.failure {
  color: var(--blocker);
}

.changed {
  padding-inline-start: 10px;
  border-inline-start: 4px solid var(--advice);
}
</style>
