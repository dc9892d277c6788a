/** Groups by learners' own choice: one of each grouping, never beyond the limit, until the moment, and of their own making. */
import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals';
import type { ChoicesAnswer } from '@itinerary/contract';
import request from 'supertest';
import type { Agent } from 'supertest';
import { toldClock } from '../../src/config/clock.ts';
import { changeCourse, NOW, openCourse, setting, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

const clock = toldClock(NOW);
const UNTIL = { kind: 'fixed', day: '2027-03-01', time: '12:00' };
const CHOICE = { until: UNTIL, most: 2, own: false };

let server: TestServer;
let ines: Agent;
let learners: Agent[] = [];
let names: string[] = [];
let id = '';
let made = 0;

const rows = (sql: string, values: readonly unknown[] = []): Promise<Record<string, unknown>[]> =>
  server.database.em.fork().execute(sql, [...values]);
const choose = (agent: Agent, body: object): ReturnType<Agent['post']> =>
  agent.post(`/api/learn/${id}/groups`).send({ grouping: 'boats', ...body });
const seen = async (agent: Agent): Promise<ChoicesAnswer['groupings']> =>
  ((await agent.get(`/api/learn/${id}/groups`).expect(200)).body as ChoicesAnswer).groupings;
const sizes = async (): Promise<number[]> => {
  const [boats] = await seen(learners[0] as Agent);
  return (boats?.groups ?? []).map(({ size }) => size);
};

beforeAll(async () => {
  server = await testServer({ clock });
  ines = await signedIn(server, 'instructor');
  const found = await rows(
    `select name, address from person where kind = 'learner' and place_in is null order by name limit 8`,
  );
  names = found.map(({ name }) => String(name));
  learners = await Promise.all(
    found.map(async ({ address }) => {
      const agent = request.agent(server.address);
      await agent.post('/api/session').send({ address, password: 'low-tide-at-nine' }).expect(200);
      return agent;
    }),
  );
});
afterAll(() => server.stop());
beforeEach(async () => {
  clock.tell(NOW);
  made += 1;
  id = await openCourse(ines, { code: `CHOOSE-${made}` });
  const group = (name: string, at: number, grouping: string): object => ({
    name,
    kind: 'group',
    at,
    grouping,
  });
  await changeCourse(ines, id, [
    setting(id, 'groupings.boats', { name: 'Boats', at: 1, choice: CHOICE }),
    setting(id, 'groupings.labs', { name: 'Labs', at: 2, choice: { until: null, most: null, own: true } }),
    setting(id, 'groupings.told', { name: 'MARKER told', at: 3, choice: null }),
    setting(id, 'groups.avocet', group('Avocet', 1, 'boats')),
    setting(id, 'groups.curlew', group('Curlew', 2, 'boats')),
    setting(id, 'groups.wet', group('Wet lab', 3, 'labs')),
    setting(id, 'groups.secret', group('MARKER secret', 4, 'told')),
  ]);
  const people = await rows(
    `select id from person where name in (select jsonb_array_elements_text(?::jsonb))`,
    [JSON.stringify(names)],
  );
  await ines
    .post(`/api/courses/${id}/members`)
    .send({ people: people.map((one) => one['id']), role: 'learner' })
    .expect(200);
  await rows(`update course set state = 'live', seq = seq + 1 where id = ?`, [id]);
});

test('each grouping by itself; another choice leaves the one before, and only in its own grouping', async () => {
  const [noor] = learners as [Agent];
  await choose(noor, { group: 'avocet' }).expect(200);
  await choose(noor, { grouping: 'labs', group: 'wet' }).expect(200);
  await choose(noor, { group: 'curlew' }).expect(200);
  const answer = await noor.get(`/api/learn/${id}/groups`).expect(200);
  expect(answer.text).not.toMatch(/MARKER|@ternpoint/);
  const mine = (answer.body as ChoicesAnswer).groupings.map(({ groups }) =>
    groups.filter(({ isMine }) => isMine).map(({ name }) => name),
  );
  expect(mine).toEqual([['Curlew'], ['Wet lab']]);
  await choose(noor, { group: null }).expect(200);
  expect(await sizes()).toEqual([0, 0]);
});

test('eight at once for two places each: two in each, and the others are told', async () => {
  const answers = await Promise.all(
    learners.map((agent, at) => choose(agent, { group: at % 2 === 0 ? 'avocet' : 'curlew' })),
  );
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 200, 200, 200, 409, 409, 409, 409]);
  expect(answers.find(({ status }) => status === 409)?.body).toMatchObject({ code: 'cannot_choose' });
  expect(await sizes()).toEqual([2, 2]);
  // Whoever is in is in, pressed again.
  const last = answers.findIndex(({ status }) => status === 200);
  await choose(learners[last] as Agent, { group: last % 2 === 0 ? 'avocet' : 'curlew' }).expect(200);
  // One leaves, and the next comes in.
  await choose(learners[last] as Agent, { group: null }).expect(200);
  const waits = answers.findIndex(({ status }, at) => status === 409 && at % 2 === last % 2);
  await choose(learners[waits] as Agent, { group: last % 2 === 0 ? 'avocet' : 'curlew' }).expect(200);
  expect(await sizes()).toEqual([2, 2]);
});

test('until its very moment, and not after; nobody but learners, and nothing that staff give', async () => {
  const [noor] = learners as [Agent];
  clock.tell('2027-03-01T12:00:59.000Z');
  await choose(noor, { group: 'avocet' }).expect(200);
  clock.tell('2027-03-01T12:01:00.000Z');
  await choose(noor, { group: 'curlew' }).expect(409);
  expect((await seen(noor))[0]).toMatchObject({
    isOpen: false,
    until: Date.parse('2027-03-01T12:01:00.000Z'),
  });
  await choose(noor, { grouping: 'told', group: 'secret' }).expect(404);
  await choose(noor, { grouping: 'labs', group: 'avocet' }).expect(409);
  expect(await seen(ines)).toEqual([]);
  await choose(ines, { group: 'avocet' }).expect(404);
  await choose(await signedIn(server, 'outsider'), { group: 'avocet' }).expect(404);
});

test('where learners may, they make a group of their own; where they may not, they do not', async () => {
  const [noor, other] = learners as [Agent, Agent];
  await choose(noor, { name: 'Mine' }).expect(409);
  await choose(noor, { grouping: 'labs', name: '  ' }).expect(400);
  const made8 = await Promise.all(
    Array.from({ length: 8 }, () => choose(noor, { grouping: 'labs', name: 'Kelp lab' })),
  );
  expect(made8.filter(({ status }) => status === 200)).toHaveLength(1);
  const [, labs] = await seen(other);
  expect(labs?.groups.map(({ name, size }) => [name, size])).toEqual([
    ['Wet lab', 0],
    ['Kelp lab', 1],
  ]);
  await choose(other, { grouping: 'labs', group: labs?.groups[1]?.id }).expect(200);
  // One after the other would fill the course with empty ones: that ends.
  const many: number[] = [];
  for (let at = 0; at < 12; at += 1) {
    many.push((await choose(noor, { grouping: 'labs', name: `Mine ${at}` })).status);
  }
  expect([many.filter((status) => status === 200).length, many.at(-1)]).toEqual([9, 409]);
});
