/** Outcomes: what learners can do afterwards, and the work that teaches and assesses it. */
import type { CoursePlan } from '../calendar/course-plan.ts';
import type { Resolved } from '../calendar/moments.ts';
import { isWork } from '../course/schema/items-schema.ts';
import type { WorkItem } from '../course/schema/items-schema.ts';
import type { Course, Outcome } from '../course/schema/schema.ts';
import { shownItems } from '../course/tree.ts';

export interface ListedOutcome extends Outcome {
  readonly id: string;
  /** Ids of shown items. */
  readonly taughtBy: readonly string[];
  readonly assessedBy: readonly string[];
}

/** In the order of the list. */
export function listOutcomes(course: Course): readonly ListedOutcome[] {
  const items = course.sections.flatMap((section) => shownItems(section));
  return Object.entries(course.outcomes)
    .map(([id, outcome]) => ({
      id,
      ...outcome,
      taughtBy: items.filter((item) => 'teaches' in item && item.teaches.includes(id)).map((item) => item.id),
      assessedBy: items
        .filter((item) => 'assesses' in item && item.assesses.includes(id))
        .map((item) => item.id),
    }))
    .sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1));
}

/** One row of the table of all work. */
export interface WorkRow {
  readonly item: WorkItem;
  readonly number: string | null;
  readonly section: string;
  readonly due: Resolved | null;
}

/** All work that is shown, in reading order. */
export function workTable(plan: CoursePlan): readonly WorkRow[] {
  return plan.sections.flatMap((planned) =>
    shownItems(planned.section).flatMap((item): WorkRow[] =>
      isWork(item)
        ? [
            {
              item,
              number: planned.numbers.get(item.id) ?? null,
              section: planned.id,
              due: planned.moments.get(item.id)?.due ?? null,
            },
          ]
        : [],
    ),
  );
}
