/**
 * What a change to the dates would do, before it is done: what moves from when to when, what leaves the
 * course's dates, and what is fixed and will now be wrong, each with its cure where there is one.
 */
import type { Edit } from '../course/edits/edits.ts';
import type { PlannedMoment } from '../course/schema/moment-schema.ts';
import type { Course, CourseNode } from '../course/schema/schema.ts';
import { subtree } from '../course/tree.ts';
import { planCourse } from './course-plan.ts';
import type { CoursePlan, SectionPlan } from './course-plan.ts';
import { addDays, daysBetween } from './days.ts';
import type { Resolved } from './moments.ts';

/** A place in time: a run of days, or a moment. */
export interface When {
  readonly first: string;
  readonly last: string;
  readonly time: string | null;
}

export type ShiftWhat = 'section' | 'opens' | 'due' | 'held';

export type ShiftVerdict =
  | 'moves'
  /** Had no date, and gets one. */
  | 'gains'
  /** Had a date, and has none any more. */
  | 'loses'
  /** Its new date is outside the course's days. */
  | 'leaves'
  /** It is fixed, so it stays; its section does not stand around it any more. */
  | 'stays_behind';

export interface Shift {
  readonly target: string;
  readonly what: ShiftWhat;
  readonly from: When | null;
  readonly to: When | null;
  readonly verdict: ShiftVerdict;
  /** For the course as it is after the change. */
  readonly cure: readonly Edit[] | null;
}

export interface WhatIf {
  readonly shifts: readonly Shift[];
  /** Sections and moments that stay as they are. */
  readonly unmoved: number;
  readonly lastDay: { readonly from: string | null; readonly to: string | null };
  readonly aside: readonly Aside[];
}

/** What the next format cannot show. It is kept, and comes back with a format that can. */
export type Aside =
  | { readonly what: 'sections'; readonly count: number }
  | { readonly what: 'spans'; readonly count: number }
  | { readonly what: 'pins'; readonly count: number }
  | { readonly what: 'meetings'; readonly count: number }
  | { readonly what: 'pauses'; readonly count: number };

export function whatIf(before: Course, after: Course): WhatIf {
  const [was, will] = [planCourse(before), planCourse(after)];
  const old = new Map(was.sections.map((section) => [section.id, section]));
  let unmoved = 0;
  const shifts = will.sections.flatMap((section) => {
    const found = shiftsOf(old.get(section.id), section, will);
    unmoved += found.unmoved;
    return found.shifts;
  });
  return {
    shifts,
    unmoved,
    lastDay: { from: was.lastDay, to: will.lastDay },
    aside: asideOf(before, after),
  };
}

function shiftsOf(
  old: SectionPlan | undefined,
  next: SectionPlan,
  plan: CoursePlan,
): { readonly shifts: readonly Shift[]; readonly unmoved: number } {
  const shifts: Shift[] = [];
  let unmoved = 0;
  const [from, to] = [old === undefined ? null : daysOf(old), daysOf(next)];
  const compare = (target: string, what: ShiftWhat, a: When | null, b: When | null): void => {
    if (a === null && b === null) return;
    if (a !== null && b !== null && a.first === b.first && a.last === b.last && a.time === b.time) {
      unmoved += 1;
      return;
    }
    shifts.push({ target, what, from: a, to: b, verdict: verdictOf(a, b, plan), cure: null });
  };
  compare(next.id, 'section', from, to);
  for (const node of subtree(next.section)) {
    if (node.removed) continue;
    for (const what of ['opens', 'due', 'held'] as const) {
      const [a, b] = [old?.moments.get(node.id)?.[what], next.moments.get(node.id)?.[what]].map(whenOf);
      const behind = leftBehind(node, what, from, to, b ?? null);
      if (behind === null) compare(node.id, what, a ?? null, b ?? null);
      else shifts.push(behind);
    }
  }
  return { shifts, unmoved };
}

function verdictOf(from: When | null, to: When | null, { firstDay, lastDay }: CoursePlan): ShiftVerdict {
  if (to === null) return 'loses';
  const isOutside = (lastDay !== null && to.last > lastDay) || (firstDay !== null && to.first < firstDay);
  if (isOutside) return 'leaves';
  return from === null ? 'gains' : 'moves';
}

/** A fixed moment that stood within its section's days and does not any more. The cure moves it along. */
function leftBehind(
  node: CourseNode,
  what: 'opens' | 'due' | 'held',
  from: When | null,
  to: When | null,
  stands: When | null,
): Shift | null {
  const moment = (node as Partial<Record<typeof what, PlannedMoment | null>>)[what];
  if (moment?.kind !== 'fixed' || from === null || to === null || stands === null) return null;
  const { day } = moment;
  const isInside = ({ first, last }: When): boolean => first <= day && day <= last;
  if (!isInside(from) || isInside(to)) return null;
  const value = { ...moment, day: addDays(to.first, daysBetween(from.first, day)) };
  return {
    target: node.id,
    what,
    from: stands,
    to: stands,
    verdict: 'stays_behind',
    cure: [{ kind: 'set', target: node.id, field: what, value, was: moment }],
  };
}

function daysOf({ span }: SectionPlan): When | null {
  return span.kind === 'slot' ? { first: span.slot.first, last: span.slot.last, time: null } : null;
}

function whenOf(resolved: Resolved | undefined): When | null {
  return resolved?.kind === 'at' ? { first: resolved.day, last: resolved.day, time: resolved.time } : null;
}

function asideOf(before: Course, after: Course): readonly Aside[] {
  const [was, will] = [before.dates.format, after.dates.format];
  if (was === will) return [];
  const sections = after.sections.filter(({ removed, outside }) => !removed && !outside);
  const found: Aside[] = [];
  const add = (what: Aside['what'], count: number): void => {
    if (count > 0) found.push({ what, count });
  };
  if (will === 'item') add('sections', sections.length);
  if (was === 'units') {
    add('spans', sections.filter(({ span }) => span.count !== 1 || span.unit !== 'weeks').length);
    add('pins', sections.filter(({ pin }) => pin !== null).length);
  }
  if (was === 'meetings') add('meetings', Object.keys(after.dates.changes).length);
  if (will === 'item') add('pauses', Object.keys(after.dates.pauses).length);
  return found;
}
