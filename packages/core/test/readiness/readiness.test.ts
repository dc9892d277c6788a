import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  applyChange,
  findings,
  isBlocker,
  newCourse,
  offeredCure,
  parseCourse,
  planCourse,
  RULES,
  withoutTypedNumber,
} from '../../src/index.ts';
import type { Course, Finding } from '../../src/index.ts';
import { course, smallCourse } from '../support/arbitraries.ts';
import { enough, runs } from '../support/runs.ts';
import { BEFORE, CASES, dates, ready } from './readiness-cases.ts';

const find = (of: Course, moment = BEFORE, learners = 3): readonly Finding[] =>
  findings(of, { moment, learners });
const rules = (of: Course, moment = BEFORE, learners = 3): string[] =>
  find(of, moment, learners).map(({ rule }) => rule);
test('a course that is ready has nothing to settle', () => expect(rules(ready())).toEqual([]));

test('a new course says what is left', () => {
  const start = {
    id: 'c',
    title: 'T',
    code: 'C',
    purpose: 'learners',
    department: null,
    term: null,
  } as const;
  const made = newCourse({ ...start, firstDay: '2027-01-11', weeks: 2, zone: 'UTC', sectionIds: ['x', 'y'] });
  expect(parseCourse(made).ok).toBe(true);
  expect(rules(made, BEFORE, 0)).toEqual(['no_item', 'no_description', 'no_learners']);
});

describe('each rule', () => {
  test('is tried', () => {
    expect(new Set(CASES.map(([rule]) => rule))).toEqual(new Set(RULES.map(({ id }) => id)));
  });

  test.each(CASES)('%s', (rule, of, severity, more = {}) => {
    const facts = { moment: BEFORE, learners: 3, ...more };
    const found = findings(of, facts).find((one) => one.rule === rule);
    expect(found?.severity).toBe(severity);
    // Where it is, what it says, and what would settle it.
    expect(found).toMatchSnapshot();
    if (found?.cure == null) return;
    const cured = applyChange(of, { id: 'cure', edits: [...found.cure] });
    expect(cured.ok && findings(cured.course, facts).map((one) => one.rule)).not.toContain(rule);
  });
});

test.each([
  ['Week 4: Salt', 'Salt'],
  ['2.3 Cores', 'Cores'],
  ['3) Mud', 'Mud'],
  ['Semana 2 – Sal', 'Sal'],
  ['12 Field day', 'Field day'],
  ['7 days on the shore', null],
  ['2027 in numbers', null],
  ['Cores', null],
  ['Week 4', null],
])('a number typed before a title: %s', (title, bare) => expect(withoutTypedNumber(title)).toBe(bare));

test('the cure of a mid-week start moves it to the nearest start', () => {
  const cure = (firstDay: string): unknown =>
    find(dates(ready(), { firstDay })).find(({ rule }) => rule === 'mid_week')?.cure;
  expect(cure('2027-01-13')).toMatchObject([{ value: '2027-01-11' }]);
  expect(cure('2027-01-15')).toMatchObject([{ value: '2027-01-18' }]);
});

test('a practice course is left in peace, colleagues are not asked for learners', () => {
  const bare = { ...smallCourse(), description: null };
  expect(rules({ ...bare, purpose: 'practice' }, '2028-01-01T00:00:00Z', 0)).toEqual([]);
  expect(rules({ ...bare, purpose: 'circle' }, BEFORE, 0)).not.toContain('no_learners');
});

test('every cure of any course applies, and leaves its rule content or less discontented', () => {
  let cures = 0;
  fc.assert(
    fc.property(course, fc.nat({ max: 3 }), (any, learners) => {
      for (const found of find(any, BEFORE, learners)) {
        if (found.cure === null) continue;
        cures += 1;
        const cured = applyChange(any, { id: 'cure', edits: [...found.cure] });
        expect(cured.ok).toBe(true);
        if (cured.ok) expect(rules(cured.course, BEFORE, learners)).not.toContain(found.rule);
      }
    }),
    { numRuns: runs(400), seed: 13 },
  );
  expect(cures).toBeGreaterThan(enough(200));
});

test('what is offered is what settles it, and no press of any course brings a blocker', () => {
  let offered = 0;
  let withheld = 0;
  const moments = fc.constantFrom(BEFORE, '2027-02-16T09:00:00Z', '2027-04-10T09:00:00Z');
  fc.assert(
    fc.property(course, moments, (any, moment) => {
      const facts = { moment, learners: 3 };
      const plan = planCourse(any);
      const found = findings(any, facts, plan);
      const told = (all: readonly Finding[]): string[] =>
        all.filter(isBlocker).flatMap(({ rule, targets }) => [rule, ...targets.map((id) => `${rule} ${id}`)]);
      const before = told(found);
      for (const one of found) {
        const cure = offeredCure(any, facts, plan, found, one);
        if (cure === null) {
          if (one.cure !== null) withheld += 1;
          continue;
        }
        offered += 1;
        const cured = applyChange(any, { id: 'cure', edits: [...cure] });
        if (!cured.ok) throw new Error(cured.refusal.code);
        const after = findings(cured.course, facts);
        expect(after.map(({ rule }) => rule)).not.toContain(one.rule);
        expect(told(after).filter((blocker) => !before.includes(blocker))).toEqual([]);
      }
    }),
    { numRuns: runs(2000), seed: 7 },
  );
  expect(offered).toBeGreaterThan(enough(2000));
  expect(withheld).toBeGreaterThan(enough(100));
});

test('“Begin on” moves a last day along that would come before it, as far as the first day goes', () => {
  const past = dates(
    { ...ready(), state: 'draft' },
    { firstDay: '2026-01-12', ends: 'day', lastDay: '2026-03-20' },
  );
  const cure = (of: Course): unknown => find(of).find(({ rule }) => rule === 'dates_past')?.cure;
  expect(cure(past)).toMatchObject([
    { field: 'dates.firstDay', value: '2027-01-11' },
    { field: 'dates.lastDay', value: '2027-03-19', was: '2026-03-20' },
  ]);
  expect(cure(dates(past, { lastDay: '2027-03-20' }))).toMatchObject([{ field: 'dates.firstDay' }]);
  expect(cure(dates(past, { ends: 'weeks' }))).toMatchObject([{ field: 'dates.firstDay' }]);
});

test.each([
  ['hiding the only item', 'empty_item', { ...smallCourse(), sections: smallCourse().sections.slice(0, 1) }],
])('%s is not offered', (_what, rule, of) => {
  const facts = { moment: BEFORE, learners: 3 };
  const plan = planCourse(of);
  const found = findings(of, facts, plan);
  const one = found.find((finding) => finding.rule === rule);
  expect(one?.cure).not.toBeNull();
  expect(one === undefined ? undefined : offeredCure(of, facts, plan, found, one)).toBeNull();
});

test('blockers come first', () => {
  fc.assert(
    fc.property(course, (any) => {
      const severities = find(any).map(({ severity }) => severity);
      expect(severities.lastIndexOf('blocker')).toBeLessThan(
        severities.includes('advice') ? severities.indexOf('advice') : Infinity,
      );
    }),
    { numRuns: 100, seed: 14 },
  );
});
