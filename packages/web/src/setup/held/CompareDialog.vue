<script setup lang="ts">
/** What learners see and what is held, beside each other, word by word. */
import { findNode, learnersNode, subtree } from '@itinerary/core';
import type { CourseNode } from '@itinerary/core';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import { useSession } from '../../stores/session.ts';
import { useTexts } from '../../stores/texts.ts';
import DialogBox from '../../ui/frame/DialogBox.vue';
import ComparedWords from '../compare/ComparedWords.vue';
import { shortened, wordChanges, wordsOf } from '../compare/word-changes.ts';
import type { Piece } from '../compare/word-changes.ts';
import PushButton from '../../ui/frame/PushButton.vue';

const props = defineProps<{ node: CourseNode }>();
const open = defineModel<boolean>({ required: true });
const { t } = useI18n();
const plan = usePlan();
const session = useSession();
const texts = useTexts();

interface Compared {
  readonly id: string;
  readonly title: readonly Piece[];
  readonly text: readonly Piece[];
}

const textOf = (node: CourseNode | undefined): string => {
  if (node === undefined || !('text' in node)) return '';
  return wordsOf(texts.read(node.text) ?? '');
};
const isChanged = (pieces: readonly Piece[]): boolean => pieces.some(({ kind }) => kind !== 'same');

/** Node by node: those of both, and those of one alone. */
const compared = computed<readonly Compared[]>(() => {
  if (plan.course === null) return [];
  const was = learnersNode(plan.course, props.node.id, Date.parse(session.now()));
  const place = findNode(plan.course, props.node.id);
  if (place === null) return [];
  const living = (node: CourseNode): boolean => !node.removed;
  const before = new Map((was === null ? [] : subtree(was)).filter(living).map((node) => [node.id, node]));
  const after = new Map(
    subtree(place.node)
      .filter(living)
      .map((node) => [node.id, node]),
  );
  return [...new Set([...before.keys(), ...after.keys()])]
    .map((id) => ({
      id,
      title: wordChanges(before.get(id)?.title ?? '', after.get(id)?.title ?? ''),
      text: wordChanges(textOf(before.get(id)), textOf(after.get(id))),
    }))
    .filter(({ title, text }) => isChanged(title) || isChanged(text));
});
</script>

<template>
  <DialogBox v-model="open" :title="t('setup.held.compareTitle')" :width="760">
    <p class="soft">{{ t('setup.held.compareText') }}</p>
    <p v-if="compared.length === 0" class="soft">{{ t('setup.held.nothing') }}</p>
    <article v-for="one in compared" :key="one.id">
      <h3>
        <ComparedWords :pieces="one.title" />
      </h3>
      <p class="text">
        <ComparedWords :pieces="shortened(one.text)" />
      </p>
    </article>
    <template #foot>
      <PushButton @click="open = false">{{ t('common.close') }}</PushButton>
    </template>
  </DialogBox>
</template>

<style scoped>
article {
  margin-top: 12px;
  padding: 10px 14px;
  border-top: 3px solid var(--route);
  background: var(--mist);
}

h3 {
  font-size: 16px;
}

.text {
  max-width: 68ch;
  white-space: pre-line;
}
</style>
