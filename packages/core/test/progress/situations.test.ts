/** What is done by what, and since when: as it is written down in situations.ts, clause by clause of Progress. */
import { describe, expect, test } from '@jest/globals';
import { accessAt, newItem, newSection, progress } from '../../src/index.ts';
import type { Course, Deed, DoneCondition, DoneRule, Item, Viewer } from '../../src/index.ts';
import { doneBy } from '../../src/deeds/done.ts';
import { factsOf } from '../../src/progress/reckon.ts';
import { smallCourse } from '../support/arbitraries.ts';
import { SITUATIONS } from './situations.ts';

const MINUTE = 60_000;

function conditionOf(words: string): DoneCondition {
  const [, sign = '', number] = /^([a-zP])([\d.]*)$/.exec(words) ?? [];
  const least = Number(number);
  const by = {
    ...{ o: 'opened', t: 'ticked', h: 'handed_in', a: 'attended', P: 'passed' },
    ...{ s: 'scored', p: 'posted', r: 'replied', w: 'watched' },
  }[sign];
  if (by === undefined) throw new Error(`no condition: ${words}`);
  return (number === '' ? { by } : { by, least }) as DoneCondition;
}

function ruleOf(words: string): { readonly rule: DoneRule; readonly tooLate: number } {
  const [of = '', until] = words.split('@');
  const [, several, inner = ''] = /^(all|any)\((.*)\)$/.exec(of) ?? [];
  const rule: DoneRule =
    several === undefined
      ? conditionOf(of)
      : { by: several as 'all' | 'any', of: inner.split(' ').map(conditionOf) };
  // The minute that is said counts whole.
  return { rule, tooLate: until === undefined ? Infinity : (Number(until) + 1) * MINUTE };
}

function deedOf(words: string): Deed {
  const [, sign = '', minute, , value = ''] = /^([a-zA-Z])(\d+)([:=]?)(.*)$/.exec(words) ?? [];
  const key = { item: 'i', at: Number(minute) * MINUTE };
  const percent = value === '-' ? null : Number(value);
  switch (sign) {
    case 'x':
    case 'y':
      return { ...key, kind: 'unposted', reply: sign === 'y', posted: Number(value) * MINUTE };
    case 'w':
      return { ...key, kind: 'watched', percent: percent ?? 0 };
    case 's':
    case 'S':
      return { ...key, kind: 'scored', percent, by: sign === 's' ? 'learner' : 'staff' };
    case 'k':
      return { ...key, kind: 'kept', since: Number(value) * MINUTE };
    default: {
      const kind = {
        ...{ o: 'opened', t: 'ticked', u: 'unticked', h: 'handed_in', p: 'posted', r: 'replied' },
        ...{ a: 'attended', b: 'absent', m: 'marked', n: 'unmarked', T: 'taken_back' },
      }[sign];
      if (kind === undefined) throw new Error(`no deed: ${words}`);
      return { ...key, kind } as Deed;
    }
  }
}

test.each(SITUATIONS)('%s, after %s: %s', (words, said, expected) => {
  const { rule, tooLate } = ruleOf(words);
  const deeds = said === '' ? [] : said.split(' ').map(deedOf);
  const facts = factsOf(deeds).get('i') ?? {};
  const done = doneBy(rule, facts, { pass: 50, tooLate });
  const minute = done.since === Infinity ? '-' : String(done.since / MINUTE);
  expect(minute === '-' || done.by === 'rule' ? minute : `${minute} ${done.by}`).toBe(expected);
});

test('there are as many as there are to be', () => {
  expect(SITUATIONS.length).toBeGreaterThanOrEqual(150);
  expect(new Set(SITUATIONS.map((one) => one.join('|'))).size).toBe(SITUATIONS.length);
});

describe('share, next, behind', () => {
  const opened = { by: 'opened' as const };
  const page = (id: string, more: object = {}): Item =>
    newItem('page', { id, title: id, done: opened, ...more } as never);
  const due = (day: string): object => ({ due: { kind: 'fixed', day, time: '18:00' } });
  const work = (id: string, day: string, more: object = {}): Item =>
    newItem('assignment', { id, title: id, done: opened, ...due(day), ...more } as never);
  const course = (one: readonly Item[], other: readonly Item[] = [], more: Partial<Course> = {}): Course => ({
    ...smallCourse(),
    state: 'live',
    // The weeks of 11 and of 18 January.
    sections: [
      newSection({ id: 'A', title: 'A', items: [...one] }),
      newSection({ id: 'B', title: 'B', items: [...other] }),
    ],
    ...more,
  });
  const viewer: Viewer = { role: 'learner', institutionStaff: false, groups: [] };
  const at = (...ids: readonly string[]): Deed[] =>
    ids.map((item) => ({ kind: 'opened', item, at: Date.parse('2027-01-12T09:00:00Z') }));
  const MONDAY = '2027-01-18T09:00:00Z';
  const says = (of: Course, deeds: readonly Deed[], moment = MONDAY): readonly unknown[] => {
    const { share, next, behind, ahead } = progress(of, deeds, viewer, moment);
    const part = share.items === null ? null : [share.items.done, share.items.counted];
    const minutes = share.minutes === null ? null : [share.minutes.done, share.minutes.counted];
    return [part, minutes, next, behind, ahead];
  };

  test.each<[string, Course, readonly Deed[], readonly unknown[]]>([
    ['nothing counts', course([page('a', { done: null })]), [], [null, null, null, [], []]],
    ['nothing is done', course([page('a'), page('b')]), [], [[0, 2], [0, 2], 'a', ['a', 'b'], []]],
    ['one is', course([page('a'), page('b')]), at('a'), [[1, 2], [1, 2], 'b', ['b'], []]],
    ['both are', course([page('a'), page('b')]), at('a', 'b'), [[2, 2], [2, 2], null, [], []]],
    [
      'what is hidden does not count',
      course([page('a', { shown: false }), page('b')]),
      [],
      [[0, 1], [0, 1], 'b', ['b'], []],
    ],
    [
      'nor what is for others',
      course([page('a', { audience: ['k'] }), page('b')]),
      [],
      [[0, 1], [0, 1], 'b', ['b'], []],
    ],
    [
      'minutes are an item’s own, else its kind’s mean',
      course([page('a', { minutes: 30 }), page('b', { minutes: 10 }), page('c')]),
      at('c'),
      [[1, 3], [20, 60], 'a', ['a', 'b'], []],
    ],
    [
      'nought minutes are none given',
      course([page('a', { minutes: 40 }), page('b', { minutes: 0 })]),
      at('b'),
      [[1, 2], [40, 80], 'a', ['a'], []],
    ],
    [
      'another kind’s mean where its own has none',
      course([page('a', { minutes: 30 }), work('w', '2027-01-20')]),
      at('w'),
      [[1, 2], [30, 60], 'a', ['a'], []],
    ],
    [
      'next is by its due moment, before its section’s end, before reading order',
      course([], [page('a'), work('w', '2027-01-20'), work('v', '2027-01-19')]),
      [],
      [[0, 3], [0, 3], 'v', [], []],
    ],
    [
      'what is not open is not next, and counts',
      course([page('a', { opens: { kind: 'fixed', day: '2027-02-01', time: null } })], [page('b')]),
      [],
      [[0, 2], [0, 2], 'b', ['a'], []],
    ],
    [
      'a due moment goes before the section’s end',
      course([work('w', '2027-01-20')]),
      [],
      [[0, 1], [0, 1], 'w', [], []],
    ],
    [
      'it is behind after its due minute',
      course([], [work('w', '2027-01-17')]),
      [],
      [[0, 1], [0, 1], 'w', ['w'], []],
    ],
    [
      'outside the calendar nothing is behind',
      course([], [], { sections: [newSection({ id: 'O', outside: true, items: [page('a')] })] }),
      [],
      [[0, 1], [0, 1], 'a', [], []],
    ],
    [
      'done early is ahead',
      course([page('a')], [page('b')]),
      at('a', 'b'),
      [[2, 2], [2, 2], null, [], ['b']],
    ],
    [
      'whoever is behind is not ahead',
      course([page('a')], [page('b')]),
      at('b'),
      [[1, 2], [1, 2], 'a', ['a'], []],
    ],
  ])('%s', (_name, of, deeds, expected) => {
    expect(says(of, deeds)).toEqual(expected);
  });

  test('grace is time in which nobody is behind', () => {
    const of = course([work('w', '2027-01-18', { grace: 30 })]);
    expect(says(of, [], '2027-01-18T18:30:00Z')[3]).toEqual([]);
    expect(says(of, [], '2027-01-18T18:31:00Z')[3]).toEqual(['w']);
  });

  test('what comes later than the moment asked about has not been done yet', () => {
    const of = course([page('a')]);
    expect(says(of, at('a'), '2027-01-12T08:59:00Z')[0]).toEqual([0, 1]);
    expect(says(of, at('a'), '2027-01-12T09:00:00Z')[0]).toEqual([1, 1]);
  });

  test('why not yet: each condition with how much there is of how much', () => {
    const of = course([
      work('w', '2027-01-20', {
        total: 10,
        done: { by: 'all', of: [{ by: 'handed_in' }, { by: 'scored', least: 60 }] },
      }),
    ]);
    const deeds: Deed[] = [
      { kind: 'handed_in', item: 'w', at: 5 },
      { kind: 'scored', item: 'w', at: 6, percent: 40, by: 'staff' },
    ];
    expect(progress(of, deeds, viewer, MONDAY).items[0]).toMatchObject({
      since: null,
      standing: {
        match: 'all',
        conditions: [
          { by: 'handed_in', since: 5 },
          { by: 'scored', since: null, wants: 60, has: 40 },
        ],
      },
    });
    expect(accessAt(of, viewer, Date.parse(MONDAY)).nodes.get('w')?.state).toBe('open');
  });
});
