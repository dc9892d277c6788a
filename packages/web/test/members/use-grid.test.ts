/**
 * The grid as staff look at it: whom it shows, in which order, where those stand who are behind, and what is said of some.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import type { GridAnswer } from '@itinerary/contract';
import { useGrid, WHO } from '../../src/marking/progress/use-grid.ts';
import type { Grid } from '../../src/marking/progress/use-grid.ts';

const realFetch = globalThis.fetch;
const item = (id: string, section: string): GridAnswer['items'][number] => ({
  ...{ id, section, kind: 'page', number: null, title: `Leaf ${id}`, done: 0, behind: 0, of: 4 },
});
type Learner = GridAnswer['people'][number];
const learner = (name: string, more: Partial<Learner>): Learner => ({
  ...{ person: name.toLowerCase(), name, groups: [], cells: 'oo', done: 1, counted: 2, behind: 0 },
  ...{ lastHere: '2027-02-15T09:00:00Z', since: null, standsAt: 'a', ...more },
});
const ANSWER: GridAnswer = {
  ...{ zone: 'UTC', at: '2027-02-16T09:00:00.000Z', groups: [{ id: 'k', name: 'Class' }], sections: [] },
  items: [item('a', 'S'), item('b', 'T')],
  people: [
    learner('Ada', { done: 2, since: '2027-02-14T09:00:00Z', groups: ['k'], standsAt: null }),
    learner('Bo', { behind: 1, lastHere: '2027-02-01T09:00:00Z', standsAt: 'b' }),
    learner('Cy', { behind: 2, standsAt: 'a', groups: ['k'] }),
    learner('Di', { done: 0, behind: 2, lastHere: null, standsAt: 'a' }),
  ],
};
let sent: unknown[] = [];
let grid: Grid;

beforeEach(async () => {
  sent = [];
  globalThis.fetch = (address, init) => {
    if (init?.body !== undefined) sent.push([String(address), JSON.parse(String(init.body))]);
    const headers = { 'content-type': 'application/json' };
    return Promise.resolve(new Response(JSON.stringify(ANSWER), { headers }));
  };
  grid = useGrid('c');
  await grid.load();
});
afterEach(() => {
  globalThis.fetch = realFetch;
});

const shown = (): string => grid.people.value.map(({ name }) => name).join(' ');

test.each([
  ['all', 'Ada Bo Cy Di'],
  ['not_begun', 'Di'],
  // Behind, and not here for a week; whoever was never here is stuck too.
  ['stuck', 'Bo Di'],
  ['behind', 'Bo Cy Di'],
  ['done', 'Ada'],
] as const)('%s: %s, and as many as are counted', (who, expected) => {
  grid.who.value = who;
  expect(shown()).toBe(expected);
  expect(grid.counts.value[who]).toBe(expected.split(' ').length);
  expect(Object.keys(grid.counts.value)).toEqual([...WHO]);
});

test.each([
  ['name', 'Ada Bo Cy Di'],
  ['share', 'Di Bo Cy Ada'],
  ['last', 'Di Bo Ada Cy'],
  ['behind', 'Cy Di Bo Ada'],
] as const)('in order of %s: %s', (order, expected) => {
  grid.order.value = order;
  expect(shown()).toBe(expected);
});

test('of one class, and of one section, whose cells stay where they are', () => {
  grid.group.value = 'k';
  expect(shown()).toBe('Ada Cy');
  grid.section.value = 'T';
  expect([grid.items.value.map(({ id }) => id), grid.places.value]).toEqual([['b'], [1]]);
});

test('those who are behind stand where most of them do first', () => {
  expect(grid.stuckAt.value.map(({ title, count }) => [title, count])).toEqual([
    ['Leaf a', 2],
    ['Leaf b', 1],
  ]);
});

test('what is said is said of those who are chosen, and then nobody is', async () => {
  grid.toggle('bo');
  grid.toggle('cy');
  grid.toggle('bo');
  await grid.mark('a', 'marked', 'Seen');
  expect(sent).toEqual([['/api/courses/c/items/a/done', { people: ['cy'], what: 'marked', reason: 'Seen' }]]);
  expect(grid.chosen.value).toEqual([]);
});
