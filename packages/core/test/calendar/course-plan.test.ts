import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  applyChange,
  momentsOf,
  newDates,
  newItem,
  newSection,
  numberNodes,
  numberOf,
  courseView,
  pacingCsv,
  planCourse,
  sectionLoads,
  totalMinutes,
  listOutcomes,
  workTable,
} from '../../src/index.ts';
import type { Course, CoursePlan, Dates, Item, PlannedMoment, Resolved, Section } from '../../src/index.ts';
import { course, day, smallCourse } from '../support/arbitraries.ts';
import { changeFor, move } from '../support/random-changes.ts';
import { enough, runs } from '../support/runs.ts';

/** What a plan says, without the objects that it says it with. */
const said = (plan: CoursePlan): unknown => ({
  ...plan,
  sections: plan.sections.map(({ numbers, moments, ...rest }) => ({
    ...rest,
    numbers: [...numbers],
    moments: [...moments],
  })),
});

describe('planning again', () => {
  test('says the same as planning anew, whatever was changed', () => {
    let reused = 0;
    fc.assert(
      fc.property(
        course,
        fc.array(move, { minLength: 1, maxLength: 3 }),
        fc.option(day, { nil: null }),
        (of, moves, joined) => {
          const change = changeFor(of, moves, 'c');
          const applied = change === null ? null : applyChange(of, change);
          if (applied === null || !applied.ok) return;
          const before = planCourse(of, { joined });
          const again = planCourse(applied.course, { joined }, before);
          expect(said(again)).toEqual(said(planCourse(applied.course, { joined })));
          reused += again.sections.filter((section) => before.sections.includes(section)).length;
        },
      ),
      { numRuns: runs(1500), seed: 31 },
    );
    expect(reused).toBeGreaterThan(enough(500));
  });

  test('makes nothing anew but the section that was edited', () => {
    const of = smallCourse();
    const before = planCourse(of);
    const edit = { kind: 'set' as const, target: 'b1', field: 'minutes', value: 20, was: 10 };
    const applied = applyChange(of, { id: 'c', edits: [edit] });
    if (!applied.ok) throw new Error(applied.refusal.code);
    const again = planCourse(applied.course, {}, before);
    expect(again.sections[0]).toBe(before.sections[0]);
    expect(again.sections[1]).not.toBe(before.sections[1]);
  });

  test('for somebody else takes nothing over', () => {
    const of = { ...smallCourse(), dates: { ...smallCourse().dates, pace: 'joining' as const } };
    const before = planCourse(of, { joined: '2027-01-13' });
    expect(planCourse(of, { joined: '2027-02-01' }, before).slots[0]?.first).toBe('2027-02-01');
  });
});

describe('numbers', () => {
  const page = (id: string, more: Partial<Item> = {}): Item =>
    ({ ...newItem('page', { id, title: id }), ...more }) as Item;
  const of = (numbering: Course['numbering'], sections?: Section[]): Course => ({
    ...smallCourse(),
    numbering,
    sections: sections ?? [
      newSection({ id: 'open', outside: true, items: [page('o1')] }),
      newSection({
        id: 'A',
        items: [
          newItem('heading', { id: 'h', title: 'First' }),
          newItem('folder', { id: 'f', title: 'F', items: [page('a1'), page('a2')] }),
          page('a3', { shown: false }),
          page('a4'),
        ],
      }),
      newSection({ id: 'hidden', shown: false, items: [page('x1')] }),
      newSection({ id: 'B', items: [page('b1')] }),
    ],
  });
  const written = (numbering: Course['numbering'], sections?: Section[]): Record<string, string> =>
    Object.fromEntries(numberNodes(of(numbering, sections)));

  test('run through folders, past headings and what is not shown', () => {
    expect(written({ style: 'items', from: 1, restart: true })).toEqual({
      A: '1',
      a1: '1.1',
      a2: '1.2',
      a4: '1.3',
      B: '2',
      b1: '2.1',
    });
  });

  test('begin at 0, run on through the course, for sections only, or not at all', () => {
    expect(written({ style: 'items', from: 0, restart: false })).toMatchObject({
      A: '0',
      a4: '0.3',
      B: '1',
      b1: '1.4',
    });
    expect(written({ style: 'sections', from: 1, restart: true })).toEqual({ A: '1', B: '2' });
    expect(written({ style: 'none', from: 1, restart: true })).toEqual({});
  });

  test('outside the calendar only when told so', () => {
    const sections = [newSection({ id: 'r', outside: true, numbered: true, items: [page('r1')] })];
    expect(written({ style: 'items', from: 1, restart: true }, sections)).toEqual({ r: '1', r1: '1.1' });
  });

  test('of one node', () => {
    const plan = planCourse(of({ style: 'items', from: 1, restart: true }));
    expect(['A', 'a2', 'o1', 'nobody'].map((id) => numberOf(plan, id))).toEqual(['1', '1.2', null, null]);
  });
});

describe('moments', () => {
  const at = (due: PlannedMoment, dates: Partial<Dates> = {}, joined: string | null = null): unknown => {
    const item = newItem('assignment', { id: 'w', title: 'W', due });
    const first = newItem('quiz', { id: 'q', title: 'Q', due: { kind: 'usual' } });
    const given = newDates({ firstDay: '2027-03-15', weeks: 3, zone: 'Europe/Lisbon', ...dates });
    const of = {
      ...smallCourse(),
      dates: given,
      sections: [newSection({ id: 's1', items: [first] }), newSection({ id: 's2', items: [item] })],
    };
    return shown(momentsOf(planCourse(of, { joined }), 'w').due);
  };
  const shown = (resolved: Resolved | undefined): string =>
    resolved?.kind !== 'at'
      ? String(resolved?.because)
      : `${resolved.day} ${resolved.time ?? 'day'} ${new Date(resolved.instant).toISOString().slice(0, 16)}Z ${resolved.clock}`;
  type Relative = Extract<PlannedMoment, { kind: 'relative' }>;
  const relative = (anchor: Relative['anchor'], more: Partial<Relative> = {}): PlannedMoment => ({
    kind: 'relative',
    anchor,
    shift: null,
    weekday: null,
    time: null,
    ...more,
  });
  const here = { of: 'section', at: 'end', section: null } as const;

  test('Sunday of this section, 23:59, on the night on which the clocks go forward', () => {
    expect(at(relative(here, { weekday: 7, time: '23:59' }))).toBe(
      '2027-03-28 23:59 2027-03-28T22:59Z plain',
    );
  });

  test('a time that a clock change removes is as far after the gap; one that exists twice is the first', () => {
    expect(at({ kind: 'fixed', day: '2027-03-28', time: '01:30' })).toBe(
      '2027-03-28 01:30 2027-03-28T01:30Z gap',
    );
    expect(at({ kind: 'fixed', day: '2027-10-31', time: '01:30' })).toBe(
      '2027-10-31 01:30 2027-10-31T00:30Z fold',
    );
  });

  test('the usual hand-in time: on the last day, or on its weekday', () => {
    expect(at({ kind: 'usual' })).toBe('2027-03-28 23:59 2027-03-28T22:59Z plain');
    expect(at({ kind: 'usual' }, { handIn: { time: '17:00', weekday: 5 } })).toBe(
      '2027-03-26 17:00 2027-03-26T17:00Z plain',
    );
    // The last week is cut on Wednesday, so Friday is not in it: its last day is taken.
    expect(
      at({ kind: 'usual' }, { handIn: { time: '17:00', weekday: 5 }, ends: 'day', lastDay: '2027-03-24' }),
    ).toContain('2027-03-24');
  });

  test('before and after, in calendar days and in hours of the world', () => {
    const start = { of: 'section', at: 'start', section: null } as const;
    expect(at(relative(start, { shift: { by: -2, unit: 'days' }, time: '09:00' }))).toContain(
      '2027-03-20 09:00',
    );
    expect(at(relative({ of: 'course', at: 'start' }, { shift: { by: 1, unit: 'months' } }))).toContain(
      '2027-04-15 23:59',
    );
    expect(
      at(relative({ of: 'course', at: 'start' }, { shift: { by: 1, unit: 'months' } }), {
        firstDay: '2027-01-31',
      }),
    ).toContain('2027-02-28');
    expect(at(relative({ of: 'due', item: 'q' }, { shift: { by: 36, unit: 'hours' } }))).toBe(
      '2027-03-23 11:59 2027-03-23T11:59Z plain',
    );
    expect(at(relative({ of: 'due', item: 'q' }, { shift: { by: 2, unit: 'days' } }))).toContain(
      '2027-03-23 23:59',
    );
  });

  test('of another section, of joining, and of what is not there', () => {
    expect(at(relative({ of: 'section', at: 'end', section: 's1' }))).toContain('2027-03-21');
    const days = relative({ of: 'joining' }, { shift: { by: 3, unit: 'days' }, time: '12:00' });
    expect(at(days, {}, '2027-03-17')).toContain('2027-03-20 12:00');
    expect(at(days)).toBe('anchor');
    expect(at(relative({ of: 'section', at: 'end', section: 'gone' }))).toBe('missing');
    expect(at(relative({ of: 'due', item: 'w' }))).toBe('circle');
    expect(at({ kind: 'usual' }, { pace: 'none' })).toBe('anchor');
  });

  test('an end given as a day is the first instant after it; an opening the day’s first', () => {
    const of = (opens: PlannedMoment): Course => ({
      ...smallCourse(),
      sections: [{ ...smallCourse().sections[0]!, opens }],
    });
    const opens = momentsOf(planCourse(of({ kind: 'fixed', day: '2027-03-28', time: null })), 'A').opens;
    expect(shown(opens)).toBe('2027-03-28 day 2027-03-28T00:00Z plain');
  });

  test('a meeting is held with its section, where the format has meetings', () => {
    const of: Course = {
      ...smallCourse(),
      dates: newDates({
        format: 'meetings',
        firstDay: '2027-01-11',
        weeks: 2,
        meetings: 2,
        zone: 'Europe/Lisbon',
        patterns: { p: { weekdays: [4], time: '14:30', minutes: 90, place: 'The shed' } },
      }),
      sections: [newSection({ id: 's1', items: [newItem('meeting', { id: 'm', title: 'M' })] })],
    };
    expect(shown(momentsOf(planCourse(of), 'm').held)).toBe('2027-01-14 14:30 2027-01-14T14:30Z plain');
  });
});

describe('load and outcomes', () => {
  const of = (): Course => ({
    ...smallCourse(),
    hoursAWeek: 1,
    outcomes: { o2: { text: 'Core', at: 2 }, o1: { text: 'Read', at: 1 } },
    sections: [
      newSection({
        id: 'A',
        items: [
          newItem('page', { id: 'p', title: 'P', minutes: 40, teaches: ['o1'] }),
          newItem('folder', {
            id: 'f',
            title: 'F',
            items: [
              newItem('quiz', { id: 'q', title: 'Q', minutes: 30, due: { kind: 'usual' }, assesses: ['o1'] }),
            ],
          }),
          newItem('page', { id: 'h', title: 'H', minutes: 500, shown: false }),
        ],
      }),
      newSection({ id: 'B', items: [newItem('page', { id: 'b', title: 'B' })] }),
    ],
  });

  test('minutes and due work of each section against the target', () => {
    const plan = planCourse(of());
    expect(sectionLoads(plan)).toEqual([
      { id: 'A', minutes: 70, unsaid: 0, due: 1, weeks: 1, target: 60, isHeavy: true },
      { id: 'B', minutes: 0, unsaid: 1, due: 0, weeks: 1, target: 60, isHeavy: false },
    ]);
    expect(totalMinutes(plan)).toBe(70);
  });

  test('outcomes in their order, with what teaches and assesses them; and all work', () => {
    expect(listOutcomes(of())).toMatchObject([
      { id: 'o1', taughtBy: ['p'], assessedBy: ['q'] },
      { id: 'o2', taughtBy: [], assessedBy: [] },
    ]);
    expect(workTable(planCourse(of()))).toMatchObject([
      { item: { id: 'q' }, number: '1.2', section: 'A', due: { day: '2027-01-17' } },
    ]);
  });
});

describe('the pacing guide', () => {
  const of = (): Course => ({
    ...smallCourse(),
    state: 'live',
    dates: newDates({
      firstDay: '2027-01-11',
      weeks: 2,
      zone: 'Europe/Lisbon',
      pauses: { p: { name: 'Break, long', first: '2027-01-18', last: '2027-01-24', policy: 'between' } },
    }),
    sections: [
      newSection({
        id: 'A',
        title: 'Tides',
        items: [
          newItem('folder', {
            id: 'f',
            title: 'Readings',
            items: [newItem('page', { id: 'p', title: '=SUM("mud")', minutes: 20 })],
          }),
          newItem('quiz', { id: 'q', title: 'Salt', minutes: 30, due: { kind: 'usual' } }),
          newItem('page', { id: 'h', title: 'Hidden', shown: false }),
        ],
      }),
      newSection({ id: 'B', items: [] }),
      newSection({ id: 'C', title: 'Not shown', shown: false }),
    ],
  });

  test('as CSV quotes what has to be, and marks what a table would take for a formula', () => {
    const learner = { role: 'learner' as const, institutionStaff: false };
    const view = courseView(of(), learner, '2027-01-12T09:00:00Z');
    if (view === null) throw new Error('absent');
    expect(pacingCsv(view).split('\r\n')).toEqual([
      'section,section_title,first_day,last_day,number,kind,title,minutes,due,held',
      '1,Tides,2027-01-11,2027-01-17,,folder,Readings,,,',
      `1,Tides,2027-01-11,2027-01-17,1.1,page,"'=SUM(""mud"")",20,,`,
      '1,Tides,2027-01-11,2027-01-17,1.2,quiz,Salt,30,2027-01-17T23:59,',
      ',"Break, long",2027-01-18,2027-01-24,,pause,,,,',
      '2,,2027-01-25,2027-01-31,,section,,,,',
      '',
    ]);
  });
});
