/** A course file's computed sections and days, without any database or server. */
import { numberNodes, planSections } from '@itinerary/core';
import type { Course, Span } from '@itinerary/core';

export interface PlanRow {
  readonly id: string;
  readonly number: string | null;
  readonly title: string | null;
  readonly place: Span['kind'];
  readonly week: number | null;
  readonly first: string | null;
  readonly last: string | null;
  readonly shown: boolean;
}

export interface FilePlan {
  readonly code: string;
  readonly title: string;
  readonly zone: string;
  readonly firstDay: string | null;
  readonly lastTeachingDay: string | null;
  readonly weeks: number;
  readonly sections: readonly PlanRow[];
  /** Weeks that no section takes. */
  readonly spare: readonly { readonly week: number; readonly first: string; readonly last: string }[];
  readonly unplaced: readonly string[];
}

export function planOf(course: Course): FilePlan {
  const plan = planSections(course);
  const numbers = numberNodes(course);
  const sections = new Map(course.sections.map((section) => [section.id, section]));
  return {
    code: course.code,
    title: course.title,
    zone: course.dates.zone,
    firstDay: plan.firstDay,
    lastTeachingDay: plan.lastDay,
    weeks: plan.weeks.length,
    sections: plan.sections.map(({ id, span }) => {
      const week = span.kind === 'week' ? span.week : null;
      return {
        id,
        number: numbers.get(id) ?? null,
        title: sections.get(id)?.title ?? null,
        place: span.kind,
        week: week?.number ?? null,
        first: week?.first ?? null,
        last: week?.last ?? null,
        shown: sections.get(id)?.shown ?? false,
      };
    }),
    spare: plan.spare.map(({ number, first, last }) => ({ week: number, first, last })),
    unplaced: plan.unplaced,
  };
}

/** The plan as a table of plain text. */
export function planAsText(plan: FilePlan): string {
  const head = `${plan.code}  ${plan.title}\n${plan.firstDay ?? 'no first day'} to ${plan.lastTeachingDay ?? '-'} (${plan.zone}), ${plan.weeks} weeks\n`;
  const rows = plan.sections.map((row) => {
    const days = row.first === null ? row.place : `${row.first}  ${row.last}`;
    return `${(row.number ?? '·').padStart(3)}  ${days.padEnd(22)}  ${row.title ?? ''}`.trimEnd();
  });
  const spare = plan.spare.map((week) => `  -  ${week.first}  ${week.last}  (no section)`);
  return [head, ...rows, ...spare, ''].join('\n');
}
