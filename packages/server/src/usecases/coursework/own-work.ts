/** What one person has begun and handed in, and what they are told of it. */
import type { OwnWorkAnswer } from '@itinerary/contract';
import { hasRight, largestFile, punctualAt, receiptWords } from '@itinerary/core';
import type { Assignment, Course, HandedFile, Viewer } from '@itinerary/core';
import {
  HandInForRow,
  HandInRow,
  InstitutionRow,
  MarkRow,
  PersonRow,
  StoredFileRow,
  WorkDraftRow,
} from '../../db/entities.ts';
import type { HandInRecord } from '../../db/entities/work.ts';
import type { EntityManager } from '../../db/orm.ts';
import type { FileStore } from '../../files/file-store.ts';
import { toSend } from '../files/files.ts';
import type { FileToSend } from '../files/files.ts';
import { nothingHere } from '../nothing-here.ts';
import { workFor } from './taken-work.ts';

export interface Worker {
  readonly course: Course;
  readonly institutionId: string;
  readonly viewer: Viewer;
  /** Null: nobody is signed in. */
  readonly personId: string | null;
}

export interface Handed {
  readonly row: HandInRecord;
  readonly isLate: boolean;
}

/** What counts for somebody, the latest first. */
export async function handedBy(
  em: EntityManager,
  courseId: string,
  itemId: string,
  personId: string,
): Promise<readonly Handed[]> {
  const own = await em.find(HandInForRow, { courseId, itemId, personId });
  const late = new Map(own.map((one) => [one.handInId, one.isLate]));
  const rows = await em.find(
    HandInRow,
    { id: { $in: [...late.keys()] } },
    { orderBy: { at: 'desc', attempt: 'desc', id: 'asc' } },
  );
  return rows.map((row) => ({ row, isLate: late.get(row.id) === true }));
}

/** The mark that none has taken the place of. */
export function standingMark<
  Mark extends { readonly id: string; readonly after?: string | null | undefined },
>(marks: readonly Mark[]): Mark | null {
  const replaced = new Set(marks.map(({ after }) => after));
  return marks.find(({ id }) => !replaced.has(id)) ?? null;
}

export const iso = (at: number | null): string | null => (at === null ? null : new Date(at).toISOString());

export async function ownWork(
  em: EntityManager,
  { course, institutionId, viewer, personId }: Worker,
  itemId: string,
  now: string,
): Promise<OwnWorkAnswer> {
  const { node: assignment, window, mayWork } = workFor(course, viewer, itemId, 'assignment', now);
  const { largestUpload } = await em.findOneOrFail(InstitutionRow, { id: institutionId });
  const courseId = course.id;
  const isLearner = viewer.role === 'learner' && personId !== null;
  const draft = isLearner ? await em.findOne(WorkDraftRow, { courseId, personId, itemId }) : null;
  const handed = isLearner ? await handedBy(em, courseId, itemId, personId) : [];
  const others = handed.map(({ row }) => row.personId).filter((id) => id !== personId);
  const names = new Map(
    (await em.find(PersonRow, { id: { $in: others } })).map(({ id, name }) => [id, name]),
  );
  const latest = handed[0]?.row.id;
  const mark = latest === undefined ? null : standingMark(await em.find(MarkRow, { handInId: latest }));
  return {
    takes: { ...assignment.takes, kinds: [...assignment.takes.kinds] },
    total: assignment.total,
    passAt: assignment.passAt,
    limit: largestFile(largestUpload, course.largestUpload, assignment.largest),
    mayHandIn: mayWork,
    mayMark: hasRight(viewer, 'mark'),
    punctual: punctualAt(window, Date.parse(now)),
    due: iso(window.due),
    // Nobody is told of the grace: it is not shown as an end either.
    takenTo: iso(window.takenTo === window.onTimeTo ? (window.due ?? window.takenTo) : window.takenTo),
    now,
    tries: { most: assignment.tries, used: handed.length },
    draft:
      draft === null
        ? null
        : {
            version: draft.version,
            at: draft.at,
            text: draft.text,
            address: draft.address,
            files: [...draft.files],
          },
    handed: handed.map(({ row, isLate }) => ({
      id: row.id,
      attempt: row.attempt,
      at: row.at,
      isLate,
      hash: row.hash,
      by: row.personId === personId ? null : (names.get(row.personId) ?? ''),
      text: row.text,
      address: row.address,
      files: [...row.files],
    })),
    mark:
      mark === null
        ? null
        : {
            ...shownOf(assignment, mark.points ?? null),
            comment: mark.comment,
            at: mark.at,
            files: [...mark.files],
          },
    zone: course.dates.zone,
    attachments: assignment.attachments.map(handedFile),
  };
}

/** Of a mark, what learners are shown. */
function shownOf(
  { markShown, passAt }: Pick<Assignment, 'markShown' | 'passAt'>,
  points: number | null,
): { readonly points: number | null; readonly hasPassed: boolean | null } {
  const hasPassed = passAt === null || points === null ? null : points >= passAt;
  return {
    points: markShown === 'points' ? points : null,
    hasPassed: markShown === 'comment' ? null : hasPassed,
  };
}

/** What the receipt is made over, as it was then: whoever has it can hash it anew. */
export async function ownReceipt(
  em: EntityManager,
  { course, viewer, personId }: Worker,
  { itemId, handIn }: { readonly itemId: string; readonly handIn: string },
  now: string,
): Promise<string> {
  workFor(course, viewer, itemId, 'assignment', now);
  if (personId === null || viewer.role !== 'learner') throw nothingHere();
  const found = (await handedBy(em, course.id, itemId, personId)).find(({ row }) => row.id === handIn);
  if (found === undefined) throw nothingHere();
  const { personId: person, attempt, text, address, files, at } = found.row;
  return receiptWords({ course: course.id, item: itemId, person, attempt, at, text, address, files });
}

/** Of what is begun, or was handed in before: one's own, or for one's group. */
export async function ownWorkFile(
  em: EntityManager,
  store: FileStore,
  { course, viewer, personId }: Worker,
  itemId: string,
  hash: string,
  now: string,
): Promise<FileToSend> {
  workFor(course, viewer, itemId, 'assignment', now);
  const courseId = course.id;
  if (personId === null || viewer.role !== 'learner') throw nothingHere();
  const draft = await em.findOne(WorkDraftRow, { courseId, personId, itemId });
  const handed = await handedBy(em, courseId, itemId, personId);
  const latest = handed[0]?.row.id;
  const mark = latest === undefined ? null : standingMark(await em.find(MarkRow, { handInId: latest }));
  const files = [
    ...(draft?.files ?? []),
    ...handed.flatMap(({ row }) => row.files),
    // Given back with the mark that they are told of.
    ...(mark?.files ?? []),
  ];
  const file = files.find((one) => one.hash === hash);
  if (file === undefined) throw nothingHere();
  return sendable(em, store, courseId, file);
}

/** A file that goes with an assignment, for whoever gets that. */
export async function attachment(
  em: EntityManager,
  store: FileStore,
  { course, viewer }: Pick<Worker, 'course' | 'viewer'>,
  itemId: string,
  hash: string,
  now: string,
): Promise<FileToSend> {
  const { node } = workFor(course, viewer, itemId, 'assignment', now);
  const file = node.attachments.find((one) => one.hash === hash);
  if (file === undefined) throw nothingHere();
  return sendable(em, store, course.id, file);
}

/** What is told of a file that the course names. */
export const handedFile = ({ hash, name, size, type }: HandedFile): HandedFile => ({
  hash,
  name,
  size,
  type,
});

/** By the type that was found as it came, under the name that it was given. */
export async function sendable(
  em: EntityManager,
  store: FileStore,
  courseId: string,
  { hash, name }: { readonly hash: string; readonly name: string },
): Promise<FileToSend> {
  const stored = await em.findOne(StoredFileRow, { courseId, hash });
  if (stored === null) throw nothingHere();
  return toSend(store, { hash, name, type: stored.type });
}
