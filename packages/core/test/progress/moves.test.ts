/** Who gains and who loses by another rule: the same from what is kept as from nothing, and what is kept stays done. */
import { describe, expect, test } from '@jest/globals';
import {
  ANY_LEARNER,
  applyChange,
  couldMove,
  itemsRuledAnew,
  keptOf,
  movesOf,
  planFor,
  putDone,
  reckonFrom,
} from '../../src/index.ts';
import type { Course, Edit, FieldValue, Stand } from '../../src/index.ts';
import { fold, NO_FACTS_YET } from '../../src/deeds/facts.ts';
import type { Deed, Facts } from '../../src/deeds/facts.ts';
import { countingFor } from '../../src/progress/counting.ts';
import { factsOf, reckon } from '../../src/progress/reckon.ts';
import { below, one, randomCourse, randomDeed } from '../support/random-progress.ts';
import type { Chance, Posted } from '../support/random-progress.ts';
import { randomness } from '../support/randomness.ts';
import { runs } from '../support/runs.ts';

const CHANGES = runs(5000, 10);
const DAY = Date.parse('2027-01-13T12:00:00Z');
const GROUPS = ['k'];

const counting = (course: Course): Stand['counting'] => countingFor(planFor(course, ANY_LEARNER), GROUPS);

function history(chance: Chance, course: Course): readonly Deed[] {
  const items = course.sections.flatMap((section) => section.items);
  const posts = new Map<string, Posted[]>();
  return Array.from({ length: 5 + below(chance, 25) }, (_one, at) => {
    const item = one(chance, items);
    const own = posts.get(item.id) ?? [];
    posts.set(item.id, own);
    return randomDeed(chance, item, DAY + 60_000 * (at - 15), own);
  });
}

/** Another rule here or there, taken from another course of chance; something removed, hidden, or moved away. */
function randomEdit(chance: Chance, course: Course, other: Course): Edit {
  const filled = course.sections.filter(({ items }) => items.length > 0);
  const section = one(chance, filled);
  const item = one(chance, section.items);
  const set = (target: string, field: string, value: unknown, was: unknown): Edit => ({
    ...{ kind: 'set', target, field },
    ...{ value: value as FieldValue, was: was as FieldValue },
  });
  const likely = below(chance, 6);
  if (likely === 0) return { kind: 'remove', target: item.id };
  if (likely === 1) return set(item.id, 'shown', !item.shown, item.shown);
  if (likely === 2) return set(section.id, 'done', one(chance, other.sections).done, section.done);
  if (likely === 3) return set(course.id, 'done', other.done, course.done);
  if (likely === 4)
    return { kind: 'move', target: item.id, parent: one(chance, course.sections).id, after: null };
  const alike = other.sections.flatMap(({ items }) => items).filter(({ kind }) => kind === item.kind);
  const from = alike.length === 0 ? item : one(chance, alike);
  return set(item.id, 'done', 'done' in from ? from.done : null, 'done' in item ? item.done : null);
}

describe('a change in a course that has begun', () => {
  test(`${CHANGES} of chance: from what is kept as from nothing; kept, nothing is lost that still counts`, () => {
    const chance = randomness(20_270_116);
    const seen = { moved: 0, kept: 0, still: 0 };
    for (let run = 0; run < CHANGES; run += 1) {
      const course = randomCourse(chance);
      const applied = applyChange(course, {
        id: 'c',
        edits: [randomEdit(chance, course, randomCourse(chance))],
      });
      if (!applied.ok) continue;
      const after = applied.course;
      const deeds = history(chance, course);
      const facts = factsOf(deeds);
      const [was, then] = [counting(course), counting(after)];
      const before: Stand = { counting: was, ledger: reckon(was, facts) };
      const anew = reckon(then, facts, before.ledger.reached);
      const done = new Map(before.ledger.done);
      for (const id of itemsRuledAnew(was, then)) putDone(then, done, id, facts.get(id));
      const ledger = reckonFrom(then, done, facts, before.ledger.reached);
      expect([...ledger.done].sort()).toEqual([...anew.done].sort());
      expect([...ledger.reached].sort()).toEqual([...anew.reached].sort());

      const is: Stand = { counting: then, ledger };
      const { gains, loses } = movesOf(before, is);
      const stands = (stand: Stand, id: string): boolean =>
        stand.ledger.reached.has(id) || (stand.counting.indexOf.has(id) && stand.ledger.done.has(id));
      for (const id of gains) expect([stands(before, id), stands(is, id)]).toEqual([false, true]);
      for (const id of loses) expect([stands(before, id), stands(is, id)]).toEqual([true, false]);
      // What nobody is asked about moves nobody.
      if (!couldMove(course, after)) {
        expect([gains, loses]).toEqual([[], []]);
        seen.still += 1;
        continue;
      }
      if (gains.length + loses.length > 0) seen.moved += 1;

      const kept = keptOf(before, is);
      const own = new Map<string, Facts>(facts);
      for (const [id, since] of kept.items)
        own.set(id, fold(own.get(id) ?? NO_FACTS_YET, { kind: 'kept', since, at: DAY }));
      const stood = new Map([...before.ledger.reached, ...kept.reached]);
      const end: Stand = { counting: then, ledger: reckon(then, own, stood) };
      const isCounted = (id: string): boolean =>
        then.indexOf.has(id) ||
        (id === course.id && then.items.length > 0) ||
        then.sections.some((section) => section.id === id && section.items.length > 0);
      expect(movesOf(before, end).loses.filter(isCounted)).toEqual([]);
      for (const [id, since] of kept.items) expect(end.ledger.done.get(id)?.since).toBe(since);
      for (const [id, { since }] of kept.reached) expect(end.ledger.reached.get(id)?.since).toBe(since);
      if (kept.items.size + kept.reached.size > 0) seen.kept += 1;
    }
    expect(Math.min(seen.moved, seen.kept, seen.still)).toBeGreaterThan(CHANGES / 100);
  });
});
