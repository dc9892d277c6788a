/** What it takes to be done with an item, and how far that is, in a sentence. */
import type { DoneView } from '@itinerary/core';

type T = (key: string, values?: Record<string, unknown>, count?: number) => string;

/** "It counts when it has 60 %; it has 40 %." */
export function conditionWords(
  { by, wants, has }: Omit<DoneView['conditions'][number], 'isMet'>,
  t: T,
  locale: string,
): string {
  const number = (value: number): string =>
    new Intl.NumberFormat(locale, { maximumFractionDigits: 1 }).format(value);
  if (wants === null) return t(`learner.done.${by}`);
  const values = { wants: number(wants), has: number(has ?? 0) };
  // A mark of nought is one.
  const isMark = by === 'scored' || by === 'passed';
  const key = has === null || (has === 0 && !isMark) ? 'none' : 'some';
  const count = by === 'posted' || by === 'replied' ? wants : undefined;
  const name = `learner.done.amounts.${by}.${key}`;
  return count === undefined ? t(name, values) : t(name, values, count);
}
