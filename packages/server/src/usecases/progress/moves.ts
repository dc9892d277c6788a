/**
 * Who is done with more, and who with less, once the plan is another; and what of it stays done where whoever changes the
 * plan says so.
 */
import type { MovesAnswer } from '@itinerary/contract';
import {
  applyChange,
  fold,
  itemsRuledAnew,
  keptOf,
  movesOf,
  NO_FACTS_YET,
  putDone,
  reckonFrom,
  byName,
} from '@itinerary/core';
import type { Course, DeedKind, Edit, Facts, Stand } from '@itinerary/core';
import type { EntityManager } from '../../db/orm.ts';
import { listedMembers } from '../members/members.ts';
import { inPieces } from '../../lanes/give-way.ts';
import { countingsOf } from './learners.ts';
import { writeDeeds } from './record.ts';
import type { DeedWritten } from './record.ts';
import { factsOf, standingsOf } from './standings.ts';
import type { Stands } from './standings.ts';

interface Moved {
  readonly person: string;
  readonly before: Stand;
  readonly after: Stand;
}

/** In the order of their ids. */
async function movedBetween(em: EntityManager, before: Course, after: Course, now: string): Promise<Moved[]> {
  const countingThen = countingsOf(after, Date.parse(now));
  const stands = await standingsOf(em, before, null, now);
  const facts = await factsAsked(em, after, stands, countingThen);
  const moved: Moved[] = [];
  await inPieces(stands, ({ person, viewer, counting, ledger }) => {
    const own = facts.get(person) ?? new Map<string, Facts>();
    const then = countingThen(viewer);
    const done = new Map(ledger.done);
    for (const id of itemsRuledAnew(counting, then)) putDone(then, done, id, own.get(id));
    const is = { counting: then, ledger: reckonFrom(then, done, own, ledger.reached) };
    const { gains, loses } = movesOf({ counting, ledger }, is);
    if (gains.length + loses.length > 0) moved.push({ person, before: { counting, ledger }, after: is });
  });
  return moved.sort((a, b) => (a.person < b.person ? -1 : 1));
}

/** Of those items alone about which the answer can be another: the rest is known. */
function factsAsked(
  em: EntityManager,
  after: Course,
  stands: readonly Stands[],
  countingThen: ReturnType<typeof countingsOf>,
): ReturnType<typeof factsOf> {
  const ids = new Set<string>();
  const seen = new Set<string>();
  for (const { counting, viewer } of stands) {
    const then = countingThen(viewer);
    const pair = `${counting.sign} ${then.sign}`;
    if (seen.has(pair)) continue;
    seen.add(pair);
    for (const id of [...itemsRuledAnew(counting, then), ...then.asked]) ids.add(id);
  }
  return factsOf(
    em,
    after.id,
    stands.map(({ person }) => person),
    [...ids],
  );
}

/** Nothing is changed. What does not apply moves nobody: that it does not is said when it is sent. */
export async function whoMoves(
  em: EntityManager,
  course: Course,
  edits: readonly Edit[],
  now: string,
): Promise<MovesAnswer> {
  const applied = applyChange(course, { id: 'asked', edits: [...edits] });
  if (!applied.ok) return { gains: [], loses: [], keeping: 0 };
  const moved = await movedBetween(em, course, applied.course, now);
  const ids = moved.map(({ person }) => person);
  const listed = ids.length === 0 ? [] : await listedMembers(em, course.id, ids);
  const names = new Map(listed.map(({ person, name }) => [person, name]));
  const told = (which: 'gains' | 'loses'): MovesAnswer['gains'][number][] =>
    moved
      .map(({ person, before, after }) => ({
        ...{ person, name: names.get(person) ?? '' },
        of: [...movesOf(before, after)[which]],
      }))
      .filter(({ of }) => of.length > 0)
      .sort((a, b) => byName(a.name, b.name));
  const keeping = moved.filter(({ before, after }) => {
    const { items, reached } = keptOf(before, after);
    return items.size + reached.size > 0;
  });
  return { gains: told('gains'), loses: told('loses'), keeping: keeping.length };
}

/**
 * What anybody would have no more by the change is kept, as deeds that say so. In the transaction of the change, under
 * its lock, and with every learner's row held, so that nothing is done between reckoning and writing.
 *
 * @param by who has said so
 */
export async function keepEarned(
  em: EntityManager,
  before: Course,
  after: Course,
  by: string,
  now: string,
): Promise<void> {
  await em.execute('select 1 from progress where course_id = ? order by person_id for update', [before.id]);
  for (const { person, ...moved } of await movedBetween(em, before, after, now)) {
    const kept = keptOf(moved.before, moved.after);
    if (kept.items.size + kept.reached.size === 0) continue;
    const { counting, ledger } = moved.after;
    const ids = [...kept.items.keys()];
    const facts = (await factsOf(em, before.id, [person], ids)).get(person);
    const lastAt = await lastOf(em, before.id, person);
    const at = Math.max(Date.parse(now), lastAt);
    const deeds = [...kept.items].map(([item, since]): DeedWritten => {
      const deed: DeedKind = { kind: 'kept', since };
      const own = fold(facts?.get(item) ?? NO_FACTS_YET, { ...deed, at });
      putDone(counting, ledger.done, item, own);
      return { item, at, deed, facts: own, done: ledger.done.get(item) };
    });
    const stood = new Map([...moved.before.ledger.reached, ...kept.reached]);
    const then = reckonFrom(counting, ledger.done, ledger.facts, stood);
    await writeDeeds(em, [before.id, person], deeds, { counting, ledger: then, at }, { by, reason: null });
  }
}

async function lastOf(em: EntityManager, courseId: string, person: string): Promise<number> {
  const [row] = await em.execute<{ at: string }[]>(
    'select last_at as at from progress where course_id = ? and person_id = ?',
    [courseId, person],
  );
  return Number(row?.at ?? 0);
}
