/** Holding a section or item of a live course: learners go on seeing it as it stands now. */
import type { Course, CourseNode, Edit, FieldValue, HeldBack } from '@itinerary/core';

const asValue = (value: unknown): FieldValue => value as FieldValue;

export function holdEdit(course: Course, node: CourseNode): Edit {
  const held = { node, release: null };
  return {
    kind: 'set',
    target: course.id,
    field: `heldBack.${node.id}`,
    value: asValue(held),
    was: asValue(course.heldBack[node.id] ?? null),
  };
}

/** Released now: what has been written since is what learners get. */
export function releaseEdit(course: Course, id: string): Edit {
  const was = asValue(course.heldBack[id] ?? null);
  return { kind: 'set', target: course.id, field: `heldBack.${id}`, value: null, was };
}

/** @param release null: not by itself. */
export function planRelease(course: Course, id: string, release: HeldBack['release']): Edit | null {
  const held = course.heldBack[id];
  if (held === undefined) return null;
  return {
    kind: 'set',
    target: course.id,
    field: `heldBack.${id}`,
    value: asValue({ ...held, release }),
    was: asValue(held),
  };
}
