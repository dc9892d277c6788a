<script setup lang="ts">
/** A course code, checked as it is typed: its shape here, whether it is free by the server. */
import { codeSchema } from '@itinerary/core';
import type { CodeAnswer } from '@itinerary/contract';
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { VTextField } from 'vuetify/components/VTextField';
import { ask } from '../../api/client.ts';
import PushButton from '../frame/PushButton.vue';

const props = defineProps<{
  /** The course whose own code it is. */
  except?: string;
  readonly?: boolean;
}>();
const code = defineModel<string>({ required: true });
const free = defineModel<boolean>('free', { default: false });
const emit = defineEmits<{ settled: [code: string] }>();
const { t } = useI18n();

const answer = ref<CodeAnswer | null>(null);
const unanswered = ref(false);
let timer: ReturnType<typeof setTimeout> | undefined;
let asking: AbortController | undefined;

const isShaped = computed(() => codeSchema.safeParse(code.value).success);
const first = code.value;
const hint = computed(() => {
  if (unanswered.value) return t('setup.about.codeUnanswered');
  // That a course's own code is its own needs no word.
  if (props.except !== undefined && code.value.trim() === first) return '';
  return t(free.value ? 'setup.about.codeFree' : 'setup.about.codeHint');
});
const problem = computed(() => {
  if (code.value.trim() === '') return null;
  if (!isShaped.value) return t('setup.about.codeShape');
  if (answer.value?.heldBy) return t('setup.about.codeTaken', { title: answer.value.heldBy.title });
  // Of a course that one may not know of, only that it is there.
  if (answer.value?.free === false)
    return t('setup.about.codeTakenBySome', { proposal: answer.value.proposal });
  return null;
});

async function check(): Promise<void> {
  asking = new AbortController();
  const wanted = code.value.trim();
  const query = props.except === undefined ? {} : { except: props.except };
  try {
    const got = await ask(
      'GET /api/codes/{code}',
      { params: { code: wanted }, query },
      { signal: asking.signal },
    );
    if (wanted !== code.value.trim()) return;
    unanswered.value = false;
    answer.value = got;
    free.value = got.free;
    if (got.free) emit('settled', wanted);
  } catch {
    // Without an answer the code is not called free; the server decides again on saving.
    unanswered.value = !asking.signal.aborted;
  }
}

watch(
  code,
  (now, before) => {
    if (before !== undefined && now.trim() === before.trim()) return;
    clearTimeout(timer);
    asking?.abort();
    free.value = false;
    answer.value = null;
    if (isShaped.value) timer = setTimeout(() => void check(), 250);
  },
  { immediate: true },
);
onBeforeUnmount(() => {
  clearTimeout(timer);
  asking?.abort();
});
</script>

<template>
  <div>
    <VTextField
      :readonly="readonly"
      v-model="code"
      class="figures-field"
      name="code"
      autocapitalize="characters"
      spellcheck="false"
      :label="t('setup.about.code')"
      :hint="hint"
      persistent-hint
      :error-messages="problem === null ? [] : [problem]"
    />
    <PushButton v-if="answer && !answer.free" class="proposal" small @click="code = answer.proposal">
      {{ t('setup.about.codeTake') }} <span class="figures">{{ answer.proposal }}</span>
    </PushButton>
  </div>
</template>

<style scoped>
.proposal {
  margin-top: 6px;
}
</style>
