<script setup lang="ts">
/** Each question: how many had it right, how well it tells who knows, and what of it waits for staff. */
import type { QuizListAnswer } from '@itinerary/contract';
import { useI18n } from 'vue-i18n';
import { VProgressLinear } from 'vuetify/components/VProgressLinear';
import PlainTable from '../../ui/frame/PlainTable.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import { formatNumber } from '../../words/intl.ts';

defineProps<{ questions: QuizListAnswer['questions'] }>();
const emit = defineEmits<{ look: [question: string] }>();
const { t, locale } = useI18n();
const percent = (value: number): string =>
  formatNumber(value, locale.value, { style: 'percent', maximumFractionDigits: 0 });
const tells = (value: number): string =>
  formatNumber(value, locale.value, { minimumFractionDigits: 2, maximumFractionDigits: 2 });
</script>

<template>
  <div class="figures-of">
    <PlainTable
      :columns="[
        { title: t('quiz.desk.questions') },
        { title: t('quiz.desk.share') },
        { title: t('quiz.desk.tells'), atEnd: true },
        { title: t('quiz.desk.unanswered'), atEnd: true },
        { title: t('quiz.desk.open'), atEnd: true },
        null,
      ]"
    >
      <tr v-for="one in questions" :key="one.question">
        <th scope="row">
          <span class="figures place">{{ one.number }}</span> <span dir="auto">{{ one.text }}</span>
        </th>
        <td class="share">
          <template v-if="one.right !== null">
            <VProgressLinear
              :model-value="one.right * 100"
              height="8"
              color="primary"
              rounded
              aria-hidden="true"
            />
            <span class="figures">{{ percent(one.right) }}</span>
          </template>
          <span v-else class="soft">–</span>
        </td>
        <td class="right figures" :class="{ low: one.tells !== null && one.tells < 0 }">
          <template v-if="one.tells !== null">{{ tells(one.tells) }}</template>
          <span v-else class="soft">{{ t('quiz.desk.tooFew') }}</span>
        </td>
        <td class="right figures">{{ one.unanswered }}</td>
        <td class="right figures" :class="{ waiting: one.open > 0 }">{{ one.open }}</td>
        <td class="right">
          <PushButton
            small
            :disabled="one.asked === 0"
            :aria-label="t('quiz.desk.lookAt', { number: one.number })"
            @click="emit('look', one.question)"
          >
            {{ t('quiz.desk.lookShort') }}
          </PushButton>
        </td>
      </tr>
    </PlainTable>
    <p class="soft">{{ t('quiz.desk.tellsHint') }}</p>
  </div>
</template>

<style scoped>
.figures-of {
  overflow-x: auto;
}

.place {
  display: inline-block;
  min-width: 24px;
  color: var(--ink-soft);
}

.share {
  min-width: 110px;
}

.low {
  color: var(--blocker);
  font-weight: 600;
}

.waiting {
  color: var(--advice);
  font-weight: 600;
}

p {
  margin-top: 8px;
}
</style>
