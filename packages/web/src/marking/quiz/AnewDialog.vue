<script setup lang="ts">
/** All attempts judged anew: who it moves is shown first, and exactly that is then done. */
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { ProblemError } from '../../api/client.ts';
import DialogBox from '../../ui/frame/DialogBox.vue';
import PlainTable from '../../ui/frame/PlainTable.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import { formatNumber } from '../../words/intl.ts';
import { useProblemSentence } from '../../words/problems.ts';
import type { Answers } from './use-answers.ts';

const props = defineProps<{ answers: Answers }>();
const open = defineModel<boolean>({ required: true });
const emit = defineEmits<{ done: [] }>();
const { t, locale } = useI18n();
const sentence = useProblemSentence();
const failure = ref('');
const isBusy = ref(false);
const anew = computed(() => props.answers.anew.value);

async function run(work: () => Promise<void>): Promise<void> {
  isBusy.value = true;
  try {
    await work();
  } catch (error) {
    failure.value = sentence(error);
  } finally {
    isBusy.value = false;
  }
}
watch(open, (now) => {
  if (!now) return;
  failure.value = '';
  void run(() => props.answers.lookAnew());
});
const press = (): Promise<void> =>
  run(async () => {
    failure.value = '';
    try {
      await props.answers.judgeAnew();
      emit('done');
    } catch (error) {
      if (!(error instanceof ProblemError) || error.problem.code !== 'changed_elsewhere') throw error;
      await props.answers.lookAnew();
      failure.value = t('quiz.desk.anewChanged');
    }
  });
type Stand = NonNullable<typeof anew.value>['people'][number]['from'];
const words = (stand: Stand): string =>
  stand === null
    ? '–'
    : `${formatNumber(stand.points, locale.value, { maximumFractionDigits: 2 })} (${formatNumber(stand.share, locale.value, { style: 'percent', maximumFractionDigits: 1 })})`;
</script>

<template>
  <DialogBox v-model="open" :title="t('quiz.desk.anewTitle')" :width="680">
    <p>{{ t('quiz.desk.anewText') }}</p>
    <template v-if="anew !== null">
      <p role="status">
        {{ anew.attempts === 0 ? t('quiz.desk.anewNothing') : t('quiz.desk.anewMoves', anew.attempts) }}
      </p>
      <PlainTable
        v-if="anew.people.length > 0"
        :columns="[
          { title: t('quiz.desk.name') },
          { title: t('quiz.desk.from'), atEnd: true },
          { title: t('quiz.desk.to'), atEnd: true },
        ]"
      >
        <tr v-for="one in anew.people" :key="one.person">
          <th scope="row">{{ one.name }}</th>
          <td class="right figures">{{ words(one.from) }}</td>
          <td class="right figures">{{ words(one.to) }}</td>
        </tr>
      </PlainTable>
    </template>
    <p v-if="failure" class="failure" role="alert">{{ failure }}</p>
    <template #foot>
      <PushButton @click="open = false">{{ t('common.cancel') }}</PushButton>
      <PushButton weight="main" :disabled="isBusy || anew === null || anew.attempts === 0" @click="press">
        {{ t('quiz.desk.anewPress') }}
      </PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
p {
  margin-bottom: 10px;
}

.failure {
  color: var(--blocker);
}
</style>
