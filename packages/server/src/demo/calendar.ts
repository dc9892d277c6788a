/** Terms and first days, set by the day on which the demo data is loaded, so that it never looks stale. */
import { addDays, weekdayOnOrAfter } from '@itinerary/core';

export interface DemoTerm {
  readonly code: string;
  readonly name: string;
  readonly firstDay: string;
  readonly lastDay: string;
}

const TERM_WEEKS = 16;
/** Eighteen weeks from term to term: longer than any season, so that two terms never share a name. */
const WEEKS_BETWEEN = 2;

function named(firstDay: string): DemoTerm {
  // A term is called by the season of its middle.
  const middle = addDays(firstDay, (7 * TERM_WEEKS) / 2);
  const month = Number(middle.slice(5, 7));
  const [code, name] = month <= 4 ? ['SPR', 'Spring'] : month <= 8 ? ['SUM', 'Summer'] : ['AUT', 'Autumn'];
  return {
    code: `${code}${middle.slice(2, 4)}`,
    name: `${name} ${middle.slice(0, 4)}`,
    firstDay,
    lastDay: addDays(firstDay, 7 * TERM_WEEKS - 1),
  };
}

export interface DemoBreak {
  readonly name: string;
  /** As an announcement says when it is. */
  readonly over: string;
  /** Taught before it. */
  readonly weeks: number;
  readonly first: string;
  readonly last: string;
}

/** The week under way is the sixth, and what is over stays as it was taught. */
const EARLIEST_BREAK = 6;
const USUAL_BREAK = 8;

/**
 * The week without teaching of a course that begins then: in midwinter where that lies ahead in it, and otherwise in the
 * middle of the course, called by its season.
 *
 * @param weeks how many the course has
 */
export function demoBreak(firstDay: string, weeks: number): DemoBreak {
  const monday = weekdayOnOrAfter(addDays(firstDay, -6), 1);
  const midwinter = Array.from({ length: weeks - EARLIEST_BREAK }, (_one, at) => EARLIEST_BREAK + at).find(
    (at) => addDays(monday, 7 * at + 6).slice(5) >= '12-25' && addDays(monday, 7 * at).slice(5) <= '12-25',
  );
  const before = midwinter ?? USUAL_BREAK;
  const first = addDays(monday, 7 * before);
  const days = { weeks: before, first, last: addDays(first, 6) };
  if (midwinter !== undefined) return { name: 'Winter break', over: 'Over the winter break', ...days };
  const month = addDays(first, 3).slice(5, 7);
  if (month === '03' || month === '04')
    return { name: 'Spring break', over: 'Over the spring break', ...days };
  return { name: 'Reading week', over: 'In the reading week', ...days };
}

export interface DemoCalendar {
  /** The term under way, in its sixth week, and the one after it. */
  readonly current: DemoTerm;
  readonly next: DemoTerm;
  /** First day of the run a year ago, which is archived. */
  readonly lastYear: string;
}

export function demoCalendar(today: string): DemoCalendar {
  const monday = addDays(weekdayOnOrAfter(today, 7), -6);
  const first = addDays(monday, -7 * 5);
  const current = named(first);
  const next = named(addDays(first, 7 * (TERM_WEEKS + WEEKS_BETWEEN)));
  return { current, next, lastYear: addDays(first, -7 * 52) };
}
