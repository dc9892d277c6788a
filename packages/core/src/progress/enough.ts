/** Whether so many of some things are done, by which of them first, and how many are wanted. */
import type { Want } from '../course/schema/progress-schema.ts';

/** Something that may be done: an item, a section, a mark in an item, a meeting. */
export interface Member {
  /** What it was done by, as it is kept: see `witness.ts`. */
  readonly key: string;
  /** Infinity: it is not. */
  readonly since: number;
  /** In minutes. */
  readonly weight: number;
}

/** How many of so many are wanted; of nothing, one that there is not. */
export function countWanted(want: Exclude<Want, { how: 'minutes' }>, of: number): number {
  switch (want.how) {
    case 'all':
      return Math.max(1, of);
    case 'any':
      return 1;
    case 'least':
      return want.count;
    case 'share':
      return Math.max(1, shareOf(want.percent, of));
  }
}

/** The least whole number that is so many percent of so many: in exact steps, 0.1 in a rule being one tenth. */
function shareOf(percent: number, of: number): number {
  const exact = Math.round(percent * 1e6) * of;
  return Math.ceil(exact / 1e8);
}

/** The first of them, in the order in which they were done, that are enough; null: they are not. */
export function enough(want: Want, members: readonly Member[]): readonly Member[] | null {
  const done = members.filter(({ since }) => since < Infinity).sort((a, b) => a.since - b.since);
  if (want.how === 'minutes') {
    let minutes = 0;
    const at = done.findIndex(({ weight }) => (minutes += weight) >= want.minutes);
    return at < 0 ? null : done.slice(0, at + 1);
  }
  const count = countWanted(want, members.length);
  return done.length < count ? null : done.slice(0, count);
}

/** The moment of the last of them. */
export const latest = (members: readonly Member[]): number =>
  members.reduce((last, { since }) => Math.max(last, since), -Infinity);

/** All of several parts, or the first that is met; null: neither. */
export function joined(
  match: 'all' | 'any',
  parts: readonly (readonly Member[] | null)[],
): readonly Member[] | null {
  const met = parts.filter((part) => part !== null);
  if (match === 'any') {
    return met.reduce<readonly Member[] | null>(
      (best, part) => (best === null || latest(part) < latest(best) ? part : best),
      null,
    );
  }
  if (met.length < parts.length) return null;
  return [...new Map(met.flat().map((one) => [one.key, one])).values()];
}
