/**
 * A list on its way into the course: what is under way, stopped, chosen, answered, and sent.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import type { TakeList } from '@itinerary/contract';
import { createPinia, setActivePinia } from 'pinia';
import { effectScope } from 'vue';
import type { EffectScope } from 'vue';
import { workOn } from '../../src/setup/members/list/held-list.ts';
import type { HeldOrNot, ListNews, ListTask } from '../../src/setup/members/list/held-list.ts';
import type { RunList } from '../../src/setup/members/list/in-worker.ts';
import { useList } from '../../src/setup/members/list/use-list.ts';
import type { OneList } from '../../src/setup/members/list/use-list.ts';
import { useMembers } from '../../src/stores/members.ts';

/** As the worker does it, but here; `isSlow` leaves it under way. */
let isSlow = false;
let stopped = 0;
const tasks: ListTask[] = [];
const run: RunList = (task, tell) => {
  tasks.push(task);
  let stop = (): void => undefined;
  const held = new Promise<HeldOrNot | null>((resolve, reject) => {
    stop = () => {
      stopped += 1;
      resolve(null);
    };
    const hear = (news: ListNews): void => {
      if ('step' in news) tell(news.step);
      else if ('held' in news && !isSlow) resolve(news.held);
      else if ('failed' in news) reject(new Error(news.failed));
    };
    void Promise.resolve().then(() => workOn(task, hear));
  });
  return { held, stop: () => stop() };
};

let stamp = 's1';
let roster: object[] = [];
let sent: TakeList[] = [];
let isAway = false;
const fetched = (address: unknown, init?: RequestInit): Promise<Response> => {
  if (isAway) return Promise.reject(new TypeError('away'));
  const json = (body: object, status = 200): Response =>
    new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
  if (String(address).endsWith('/roster')) return Promise.resolve(json({ stamp, members: roster }));
  if (/\/members(\/first.*)?$/.test(String(address)))
    return Promise.resolve(json({ members: [], total: 0, found: 0 }));
  const body = JSON.parse(String(init?.body)) as TakeList;
  sent.push(body);
  if (body.stamp !== stamp) {
    return Promise.resolve(json({ code: 'members_changed', title: 'x', status: 409, type: 'x' }, 409));
  }
  return Promise.resolve(json({ members: [], lists: [] }));
};

let scope: EffectScope;
let list: OneList;
beforeEach(() => {
  setActivePinia(createPinia());
  [isSlow, stopped, stamp, roster, sent, isAway] = [false, 0, 's1', [], [], false];
  tasks.length = 0;
  jest.spyOn(globalThis, 'fetch').mockImplementation(fetched);
  scope = effectScope();
  list = scope.run(() => useList(() => 'course', run)) as OneList;
});
afterEach(() => {
  scope.stop();
  jest.restoreAllMocks();
});
const settled = (): Promise<void> => new Promise((done) => setTimeout(done));

const TEXT = 'Nr,Name,Shore\n1,Tove Ness,North\n2,Wren Aldous-Bay,South';
const member = (name: string, more: object = {}): object => ({
  key: name,
  id: null,
  given: null,
  family: null,
  name,
  address: null,
  userName: null,
  classes: [],
  groups: [],
  role: 'learner',
  state: 'in',
  isPlace: false,
  isListed: false,
  cells: null,
  ...more,
});

test('what comes is held against the course as it is now, and every choice reckons it anew', async () => {
  await list.begin({ name: 'shores.csv', list: TEXT });
  expect(list.step.value).toBeNull();
  list.setHeading(true);
  // Before the worker has said a word: nothing of what is shown can be taken in.
  expect(list.step.value).toBe('reading');
  await settled();
  expect(list.there.value?.reading.columns.map(({ column }) => column)).toEqual([
    'ignored',
    'name',
    'ignored',
  ]);
  list.chooseColumn(0, 'id');
  list.chooseColumn(2, 'class');
  await settled();
  expect(list.lines.value.map(({ id, name, classes }) => [id, name, classes])).toEqual([
    ['1', 'Tove Ness', 'North'],
    ['2', 'Wren Aldous-Bay', 'South'],
  ]);
  // What is one thing is not another thing too.
  list.chooseColumn(0, 'class');
  await settled();
  expect(list.there.value?.reading.columns.map(({ column }) => column)).toEqual(['class', 'name', 'ignored']);
});

test('of a list of two classes one is taken; with all of them it is the whole list again', async () => {
  await list.begin({ name: '', list: 'Id,Name,Class\n1,Tove Ness,North\n2,Wren Aldous-Bay,South' });
  list.setOnly(['South']);
  await settled();
  expect(list.lines.value.map(({ name }) => name)).toEqual(['Wren Aldous-Bay']);
  list.setOnly(['North', 'South']);
  await settled();
  expect(list.only.value).toBeNull();
  expect(list.lines.value).toHaveLength(2);
});

test('what is under way is stopped by whoever stops it, or chooses again', async () => {
  isSlow = true;
  void list.begin({ name: '', list: TEXT });
  await settled();
  expect(list.step.value).toBe('reconciling');
  list.setHeading(true);
  await settled();
  expect(stopped).toBe(1);
  list.forget();
  await settled();
  expect([stopped, list.source.value, list.step.value, list.held.value]).toEqual([2, null, null, null]);
});

test('without an answer it is not held against anybody', async () => {
  isAway = true;
  await list.begin({ name: '', list: TEXT });
  expect([list.isBroken.value, list.step.value, tasks.length]).toEqual([true, null, 0]);
  isAway = false;
  await list.begin({ name: '', list: TEXT });
  expect(list.isBroken.value).toBe(false);
  expect(list.there.value).not.toBeNull();
});

test('it is sent with what it was held against, what was answered, and who goes; changed meanwhile, it is looked at again', async () => {
  roster = [member('Odhran Keane', { isListed: true }), member('Tove Ness')];
  await useMembers().load('course', 'en');
  await list.begin({ name: 'shores.csv', list: 'Id,Name\n1,Tove Ness\n2,Wren Aldous-Bay' });
  expect(list.counts.value).toMatchObject({ added: 1, asked: 1 });
  const [asked] = list.there.value?.questions ?? [];
  const key = asked?.kind === 'possible' ? asked.entry.key : '';
  list.answer([[key, { is: 'member', key: 'Tove Ness' }]]);
  await settled();
  expect(list.counts.value).toMatchObject({ added: 1, changed: 1, asked: 0 });
  list.setGoing(['Odhran Keane', 'nobody'], true);
  expect(list.going.value).toBe(1);
  stamp = 's2';
  await expect(list.take()).rejects.toThrow();
  expect([list.isAnew.value, sent[0]?.stamp]).toEqual([true, 's1']);
  await list.take();
  expect(sent[1]).toMatchObject({
    id: sent[0]?.id,
    stamp: 's2',
    source: 'shores.csv',
    shape: { heading: ['Id', 'Name'], columns: ['id', 'name'] },
    rows: [
      { line: 2, id: '1', name: 'Tove Ness' },
      { line: 3, id: '2', name: 'Wren Aldous-Bay' },
    ],
    choices: [{ entry: key, choice: { is: 'member', key: 'Tove Ness' } }],
    remove: ['Odhran Keane'],
  });
  // Another choice is another act.
  list.setGoing(['Odhran Keane'], false);
  await list.take();
  expect(sent[2]?.id).not.toBe(sent[1]?.id);
});
