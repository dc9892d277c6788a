/** What somebody does not get, and why: the outermost of what is absent, with what hangs on it counted. */
import { accessAt, isHolder, livingItems, livingSections } from '@itinerary/core';
import type { Answer, Course, CourseNode, CoursePlan, Viewer } from '@itinerary/core';

export interface Ghost {
  readonly id: string;
  readonly answer: Answer;
  /** How much more is absent with it, for the same reason. */
  readonly more: number;
}

/** Null: the whole course is absent, and there is nothing to say of its parts. */
export function ghostsOf(
  course: Course,
  viewer: Viewer,
  moment: string,
  hint: CoursePlan | null,
): readonly Ghost[] | null {
  const access = accessAt(course, viewer, Date.parse(moment), hint);
  if (access.course.state === 'absent' || access.course.state === 'named') return null;
  const found: Ghost[] = [];
  const isMissing = (answer: Answer | undefined): answer is Answer =>
    answer !== undefined && (answer.state === 'absent' || answer.state === 'named');
  const visit = (node: CourseNode): void => {
    const answer = access.nodes.get(node.id);
    if (isMissing(answer)) {
      found.push({ id: node.id, answer, more: count(node) });
      return;
    }
    if (isHolder(node)) livingItems(node).forEach(visit);
  };
  livingSections(course).forEach(visit);
  return found;
}

function count(node: CourseNode): number {
  if (!isHolder(node)) return 0;
  return livingItems(node).reduce((sum, item) => sum + 1 + count(item), 0);
}
