import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { applyChange, findings, newCourse, parseCourse, RULES } from '../src/index.ts';
import type { Course, Finding } from '../src/index.ts';
import { course, smallCourse } from './arbitraries.ts';

const BEFORE = '2027-01-05T09:00:00Z';
const ready = (): Course => {
  const base = smallCourse();
  const text = 'a'.repeat(64);
  return {
    ...base,
    description: text,
    sections: base.sections.map((section) => ({
      ...section,
      items: section.items.map((item) => (item.kind === 'page' ? { ...item, text } : item)),
    })),
  };
};
const find = (of: Course, moment = BEFORE, learners = 3): readonly Finding[] =>
  findings(of, { moment, learners });
const rules = (of: Course, moment = BEFORE, learners = 3): string[] =>
  find(of, moment, learners).map(({ rule }) => rule);
const dates = (of: Course, change: Partial<Course['dates']>): Course => ({
  ...of,
  dates: { ...of.dates, ...change },
});

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
  const empty = (): Course => ({
    ...ready(),
    sections: ready().sections.map((one) => (one.id === 'B' ? { ...one, items: [] } : one)),
  });
  const third = (): Course => ({
    ...ready(),
    sections: [
      ...ready().sections,
      { ...ready().sections[1]!, id: 'C', items: [{ ...ready().sections[1]!.items[0]!, id: 'c1' }] },
    ],
  });
  const cases: readonly (readonly [string, Course, 'blocker' | 'advice', string?, number?])[] = [
    ['no_description', { ...ready(), description: null }, 'advice'],
    ['no_first_day', dates(ready(), { firstDay: null }), 'blocker'],
    ['mid_week', dates(ready(), { firstDay: '2027-01-13' }), 'advice'],
    ['dates_past', ready(), 'blocker', '2028-01-01T00:00:00Z'],
    ['dates_past', ready(), 'advice', '2027-01-14T00:00:00Z'],
    ['spare_weeks', dates(ready(), { weeks: 3 }), 'advice'],
    ['unplaced_sections', third(), 'blocker'],
    ['no_item', { ...ready(), sections: [] }, 'blocker'],
    ['empty_section', empty(), 'advice'],
    ['empty_item', { ...ready(), sections: smallCourse().sections }, 'advice'],
    ['no_learners', ready(), 'advice', BEFORE, 0],
  ];

  test('is tried below', () => {
    expect(new Set(cases.map(([rule]) => rule))).toEqual(new Set(RULES.map(({ id }) => id)));
  });

  test.each(cases)('%s', (rule, of, severity, moment = BEFORE, learners = 3) => {
    const found = find(of, moment, learners).find((one) => one.rule === rule);
    expect(found?.severity).toBe(severity);
    if (found?.cure == null) return;
    const cured = applyChange(of, { id: 'cure', edits: [...found.cure] });
    expect(cured.ok && rules(cured.course, moment, learners)).not.toContain(rule);
  });
});

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
    { numRuns: 400, seed: 13 },
  );
  expect(cures).toBeGreaterThan(200);
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
