/**
 * The desk: what is asked of it, and the order of departures.
 * @jest-environment ./scripts/jest/page.mjs
 */
import { describe, expect, jest, test } from '@jest/globals';
import type { DeskAnswer, DeskCourse } from '@itinerary/contract';
import { effectScope, nextTick } from 'vue';
import { byDeparture } from '../../src/desk/departures.ts';
import { isFiltering, NO_FILTER, useDesk } from '../../src/desk/use-desk.ts';
import type { Desk } from '../../src/desk/use-desk.ts';
import { coursesFound } from '../../src/setup/rules/courses-found.ts';
import { answering, miniature } from '../support/mini-server.ts';

const its = answering(miniature());

const deskCourse = (change: Partial<DeskCourse>): DeskCourse => ({
  ...{ id: 'c', code: 'EFM-210', title: 'Estuary Field Methods', state: 'live', department: null },
  ...{ term: 'SPR27', tags: ['fieldwork'], format: 'weeks', pace: 'together', slots: 15 },
  ...{ firstDay: '2027-01-11', lastDay: '2027-04-25', role: 'instructor', mayPlan: true },
  ...{ toSettle: null, learners: 0, next: null, picture: null, seed: null },
  ...change,
});
const answer = (change: Partial<DeskAnswer> = {}): DeskAnswer => ({
  ...{ courses: [], page: 1, total: 70, all: 70, states: [], tags: [], broken: [], next: null },
  ...{ found: [], moreFound: false },
  ...change,
});

/** What is on its way arrives. */
async function settled(): Promise<void> {
  for (let turn = 0; turn < 20; turn += 1) await nextTick();
}
async function opened(): Promise<Desk> {
  its.answers['/api/desk'] = answer();
  const desk = effectScope().run(useDesk)!;
  await settled();
  return desk;
}

describe('the desk', () => {
  test('is asked for once somebody has stopped typing, from its first page, and what was there stays meanwhile', async () => {
    const desk = await opened();
    expect([desk.pages.value, desk.state.value]).toEqual([3, 'there']);
    its.answers['/api/desk?page=3'] = answer({ page: 3 });
    desk.page.value = 3;
    await settled();
    its.answers['/api/desk?find=salt'] = answer({ total: 1 });
    for (const text of ['s', 'sa', 'salt ']) {
      desk.filter.value = { ...desk.filter.value, text };
      await settled();
      jest.advanceTimersByTime(100);
    }
    expect(desk.state.value).toBe('there');
    jest.advanceTimersByTime(300);
    await settled();
    expect(its.asked).toEqual([
      'GET /api/desk',
      'GET /api/desk?page=3',
      'GET /api/desk',
      'GET /api/desk?find=salt',
    ]);
    expect([desk.pages.value, desk.page.value]).toEqual([1, 1]);
  });

  test('is asked for term, state and tag together, and at once', async () => {
    const desk = await opened();
    its.answers['/api/desk?term=SPR27&state=live&tag=old'] = answer({ total: 2 });
    desk.filter.value = { ...NO_FILTER, term: 'SPR27', state: 'live', tag: 'old' };
    await settled();
    expect(its.asked.at(-1)).toBe('GET /api/desk?term=SPR27&state=live&tag=old');
    expect(desk.answer.value?.total).toBe(2);
    expect([isFiltering(NO_FILTER), isFiltering(desk.filter.value)]).toEqual([false, true]);
    expect(isFiltering({ ...NO_FILTER, text: ' ' })).toBe(false);
  });

  test('that has become shorter meanwhile is on its last page', async () => {
    const desk = await opened();
    its.answers['/api/desk?page=3'] = answer({ page: 2, total: 40 });
    its.answers['/api/desk?page=2'] = answer({ page: 2, total: 40 });
    desk.page.value = 3;
    await settled();
    expect([desk.page.value, desk.pages.value]).toEqual([2, 2]);
  });

  test('that does not come for what is asked shows nothing else in its place', async () => {
    const desk = await opened();
    const answers = globalThis.fetch;
    globalThis.fetch = () => Promise.reject(new TypeError('Failed to fetch'));
    desk.filter.value = { ...NO_FILTER, tag: 'old' };
    await settled();
    expect(desk.state.value).toBe('failed');
    // Told of a change, what is there stays.
    globalThis.fetch = answers;
    its.answers['/api/desk?tag=old'] = answer({ total: 1 });
    await desk.reload();
    globalThis.fetch = () => Promise.reject(new TypeError('Failed to fetch'));
    await desk.refresh();
    expect([desk.state.value, desk.answer.value?.total]).toEqual(['there', 1]);
  });
});

test('departures stand by what comes next, and where nothing comes as they stood', () => {
  const at = (id: string, instant: string | null): DeskCourse =>
    deskCourse({
      id,
      next:
        instant === null
          ? null
          : ({ what: 'due', title: 'T', number: null, moment: { instant } } as DeskCourse['next']),
    });
  const courses = [
    at('none', null),
    at('late', '2027-03-01T10:00:00Z'),
    at('soon', '2027-02-17T10:00:00Z'),
    at('nor', null),
    at('same', '2027-02-17T10:00:00Z'),
  ];
  expect(byDeparture(courses).map(({ id }) => id)).toEqual(['soon', 'same', 'late', 'none', 'nor']);
});

test('another course is found by its words, with its code, and is another one', async () => {
  const courses = ['course', 'tides'].map((id) => deskCourse({ id, title: id, code: id.toUpperCase() }));
  its.answers['/api/desk?find=of%20tides'] = answer({ courses });
  expect(await coursesFound(' of tides ', 'course')).toEqual([
    { id: 'tides', name: 'tides', title: 'tides (TIDES)' },
  ]);
  its.answers['/api/desk'] = answer({ courses });
  expect(await coursesFound('  ', undefined)).toHaveLength(2);
});
