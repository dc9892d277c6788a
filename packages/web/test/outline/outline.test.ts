/** The outline: its lines, where they go when they are moved, what is selected, and its smaller fields. */
import { describe, expect, test } from '@jest/globals';
import {
  applyChange,
  livingItems,
  livingSections,
  newItem,
  newSection,
  planCourse,
  readLength,
  share,
  writeLength,
} from '@itinerary/core';
import type { Course, Holder, MoveEdit } from '@itinerary/core';
import { smallCourse } from '../../../core/test/support/arbitraries.ts';
import { gridTemplate } from '../../src/setup/outline/table/columns.ts';
import { movable, moveByDrop, moveByOne, placeAll } from '../../src/setup/outline/acts/moves.ts';
import { edgeAt } from '../../src/setup/outline/table/row-drag.ts';
import { marksOf } from '../../src/setup/outline/table/marks.ts';
import { isNodeRow, outlineRows } from '../../src/setup/outline/table/rows.ts';
import type { Filter } from '../../src/setup/outline/table/rows.ts';
import { useSelection } from '../../src/setup/outline/table/selection.ts';

describe('moving a line', () => {
  const NONE_FOLDED = (): boolean => false;
  const order = (course: Course): string =>
    livingSections(course)
      .map(
        (section) =>
          `${section.id}:${livingItems(section)
            .map(({ id }) => id)
            .join(',')}`,
      )
      .join(' ');
  const after = (edits: readonly MoveEdit[] | null, course = smallCourse()): string | null => {
    if (edits === null) return null;
    const applied = applyChange(course, { id: 'm', edits: [...edits] });
    return applied.ok ? order(applied.course) : applied.refusal.code;
  };

  test.each([
    ['a2', 'up', 'A:a2,a1,a3 B:b1'],
    ['a2', 'down', 'A:a1,a3,a2 B:b1'],
    ['a3', 'down', 'A:a1,a2 B:a3,b1'],
    ['b1', 'up', 'A:a1,a2,a3,b1 B:'],
    ['a1', 'up', null],
    ['b1', 'down', null],
    ['B', 'up', 'B:b1 A:a1,a2,a3'],
    ['A', 'down', 'B:b1 A:a1,a2,a3'],
    ['A', 'up', null],
    ['B', 'down', null],
    ['nobody', 'up', null],
  ] as const)('%s %s', (id, way, result) =>
    expect(after(moveByOne(smallCourse(), [id], way, NONE_FOLDED))).toBe(result),
  );

  test.each([
    ['a3', 'a1', 'top', 'A:a3,a1,a2 B:b1'],
    ['a1', 'a3', 'bottom', 'A:a2,a3,a1 B:b1'],
    ['a1', 'a3', 'top', 'A:a2,a1,a3 B:b1'],
    ['a1', 'b1', 'bottom', 'A:a2,a3 B:b1,a1'],
    ['a1', 'B', 'bottom', 'A:a2,a3 B:a1,b1'],
    ['b1', 'B', 'top', 'A:a1,a2,a3,b1 B:'],
    ['a2', 'A', 'top', null],
    ['B', 'A', 'top', 'B:b1 A:a1,a2,a3'],
    ['A', 'b1', 'top', 'B:b1 A:a1,a2,a3'],
    ['A', 'a2', 'top', null],
    ['a1', 'a1', 'top', null],
  ] as const)('%s dropped on %s (%s)', (id, on, edge, result) =>
    expect(after(moveByDrop(smallCourse(), [id], { on, edge }))).toBe(result),
  );

  test('tombstones are stepped over', () => {
    const gone = applyChange(smallCourse(), { id: 'r', edits: [{ kind: 'remove', target: 'a2' }] });
    if (!gone.ok) throw new Error('refused');
    expect(after(moveByOne(gone.course, ['a3'], 'up', NONE_FOLDED), gone.course)).toBe('A:a3,a1 B:b1');
  });
});

describe('moving through folders, and several lines at once', () => {
  const page = (id: string) => newItem('page', { id, title: id });
  const nested = (): Course => ({
    ...smallCourse(),
    sections: [
      newSection({
        id: 'A',
        items: [
          page('a1'),
          newItem('folder', { id: 'f', title: 'f', items: [page('f1'), page('f2')] }),
          page('a2'),
        ],
      }),
      newSection({ id: 'B', items: [page('b1')] }),
    ],
  });
  const written = (holder: Holder): string =>
    livingItems(holder)
      .map((item) => (item.kind === 'folder' ? `${item.id}(${written(item)})` : item.id))
      .join(',');
  const after = (edits: readonly MoveEdit[] | null): string | null => {
    if (edits === null) return null;
    const applied = applyChange(nested(), { id: 'm', edits: [...edits] });
    if (!applied.ok) return applied.refusal.code;
    return livingSections(applied.course)
      .map((section) => `${section.id}:${written(section)}`)
      .join(' ');
  };

  test.each([
    [['a1'], 'down', false, 'A:f(a1,f1,f2),a2 B:b1'],
    [['a1'], 'down', true, 'A:f(f1,f2),a1,a2 B:b1'],
    [['a2'], 'up', false, 'A:a1,f(f1,f2,a2) B:b1'],
    [['f1'], 'up', false, 'A:a1,f1,f(f2),a2 B:b1'],
    [['f2'], 'down', false, 'A:a1,f(f1),f2,a2 B:b1'],
    [['f'], 'down', false, 'A:a1,a2,f(f1,f2) B:b1'],
    [['a1', 'a2'], 'down', true, 'A:f(f1,f2) B:a1,a2,b1'],
    [['a2', 'b1'], 'up', true, 'A:a1,a2,b1,f(f1,f2) B:'],
  ] as const)('%j %s (folded: %s)', (ids, way, isFolded, result) =>
    expect(after(moveByOne(nested(), ids, way, () => isFolded))).toBe(result),
  );

  test.each([
    [['a1'], 'f', 'into', 'A:f(f1,f2,a1),a2 B:b1'],
    [['a1', 'b1'], 'f2', 'top', 'A:f(f1,a1,b1,f2),a2 B:'],
    [['f'], 'f1', 'bottom', null],
    [['a1', 'a2'], 'B', 'into', 'A:f(f1,f2) B:b1,a1,a2'],
  ] as const)('%j dropped on %s (%s)', (ids, on, edge, result) =>
    expect(after(moveByDrop(nested(), ids, { on, edge }))).toBe(result),
  );

  test('of what is selected, what lies in something selected comes along by itself', () => {
    expect(movable(nested(), ['a2', 'f1', 'f', 'B'], 'a2')).toEqual(['f', 'a2']);
    expect(movable(nested(), ['a2', 'B', 'A'], 'B')).toEqual(['A', 'B']);
    expect(after(placeAll(['f', 'a2'], { parent: 'B', after: null }))).toBe('A:a1 B:f(f1,f2),a2,b1');
  });

  test('a drag means into a folder in the middle of its line only', () => {
    expect([
      edgeAt(0.5, true),
      edgeAt(0.2, true),
      edgeAt(0.8, true),
      edgeAt(0.4, false),
      edgeAt(0.6, false),
    ]).toEqual(['into', 'top', 'bottom', 'top', 'bottom']);
  });
});

describe('the outline’s lines', () => {
  const off: Filter = { matches: () => true, only: 'all', isOff: true };
  const finding = (change: Partial<Filter>): Filter => ({ ...off, isOff: false, ...change });
  const rows = (of: Course, filter = off, folded: string[] = []): string[] =>
    outlineRows(planCourse(of), new Set(folded), filter).map(({ id }) => id);
  const pauses = {
    p: { name: 'Break', first: '2027-01-18', last: '2027-01-24', policy: 'between' as const },
  };
  const of = (): Course => ({
    ...smallCourse(),
    dates: { ...smallCourse().dates, weeks: 3, pauses },
    sections: [
      newSection({
        id: 'A',
        items: [
          newItem('folder', {
            id: 'f',
            title: 'Readings',
            items: [newItem('quiz', { id: 'q', title: 'Salt', minutes: 20, due: { kind: 'usual' } })],
          }),
          newItem('page', { id: 'a1', title: 'Mud', minutes: 5, shown: false }),
        ],
      }),
      newSection({ id: 'B', items: [newItem('page', { id: 'b1', title: 'Cores', minutes: 30 })] }),
    ],
  });

  test('follow the sections through folders, pauses where they stand, and end with spare places', () => {
    expect(rows(of())).toEqual(['A', 'f', 'q', 'a1', 'pause-p-2027-01-18', 'B', 'b1', 'spare-3']);
    expect(rows(of(), off, ['A'])).toEqual(['A', 'pause-p-2027-01-18', 'B', 'b1', 'spare-3']);
    expect(rows(of(), off, ['f'])[2]).toBe('a1');
  });

  test('are found by title, by kind, by having a date, by not being shown; what holds them stays', () => {
    expect(rows(of(), finding({ matches: (title) => title === 'Salt' }))).toEqual(['A', 'f', 'q']);
    expect(rows(of(), finding({ only: 'page' }))).toEqual(['A', 'a1', 'B', 'b1']);
    expect(rows(of(), finding({ only: 'due' }))).toEqual(['A', 'f', 'q']);
    expect(rows(of(), finding({ only: 'hidden' }))).toEqual(['A', 'a1']);
    expect(rows(of(), finding({ matches: () => false }))).toEqual([]);
  });

  test('say number, days, what is due, how long, how deep', () => {
    const [section, folder, quiz, hidden] = outlineRows(planCourse(of()), new Set(), off);
    expect(section).toMatchObject({
      number: '1',
      minutes: 25,
      span: { kind: 'slot', slot: { first: '2027-01-11' } },
    });
    expect(folder).toMatchObject({ number: null, minutes: 20, depth: 0 });
    expect(quiz).toMatchObject({ number: '1.1', depth: 1, when: { day: '2027-01-17' }, mayBeDue: true });
    expect(hidden).toMatchObject({ number: null, dim: true, mayBeDue: false });
  });

  test('after an edit all but the line concerned are the same objects', () => {
    const start = of();
    const before = planCourse(start);
    const edit = { kind: 'set' as const, target: 'b1', field: 'title', value: 'Deep cores', was: 'Cores' };
    const applied = applyChange(start, { id: 'c', edits: [edit] });
    if (!applied.ok) throw new Error(applied.refusal.code);
    const old = outlineRows(before, new Set(), off);
    const next = share(old, outlineRows(planCourse(applied.course, {}, before), new Set(), off));
    expect(next.filter((row, at) => row !== old[at]).map(({ id }) => id)).toEqual(['b1']);
    expect(next.filter(isNodeRow).map(({ id }) => id)).not.toContain('spare-3');
  });
});

describe('sharing', () => {
  test('keeps what says the same, whatever was made anew', () => {
    const before = {
      a: [
        { id: '1', x: { y: 1 } },
        { id: '2', x: { y: 2 } },
      ],
      b: null,
    };
    const next = share(before, JSON.parse(JSON.stringify(before)) as typeof before);
    expect(next).toBe(before);
    const changed = share(before, {
      a: [
        { id: '2', x: { y: 2 } },
        { id: '1', x: { y: 3 } },
      ],
      b: null,
    });
    expect(changed.a[0]).toBe(before.a[1]);
    expect(changed.a[1]).toEqual({ id: '1', x: { y: 3 } });
    const map = new Map([['k', 1]]);
    expect(share<unknown>({ m: new Map() }, { m: map })).toEqual({ m: map });
    expect(share<unknown>([1], { 0: 1 })).toEqual({ 0: 1 });
  });
});

describe('selecting', () => {
  const order = ['a', 'b', 'c', 'd'];
  test('one by one, on from there, all, none; what is gone is not selected', () => {
    const there = new Set(order);
    const selection = useSelection((id) => there.has(id));
    selection.toggle('b');
    selection.extendTo('d', order);
    expect([...selection.ids.value]).toEqual(['b', 'c', 'd']);
    selection.toggle('c');
    expect([...selection.ids.value]).toEqual(['b', 'd']);
    selection.all(order);
    expect(selection.ids.value.size).toBe(4);
    selection.clear();
    expect(selection.ids.value.size).toBe(0);
    selection.extendTo('c', order);
    expect([...selection.ids.value]).toEqual(['c']);
  });
});

test('columns that are chosen take their place in the grid', () => {
  expect(gridTemplate(['minutes']).split(' ')).toHaveLength(6);
  expect(gridTemplate([]).split(' ')).toHaveLength(5);
});

test.each([
  ['3:40', 220],
  ['1:02:10', 3730],
  ['', null],
  ['3:60', undefined],
  ['abc', undefined],
  ['25:00:00', undefined],
])('a playing time: %s', (text, seconds) => expect(readLength(text)).toBe(seconds));

test('a playing time is written as it is read', () => {
  for (const seconds of [0, 59, 60, 3599, 3600, 86_399])
    expect(readLength(writeLength(seconds))).toBe(seconds);
  expect(writeLength(null)).toBe('');
});

test('signs of a line say what decides about it besides its moment', () => {
  const page = newItem('page', { id: 'p', title: 'p' });
  const rule = {
    when: { kind: 'all' as const, of: [{ kind: 'before' as const }] },
    until: null,
    then: 'look' as const,
  };
  expect(marksOf(page, false)).toEqual([]);
  expect(marksOf({ ...page, rule: { ...rule, when: { kind: 'all', of: [] } } }, false)).toEqual([]);
  expect(
    marksOf({ ...page, rule, staffOnly: true, audience: ['k'], listed: false, sample: true }, true),
  ).toEqual(['held', 'staff', 'rule', 'audience', 'unlisted', 'sample']);
  expect(marksOf(newSection({ id: 's', inOrder: true }), false)).toEqual(['order']);
});
