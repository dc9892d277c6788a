import { afterAll, describe, expect, test } from '@jest/globals';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { newItem, newSection, toCourseFile } from '@itinerary/core';
import { smallCourse } from '../../core/test/support/arbitraries.ts';
import { runCli } from '../src/cli.ts';
import type { FilePlan } from '../src/plan-file.ts';

const folder = mkdtempSync(join(tmpdir(), 'itinerary-'));
afterAll(() => rmSync(folder, { recursive: true }));

function cli(...words: string[]): { code: number; out: string; err: string } {
  const out: string[] = [];
  const err: string[] = [];
  const code = runCli(
    words,
    (text) => out.push(text),
    (text) => err.push(text),
    '2027-01-05T09:00:00Z',
  );
  return { code, out: out.join('\n'), err: err.join('\n') };
}

function file(name: string, content: unknown): string {
  const path = join(folder, name);
  writeFileSync(path, typeof content === 'string' ? content : JSON.stringify(content));
  return path;
}

describe('plan', () => {
  const good = file(
    'good.json',
    toCourseFile({ ...smallCourse(), dates: { ...smallCourse().dates, weeks: 3 } }, {}),
  );

  test('prints sections and days as JSON', () => {
    const { code, out } = cli('plan', good, '--json');
    expect(code).toBe(0);
    expect(JSON.parse(out)).toMatchObject({
      code: 'EFM-210',
      firstDay: '2027-01-11',
      lastTeachingDay: '2027-01-31',
      sections: [
        { id: 'A', number: '1', slot: 1, first: '2027-01-11', last: '2027-01-17' },
        { id: 'B', number: '2', slot: 2, first: '2027-01-18', last: '2027-01-24' },
      ],
      spare: [{ slot: 3, first: '2027-01-25', last: '2027-01-31' }],
      unplaced: [],
    });
  });

  const SPRING = {
    name: 'Spring break',
    first: '2027-01-18',
    last: '2027-01-24',
    policy: 'between' as const,
  };
  const worked = file(
    'worked.json',
    toCourseFile(
      {
        ...smallCourse(),
        dates: { ...smallCourse().dates, pauses: { p: SPRING } },
        sections: [
          ...smallCourse().sections.slice(0, 1),
          newSection({
            id: 'W',
            title: 'Work',
            items: [
              newItem('assignment', { id: 'w', title: 'Core log', due: { kind: 'usual' } }),
              newItem('quiz', {
                id: 'q',
                title: 'Salt',
                due: { kind: 'fixed', day: '2027-03-28', time: '01:30' },
              }),
            ],
          }),
        ],
      },
      {},
    ),
  );

  test('prints pauses, due moments as instants and local times, and findings', () => {
    const plan = JSON.parse(cli('plan', worked, '--json').out) as FilePlan;
    expect(plan.pauses).toEqual([
      { name: 'Spring break', number: null, first: '2027-01-18', last: '2027-01-24' },
    ]);
    expect(plan.moments).toEqual([
      {
        id: 'w',
        number: '2.1',
        title: 'Core log',
        what: 'due',
        local: '2027-01-31T23:59',
        instant: '2027-01-31T23:59:00.000Z',
        note: null,
      },
      {
        id: 'q',
        number: '2.2',
        title: 'Salt',
        what: 'due',
        local: '2027-03-28T01:30',
        instant: '2027-03-28T01:30:00.000Z',
        note: 'gap',
      },
    ]);
    const found = plan.findings.map(({ rule }) => rule);
    expect(found).toEqual(expect.arrayContaining(['work_outside', 'work_at_clock_change', 'empty_item']));
    expect(found).not.toContain('no_learners');
    const late = JSON.parse(cli('plan', worked, '--json', '--at', '2028-01-01T00:00:00Z').out) as FilePlan;
    expect(late.findings[0]).toMatchObject({ rule: 'dates_past', severity: 'blocker' });
  });

  test('prints all of it as text, pauses where they stand', () => {
    const { out } = cli('plan', worked);
    expect(out.indexOf('(Spring break)')).toBeGreaterThan(out.indexOf('2027-01-17  A'));
    expect(out.indexOf('(Spring break)')).toBeLessThan(out.indexOf('Work'));
    expect(out).toContain('  2.1  due    2027-01-31T23:59  Core log');
    expect(out).toContain('[gap]');
    expect(out).toContain('advice: work_outside');
  });

  test('prints them as text', () => {
    const { out } = cli('plan', good);
    expect(out).toContain('  1  2027-01-11  2027-01-17  A');
    expect(out).toContain('2027-01-25  2027-01-31  (no section)');
  });

  test('names what is wrong with a file', () => {
    const wrong = { ...toCourseFile(smallCourse(), {}), version: 9 };
    expect(cli('plan', file('wrong.json', wrong))).toMatchObject({
      code: 1,
      err: expect.stringMatching(/at version stands 9; expected: /) as unknown,
    });
    expect(cli('plan', file('not.json', '{'))).toMatchObject({
      code: 1,
      err: expect.stringContaining('is not JSON') as unknown,
    });
    expect(cli('plan', join(folder, 'none.json')).err).toContain('there is no such file');
  });
});

describe('access', () => {
  const opens = { kind: 'fixed' as const, day: '2027-01-20', time: '08:00' };
  const base = smallCourse();
  const course = {
    ...base,
    state: 'live' as const,
    window: { before: 'closed' as const, after: 'open' as const },
    sections: base.sections.map((section) =>
      section.id === 'B'
        ? { ...section, opens }
        : { ...section, items: section.items.map((item) => ({ ...item, shown: item.id !== 'a2' })) },
    ),
  };
  const path = file('access.json', toCourseFile(course, {}));
  const asked = (
    ...words: string[]
  ): { course: object; nodes: { id: string; state: string; because: string }[] } =>
    JSON.parse(cli('access', path, '--json', ...words).out) as never;
  const states = (...words: string[]): string =>
    asked(...words)
      .nodes.map(({ id, state }) => `${id} ${state}`)
      .join(', ');

  test('says for each node what a learner gets, and which layer decided', () => {
    const answer = asked('--at', '2027-01-12T09:00:00Z');
    expect(answer.course).toEqual({ state: 'open', because: 'member', opens: null, ahead: null });
    expect(answer.nodes).toMatchObject([
      { id: 'A', state: 'open', number: '1' },
      { id: 'a1', state: 'open', number: '1.1' },
      { id: 'a2', state: 'absent', because: 'item_not_shown', number: null },
      { id: 'a3', state: 'open', number: '1.2' },
      { id: 'B', state: 'named', because: 'not_yet', opens: '2027-01-20T08:00:00.000Z' },
      { id: 'b1', state: 'absent', because: 'not_yet' },
    ]);
  });

  test('before the first day, for staff, and for whoever is not on it', () => {
    const eve = ['--at', '2027-01-10T23:59:00Z'];
    expect(asked(...eve).course).toEqual({
      state: 'named',
      because: 'before_dates',
      opens: '2027-01-11T00:00:00.000Z',
      ahead: { at: '2027-01-11T00:00:00.000Z', state: 'open' },
    });
    expect(states(...eve)).toBe('A absent, a1 absent, a2 absent, a3 absent, B absent, b1 absent');
    expect(states(...eve, '--as', 'staff')).toBe('A open, a1 open, a2 open, a3 open, B open, b1 open');
    expect(asked('--as', 'nobody').course).toMatchObject({ state: 'absent', because: 'not_a_member' });
  });

  test('as text, a line each; from the day on which somebody joined', () => {
    const { code, out } = cli('access', path, '--joined', '2027-01-12', '--at', '2027-01-12T09:00:00+01:00');
    expect(code).toBe(0);
    const lines = out.split('\n');
    expect(lines[0]).toBe('EFM-210 for learner, joined 2027-01-12, at 2027-01-12T08:00:00.000Z');
    expect(lines[1]).toBe('open    member              the course');
    expect(lines.find((line) => line.endsWith('(opens 2027-01-20T08:00:00.000Z)'))).toContain('named');
    expect(lines).toHaveLength(8);
  });

  test('by group and by what they have done, with what changes next', () => {
    const rule = {
      when: { kind: 'all' as const, of: [{ kind: 'done' as const, items: ['a1'] }] },
      until: null,
    };
    const forClass = { shown: true, audience: ['k'], rule: { ...rule, then: 'look' as const } };
    const grouped = {
      ...course,
      groups: { k: { name: 'Class A', kind: 'class' as const, at: 0 } },
      sections: course.sections.map((section) => ({
        ...section,
        items: section.items.map((item) => (item.id === 'a2' ? { ...item, ...forClass } : item)),
      })),
    };
    const path = file('groups.json', toCourseFile(grouped, {}));
    const a2 = (...more: string[]): unknown =>
      (
        JSON.parse(cli('access', path, '--at', '2027-01-12T09:00:00Z', '--json', ...more).out) as {
          nodes: { id: string; state: string; because: string }[];
        }
      ).nodes.find(({ id }) => id === 'a2');
    expect(a2()).toMatchObject({ state: 'absent', because: 'other_audience', ahead: null });
    expect(a2('--in', 'Class A')).toMatchObject({ state: 'named', because: 'waiting' });
    expect(a2('--in', 'k', '--done', 'a1')).toMatchObject({ state: 'open', because: 'member' });
    expect(cli('access', path, '--in', 'Class Z').err).toContain('after --in stands "Class Z"');
  });

  test('why: every layer on the way, by id or by number, and what would open it', () => {
    const answer = JSON.parse(cli('why', path, 'b1', '--at', '2027-01-10T12:00:00Z', '--json').out) as object;
    expect(answer).toMatchObject({
      node: 'b1',
      state: 'absent',
      because: 'before_dates',
      chain: [
        { layer: 'state', of: 'course', because: null },
        { layer: 'membership', because: null },
        { layer: 'dates', because: 'before_dates', state: 'named' },
        { layer: 'shown', of: 'B', because: null },
        { layer: 'shown', of: 'b1', because: null },
        { layer: 'opening', of: 'B', because: 'not_yet' },
      ],
      cure: [
        { field: 'window', value: { before: 'open', after: 'open' } },
        { target: 'B', field: 'opens', value: null },
      ],
    });
    const { out } = cli('why', path, '2.1', '--at', '2027-01-12T09:00:00Z');
    expect(out.split('\n')[0]).toBe(
      'b1 is absent for learner, at 2027-01-12T09:00:00.000Z: not_yet  [EFM-210]',
    );
    expect(out).toContain('to open it: set opens of B to null');
    expect(cli('why', path, 'a1', '--as', 'nobody').out).toContain('no edit of the course opens it');
  });

  test('why names what the course does not have, and wants a node', () => {
    const { code, err } = cli('why', path, '9.9');
    expect(code).toBe(1);
    expect(err).toContain('at NODE stands "9.9"; expected: the id or number of a section or item of EFM-210');
    expect(cli('why', path).code).toBe(2);
    expect(cli('access', path, 'a1').code).toBe(2);
  });

  test.each([
    [
      ['--as', 'headmaster'],
      'after --as stands "headmaster"; expected: one of instructor, assistant, learner',
    ],
    [['--joined', '2027-02-30'], 'after --joined stands "2027-02-30"; expected: a day that exists'],
    [['--at', 'tomorrow'], 'after --at stands "tomorrow"; expected: a moment such as'],
    [['--at'], 'after --at stands ""'],
    [['--who'], '"--who" is not known here; --json, --at, --as, --joined, --in, --done are'],
  ])('%s is not taken', (words, sentence) => {
    const { code, err } = cli('access', path, ...words);
    expect(code).toBe(2);
    expect(err).toContain(sentence);
  });
});

test('the schema is JSON Schema, and strange words get the usage', () => {
  expect(JSON.parse(cli('schema').out)).toMatchObject({
    $schema: 'https://json-schema.org/draft/2020-12/schema',
  });
  expect(cli().code).toBe(2);
  expect(cli('plan')).toMatchObject({
    code: 2,
    err: expect.stringContaining('plan FILE [--json]') as unknown,
  });
  expect(cli('plan', 'x', '--jsn').err).toContain('"--jsn" is not known here');
  expect(cli('plan', 'x', '--at', 'tomorrow').err).toContain(
    'after --at stands "tomorrow"; expected: a moment',
  );
});
