/** The load: what a section asks of a learner, against what they can be asked for. */
import type { CoursePlan, SectionPlan } from '../calendar/course-plan.ts';
import { daysBetween } from '../calendar/days.ts';
import { isContent } from '../course/schema/items-schema.ts';
import { isForLearners, shownItems } from '../course/tree.ts';

export interface SectionLoad {
  readonly id: string;
  /** Sum of the expected minutes of what is shown. */
  readonly minutes: number;
  /** Items without expected minutes. */
  readonly unsaid: number;
  /** Work due in it. */
  readonly due: number;
  /** Weeks that it takes, in sevenths; at least one day. */
  readonly weeks: number;
  /** Minutes that learners can be asked for, or null without a target. */
  readonly target: number | null;
  readonly isHeavy: boolean;
}

export function sectionLoads(plan: CoursePlan): readonly SectionLoad[] {
  const { hoursAWeek } = plan.course;
  return plan.sections
    .filter(({ section }) => isForLearners(section))
    .map((planned) => {
      const items = shownItems(planned.section).filter((item) => isContent(item));
      const minutes = items.reduce((sum, item) => sum + (item.minutes ?? 0), 0);
      const weeks = weeksOf(planned);
      const target = hoursAWeek === null ? null : Math.round(hoursAWeek * 60 * weeks);
      return {
        id: planned.id,
        minutes,
        unsaid: items.filter((item) => item.minutes === null).length,
        due: items.filter(({ id }) => planned.moments.get(id)?.due !== undefined).length,
        weeks,
        target,
        isHeavy: target !== null && minutes > target,
      };
    });
}

/** A section without days of its own weighs like a week. */
function weeksOf({ span }: SectionPlan): number {
  if (span.kind === 'slot') return (daysBetween(span.slot.first, span.slot.last) + 1) / 7;
  return span.kind === 'own' ? (span.own.lastOwn - span.own.firstOwn + 1) / 7 : 1;
}

/** Minutes of everything that is shown, all in all. */
export function totalMinutes(plan: CoursePlan): number {
  return sectionLoads(plan).reduce((sum, { minutes }) => sum + minutes, 0);
}
