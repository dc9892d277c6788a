/**
 * Where a class is going as it is looked at: reckoned anew with one thing changed, and what is not wanted any more is stopped.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { DeedDaysAnswer } from '@itinerary/contract';
import { forecast, newItem, planCourse } from '@itinerary/core';
import type { Course, Forecast, ForecastAsked } from '@itinerary/core';
import { nextTick } from 'vue';
import { smallCourse } from '../../../core/test/support/arbitraries.ts';
import { editsFor, useForecast } from '../../src/marking/forecast/use-forecast.ts';
import type { ForecastOf } from '../../src/marking/forecast/use-forecast.ts';

const realFetch = globalThis.fetch;
const small = smallCourse();
const [first, ...rest] = small.sections;
if (first === undefined) throw new Error('no section');
const page = newItem('page', { id: 'boots', title: 'Boots', minutes: 30, done: { by: 'opened' } });
const work = newItem('assignment', {
  ...{ id: 'notes', title: 'Notes', minutes: 60, done: { by: 'handed_in' } },
  due: { kind: 'fixed', day: '2027-01-20', time: '18:00' },
});
const course: Course = { ...small, state: 'live', sections: [{ ...first, items: [page, work] }, ...rest] };
const learner = (person: string, done: [number, number][]): DeedDaysAnswer['learners'][number] => ({
  ...{ person, name: person, joinedAt: '2027-01-10T09:00:00.000Z', groups: [], exceptions: [] },
  ...{ done, since: null },
});
let deeds: DeedDaysAnswer;
let isAway = false;
let asked: { readonly what: ForecastAsked; readonly answer: () => void; stopped: boolean }[] = [];
let its: ForecastOf;

beforeEach(() => {
  isAway = false;
  asked = [];
  deeds = {
    ...{ today: '2027-01-13', first: '2027-01-11', items: ['boots', 'notes'] },
    learners: [learner('Ada', [[0, 1]]), learner('Bo', [])],
  };
  globalThis.fetch = (address) => {
    if (isAway) return Promise.reject(new TypeError('Failed to fetch'));
    const body = String(address).endsWith('/plan') ? { course } : deeds;
    const headers = { 'content-type': 'application/json' };
    return Promise.resolve(new Response(JSON.stringify(body), { headers }));
  };
  its = useForecast('course', (what) => {
    let stop = (): void => undefined;
    const one = { what, answer: (): void => undefined, stopped: false };
    const found = new Promise<Forecast | null | undefined>((resolve) => {
      one.answer = () => resolve(forecast(what));
      stop = () => {
        one.stopped = true;
        resolve(undefined);
      };
    });
    asked.push(one);
    return { found, stop };
  });
});
afterEach(() => {
  globalThis.fetch = realFetch;
});

const settled = async (): Promise<void> => {
  for (let round = 0; round < 10; round += 1) await new Promise((done) => setTimeout(done, 0));
  await nextTick();
};
async function loaded(): Promise<void> {
  const loading = its.load();
  for (let round = 0; asked.length === 0 && round < 100; round += 1) await settled();
  asked[0]?.answer();
  await loading;
}

describe('where a class is going', () => {
  test('from who has done what on which day, in the worker', async () => {
    await loaded();
    expect(asked[0]?.what.today).toBe('2027-01-13');
    expect(asked[0]?.what.learners.map(({ done }) => done)).toEqual([{ boots: '2027-01-12' }, {}]);
    expect([its.state.value, its.found.value?.learners, its.found.value?.basis]).toEqual([
      'there',
      2,
      'learners',
    ]);
    expect(its.dues.value.map(({ id }) => id)).toEqual(['notes']);
    expect(its.isReckoning.value).toBe(false);
  });

  test('away: that is said, and it is tried again', async () => {
    isAway = true;
    await its.load();
    expect(its.state.value).toBe('failed');
    isAway = false;
    await loaded();
    expect(its.state.value).toBe('there');
  });

  test('nobody learns there yet: for as many as a small class has, from the plan alone', async () => {
    deeds = { ...deeds, learners: [] };
    await loaded();
    expect([its.found.value?.learners, its.found.value?.basis]).toEqual([20, 'plan']);
  });

  test('another due day is tried in the plan as it would be; one that is not wanted any more is stopped', async () => {
    await loaded();
    its.whatIf.value = { ...its.whatIf.value, what: 'due', item: 'notes' };
    await settled();
    expect([its.missing.value, asked.length]).toEqual(['day', 1]);
    its.whatIf.value = { ...its.whatIf.value, day: '2027-01-14' };
    await settled();
    its.whatIf.value = { ...its.whatIf.value, day: '2027-01-22' };
    await settled();
    expect([asked.length, asked[1]?.stopped, its.isReckoning.value]).toEqual([3, true, true]);
    asked[2]?.answer();
    await settled();
    const moved = planCourse(asked[2]?.what.course as Course).sections[0]?.moments.get('notes')?.due;
    expect(moved).toMatchObject({ kind: 'at', day: '2027-01-22', time: '18:00' });
    expect(its.other.value?.planned).not.toEqual(its.found.value?.planned);
    // The plan itself is as it was.
    expect(its.course.value).toEqual(course);
    its.whatIf.value = { ...its.whatIf.value, what: 'nothing' };
    await settled();
    expect(its.other.value).toBeNull();
  });

  test('a pause wants its days in their order', () => {
    const pause = { what: 'pause', item: '', day: null, first: '2027-01-18', last: '2027-01-15' } as const;
    expect(editsFor(course, pause)).toEqual([]);
    const right = editsFor(course, { ...pause, last: '2027-01-22' });
    expect(right).toMatchObject([{ value: { first: '2027-01-18', last: '2027-01-22' } }]);
    expect(editsFor(course, { ...pause, what: 'due', item: 'nowhere', day: '2027-01-22' })).toEqual([]);
  });
});
