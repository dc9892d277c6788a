/** Made-up classes whose end is known: each learner works in a way of their own, to the end, and the first part is told. */
import { ANY_LEARNER, newItem, newSection } from '../../src/index.ts';
import { toDay, toDayNumber } from '../../src/calendar/day-number.ts';
import type { CohortLearner, Course, Item, PlannedMoment, Viewer } from '../../src/index.ts';
import { frameOf } from '../../src/forecast/frame.ts';
import type { Frame } from '../../src/forecast/frame.ts';
import { finishOf } from '../../src/forecast/finish.ts';
import { NEVER } from '../../src/forecast/walk.ts';
import type { Gait } from '../../src/forecast/walk.ts';
import { smallCourse } from './arbitraries.ts';
import { slowWalk } from './slow-walk.ts';

/** A Monday. */
export const BEGINS = '2027-01-11';
export const dayAt = (day: number): string => toDay(toDayNumber(BEGINS) + day);
export const due = (day: number): PlannedMoment => ({ kind: 'fixed', day: dayAt(day), time: '22:00' });

interface OfWeeks {
  readonly weeks: number;
  readonly perWeek: number;
  readonly minutes: number;
}

/** A week has pages, and work that is due on its Sunday. */
export function courseOfWeeks({ weeks, perWeek, minutes }: OfWeeks): Course {
  const small = smallCourse();
  return {
    ...small,
    state: 'live',
    dates: { ...small.dates, weeks },
    sections: Array.from({ length: weeks }, (_week, week) =>
      newSection({
        id: `w${week}`,
        title: `Week ${week + 1}`,
        items: Array.from({ length: perWeek }, (_one, at): Item => {
          const id = `w${week}i${at}`;
          const by = at === 0 ? ('handed_in' as const) : ('opened' as const);
          const given = { id, title: id, minutes, done: { by } };
          return at === 0
            ? newItem('assignment', { ...given, due: due(7 * week + 6) })
            : newItem('page', given);
        }),
      }),
    ),
  };
}

export interface KnownClass {
  readonly learners: readonly CohortLearner[];
  /** The day on which each finishes, or `NEVER`. */
  readonly ends: readonly number[];
}

/** @param days how many there are, @param today until when it is told what they did */
export function classOf(
  course: Course,
  gaits: readonly Gait[],
  days: number,
  today: number,
  viewers: (at: number) => Viewer = () => ANY_LEARNER,
): KnownClass {
  const learners: CohortLearner[] = [];
  const ends: number[] = [];
  const frames = new Map<string, Frame>();
  gaits.forEach((gait, at) => {
    const viewer = viewers(at);
    const key = JSON.stringify(viewer);
    const frame = frames.get(key) ?? frameOf(course, viewer, toDayNumber(BEGINS), days);
    frames.set(key, frame);
    const done = slowWalk(
      frame,
      gait,
      frame.items.map(() => NEVER),
      0,
    );
    const told = frame.items.flatMap(({ id }, item): [string, string][] => {
      const day = done[item] as number;
      return day < today ? [[id, dayAt(day)]] : [];
    });
    const end = finishOf(frame, Int32Array.from(done));
    ends.push(end);
    learners.push({ viewer, done: Object.fromEntries(told), since: end < today ? dayAt(end) : null });
  });
  return { learners, ends };
}
