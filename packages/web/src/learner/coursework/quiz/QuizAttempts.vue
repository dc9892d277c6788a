<script setup lang="ts">
/** The attempts that have ended, each with what came of it and its receipt. */
import type { OwnQuizAnswer } from '@itinerary/contract';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { useMomentWords } from '../../../stores/moment-words.ts';
import PushButton from '../../../ui/frame/PushButton.vue';
import { formatNumber } from '../../../words/intl.ts';

const props = defineProps<{
  attempts: OwnQuizAnswer['attempts'];
  total: number;
  zone: string;
  /** The one that is looked at. */
  looked: string | null;
}>();
const emit = defineEmits<{ look: [attempt: string] }>();
const { t, locale } = useI18n();
const when = useMomentWords();
const ended = computed(() =>
  props.attempts.flatMap((one) => (one.ended === null ? [] : [{ ...one, ended: one.ended }])),
);
const number = (value: number): string => formatNumber(value, locale.value, { maximumFractionDigits: 2 });
</script>

<template>
  <section v-if="ended.length > 0" aria-labelledby="quiz-attempts">
    <h3 id="quiz-attempts">{{ t('quiz.before') }}</h3>
    <ul class="attempts">
      <li v-for="one in ended" :key="one.id">
        <span class="figures">
          {{ t('quiz.attempt', { number: one.number }) }} · {{ when(Date.parse(one.ended), zone) }}
        </span>
        <strong v-if="one.isLate" class="late">{{ t('quiz.late') }}</strong>
        <span>{{ t(`quiz.endedBy.${one.endedBy ?? 'hand'}`) }}</span>
        <span class="figures">
          <template v-if="one.points !== null">
            {{ t('quiz.pointsOf', { points: number(one.points), total: number(total) }) }}
          </template>
          <template v-if="!one.isFinal">{{ t('quiz.waits') }}</template>
        </span>
        <PushButton small :disabled="looked === one.id" @click="emit('look', one.id)">
          {{ t('quiz.lookAt', { number: one.number }) }}
        </PushButton>
        <details class="soft">
          <summary>{{ t('quiz.receipt') }}</summary>
          <code class="figures" dir="ltr">{{ one.hash }}</code>
        </details>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h3 {
  font-size: 15.5px;
}

.attempts {
  margin: 0;
  padding: 0;
  list-style: none;
}

.attempts li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);
}

summary {
  min-height: 26px;
}

.late {
  color: var(--advice);
}

code {
  font-size: 12px;
  overflow-wrap: anywhere;
}
</style>
