/** Handing in: what is begun becomes what counts, at the instant at which it was asked for, once. */
import { createHash } from 'node:crypto';
import { findNode, groupWorkOf, handInFault, punctualAt, receiptWords } from '@itinerary/core';
import type { Assignment, Course, HandInFault, Viewer } from '@itinerary/core';
import { HandInForRow, HandInRow, PersonRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { viewerOf } from '../access/viewer.ts';
import { Failure } from '../failure.ts';
import { partnersOf } from '../members/classmates.ts';
import { record } from '../progress/record.ts';
import { windowFor } from './taken-work.ts';
import { lockDraft, mustBeOn, mustWork } from './draft.ts';
import { handedBy } from './own-work.ts';
import type { Worker } from './own-work.ts';

export const refused = (code: string, sentence: string, expected: string): Failure =>
  new Failure('cannot_hand_in', sentence, [{ path: code, value: code, expected }]);

export async function handIn(
  em: EntityManager,
  worker: Worker,
  itemId: string,
  { id, version }: { readonly id: string; readonly version: number },
  now: string,
): Promise<void> {
  const { course, viewer } = worker;
  const courseId = course.id;
  const at = Date.parse(now);
  await em.transactional(async (inner) => {
    const key = worker.personId ?? '';
    const draft = await lockDraft(inner, courseId, key, itemId);
    const before = await inner.findOne(HandInRow, { id });
    // Sent again: what was acknowledged stands, though it is over meanwhile.
    if (before !== null) {
      if (before.personId === key && before.courseId === courseId && before.itemId === itemId) return;
      throw refused('known', 'That has been handed in as something else', 'an id of its own');
    }
    const { node: assignment, window, personId } = mustWork(worker, itemId, now);
    if (punctualAt(window, at) === 'over') {
      throw refused('over', 'It is too late: nothing is taken any more', 'a moment before its end');
    }
    mustBeOn(draft, version);
    const handed = await handedBy(inner, courseId, itemId, personId);
    const what = { text: draft?.text ?? '', address: draft?.address ?? '', files: draft?.files ?? [] };
    const fault = handInFault(assignment, what, handed.length);
    if (fault !== null) throw refused(fault.code, SENTENCES[fault.code], 'what the assignment takes');
    const own = await inner.count(HandInRow, { courseId, itemId, personId });
    const facts = { ...what, course: courseId, item: itemId, person: personId, attempt: own + 1, at: now };
    const hash = createHash('sha256').update(receiptWords(facts)).digest('hex');
    inner.persist(
      inner.create(HandInRow, { id, courseId, itemId, personId, attempt: own + 1, ...what, at: now, hash }),
    );
    await inner.flush();
    for (const [person, theirs] of await countsFor(inner, course, { personId, viewer }, assignment, now)) {
      const isLate = punctualAt(windowFor(course, theirs, assignment, at), at) !== 'on_time';
      inner.persist(inner.create(HandInForRow, { handInId: id, personId: person, courseId, itemId, isLate }));
      await record(inner, course, { personId: person, viewer: theirs }, itemId, { kind: 'handed_in' }, now);
    }
    if (draft !== null) inner.remove(draft);
  });
}

const SENTENCES: Readonly<Record<HandInFault['code'], string>> = {
  empty: 'There is nothing in it yet',
  no_text: 'No text is taken here',
  no_address: 'No address is taken here',
  too_many: 'There are more files than are taken here',
  wrong_kind: 'One of the files is none of the kinds that are taken here',
  no_tries: 'It has been handed in as often as it may be',
};

/** Whoever works in one group with them now; by themselves, where they are in none or it is no group work. */
async function countsFor(
  em: EntityManager,
  course: Course,
  { personId, viewer }: { readonly personId: string; readonly viewer: Viewer },
  assignment: Assignment,
  now: string,
): Promise<readonly (readonly [string, Viewer])[]> {
  const node = findNode(course, assignment.id)?.node ?? assignment;
  const mode = groupWorkOf(course, node);
  const mine = viewer.groups ?? [];
  const isInGroup = mine.some((id) => course.groups[id]?.kind === 'group');
  if (mode === 'none' || !isInGroup) return [[personId, viewer]];
  const partners = (await partnersOf(em, course, mode, mine)).filter((one) => one !== personId);
  const people = await em.find(PersonRow, { id: { $in: partners } });
  const others: (readonly [string, Viewer])[] = [];
  // One after the other, on the connection that is held already: many who hand in at once leave none to wait for.
  for (const person of people) others.push([person.id, await viewerOf(em, person, course, now)]);
  // In one order everywhere, so that nobody waits for one who waits for them.
  return [[personId, viewer] as const, ...others].sort(([a], [b]) => (a < b ? -1 : 1));
}
