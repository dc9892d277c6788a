/** What comes of something typed: a value, or what was expected instead. Words for it are the interface's. */

/** Languages that days, times, numbers and durations are typed in. */
export const TYPED_IN = ['en', 'es', 'fr', 'ar'] as const;
export type TypedIn = (typeof TYPED_IN)[number];

export type Expected =
  /** A whole number, or any, from `least` to `most`. */
  | { readonly code: 'whole' | 'number'; readonly least: number; readonly most: number }
  /** Minutes, or hours and minutes, from `least` to `most` minutes. */
  | { readonly code: 'duration'; readonly least: number; readonly most: number }
  /** It comes to a part of a minute. */
  | { readonly code: 'whole_minutes' }
  /** A day, as a day is written. */
  | { readonly code: 'day' }
  /** There is no such day: 30 February. */
  | { readonly code: 'no_such_day' }
  /** The day is there, but falls on another weekday (ISO: Monday is 1). */
  | { readonly code: 'other_weekday'; readonly day: string; readonly weekday: number }
  /** A time of day. */
  | { readonly code: 'time' }
  /** A day and a time. */
  | { readonly code: 'moment' }
  /** A colour. */
  | { readonly code: 'colour' };

export type Reading<Value> =
  { readonly ok: true; readonly value: Value } | { readonly ok: false; readonly expected: Expected };

export const read = <Value>(value: Value): Reading<Value> => ({ ok: true, value });
export const notRead = (expected: Expected): { readonly ok: false; readonly expected: Expected } => ({
  ok: false,
  expected,
});
