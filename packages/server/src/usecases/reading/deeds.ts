/** What learners do that counts. Only a member with the learner's role does anything that counts. */
import { accessAt, canSee, findNode, isContent } from '@itinerary/core';
import type { Course, DoneRule, Viewer } from '@itinerary/core';
import { DeedRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { Failure } from '../failure.ts';
import { nothingHere } from '../nothing-here.ts';

interface Doer {
  readonly personId: string;
  readonly viewer: Viewer;
}

/** The done rule of an item that is open to them; null: it is not counted, or they only look. */
function ruleFor(course: Course, viewer: Viewer, item: string, now: string): DoneRule | null {
  const node = findNode(course, item)?.node;
  const isOpen = accessAt(course, viewer, Date.parse(now)).nodes.get(item)?.state === 'open';
  return viewer.role === 'learner' && isOpen && node !== undefined && 'done' in node ? node.done : null;
}

/** An item that counts as done when it is opened, opened. What is done already stays as it was. */
export async function noteOpened(
  em: EntityManager,
  course: Course,
  { personId, viewer }: Doer,
  item: string,
  now: string,
): Promise<void> {
  if (ruleFor(course, viewer, item, now)?.by !== 'opened') return;
  if (viewer.deeds?.done.has(item) === true) return;
  await write(em, { courseId: course.id, personId, itemId: item }, now);
}

/** @param done false takes the tick back. */
export async function tick(
  em: EntityManager,
  course: Course,
  { personId, viewer }: Doer,
  item: string,
  done: boolean,
  now: string,
): Promise<void> {
  const answer = accessAt(course, viewer, Date.parse(now)).nodes.get(item);
  const node = findNode(course, item)?.node;
  if (!canSee(answer) || node === undefined || !isContent(node)) throw nothingHere();
  if (viewer.role !== 'learner' || answer?.state !== 'open') {
    throw new Failure('not_allowed', 'Learners tick what is open to them, and nobody else does');
  }
  if (ruleFor(course, viewer, item, now)?.by !== 'ticked') {
    throw new Failure('bad_input', 'This is not ticked as done', [
      { path: 'item', value: item, expected: 'an item that its reader ticks as done' },
    ]);
  }
  await write(em, { courseId: course.id, personId, itemId: item }, done ? now : null);
}

async function write(
  em: EntityManager,
  key: { readonly courseId: string; readonly personId: string; readonly itemId: string },
  doneAt: string | null,
): Promise<void> {
  // Two windows of one learner may do it in the same moment.
  await em.upsert(
    DeedRow,
    { ...key, doneAt },
    { onConflictFields: ['courseId', 'personId', 'itemId'], onConflictMergeFields: ['doneAt'] },
  );
}
