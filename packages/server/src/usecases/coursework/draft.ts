/** What has been typed and sent so far, kept for whoever does it: each change is built on the one before. */
import type { DraftBody } from '@itinerary/contract';
import { fileFault } from '@itinerary/core';
import type { Assignment, HandedFile } from '@itinerary/core';
import { WorkDraftRow } from '../../db/entities.ts';
import type { WorkDraftRecord } from '../../db/entities/work.ts';
import type { EntityManager } from '../../db/orm.ts';
import { Failure } from '../failure.ts';
import { workFor } from './taken-work.ts';
import type { OwnWork } from './taken-work.ts';
import { handedBy } from './own-work.ts';
import type { Worker } from './own-work.ts';

export const notNow = (): Failure =>
  new Failure('cannot_hand_in', 'Nothing is handed in here now', [
    { path: 'item', value: 'closed', expected: 'an assignment that is open to a learner' },
  ]);

/** Who works on it: a learner to whom it is open. */
export function mustWork(
  worker: Worker,
  itemId: string,
  now: string,
): OwnWork<Assignment> & { readonly personId: string } {
  const own = workFor(worker.course, worker.viewer, itemId, 'assignment', now);
  if (!own.mayWork || worker.personId === null) throw notNow();
  return { ...own, personId: worker.personId };
}

/** One person's work at one item: a row that is not there yet cannot be locked, and two windows may begin it in one moment. */
export async function lockWork(
  em: EntityManager,
  courseId: string,
  personId: string,
  itemId: string,
): Promise<void> {
  await em.execute('select pg_advisory_xact_lock(hashtextextended(?, 4))', [
    `${courseId} ${personId} ${itemId}`,
  ]);
}

/** Under the lock of the one draft: whoever comes second sees what the first has done. */
export async function lockDraft(
  em: EntityManager,
  courseId: string,
  personId: string,
  itemId: string,
): Promise<WorkDraftRecord | null> {
  await lockWork(em, courseId, personId, itemId);
  return em.findOne(WorkDraftRow, { courseId, personId, itemId });
}

export function mustBeOn(draft: { readonly version: number } | null, version: number): void {
  const there = draft?.version ?? 0;
  if (there === version) return;
  throw new Failure('changed_elsewhere', 'It has been changed in another window, or on another device', [
    { path: 'version', value: version, expected: String(there) },
  ]);
}

/** @throws Failure `changed_elsewhere`, `cannot_hand_in`, `bad_input` for a file that is not theirs */
export async function keepDraft(
  em: EntityManager,
  worker: Worker,
  itemId: string,
  { version, text, address, files }: DraftBody,
  now: string,
): Promise<void> {
  const { personId } = mustWork(worker, itemId, now);
  const courseId = worker.course.id;
  await em.transactional(async (inner) => {
    const draft = await lockDraft(inner, courseId, personId, itemId);
    mustBeOn(draft, version);
    const handed = await handedBy(inner, courseId, itemId, personId);
    const known = new Map(
      [...handed.flatMap(({ row }) => row.files), ...(draft?.files ?? [])].map((file) => [file.hash, file]),
    );
    const kept = [...new Set(files)].map((hash, at): HandedFile => {
      const file = known.get(hash);
      if (file !== undefined) return file;
      throw new Failure('bad_input', 'One of the files is none of yours here', [
        { path: `files.${at}`, value: hash, expected: 'a file of this draft, or handed in before' },
      ]);
    });
    write(inner, draft, { courseId, personId, itemId }, { text, address, files: kept }, now);
  });
}

interface Key {
  readonly courseId: string;
  readonly personId: string;
  readonly itemId: string;
}

function write(
  em: EntityManager,
  draft: WorkDraftRecord | null,
  key: Key,
  what: { readonly text: string; readonly address: string; readonly files: readonly HandedFile[] },
  now: string,
): void {
  const values = { ...what, at: now, version: (draft?.version ?? 0) + 1 };
  if (draft !== null) em.assign(draft, values);
  else em.persist(em.create(WorkDraftRow, { ...key, ...values }));
}

/** A file that has wholly arrived: it stands in the draft from now on, whatever is typed meanwhile. */
export async function addToDraft(
  em: EntityManager,
  worker: Worker,
  itemId: string,
  file: HandedFile,
  now: string,
): Promise<void> {
  const { node: assignment, personId } = mustWork(worker, itemId, now);
  const courseId = worker.course.id;
  const fault = fileFault(assignment, file);
  if (fault !== null) {
    throw new Failure('bad_input', `${file.name} is none of the kinds of files that are taken here`, [
      { path: 'file', value: file.type, expected: assignment.takes.kinds.join(', ') },
    ]);
  }
  await em.transactional(async (inner) => {
    const draft = await lockDraft(inner, courseId, personId, itemId);
    const before = (draft?.files ?? []).filter(({ hash }) => hash !== file.hash);
    if (before.length + 1 > assignment.takes.files) {
      throw new Failure('bad_input', `No more than ${assignment.takes.files} files are taken here`, [
        { path: 'file', value: before.length + 1, expected: `at most ${assignment.takes.files} files` },
      ]);
    }
    const { text, address } = draft ?? { text: '', address: '' };
    const what = { text, address, files: [...before, file] };
    write(inner, draft, { courseId, personId, itemId }, what, now);
  });
}
