/** Who of those that wait is offered a seat now (docs/semantics.md, Joining). */
import { canJoin } from './can-join.ts';
import type { JoinCourse, Joiner, JoinWay, Waiting, WayKind } from './joining.ts';
import { seatsTaken } from './seats.ts';

/**
 * Those of whom it has to be asked at all: with every seat taken, only whoever has one kept for them, or comes in a
 * role that takes none. Most often nobody, however long the line is.
 *
 * @param at the instant, in milliseconds
 */
export function withinReach(
  course: JoinCourse,
  wayOf: (kind: WayKind) => JoinWay,
  at: number,
): readonly Waiting[] {
  const isFull = (seats: number | null, way: WayKind | null): boolean =>
    seats !== null && seatsTaken(course, way, at) >= seats;
  const isCourseFull = isFull(course.seats, null);
  const kept = new Set(course.held.map(({ person }) => person));
  const isFree = new Map<WayKind, boolean>();
  for (const kind of new Set(course.waiting.map(({ way }) => way))) {
    const way = wayOf(kind);
    isFree.set(kind, way.gives !== 'learner' || !(isCourseFull || isFull(way.seats, kind)));
  }
  return course.waiting.filter(({ person, way }) => isFree.get(way) === true || kept.has(person));
}

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
  for (const one of withinReach(course, wayOf, at)) {
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
