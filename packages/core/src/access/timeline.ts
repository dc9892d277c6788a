/** All moments at which something changes for somebody by itself, in order, and what changes. */
import type { CoursePlan } from '../calendar/course-plan.ts';
import type { Course } from '../course/schema/schema.ts';
import type { AccessState, Answer } from './answer.ts';
import { accessAt, instantsFor } from './resolve.ts';
import type { Viewer } from './roles.ts';

export interface StateChange {
  /** A node's id, or the course's. */
  readonly id: string;
  readonly from: AccessState;
  readonly to: Answer;
}

export interface AccessMoment {
  /** Milliseconds since 1970-01-01T00:00Z. */
  readonly at: number;
  /** In reading order, the course first; never empty. */
  readonly changes: readonly StateChange[];
}

/** @param hint a plan of this course; taken where it is this person's. */
export function accessTimeline(
  course: Course,
  viewer: Viewer,
  hint: CoursePlan | null = null,
): readonly AccessMoment[] {
  // From before everything: what is there from the beginning is no change.
  const instants = instantsFor(course, viewer, -Infinity, hint);
  let before = accessAt(course, viewer, -Infinity, hint);
  return instants.flatMap((at): readonly AccessMoment[] => {
    const now = accessAt(course, viewer, at, hint);
    const changes: StateChange[] = [];
    const compare = (id: string, from: Answer | undefined, to: Answer | undefined): void => {
      const was = from?.state ?? 'absent';
      if (to !== undefined && to.state !== was) changes.push({ id, from: was, to });
    };
    compare(course.id, before.course, now.course);
    for (const [id, answer] of now.nodes) compare(id, before.nodes.get(id), answer);
    before = now;
    return changes.length === 0 ? [] : [{ at, changes }];
  });
}
