/** What fields for days know of where they stand: today, the course's days, and what each day is in it. */
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

/** Outside a course there are no marks, and weeks begin on Monday. */
export function useCourseDays(): () => CourseDays {
  const session = useSession();
  const days = inject(COURSE_DAYS, null);
  return () => days?.value ?? { today: session.today, first: null, weekStart: 1, markOf: () => null };
}
