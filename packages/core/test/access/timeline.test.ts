/** The moments at which something changes for somebody by itself. */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  accessAt,
  accessTimeline,
  newDates,
  newItem,
  newSection,
  onceLive,
  resolveAccess,
} from '../../src/index.ts';
import type { AccessMoment, Course, Viewer } from '../../src/index.ts';
import { course as anyCourse, smallCourse, viewer as anyViewer } from '../support/arbitraries.ts';
import { enough, runs } from '../support/runs.ts';

const LEARNER: Viewer = { role: 'learner', institutionStaff: false };

function summer(): Course {
  const until = { kind: 'fixed' as const, day: '2027-01-20', time: null };
  return {
    ...smallCourse(),
    goesLive: { day: '2027-01-08', time: '12:00' },
    window: { before: 'closed', after: 'look' },
    dates: newDates({
      firstDay: '2027-01-11',
      weeks: 2,
      zone: 'Europe/Lisbon',
      ends: 'day',
      lastDay: '2027-01-24',
    }),
    sections: [
      newSection({
        id: 'S',
        title: 'Cores',
        opens: { kind: 'fixed', day: '2027-01-13', time: '09:00' },
        items: [
          newItem('page', { id: 'p', title: 'Mud' }),
          newItem('page', {
            id: 'q',
            title: 'Silt',
            rule: { when: { kind: 'all', of: [] }, until, then: 'absent' },
          }),
        ],
      }),
    ],
  };
}

const written = (moments: readonly AccessMoment[]): string[] =>
  moments.map(
    ({ at, changes }) =>
      `${new Date(at).toISOString().slice(0, 16)} ${changes.map(({ id, from, to }) => `${id}:${from}>${to.state}`).join(' ')}`,
  );

describe('the timeline of a person', () => {
  test('has every change, the course first, and nothing that changes nothing', () => {
    expect(written(accessTimeline(summer(), LEARNER))).toEqual([
      '2027-01-08T12:00 course:absent>named',
      '2027-01-11T00:00 course:named>open S:absent>named',
      '2027-01-13T09:00 S:named>open p:absent>open q:absent>open',
      '2027-01-21T00:00 q:open>absent',
      '2027-01-25T00:00 course:open>look S:open>look p:open>look',
    ]);
    expect(accessTimeline(summer(), { role: 'instructor', institutionStaff: false })).toEqual([]);
  });

  test('has the release of what is held, and what opens in it', () => {
    const base: Course = { ...smallCourse(), state: 'live' };
    const [A, B] = base.sections;
    const page = newItem('page', {
      id: 'new',
      title: 'New',
      opens: { kind: 'fixed', day: '2027-01-20', time: null },
    });
    const of: Course = {
      ...base,
      sections: [{ ...A!, items: [...A!.items, page] }, B!],
      heldBack: { A: { node: A!, release: { day: '2027-01-15', time: '08:00' } } },
    };
    expect(written(accessTimeline(of, LEARNER))).toEqual([
      '2027-01-15T08:00 new:absent>named',
      '2027-01-20T00:00 new:named>open',
    ]);
    expect(resolveAccess(of, LEARNER, '2027-01-14T08:00:00Z').nodes.get('new')).toEqual({
      state: 'absent',
      because: 'held',
    });
  });

  test('the next change ahead is the next of the timeline that is about the node', () => {
    const { ahead } = resolveAccess(summer(), LEARNER, '2027-01-09T00:00:00Z');
    expect(ahead('course')).toMatchObject({
      at: Date.parse('2027-01-11T00:00Z'),
      becomes: { state: 'open' },
    });
    expect(ahead('p')).toMatchObject({ at: Date.parse('2027-01-13T09:00Z'), becomes: { state: 'open' } });
    expect(resolveAccess(summer(), LEARNER, '2027-01-30T00:00:00Z').ahead('p')).toBeNull();
    expect(ahead('nowhere')).toBeNull();
  });

  test('of any course for anybody: between two of its moments nothing changes, and at each something does', () => {
    let moments = 0;
    fc.assert(
      fc.property(anyCourse, anyViewer, fc.nat({ max: 999 }), (any, who, permille) => {
        const of = onceLive(any);
        const timeline = accessTimeline(of, who);
        const states = (at: number): string => {
          const { course, nodes } = accessAt(of, who, at);
          // What is not there is not there, whether there is an answer or none.
          return [
            course.state,
            ...[...nodes].flatMap(([id, { state }]) => (state === 'absent' ? [] : [`${id} ${state}`])).sort(),
          ].join();
        };
        timeline.forEach(({ at, changes }, index) => {
          moments += 1;
          expect(changes.length).toBeGreaterThan(0);
          const next = timeline[index + 1]?.at ?? at + 400 * 86_400_000;
          const between = at + Math.floor(((next - at) * permille) / 1000);
          expect(states(between)).toBe(states(at));
          expect(states(at - 1)).not.toBe(states(at));
        });
      }),
      { numRuns: runs(400), seed: 77 },
    );
    expect(moments).toBeGreaterThan(enough(200));
  });
});
