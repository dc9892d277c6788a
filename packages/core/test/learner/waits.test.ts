/** What an opening waits for, as its reader may be told it. */
import { describe, expect, test } from '@jest/globals';
import {
  momentsOf,
  newDates,
  newItem,
  newSection,
  planCourse,
  resolveAccess,
  waitsOf,
} from '../../src/index.ts';
import type { Condition, ConditionGroup, Course, Deeds, Item, OpeningRule, Viewer } from '../../src/index.ts';
import { smallCourse } from '../support/arbitraries.ts';

const NOW = '2027-01-20T12:00:00Z';
const counted = { done: { by: 'opened' as const } };
const page = (id: string, more: object = {}) =>
  newItem('page', { id, title: id.toUpperCase(), ...counted, ...more });
const rule = (kind: 'all' | 'any', ...of: Condition[]): OpeningRule => ({
  when: { kind, of },
  until: null,
  then: 'look',
});
const past = { kind: 'fixed', day: '2027-01-18', time: '08:00' } as const;
const future = { kind: 'fixed', day: '2027-01-25', time: '08:00' } as const;
const never = {
  kind: 'relative',
  anchor: { of: 'due', item: 'gone' },
  shift: { by: 1, unit: 'days' },
  time: null,
} as never;

function course(items: readonly Item[], more: Partial<Course> = {}): Course {
  return {
    ...smallCourse(),
    state: 'live',
    numbering: { style: 'items', from: 1, restart: false },
    dates: newDates({ firstDay: '2027-01-11', weeks: 4, zone: 'UTC' }),
    sections: [
      newSection({ id: 'S', title: 'Cores', items: [page('a'), page('secret', { shown: false })] }),
      newSection({ id: 'T', title: 'Tides', items: [...items] }),
    ],
    ...more,
  };
}

function waits(of: Course, id: string, deeds: Partial<Deeds> = {}): unknown {
  const viewer: Viewer = {
    role: 'learner',
    institutionStaff: false,
    deeds: { done: new Set(), scores: new Map(), courses: new Set(), ...deeds },
  };
  const plan = planCourse(of);
  const node = of.sections.flatMap(({ items }) => items).find((one) => one.id === id) as Item;
  const access = resolveAccess(of, viewer, NOW);
  return waitsOf(node, momentsOf(plan, id), { plan, access, viewer, at: Date.parse(NOW) });
}
const A = { id: 'a', number: '1.1', title: 'A' };
const doneA: Condition = { kind: 'done', items: ['a'] };

describe('what an opening waits for', () => {
  test('is nothing where there is none, or where all that it names is without a date', () => {
    expect(waits(course([page('n')]), 'n')).toBeNull();
    expect(waits(course([page('n', { rule: rule('all') })]), 'n')).toBeNull();
    expect(waits(course([page('n', { opens: never })]), 'n')).toBeNull();
    expect(
      waits(course([page('n', { rule: rule('any', { kind: 'from', moment: never }) })]), 'n'),
    ).toBeNull();
  });

  test('is its own moment, met once it has come', () => {
    expect(waits(course([page('n', { opens: past })]), 'n')).toMatchObject({
      kind: 'from',
      met: true,
      moment: { day: '2027-01-18', time: '08:00' },
    });
    expect(waits(course([page('n', { opens: future })]), 'n')).toMatchObject({ kind: 'from', met: false });
  });

  test('names what has to be done by number and title, and what the reader does not get by neither', () => {
    const of = course([page('n', { rule: rule('all', { kind: 'done', items: ['a', 'secret', 'gone'] }) })]);
    expect(waits(of, 'n')).toEqual({ kind: 'done', days: 0, items: [A, null, null], met: false });
    const all = new Set(['a', 'secret', 'gone']);
    expect(waits(of, 'n', { done: all })).toEqual({
      kind: 'done',
      days: 0,
      items: [A, null, null],
      met: true,
    });
    expect(waits(of, 'n', { done: new Set(['a']) })).toMatchObject({ met: false });
  });

  test('says of marks and of other courses what they have to be', () => {
    const of = course([page('n', { rule: rule('all', { kind: 'scored', item: 'a', least: 60 }) })]);
    expect(waits(of, 'n')).toEqual({ kind: 'scored', item: A, least: 60, met: false });
    expect(waits(of, 'n', { scores: new Map([['a', 59.9]]) })).toMatchObject({ met: false });
    expect(waits(of, 'n', { scores: new Map([['a', 60]]) })).toMatchObject({ met: true });
    const zero = course([page('n', { rule: rule('all', { kind: 'scored', item: 'a', least: 0 }) })]);
    expect(waits(zero, 'n')).toMatchObject({ met: false });
    const other = course([
      page('n', { rule: rule('all', { kind: 'course', course: 'tides', title: 'Tides' }) }),
    ]);
    expect(waits(other, 'n')).toEqual({ kind: 'course', title: 'Tides', met: false });
    expect(waits(other, 'n', { courses: new Set(['tides']) })).toMatchObject({ met: true });
  });

  test('is all of its parts or any of them; a group of one is that one', () => {
    const late: Condition = { kind: 'from', moment: future };
    const early: Condition = { kind: 'from', moment: past };
    const any = course([page('n', { rule: rule('any', doneA, early) })]);
    expect(waits(any, 'n')).toMatchObject({
      kind: 'any',
      met: true,
      of: [{ kind: 'done' }, { kind: 'from' }],
    });
    const neither = course([page('n', { rule: rule('any', doneA, late) })]);
    expect(waits(neither, 'n')).toMatchObject({ kind: 'any', met: false });
    const all = course([page('n', { opens: past, rule: rule('all', doneA, late) })]);
    expect(waits(all, 'n')).toMatchObject({
      kind: 'all',
      met: false,
      of: [
        { kind: 'from', met: true },
        { kind: 'done', met: false },
        { kind: 'from', met: false },
      ],
    });
    const met = course([page('n', { opens: past, rule: rule('all', doneA, early) })]);
    expect(waits(met, 'n', { done: new Set(['a']) })).toMatchObject({ kind: 'all', met: true });
    const inner: ConditionGroup = { kind: 'any', of: [doneA, early] };
    const within = course([page('n', { opens: future, rule: rule('any', inner) })]);
    expect(waits(within, 'n')).toMatchObject({
      kind: 'all',
      of: [{ kind: 'from' }, { kind: 'any', met: true }],
    });
  });

  test('is the item before it where the course or the section is gone through in order', () => {
    const items = [page('m'), page('n')];
    const sections = course(items).sections;
    expect(waits(course(items), 'n')).toBeNull();
    expect(waits(course(items, { inOrder: true }), 'n')).toMatchObject({
      kind: 'done',
      items: [{ id: 'm' }],
    });
    expect(waits(course(items, { inOrder: true }), 'm')).toEqual({
      kind: 'done',
      days: 0,
      items: [A],
      met: false,
    });
    expect(waits(course(items, { inOrder: true }), 'm', { done: new Set(['a']) })).toMatchObject({
      met: true,
    });
    // In a section by itself the first waits for nothing.
    const inSection = course([], { sections: sections.map((one) => ({ ...one, inOrder: true })) });
    expect(waits(inSection, 'm')).toBeNull();
    expect(waits(inSection, 'n')).toMatchObject({ kind: 'done', days: 0, items: [{ id: 'm' }], met: false });
    // Said as a condition, it is the one before in the course, whatever the order is.
    const asked = course([page('m', { rule: rule('all', { kind: 'before' }) })]);
    expect(waits(asked, 'm')).toEqual({ kind: 'done', days: 0, items: [A], met: false });
    const first = course([], {
      sections: [newSection({ id: 'S', items: [page('m', { rule: rule('all', { kind: 'before' }) })] })],
    });
    expect(waits(first, 'm')).toBeNull();
  });

  test('passes over what is not counted, or not for this reader', () => {
    const items = [page('m', { done: null }), page('o', { staffOnly: true }), page('n')];
    expect(waits(course(items, { inOrder: true }), 'n')).toEqual({
      kind: 'done',
      days: 0,
      items: [A],
      met: false,
    });
  });
});
