<script setup lang="ts">
/** Who would be done with more, and who with less, by a change that nobody else has yet; and what becomes of it. */
import { numberNodes } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import DialogBox from '../../ui/frame/DialogBox.vue';
import PushButton from '../../ui/frame/PushButton.vue';
import { useNodeTitle } from '../node-title.ts';

const { t } = useI18n();
const plan = usePlan();
const titleOf = useNodeTitle();
const answer = computed(() => plan.weighed?.answer ?? null);
const isOpen = computed({
  get: () => plan.weighed !== null,
  set: (open) => {
    if (!open) plan.decide('leave');
  },
});

const numbers = computed(() => (plan.course === null ? null : numberNodes(plan.course)));
function called(id: string): string {
  if (id === plan.course?.id) return t('setup.progress.moves.course');
  const title = titleOf(id) ?? t('learner.untitled');
  return [numbers.value?.get(id), title].filter((one) => one != null).join(' ');
}
const lists = computed(() =>
  (['loses', 'gains'] as const)
    .map((which) => ({ which, people: answer.value?.[which] ?? [] }))
    .filter(({ people }) => people.length > 0),
);
const keeping = computed(() => answer.value?.keeping ?? 0);
</script>

<template>
  <DialogBox v-model="isOpen" :title="t('setup.progress.moves.title')" :width="620">
    <p v-if="answer === null">{{ t('setup.progress.moves.unknown') }}</p>
    <section v-for="{ which, people } in lists" :key="which" :aria-labelledby="`moves-${which}`">
      <h3 :id="`moves-${which}`">
        {{ t(`setup.progress.moves.${which}`, { count: people.length }, people.length) }}
      </h3>
      <ul class="moved" tabindex="0" :aria-labelledby="`moves-${which}`">
        <li v-for="one in people" :key="one.person">
          <span dir="auto" class="name">{{ one.name }}</span>
          <span class="soft" dir="auto">{{ one.of.map(called).join(', ') }}</span>
        </li>
      </ul>
    </section>
    <p v-if="(answer?.loses.length ?? 0) > 0" class="soft">
      {{
        keeping > 0
          ? t('setup.progress.moves.canKeep', { count: keeping }, keeping)
          : t('setup.progress.moves.cannotKeep')
      }}
    </p>
    <template #foot>
      <PushButton weight="bare" @click="plan.decide('leave')">{{
        t('setup.progress.moves.leave')
      }}</PushButton>
      <PushButton :weight="keeping > 0 ? 'usual' : 'main'" @click="plan.decide('change')">{{
        t('setup.progress.moves.change')
      }}</PushButton>
      <PushButton v-if="keeping > 0" weight="main" @click="plan.decide('keep')">{{
        t('setup.progress.moves.keep')
      }}</PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
h3 {
  margin-top: 6px;
  font-size: 15.5px;
}

.moved {
  max-height: 32vh;
  margin: 6px 0 10px;
  padding: 0;
  overflow-y: auto;
  list-style: none;
}

.moved li {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 3fr);
  gap: 4px 16px;
  padding: 5px 0;
  border-bottom: 1px solid var(--rule);
}

.name {
  font-weight: 700;
}
</style>
