/** What is looked at before it is done, the day through which a course is looked at, and what a device keeps. */
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { newDates, newSection, planCourse } from '@itinerary/core';
import type { Course, Edit } from '@itinerary/core';
import { createPinia, setActivePinia } from 'pinia';
import { effectScope, nextTick, shallowRef } from 'vue';
import { smallCourse } from '../../../core/test/support/arbitraries.ts';
import { lastRead, rememberRead } from '../../src/learner/course/last-read.ts';
import { isUnwritten, useProposals } from '../../src/setup/dates/what-if.ts';
import type { Proposals } from '../../src/setup/dates/what-if.ts';
import { COLUMNS, useColumns } from '../../src/setup/outline/table/columns.ts';
import { dayAtShare, useMarker } from '../../src/setup/preview/marker.ts';
import { usePlan } from '../../src/stores/plan.ts';
import { useSession } from '../../src/stores/session.ts';

const realFetch = globalThis.fetch;
const realStorage = globalThis.localStorage;
let course: Course;

class MemoryStorage {
  readonly kept = new Map<string, string>();
  getItem(key: string): string | null {
    return this.kept.get(key) ?? null;
  }
  setItem(key: string, value: string): void {
    this.kept.set(key, value);
  }
}

beforeEach(() => {
  jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'nextTick', 'performance'] });
  setActivePinia(createPinia());
  course = smallCourse();
  Object.defineProperty(globalThis, 'localStorage', { value: new MemoryStorage(), configurable: true });
  const rights = { plan: true, state: true, members: true };
  globalThis.fetch = (address) =>
    String(address).endsWith('/plan')
      ? Promise.resolve(
          new Response(JSON.stringify({ course, seq: 0, learners: 0, texts: {}, rights }), {
            headers: { 'content-type': 'application/json' },
          }),
        )
      : // What is changed here waits for an answer for ever.
        new Promise<never>(() => undefined);
  useSession().me = {
    person: null,
    now: '2027-01-20T09:42:00Z',
    clockStands: true,
    institution: { largestUpload: 10, terms: [], departments: [], holidays: [], zone: 'Europe/Lisbon' },
  } as unknown as NonNullable<ReturnType<typeof useSession>['me']>;
});
afterEach(() => {
  jest.useRealTimers();
  globalThis.fetch = realFetch;
  Object.defineProperty(globalThis, 'localStorage', { value: realStorage, configurable: true });
});

const inScope = <T>(make: () => T): T => effectScope().run(make) as T;
const firstDay = (value: string, was: string | null = '2027-01-11'): Edit => ({
  kind: 'set',
  target: 'course',
  field: 'dates.firstDay',
  value,
  was,
});

describe('before it is done', () => {
  const opened = async (): Promise<{ plan: ReturnType<typeof usePlan>; proposals: Proposals }> => {
    const plan = usePlan();
    await plan.open('course');
    return { plan, proposals: inScope(() => useProposals()) };
  };

  test('a change that moves something is shown, and done when it is accepted, with its cures', async () => {
    const { plan, proposals } = await opened();
    proposals.propose([firstDay('2027-01-18')]);
    expect(plan.course?.dates.firstDay).toBe('2027-01-11');
    expect(proposals.open.value?.result.shifts.length).toBeGreaterThan(0);
    expect(proposals.open.value?.after.dates.firstDay).toBe('2027-01-18');
    const cure: Edit = { kind: 'set', target: 'course', field: 'dates.weeks', value: 3, was: 2 };
    proposals.accept([cure]);
    expect(plan.course?.dates).toMatchObject({ firstDay: '2027-01-18', weeks: 3 });
    expect(proposals.open.value).toBeNull();
    // One change: one step takes both back.
    plan.undo();
    expect(plan.course?.dates).toMatchObject({ firstDay: '2027-01-11', weeks: 2 });
  });

  test('left as it is, nothing is done', async () => {
    const { plan, proposals } = await opened();
    proposals.propose([firstDay('2027-01-18')]);
    proposals.drop();
    expect([plan.course?.dates.firstDay, proposals.open.value]).toEqual(['2027-01-11', null]);
    proposals.accept([]);
    expect(plan.course?.dates.firstDay).toBe('2027-01-11');
  });

  test('what moves nothing is done at once', async () => {
    const { plan, proposals } = await opened();
    proposals.propose([
      { kind: 'set', target: 'course', field: 'dates.lastTime', value: '18:00', was: null },
    ]);
    expect(plan.course?.dates.lastTime).toBe('18:00');
    expect(proposals.open.value).toBeNull();
    proposals.propose([]);
    expect(proposals.open.value).toBeNull();
  });

  test('nothing is asked while nothing is written', async () => {
    course = { ...course, sections: [newSection({ id: 'A' }), newSection({ id: 'B' })] };
    expect(isUnwritten(course)).toBe(true);
    const { plan, proposals } = await opened();
    proposals.propose([firstDay('2027-01-18')]);
    expect(plan.course?.dates.firstDay).toBe('2027-01-18');
  });

  test('a title counts as written, and so does an item in it', () => {
    expect(isUnwritten({ ...course, sections: [newSection({ id: 'A', title: 'Tides' })] })).toBe(false);
    expect(isUnwritten(smallCourse())).toBe(false);
  });

  test('what core refuses is told by the store', async () => {
    const { plan, proposals } = await opened();
    proposals.propose([firstDay('2027-02-31')]);
    expect(plan.told.map(({ kind }) => kind)).toEqual(['refused']);
  });
});

describe('the marker', () => {
  const marker = (of: Course | null): ReturnType<typeof useMarker> => {
    const plan = shallowRef(of === null ? null : planCourse(of));
    return inScope(() => useMarker(() => plan.value));
  };
  const running = (first: string): Course => ({
    ...smallCourse(),
    dates: newDates({ firstDay: first, weeks: 2, zone: 'Europe/Lisbon' }),
  });

  test('stands at today while the course runs, else at its first day', () => {
    expect(marker(running('2027-01-18')).day.value).toBe('2027-01-20');
    expect(marker(running('2027-03-01')).day.value).toBe('2027-03-01');
    expect(marker(running('2026-03-02')).day.value).toBe('2026-03-02');
  });

  test('goes to any day, before the course and after it, and back', () => {
    const one = marker(running('2027-01-18'));
    one.move('2028-01-01');
    expect(one.day.value).toBe('2028-01-01');
    one.moveTo(Date.parse('2020-01-01T10:30:00Z'));
    expect([one.day.value, one.moment.value]).toEqual(['2020-01-01', '2020-01-01T10:30:00.000Z']);
    one.reset();
    expect(one.day.value).toBe('2027-01-20');
  });

  test('means nine in the morning of the course’s zone', () => {
    const one = marker(running('2027-06-07'));
    expect([one.day.value, one.moment.value]).toEqual(['2027-06-07', '2027-06-07T08:00:00.000Z']);
  });

  test('without dates it is today, and without a course some day', () => {
    expect(
      marker({ ...running('2027-01-18'), dates: newDates({ firstDay: null, weeks: 2, zone: 'UTC' }) }).day
        .value,
    ).toBe('2027-01-20');
    expect(marker(null).day.value).toBe('1970-01-01');
  });

  test.each([
    [0, '2027-01-11'],
    [0.5, '2027-01-18'],
    [0.999, '2027-01-24'],
    [1, '2027-01-24'],
    [-3, '2027-01-11'],
    [7, '2027-01-24'],
  ])('at a share of %s it is %s', (share, day) =>
    expect(dayAtShare('2027-01-11', '2027-01-24', share)).toBe(day),
  );
});

describe('kept on one’s own device', () => {
  test('where somebody left off, course by course', () => {
    expect(lastRead('a')).toBeNull();
    rememberRead('a', 'i');
    rememberRead('b', 'j');
    expect([lastRead('a'), lastRead('b'), lastRead('c')]).toEqual(['i', 'j', null]);
  });

  test('the columns of the outline: all at first, then those that were left', async () => {
    const columns = inScope(() => useColumns());
    expect(columns.value).toEqual(COLUMNS);
    columns.value = ['minutes'];
    await nextTick();
    expect(inScope(() => useColumns()).value).toEqual(['minutes']);
    localStorage.setItem('itinerary.outline.columns', 'shown gone when');
    expect(inScope(() => useColumns()).value).toEqual(['when', 'shown']);
    localStorage.setItem('itinerary.outline.columns', '');
    expect(inScope(() => useColumns()).value).toEqual([]);
  });
});
