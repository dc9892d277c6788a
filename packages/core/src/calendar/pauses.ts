/** Pauses: days without teaching in the middle of a course (docs/semantics.md, Sections in time). */
import type { Dates, PausePolicy } from '../course/schema/dates-schema.ts';
import { toDayNumber, weekdayOfNumber } from './day-number.ts';

/** A pause with its days as day numbers, both included. */
export interface DatedPause {
  readonly id: string;
  readonly name: string;
  readonly policy: PausePolicy;
  readonly first: number;
  readonly last: number;
}

export interface Pauses {
  /** By first day, then by last day, then by id. */
  readonly all: readonly DatedPause[];
  readonly isPaused: (dayNumber: number) => boolean;
  /** The pauses that take at least one of these days, both included. */
  readonly within: (first: number, last: number) => readonly DatedPause[];
  /**
   * The pause of a run of days whose teaching days all lie in pauses: the one that covers most of its days,
   * the one that begins earlier on a tie. Null when a teaching day is left, or there is none at all.
   */
  readonly ofWeek: (first: number, last: number) => DatedPause | null;
}

export function datedPauses(dates: Pick<Dates, 'pauses' | 'teachingDays'>): Pauses {
  const all = Object.entries(dates.pauses)
    .map(([id, { name, policy, first, last }]): DatedPause => ({
      id,
      name,
      policy,
      first: toDayNumber(first),
      last: toDayNumber(last),
    }))
    .sort((a, b) => a.first - b.first || a.last - b.last || (a.id < b.id ? -1 : 1));
  const isPaused = (day: number): boolean => all.some(({ first, last }) => first <= day && day <= last);
  const within = (first: number, last: number): readonly DatedPause[] =>
    all.filter((pause) => pause.first <= last && pause.last >= first);
  const teaches = new Set(dates.teachingDays);
  return {
    all,
    isPaused,
    within,
    ofWeek: (first, last) => {
      const here = within(first, last);
      if (here.length === 0) return null;
      let teachingDays = 0;
      for (let day = first; day <= last; day += 1) {
        if (!teaches.has(weekdayOfNumber(day))) continue;
        teachingDays += 1;
        if (!isPaused(day)) return null;
      }
      if (teachingDays === 0) return null;
      const covered = (pause: DatedPause): number =>
        Math.min(pause.last, last) - Math.max(pause.first, first) + 1;
      return here.reduce((most, pause) => (covered(pause) > covered(most) ? pause : most));
    },
  };
}

/** Whether any teaching day lies in a run of days, paused or not. */
export function hasTeachingDay(teachingDays: readonly number[], first: number, last: number): boolean {
  for (let day = first; day <= last; day += 1) if (teachingDays.includes(weekdayOfNumber(day))) return true;
  return false;
}
