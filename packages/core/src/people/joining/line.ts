/** Who of those that wait is offered a seat now (docs/semantics.md, Joining). */
import { canJoin } from './can-join.ts';
import type { JoinCourse, Joiner, JoinWay, Waiting, WayKind } from './joining.ts';

/**
 * By arrival over all lines, each free seat goes to the first whose way and course both have room and for whom all
 * else says yes.
 *
 * @param course its `waiting` in order of arrival
 * @param at the instant, in milliseconds
 * @returns who is offered one, in that order; whoever is not among them goes on waiting
 */
export function offersDue(
  course: JoinCourse,
  joinerOf: (person: string) => Joiner,
  wayOf: (kind: WayKind) => JoinWay,
  at: number,
): readonly Waiting[] {
  const offers: Waiting[] = [];
  let now = course;
  for (const one of course.waiting) {
    if (canJoin(now, joinerOf(one.person), wayOf(one.way), at).can !== 'yes') continue;
    offers.push(one);
    const offer = { person: one.person, way: one.way, kind: 'offer' as const, lapses: Infinity };
    now = {
      ...now,
      held: [...now.held, offer],
      waiting: now.waiting.filter(({ person }) => person !== one.person),
    };
  }
  return offers;
}
