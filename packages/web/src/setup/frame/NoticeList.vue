<script setup lang="ts">
/** What somebody must be told about their own changes: refused, replaced, no longer to be taken back. */
import { IconX } from '@tabler/icons-vue';
import { MAX_TITLE, TEXT_FIELDS } from '@itinerary/core';
import type { Edit, FieldValue } from '@itinerary/core';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import type { Told } from '../../stores/told.ts';
import IconButton from '../../ui/frame/IconButton.vue';
import { useTexts } from '../../stores/texts.ts';
import { wordsOf } from '../compare/word-changes.ts';
import { useNodeTitle } from '../node-title.ts';
import { fieldKey, valueWords } from './notice-words.ts';
import PushButton from '../../ui/frame/PushButton.vue';
import ReplacedNotice from './ReplacedNotice.vue';

const { t, te } = useI18n();
const plan = usePlan();
const texts = useTexts();

const titleOf = useNodeTitle();
const fieldName = (field: string): string => t(fieldKey(field));

function placeName(target: string): string {
  const { course } = plan;
  if (course === null || target === course.id) return t('setup.notices.theCourse');
  return titleOf(target) ?? t('learner.untitled');
}

const value = (field: string, said: FieldValue): string => valueWords(field, said, t, titleOf);

/** What one change did, told by what it was about. */
function retraced(edits: readonly Edit[]): string {
  const [edit, ...others] = edits;
  if (edit === undefined || others.length > 0) return t('setup.notices.changes', edits.length);
  const place = placeName(edit.kind === 'insert' ? edit.node.id : edit.target);
  if (edit.kind !== 'set' || edit.field === 'removed') return place;
  return t('setup.notices.isNow', {
    ...{ field: fieldName(edit.field), place, value: value(edit.field, edit.value) },
  });
}

/** What met in one field has its own part. */
function sentence(one: Exclude<Told, { kind: 'replaced' }>): string {
  switch (one.kind) {
    case 'refused': {
      const { refusal } = one;
      const key = `setup.refusals.${refusal.code}`;
      return t(te(key) ? key : 'setup.refusals.other', { place: placeName(refusal.target) });
    }
    case 'stale_undo':
      return one.refusal.code === 'changed_since'
        ? t('setup.notices.changedSince', {
            field: fieldName(one.refusal.field),
            now: value(one.refusal.field, one.refusal.now),
            wanted: value(one.refusal.field, one.refusal.wanted),
          })
        : t('setup.notices.cannotUndo');
    case 'problem':
      return t(`common.problems.${one.code}`);
    case 'removed':
      return t('setup.notices.removed', { title: one.title });
    case 'added':
      return t('setup.notices.added', one.count);
    case 'retraced':
      return t(`setup.notices.${one.way === 'undo' ? 'undone' : 'redone'}`, { what: retraced(one.edits) });
    case 'long_lines':
      return t('setup.notices.longLines', { most: MAX_TITLE, first: one.first }, one.count);
  }
}

/** Words that were not taken are given back to whoever wrote them. */
function lostWords(one: Told): string | null {
  if (one.kind !== 'refused') return null;
  const words = one.change.edits.flatMap((edit) => {
    if (edit.kind !== 'set') return [];
    if (TEXT_FIELDS.has(edit.field)) return [wordsOf(texts.known.get(String(edit.value)) ?? '')];
    return WRITTEN.has(edit.field) && typeof edit.value === 'string' ? [edit.value] : [];
  });
  const said = words.filter((word) => word !== '').join('\n');
  return said === '' ? null : said;
}

/** What somebody wrote, rather than chose. */
const WRITTEN = new Set(['title', 'summary', 'bringAlong', 'madeFor', 'code']);

function again(one: Told): void {
  plan.dismiss(one.id);
  plan.resume();
}

/** What it is about and nothing else, though other things were done since. */
function undo(one: Told): void {
  if ('of' in one && one.of !== null) plan.undoThat(one.of);
  plan.dismiss(one.id);
}
</script>

<template>
  <div role="status" aria-live="polite">
    <ul class="notices">
      <li v-for="one in plan.told" :key="one.id" :class="one.kind">
        <ReplacedNotice
          v-if="one.kind === 'replaced'"
          class="words"
          :notice="one"
          :place="placeName(one.target)"
          @settled="plan.dismiss(one.id)"
        />
        <div v-else class="words">
          <p>{{ sentence(one) }}</p>
          <p v-if="lostWords(one)" class="soft lost">
            {{ t('setup.notices.yourWords') }} “{{ lostWords(one) }}”
          </p>
        </div>
        <PushButton v-if="'of' in one && one.of !== null" small @click="undo(one)">
          {{ t('setup.bar.undo') }}
        </PushButton>
        <PushButton v-if="one.kind === 'problem' && plan.saving === 'stopped'" small @click="again(one)">
          {{ t('common.away.again') }}
        </PushButton>
        <IconButton :icon="IconX" :label="t('common.close')" @click="plan.dismiss(one.id)" />
      </li>
    </ul>
  </div>
</template>

<style scoped>
.notices {
  position: fixed;
  inset-inline-start: 228px;
  bottom: 104px;
  z-index: 40;
  display: grid;
  gap: 8px;
  max-width: 560px;
  max-height: 60vh;
  padding: 0;
  overflow-y: auto;
  list-style: none;
}

li {
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 8px 8px 8px 14px;
  border: 1px solid var(--field-rule);
  border-inline-start: 4px solid var(--route);
  border-radius: 6px;
  background: var(--card);
}

li.refused,
li.problem {
  border-inline-start-color: var(--blocker);
}

.words {
  flex: 1;
  min-width: 0;
}

.lost {
  max-height: 11em;
  overflow-y: auto;
  white-space: pre-line;
}

@media (max-width: 1080px) {
  .notices {
    inset-inline-start: 16px;
    inset-inline-end: 16px;
    bottom: 16px;
  }
}
</style>
