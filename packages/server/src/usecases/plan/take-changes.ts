/**
 * Takes changes: one transaction each, under a lock on the course that gives the sequence number. A change
 * is acknowledged only after its transaction has ended, and a second sending of the same change finds it
 * there and does nothing.
 */
import { UniqueConstraintViolationException } from '@mikro-orm/core';
import type { ChangesAnswer, ChangesRequest, ServerRefusal } from '@itinerary/contract';
import { applyChange } from '@itinerary/core';
import type { Change, DeepReadonly, Edit, Refusal, TakenChange, Viewer } from '@itinerary/core';
import { keepChanged, lockedCourse } from '../../db/kept-courses.ts';
import type { KeptCourse } from '../../db/kept-courses.ts';
import { ChangeRow } from '../../db/entities.ts';
import type { Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import {
  checkBlockers,
  checkChoices,
  checkFiles,
  checkTexts,
  codeRefusal,
  mayTake,
  namesContent,
} from './change-checks.ts';
import { countsOf } from '../access/counts.ts';
import { openTurns } from '../../lanes/turns.ts';
import type { Cleaning } from '../../text/cleaning.ts';
import { Failure } from '../failure.ts';
import { admitTexts, renameTexts } from './new-texts.ts';
import type { NewTexts } from './new-texts.ts';
import { writeChange } from './own-change.ts';
import { factsOfTexts } from './texts.ts';
import { keepEarned } from '../progress/moves.ts';
import { announce } from '../../db/announce.ts';

export interface Author {
  readonly person: Person;
  readonly viewer: Viewer;
}

/** What taking a change is done with. */
export interface Taking {
  readonly em: EntityManager;
  readonly cleaning: Cleaning;
}

type Refused = Refusal | ServerRefusal;

/** Whoever has typed it is told soon, and it is sent again by itself. In milliseconds. */
const MOST_MS = 5_000;
const inTurn = openTurns('change this course', MOST_MS);

export async function takeChanges(
  { em, cleaning }: Taking,
  courseId: string,
  author: Author,
  request: ChangesRequest,
  now: string,
): Promise<DeepReadonly<ChangesAnswer>> {
  const texts = await admitTexts(cleaning, request.texts);
  const refused: { id: string; refusal: Refused }[] = [];
  for (const sent of request.changes) {
    const change = { ...sent, edits: [...renameTexts(sent.edits, texts.renamed)] };
    const refusal = await inTurn(em.getConnection(), courseId, () =>
      takeOne(em.fork(), courseId, author, change, texts, now),
    );
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
    const decided = await em.transactional((inner) => decide(inner, courseId, author, change, texts, now));
    if (decided === null || 'code' in decided) return decided;
    keepChanged(em, decided);
    return null;
  } catch (error) {
    if (!(error instanceof UniqueConstraintViolationException)) throw error;
    // Only the code of a course is unique beyond the course's own lock.
    const at = change.edits.findIndex((edit) => edit.kind === 'set' && edit.field === 'code');
    if (at < 0) throw error;
    return codeRefusal(em.fork(), author.person.institutionId, courseId, change, at);
  }
}

/** @returns what the course is now, or why not; null: it was taken before. */
async function decide(
  em: EntityManager,
  courseId: string,
  author: Author,
  change: Change,
  texts: NewTexts,
  now: string,
): Promise<Refused | KeptCourse | null> {
  const loaded = await lockedCourse(em, courseId);
  if (loaded === null) throw new Failure('not_found', 'There is nothing here');
  if ((await em.count(ChangeRow, { courseId, id: change.id })) > 0) return null;
  const stop = mayTake(loaded.course, author.viewer, change);
  if (stop !== null) return stop;
  const applied = applyChange(loaded.course, change);
  if (!applied.ok) return applied.refusal;
  const refusal =
    (await checkChoices(em, author.person.institutionId, courseId, change)) ??
    (await checkFiles(em, courseId, change, applied.course, loaded.course, texts)) ??
    (await checkTexts(em, courseId, change, applied.course, loaded.course, texts)) ??
    (await checkBlockers(em, author.person.institutionId, loaded.course, applied.course, change, now));
  if (refusal !== null) return refusal;
  // New texts, which the change names.
  await em.flush();
  const seq = await writeChange(em, loaded, applied.course, {
    id: change.id,
    edits: change.edits,
    author: author.person.id,
    undoes: change.undoes ?? null,
    at: now,
  });
  if (change.keepsEarned === true) await keepEarned(em, loaded.course, applied.course, author.person.id, now);
  await announce(em, { course: courseId, seq });
  return { row: loaded.row, course: applied.course };
}

async function takenSince(
  em: EntityManager,
  courseId: string,
  person: Person,
  since: number,
): Promise<DeepReadonly<Omit<ChangesAnswer, 'refused' | 'renamed'>>> {
  const { seq, ...counts } = await countsOf(em, courseId);
  if (since > seq) {
    throw new Failure(
      'out_of_step',
      `The course is at change ${seq}, and you have seen change ${since}; load it anew`,
    );
  }
  // Up to `seq` and no further, so that the answer is one state of the course.
  const rows = await em.execute<TakenRow[]>(
    `select change.seq, change.id, edits, undoes, author_id as "author", person.name
     from change left join person on person.id = change.author_id
     where course_id = ? and change.seq > ? and change.seq <= ? order by change.seq`,
    [courseId, since, seq],
  );
  const taken = rows.map((row): TakenChange => ({
    seq: row.seq,
    change: { id: row.id, edits: row.edits, ...(row.undoes === null ? {} : { undoes: row.undoes }) },
    author: row.name ?? '',
    mine: row.author === person.id,
  }));
  return { seq, taken, texts: await factsNamed(em, courseId, taken), ...counts };
}

interface TakenRow {
  readonly seq: number;
  readonly id: string;
  readonly edits: Edit[];
  readonly undoes: string | null;
  readonly author: string;
  readonly name: string | null;
}

/** Of the texts that these changes name: for whoever did not write them. */
async function factsNamed(
  em: EntityManager,
  courseId: string,
  taken: readonly TakenChange[],
): Promise<ChangesAnswer['texts']> {
  if (!taken.some(({ change }) => namesContent(change))) return {};
  const named = JSON.stringify(taken);
  return Object.fromEntries([...(await factsOfTexts(em, courseId))].filter(([hash]) => named.includes(hash)));
}
