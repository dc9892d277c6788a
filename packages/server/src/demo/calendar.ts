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
