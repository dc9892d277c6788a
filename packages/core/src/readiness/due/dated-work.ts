/** The work of a course with its due moments: what the rules about work look at. */
import type { CoursePlan, SectionPlan } from '../../calendar/course-plan.ts';
import type { Resolved, ResolvedAt } from '../../calendar/moments.ts';
import type { WorkItem } from '../../course/schema/items-schema.ts';
import { isWork } from '../../course/schema/items-schema.ts';
import { shownItems } from '../../course/tree.ts';

export interface Work {
  readonly item: WorkItem;
  readonly section: SectionPlan;
  readonly due: Resolved;
}

export interface DatedWork extends Work {
  readonly due: ResolvedAt;
}

/** Shown work with a due moment. Around one item only that item is asked about. */
function allWork(plan: CoursePlan): readonly Work[] {
  const { format, around } = plan.course.dates;
  return plan.sections.flatMap((section) =>
    shownItems(section.section).flatMap((item): Work[] => {
      const due = section.moments.get(item.id)?.due;
      const isAside = format === 'item' && item.id !== around;
      return isWork(item) && due !== undefined && !isAside ? [{ item, section, due }] : [];
    }),
  );
}

export function datedWork(plan: CoursePlan): readonly DatedWork[] {
  return allWork(plan).filter((work): work is DatedWork => work.due.kind === 'at');
}

/** Work with a due moment that has no date, by why it has none. */
export function undatedWork(plan: CoursePlan, because: readonly string[]): readonly WorkItem[] {
  return allWork(plan)
    .filter(({ due }) => due.kind === 'undated' && because.includes(due.because))
    .map(({ item }) => item);
}
