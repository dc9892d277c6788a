/** What a learner gets of the course around its dates: the moments at which that may change, and how much is open. */
import {
  allLivingItems,
  ANY_LEARNER,
  onceLive,
  boundsOf,
  isContent,
  isReadable,
  livingSections,
  resolveAccess,
} from '@itinerary/core';
import type { AccessState, CoursePlan } from '@itinerary/core';

const MINUTE_MS = 60_000;

export interface WindowMoment {
  readonly what: 'now' | 'eve' | 'first' | 'last' | 'after';
  /** ISO, UTC. */
  readonly at: string;
  readonly state: AccessState;
  /** Items that can be read then, of all that learners can come to. */
  readonly readable: number;
  readonly all: number;
}

/** As it would be once the course is live: before that learners get nothing, and nobody needs a table for it. */
export function windowMoments(plan: CoursePlan, now: string): readonly WindowMoment[] {
  const { opensAt, closesAt } = boundsOf(plan);
  const course = onceLive(plan.course);
  const items = livingSections(course)
    .flatMap((section) => allLivingItems(section))
    .filter((item) => isContent(item));
  const asked: readonly (readonly [WindowMoment['what'], number | null])[] = [
    ['now', Date.parse(now)],
    ['eve', opensAt === null ? null : opensAt - MINUTE_MS],
    ['first', opensAt],
    ['last', closesAt === null ? null : closesAt - MINUTE_MS],
    ['after', closesAt],
  ];
  return asked.flatMap(([what, instant]) => {
    if (instant === null) return [];
    const at = new Date(instant).toISOString();
    const { course: answer, nodes } = resolveAccess(course, ANY_LEARNER, at, plan);
    const readable = items.filter(({ id }) => isReadable(nodes.get(id)?.state ?? 'absent')).length;
    return [{ what, at, state: answer.state, readable, all: items.length }];
  });
}
