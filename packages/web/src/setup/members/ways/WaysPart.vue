<script setup lang="ts">
/** The ways in: what each means today, its window and its seats; the code in force, to be read out or pictured. */
import { IconCopy, IconQrcode, IconRefresh } from '@tabler/icons-vue';
import type { WaysInAnswer } from '@itinerary/contract';
import { domainSchema, MAX_DOMAINS, MAX_SEATS, setTableEntry } from '@itinerary/core';
import type { WayIn } from '@itinerary/core';
import { showCode, wayIn } from '@itinerary/core/people';
import { computed, onMounted, ref, shallowRef } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../../../api/client.ts';
import { useLive } from '../../../stores/live.ts';
import { usePlan } from '../../../stores/plan.ts';
import DraftField from '../../../ui/fields/DraftField.vue';
import NumberField from '../../../ui/fields/NumberField.vue';
import CheckField from '../../../ui/fields/choice/CheckField.vue';
import DialogBox from '../../../ui/frame/DialogBox.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import { useFieldFocus } from '../../fields/use-field-focus.ts';
import MomentForm from '../../outline/dialogs/MomentForm.vue';
import { useAttempt } from '../use-attempt.ts';
import { useCopied } from '../use-copied.ts';
import { qrPicture } from './qr-picture.ts';
import { useWaySentence } from './way-sentence.ts';

const emit = defineEmits<{ said: [words: string] }>();
const { t } = useI18n();
const plan = usePlan();
const { failure, isUnderWay, attempt } = useAttempt();
const copied = useCopied(failure);
/** Its fields are there once the members are: whoever comes from a finding is shown them then. */
useFieldFocus();
const course = computed(() => plan.course!);
const ways = shallowRef<WaysInAnswer | null>(null);
const picture = ref<string | null>(null);
const isShowing = ref(false);
const isReplacing = ref(false);

const link = computed(() => (plan.planned === null ? null : wayIn(plan.planned, 'link')));
const sentence = useWaySentence(() => ways.value);
const address = computed(() =>
  ways.value?.code == null ? '' : `${location.origin}/join/${showCode(ways.value.code)}`,
);

const params = (): { course: string } => ({ course: course.value.id });
/** A code that was made meanwhile is newer than any that was asked for before. */
let turn = 0;
async function read(): Promise<void> {
  turn += 1;
  const mine = turn;
  const got = await ask('GET /api/courses/{course}/ways', { params: params() });
  if (mine === turn) ways.value = got;
}
onMounted(() => attempt(read));
useLive((heard) => {
  const isOfThis = heard.kind === 'missed' || (heard.kind === 'course' && heard.id === course.value.id);
  // Nobody has pressed anything: what does not come now comes with the next that is told.
  if (isOfThis) read().catch(() => undefined);
});

function set(change: Partial<WayIn>): void {
  const before = link.value;
  if (before !== null) plan.change([setTableEntry(course.value, 'ways', 'link', { ...before, ...change })]);
}
const makeCode = (): Promise<boolean> =>
  attempt(async () => {
    const made = await ask('POST /api/courses/{course}/ways/code', { params: params() });
    turn += 1;
    ways.value = made;
  });
/** The first code is made with the switch: a way that is on leads somewhere. */
async function toggle(on: boolean): Promise<void> {
  if (on && ways.value?.code == null && !(await makeCode())) return;
  set({ on });
}
async function replace(): Promise<void> {
  isReplacing.value = false;
  if (await makeCode()) emit('said', t('setup.members.ways.replaced'));
}
async function copy(): Promise<void> {
  if (await copied(address.value)) emit('said', t('setup.members.ways.copied'));
}
async function show(): Promise<void> {
  picture.value = null;
  isShowing.value = true;
  await attempt(async () => {
    picture.value = await qrPicture(address.value);
  });
}

const domainsOf = (text: string): string[] => text.split(/[\s,;]+/).filter((word) => word !== '');
const wrongDomain = (text: string): string | null => {
  const domains = domainsOf(text);
  const wrong = domains.find((one) => !domainSchema.safeParse(one).success);
  if (wrong !== undefined) return t('setup.members.ways.noDomain', { domain: wrong });
  return domains.length > MAX_DOMAINS ? t('setup.members.ways.domainsMost', { most: MAX_DOMAINS }) : null;
};
function setDomains(text: string): void {
  const domains = [...new Set(domainsOf(text.toLowerCase()))];
  set({ domains: domains.length === 0 ? null : domains });
}
</script>

<template>
  <section class="ways" aria-labelledby="ways-in">
    <h2 id="ways-in">{{ t('setup.members.ways.title') }}</h2>
    <div id="field-seats" class="whole" tabindex="-1">
      <NumberField
        class="seats"
        :label="t('setup.members.ways.seats')"
        :number="course.seats"
        :least="1"
        :most="MAX_SEATS"
        :readonly="plan.isReadonly"
        @set="plan.set(course.id, 'seats', $event, course.seats)"
      />
      <p class="soft">
        {{
          course.seats === null
            ? t('setup.members.ways.anySeats')
            : t('setup.members.ways.taken', { taken: ways?.learners ?? plan.learners, seats: course.seats })
        }}
      </p>
      <CheckField
        :checked="course.mayLeave"
        :disabled="plan.isReadonly"
        @toggle="plan.set(course.id, 'mayLeave', $event, course.mayLeave)"
      >
        {{ t('setup.members.ways.mayLeave') }}
      </CheckField>
    </div>
    <div v-if="link !== null" id="field-ways" :class="['way', { on: link.on }]" tabindex="-1">
      <CheckField :checked="link.on" :disabled="plan.isReadonly || isUnderWay" @toggle="toggle">
        <strong>{{ t('setup.members.ways.link') }}</strong>
      </CheckField>
      <p>{{ sentence }}</p>
      <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
      <template v-if="link.on">
        <div v-if="ways?.code" class="code">
          <span class="figures large">{{ showCode(ways.code) }}</span>
          <PushButton small @click="copy">
            <IconCopy :size="16" aria-hidden="true" /> {{ t('setup.members.ways.copy') }}
          </PushButton>
          <PushButton small @click="show">
            <IconQrcode :size="16" aria-hidden="true" /> {{ t('setup.members.ways.show') }}
          </PushButton>
          <PushButton v-if="!plan.isReadonly" small @click="isReplacing = true">
            <IconRefresh :size="16" aria-hidden="true" /> {{ t('setup.members.ways.replace') }}
          </PushButton>
          <span class="soft">{{ t('setup.members.ways.came', ways.byLink) }}</span>
        </div>
        <div class="pair">
          <fieldset :disabled="plan.isReadonly">
            <legend>{{ t('setup.members.ways.opens') }}</legend>
            <MomentForm
              id="way-link"
              field="opens"
              of-course
              of-way
              :model-value="link.opens"
              @update:model-value="set({ opens: $event })"
            />
          </fieldset>
          <fieldset :disabled="plan.isReadonly">
            <legend>{{ t('setup.members.ways.closes') }}</legend>
            <MomentForm
              id="way-link"
              field="until"
              of-course
              of-way
              :model-value="link.closes"
              @update:model-value="set({ closes: $event })"
            />
          </fieldset>
        </div>
        <div class="pair">
          <NumberField
            :label="t('setup.members.ways.ownSeats')"
            :number="link.seats"
            :least="1"
            :most="MAX_SEATS"
            @set="set({ seats: $event })"
          />
          <DraftField
            :text="link.domains?.join(', ') ?? ''"
            :label="t('setup.members.ways.domains')"
            :readonly="plan.isReadonly"
            :wrong="wrongDomain"
            @type="setDomains"
          />
        </div>
      </template>
    </div>
    <DialogBox v-model="isShowing" :title="t('setup.members.ways.link')" :width="560">
      <div class="shown">
        <p class="figures huge">{{ ways?.code ? showCode(ways.code) : '' }}</p>
        <p class="figures">{{ address }}</p>
        <img v-if="picture" :src="picture" :alt="t('setup.members.ways.picture')" width="320" height="320" />
      </div>
      <template #foot>
        <PushButton @click="isShowing = false">{{ t('common.close') }}</PushButton>
      </template>
    </DialogBox>
    <DialogBox v-model="isReplacing" :title="t('setup.members.ways.replaceTitle')">
      <p>{{ t('setup.members.ways.replaceText') }}</p>
      <template #foot>
        <PushButton @click="isReplacing = false">{{ t('common.cancel') }}</PushButton>
        <PushButton weight="main" :disabled="isUnderWay" @click="replace">
          {{ t('setup.members.ways.replace') }}
        </PushButton>
      </template>
    </DialogBox>
  </section>
</template>

<style scoped>
.ways {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  max-width: 900px;
}

h2 {
  margin-top: 12px;
  font-size: 17px;
}

.whole {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
}

.seats {
  flex: 0 0 200px;
}

.way {
  display: grid;
  gap: 10px;
  padding: 10px 14px;
  border: 1px solid var(--rule);
  border-top: 3px solid var(--rule);
  background: var(--card);
}

.way.on {
  border-top-color: var(--route);
}

.code {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}

.large {
  padding: 2px 12px;
  border: 1px dashed var(--field-rule);
  border-radius: 4px;
  font-size: 24px;
  letter-spacing: 0.06em;
}

.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(260px, 1fr));
  gap: 12px;
}

fieldset {
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  margin-bottom: 4px;
  font-weight: 600;
}

.failure {
  color: var(--blocker);
}

.shown {
  display: grid;
  gap: 10px;
  justify-items: center;
}

.huge {
  font-size: clamp(28px, 7vw, 52px);
  letter-spacing: 0.06em;
}
</style>
