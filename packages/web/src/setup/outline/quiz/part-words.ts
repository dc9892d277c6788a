/** What the parts of several kinds of questions have in common. */
import { computed } from 'vue';
import type { ComputedRef } from 'vue';
import { useI18n } from 'vue-i18n';
import type { SelectOption } from '../../../ui/fields/choice/select-option.ts';

export type Credit = 'whole' | 'by_part';

export interface PartWords {
  /** Why a field that has been emptied is not taken; null: there are words. */
  readonly needed: (text: string) => string | null;
  readonly credits: ComputedRef<readonly SelectOption<Credit>[]>;
}

export function usePartWords(): PartWords {
  const { t } = useI18n();
  return {
    needed: (text) => (text === '' ? t('setup.quiz.needed') : null),
    credits: computed(() =>
      (['whole', 'by_part'] as const).map((value) => ({ value, title: t(`setup.quiz.creditOf.${value}`) })),
    ),
  };
}

/** A share of one as per cent, and back, without what binary fractions add. */
export const asPercent = (share: number): number => Number((share * 100).toPrecision(12));
export const fromPercent = (percent: number): number => Number((percent / 100).toPrecision(12));
