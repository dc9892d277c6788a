/** The last day, the first day, two of a kind in a row: what stands right at the edge of a rule, and right beside it. */
import { describe, expect, test } from '@jest/globals';
import {
  ANY_LEARNER,
  courseView,
  findings,
  homeView,
  isInArea,
  newItem,
  newSection,
  resolveMenu,
  themeOf,
} from '../../src/index.ts';
import { aheadWithin } from '../../src/home/ahead.ts';
import type { Announcement, Course, Item, MenuEntry, PlannedMoment } from '../../src/index.ts';
import { smallCourse } from '../support/arbitraries.ts';
import { FACTS } from '../support/faces.ts';

const NOW = '2027-01-12T09:00:00Z';
const on = (day: string, time: string | null = '09:00'): PlannedMoment => ({ kind: 'fixed', day, time });
const course = (items: readonly Item[], more: Partial<Course> = {}): Course => ({
  ...smallCourse(),
  state: 'live',
  sections: [newSection({ id: 's', title: 'One', items: [...items] })],
  ...more,
});
const entry = (leads: MenuEntry['leads'], at: number): MenuEntry => ({
  leads,
  names: {},
  at,
  shown: true,
  staffOnly: false,
  removed: false,
});
const file = {
  hash: 'a'.repeat(64),
  name: 'x.mp4',
  size: 1,
  type: 'video/mp4',
  alt: null,
  author: null,
  licence: null,
};

describe('what is next', () => {
  const due = (id: string, day: string): Item => ({
    ...newItem('quiz', { id, title: id }),
    due: on(day, '23:59'),
  });
  const view = courseView(course([due('last', '2027-01-19'), due('later', '2027-01-20')]), ANY_LEARNER, NOW)!;

  test('counts the last of its days, and not the day after', () =>
    expect(aheadWithin(view, NOW, 7).map(({ id }) => id)).toEqual(['last']));
});

describe('the week that is on', () => {
  const held = (id: string, day: string): Item => ({
    ...newItem('meeting', { id, title: id }),
    held: on(day, '10:00'),
  });
  const of = course(
    [
      held('before', '2027-01-10'),
      held('first', '2027-01-11'),
      held('last', '2027-01-17'),
      held('after', '2027-01-18'),
    ],
    { panels: { week: { kind: 'week', column: 'side', at: 1, shown: true } } },
  );
  const daysAt = (moment: string): readonly string[] => {
    const [panel] = homeView(of, ANY_LEARNER, moment, courseView(of, ANY_LEARNER, moment)!, FACTS).panels;
    return panel?.kind === 'week'
      ? panel.week.days.flatMap(({ events }) => events.map(({ id }) => id))
      : ['no week'];
  };

  test.each([
    ['2027-01-11T00:30:00Z', ['first', 'last']],
    ['2027-01-17T23:00:00Z', ['first', 'last']],
    ['2027-01-18T00:30:00Z', ['after']],
    ['2027-01-10T12:00:00Z', ['before']],
  ])('at %s', (moment, ids) => expect(daysAt(moment)).toEqual(ids));
});

describe('announcements on the home page', () => {
  const one = (subject: string, day: string): Announcement => ({
    subject,
    text: null,
    files: [],
    pinned: false,
    from: on(day),
    until: null,
    comments: false,
    ready: true,
  });
  const many = (count: number, most: number): Course =>
    course([], {
      announcements: Object.fromEntries(
        Array.from({ length: count }, (_, at) => [`a${at}`, one(`A${at}`, `2027-01-0${at + 1}`)]),
      ),
      panels: { news: { kind: 'announcements', most, column: 'main', at: 1, shown: true } },
    });
  const more = (of: Course): number | null => {
    const [panel] = homeView(of, ANY_LEARNER, NOW, courseView(of, ANY_LEARNER, NOW)!, FACTS).panels;
    return panel?.kind === 'announcements' ? panel.more : null;
  };

  test.each([
    [2, 3, 0],
    [3, 3, 0],
    [4, 3, 1],
    [7, 3, 4],
  ])('of %d, where %d stand, there are %d more', (count, most, expected) =>
    expect(more(many(count, most))).toBe(expected),
  );
});

describe('a menu', () => {
  const seen = (
    menu: Record<string, MenuEntry>,
    of: Course = course([newItem('page', { id: 'p', title: 'P' })]),
  ) =>
    Object.fromEntries(
      resolveMenu({ ...of, menu }, ANY_LEARNER, NOW, FACTS).map(({ id, unseen }) => [
        id,
        unseen?.kind ?? 'seen',
      ]),
    );
  const sections = (at: number): MenuEntry => entry({ to: 'area', area: 'sections' }, at);

  test('of two dividers in a row shows the one that something stands below', () =>
    expect(
      seen({ one: entry({ to: 'divider' }, 1), two: entry({ to: 'divider' }, 2), end: sections(3) }),
    ).toEqual({ one: 'nothing_below', two: 'seen', end: 'seen' }));

  test('shows a divider between groups only where something stands before the next group', () =>
    expect(
      seen({
        line: entry({ to: 'divider' }, 1),
        group: entry({ to: 'group', group: 'learn' }, 2),
        end: sections(3),
      }),
    ).toEqual({ line: 'nothing_below', group: 'seen', end: 'seen' }));

  test('says when an area opens whose items are all closed: with the first of them', () => {
    const later = (id: string, day: string): Item => ({
      ...newItem('quiz', { id, title: id }),
      opens: on(day, '08:00'),
    });
    const of = course([later('q2', '2027-03-02'), later('q1', '2027-03-01')], {
      menu: { e: entry({ to: 'area', area: 'quizzes' }, 1) },
    });
    const [answer] = resolveMenu(of, ANY_LEARNER, NOW, FACTS);
    expect(answer?.unseen).toEqual({ kind: 'closed', opensAt: Date.parse('2027-03-01T08:00:00Z') });
  });
});

describe('the Files area', () => {
  test.each([
    ['a file', newItem('file', { id: 'x', title: 'X' }), true],
    ['a film that was uploaded', newItem('video', { id: 'x', title: 'X', file }), true],
    [
      'a film elsewhere',
      newItem('video', { id: 'x', title: 'X', address: 'https://tides.example/film' }),
      false,
    ],
    ['a page', newItem('page', { id: 'x', title: 'X' }), false],
  ])('%s: %#', (_what, item, isListed) => expect(isInArea('files', item)).toBe(isListed));
});

describe('a stated length', () => {
  const advised = (stated: number, minutes: number): boolean => {
    const of = course([newItem('page', { id: 'p', title: 'P', minutes })], { statedHours: stated });
    return findings({ ...of, purpose: 'learners' }, { moment: NOW, learners: 3 }).some(
      ({ rule }) => rule === 'stated_hours',
    );
  };

  test.each([
    [8, 600, false],
    [8, 360, false],
    [8, 660, true],
    [8, 300, true],
    [60, 4500, false],
    [60, 4560, true],
    [60, 2700, false],
    [60, 2640, true],
  ])('of %d hours, with %d minutes planned: a quarter off is near enough', (stated, minutes, expected) =>
    expect(advised(stated, minutes)).toBe(expected),
  );
});

describe('a colour', () => {
  test('that is far too dark for dark pages is moved there, and not on light ones', () => {
    const { moved, dark, light, seed } = themeOf('#12312a');
    expect(moved.light).toBe(0);
    expect(light.bottle).toBe(seed);
    expect(moved.dark).toBeGreaterThan(0.2);
    expect(dark.bottle).not.toBe(seed);
  });
});
