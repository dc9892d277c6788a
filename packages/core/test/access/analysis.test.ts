/** What opening rules come to: the earliest days, what is never reached and why, what late joiners have missed. */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { accessAt, analyseRules, newDates, newItem, newSection, onceLive, subtree } from '../../src/index.ts';
import type { Course, Item, OpeningRule, PlannedMoment, SingleCondition, Viewer } from '../../src/index.ts';
import { course as anyCourse, smallCourse } from '../support/arbitraries.ts';
import { enough, runs } from '../support/runs.ts';

const LEARNER: Viewer = { role: 'learner', institutionStaff: false };
const opened = { by: 'opened' as const };
const rule = (of: readonly SingleCondition[], until: PlannedMoment | null = null): OpeningRule => ({
  when: { kind: 'all', of },
  until,
  then: 'look',
});
const fixed = (day: string, time: string | null = null): PlannedMoment => ({ kind: 'fixed', day, time });
const page = (id: string, more: Partial<Extract<Item, { kind: 'page' }>> = {}): Item =>
  newItem('page', { id, title: id, done: opened, ...more });
const done = (...items: string[]): SingleCondition => ({ kind: 'done', items });

function courseOf(items: readonly Item[], more: Partial<Course> = {}): Course {
  return {
    ...smallCourse(),
    dates: newDates({
      firstDay: '2027-01-11',
      weeks: 2,
      zone: 'Europe/Lisbon',
      ends: 'day',
      lastDay: '2027-01-24',
    }),
    sections: [newSection({ id: 'S', title: 'S', items: [...items] })],
    ...more,
  };
}

const earliest = (course: Course, viewer = LEARNER): Record<string, string> =>
  Object.fromEntries(
    [...analyseRules(course, viewer).earliest].map(([id, at]) => [id, new Date(at).toISOString()]),
  );
const never = (course: Course, viewer = LEARNER): string[] =>
  analyseRules(course, viewer).never.map(({ id, because, waitsFor }) =>
    [id, because, ...waitsFor].join(' ').trim(),
  );

describe('the earliest moment', () => {
  test('is the first at which all that it waits for can be done', () => {
    const of = courseOf([
      page('a'),
      page('b', { opens: fixed('2027-01-13', '09:00') }),
      page('c', { rule: rule([done('b')]) }),
      page('d', { rule: rule([{ kind: 'before' }, { kind: 'from', moment: fixed('2027-01-12') }]) }),
    ]);
    expect(earliest(of)).toEqual({
      S: '2027-01-11T00:00:00.000Z',
      a: '2027-01-11T00:00:00.000Z',
      b: '2027-01-13T09:00:00.000Z',
      c: '2027-01-13T09:00:00.000Z',
      d: '2027-01-13T09:00:00.000Z',
    });
  });

  test('goes by any of several ways, the quickest of them', () => {
    const either: OpeningRule = {
      when: { kind: 'any', of: [done('late'), { kind: 'from', moment: fixed('2027-01-20') }] },
      until: null,
      then: 'look',
    };
    const of = courseOf([page('late', { opens: fixed('2027-01-15') }), page('x', { rule: either })]);
    expect(earliest(of)['x']).toBe('2027-01-15T00:00:00.000Z');
  });

  test('counts from the day of joining, and never lies before it', () => {
    const weekAfter: PlannedMoment = {
      kind: 'relative',
      anchor: { of: 'joining' },
      shift: { by: 1, unit: 'weeks' },
      weekday: null,
      time: null,
    };
    const of = courseOf([page('a'), page('b', { opens: weekAfter })]);
    const joined = (joinedAt: string): Viewer => ({ ...LEARNER, joinedAt });
    expect(earliest(of, joined('2027-01-11T08:00:00Z'))['b']).toBe('2027-01-18T00:00:00.000Z');
    expect(earliest(of, joined('2027-01-21T08:00:00Z'))).toMatchObject({
      a: '2027-01-21T08:00:00.000Z',
      b: '2027-01-28T00:00:00.000Z',
    });
  });
});

describe('what is never reached', () => {
  test('a circle, said with all that is in it, and what waits for the circle', () => {
    const of = courseOf([
      page('a', { rule: rule([done('c')]) }),
      page('b', { rule: rule([done('a')]) }),
      page('c', { rule: rule([done('b')]) }),
      page('d', { rule: rule([done('c')]) }),
      page('free'),
    ]);
    expect(never(of)).toEqual(['a circle a c b', 'b circle b a c', 'c circle c b a', 'd waits_for_never c']);
  });

  test('a circle through the order, and of a section with what stands in it', () => {
    const inOrder = courseOf([page('a', { rule: rule([done('b')]) }), page('b')], { inOrder: true });
    expect(never(inOrder)).toEqual(['a circle a b', 'b circle b a']);
    const own: Course = courseOf([page('a')]);
    const [S] = own.sections;
    expect(never({ ...own, sections: [{ ...S!, rule: rule([done('a')]) }] })).toEqual(['S circle S a']);
  });

  test('over before it opens; only after the end; waiting for what is hidden, not counted or gone', () => {
    const of = courseOf(
      [
        page('hidden', { shown: false }),
        page('uncounted', { done: null }),
        page('over', { opens: fixed('2027-01-15'), rule: rule([], fixed('2027-01-14')) }),
        page('after', { opens: fixed('2027-02-01') }),
        page('x', { rule: rule([done('hidden')]) }),
        page('y', { rule: rule([done('uncounted')]) }),
        page('z', { rule: rule([done('nowhere')]) }),
      ],
      { window: { before: 'open', after: 'closed' } },
    );
    expect(never(of)).toEqual([
      'over over_before_open',
      'after after_the_end',
      'x waits_for_hidden hidden',
      'y waits_for_hidden uncounted',
      'z waits_for_hidden nowhere',
    ]);
  });

  test('is said once, of the section, and not of all that is in it', () => {
    const of = courseOf([page('a'), page('b')]);
    const [S] = of.sections;
    expect(never({ ...of, sections: [{ ...S!, rule: rule([done('nowhere')]) }] })).toEqual([
      'S waits_for_hidden nowhere',
    ]);
  });

  test('depends on the groups one is in', () => {
    const of = courseOf([page('a', { audience: ['k'] }), page('b', { rule: rule([done('a')]) })], {
      groups: { k: { name: 'Class A', kind: 'class', at: 0 } },
    });
    expect(never(of)).toEqual(['b waits_for_hidden a']);
    expect(never(of, { ...LEARNER, groups: ['k'] })).toEqual([]);
  });
});

test('a late joiner has missed what was due or over before', () => {
  const of = courseOf([
    newItem('assignment', { id: 'early', title: 'early', due: fixed('2027-01-15') }),
    newItem('assignment', { id: 'later', title: 'later', due: fixed('2027-01-22') }),
    page('gone', { rule: rule([], fixed('2027-01-12')) }),
  ]);
  expect(analyseRules(of, LEARNER).missed).toEqual([]);
  expect(analyseRules(of, { ...LEARNER, joinedAt: '2027-01-18T08:00:00Z' }).missed).toEqual([
    'early',
    'gone',
  ]);
});

/** A learner who does everything at once: from moment to moment, all that is open is done. */
function simulate(course: Course, viewer: Viewer, instants: readonly number[]): ReadonlyMap<string, number> {
  // Only what is counted can be done.
  const counted = new Set(
    course.sections
      .flatMap((section) => subtree(section))
      .flatMap((node) => ('done' in node && node.done !== null ? [node.id] : [])),
  );
  const done = new Set<string>();
  const scores = new Map<string, number>();
  const reached = new Map<string, number>();
  for (const at of instants) {
    for (let before = -1; before !== done.size;) {
      before = done.size;
      const who = { ...viewer, deeds: { done: new Set(done), scores: new Map(scores), courses: ALL } };
      const access = accessAt(course, who, at);
      for (const [id, { state }] of access.nodes) {
        if (state !== 'open') continue;
        if (!reached.has(id)) reached.set(id, at);
        if (!counted.has(id)) continue;
        done.add(id);
        scores.set(id, 100);
      }
    }
  }
  return reached;
}
const ALL = new Set(['tides', 'other']);

test('agrees with somebody who goes through the course moment by moment', () => {
  let compared = 0;
  let unreached = 0;
  fc.assert(
    fc.property(anyCourse, fc.subarray(['g0', 'g1', 'k0']), (any, groups) => {
      const course: Course = { ...onceLive(any), state: 'live', heldBack: {} };
      const viewer: Viewer = { ...LEARNER, groups };
      const { earliest: said, start } = analyseRules(course, viewer);
      const first = Number.isFinite(start) ? start : Date.parse('2015-01-01T00:00:00Z');
      // Every moment of the course, and each of those at which the analysis says that something is reached.
      const moments = new Set([first, ...said.values()].filter((at) => Number.isFinite(at)));
      const walked = simulate(
        course,
        viewer,
        [...moments].sort((a, b) => a - b),
      );
      // What nobody has named before is done when it is open; what is not counted is not waited for.
      for (const [id, at] of said) {
        compared += 1;
        expect({ id, at: walked.get(id) }).toEqual({ id, at: Number.isFinite(at) ? at : first });
      }
      const late = simulate(course, viewer, [first, Date.parse('2120-01-01T00:00:00Z')]);
      for (const { id } of analyseRules(course, viewer).never) {
        unreached += 1;
        expect([...walked.keys(), ...late.keys()]).not.toContain(id);
      }
    }),
    { numRuns: runs(400), seed: 5 },
  );
  expect(Math.min(compared, unreached)).toBeGreaterThan(enough(100));
});
