/**
 * How long a course is, three ways: by number of weeks (or meetings), by its last day, by its term. Each is
 * computed from the others, and what does not fit is said.
 */
import type { Course } from '../course/schema/schema.ts';
import type { Dates } from '../course/schema/dates-schema.ts';
import { planSections } from './plan.ts';

/** The institution's term that a course belongs to. */
export interface Term {
  readonly name: string;
  readonly firstDay: string;
  readonly lastDay: string;
}

export interface Length {
  /** Numbered weeks, units, or meetings; counted pauses among them. */
  readonly count: number;
  readonly lastDay: string | null;
}

export interface Lengths {
  /** As many weeks (meetings) as the course says. */
  readonly byWeeks: Length;
  /** Until the last day that the course says, or null when it says none. */
  readonly byDay: Length | null;
  readonly byTerm: Length | null;
  /** What the sections need, past the term's end or the last day given. */
  readonly over: { readonly needs: string; readonly ends: string; readonly of: 'term' | 'day' } | null;
}

export function lengthsOf(course: Course, term: Term | null): Lengths {
  const { dates } = course;
  const byWeeks = measure(course, { ends: 'weeks' });
  const byDay = dates.lastDay === null ? null : measure(course, { ends: 'day' });
  const byTerm = term === null ? null : measure(course, { ends: 'term', lastDay: term.lastDay });
  return { byWeeks, byDay, byTerm, over: overrun(course, byWeeks, term) };
}

function measure(course: Course, change: Partial<Dates>): Length {
  const plan = planSections({ ...course, dates: { ...course.dates, ...change } });
  const counted = plan.rows.filter((row) => row.kind === 'pause' && row.pause.number !== null).length;
  return { count: plan.slots.length + counted, lastDay: plan.lastDay };
}

function overrun({ dates }: Course, byWeeks: Length, term: Term | null): Lengths['over'] {
  const needs = byWeeks.lastDay;
  if (needs === null) return null;
  if (dates.ends === 'day' && dates.lastDay !== null && dates.lastDay < needs) {
    return { needs, ends: dates.lastDay, of: 'day' };
  }
  return term !== null && term.lastDay < needs ? { needs, ends: term.lastDay, of: 'term' } : null;
}
