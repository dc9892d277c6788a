/**
 * Takes changes: one transaction each, under a lock on the course that gives the sequence number. A change
 * is acknowledged only after its transaction has ended, and a second sending of the same change finds it
 * there and does nothing.
 */
import { UniqueConstraintViolationException } from '@mikro-orm/core';
import type { ChangesAnswer, ChangesRequest, ServerRefusal } from '@itinerary/contract';
import {
  applyChange,
  fileHashes,
  findings,
  hasRight,
  isBlocker,
  textFacts,
  textHashes,
} from '@itinerary/core';
import type { Change, Course, Refusal, TakenChange, Viewer } from '@itinerary/core';
import { loadCourse, writeCourse } from '../db/course-rows.ts';
import { ChangeRow, CourseRow, PersonRow, StoredFileRow, TextRow } from '../db/entities.ts';
import type { Person } from '../db/entities.ts';
import type { EntityManager } from '../db/orm.ts';
import { checkCode } from './course-codes.ts';
import { isKnownChoice } from './create-course.ts';
import { Failure } from './failure.ts';
import { admitTexts, renameTexts } from './new-texts.ts';
import type { NewTexts } from './new-texts.ts';
import { termsOf } from './terms.ts';
import { factsOfTexts, keepText } from './texts.ts';
import { countLearners } from './viewer.ts';

export interface Author {
  readonly person: Person;
  readonly viewer: Viewer;
}

type Refused = Refusal | ServerRefusal;

export async function takeChanges(
  em: EntityManager,
  courseId: string,
  author: Author,
  request: ChangesRequest,
  now: string,
): Promise<ChangesAnswer> {
  const texts = admitTexts(request.texts);
  const refused: { id: string; refusal: Refused }[] = [];
  for (const sent of request.changes) {
    const change = { ...sent, edits: [...renameTexts(sent.edits, texts.renamed)] };
    const refusal = await takeOne(em.fork(), courseId, author, change, texts, now);
    if (refusal !== null) refused.push({ id: change.id, refusal });
  }
  const renamed = Object.fromEntries([...texts.renamed].filter(([sent, kept]) => sent !== kept));
  return { ...(await takenSince(em.fork(), courseId, author.person, request.since)), renamed, refused };
}

/** Null when the change is taken, now or before. */
async function takeOne(
  em: EntityManager,
  courseId: string,
  author: Author,
  change: Change,
  texts: NewTexts,
  now: string,
): Promise<Refused | null> {
  try {
    return await em.transactional((inner) => decide(inner, courseId, author, change, texts, now));
  } catch (error) {
    if (!(error instanceof UniqueConstraintViolationException)) throw error;
    // Only the code of a course is unique beyond the course's own lock.
    const at = change.edits.findIndex((edit) => edit.kind === 'set' && edit.field === 'code');
    if (at < 0) throw error;
    return codeRefusal(em.fork(), author.person.institutionId, courseId, change, at);
  }
}

async function decide(
  em: EntityManager,
  courseId: string,
  author: Author,
  change: Change,
  texts: NewTexts,
  now: string,
): Promise<Refused | null> {
  const loaded = await loadCourse(em, courseId, true);
  if (loaded === null) throw new Failure('not_found', 'There is nothing here');
  if ((await em.count(ChangeRow, { courseId, id: change.id })) > 0) return null;
  const stop = mayTake(loaded.course, author.viewer, change);
  if (stop !== null) return stop;
  const applied = applyChange(loaded.course, change);
  if (!applied.ok) return applied.refusal;
  const refusal =
    (await checkChoices(em, author.person.institutionId, courseId, change)) ??
    (await checkTexts(em, courseId, change, applied.course, loaded.course, texts)) ??
    (await checkFiles(em, courseId, change, applied.course, loaded.course, texts)) ??
    (await checkBlockers(em, author.person.institutionId, loaded.course, applied.course, change, now));
  if (refusal !== null) return refusal;
  const seq = loaded.row.seq + 1;
  writeCourse(em, loaded, applied.course);
  loaded.row.seq = seq;
  em.persist(
    em.create(ChangeRow, {
      courseId,
      seq,
      id: change.id,
      authorId: author.person.id,
      edits: change.edits,
      undoes: change.undoes ?? null,
      at: now,
    }),
  );
  await em.flush();
  return null;
}

/** Rights within the plan: who may open or close the course, and that an archived one is only looked at. */
function mayTake(course: Course, viewer: Viewer, change: Change): ServerRefusal | null {
  for (const [edit, { kind, ...rest }] of change.edits.entries()) {
    const target = 'target' in rest ? rest.target : rest.node.id;
    const setsState = kind === 'set' && target === course.id && 'field' in rest && rest.field === 'state';
    if (setsState && !hasRight(viewer, 'state')) return { code: 'not_allowed', edit, target };
    if (!setsState && course.state === 'archived') return { code: 'archived', edit, target };
  }
  return null;
}

async function checkChoices(
  em: EntityManager,
  institutionId: string,
  courseId: string,
  change: Change,
): Promise<ServerRefusal | null> {
  for (const [edit, { kind, ...rest }] of change.edits.entries()) {
    if (kind !== 'set' || !('field' in rest) || rest.target !== courseId) continue;
    const { field, value, target } = rest;
    if (field === 'code') {
      const taken = await codeRefusal(em, institutionId, courseId, change, edit);
      if (taken !== null) return taken;
    }
    if (field === 'department' || field === 'term') {
      const known = await isKnownChoice(em, institutionId, field, value as string | null);
      if (!known) return { code: 'unknown_choice', edit, target, field };
    }
  }
  return null;
}

async function codeRefusal(
  em: EntityManager,
  institutionId: string,
  courseId: string,
  change: Change,
  at: number,
): Promise<ServerRefusal | null> {
  const edit = change.edits[at];
  if (edit?.kind !== 'set') return null;
  const check = await checkCode(em, institutionId, String(edit.value), courseId);
  if (check.free) return null;
  return { code: 'code_taken', edit: at, target: courseId, proposal: check.proposal };
}

/** Stores the new texts that the next course names; refuses a change that names one which nobody has. */
async function checkTexts(
  em: EntityManager,
  courseId: string,
  change: Change,
  next: Course,
  before: Course,
  texts: NewTexts,
): Promise<ServerRefusal | null> {
  const known = new Set(textHashes(before));
  const named = textHashes(next).filter((hash) => !known.has(hash));
  if (named.length === 0) return null;
  const stored = await em.find(TextRow, { courseId, hash: { $in: named } }, { fields: ['hash'] });
  const there = new Set(stored.map(({ hash }) => hash));
  for (const hash of named) {
    if (there.has(hash)) continue;
    const html = texts.kept.get(hash);
    if (html === undefined) return missingText(change, hash);
    keepText(em, courseId, hash, html);
  }
  return null;
}

/** A change may name only files that have come to this course, in its items and in its new texts. */
async function checkFiles(
  em: EntityManager,
  courseId: string,
  change: Change,
  next: Course,
  before: Course,
  texts: NewTexts,
): Promise<ServerRefusal | null> {
  const known = new Set(fileHashes(before));
  const pictures = textHashes(next).flatMap((hash) => {
    const html = texts.kept.get(hash);
    return html === undefined ? [] : (textFacts(html)?.pictures ?? []);
  });
  const named = [...new Set([...fileHashes(next), ...pictures])].filter((hash) => !known.has(hash));
  if (named.length === 0) return null;
  const stored = await em.find(StoredFileRow, { courseId, hash: { $in: named } }, { fields: ['hash'] });
  const there = new Set(stored.map(({ hash }) => hash));
  const missing = named.find((hash) => !there.has(hash));
  if (missing === undefined) return null;
  const inText = [...texts.kept].find(([, html]) => html.includes(missing))?.[0];
  const { edit, target } = missingText(change, inText ?? missing);
  return { code: 'file_missing', edit, target };
}

function missingText(change: Change, hash: string): Extract<ServerRefusal, { code: 'text_missing' }> {
  const at = change.edits.findIndex((edit) => JSON.stringify(edit).includes(hash));
  const edit = change.edits[at];
  const target = edit === undefined ? '' : edit.kind === 'insert' ? edit.node.id : edit.target;
  return {
    code: 'text_missing',
    edit: Math.max(at, 0),
    target,
    field: edit?.kind === 'set' ? edit.field : 'text',
  };
}

/** A course goes live only without blockers. */
async function checkBlockers(
  em: EntityManager,
  institutionId: string,
  before: Course,
  next: Course,
  change: Change,
  now: string,
): Promise<ServerRefusal | null> {
  if (next.state !== 'live' || before.state === 'live') return null;
  const learners = await countLearners(em, next.id);
  // Readiness is asked of the course as it stands before the act: some rules speak to drafts only.
  const term = (await termsOf(em, institutionId))(next.term);
  const texts = await factsOfTexts(em, next.id);
  const rules = findings({ ...next, state: 'draft' }, { moment: now, learners, term, texts }).filter(
    isBlocker,
  );
  if (rules.length === 0) return null;
  const edit = change.edits.findIndex((one) => one.kind === 'set' && one.field === 'state');
  return { code: 'blocked', edit, target: next.id, rules: rules.map(({ rule }) => rule) };
}

async function takenSince(
  em: EntityManager,
  courseId: string,
  person: Person,
  since: number,
): Promise<Omit<ChangesAnswer, 'refused' | 'renamed'>> {
  const row = await em.findOne(CourseRow, { id: courseId }, { fields: ['seq'] });
  const seq = row?.seq ?? 0;
  if (since > seq) {
    throw new Failure(
      'out_of_step',
      `The course is at change ${seq}, and you have seen change ${since}; load it anew`,
    );
  }
  // Up to `seq` and no further, so that the answer is one state of the course.
  const changes = await em.find(
    ChangeRow,
    { courseId, seq: { $gt: since, $lte: seq } },
    { orderBy: { seq: 'asc' } },
  );
  const authors = await em.find(PersonRow, {
    id: { $in: [...new Set(changes.map(({ authorId }) => authorId))] },
  });
  const names = new Map(authors.map(({ id, name }) => [id, name]));
  const taken = changes.map((change): TakenChange => ({
    seq: change.seq,
    change: {
      id: change.id,
      edits: change.edits,
      ...(change.undoes === null ? {} : { undoes: change.undoes }),
    },
    author: names.get(change.authorId) ?? '',
    mine: change.authorId === person.id,
  }));
  return {
    seq,
    taken,
    texts: await factsNamed(em, courseId, taken),
    learners: await countLearners(em, courseId),
  };
}

/** Of the texts that these changes name: for whoever did not write them. */
async function factsNamed(
  em: EntityManager,
  courseId: string,
  taken: readonly TakenChange[],
): Promise<ChangesAnswer['texts']> {
  if (taken.length === 0) return {};
  const named = JSON.stringify(taken);
  return Object.fromEntries([...(await factsOfTexts(em, courseId))].filter(([hash]) => named.includes(hash)));
}
