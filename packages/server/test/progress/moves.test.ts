/** A rule that becomes another one in a live course: who gains and who loses is told first, and what was earned can stay. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals';
import type {
  DeedDaysAnswer,
  LearnerAnswer,
  MovesAnswer,
  PlanAnswer,
  ProgressAnswer,
} from '@itinerary/contract';
import { newItem } from '@itinerary/core';
import type { Agent } from 'supertest';
import { toldClock } from '../../src/config/clock.ts';
import { castOf, openWith } from '../support/coursework.ts';
import { changeCourse, setting, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

const BEGIN = '2027-03-02T09:00:00.000Z';
const LATER = '2027-03-02T10:00:00.000Z';
const clock = toldClock(BEGIN);
const ticked = { by: 'ticked' } as const;
const opened = { by: 'opened' } as const;
let server: TestServer;
let ines: Agent;
let adaeze: Agent;
let noor: Agent;
let hye: Agent;
let visitor: Agent;
let made = 0;
let its: Awaited<ReturnType<typeof openWith>>;
let section = '';

beforeAll(async () => {
  server = await testServer({ clock });
  ({ ines, adaeze, noor, hye, visitor } = await castOf(server));
});
afterAll(() => server.stop());
/** Boots is opened by Noor and Hye-jin, and ticked by Noor alone; Noor is done with the course by it. */
beforeEach(async () => {
  clock.tell(BEGIN);
  made += 1;
  its = await openWith(server, ines, `MOVE-${made}`, {
    ...newItem('page', { id: '', title: 'Boots', done: ticked }),
  });
  const { course } = (await ines.get(`/api/courses/${its.id}/plan`)).body as PlanAnswer;
  section = course.sections.find(({ items }) => items.some(({ id }) => id === its.item))?.id ?? '';
  for (const agent of [noor, hye]) await agent.get(`/api/learn/${its.id}/items/${its.item}`).expect(200);
  await noor.put(`/api/learn/${its.id}/items/${its.item}/done`);
  clock.tell(LATER);
});

const rule = (value: unknown, was: unknown = ticked): object => setting(its.item, 'done', value, was);
const weigh = (...edits: object[]): PromiseLike<{ status: number; body: MovesAnswer }> =>
  ines.post(`/api/courses/${its.id}/progress/moves`).send({ edits });
const own = async (agent: Agent): Promise<ProgressAnswer> =>
  (await agent.get(`/api/learn/${its.id}/progress`).expect(200)).body as ProgressAnswer;
const keeping = (...edits: object[]): PromiseLike<{ status: number; body: { refused: unknown[] } }> =>
  ines
    .post(`/api/courses/${its.id}/changes`)
    .send({ since: 0, changes: [{ id: randomUUID(), edits, keepsEarned: true }], texts: {} });
const log = (): Promise<Record<string, unknown>[]> =>
  server.database.em
    .fork()
    .execute(`select person_id, deed from deed_log where course_id = ? and deed ->> 'kind' = 'kept'`, [
      its.id,
    ]);

test('who would gain, and who would lose, by name and by what; and nothing has changed by asking', async () => {
  const { body: looser } = await weigh(rule(opened));
  expect([looser.loses, looser.keeping]).toEqual([[], 0]);
  expect(looser.gains).toEqual([
    { person: its.hye, name: looser.gains[0]?.name, of: [its.item, section, its.id] },
  ]);
  expect(looser.gains[0]?.name).toContain('Hye-jin');
  const { body: stricter } = await weigh(rule({ by: 'all', of: [ticked, { by: 'opened' }], byThen: null }));
  expect([stricter.gains, stricter.loses]).toEqual([[], []]);
  const { body: other } = await weigh(
    rule({ by: 'ticked', byThen: { kind: 'fixed', day: '2027-02-01', time: null } }),
  );
  expect(other.loses.map(({ person, of }) => [person, of])).toEqual([
    [its.noor, [its.item, section, its.id]],
  ]);
  expect([other.gains, other.keeping]).toEqual([[], 1]);
  expect((await own(noor)).since).toBe(BEGIN);
  expect((await own(hye)).since).toBeNull();
});

test('an item removed takes what was done in it, and gives to whoever lacked it alone; neither can be kept', async () => {
  const tides = newItem('page', { id: 'tides', title: 'Tides', done: opened });
  await changeCourse(ines, its.id, [{ kind: 'insert', parent: section, after: null, node: tides }]);
  for (const agent of [noor, hye]) await agent.get(`/api/learn/${its.id}/items/tides`).expect(200);
  const { body } = await weigh({ kind: 'remove', target: its.item });
  expect(body.gains.map(({ person, of }) => [person, of])).toEqual([[its.hye, [section, its.id]]]);
  expect(body.loses.map(({ person, of }) => [person, of])).toEqual([[its.noor, [its.item]]]);
  expect(body.keeping).toBe(0);
  const { body: hidden } = await weigh(setting(its.item, 'shown', false, true));
  expect(hidden).toEqual(body);
});

test('kept, it is done since it was, as an earlier rule had it, whoever else does what meanwhile; and said by whom', async () => {
  const strict = { by: 'ticked', byThen: { kind: 'fixed', day: '2027-02-01', time: null } };
  const all = await Promise.all([
    keeping(rule(strict)),
    ...Array.from({ length: 4 }, () => noor.get(`/api/learn/${its.id}/items/${its.item}`)),
    ...Array.from({ length: 3 }, () => hye.put(`/api/learn/${its.id}/items/${its.item}/done`)),
  ]);
  expect(all[0].body.refused).toEqual([]);
  const now = await own(noor);
  expect([now.since, now.items[0]?.since, now.items[0]?.by]).toEqual([BEGIN, BEGIN, 'kept']);
  const { deeds } = (await ines.get(`/api/courses/${its.id}/progress/${its.noor}`).expect(200))
    .body as LearnerAnswer;
  expect(deeds.find(({ deed }) => deed.kind === 'kept')).toMatchObject({ item: its.item });
  expect(deeds.find(({ deed }) => deed.kind === 'kept')?.by).toContain('Inês');
  // Once the rule asks for that, it stays as it is through the next one, and through another deed.
  await changeCourse(ines, its.id, [rule({ by: 'all', of: [ticked, { by: 'opened' }] }, strict)]);
  await noor.delete(`/api/learn/${its.id}/items/${its.item}/done`);
  expect((await own(noor)).since).toBe(BEGIN);
});

test('a section and the course are kept by the rules that were; taken back by staff, they are done no more', async () => {
  const one = { want: { how: 'minutes', minutes: 1 }, named: [] };
  const { body } = await weigh(setting(section, 'done', { ...one, want: { how: 'minutes', minutes: 50 } }));
  expect(body.loses.map(({ person, of }) => [person, of])).toEqual([[its.noor, [section]]]);
  expect(body.keeping).toBe(1);
  const taken = await keeping(
    setting(section, 'done', { ...one, want: { how: 'minutes', minutes: 50 } }),
    setting(its.id, 'done', { match: 'all', of: [{ over: 'items', want: { how: 'least', count: 9 } }] }),
  );
  expect(taken.body.refused).toEqual([]);
  const now = await own(noor);
  expect([now.since, now.sections[0]?.since]).toEqual([BEGIN, BEGIN]);
  expect(await log()).toEqual([]);
  await ines
    .post(`/api/courses/${its.id}/items/${its.item}/done`)
    .send({ people: [its.noor], what: 'taken_back', reason: 'Copied' })
    .expect(200);
  const after = await own(noor);
  expect([after.since, after.sections[0]?.since]).toEqual([null, null]);
});

test('without a word nothing is kept; sent twice it is kept once; what is refused keeps nothing', async () => {
  const strict = { by: 'ticked', byThen: { kind: 'fixed', day: '2027-02-01', time: null } };
  await changeCourse(ines, its.id, [rule(strict)]);
  expect((await own(noor)).since).toBeNull();
  await changeCourse(ines, its.id, [rule(ticked, strict)]);
  const change = { id: randomUUID(), edits: [rule(strict)], keepsEarned: true };
  const send = (): PromiseLike<{ status: number }> =>
    ines.post(`/api/courses/${its.id}/changes`).send({ since: 0, changes: [change], texts: {} });
  const all = await Promise.all(Array.from({ length: 8 }, send));
  expect(all.map(({ status }) => status)).toEqual(Array<number>(8).fill(200));
  expect(await log()).toHaveLength(1);
  const refused = await keeping(rule(opened, strict), setting(its.id, 'nonsense', 1));
  expect(refused.body.refused).toHaveLength(1);
  expect(await log()).toHaveLength(1);
  const change2 = { ...change, id: randomUUID(), keepsEarned: 'yes' };
  const odd = await ines
    .post(`/api/courses/${its.id}/changes`)
    .send({ since: 0, changes: [change2], texts: {} });
  expect(odd.status).toBe(400);
});

test('learners and visitors ask nothing of it; what does not apply moves nobody; nonsense is told', async () => {
  for (const [agent, status] of [
    [noor, 403],
    [visitor, 404],
    [adaeze, 200],
  ] as const) {
    const answer = await agent.post(`/api/courses/${its.id}/progress/moves`).send({ edits: [rule(opened)] });
    expect(answer.status).toBe(status);
    if (status !== 200) expect(JSON.stringify(answer.body)).not.toContain('Hye');
  }
  expect((await weigh({ kind: 'remove', target: 'nowhere' })).body).toEqual({
    gains: [],
    loses: [],
    keeping: 0,
  });
  expect((await weigh()).status).toBe(400);
  expect((await weigh({ kind: 'grow', target: its.item })).status).toBe(400);
});

test('what a forecast is made from: who has done what on which day, to staff alone', async () => {
  const days = async (): Promise<DeedDaysAnswer> =>
    (await adaeze.get(`/api/courses/${its.id}/forecast`).expect(200)).body as DeedDaysAnswer;
  const { today, first, items, learners } = await days();
  expect([today, first, items]).toEqual(['2027-03-02', '2027-03-02', [its.item]]);
  expect(learners.find(({ person }) => person === its.noor)).toMatchObject({
    ...{ done: [[0, 0]], since: '2027-03-02', exceptions: [] },
  });
  expect(learners.find(({ person }) => person === its.hye)).toMatchObject({ done: [], since: null });
  // Beyond midnight in the course's zone it is another day.
  clock.tell('2027-03-04T23:30:00.000Z');
  await hye.put(`/api/learn/${its.id}/items/${its.item}/done`);
  clock.tell('2027-03-05T00:10:00.000Z');
  const later = await days();
  expect([later.today, later.first]).toEqual(['2027-03-05', '2027-03-02']);
  expect(later.learners.find(({ person }) => person === its.hye)?.done).toEqual([[0, 2]]);
  for (const [agent, status] of [
    [noor, 403],
    [visitor, 404],
  ] as const) {
    expect((await agent.get(`/api/courses/${its.id}/forecast`)).status).toBe(status);
  }
});
