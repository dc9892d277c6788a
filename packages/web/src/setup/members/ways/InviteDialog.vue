<script setup lang="ts">
/** Inviting people by their addresses: pasted, counted, and sent as one act. */
import { MAX_INVITED } from '@itinerary/contract';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextarea } from 'vuetify/components/VTextarea';
import { ask } from '../../../api/client.ts';
import { usePlan } from '../../../stores/plan.ts';
import { LOCALES } from '../../../words/i18n.ts';
import type { Locale } from '../../../words/i18n.ts';
import { roleWord } from '../../../words/own-words.ts';
import NumberField from '../../../ui/fields/NumberField.vue';
import CheckField from '../../../ui/fields/choice/CheckField.vue';
import SelectField from '../../../ui/fields/choice/SelectField.vue';
import DialogBox from '../../../ui/frame/DialogBox.vue';
import PushButton from '../../../ui/frame/PushButton.vue';
import { typedAddresses } from './typed-addresses.ts';
import { useWaysAct } from './use-ways.ts';
import type { Ways } from './use-ways.ts';

const props = defineProps<{ held: Ways }>();
const open = defineModel<boolean>({ required: true });
const emit = defineEmits<{ said: [words: string] }>();
const { t, locale } = useI18n();
const plan = usePlan();
const { failure, isUnderWay, act } = useWaysAct(props.held);

const ROLES = ['learner', 'assistant', 'instructor', 'visitor'] as const;
const DAYS = 14;
const text = ref('');
const role = ref<(typeof ROLES)[number]>('learner');
const days = ref<number | null>(DAYS);
const keepsSeats = ref(false);
const lang = ref<Locale>('en');
watch(open, (now) => {
  if (!now) return;
  text.value = '';
  role.value = 'learner';
  days.value = DAYS;
  keepsSeats.value = false;
  lang.value = LOCALES.find((one) => one === locale.value) ?? 'en';
});
const typed = computed(() => typedAddresses(text.value));
const wrong = computed(() => {
  const { wrong: word, addresses } = typed.value;
  if (word !== null) return t('setup.members.ways.invite.wrong', { word, at: '@' });
  return addresses.length > MAX_INVITED ? t('setup.members.ways.invite.most', { most: MAX_INVITED }) : null;
});
const nameOf = (one: (typeof ROLES)[number]): string => roleWord(one, plan.course?.roleNames ?? {}, t);

async function send(): Promise<void> {
  const before = new Set(props.held.ways.value?.invitations.map(({ id }) => id));
  const body = {
    addresses: [...typed.value.addresses],
    role: role.value,
    days: days.value,
    keepsSeats: keepsSeats.value && role.value === 'learner',
    lang: lang.value,
  };
  const params = props.held.params.value;
  if (!(await act(() => ask('POST /api/courses/{course}/ways/invitations', { params, body })))) return;
  const sent = props.held.ways.value?.invitations.filter(({ id }) => !before.has(id)).length ?? 0;
  emit(
    'said',
    sent === 0 ? t('setup.members.ways.invite.nobodyNew') : t('setup.members.ways.invite.sent', sent),
  );
  open.value = false;
}
</script>

<template>
  <DialogBox v-model="open" :title="t('setup.members.ways.invite.title')" :width="620">
    <div class="form">
      <VTextarea
        v-model="text"
        :label="t('setup.members.ways.invite.addresses')"
        :rows="5"
        auto-grow
        max-rows="12"
        variant="outlined"
        density="comfortable"
        :error-messages="wrong === null ? [] : [wrong]"
        :aria-invalid="wrong !== null"
        hide-details="auto"
      />
      <p class="soft">
        {{ t('setup.members.ways.invite.hint') }}
        <strong class="figures">{{ t('setup.members.ways.invite.count', typed.addresses.length) }}</strong>
      </p>
      <div class="pair">
        <SelectField
          :label="t('setup.members.ways.invite.role')"
          :value="role"
          :options="ROLES.map((value) => ({ value, title: nameOf(value) }))"
          @choose="role = $event"
        />
        <NumberField
          :label="t('setup.members.ways.invite.days')"
          :number="days"
          :least="1"
          :most="365"
          @set="days = $event"
        />
        <SelectField
          :label="t('setup.members.ways.invite.language')"
          :value="lang"
          :options="LOCALES.map((value) => ({ value, title: t(`common.languages.${value}`) }))"
          @choose="lang = $event"
        />
      </div>
      <p class="soft">{{ t('setup.members.ways.invite.languageHint') }}</p>
      <CheckField v-if="role === 'learner'" :checked="keepsSeats" @toggle="keepsSeats = $event">
        {{ t('setup.members.ways.invite.keeps') }}
      </CheckField>
      <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    </div>
    <template #foot>
      <PushButton @click="open = false">{{ t('common.cancel') }}</PushButton>
      <PushButton
        weight="main"
        :disabled="isUnderWay || wrong !== null || typed.addresses.length === 0"
        @click="send"
      >
        {{
          typed.addresses.length === 0
            ? t('setup.members.ways.invite.none')
            : t('setup.members.ways.invite.send', typed.addresses.length)
        }}
      </PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
.form {
  display: grid;
  gap: 12px;
}

.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(160px, 1fr));
  gap: 12px;
}

.failure {
  color: var(--blocker);
}
</style>
