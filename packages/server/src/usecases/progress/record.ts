/**
 * What somebody has done is written down, and where they stand with it: one deed after the other, each with what follows
 * from it, in the transaction of what it is the deed of.
 */
import { countingOf, fold, lastRelated, ledgerOf, NO_FACTS_YET, reckon, step, topOf } from '@itinerary/core';
import type { Counting, Course, DeedKind, Done, Facts, Ledger, Reached, Viewer } from '@itinerary/core';
import type { EntityManager } from '../../db/orm.ts';
import { completedIn, lettersOf } from './letters.ts';

export interface Doer {
  readonly personId: string;
  readonly viewer: Viewer;
}

/** Staff who say something of it, and why. */
export interface Said {
  readonly by: string;
  /** Null: what they have said speaks for itself. */
  readonly reason: string | null;
}

interface KeptRow {
  readonly done: Readonly<Record<string, Done>>;
  readonly reached: Readonly<Record<string, Reached>>;
  readonly basis: string;
  readonly lastAt: number;
  readonly facts: Facts | null;
}

/**
 * Records one deed.
 *
 * @param now the server's clock; where another process has been ahead of it, the deed comes with that one's last
 * @returns ids of what is done, or no more, by it: the item, its section, the course
 */
export function record(
  em: EntityManager,
  course: Course,
  doer: Doer,
  item: string,
  deed: DeedKind,
  now: string,
  said: Said | null = null,
): Promise<readonly string[]> {
  const write = (inner: EntityManager): Promise<readonly string[]> =>
    recordIn(inner, course, doer, item, deed, now, said);
  return em.isInTransaction() ? write(em) : em.transactional(write);
}

async function recordIn(
  em: EntityManager,
  course: Course,
  { personId, viewer }: Doer,
  item: string,
  deed: DeedKind,
  now: string,
  said: Said | null,
): Promise<readonly string[]> {
  const key = [course.id, personId] as const;
  const row = await lockedRow(em, course.id, personId, item);
  const before = row.facts ?? NO_FACTS_YET;
  // One after the other: of the same moment what undoes would come last, whichever of them did.
  const at = Math.max(Date.parse(now), Number(row.lastAt), lastRelated(before, deed.kind) + 1);
  const facts = fold(before, { ...deed, at });
  // Said twice, it is one, by whoever was first.
  if (facts === before || (said !== null && isSaid(before, deed.kind))) return [];
  const counting = countingOf(course, viewer, at);
  const ledger = await ledgerFor(em, counting, row, key);
  const changed = step(counting, ledger, item, facts);
  const written = { item, at, deed, facts, done: ledger.done.get(item) };
  await writeDeeds(em, key, [written], { counting, ledger, at }, said);
  return changed;
}

/** A deed with what has come of its item. */
export interface DeedWritten {
  readonly item: string;
  readonly at: number;
  readonly deed: DeedKind;
  readonly facts: Facts;
  /** Missing: it is not done. */
  readonly done: Done | undefined;
}

interface StandingThen {
  readonly counting: Counting;
  readonly ledger: Ledger;
  /** The moment of the last deed. */
  readonly at: number;
}

/** In one statement, with where their person stands after them, whose row is locked. */
export async function writeDeeds(
  em: EntityManager,
  [courseId, personId]: readonly [course: string, person: string],
  deeds: readonly DeedWritten[],
  { counting, ledger, at }: StandingThen,
  said: Said | null,
): Promise<void> {
  const rows = deeds.map(({ item, at: when, deed, facts, done }) => ({
    ...{ item, at: when, deed, facts, score: topOf(facts) },
    done: done === undefined ? null : new Date(done.since).toISOString(),
  }));
  await em.execute(
    `with given as (
       select * from jsonb_to_recordset(?::jsonb)
         as one (item text, at bigint, deed jsonb, facts jsonb, score double precision, done text)),
     logged as (
       insert into deed_log (course_id, person_id, item_id, at, deed, "by", reason)
       select ?, ?, item, at, deed, ?, ? from given),
     folded as (
       insert into deed (course_id, person_id, item_id, facts, done_at, score)
       select ?, ?, item, facts, done, score from given
       on conflict (course_id, person_id, item_id) do update
         set facts = excluded.facts, done_at = excluded.done_at, score = excluded.score)
     update progress set done = ?, reached = ?, basis = ?, last_at = ?, letters = ?, completed = ?
     where course_id = ? and person_id = ?`,
    [
      JSON.stringify(rows),
      ...[courseId, personId, said?.by ?? null, said?.reason ?? null],
      ...[courseId, personId],
      JSON.stringify(Object.fromEntries(ledger.done)),
      JSON.stringify(Object.fromEntries(ledger.reached)),
      ...[counting.sign, at, lettersOf(counting, ledger), completedIn(counting, ledger)],
      ...[courseId, personId],
    ],
  );
}

/** Whether what staff take away is away already. */
function isSaid(facts: Facts, kind: DeedKind['kind']): boolean {
  if (kind === 'unmarked') return facts.marked === undefined;
  return kind === 'taken_back' && Object.keys(facts).every((key) => key === 'takenBack');
}

/** Nobody else writes of this person in this course until it is over. */
async function lockedRow(
  em: EntityManager,
  courseId: string,
  personId: string,
  item: string,
): Promise<KeptRow> {
  const ask = (): Promise<KeptRow[]> =>
    em.execute<KeptRow[]>(
      `select p.done, p.reached, p.basis, p.last_at as "lastAt",
         (select d.facts from deed d where d.course_id = p.course_id and d.person_id = p.person_id and d.item_id = ?) as facts
       from progress p where p.course_id = ? and p.person_id = ? for update of p`,
      [item, courseId, personId],
    );
  const [row] = await ask();
  if (row !== undefined) return row;
  await em.execute('insert into progress (course_id, person_id) values (?, ?) on conflict do nothing', [
    courseId,
    personId,
  ]);
  const [fresh] = await ask();
  if (fresh === undefined) throw new Error('no row of progress');
  return fresh;
}

/** What was kept, where it was reckoned by the same rules; else all anew. */
async function ledgerFor(
  em: EntityManager,
  counting: Counting,
  { done, reached, basis }: KeptRow,
  key: readonly string[],
): Promise<Ledger> {
  if (basis === counting.sign && counting.asked.size === 0) return ledgerOf(counting, done, reached);
  const rows = await em.execute<{ item: string; facts: Facts }[]>(
    'select item_id as item, facts from deed where course_id = ? and person_id = ?',
    [...key],
  );
  return reckon(
    counting,
    new Map(rows.map(({ item, facts }) => [item, facts])),
    new Map(Object.entries(reached)),
  );
}
