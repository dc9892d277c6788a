/** Holding a section or item of a live course: learners go on seeing it as it stands now. */
import { setTableEntry } from '@itinerary/core';
import type { Course, CourseNode, Edit, HeldBack } from '@itinerary/core';

export function holdEdit(course: Course, node: CourseNode): Edit {
  return setTableEntry(course, 'heldBack', node.id, { node, release: null });
}

/** Released now: what has been written since is what learners get. */
export function releaseEdit(course: Course, id: string): Edit {
  return setTableEntry(course, 'heldBack', id, null);
}

/** @param release null: not by itself. */
export function planRelease(course: Course, id: string, release: HeldBack['release']): Edit | null {
  const held = course.heldBack[id];
  return held === undefined ? null : setTableEntry(course, 'heldBack', id, { ...held, release });
}
