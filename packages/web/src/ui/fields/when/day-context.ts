/** What fields for days know of where they stand: today, the course's days, and what each day is in it. */
import type { DayContext } from '@itinerary/core';
import { inject } from 'vue';
import type { ComputedRef, InjectionKey } from 'vue';
import { useSession } from '../../../stores/session.ts';

export interface DayMark {
  readonly kind: 'week' | 'pause' | 'last';
  /** What is told of it: "Week 3", "Spring pause", "Last day". */
  readonly words: string;
}

export interface CourseDays {
  readonly today: string;
  /** Its first day: days without a year are looked for from here on. */
  readonly first: string | null;
  /** ISO weekday that weeks begin on. */
  readonly weekStart: number;
  readonly markOf: (day: string) => DayMark | null;
}

export const COURSE_DAYS: InjectionKey<ComputedRef<CourseDays>> = Symbol('course days');

/** What somebody types is read from the course's first day on where that is past, else from today. */
export function readingFrom({ today, first }: CourseDays, here: string | null): DayContext {
  return { today, from: first !== null && first < today ? first : today, here };
}

/**
 * Words of a day without its year, unless they are read as another: then with it.
 *
 * @param words of the day, as of the given today
 */
export function writtenAgain(
  words: (today: string) => string,
  { today }: CourseDays,
  isSame: (words: string) => boolean,
): string {
  const brief = words(today);
  return isSame(brief) ? brief : words('0000');
}

/** Outside a course there are no marks, and weeks begin on Monday. */
export function useCourseDays(): () => CourseDays {
  const session = useSession();
  const days = inject(COURSE_DAYS, null);
  return () => days?.value ?? { today: session.today, first: null, weekStart: 1, markOf: () => null };
}
