import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  applyChange,
  convertFormat,
  copySection,
  duplicateNodes,
  lengthsOf,
  newDates,
  newItem,
  newSection,
  planCourse,
  subtree,
  whatIf,
} from '../../src/index.ts';
import type { Course, Dates, Format, PlannedMoment, Shift } from '../../src/index.ts';
import { course, smallCourse } from '../support/arbitraries.ts';

const fixed = (day: string): PlannedMoment => ({ kind: 'fixed', day, time: '12:00' });

/** Two weeks from 11 Jan; week 2 has work due on its last day, and a quiz fixed to 20 Jan. */
function planned(dates: Partial<Dates> = {}): Course {
  const given = { firstDay: '2027-01-11', weeks: 2, zone: 'Europe/Lisbon', ...dates };
  return {
    ...smallCourse(),
    dates: newDates(given),
    sections: [
      newSection({ id: 'A', title: 'A', items: [newItem('page', { id: 'a1', title: 'a1' })] }),
      newSection({
        id: 'B',
        title: 'B',
        items: [
          newItem('assignment', { id: 'w', title: 'W', due: { kind: 'usual' } }),
          newItem('quiz', { id: 'q', title: 'Q', due: fixed('2027-01-20') }),
        ],
      }),
    ],
  };
}

const told = (shifts: readonly Shift[]): string[] =>
  shifts.map(
    ({ target, what, from, to, verdict }) =>
      `${target} ${what} ${from?.first.slice(5) ?? '-'} > ${to?.first.slice(5) ?? '-'} ${verdict}`,
  );

describe('what if', () => {
  test('the first day moves by a week: everything relative moves, what is fixed stays behind', () => {
    const after = planned({ firstDay: '2027-01-18' });
    const { shifts, lastDay, unmoved } = whatIf(planned(), after);
    expect(told(shifts)).toEqual([
      'A section 01-11 > 01-18 moves',
      'B section 01-18 > 01-25 moves',
      'w due 01-24 > 01-31 moves',
      'q due 01-20 > 01-20 stays_behind',
    ]);
    expect(lastDay).toEqual({ from: '2027-01-24', to: '2027-01-31' });
    expect(unmoved).toBe(0);
    const cure = shifts.at(-1)?.cure ?? [];
    const cured = applyChange(after, { id: 'c', edits: [...cure] });
    expect(cured.ok && cured.course.sections[1]?.items[1]).toMatchObject({ due: { day: '2027-01-27' } });
  });

  test('a pause in the middle moves only what comes after it', () => {
    const pause = { name: 'Break', first: '2027-01-18', last: '2027-01-24', policy: 'between' as const };
    const { shifts, unmoved } = whatIf(planned(), planned({ pauses: { p: pause } }));
    expect(told(shifts).slice(0, 2)).toEqual(['B section 01-18 > 01-25 moves', 'w due 01-24 > 01-31 moves']);
    expect(unmoved).toBe(1);
  });

  test('fewer weeks lose the last section its days; an earlier last day lets fixed work leave', () => {
    expect(told(whatIf(planned(), planned({ weeks: 1 })).shifts)).toEqual([
      'B section 01-18 > - loses',
      'w due 01-24 > - loses',
    ]);
    const cut = whatIf(
      planned({ format: 'units' }),
      planned({ format: 'units', ends: 'day', lastDay: '2027-01-22' }),
    );
    expect(cut.shifts).toEqual([]);
  });

  test('back from no clock, sections gain their days', () => {
    const { shifts } = whatIf(planned({ pace: 'none' }), planned());
    expect(told(shifts).slice(0, 2)).toEqual(['A section - > 01-11 gains', 'B section - > 01-18 gains']);
  });

  test('nothing changed, nothing moves', () => {
    fc.assert(
      fc.property(course, (any) => expect(whatIf(any, { ...any }).shifts).toEqual([])),
      { numRuns: 100, seed: 51 },
    );
  });
});

describe('another format', () => {
  const convert = (of: Course, to: Format): Course => {
    const applied = applyChange(of, { id: 'c', edits: [...convertFormat(of, to, 'pattern')] });
    if (!applied.ok) throw new Error(applied.refusal.code);
    return applied.course;
  };

  test('keeps every section and item, there and back', () => {
    fc.assert(
      fc.property(course, fc.constantFrom<Format>('weeks', 'units', 'meetings', 'item'), (any, to) => {
        const next = convert(any, to);
        const back = convert(next, any.dates.format);
        expect(next.dates.format).toBe(to);
        for (const one of [next, back]) {
          expect(one.sections).toEqual(any.sections);
          expect(one.sections.flatMap((section) => subtree(section)).length).toBe(
            any.sections.flatMap((section) => subtree(section)).length,
          );
        }
      }),
      { numRuns: 400, seed: 52 },
    );
  });

  test('weeks have room for every section', () => {
    const pauses = { p: { name: 'B', first: '2027-01-18', last: '2027-01-24', policy: 'counted' as const } };
    const next = convert(planned({ format: 'units', weeks: 1, pauses }), 'weeks');
    expect(next.dates.weeks).toBe(3);
    expect(planCourse(next).unplaced).toEqual([]);
  });

  test('meetings begin with an hour on the first teaching day, as many as there are sections', () => {
    const { dates } = convert(planned({ pace: 'none', weekStart: 7, teachingDays: [1, 3] }), 'meetings');
    expect(dates).toMatchObject({
      pace: 'together',
      meetings: 2,
      patterns: { pattern: { weekdays: [1], time: '10:00' } },
    });
  });

  test('around one item takes the first work there is, and says what is kept aside', () => {
    const next = convert(planned(), 'item');
    expect(next.dates.around).toBe('w');
    expect(whatIf(planned(), next).aside).toEqual([{ what: 'sections', count: 2 }]);
  });

  test('spans, pins and single meetings are kept aside', () => {
    const units = planned({ format: 'units' });
    const of = {
      ...units,
      sections: [
        { ...units.sections[0]!, span: { count: 3, unit: 'days' as const }, pin: '2027-01-12' },
        units.sections[1]!,
      ],
    };
    expect(whatIf(of, convert(of, 'weeks')).aside).toEqual([
      { what: 'spans', count: 1 },
      { what: 'pins', count: 1 },
    ]);
    const meetings = planned({ format: 'meetings', changes: { x: { kind: 'cancelled', sections: 'keep' } } });
    expect(whatIf(meetings, convert(meetings, 'weeks')).aside).toEqual([{ what: 'meetings', count: 1 }]);
  });
});

describe('lengths', () => {
  const spring = { name: 'Spring 2027', firstDay: '2027-01-11', lastDay: '2027-05-02' };
  const pauses = {
    p: { name: 'Break', first: '2027-03-08', last: '2027-03-21', policy: 'between' as const },
  };

  test('each is computed from the others, and what does not fit is said', () => {
    const of = planned({ weeks: 15, lastDay: '2027-04-11', pauses });
    expect(lengthsOf(of, spring)).toEqual({
      byWeeks: { count: 15, lastDay: '2027-05-09' },
      byDay: { count: 11, lastDay: '2027-04-11' },
      byTerm: { count: 14, lastDay: '2027-05-02' },
      over: { needs: '2027-05-09', ends: '2027-05-02', of: 'term' },
    });
  });

  test('against a last day of one’s own; and without anything to measure', () => {
    const of = planned({ weeks: 15, ends: 'day', lastDay: '2027-04-11' });
    expect(lengthsOf(of, null).over).toEqual({ needs: '2027-04-25', ends: '2027-04-11', of: 'day' });
    expect(lengthsOf(planned({ firstDay: null }), spring)).toMatchObject({ byDay: null, over: null });
  });
});

describe('a worked unit, copied', () => {
  let made = 0;
  const newId = (): string => `n${(made += 1)}`;
  const unit = (): Course => ({
    ...planned({ weeks: 4 }),
    sections: [
      newSection({
        id: 'A',
        title: 'Tides',
        pin: '2027-01-11',
        items: [
          newItem('assignment', { id: 'w', title: 'W', due: fixed('2027-01-15') }),
          newItem('quiz', {
            id: 'q',
            title: 'Q',
            due: {
              kind: 'relative',
              anchor: { of: 'due', item: 'w' },
              shift: null,
              weekday: null,
              time: null,
            },
          }),
          newItem('page', { id: 'gone', title: 'Gone', removed: true }),
        ],
      }),
    ],
  });
  const applied = (
    of: Course,
    edits: readonly Parameters<typeof applyChange>[1]['edits'][number][],
  ): Course => {
    const result = applyChange(of, { id: 'c', edits: [...edits] });
    if (!result.ok) throw new Error(result.refusal.code);
    return result.course;
  };

  test('has new ids, titles by their pattern, dates that follow its own section', () => {
    const next = applied(unit(), copySection(unit(), 'A', 3, { title: 'Week #: …', from: 2 }, newId));
    expect(next.sections.map(({ title }) => title)).toEqual([
      'Tides',
      'Week 2: Tides',
      'Week 3: Tides',
      'Week 4: Tides',
    ]);
    expect(next.sections.map(({ pin }) => pin)).toEqual(['2027-01-11', null, null, null]);
    const plan = planCourse(next);
    const dues = plan.sections.map(({ section, moments }) =>
      section.items.flatMap(({ id }) => {
        const due = moments.get(id)?.due;
        return due?.kind === 'at' ? [due.day.slice(5)] : [];
      }),
    );
    expect(dues).toEqual([
      ['01-15', '01-15'],
      ['01-22', '01-22'],
      ['01-29', '01-29'],
      ['02-05', '02-05'],
    ]);
    const ids = next.sections.flatMap((section) => subtree(section)).map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(next.sections[1]?.items).toHaveLength(2);
  });

  test('keeps its title when no pattern is given, and follows its days when that comes to nothing', () => {
    const titles = (title: string | null): (string | null)[] =>
      applied(unit(), copySection(unit(), 'A', 1, { title, from: 2 }, newId)).sections.map(
        (one) => one.title,
      );
    expect(titles(null)).toEqual(['Tides', 'Tides']);
    expect(titles('  ')).toEqual(['Tides', null]);
    expect(copySection(unit(), 'nobody', 1, { title: null, from: 1 }, newId)).toEqual([]);
  });

  test('items are duplicated after themselves, once when what holds them is too', () => {
    const next = applied(unit(), duplicateNodes(unit(), ['w', 'q'], newId));
    expect(next.sections[0]?.items.map(({ title }) => title)).toEqual(['W', 'W', 'Q', 'Q', 'Gone']);
    expect(duplicateNodes(unit(), ['A', 'w'], newId)).toHaveLength(1);
  });
});
