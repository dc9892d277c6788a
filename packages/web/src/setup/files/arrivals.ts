/** From a file that has come to the item that holds it. Pure. */
import type { UploadAnswer } from '@itinerary/contract';
import { findNode } from '@itinerary/core';
import type { Course, CourseFileRef } from '@itinerary/core';

export function asRef({ hash, name, size, type }: UploadAnswer): CourseFileRef {
  return { hash, name, size, type, alt: null, author: null, licence: null };
}

/** A file's name without its ending, with spaces for what stands for them: a title to begin with. */
export function titleOf(name: string): string {
  const bare = name
    .replace(/\.[A-Za-z0-9]{1,8}$/, '')
    .replaceAll(/[_\s]+/g, ' ')
    .trim();
  return (bare === '' ? name : bare).slice(0, 200);
}

/** The id of what holds a node that is still there, or null. */
export function placeOf(course: Course | null, id: string): string | null {
  const place = course === null ? null : findNode(course, id);
  return place === null || place.node.removed ? null : place.parent;
}
