/** Two values that met in one field, in words; what it takes to keep the other, or both. */
import { bothValues, MAX_TEXT, TEXT_FIELDS, textHashSchema } from '@itinerary/core';
import type { FieldValue, Replaced } from '@itinerary/core';
import { computed, ref, watch } from 'vue';
import type { ComputedRef, Ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { usePlan } from '../../stores/plan.ts';
import { useTexts } from '../../stores/texts.ts';
import { bothTexts } from '../compare/both-texts.ts';
import { wordChanges, wordsOf } from '../compare/word-changes.ts';
import type { Piece } from '../compare/word-changes.ts';
import { useNodeTitle } from '../node-title.ts';
import { valueWords } from './notice-words.ts';

/** The long text that a value is, or that an entry holds. */
function textIn(field: string, value: FieldValue): string | null {
  const hash =
    TEXT_FIELDS.has(field) || typeof value !== 'object' || value === null || Array.isArray(value)
      ? value
      : (value as Readonly<Record<string, FieldValue>>)['text'];
  return typeof hash === 'string' && textHashSchema.safeParse(hash).success ? hash : null;
}

export interface Met {
  /** Undefined while a text is on its way. Struck out: what is there no more. */
  readonly pieces: ComputedRef<readonly Piece[] | undefined>;
  readonly both: Ref<FieldValue | undefined>;
}

export function useMet(of: () => Replaced): Met {
  const { t } = useI18n();
  const plan = usePlan();
  const texts = useTexts();
  const titleOf = useNodeTitle();
  const both = ref<FieldValue | undefined>();

  function words(value: FieldValue): string | undefined {
    const { field } = of();
    const hash = textIn(field, value);
    const short = TEXT_FIELDS.has(field) ? '' : valueWords(field, value, t, titleOf);
    if (hash === null) return value === null ? t('setup.notices.nothing') : short;
    const html = texts.read(hash);
    return html === null ? undefined : [short, wordsOf(html)].filter((one) => one !== '').join('\n');
  }

  const pieces = computed(() => {
    const { yours, theirs, stands } = of();
    const [was, is] = stands === 'yours' ? [words(theirs), words(yours)] : [words(yours), words(theirs)];
    return was === undefined || is === undefined ? undefined : wordChanges(was, is);
  });

  /** Joined texts are kept here at once, so that their hash is known; they are sent if they are wanted. */
  async function join(): Promise<void> {
    const { target, field, yours, theirs } = of();
    const [first, second] = [textIn(field, theirs), textIn(field, yours)];
    const [one, other] = [
      first === null ? null : texts.read(first),
      second === null ? null : texts.read(second),
    ];
    const joined = one === null || other === null ? null : bothTexts(one, other);
    const hash = joined === null || joined.length > MAX_TEXT ? undefined : await texts.keep(joined);
    both.value =
      plan.course === null
        ? undefined
        : bothValues(plan.course, { target, field }, [theirs, yours], () => hash);
  }
  watch(() => [of(), pieces.value === undefined] as const, join, { immediate: true });

  return { pieces, both };
}
