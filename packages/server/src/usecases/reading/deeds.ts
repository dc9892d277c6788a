/** What learners do that counts. Only a member with the learner's role does anything that counts. */
import { accessAt, canSee, conditionBy, findNode, isContent } from '@itinerary/core';
import type { Course, DoneRule } from '@itinerary/core';
import type { EntityManager } from '../../db/orm.ts';
import { Failure } from '../failure.ts';
import { nothingHere } from '../nothing-here.ts';
import { record } from '../progress/record.ts';
import type { Doer } from '../progress/record.ts';

/** Whether it is theirs to do something in: looking at it counts for nothing. */
function isOpenTo(course: Course, { viewer }: Doer, item: string, now: string): boolean {
  return (
    viewer.role === 'learner' && accessAt(course, viewer, Date.parse(now)).nodes.get(item)?.state === 'open'
  );
}

/** Opened for the first time; whatever it counts as done by now, it may count as done by that one day. */
export async function noteOpened(
  em: EntityManager,
  course: Course,
  doer: Doer,
  item: string,
  now: string,
): Promise<void> {
  const isKnown = doer.viewer.deeds?.facts?.get(item)?.opened !== undefined;
  if (isKnown || !isOpenTo(course, doer, item, now)) return;
  await record(em, course, doer, item, { kind: 'opened' }, now);
}

/** In whole percent, each once: a report that brings no more is no deed. */
export async function noteWatched(
  em: EntityManager,
  course: Course,
  doer: Doer,
  item: string,
  share: number | null,
  now: string,
): Promise<void> {
  const percent = share === null ? 0 : Math.floor(share * 100 + 1e-9);
  if (percent < 1) return;
  await record(em, course, doer, item, { kind: 'watched', percent }, now);
}

export function doneRuleOf(course: Course, item: string): DoneRule | null {
  const node = findNode(course, item)?.node;
  return node !== undefined && isContent(node) ? node.done : null;
}

/** @param done false takes the tick back. */
export async function tick(
  em: EntityManager,
  course: Course,
  doer: Doer,
  item: string,
  done: boolean,
  now: string,
): Promise<void> {
  const { viewer } = doer;
  const answer = accessAt(course, viewer, Date.parse(now)).nodes.get(item);
  const node = findNode(course, item)?.node;
  if (!canSee(answer) || node === undefined || !isContent(node)) throw nothingHere();
  if (viewer.role !== 'learner' || answer?.state !== 'open') {
    throw new Failure('not_allowed', 'Learners tick what is open to them, and nobody else does');
  }
  if (!course.progress || conditionBy(node.done, 'ticked') === null) {
    throw new Failure('bad_input', 'This is not ticked as done', [
      { path: 'item', value: item, expected: 'an item that its reader ticks as done' },
    ]);
  }
  await record(em, course, doer, item, { kind: done ? 'ticked' : 'unticked' }, now);
}
