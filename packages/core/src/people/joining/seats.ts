/** Who has a seat. One is taken by a person, however many things hold it for them. */
import type { HeldSeat, JoinCourse, WayKind } from './joining.ts';

const stands = (held: HeldSeat, at: number): boolean => at < held.lapses;

/** What is kept for somebody, and has not lapsed. */
export const heldFor = (course: JoinCourse, person: string | null, at: number): readonly HeldSeat[] =>
  person === null ? [] : course.held.filter((one) => one.person === person && stands(one, at));

/**
 * @param way only seats of this way; null: of the course, of which each is one
 * @returns people who have a seat, or for whom one is kept
 */
export function seatsTaken(course: JoinCourse, way: WayKind | null, at: number): number {
  const taken = new Set<string>();
  for (const one of course.learners) if (way === null || one.way === way) taken.add(one.person);
  for (const one of course.held) {
    if (stands(one, at) && (way === null || one.way === way)) taken.add(one.person);
  }
  return taken.size;
}
