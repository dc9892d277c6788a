/** How many of something one person may have in so long a time. */
import { Failure } from './failure.ts';

export interface Pace {
  /** What came after that counts. */
  readonly since: (now: string) => string;
  /** @param recent what counts, in its order @throws Failure `too_often` with the seconds after which it may be tried again */
  readonly mustNotHurry: (recent: readonly { readonly at: string }[], now: string) => void;
}

/** @param what in words, as the sentence says it */
export function paceOf(most: number, minutes: number, what: string): Pace {
  const ms = minutes * 60_000;
  return {
    since: (now) => new Date(Date.parse(now) - ms).toISOString(),
    mustNotHurry: (recent, now) => {
      const first = recent[recent.length - most];
      if (first === undefined) return;
      const seconds = Math.max(1, Math.ceil((Date.parse(first.at) + ms - Date.parse(now)) / 1000));
      throw new Failure('too_often', `At most ${most} ${what} in ${minutes} minutes`, [], seconds);
    },
  };
}
