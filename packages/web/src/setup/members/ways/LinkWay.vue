<script setup lang="ts">
/** By link or code: the code in force, to be read out or pictured, and made anew. */
import { IconCopy, IconQrcode, IconRefresh } from '@tabler/icons-vue';
import { showCode } from '@itinerary/core/people';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { ask } from '../../../api/client.ts';
import { usePlan } from '../../../stores/plan.ts';
import DialogBox from '../../../ui/frame/DialogBox.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import { useAttempt } from '../../../words/use-attempt.ts';
import { useCopied } from '../use-copied.ts';
import { qrPicture } from './qr-picture.ts';
import { useWaysAct } from './use-ways.ts';
import type { Ways } from './use-ways.ts';
import WayCard from './WayCard.vue';

const props = defineProps<{ held: Ways }>();
const emit = defineEmits<{ said: [words: string] }>();
const { t } = useI18n();
const plan = usePlan();
const { failure, isUnderWay, act } = useWaysAct(props.held);
const pictured = useAttempt();
const copied = useCopied(failure);
const picture = ref<string | null>(null);
const isShowing = ref(false);
const isReplacing = ref(false);
const ways = computed(() => props.held.ways.value);
const came = computed(() => ways.value?.learners.find(({ way }) => way === 'link')?.count ?? 0);
const address = computed(() =>
  ways.value?.code == null ? '' : `${location.origin}/join/${showCode(ways.value.code)}`,
);

const makeCode = (): Promise<boolean> =>
  act(() => ask('POST /api/courses/{course}/ways/code', { params: props.held.params.value }));
/** The first code is made with the switch: a way that is on leads somewhere. */
const before = async (): Promise<boolean> => ways.value?.code != null || (await makeCode());
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
  await pictured.attempt(async () => {
    picture.value = await qrPicture(address.value);
  });
}
</script>

<template>
  <WayCard kind="link" :held="held" :before="before" :is-under-way="isUnderWay">
    <template #always>
      <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    </template>
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
      <span class="soft">{{ t('setup.members.ways.came', came) }}</span>
    </div>
  </WayCard>
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
</template>

<style scoped>
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
