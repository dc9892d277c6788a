<script setup lang="ts">
/** By invitation: who is invited, how each stands, and what is done about it. */
import { IconMail } from '@tabler/icons-vue';
import type { InvitedAct, WaysInAnswer } from '@itinerary/contract';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../../../api/client.ts';
import { useMomentWords } from '../../../stores/moment-words.ts';
import { usePlan } from '../../../stores/plan.ts';
import { roleWord } from '../../../words/own-words.ts';
import DraftField from '../../../ui/fields/DraftField.vue';
import DialogBox from '../../../ui/frame/DialogBox.vue';
import PlainTable from '../../../ui/frame/PlainTable.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import InviteDialog from './InviteDialog.vue';
import { typedAddresses } from './typed-addresses.ts';
import { useWaysAct } from './use-ways.ts';
import type { Ways } from './use-ways.ts';
import WayCard from './WayCard.vue';

type Invitation = WaysInAnswer['invitations'][number];

const props = defineProps<{ held: Ways }>();
const emit = defineEmits<{ said: [words: string] }>();
const { t } = useI18n();
const plan = usePlan();
const when = useMomentWords();
const { failure, isUnderWay, act } = useWaysAct(props.held);
const isInviting = ref(false);
const zone = computed(() => plan.course?.dates.zone ?? 'UTC');
const at = (iso: string): string => when(Date.parse(iso), zone.value);
const ways = computed(() => props.held.ways.value);
const invitations = computed(() => ways.value?.invitations ?? []);
const unanswered = computed(() =>
  invitations.value.filter(({ state }) => state === 'waiting' || state === 'lapsed'),
);
const isOpen = ({ state }: Invitation): boolean =>
  state === 'waiting' || state === 'lapsed' || state === 'bounced';
const columns = computed(() => [
  { title: t('setup.members.ways.invited.address') },
  { title: t('setup.members.ways.invited.state') },
  { title: t('setup.members.ways.invited.sent') },
  { title: t('setup.members.ways.invited.acts'), isTold: true },
]);
const stateOf = ({ state, isQueued }: Invitation): string =>
  isQueued && state === 'waiting'
    ? t('setup.members.ways.invited.queued')
    : t(`setup.members.ways.invited.states.${state}`);

const send = (body: InvitedAct): Promise<boolean> => {
  const params = props.held.params.value;
  return act(() => ask('POST /api/courses/{course}/ways/invitations/act', { params, body }));
};
async function again(ids: readonly string[]): Promise<void> {
  if (await send({ act: 'again', ids: [...ids] })) emit('said', t('setup.members.ways.invited.sentAgain'));
}
async function withdraw({ id, address }: Invitation): Promise<void> {
  if (await send({ act: 'withdraw', ids: [id] })) {
    emit('said', t('setup.members.ways.invited.withdrawn', { address }));
  }
}

const correcting = ref<Invitation | null>(null);
const isCorrecting = ref(false);
const right = ref('');
function correct(one: Invitation): void {
  correcting.value = one;
  right.value = one.address;
  isCorrecting.value = true;
}
const wrongAddress = (text: string): string | null => {
  const { addresses, wrong } = typedAddresses(text);
  if (wrong === null && addresses.length === 1) return null;
  return t('setup.members.ways.invite.wrong', { word: wrong ?? text, at: '@' });
};
async function sendRight(): Promise<void> {
  const { id } = correcting.value!;
  const [address] = typedAddresses(right.value).addresses;
  if (address !== undefined && (await send({ act: 'correct', id, address }))) {
    isCorrecting.value = false;
    emit('said', t('setup.members.ways.invite.sent', 1));
  }
}
</script>

<template>
  <WayCard kind="invitation" :held="held" without-domains>
    <template #always>
      <p v-if="ways !== null && !ways.door.hasMail && plan.course?.ways['invitation']?.on" class="no-mail">
        {{ t('setup.members.ways.noMail') }}
      </p>
      <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    </template>
    <p v-if="!plan.isReadonly" class="acts">
      <PushButton weight="main" small @click="isInviting = true">
        <IconMail :size="16" aria-hidden="true" /> {{ t('setup.members.ways.invite.press') }}
      </PushButton>
      <PushButton
        v-if="unanswered.length > 0"
        small
        :disabled="isUnderWay"
        @click="again(unanswered.map(({ id }) => id))"
      >
        {{ t('setup.members.ways.invited.againAll', unanswered.length) }}
      </PushButton>
    </p>
    <div
      v-if="invitations.length > 0"
      class="long"
      role="region"
      tabindex="0"
      :aria-label="t('setup.members.ways.invited.title')"
    >
      <PlainTable :columns="columns" sticky>
        <tr v-for="one in invitations" :key="one.id">
          <td>
            <span class="address">{{ one.address }}</span>
            <span class="soft">
              {{ roleWord(one.role, plan.course?.roleNames ?? {}, t) }}
              <template v-if="one.keepsSeat">· {{ t('setup.members.ways.invited.seat') }}</template>
            </span>
          </td>
          <td>
            <span :class="['state', one.state]">{{ stateOf(one) }}</span>
            <span v-if="one.state === 'bounced' && one.why" class="soft">
              {{ t('setup.members.ways.invited.why', { why: one.why }) }}
            </span>
            <span v-if="one.takenBy" class="soft">
              {{ t('setup.members.ways.invited.by', { name: one.takenBy }) }}
            </span>
            <span v-if="one.state === 'waiting' && one.lapsesAt" class="soft">
              {{ t('setup.members.ways.invited.until', { until: at(one.lapsesAt) }) }}
            </span>
          </td>
          <td class="figures">
            {{
              t('setup.members.ways.invited.sentTimes', { when: at(one.sentAt), count: one.times }, one.times)
            }}
          </td>
          <td>
            <div v-if="isOpen(one) && !plan.isReadonly" class="row-acts">
              <PushButton
                v-if="one.state === 'bounced'"
                small
                :aria-label="t('setup.members.ways.invited.correctOf', { address: one.address })"
                @click="correct(one)"
              >
                {{ t('setup.members.ways.invited.correct') }}
              </PushButton>
              <PushButton
                v-else
                small
                :disabled="isUnderWay"
                :aria-label="t('setup.members.ways.invited.againTo', { address: one.address })"
                @click="again([one.id])"
              >
                {{ t('setup.members.ways.invited.again') }}
              </PushButton>
              <PushButton
                small
                :disabled="isUnderWay"
                :aria-label="t('setup.members.ways.invited.withdrawFrom', { address: one.address })"
                @click="withdraw(one)"
              >
                {{ t('setup.members.ways.invited.withdraw') }}
              </PushButton>
            </div>
          </td>
        </tr>
      </PlainTable>
    </div>
  </WayCard>
  <InviteDialog v-model="isInviting" :held="held" @said="emit('said', $event)" />
  <DialogBox v-model="isCorrecting" :title="t('setup.members.ways.invited.correctTitle')">
    <DraftField
      :text="right"
      :label="t('setup.members.ways.invited.correctField')"
      :wrong="wrongAddress"
      @type="right = $event"
    />
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <template #foot>
      <PushButton @click="isCorrecting = false">{{ t('common.cancel') }}</PushButton>
      <PushButton
        weight="main"
        :disabled="isUnderWay || wrongAddress(right) !== null || right === correcting?.address"
        @click="sendRight"
      >
        {{ t('setup.members.ways.invite.send', 1) }}
      </PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
.acts,
.row-acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.row-acts {
  justify-content: flex-end;
}

.long {
  max-height: 380px;
  overflow: auto;
}

td > span {
  display: block;
}

.address {
  overflow-wrap: anywhere;
}

.state {
  font-weight: 600;
}

.state.taken {
  color: var(--open);
}

.state.bounced {
  color: var(--blocker);
}

.state.lapsed {
  color: var(--advice);
}

.no-mail {
  color: var(--advice);
}

.failure {
  color: var(--blocker);
}
</style>
