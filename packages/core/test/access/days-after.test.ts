/** What opens some days after something was done. */
import { describe, expect, test } from '@jest/globals';
import {
  accessAt,
  accessTimeline,
  courseView,
  newDates,
  newItem,
  newSection,
  onceLive,
} from '../../src/index.ts';
import type { Course, Viewer } from '../../src/index.ts';
import { smallCourse } from '../support/arbitraries.ts';

const DONE = '2027-01-12T10:20:30.000Z';
const course: Course = onceLive({
  ...smallCourse(),
  dates: newDates({ firstDay: '2027-01-11', weeks: 4, zone: 'Europe/Lisbon' }),
  sections: [
    newSection({
      id: 'S',
      title: 'Cores',
      items: [
        newItem('page', { id: 'p', title: 'Mud', done: { by: 'opened' } }),
        newItem('survey', {
          id: 's',
          title: 'How it went',
          rule: {
            when: { kind: 'all', of: [{ kind: 'done', items: ['p'], days: 2 }] },
            until: null,
            then: 'look',
          },
        }),
      ],
    }),
  ],
});
const learner = (since: string | null): Viewer => ({
  role: 'learner',
  institutionStaff: false,
  deeds: {
    done: new Set(['p']),
    ...(since === null ? {} : { since: new Map([['p', Date.parse(since)]]) }),
    scores: new Map(),
    courses: new Set(),
  },
});
const NOT_YET: Viewer = { role: 'learner', institutionStaff: false };
const stateAt = (viewer: Viewer, at: string): string | undefined =>
  accessAt(course, viewer, Date.parse(at)).nodes.get('s')?.state;

describe('days after', () => {
  test('begin at the moment at which it was done, and are over to the millisecond', () => {
    expect(stateAt(NOT_YET, '2027-01-31T00:00:00.000Z')).toBe('named');
    expect(stateAt(learner(DONE), '2027-01-14T10:20:29.999Z')).toBe('named');
    expect(stateAt(learner(DONE), '2027-01-14T10:20:30.000Z')).toBe('open');
    // Nobody has said since when: it has been done for ever.
    expect(stateAt(learner(null), '2027-01-12T00:00:00.000Z')).toBe('open');
  });

  test('stand in the timeline of whoever has done it, and in nobody else’s', () => {
    const opened = (viewer: Viewer): string[] =>
      accessTimeline(course, viewer)
        .filter(({ changes }) => changes.some(({ id }) => id === 's'))
        .map(({ at }) => new Date(at).toISOString());
    expect(opened(learner(DONE))).toContain('2027-01-14T10:20:30.000Z');
    expect(opened(NOT_YET)).not.toContain('2027-01-14T10:20:30.000Z');
  });

  test('are told as days while it is not done, and as the moment once it is', () => {
    const waits = (viewer: Viewer, at: string): unknown =>
      courseView(course, viewer, at)?.sections[0]?.items.find(({ id }) => id === 's');
    expect(waits(NOT_YET, '2027-01-12T09:00:00Z')).toMatchObject({
      waits: { kind: 'done', days: 2, met: false, items: [{ title: 'Mud' }] },
    });
    // The minute in which it opens is over before it is said to have opened.
    expect(waits(learner(DONE), '2027-01-13T09:00:00Z')).toMatchObject({
      opens: { day: '2027-01-14', time: '10:21', instant: '2027-01-14T10:20:30.000Z' },
      waits: null,
    });
  });
});
