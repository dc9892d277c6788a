/** What learners go on seeing of what is held, wherever it goes and whatever is written on it. */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  applyChange,
  findNode,
  heldAt,
  holdEdit,
  learnersNode,
  newItem,
  newSection,
  ownCourse,
  planRelease,
  releaseEdit,
  subtree,
  whyNot,
} from '../../src/index.ts';
import type { Course, Edit, Viewer } from '../../src/index.ts';
import { smallCourse } from '../support/arbitraries.ts';
import { changeFor, move } from '../support/random-changes.ts';
import { runs } from '../support/runs.ts';
import { linesOf, slowView, snapshotOf } from '../support/slow-holding.ts';
import type { Snapshot } from '../support/slow-holding.ts';

const LEARNER: Viewer = { role: 'learner', institutionStaff: false };
const NOON = '2027-02-01T12:00:00.000Z';
const at = Date.parse(NOON);

const page = (id: string, title = id) => newItem('page', { id, title });
function twoWeeks(): Course {
  return {
    ...smallCourse(),
    state: 'live',
    sections: [
      newSection({ id: 'S', title: 'Cores', items: [page('a', 'Mud'), page('b', 'Silt')] }),
      newSection({ id: 'T', title: 'Tides', items: [page('c', 'Ebb')] }),
    ],
  };
}
function after(course: Course, ...edits: (Edit | ((course: Course) => Edit))[]): Course {
  return edits.reduce<Course>((now, edit) => {
    const applied = applyChange(now, { id: 'x', edits: [typeof edit === 'function' ? edit(now) : edit] });
    if (!applied.ok) throw new Error(applied.refusal.code);
    return applied.course;
  }, course);
}
const hold = (id: string) => (course: Course) => holdEdit(course, id, at);
const release = (id: string) => (course: Course) => releaseEdit(course, id);
const rewrite = (target: string, value: string): Edit => ({
  kind: 'set',
  target,
  field: 'title',
  value,
  was: '',
});
const put = (target: string, parent: string, behind: string | null = null): Edit => ({
  kind: 'move',
  target,
  parent,
  after: behind,
});
const seen = (course: Course): string =>
  linesOf(ownCourse(course, LEARNER, at))
    .map(({ id, parent, title }) => `${parent}/${id}:${title ?? ''}`)
    .filter((line) => !line.startsWith('course/'))
    .join(' ');

describe('what is held', () => {
  test('keeps its words when its section is held after it has been rewritten', () => {
    const held = after(twoWeeks(), hold('a'), rewrite('a', 'UNSEEN'), hold('S'));
    expect(seen(held)).toBe('S/a:Mud S/b:Silt T/c:Ebb');
    expect(JSON.stringify(held.heldBack)).not.toContain('UNSEEN');
    const outerGone = after(held, rewrite('b', 'Sand'), release('S'));
    expect(seen(outerGone)).toBe('S/a:Mud S/b:Sand T/c:Ebb');
    expect(seen(after(outerGone, release('a')))).toBe('S/a:UNSEEN S/b:Sand T/c:Ebb');
  });

  test('stands once when it has been moved, rewritten and held where it went', () => {
    const held = after(twoWeeks(), hold('S'), put('a', 'T', 'c'), rewrite('a', 'UNSEEN'), hold('a'));
    expect(seen(held)).toBe('S/a:Mud S/b:Silt T/c:Ebb');
    expect(JSON.stringify(held.heldBack)).not.toContain('UNSEEN');
    // Of the section that it went to it is no part until the other one is released.
    expect(seen(after(held, hold('T')))).toBe('S/a:Mud S/b:Silt T/c:Ebb');
    expect(seen(after(held, release('S')))).toBe('S/b:Silt T/c:Ebb T/a:Mud');
  });

  test('stays with learners when it is moved into what is held, behind the one before it', () => {
    const held = after(twoWeeks(), hold('T'), hold('a'), put('a', 'T', 'c'), rewrite('a', 'UNSEEN'));
    expect(seen(held)).toBe('S/b:Silt T/c:Ebb T/a:Mud');
    expect(seen(after(held, put('a', 'T')))).toBe('S/b:Silt T/a:Mud T/c:Ebb');
  });

  test('moved into a folder that learners do not have, it stands in what they have around that', () => {
    const folder = newItem('folder', { id: 'f', title: 'New', items: [] });
    const held = after(
      twoWeeks(),
      hold('T'),
      { kind: 'insert', parent: 'T', after: 'c', node: folder },
      hold('a'),
      put('a', 'f'),
    );
    expect(seen(held)).toBe('S/b:Silt T/c:Ebb T/a:Mud');
  });

  test('is nothing where learners had nothing of it, also once what is around it is released', () => {
    const added = after(twoWeeks(), hold('S'), {
      kind: 'insert',
      parent: 'S',
      after: 'b',
      node: page('n', 'UNSEEN'),
    });
    const held = after(added, hold('n'));
    expect(held.heldBack['n']).toEqual({ node: null, release: null });
    const outerGone = after(held, release('S'));
    expect(seen(outerGone)).toBe('S/a:Mud S/b:Silt T/c:Ebb');
    expect(whyNot(outerGone, LEARNER, NOON, 'n')?.answer).toEqual({ state: 'absent', because: 'held' });
    expect(seen(after(outerGone, release('n')))).toBe('S/a:Mud S/b:Silt S/n:UNSEEN T/c:Ebb');
  });

  test('is as it was in copies that hold newer words, and once in two copies that both have it', () => {
    const base = after(twoWeeks(), hold('a'), rewrite('a', 'UNSEEN'));
    const [S] = base.sections;
    const raw: Course = { ...base, heldBack: { ...base.heldBack, S: { node: S!, release: null } } };
    expect(seen(raw)).toBe('S/a:Mud S/b:Silt T/c:Ebb');
    const twice = after(twoWeeks(), put('a', 'T'));
    const [was] = twoWeeks().sections;
    const [, T] = twice.sections;
    const both: Course = {
      ...twice,
      heldBack: { S: { node: was!, release: null }, T: { node: T!, release: null } },
    };
    expect(seen(both)).toBe('S/b:Silt T/a:Mud T/c:Ebb');
  });

  test('two that each stand in the other are both there, once', () => {
    const folder = (id: string, items: ReturnType<typeof page>[]) =>
      newItem('folder', { id, title: id, items });
    const course: Course = {
      ...twoWeeks(),
      sections: [newSection({ id: 'S', items: [folder('f', []), folder('g', [])] })],
      heldBack: {
        f: { node: newItem('folder', { id: 'f', title: 'f', items: [folder('g', [])] }), release: null },
        g: { node: newItem('folder', { id: 'g', title: 'g', items: [folder('f', [])] }), release: null },
      },
    };
    expect(seen(course)).toBe('S/f:f f/g:g');
  });

  test('what decides is named, and released by the cure', () => {
    const hidden = after(
      twoWeeks(),
      { kind: 'set', target: 'a', field: 'shown', value: false, was: true },
      hold('S'),
      put('a', 'T'),
      { kind: 'set', target: 'a', field: 'shown', value: true, was: false },
    );
    const why = whyNot(hidden, LEARNER, NOON, 'a');
    expect(why?.cure?.map((edit) => edit.kind === 'set' && edit.field)).toEqual(['heldBack.S']);
  });
});

const DAY = 86_400_000;
const dayAfter = (days: number): { day: string; time: string } => ({
  day: new Date(at + days * DAY).toISOString().slice(0, 10),
  time: '00:00',
});

const step = fc.oneof(
  { weight: 5, arbitrary: move.map((edit) => ({ kind: 'edit' as const, edit })) },
  {
    weight: 3,
    arbitrary: fc.record({
      kind: fc.constant('hold' as const),
      which: fc.nat(),
      days: fc.option(fc.integer({ min: 1, max: 4 }), { nil: null, freq: 3 }),
    }),
  },
  { weight: 2, arbitrary: fc.record({ kind: fc.constant('release' as const), which: fc.nat() }) },
  { weight: 1, arbitrary: fc.constant({ kind: 'tomorrow' as const }) },
);

function start(): Course {
  const folder = newItem('folder', { id: 'f', title: 'Readings', items: [page('d'), page('e')] });
  return {
    ...twoWeeks(),
    dates: { ...twoWeeks().dates, zone: 'UTC' },
    sections: [...twoWeeks().sections, newSection({ id: 'U', title: 'Dunes', items: [folder, page('g')] })],
  };
}

test('holding, editing, moving, removing and releasing in any order: as node by node, and a hold changes nothing', () => {
  fc.assert(
    fc.property(fc.array(step, { minLength: 4, maxLength: 24 }), (steps) => {
      let course = start();
      let now = at;
      const holds = new Map<string, { lines: Snapshot; until: number | null }>();
      const inForce = (): ReadonlyMap<string, Snapshot> =>
        new Map(
          [...holds]
            .filter(([, { until }]) => until === null || now < until)
            .map(([id, { lines }]) => [id, lines]),
        );
      for (const [index, one] of steps.entries()) {
        const before = slowView(course, inForce());
        if (one.kind === 'tomorrow') now += DAY;
        else if (one.kind === 'edit') {
          const change = changeFor(course, [one.edit], `c${index}`);
          const applied = change === null ? null : applyChange(course, change);
          if (applied?.ok === true) course = applied.course;
        } else if (one.kind === 'hold') {
          const living = linesOf(course).filter(({ id }) => !inForce().has(id));
          const id = living[one.which % Math.max(living.length, 1)]?.id;
          if (id === undefined) continue;
          course = after(course, holdEdit(course, id, now));
          const days = one.days === null ? null : Math.round((now - at) / DAY) + one.days;
          if (days !== null) course = after(course, planRelease(course, id, dayAfter(days))!);
          holds.set(id, {
            lines: snapshotOf(before, id),
            until: days === null ? null : Date.parse(`${dayAfter(days).day}T00:00:00Z`),
          });
          expect(linesOf(ownCourse(course, LEARNER, now))).toEqual(before);
        } else {
          const held = [...inForce().keys()];
          const id = held[one.which % Math.max(held.length, 1)];
          if (id === undefined) continue;
          course = after(course, releaseEdit(course, id));
          holds.delete(id);
        }
        const lines = linesOf(ownCourse(course, LEARNER, now));
        expect(lines).toEqual(slowView(course, inForce()));
        expect(new Set(lines.map(({ id }) => id)).size).toBe(lines.length);
        expect(heldAt(course, now).toSorted()).toEqual([...inForce().keys()].toSorted());
      }
      for (const id of course.sections.flatMap((section) => subtree(section)).map((node) => node.id)) {
        const has = learnersNode(course, id, now) !== null;
        expect(has).toBe(linesOf(ownCourse(course, LEARNER, now)).some((line) => line.id === id));
        expect(findNode(course, id)).not.toBeNull();
      }
    }),
    { numRuns: runs(5000, 10) },
  );
});
