import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  applyChange,
  MAX_ITEMS_PER_PARENT,
  newItem,
  parseCourse,
  subtree,
  withoutTombstones,
} from '../../src/index.ts';
import type { Change, Course, Edit } from '../../src/index.ts';
import { course, smallCourse } from '../support/arbitraries.ts';
import { changeFor, move } from '../support/random-changes.ts';
import { enough, runs } from '../support/runs.ts';

const change = (...edits: Edit[]): Change => ({ id: 'c', edits });

function apply(on: Course, ...edits: Edit[]): { course: Course; inverse: Edit[] } {
  const applied = applyChange(on, change(...edits));
  if (!applied.ok) throw new Error(JSON.stringify(applied.refusal));
  return { course: applied.course, inverse: [...applied.inverse] };
}

function refusalOf(on: Course, ...edits: Edit[]): unknown {
  const applied = applyChange(on, change(...edits));
  return applied.ok ? null : applied.refusal;
}

const living = (of: Course, section = 0): string[] =>
  (withoutTombstones(of).sections[section]?.items ?? []).map(({ id }) => id);
const sections = (of: Course): string[] => withoutTombstones(of).sections.map(({ id }) => id);

describe('set', () => {
  test('gives the next course and a way back that remembers what stood there', () => {
    const edit: Edit = { kind: 'set', target: 'a1', field: 'title', value: ' Laying a line ', was: 'stale' };
    const { course: next, inverse } = apply(smallCourse(), edit);
    expect(next.sections[0]?.items[0]?.title).toBe('Laying a line');
    expect(inverse).toEqual([
      { kind: 'set', target: 'a1', field: 'title', value: 'a1', was: 'Laying a line' },
    ]);
  });

  test('reaches into the dates', () => {
    const edit: Edit = { kind: 'set', target: 'course', field: 'dates.weeks', value: 15, was: 2 };
    expect(apply(smallCourse(), edit).course.dates.weeks).toBe(15);
  });

  test.each([
    ['dates.weeks', 0],
    ['dates.weeks', 1.5],
    ['dates.firstDay', '2027-02-30'],
    ['dates.zone', 'Europe/Nowhere'],
    ['code', 'EFM 210'],
    ['title', '   '],
    ['state', 'open'],
  ])('refuses %s = %p, naming the value', (field, value) => {
    const refusal = refusalOf(smallCourse(), { kind: 'set', target: 'course', field, value, was: null });
    expect(refusal).toMatchObject({ code: 'bad_value', edit: 0, field, value });
  });

  test('refuses fields and targets that are not there', () => {
    const on = smallCourse();
    expect(
      refusalOf(on, { kind: 'set', target: 'a1', field: 'address', value: null, was: null }),
    ).toMatchObject({ code: 'unknown_field' });
    expect(
      refusalOf(on, { kind: 'set', target: 'a1', field: 'constructor', value: null, was: null }),
    ).toMatchObject({ code: 'unknown_field' });
    expect(refusalOf(on, { kind: 'set', target: 'zz', field: 'title', value: 'x', was: null })).toMatchObject(
      { code: 'unknown_target' },
    );
  });

  test('an undo sets only where the field still holds what it gave', () => {
    const { course: next } = apply(smallCourse(), {
      kind: 'set',
      target: 'A',
      field: 'title',
      value: 'theirs',
      was: 'A',
    });
    const undo: Change = {
      id: 'u',
      undoes: 'c',
      edits: [{ kind: 'set', target: 'A', field: 'title', value: 'A', was: 'mine' }],
    };
    const applied = applyChange(next, undo);
    expect(applied).toMatchObject({
      ok: false,
      refusal: { code: 'changed_since', now: 'theirs', wanted: 'A' },
    });
  });
});

describe('remove and its tombstone', () => {
  test('what is removed comes back where it stood, though neighbours went', () => {
    const first = apply(smallCourse(), { kind: 'remove', target: 'a2' });
    expect(living(first.course)).toEqual(['a1', 'a3']);
    const moved = apply(first.course, { kind: 'move', target: 'a1', parent: 'A', after: 'a3' });
    const back = apply(moved.course, ...first.inverse);
    expect(living(back.course)).toEqual(['a2', 'a3', 'a1']);
  });

  test('after may name a tombstone', () => {
    const { course: gone } = apply(smallCourse(), { kind: 'remove', target: 'a2' });
    const { course: moved } = apply(gone, { kind: 'move', target: 'b1', parent: 'A', after: 'a2' });
    expect(living(moved)).toEqual(['a1', 'b1', 'a3']);
    const { course: back } = apply(moved, {
      kind: 'insert',
      parent: 'A',
      after: 'a2',
      node: smallCourse().sections[0]!.items[1]!,
    });
    expect(living(back)).toEqual(['a1', 'a2', 'b1', 'a3']);
  });

  test('it can be brought back elsewhere, as its tombstone kept it, and undone from there', () => {
    const node = newItem('page', { id: 'a1', title: 'as its author remembers it' });
    const { course: gone } = apply(smallCourse(), { kind: 'remove', target: 'a1' });
    const back = apply(gone, { kind: 'insert', parent: 'B', after: 'b1', node });
    expect([living(back.course), living(back.course, 1)]).toEqual([
      ['a2', 'a3'],
      ['b1', 'a1'],
    ]);
    expect(withoutTombstones(back.course).sections[1]?.items[1]?.title).toBe('a1');
    expect(living(apply(back.course, ...back.inverse).course, 1)).toEqual(['b1']);
    expect(refusalOf(gone, { kind: 'insert', parent: 'B', after: 'never', node })).toEqual({
      code: 'unknown_neighbour',
      edit: 0,
      target: 'a1',
      after: 'never',
    });
    expect(refusalOf(gone, { kind: 'insert', parent: 'never', after: null, node })).toMatchObject({
      code: 'unknown_parent',
    });
  });

  test('nothing moves into what is full, and what is full already can be put in another order', () => {
    const many = Array.from({ length: MAX_ITEMS_PER_PARENT }, (_, at) =>
      newItem('page', { id: `p${at}`, title: 'p' }),
    );
    const base = smallCourse();
    const full = {
      ...base,
      sections: base.sections.map((one) => (one.id === 'B' ? { ...one, items: many } : one)),
    };
    expect(refusalOf(full, { kind: 'move', target: 'a1', parent: 'B', after: null })).toEqual({
      code: 'too_many',
      edit: 0,
      target: 'a1',
      most: MAX_ITEMS_PER_PARENT,
    });
    const { course: turned } = apply(full, { kind: 'move', target: 'p1', parent: 'B', after: null });
    expect(living(turned, 1).slice(0, 2)).toEqual(['p1', 'p0']);
    expect(living(turned, 1)).toHaveLength(MAX_ITEMS_PER_PARENT);
  });

  test('removing twice is accepted and does nothing; any other edit there is refused', () => {
    const { course: gone } = apply(smallCourse(), { kind: 'remove', target: 'A' });
    const again = apply(gone, { kind: 'remove', target: 'a1' }, { kind: 'remove', target: 'A' });
    expect(again.inverse).toEqual([]);
    expect(again.course).toEqual(gone);
    expect(
      refusalOf(gone, { kind: 'set', target: 'a1', field: 'title', value: 'x', was: 'a1' }),
    ).toMatchObject({ code: 'removed_target' });
    expect(refusalOf(gone, { kind: 'move', target: 'b1', parent: 'A', after: null })).toMatchObject({
      code: 'removed_parent',
    });
  });

  test('a section that comes back brings what others put into it, and not what was removed before', () => {
    const first = apply(
      smallCourse(),
      { kind: 'remove', target: 'a1' },
      { kind: 'set', target: 'a3', field: 'title', value: 'third', was: 'a3' },
    );
    const gone = apply(first.course, { kind: 'remove', target: 'A' });
    const back = apply(gone.course, ...gone.inverse);
    expect(living(back.course)).toEqual(['a2', 'a3']);
    expect(back.course.sections[0]?.items[2]?.title).toBe('third');
  });
});

describe('insert and move', () => {
  const page = newItem('page', { id: 'n', title: 'New' });

  test('null is first place', () => {
    expect(
      living(apply(smallCourse(), { kind: 'insert', parent: 'A', after: null, node: page }).course),
    ).toEqual(['n', 'a1', 'a2', 'a3']);
    expect(
      sections(apply(smallCourse(), { kind: 'move', target: 'B', parent: 'course', after: null }).course),
    ).toEqual(['B', 'A']);
  });

  test('a neighbour that moved to another section puts the node last', () => {
    const { course: next } = apply(smallCourse(), { kind: 'insert', parent: 'A', after: 'b1', node: page });
    expect(living(next)).toEqual(['a1', 'a2', 'a3', 'n']);
  });

  test('refuses what does not belong', () => {
    const on = smallCourse();
    expect(refusalOf(on, { kind: 'insert', parent: 'course', after: null, node: page })).toMatchObject({
      code: 'wrong_parent',
    });
    expect(refusalOf(on, { kind: 'move', target: 'A', parent: 'B', after: null })).toMatchObject({
      code: 'wrong_parent',
    });
    expect(
      refusalOf(on, { kind: 'insert', parent: 'A', after: null, node: { ...page, id: 'b1' } }),
    ).toMatchObject({ code: 'id_taken' });
    expect(refusalOf(on, { kind: 'insert', parent: 'zz', after: null, node: page })).toMatchObject({
      code: 'unknown_parent',
    });
    expect(refusalOf(on, { kind: 'insert', parent: 'A', after: 'zz', node: page })).toMatchObject({
      code: 'unknown_neighbour',
    });
  });

  test('staying where one is has no way back', () => {
    expect(apply(smallCourse(), { kind: 'move', target: 'a2', parent: 'A', after: 'a1' }).inverse).toEqual(
      [],
    );
  });
});

test('a refusal names the edit that stopped the change', () => {
  const refusal = refusalOf(
    smallCourse(),
    { kind: 'set', target: 'A', field: 'title', value: 'ok', was: 'A' },
    { kind: 'remove', target: 'zz' },
  );
  expect(refusal).toEqual({ code: 'unknown_target', edit: 1, target: 'zz' });
});

const history = fc.array(fc.array(move, { minLength: 1, maxLength: 5 }), { maxLength: 12 });

describe('for any course and any changes', () => {
  test('applying and then applying the inverse gives the same course', () => {
    let applied = 0;
    fc.assert(
      fc.property(course, history, (start, steps) => {
        let here = start;
        steps.forEach((moves, at) => {
          const made = changeFor(here, moves, `c${at}`);
          const result = made === null ? null : applyChange(here, made);
          if (result === null || !result.ok) return;
          applied += 1;
          const back = applyChange(result.course, {
            id: 'back',
            edits: [...result.inverse],
            undoes: `c${at}`,
          });
          if (!back.ok) throw new Error(`the way back was refused: ${JSON.stringify(back.refusal)}`);
          expect(withoutTombstones(back.course)).toEqual(withoutTombstones(here));
          here = result.course;
        });
      }),
      { numRuns: runs(400), seed: 20270111 },
    );
    expect(applied).toBeGreaterThan(enough(1000));
  });

  test('all changes undone in turn give the course one began with', () => {
    fc.assert(
      fc.property(course, history, (start, steps) => {
        const inverses: Edit[][] = [];
        let here = start;
        steps.forEach((moves, at) => {
          const made = changeFor(here, moves, `c${at}`);
          const result = made === null ? null : applyChange(here, made);
          if (result === null || !result.ok) return;
          here = result.course;
          inverses.push([...result.inverse]);
        });
        for (const edits of inverses.reverse())
          here = edits.length === 0 ? here : apply(here, ...edits).course;
        expect(withoutTombstones(here)).toEqual(withoutTombstones(start));
      }),
      { numRuns: runs(200), seed: 20270112 },
    );
  });

  test('a change is taken whole or refused whole, and what comes out is a course', () => {
    let refused = 0;
    fc.assert(
      fc.property(course, history, (start, steps) => {
        let here = start;
        steps.forEach((moves, at) => {
          const made = changeFor(here, moves, `c${at}`);
          if (made === null) return;
          const before = structuredClone(here);
          const spoiled: Change = {
            id: made.id,
            edits: [...made.edits, { kind: 'remove', target: 'nobody' }],
          };
          expect(applyChange(here, spoiled).ok).toBe(false);
          expect(here).toEqual(before);
          const result = applyChange(here, made);
          if (!result.ok) {
            refused += 1;
            return;
          }
          expect(parseCourse(result.course)).toEqual({ ok: true, value: result.course });
          here = result.course;
        });
      }),
      { numRuns: runs(200), seed: 20270113 },
    );
    expect(refused).toBeGreaterThan(enough(20));
  });

  test('nothing that exists is ever lost: every id stays, in sight or as a tombstone', () => {
    const ids = (of: Course): Set<string> =>
      new Set(of.sections.flatMap((one) => subtree(one)).map(({ id }) => id));
    fc.assert(
      fc.property(course, history, (start, steps) => {
        let here = start;
        steps.forEach((moves, at) => {
          const made = changeFor(here, moves, `c${at}`);
          const result = made === null ? null : applyChange(here, made);
          if (result === null || !result.ok) return;
          const after = ids(result.course);
          for (const id of ids(here)) expect(after.has(id)).toBe(true);
          here = result.course;
        });
      }),
      { numRuns: runs(200), seed: 20270114 },
    );
  });
});
