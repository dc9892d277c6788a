/**
 * A course as one person gets it: resolved, numbered, dated, without rules. The server answers learners with
 * it, and the setup workspace shows the same value beside the stop being worked on.
 */
import type { Course, CourseState, ItemKind } from '../course/schema.ts';
import type { AccessState } from '../access/resolve.ts';
import { canSee, resolveAccess } from '../access/resolve.ts';
import type { Viewer } from '../access/roles.ts';
import { numberNodes } from '../course/numbering.ts';
import { planSections, weekAt } from '../calendar/plan.ts';
import type { Moment, Span } from '../calendar/plan.ts';

export interface ItemView {
  readonly id: string;
  readonly kind: ItemKind;
  readonly number: string | null;
  readonly title: string;
  /** Whole minutes, or null. */
  readonly minutes: number | null;
  /** Where a link leads; null for everything else. */
  readonly address: string | null;
  readonly state: AccessState;
}

export interface SectionView {
  readonly id: string;
  readonly number: string | null;
  /** Null: nobody has typed one, so it follows `days`. */
  readonly title: string | null;
  /** ISO days, both included; null when the section has none. */
  readonly days: { readonly first: string; readonly last: string } | null;
  readonly current: boolean;
  readonly state: AccessState;
  readonly items: readonly ItemView[];
}

export interface CourseView {
  readonly id: string;
  readonly code: string;
  readonly title: string;
  readonly state: CourseState;
  readonly access: AccessState;
  /** Hash of the description's HTML. */
  readonly description: string | null;
  readonly firstDay: string | null;
  readonly lastDay: string | null;
  readonly zone: string;
  readonly now: Moment;
  readonly sections: readonly SectionView[];
}

/** Null when the course is absent for this person: the same as one that does not exist. */
export function courseView(course: Course, viewer: Viewer, moment: string): CourseView | null {
  const access = resolveAccess(course, viewer, moment);
  if (!canSee(access.course)) return null;
  const plan = planSections(course);
  const spans = new Map<string, Span>(plan.sections.map(({ id, span }) => [id, span]));
  const numbers = numberNodes(course);
  const now = weekAt(course.dates, moment);
  const stateOf = (id: string): AccessState => access.nodes.get(id)?.state ?? 'absent';
  return {
    id: course.id,
    code: course.code,
    title: course.title,
    state: course.state,
    access: access.course.state,
    description: course.description,
    firstDay: plan.firstDay,
    lastDay: plan.lastDay,
    zone: course.dates.zone,
    now,
    sections: course.sections
      .filter((section) => stateOf(section.id) !== 'absent')
      .map((section) => {
        const span = spans.get(section.id);
        const week = span?.kind === 'week' ? span.week : null;
        return {
          id: section.id,
          number: numbers.get(section.id) ?? null,
          title: section.title,
          days: week === null ? null : { first: week.first, last: week.last },
          current: week !== null && now.kind === 'week' && now.number === week.number,
          state: stateOf(section.id),
          items: section.items
            .filter((item) => stateOf(item.id) !== 'absent')
            .map((item) => ({
              id: item.id,
              kind: item.kind,
              number: numbers.get(item.id) ?? null,
              title: item.title,
              minutes: item.minutes,
              address: item.kind === 'link' ? item.address : null,
              state: stateOf(item.id),
            })),
        };
      }),
  };
}
