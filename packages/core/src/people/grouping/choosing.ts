/** Groups that learners choose by themselves (docs/semantics.md, Groups). */
import type { CoursePlan } from '../../calendar/course-plan.ts';
import type { Course } from '../../course/schema/schema.ts';
import { closesAt } from '../joining/of-course.ts';

type Groups = Pick<Course, 'groups' | 'groupings'>;

/** Ids of the groups of a grouping, in their order. */
export function groupsIn({ groups }: Groups, grouping: string): readonly string[] {
  return Object.entries(groups)
    .filter(([, group]) => group.kind === 'group' && group.grouping === grouping)
    .sort(([, a], [, b]) => a.at - b.at)
    .map(([id]) => id);
}

/** Of the groupings that learners choose in, in their order. */
export function chosenGroupings({ groupings }: Groups): readonly string[] {
  return Object.entries(groupings)
    .filter(([, { choice }]) => choice !== null)
    .sort(([, a], [, b]) => a.at - b.at)
    .map(([id]) => id);
}

/** Whether it may still be chosen in, and the instant from which it may not; null: none is known. */
export function choosingUntil(
  plan: CoursePlan,
  grouping: string,
  at: number,
): { readonly isOpen: boolean; readonly until: number | null } {
  const { state, groupings } = plan.course;
  const choice = groupings[grouping]?.choice ?? null;
  const until = choice === null ? null : closesAt(plan, choice.until);
  const isOpen = choice !== null && state === 'live' && (until === null || at < until);
  return { isOpen, until };
}
