/** What screens show, computed: the timeline, moments in words, what a section holds, files that have come. */
import { describe, expect, test } from '@jest/globals';
import { courseView, newDates, newItem, newSection, planCourse } from '@itinerary/core';
import type { Announcement, Course, SectionView } from '@itinerary/core';
import { smallCourse } from '../../../core/test/support/arbitraries.ts';
import { formatBytes } from '../../src/words/bytes.ts';
import { momentWords, ownMoment } from '../../src/words/moment-words.ts';
import { readableItems, sectionIndex } from '../../src/learner/outline/section-index.ts';
import { asRef, placeOf, titleOf } from '../../src/setup/files/arrivals.ts';
import { blockDays, timelineBlocks, timelineFlags, timelineNews } from '../../src/setup/timeline/blocks.ts';
import { daysOn, dayUnder, isOn, placeOn, stepOf } from '../../src/setup/timeline/line.ts';

const t = (key: string, values?: Record<string, unknown>): string =>
  `${key} ${String(values?.['day'] ?? '')}`.trim();

const course = (): Course => ({
  ...smallCourse(),
  state: 'live',
  dates: newDates({
    firstDay: '2027-01-11',
    weeks: 3,
    zone: 'Europe/Lisbon',
    pauses: { p: { name: 'Break', first: '2027-01-18', last: '2027-01-24', policy: 'between' } },
  }),
  sections: [
    newSection({
      id: 'A',
      title: 'Tides',
      items: [
        newItem('heading', { id: 'h', title: 'First' }),
        newItem('folder', {
          id: 'f',
          title: 'Readings',
          items: [newItem('page', { id: 'p', title: 'Mud', minutes: 20 })],
        }),
        newItem('quiz', { id: 'q', title: 'Salt', minutes: 30, due: { kind: 'usual' } }),
        newItem('assignment', {
          id: 'a',
          title: 'Log',
          due: { kind: 'fixed', day: '2027-01-13', time: '09:00' },
        }),
        newItem('quiz', { id: 'x', title: 'Hidden', shown: false, due: { kind: 'usual' } }),
      ],
    }),
    newSection({ id: 'B' }),
  ],
});

describe('the timeline', () => {
  test('holds slots, pauses and spare places by their days', () => {
    const blocks = timelineBlocks(planCourse(course()), t, 'en');
    expect(blocks.map(({ kind, label, first }) => [kind, label, first])).toEqual([
      ['slot', '1', '2027-01-11'],
      ['pause', 'Break', '2027-01-18'],
      ['slot', '2', '2027-01-25'],
      ['spare', '3', '2027-02-01'],
    ]);
    expect(blocks.map(({ title }) => title)).toEqual([
      'Tides',
      'Break',
      'learner.weekOf 25 January',
      'setup.timeline.spare',
    ]);
  });

  test('flags the days on which something shown is due', () => {
    expect(timelineFlags(planCourse(course()))).toEqual([
      { day: '2027-01-17', count: 1, titles: 'Salt' },
      { day: '2027-01-13', count: 1, titles: 'Log' },
    ]);
  });

  test('shows the days on which what is ready to be told first stands, by the course’s clocks', () => {
    const told = (subject: string, day: string, time: string | null, more: object = {}): Announcement => ({
      ...{ subject, text: null, files: [], pinned: false, until: null, comments: false, ready: true },
      from: { kind: 'fixed', day, time },
      ...more,
    });
    // Work that is not there is due on no day.
    const anchor = { of: 'due', item: 'gone' };
    const gone = { kind: 'relative', anchor, shift: null, weekday: null, time: null };
    const announcements = {
      a: told('Boots', '2027-01-12', '00:30'),
      b: told('Boats', '2027-01-12', null),
      c: told('Draft', '2027-01-13', null, { ready: false }),
      d: told('When it is due', '2027-01-13', null, { from: gone }),
    };
    // Half past midnight in Auckland is still the day before in London.
    const dates = { ...course().dates, zone: 'Pacific/Auckland' };
    const plan = planCourse({ ...course(), dates, announcements });
    expect(timelineNews(plan)).toEqual([{ day: '2027-01-12', count: 2, titles: 'Boots, Boats' }]);
    const off = planCourse({ ...course(), dates, announcements, areas: { announcements: 'off' } });
    expect(timelineNews(off)).toEqual([]);
  });
});

describe('a moment in words', () => {
  const due = { day: '2027-01-17', time: '23:59', instant: '2027-01-17T23:59:00Z' };
  test('by the course’s clocks, and by the reader’s own where they differ', () => {
    expect(momentWords(due, 'en', '2027-01-01')).toBe('Sun 17 Jan 23:59');
    expect(momentWords({ ...due, time: null }, 'en', '2026-01-01')).toBe('Sun 17 Jan 2027');
    expect(ownMoment(due, 'en', '2027-01-01', 'Europe/Lisbon')).toBeNull();
    expect(ownMoment(due, 'en', '2027-01-01', 'Europe/Madrid')).toBe('Mon 18 Jan 00:59');
    expect(ownMoment({ ...due, time: null }, 'en', '2027-01-01', 'Asia/Tokyo')).toBeNull();
  });
});

test('a section says what it holds, how long it takes, and what is due first', () => {
  const view = courseView(course(), { role: 'learner', institutionStaff: false }, '2027-01-12T09:00:00Z');
  const [section] = view?.sections ?? [];
  expect(readableItems(section?.items ?? []).map(({ id }) => id)).toEqual(['p', 'q', 'a']);
  const index = sectionIndex(section as SectionView);
  expect([index.items, index.minutes, index.due.map(({ id }) => id)]).toEqual([3, 50, ['a', 'q']]);
});

describe('files that have come', () => {
  test.each([
    ['the_shore at low  water.png', 'the shore at low water'],
    ['.gitignore', '.gitignore'],
    ['report.final.pdf', 'report.final'],
  ])('%s begins as a title', (name, title) => expect(titleOf(name)).toBe(title));

  test('say nothing yet of who made them, and find the place of their item', () => {
    const came = { hash: 'a'.repeat(64), name: 'a.png', size: 3, type: 'image/png' };
    expect(asRef({ ...came, width: 4, height: 3 })).toEqual({
      ...came,
      alt: null,
      author: null,
      licence: null,
    });
    expect(placeOf(course(), 'p')).toBe('f');
    expect(placeOf(course(), 'gone')).toBeNull();
    expect(placeOf(null, 'p')).toBeNull();
  });

  test('have a size as people read it', () => {
    expect([0, 1, 999, 1500, 94_200, 200_000_000].map((bytes) => formatBytes(bytes, 'en'))).toEqual([
      '0 bytes',
      '1 byte',
      '999 bytes',
      '1.5 kB',
      '94 kB',
      '200 MB',
    ]);
  });
});

describe('the line of the timeline', () => {
  const line = { first: '2027-01-11', last: '2027-01-20' };

  test('gives each run of days its place, cut off where the line ends', () => {
    expect(daysOn(line)).toBe(10);
    expect(placeOn(line, '2027-01-12', '2027-01-13')).toEqual({ insetInlineStart: '10%', width: '20%' });
    expect(placeOn(line, '2027-01-01', '2027-01-11')).toEqual({ insetInlineStart: '0%', width: '10%' });
    expect(placeOn(line, '2027-01-20', '2027-03-01')).toEqual({ insetInlineStart: '90%', width: '10%' });
    expect(placeOn(line, '2027-03-01', '2027-03-02').width).toBe('0%');
    expect(['2027-01-10', '2027-01-11', '2027-01-20', '2027-01-21'].map((day) => isOn(line, day))).toEqual([
      false,
      true,
      true,
      false,
    ]);
  });

  test('has a day under every point of it, the way the language is read', () => {
    const box = { left: 100, right: 300, width: 200 };
    expect([100, 119, 121, 300, 900].map((x) => dayUnder(line, x, box, false))).toEqual([
      '2027-01-11',
      '2027-01-11',
      '2027-01-12',
      '2027-01-20',
      '2027-01-20',
    ]);
    expect([100, 121, 300, 900].map((x) => dayUnder(line, x, box, true))).toEqual([
      '2027-01-20',
      '2027-01-19',
      '2027-01-11',
      '2027-01-11',
    ]);
  });

  test('is walked by keys: days, weeks, and the arrows mirrored where it runs from the right', () => {
    const keys = ['ArrowLeft', 'ArrowRight', 'ArrowUp', 'PageDown', 'a'];
    expect(keys.map((key) => stepOf(key, false))).toEqual([-1, 1, 1, -7, null]);
    expect(keys.map((key) => stepOf(key, true))).toEqual([1, -1, 1, -7, null]);
  });

  test('names a month in every column where that fits, else once', () => {
    const blocks = ['2027-01-11', '2027-01-18', '2027-02-01', '2028-02-07', '2028-02-14'].map((first) => ({
      first,
    }));
    const short = (day: string): string => `${Number(day.slice(8))} Jan`;
    expect(blockDays(blocks, short)).toEqual(['11 Jan', '18 Jan', '1 Jan', '7 Jan', '14 Jan']);
    const long = (day: string): string => `${Number(day.slice(8))} ${day.slice(5, 7)}. month`;
    expect(blockDays(blocks, long)).toEqual(['11 01. month', '18', '1 02. month', '7 02. month', '14']);
    expect(blockDays([], long)).toEqual([]);
  });
});
