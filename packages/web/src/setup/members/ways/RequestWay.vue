<script setup lang="ts">
/** On request: the question, who asks, and what they are told. */
import { MAX_QUESTION } from '@itinerary/core';
import { MAX_REASON } from '@itinerary/contract';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../../../api/client.ts';
import { useMomentWords } from '../../../stores/moment-words.ts';
import { usePlan } from '../../../stores/plan.ts';
import DraftField from '../../../ui/fields/DraftField.vue';
import CheckField from '../../../ui/fields/choice/CheckField.vue';
import DialogBox from '../../../ui/frame/DialogBox.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import { useWaysAct } from './use-ways.ts';
import type { Ways } from './use-ways.ts';
import WayCard from './WayCard.vue';

const props = defineProps<{ held: Ways }>();
const emit = defineEmits<{ said: [words: string] }>();
const { t } = useI18n();
const plan = usePlan();
const when = useMomentWords();
const { failure, isUnderWay, act } = useWaysAct(props.held);
const zone = computed(() => plan.course?.dates.zone ?? 'UTC');
const requests = computed(() => props.held.ways.value?.requests ?? []);
const open = computed(() => requests.value.filter(({ state }) => state === 'open'));
const answered = computed(() => requests.value.filter(({ state }) => state !== 'open'));
const chosen = ref<readonly string[]>([]);
/** Whoever was chosen and has been answered meanwhile is chosen no more. */
const standing = computed(() => {
  const there = new Set(open.value.map(({ person }) => person));
  return chosen.value.filter((person) => there.has(person));
});
const toggle = (person: string, on: boolean): void => {
  chosen.value = on ? [...standing.value, person] : standing.value.filter((one) => one !== person);
};

const refusing = ref<readonly string[]>([]);
const isRefusing = ref(false);
const reason = ref('');

type Decision = { say: 'yes'; people: string[] } | { say: 'no'; people: string[]; reason: string };
async function decide(body: Decision): Promise<boolean> {
  let stopped: readonly { person: string; because: string }[] = [];
  const went = await act(async () => {
    const params = props.held.params.value;
    const answer = await ask('POST /api/courses/{course}/ways/requests', { params, body });
    ({ stopped } = answer);
    return answer.ways;
  });
  if (!went) return false;
  const [one] = stopped;
  if (one === undefined) {
    emit(
      'said',
      t(`setup.members.ways.asking.${body.say === 'yes' ? 'saidYes' : 'saidNo'}`, body.people.length),
    );
    return true;
  }
  const name = requests.value.find(({ person }) => person === one.person)?.name ?? '';
  const why = t(`setup.members.ways.asking.because.${one.because}`);
  emit('said', t('setup.members.ways.asking.stopped', { name, why }));
  return true;
}
const accept = (people: readonly string[]): Promise<boolean> => decide({ say: 'yes', people: [...people] });
function askWhy(people: readonly string[]): void {
  refusing.value = people;
  reason.value = '';
  isRefusing.value = true;
}
async function refuse(): Promise<void> {
  const body = { say: 'no' as const, people: [...refusing.value], reason: reason.value };
  if (await decide(body)) isRefusing.value = false;
}
</script>

<template>
  <WayCard kind="request" :held="held">
    <template #always>
      <div v-if="open.length > 0" id="field-requests" class="asked" tabindex="-1">
        <h3>{{ t('setup.members.ways.asking.title') }}</h3>
        <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
        <ul class="people">
          <li v-for="one in open" :key="one.person">
            <CheckField
              :checked="standing.includes(one.person)"
              :disabled="plan.isReadonly"
              @toggle="toggle(one.person, $event)"
            >
              <strong>{{ one.name }}</strong> <span class="soft">{{ one.address }}</span>
            </CheckField>
            <span class="soft">{{
              t('setup.members.ways.asking.asked', { when: when(Date.parse(one.askedAt), zone) })
            }}</span>
            <span v-if="!plan.isReadonly" class="acts">
              <PushButton
                small
                :disabled="isUnderWay"
                :aria-label="t('setup.members.ways.asking.yesTo', { name: one.name })"
                @click="accept([one.person])"
              >
                {{ t('setup.members.ways.asking.yes') }}
              </PushButton>
              <PushButton
                small
                :disabled="isUnderWay"
                :aria-label="t('setup.members.ways.asking.noTo', { name: one.name })"
                @click="askWhy([one.person])"
              >
                {{ t('setup.members.ways.asking.no') }}
              </PushButton>
            </span>
            <p v-if="one.answer !== null" class="answer">
              <span class="soft">{{ one.question }}</span>
              {{ one.answer }}
            </p>
          </li>
        </ul>
        <p v-if="standing.length > 1" class="acts">
          <PushButton weight="main" small :disabled="isUnderWay" @click="accept(standing)">
            {{ t('setup.members.ways.asking.chosenYes', standing.length) }}
          </PushButton>
          <PushButton small :disabled="isUnderWay" @click="askWhy(standing)">
            {{ t('setup.members.ways.asking.chosenNo', standing.length) }}
          </PushButton>
        </p>
      </div>
    </template>
    <template #default="{ way, set }">
      <p v-if="open.length === 0" class="soft">{{ t('setup.members.ways.asking.none') }}</p>
      <div>
        <DraftField
          :text="way.question ?? ''"
          :label="t('setup.members.ways.question')"
          :most="MAX_QUESTION"
          :readonly="plan.isReadonly"
          @type="set({ question: $event === '' ? null : $event })"
        />
        <p class="soft hint">{{ t('setup.members.ways.questionHint') }}</p>
      </div>
      <details v-if="answered.length > 0">
        <summary>{{ t('setup.members.ways.asking.earlier') }}</summary>
        <ul class="people">
          <li v-for="one in answered" :key="one.person">
            <strong>{{ one.name }}</strong>
            <span class="soft">{{
              t(`setup.members.ways.asking.answered.${one.state === 'yes' ? 'yes' : 'no'}`)
            }}</span>
            <span v-if="one.reason">{{ one.reason }}</span>
          </li>
        </ul>
      </details>
    </template>
  </WayCard>
  <DialogBox v-model="isRefusing" :title="t('setup.members.ways.asking.noTitle')">
    <DraftField
      :text="reason"
      :label="t('setup.members.ways.asking.reason')"
      :most="MAX_REASON"
      :rows="3"
      @type="reason = $event"
    />
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <template #foot>
      <PushButton @click="isRefusing = false">{{ t('common.cancel') }}</PushButton>
      <PushButton weight="main" :disabled="isUnderWay || reason === ''" @click="refuse">
        {{ t('setup.members.ways.asking.chosenNo', refusing.length) }}
      </PushButton>
    </template>
  </DialogBox>
</template>

<style scoped src="../asked.css"></style>

<style scoped>
.answer {
  flex: 1 0 100%;
  padding-inline-start: 28px;
  overflow-wrap: anywhere;
}

.hint {
  font-size: 12.5px;
}
</style>
