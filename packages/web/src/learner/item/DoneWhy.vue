<script setup lang="ts">
/** Whether an item is done, what it takes, and how far each of it is: in one sentence, or a line each. */
import { IconCheck, IconCircleDashed } from '@tabler/icons-vue';
import type { DoneView } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { momentWords } from '../../words/moment-words.ts';
import { conditionWords } from '../../words/done-words.ts';

const props = defineProps<{ done: DoneView; mayTick: boolean; today: string }>();
const emit = defineEmits<{ tick: [done: boolean] }>();
const { t, locale } = useI18n();

const ticks = computed(() => props.done.conditions.some(({ by }) => by === 'ticked'));
/** The tick says itself what it is. */
const others = computed(() => props.done.conditions.filter(({ by }) => by !== 'ticked'));
const lines = computed(() =>
  others.value.map((one) => ({ isMet: one.isMet, words: conditionWords(one, t, locale.value) })),
);
const isSeveral = computed(() => props.done.conditions.length > 1);
const by = computed(() =>
  props.done.byThen === null
    ? null
    : t('learner.done.byThen', { when: momentWords(props.done.byThen, locale.value, props.today) }),
);
</script>

<template>
  <div class="done">
    <button
      v-if="ticks && mayTick"
      type="button"
      class="button"
      :aria-pressed="done.isTicked"
      @click="emit('tick', !done.isTicked)"
    >
      <IconCheck v-if="done.isTicked" :size="17" aria-hidden="true" />
      {{ t(done.isTicked ? 'learner.done.untick' : 'learner.done.tick') }}
    </button>
    <p v-if="done.isDone" class="is-done">
      <IconCheck :size="17" aria-hidden="true" />
      {{
        t(
          done.by === 'staff'
            ? 'learner.done.byStaff'
            : done.by === 'kept'
              ? 'learner.done.kept'
              : 'learner.done.is',
        )
      }}
    </p>
    <template v-else>
      <p v-if="isSeveral" class="soft lead">{{ t(`learner.done.several.${done.match}`) }}</p>
      <ul v-if="isSeveral">
        <li v-for="line in lines" :key="line.words" :class="{ met: line.isMet }">
          <IconCheck v-if="line.isMet" :size="16" role="img" :aria-label="t('learner.done.is')" />
          <IconCircleDashed v-else :size="16" aria-hidden="true" />
          <span>{{ line.words }}</span>
        </li>
        <li v-if="ticks" :class="{ met: done.isTicked }">
          <IconCheck v-if="done.isTicked" :size="16" role="img" :aria-label="t('learner.done.is')" />
          <IconCircleDashed v-else :size="16" aria-hidden="true" />
          <span>{{ t('learner.done.ticked') }}</span>
        </li>
      </ul>
      <p v-else-if="lines.length > 0" class="soft">{{ lines[0]?.words }}</p>
      <p v-if="by !== null" class="soft">{{ by }}</p>
    </template>
  </div>
</template>

<style scoped>
.done {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
  margin-top: 24px;
}

.is-done {
  display: inline-flex;
  gap: 4px;
  align-items: center;
  color: var(--open);
  font-weight: 600;
}

.lead,
ul {
  flex-basis: 100%;
}

ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  gap: 7px;
  align-items: center;
  min-height: 28px;
}

li.met {
  color: var(--open);
}
</style>
