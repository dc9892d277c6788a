/** What an example learner has done, and what somebody had done by an earlier moment. */
import { describe, expect, test } from '@jest/globals';
import {
  countingOf,
  courseView,
  factsUntil,
  fold,
  newItem,
  NO_FACTS_YET,
  pretended,
  progressTold,
  withFacts,
} from '../../src/index.ts';
import type { Course, DeedKind, DoneRule, Facts, Pretended, Viewer } from '../../src/index.ts';
import { smallCourse } from '../support/arbitraries.ts';

const LEARNER: Viewer = { role: 'learner', institutionStaff: false };
const FIRST = '2027-01-11T00:00:00Z';
const at = (moment: string): number => Date.parse(moment);
const due = { kind: 'fixed', day: '2027-01-20', time: '12:00' } as const;

const RULES: Readonly<Record<string, DoneRule>> = {
  a1: { by: 'ticked' },
  a2: { by: 'all', of: [{ by: 'opened' }, { by: 'scored', least: 80 }] },
  a3: {
    by: 'all',
    of: [
      { by: 'posted', least: 3 },
      { by: 'replied', least: 2 },
    ],
  },
  b1: { by: 'any', of: [{ by: 'watched', least: 90 }, { by: 'attended' }] },
};
function course(): Course {
  const base = smallCourse();
  return {
    ...base,
    state: 'live',
    progress: true,
    shareShown: true,
    marksShown: true,
    paceShown: true,
    sections: base.sections.map((section) => ({
      ...section,
      items: section.items.map((item) =>
        newItem('assignment', { id: item.id, title: item.id, done: RULES[item.id] ?? null, due, total: 100 }),
      ),
    })),
  };
}
const seen = (which: Pretended, moment: string): Viewer => {
  const of = course();
  const facts = pretended(countingOf(of, LEARNER, at(moment)), which, at(moment));
  return withFacts(of, LEARNER, facts, new Set(), at(moment));
};
const doneBy = (which: Pretended, moment: string): string[] =>
  [...(seen(which, moment).deeds?.done ?? [])].sort();

describe('an example learner', () => {
  const ALL = Object.keys(RULES);

  test('has done nothing, the first half, what is chosen, or all that counts, by whatever rule', () => {
    expect(doneBy('nothing', FIRST)).toEqual([]);
    expect(doneBy('half', FIRST)).toEqual(ALL.slice(0, 2));
    expect(doneBy(['a3', 'b1', 'nowhere'], FIRST)).toEqual(['a3', 'b1']);
    expect(doneBy('everything', FIRST)).toEqual(ALL);
  });

  test('has done what the plan wants by the moment, when it was wanted', () => {
    expect(doneBy('planned', '2027-01-20T11:59:00Z')).toEqual([]);
    expect(doneBy('planned', '2027-01-20T12:00:00Z')).toEqual(ALL);
    expect(seen('planned', '2027-02-20T12:00:00Z').deeds?.since?.get('a1')).toBe(at('2027-01-20T12:00:00Z'));
  });

  test('did it in time, and before the moment, be that before the course', () => {
    const early = '2026-12-01T09:00:00Z';
    expect(seen('everything', early).deeds?.since?.get('a1')).toBe(at(early));
    const of = course();
    const [A] = of.sections;
    const byThen = { kind: 'fixed', day: '2027-01-05', time: '12:00' } as const;
    const strict = {
      ...of,
      sections: [
        {
          ...A!,
          items: A!.items.map((one) => ({ ...one, done: { by: 'ticked' as const, byThen } }) as never),
        },
      ],
    };
    const facts = pretended(countingOf(strict, LEARNER, at(FIRST)), 'everything', at(FIRST));
    expect(withFacts(strict, LEARNER, facts, new Set(), at(FIRST)).deeds?.done.size).toBe(3);
  });

  test('is told where they stand as everybody is', () => {
    const moment = '2027-01-21T09:00:00Z';
    const told = progressTold(course(), seen(['a1'], moment), moment);
    expect(told?.share?.items).toEqual({ done: 1, counted: 4 });
    expect(told?.behind).toEqual(['a2', 'a3', 'b1']);
    expect(told?.items.find(({ id }) => id === 'a1')?.since).toBe('2027-01-11T00:00:00.000Z');
  });

  test.each([
    ['off', { progress: false }],
    ['shown nowhere', { shareShown: false, marksShown: false, paceShown: false }],
  ])('is told nothing of it where it is %s', (_name, part) => {
    const of = { ...course(), ...part };
    expect(progressTold(of, LEARNER, FIRST)).toBeNull();
    expect(progressTold(of, LEARNER, FIRST, true) === null).toBe('progress' in part);
  });
});

describe('the line of sections', () => {
  const moment = '2027-01-21T09:00:00Z';
  const line = (of: Course, viewer: Viewer): unknown =>
    courseView(of, viewer, moment)?.sections.map(({ id, done }) => [id, done]);
  const doneOf = (of: Course, which: Pretended): Viewer => {
    const facts = pretended(countingOf(of, LEARNER, at(moment)), which, at(moment));
    return withFacts(of, LEARNER, facts, new Set(), at(moment));
  };

  test('fills by what is done of each', () => {
    expect(line(course(), doneOf(course(), ['a1', 'b1']))).toEqual([
      ['A', { done: 1, counted: 3, isDone: false }],
      ['B', { done: 1, counted: 1, isDone: true }],
    ]);
  });

  test('by the section’s own rule, and not at all where nothing of it counts', () => {
    const [A, B] = course().sections;
    const of: Course = {
      ...course(),
      sections: [
        { ...A!, done: { want: { how: 'least', count: 1 }, named: [] } },
        { ...B!, items: B!.items.map((one) => ({ ...one, done: null }) as never) },
      ],
    };
    expect(line(of, doneOf(of, ['a1']))).toEqual([
      ['A', { done: 1, counted: 3, isDone: true }],
      ['B', null],
    ]);
  });

  test.each([
    ['progress is off', { progress: false }, LEARNER],
    ['no marks are shown', { marksShown: false }, LEARNER],
    ['somebody only visits', {}, { role: 'visitor', institutionStaff: false }],
    ['somebody assists', {}, { role: 'assistant', institutionStaff: false }],
  ] as const)('says nothing where %s', (_name, part, viewer) => {
    expect(line({ ...course(), ...part }, viewer)).toEqual([
      ['A', null],
      ['B', null],
    ]);
  });
});

describe('what somebody had done by an earlier moment', () => {
  const deeds: readonly (DeedKind & { readonly at: number })[] = [
    { kind: 'opened', at: 10 },
    { kind: 'ticked', at: 20 },
    { kind: 'posted', at: 30 },
    { kind: 'replied', at: 40 },
    { kind: 'watched', percent: 40, at: 50 },
    { kind: 'watched', percent: 90, at: 60 },
    { kind: 'scored', percent: 30, by: 'learner', at: 70 },
    { kind: 'scored', percent: 55, by: 'learner', at: 80 },
    { kind: 'marked', at: 90 },
  ];
  const folded = (until: number): Facts =>
    deeds.filter((one) => one.at <= until).reduce<Facts>(fold, NO_FACTS_YET);
  const all = folded(Infinity);
  const RULES_ASKED: readonly DoneRule[] = [
    { by: 'opened' },
    { by: 'ticked' },
    { by: 'posted', least: 2 },
    { by: 'replied', least: 1 },
    { by: 'watched', least: 90 },
    { by: 'scored', least: 30 },
    { by: 'scored', least: 55 },
  ];

  test.each(Array.from({ length: 11 }, (_one, step) => step * 10))('at %i is what counts then', (until) => {
    const known = factsUntil(all, until);
    for (const rule of RULES_ASKED) {
      const by = (facts: Facts): unknown => {
        const of = course();
        const [A] = of.sections;
        const one = { ...of, sections: [{ ...A!, items: [{ ...A!.items[0]!, done: rule } as never] }] };
        return [
          ...(withFacts(one, LEARNER, new Map([['a1', facts]]), new Set(), at(FIRST)).deeds?.since ?? []),
        ];
      };
      expect([rule, by(known)]).toEqual([rule, by(folded(until))]);
    }
  });

  test('leaves out what was undone since', () => {
    const undone = fold(all, { kind: 'unticked', at: 100 });
    expect(factsUntil(undone, 25).ticked).toBeUndefined();
    expect(factsUntil(undone, 25).unticked).toBeUndefined();
    expect(factsUntil(fold(all, { kind: 'taken_back', at: 100 }), 99)).toEqual({});
  });
});
