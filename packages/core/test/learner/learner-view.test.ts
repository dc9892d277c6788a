/** A course as one person gets it, in every format and pace; and the same as a line-by-line guide. */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { canSee, courseView, newDates, newItem, newSection, pacingCsv, planFor } from '../../src/index.ts';
import type { Course, CourseView, Dates, Item, ItemView, Viewer } from '../../src/index.ts';
import { course as anyCourse, smallCourse } from '../support/arbitraries.ts';

const LEARNER: Viewer = { role: 'learner', institutionStaff: false };
const STAFF: Viewer = { role: null, institutionStaff: true };
const MONDAY = '2027-01-18T09:00:00Z';

const course = (dates: Partial<Dates> = {}, more: Partial<Course> = {}): Course => ({
  ...smallCourse(),
  state: 'live',
  dates: newDates({ firstDay: '2027-01-11', weeks: 3, zone: 'Europe/Lisbon', ...dates }),
  sections: ['Tides', 'Cores', 'Salt'].map((title, at) =>
    newSection({
      id: `s${at}`,
      title,
      items: [
        newItem('page', { id: `p${at}`, title: `${title}, a page`, minutes: 20, summary: 'Short' }),
        newItem('quiz', { id: `q${at}`, title: `${title}, asked`, due: { kind: 'usual' } }),
      ],
    }),
  ),
  ...more,
});
const view = (of: Course, viewer: Viewer = LEARNER, at = MONDAY): CourseView => {
  const seen = courseView(of, viewer, at);
  if (seen === null) throw new Error('absent');
  return seen;
};
const items = ({ sections }: CourseView): readonly ItemView[] => sections.flatMap((section) => section.items);

describe('together', () => {
  test('week by week: days, the week that is on, and pauses where they fall', () => {
    const pause = { name: 'Break', first: '2027-01-18', last: '2027-01-24', policy: 'between' as const };
    const seen = view(course({ pauses: { p: pause } }), LEARNER, '2027-01-20T09:00:00Z');
    expect(seen.sections.map(({ days, current }) => [days?.first, current])).toEqual([
      ['2027-01-11', false],
      ['2027-01-25', false],
      ['2027-02-01', false],
    ]);
    expect(seen.now).toEqual({ kind: 'pause', name: 'Break' });
    expect(seen.pauses).toEqual([
      { name: 'Break', number: null, first: '2027-01-18', last: '2027-01-24', before: 's1' },
    ]);
  });

  test('a pause after everything stands before nothing, and a counted one has its number', () => {
    const last = { name: 'Exams', first: '2027-01-25', last: '2027-01-31', policy: 'counted' as const };
    const seen = view(course({ weeks: 4, pauses: { p: last } }));
    expect(seen.pauses).toMatchObject([{ name: 'Exams', number: '3', before: 's2' }]);
    expect(seen.sections.map(({ number }) => number)).toEqual(['1', '2', '4']);
  });

  test('meeting by meeting: the place is the meeting’s, unless the item has one', () => {
    const pattern = { weekdays: [2], time: '16:30', minutes: 90, place: 'The boathouse' };
    const dates = { format: 'meetings' as const, meetings: 3, patterns: { w: pattern } };
    const meet = (id: string, place: string | null): Item => newItem('meeting', { id, title: id, place });
    const base = course(dates);
    const [first, ...rest] = base.sections;
    const seen = view({
      ...base,
      sections: [{ ...first!, items: [meet('a', null), meet('b', 'The slip')] }, ...rest],
    });
    expect(seen.sections[0]).toMatchObject({ meeting: { day: '2027-01-12', place: 'The boathouse' } });
    expect(items(seen).slice(0, 2)).toMatchObject([
      { place: 'The boathouse', held: { day: '2027-01-12', time: '16:30' } },
      { place: 'The slip' },
    ]);
  });

  test('around one item: that item, its introduction, and nothing else', () => {
    const seen = view(course({ format: 'item', around: 'q1' }, { introduction: 'a'.repeat(64) }));
    expect(seen.sections).toEqual([]);
    expect(seen.around).toMatchObject({ id: 'q1', title: 'Cores, asked' });
    expect(seen.introduction).toBe('a'.repeat(64));
    expect(view(course({}, { introduction: 'a'.repeat(64) })).introduction).toBeNull();
  });
});

describe('by one’s own clock', () => {
  const joining = course({ pace: 'joining' });
  test('one who has joined has days; one who has not, days of their own to come', () => {
    const joined = view(joining, { ...LEARNER, joinedAt: '2027-02-03T10:00:00Z' }, '2027-02-04T09:00:00Z');
    const anybody = view(joining, LEARNER, '2027-02-04T09:00:00Z');
    const starts = joined.sections.map(({ days }) => days?.first ?? null);
    expect(starts).toEqual(['2027-02-03', '2027-02-10', '2027-02-17']);
    expect(anybody.sections.map(({ own }) => own)).toEqual([
      { first: 1, last: 7 },
      { first: 8, last: 14 },
      { first: 15, last: 21 },
    ]);
  });

  test('no clock: no days, and no dates for what needs them', () => {
    const seen = view(course({ pace: 'none' }));
    expect(seen.sections.every(({ days, own }) => days === null && own === null)).toBe(true);
    expect(items(seen).every(({ due }) => due === null)).toBe(true);
  });
});

describe('what is only named', () => {
  const opens = { kind: 'fixed' as const, day: '2027-02-01', time: '08:00' };
  const later = (closed: Course['closed']): Course => {
    const base = course({}, { closed });
    const [first, second, third] = base.sections;
    const held = first!.items.map((item) => (item.id === 'p0' ? { ...item, opens } : item));
    return { ...base, sections: [{ ...first!, items: held }, { ...second!, opens }, third!] };
  };

  test('tells its title and when it opens, and keeps everything else', () => {
    const seen = view(later('name'));
    expect(items(seen)[0]).toMatchObject({
      title: 'Tides, a page',
      state: 'named',
      minutes: null,
      summary: null,
      opens: { day: '2027-02-01', time: '08:00', instant: '2027-02-01T08:00:00.000Z' },
    });
    expect(seen.sections[1]).toMatchObject({ state: 'named', items: [], opens: { day: '2027-02-01' } });
  });

  test('is left out where the course says so', () => {
    const seen = view(later('leave_out'));
    expect(seen.sections.map(({ id }) => id)).toEqual(['s0', 's2']);
    expect(items(seen).map(({ id }) => id)).not.toContain('p0');
  });

  test('is open from that minute on', () => {
    expect(view(later('name'), LEARNER, '2027-02-01T07:59:59Z').sections[1]?.state).toBe('named');
    expect(view(later('name'), LEARNER, '2027-02-01T08:00:00Z').sections[1]).toMatchObject({
      state: 'open',
      opens: null,
      items: [{ id: 'p1' }, { id: 'q1' }],
    });
  });
});

describe('the summary of an item', () => {
  test('stands in the outline only when it is to', () => {
    const base = course();
    const quiet = {
      ...base,
      sections: base.sections.map((section) => ({
        ...section,
        items: section.items.map((item) => ({ ...item, summaryShown: false })),
      })),
    };
    expect(items(view(base))[0]?.summary).toBe('Short');
    expect(items(view(quiet))[0]?.summary).toBeNull();
  });
});

describe('of any course', () => {
  test('a view is absent or holds only what may be seen, and is the same from a plan at hand', () => {
    let seen = 0;
    fc.assert(
      fc.property(anyCourse, fc.constantFrom(LEARNER, STAFF), (of, viewer) => {
        const one = courseView(of, viewer, MONDAY);
        expect(courseView(of, viewer, MONDAY, planFor(of, viewer))).toEqual(one);
        if (one === null) return;
        seen += 1;
        for (const section of one.sections) {
          expect(section.state).not.toBe('absent');
          if (section.state === 'named') expect(section.items).toEqual([]);
          for (const item of section.items) expect(item.state).not.toBe('absent');
        }
      }),
      { numRuns: 300, seed: 20270118 },
    );
    expect(seen).toBeGreaterThan(100);
  });

  test('the guide has a line for every item, and as many cells in each', () => {
    fc.assert(
      fc.property(anyCourse, (of) => {
        const one = courseView({ ...of, state: 'live' }, STAFF, MONDAY);
        if (one === null) return;
        const records = csvRecords(pacingCsv(one));
        expect(records.every((record) => record.length === 10)).toBe(true);
        const count = (list: readonly ItemView[]): number =>
          list.reduce((sum, item) => sum + 1 + count(item.items), 0);
        const kinds = records.slice(1).map((record) => record[5]);
        const expected =
          one.around === null
            ? one.sections.reduce((sum, { items: held }) => sum + count(held), 0)
            : count([one.around]);
        expect(kinds.filter((kind) => kind !== 'pause' && kind !== 'section')).toHaveLength(expected);
      }),
      { numRuns: 200, seed: 20270119 },
    );
  });
});

/** RFC 4180, read back. */
function csvRecords(text: string): string[][] {
  const records: string[][] = [];
  let record: string[] = [];
  let cell = '';
  let isQuoted = false;
  for (let at = 0; at < text.length; at += 1) {
    const sign = text[at] as string;
    if (isQuoted && sign === '"' && text[at + 1] === '"') {
      cell += '"';
      at += 1;
    } else if (sign === '"') isQuoted = !isQuoted;
    else if (!isQuoted && sign === ',') {
      record.push(cell);
      cell = '';
    } else if (!isQuoted && sign === '\r' && text[at + 1] === '\n') {
      records.push([...record, cell]);
      record = [];
      cell = '';
      at += 1;
    } else cell += sign;
  }
  return records;
}

test('a draft is there for those who plan it, and for nobody else', () => {
  const draft = course({}, { state: 'draft' });
  expect(courseView(draft, LEARNER, MONDAY)).toBeNull();
  expect(courseView(draft, STAFF, MONDAY)).not.toBeNull();
  expect(canSee(undefined)).toBe(false);
});
