import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  ANY_LEARNER,
  announcementsAt,
  canSee,
  contactsOf,
  courseView,
  homeStandings,
  homeView,
  isReadable,
  isThere,
  newItem,
  newSection,
  NOTHING_DONE,
  planCourse,
  planFor,
  resolveAccess,
  resolveHome,
} from '../../src/index.ts';
import type { Announcement, Course, PanelKind, PanelView, PlannedMoment } from '../../src/index.ts';
import { day, smallCourse, viewer } from '../support/arbitraries.ts';
import { busyMoment, facedCourse, FACTS } from '../support/faces.ts';
import { enough, runs } from '../support/runs.ts';

const on = (date: string, time: string | null = '09:00'): PlannedMoment => ({
  kind: 'fixed',
  day: date,
  time,
});
const announcement = (
  subject: string,
  from: PlannedMoment,
  more: Partial<Announcement> = {},
): Announcement => ({
  subject,
  text: null,
  files: [],
  pinned: false,
  from,
  until: null,
  comments: false,
  ready: true,
  ...more,
});
const withAnnouncements = (all: Record<string, Announcement>, most = 3): Course => ({
  ...smallCourse(),
  state: 'live',
  announcements: all,
  panels: { news: { kind: 'announcements', most, column: 'main', at: 1, shown: true } },
});
const at = (iso: string): number => Date.parse(iso);

describe('announcements', () => {
  const of = withAnnouncements({
    a: announcement('A', on('2027-01-11')),
    b: announcement('B', on('2027-01-12')),
    c: announcement('C', on('2027-01-13')),
    d: announcement('D', on('2027-01-14')),
    p: announcement('P', on('2027-01-10'), { pinned: true }),
    draft: announcement('Draft', on('2027-01-10'), { ready: false }),
    short: announcement('Short', on('2027-01-12', '12:00'), { until: on('2027-01-12', null) }),
  });
  const plan = planCourse(of);
  const standing = (iso: string): string[] => announcementsAt(plan, at(iso)).map(({ id }) => id);

  test('pinned first, then newest; those being written, over or to come are not there', () => {
    expect(standing('2027-01-12T13:00:00Z')).toEqual(['p', 'short', 'b', 'a']);
    expect(standing('2027-01-13T13:00:00Z')).toEqual(['p', 'c', 'b', 'a']);
    expect(standing('2027-01-09T13:00:00Z')).toEqual([]);
  });

  test('the fourth pushes the first off the home page', () => {
    const onHome = (iso: string): string[] => {
      const three = {
        ...of,
        announcements: {
          a: of.announcements['a']!,
          b: of.announcements['b']!,
          c: of.announcements['c']!,
          d: of.announcements['d']!,
        },
      };
      const view = courseView(three, ANY_LEARNER, iso);
      const [panel] = homeView(three, ANY_LEARNER, iso, view!, FACTS).panels;
      return panel?.kind === 'announcements' ? panel.announcements.map(({ id }) => id) : [];
    };
    expect(onHome('2027-01-13T10:00:00Z')).toEqual(['c', 'b', 'a']);
    expect(onHome('2027-01-14T10:00:00Z')).toEqual(['d', 'c', 'b']);
  });

  test('an end given as a day includes that day, and one to the minute that minute', () => {
    const until = (end: PlannedMoment): Course =>
      withAnnouncements({ a: announcement('A', on('2027-01-11'), { until: end }) });
    const stands = (course: Course, iso: string): boolean =>
      announcementsAt(planCourse(course), at(iso)).length === 1;
    expect(stands(until(on('2027-01-12', null)), '2027-01-12T23:59:59Z')).toBe(true);
    expect(stands(until(on('2027-01-12', null)), '2027-01-13T00:00:00Z')).toBe(false);
    expect(stands(until(on('2027-01-12', '10:00')), '2027-01-12T10:00:59Z')).toBe(true);
    expect(stands(until(on('2027-01-12', '10:00')), '2027-01-12T10:01:00Z')).toBe(false);
  });

  test('each learner’s own joining is a date for them', () => {
    const joining: PlannedMoment = {
      kind: 'relative',
      anchor: { of: 'joining' },
      shift: { by: 2, unit: 'days' },
      weekday: null,
      time: null,
    };
    const course = withAnnouncements({ a: announcement('A', joining) });
    const own = planFor(course, { ...ANY_LEARNER, joinedAt: '2027-01-11T10:00:00Z' });
    expect(announcementsAt(own, at('2027-01-12T10:00:00Z'))).toHaveLength(0);
    expect(announcementsAt(own, at('2027-01-13T10:00:00Z'))).toHaveLength(1);
  });

  test('the days on which each stands on the home page are those on which it does', () => {
    let asked = 0;
    fc.assert(
      fc.property(
        facedCourse,
        fc.integer({ min: 1, max: 4 }),
        fc.array(day, { minLength: 3, maxLength: 8 }),
        (any, most, days) => {
          const all: Course = {
            ...any,
            announcements: Object.fromEntries(
              Object.entries(any.announcements).map(([id, one]) => [id, { ...one, ready: true }]),
            ),
          };
          const own = planCourse(all);
          const standings = homeStandings(own, most);
          const instants = [
            ...days.map((on) => at(`${on}T12:00:00Z`)),
            ...[...standings.values()]
              .flat()
              .flatMap(({ from, until }) => [from, from - 1, until].filter(Number.isFinite)),
          ];
          for (const instant of instants) {
            const first = announcementsAt(own, instant)
              .slice(0, most)
              .map(({ id }) => id);
            const said = [...standings]
              .filter(([, spans]) => spans.some(({ from, until }) => from <= instant && instant < until))
              .map(([id]) => id);
            expect([...first].sort()).toEqual(said.sort());
            asked += first.length;
          }
        },
      ),
      { numRuns: runs(400), seed: 71 },
    );
    expect(asked).toBeGreaterThan(enough(300));
  });
});

describe('contact', () => {
  test('a card is written once; an instructor without one is shown as their profile has them', () => {
    expect(contactsOf(smallCourse(), FACTS.staff).map(({ name, mail }) => [name, mail])).toEqual([
      ['Ines', 'ines@college.example'],
    ]);
    const card = {
      reach: 'On the pier',
      hours: null,
      phone: null,
      link: null,
      picture: null,
      at: 2,
      shown: true,
    };
    const of: Course = {
      ...smallCourse(),
      contacts: {
        own: { ...card, who: 'staff', person: 'p0', mailShown: false },
        shed: { ...card, who: 'other', name: 'Shed', does: 'Boots', mail: null, at: 1 },
        left: { ...card, who: 'staff', person: 'gone', mailShown: true },
        hidden: { ...card, who: 'staff', person: 'p1', mailShown: true, shown: false },
      },
    };
    expect(contactsOf(of, FACTS.staff).map(({ name, mail, role, does }) => [name, mail, role, does])).toEqual(
      [
        ['Shed', null, null, 'Boots'],
        ['Ines', null, 'instructor', null],
      ],
    );
  });
});

describe('panels', () => {
  const kinds = (of: Course, iso = '2027-01-12T09:00:00Z', who = ANY_LEARNER): PanelKind[] =>
    homeView(of, who, iso, courseView(of, who, iso)!, FACTS).panels.map(({ kind }) => kind);
  const bare: Course = { ...smallCourse(), state: 'live', sections: [] };

  test('an empty one is not there, and says why to whoever plans the course', () => {
    expect(kinds(bare)).toEqual(['contact', 'about']);
    const why = Object.fromEntries(
      resolveHome(
        bare,
        ANY_LEARNER,
        '2027-01-12T09:00:00Z',
        courseView(bare, ANY_LEARNER, '2027-01-12T09:00:00Z')!,
        FACTS,
      ).map(({ id, unseen }) => [id, unseen]),
    );
    expect(why).toMatchObject({ welcome: 'empty', announcements: 'empty', outline: 'empty', about: null });
    const off = withAnnouncements({ a: announcement('A', on('2027-01-11')) });
    expect(kinds({ ...off, areas: { announcements: 'off' } })).toEqual([]);
  });

  const section = newSection({
    id: 's',
    title: 'One',
    items: [
      {
        ...newItem('quiz', { id: 'q', title: 'Quiz' }),
        due: on('2027-01-14', '23:59'),
        done: { by: 'handed_in' },
      },
      {
        ...newItem('page', { id: 'p', title: 'Page' }),
        text: 'a'.repeat(64),
        done: { by: 'opened' },
        opens: on('2027-01-15', null),
      },
      { ...newItem('meeting', { id: 'm', title: 'Meeting' }), held: on('2027-01-20', '10:00') },
    ],
  });
  const full: Course = {
    ...bare,
    sections: [section],
    panels: {
      next: { kind: 'next', days: 7, column: 'side', at: 1, shown: true },
      week: { kind: 'week', column: 'side', at: 2, shown: true },
      progress: { kind: 'progress', column: 'side', at: 3, shown: true },
    },
  };
  const panel = <K extends PanelKind>(
    kind: K,
    done: readonly string[] = [],
  ): Extract<PanelView, { kind: K }> | undefined => {
    const iso = '2027-01-12T09:00:00Z';
    const who = { ...ANY_LEARNER, deeds: { ...NOTHING_DONE, done: new Set(done) } };
    return homeView(full, who, iso, courseView(full, who, iso)!, FACTS).panels.find(
      (one) => one.kind === kind,
    ) as Extract<PanelView, { kind: K }> | undefined;
  };

  test('what is next is due, opening or held within the days, and not done', () => {
    expect(panel('next')?.ahead.map(({ what, id }) => `${what} ${id}`)).toEqual(['due q', 'opens p']);
    expect(panel('next', ['q'])?.ahead.map(({ id }) => id)).toEqual(['p']);
  });
  test('the week that is on, from its first day', () => {
    const days = panel('week')?.week.days ?? [];
    expect(days.map((one) => one.day)).toEqual([
      '2027-01-11',
      '2027-01-12',
      '2027-01-13',
      '2027-01-14',
      '2027-01-15',
      '2027-01-16',
      '2027-01-17',
    ]);
    expect(days.flatMap(({ events }) => events.map(({ id }) => id))).toEqual(['q', 'p']);
  });
  test('progress counts what is only closed for now; nothing counted is no share', () => {
    expect(panel('progress', ['q'])?.share).toEqual({ done: 1, counted: 2 });
    expect(kinds({ ...full, sections: [newSection({ id: 's', title: 'One' })] })).not.toContain('progress');
  });

  test('on any home page nothing stands that its reader does not get', () => {
    let things = 0;
    fc.assert(
      fc.property(facedCourse, viewer, fc.nat({ max: 200 }), (any, who, pick) => {
        const next = { kind: 'next', days: 14, column: 'main', at: 0, shown: true } as const;
        const of: Course = { ...any, panels: { ...any.panels, next } };
        const iso = busyMoment(of, pick);
        const view = courseView(of, who, iso);
        const access = resolveAccess(of, who, iso);
        if (view === null) {
          expect(isThere(access.course)).toBe(false);
          return;
        }
        const home = homeView(of, who, iso, view, FACTS);
        if (!isReadable(access.course.state)) expect(home.panels).toEqual([]);
        for (const one of home.panels) {
          if (one.kind === 'next') {
            for (const thing of one.ahead) {
              things += 1;
              const answer = access.nodes.get(thing.id);
              expect(thing.what === 'opens' ? isThere(answer) : canSee(answer)).toBe(true);
            }
          }
          if (one.kind === 'contact') expect(one.contacts.length).toBeGreaterThan(0);
        }
      }),
      { numRuns: runs(1200), seed: 72 },
    );
    expect(things).toBeGreaterThan(enough(10));
  });
});
