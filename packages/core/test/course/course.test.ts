/** The smaller parts of the document: the tree, numbers, fields, and steps that are taken back among others. */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  applyChange,
  courseFields,
  findNode,
  isOutOfSight,
  isRealDay,
  isZone,
  ITEM_KINDS,
  livingItems,
  livingSections,
  makeChange,
  newItem,
  nodeFields,
  numberNodes,
  openCopy,
  readField,
  redoLast,
  sameValue,
  subtree,
  takeAnswer,
  undoLast,
  withoutTombstones,
} from '../../src/index.ts';
import type { Change, Course, CourseNode, FieldValue, Item, WorkingCopy } from '../../src/index.ts';
import { course, smallCourse } from '../support/arbitraries.ts';
import { changeFor, move } from '../support/random-changes.ts';

const removed = (id: string, on = smallCourse()): Course => {
  const applied = applyChange(on, { id: 'r', edits: [{ kind: 'remove', target: id }] });
  if (!applied.ok) throw new Error(applied.refusal.code);
  return applied.course;
};

describe('the tree', () => {
  test('says where a node stands', () => {
    expect(findNode(smallCourse(), 'a2')).toMatchObject({ parent: 'A', index: 1, above: [{ id: 'A' }] });
    expect(findNode(smallCourse(), 'B')).toMatchObject({ parent: 'course', index: 1, above: [] });
    expect(findNode(smallCourse(), 'nobody')).toBeNull();
  });

  test('what is in a removed section is out of sight with it', () => {
    const gone = removed('A');
    expect(isOutOfSight(findNode(gone, 'a1')!)).toBe(true);
    expect(isOutOfSight(findNode(gone, 'b1')!)).toBe(false);
    expect(livingSections(gone).map(({ id }) => id)).toEqual(['B']);
    expect(livingItems(removed('a1').sections[0]!).map(({ id }) => id)).toEqual(['a2', 'a3']);
  });

  test('a subtree begins with its own node', () => {
    expect(subtree(smallCourse().sections[0]!).map(({ id }) => id)).toEqual(['A', 'a1', 'a2', 'a3']);
    expect(subtree(smallCourse().sections[0]!.items[0]!)).toHaveLength(1);
  });

  test('of any course holds every node once, and finds each', () => {
    fc.assert(
      fc.property(course, (any) => {
        const nodes = any.sections.flatMap((section) => [...subtree(section)]);
        for (const node of nodes) expect(findNode(any, node.id)?.node).toBe(node);
      }),
      { numRuns: 100, seed: 31 },
    );
  });
});

describe('numbers', () => {
  const with_ = (change: (of: Course) => Course): Record<string, string> =>
    Object.fromEntries(numberNodes(change(smallCourse())));

  test('count sections, and items in them', () => {
    expect(with_((of) => of)).toEqual({ A: '1', a1: '1.1', a2: '1.2', a3: '1.3', B: '2', b1: '2.1' });
  });

  test('step over what is not shown, removed or outside the calendar, with all in it', () => {
    expect(with_((of) => removed('a1', of))).toEqual({ A: '1', a2: '1.1', a3: '1.2', B: '2', b1: '2.1' });
    const first =
      (change: object) =>
      (of: Course): Course => ({ ...of, sections: [{ ...of.sections[0]!, ...change }, of.sections[1]!] });
    expect(with_(first({ shown: false }))).toEqual({ B: '1', b1: '1.1' });
    expect(with_(first({ outside: true }))).toEqual({ B: '1', b1: '1.1' });
  });

  test('of any course are each given once, and rise in reading order', () => {
    fc.assert(
      fc.property(course, (any) => {
        const numbers = [...numberNodes(any).values()];
        expect(new Set(numbers).size).toBe(numbers.length);
        const keys = numbers
          .map((number) => number.split('.').map(Number))
          .map(([section = 0, item = 0]) => section * 10_000 + item);
        expect(keys).toEqual([...keys].sort((a, b) => a - b));
      }),
      { numRuns: 200, seed: 32 },
    );
  });
});

describe('fields', () => {
  const nodes: readonly CourseNode[] = [
    smallCourse().sections[0]!,
    smallCourse().sections[0]!.items[0]!,
    ...ITEM_KINDS.map((kind) => newItem(kind, { id: `l-${kind}`, title: 'L' })),
  ];

  test('of a course and of every kind of node can be read, and set to what stands there', () => {
    const on = smallCourse();
    const withLink = {
      ...on,
      sections: [
        { ...on.sections[0]!, items: [...on.sections[0]!.items, ...(nodes.slice(2) as Item[])] },
        on.sections[1]!,
      ],
    };
    const cases = [
      ...courseFields().map((field) => [on.id, field, readField(on, field)] as const),
      ...nodes.flatMap((node) =>
        nodeFields(node.kind).map((field) => [node.id, field, readField(node, field)] as const),
      ),
    ];
    expect(cases.length).toBeGreaterThan(20);
    for (const [target, field, value] of cases) {
      const applied = applyChange(withLink, {
        id: 'c',
        edits: [{ kind: 'set', target, field, value, was: null }],
      });
      expect(applied).toMatchObject({ ok: true, inverse: [] });
    }
  });

  test('never hold a tombstone, an id or a kind', () => {
    for (const kind of ['section', 'page', 'link'] as const) {
      for (const field of ['id', 'kind', 'removed', 'items']) expect(nodeFields(kind)).not.toContain(field);
    }
    expect(courseFields()).not.toContain('sections');
  });

  test.each<[FieldValue, FieldValue, boolean]>([
    [null, null, true],
    ['a', 'a', true],
    [['a', 'b'], ['a', 'b'], true],
    [['a', 'b'], ['b', 'a'], false],
    [0, false, false],
    ['', null, false],
    ['1', 1, false],
  ])('%p and %p: %p', (a, b, same) => expect(sameValue(a, b)).toBe(same));
});

describe('days and zones', () => {
  test.each([
    ['2028-02-29', true],
    ['2027-02-29', false],
    ['2100-02-29', false],
    ['2000-02-29', true],
    ['2027-04-31', false],
    ['1899-12-31', false],
    ['2027-1-01', false],
    ['2027-01-01T00:00', false],
  ])('%s is a day: %p', (day, real) => expect(isRealDay(day)).toBe(real));

  test.each([
    ['Europe/Lisbon', true],
    ['America/Argentina/Buenos_Aires', true],
    ['UTC', true],
    ['Europe/Nowhere', false],
    ['', false],
    ['../etc', false],
    ['+01:00', false],
  ])('%s is a zone: %p', (zone, real) => expect(isZone(zone)).toBe(real));
});

test('one’s own steps are taken back and made again whatever others do to other things meanwhile', () => {
  let steps = 0;
  const mine = fc.array(fc.array(move, { minLength: 1, maxLength: 3 }), { minLength: 1, maxLength: 6 });
  fc.assert(
    fc.property(course, mine, fc.string({ minLength: 1, maxLength: 9 }), (start, moves, tag) => {
      let copy: WorkingCopy = openCopy(start, 0);
      moves.forEach((some, at) => {
        const change = changeFor(copy.course, some, `m${at}`);
        const attempt = change === null ? null : makeChange(copy, change);
        if (attempt?.ok) copy = attempt.copy;
      });
      const made = copy.undo.length;
      const done = copy.course;
      // Somebody else tags the course, which none of the moves does.
      const theirs: Change = {
        id: 'other',
        edits: [{ kind: 'set', target: start.id, field: 'tags', value: [`${tag.trim() || 'x'}`], was: [] }],
      };
      if (!applyChange(start, theirs).ok) return;
      copy = takeAnswer(copy, {
        taken: [{ seq: 1, change: theirs, author: 'Tunde', mine: false }],
        refused: [],
      }).copy;
      for (let at = 0; at < made; at += 1) {
        const step = undoLast(copy, `u${at}`);
        if (!step?.ok) throw new Error('a step could not be taken back');
        copy = step.copy;
        steps += 1;
      }
      const tags = copy.course.tags;
      expect(withoutTombstones(copy.course)).toEqual({ ...withoutTombstones(start), tags });
      for (let at = 0; at < made; at += 1) {
        const step = redoLast(copy, `r${at}`);
        if (!step?.ok) throw new Error('a step could not be made again');
        copy = step.copy;
      }
      expect(withoutTombstones(copy.course)).toEqual({ ...withoutTombstones(done), tags });
    }),
    { numRuns: 300, seed: 33 },
  );
  expect(steps).toBeGreaterThan(300);
});
