/**
 * Which days a section covers: week by week, together (docs/semantics.md, Sections in time).
 *
 * Worked example: first day Mon 11 Jan 2027 and 15 weeks give week 1 = 11–17 Jan and week 15 = 19–25 Apr, so
 * the last teaching day is Sun 25 Apr 2027.
 */
import type { Course, Dates, Section } from '../course/schema.ts';
import { livingSections } from '../course/tree.ts';
import { addDays, dayOf, daysBetween, weekdayOf } from './days.ts';

/** A teaching week: its number from 1 and its days, both ends included. */
export interface Week {
  readonly number: number;
  readonly first: string;
  readonly last: string;
}

/** Where a section stands in time. `unplaced`: it has no week to take. `outside`: it wants none. */
export type Span =
  | { readonly kind: 'week'; readonly week: Week }
  | { readonly kind: 'outside' }
  | { readonly kind: 'unplaced' };

export interface PlannedSection {
  readonly id: string;
  readonly span: Span;
}

export interface Plan {
  /** Empty when there is no first day. */
  readonly weeks: readonly Week[];
  /** In reading order; removed sections are not in it. */
  readonly sections: readonly PlannedSection[];
  /** Weeks that no section takes. */
  readonly spare: readonly Week[];
  /** Ids of sections for which there is no week. */
  readonly unplaced: readonly string[];
  readonly firstDay: string | null;
  readonly lastDay: string | null;
  /** The first day is not the one on which the teaching week begins, so every week straddles two. */
  readonly midWeek: boolean;
}

/** Week i of n covers the seven days from first day + 7(i − 1). No first day: no weeks. */
export function teachingWeeks(dates: Dates): readonly Week[] {
  const { firstDay } = dates;
  if (firstDay === null) return [];
  return Array.from({ length: dates.weeks }, (_, index) => ({
    number: index + 1,
    first: addDays(firstDay, 7 * index),
    last: addDays(firstDay, 7 * index + 6),
  }));
}

/**
 * Sections take the weeks in reading order, whether shown or not: hiding one never moves another's dates.
 * Sections outside the calendar keep their place and take none.
 */
export function planSections(course: Course): Plan {
  const weeks = teachingWeeks(course.dates);
  let taken = 0;
  const sections = livingSections(course).map((section: Section): PlannedSection => {
    if (section.outside) return { id: section.id, span: { kind: 'outside' } };
    const week = weeks[taken++];
    return { id: section.id, span: week === undefined ? { kind: 'unplaced' } : { kind: 'week', week } };
  });
  const { firstDay, weekStart } = course.dates;
  return {
    weeks,
    sections,
    spare: weeks.slice(taken),
    unplaced: sections.filter(({ span }) => span.kind === 'unplaced').map(({ id }) => id),
    firstDay,
    lastDay: weeks.at(-1)?.last ?? null,
    midWeek: firstDay !== null && weekdayOf(firstDay) !== weekStart,
  };
}

/** Where a moment falls: before the first day, in a numbered week, or after the last day. */
export type Moment =
  | { readonly kind: 'undated' }
  | { readonly kind: 'before'; readonly days: number }
  | { readonly kind: 'week'; readonly number: number }
  | { readonly kind: 'after' };

/** The week that holds an instant, by the days of the course's own zone. */
export function weekAt(dates: Dates, instant: string): Moment {
  if (dates.firstDay === null) return { kind: 'undated' };
  const today = dayOf(instant, dates.zone);
  const weeks = teachingWeeks(dates);
  const week = weeks.find(({ first, last }) => first <= today && today <= last);
  if (week !== undefined) return { kind: 'week', number: week.number };
  if (today > dates.firstDay) return { kind: 'after' };
  return { kind: 'before', days: daysBetween(today, dates.firstDay) };
}
