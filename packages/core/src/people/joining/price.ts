/** What somebody pays to join: by what they are to the institution, else by the day. */
import type { CoursePlan } from '../../calendar/course-plan.ts';
import type { Price } from '../../course/schema/joining-schema.ts';
import { closesAt } from './of-course.ts';

export interface Priced {
  /** In the smallest unit of the currency. */
  readonly amount: number;
  readonly currency: string;
  /** The instant from which it is more; null: it stays. */
  readonly until: number | null;
  /** It is paid for so many months, and again after them; null: once. */
  readonly months: number | null;
}

const isKind = (kind: string | null, table: Price['byKind']): kind is keyof Price['byKind'] =>
  kind !== null && Object.hasOwn(table, kind);

/**
 * A reduced price counts to the end of the minute, or day, of its moment; an undated moment reduces nothing.
 *
 * @param kind what they are to the institution; null: nobody is signed in
 * @param at the instant, in milliseconds
 */
export function priceFor(plan: CoursePlan, price: Price, kind: string | null, at: number): Priced {
  const { currency, byKind, reduced, months } = price;
  const own = isKind(kind, byKind) ? byKind[kind] : null;
  if (own !== null) return { amount: own, currency, until: null, months };
  const end = reduced === null ? null : closesAt(plan, reduced.until);
  if (reduced !== null && end !== null && at < end)
    return { amount: reduced.amount, currency, until: end, months };
  return { amount: price.amount, currency, until: null, months };
}

/** Digits after the point: a yen has none, most have two. */
export function digitsOf(currency: string): number {
  const { maximumFractionDigits } = new Intl.NumberFormat('en', {
    style: 'currency',
    currency,
  }).resolvedOptions();
  return maximumFractionDigits ?? 2;
}

/** An amount as it is read: `€ 120.00`, in the reader's way. */
export function amountWords(amount: number, currency: string, lang: string): string {
  return new Intl.NumberFormat(lang, { style: 'currency', currency }).format(
    amount / 10 ** digitsOf(currency),
  );
}
