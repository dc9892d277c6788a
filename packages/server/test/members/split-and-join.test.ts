/** A class split in two, and two joined into one: as one act, with what everybody has kept. */
import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import type { MembersAnswer } from '@itinerary/contract';
import type { Agent } from 'supertest';
import { changeCourse, openCourse, setting, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

let server: TestServer;
let ines: Agent;
let id = '';
let made = 0;
let people: string[] = [];

const rows = (sql: string, values: readonly unknown[] = []): Promise<Record<string, unknown>[]> =>
  server.database.em.fork().execute(sql, [...values]);
const edit = (body: object, agent = ines): ReturnType<Agent['post']> =>
  agent.post(`/api/courses/${id}/members/edit`).send(body);
const classesOf = async (): Promise<Record<string, number>> => {
  const { members } = (await ines.get(`/api/courses/${id}/members`).expect(200)).body as MembersAnswer;
  const counts: Record<string, number> = {};
  for (const group of members.flatMap(({ groups }) => groups)) counts[group] = (counts[group] ?? 0) + 1;
  return counts;
};
const namesOf = async (): Promise<string[]> => {
  const { course } = (await ines.get(`/api/courses/${id}/plan`).expect(200)).body as {
    course: { groups: Record<string, { name: string }> };
  };
  return Object.values(course.groups)
    .map(({ name }) => name)
    .sort();
};

beforeAll(async () => {
  server = await testServer();
  ines = await signedIn(server, 'instructor');
  people = (
    await rows(`select id from person where kind = 'learner' and place_in is null order by name limit 6`)
  ).map((one) => String(one['id']));
});
afterAll(() => server.stop());
beforeEach(async () => {
  made += 1;
  id = await openCourse(ines, { code: `SPLIT-${made}` });
  await changeCourse(ines, id, [
    setting(id, 'groups.a', { name: 'Class A', kind: 'class', at: 1 }),
    setting(id, 'groups.b', { name: 'Class B', kind: 'class', at: 2 }),
    setting(id, 'groups.boat', { name: 'Boat', kind: 'group', at: 3 }),
  ]);
  await ines.post(`/api/courses/${id}/members`).send({ people, role: 'learner' }).expect(200);
  await edit({
    act: 'groups',
    groups: [
      { group: 'a', add: people.slice(0, 4), leave: [] },
      { group: 'b', add: people.slice(3), leave: [] },
      { group: 'boat', add: people, leave: [] },
    ],
  }).expect(200);
});

test('split, those who are named are in the new one, and in all else where they were; sent eight times it is once', async () => {
  const body = {
    act: 'split',
    group: 'a',
    into: { id: randomUUID(), name: 'Class C' },
    people: people.slice(0, 2),
  };
  const answers = await Promise.all(Array.from({ length: 8 }, () => edit(body)));
  expect(answers.map(({ status }) => status)).toEqual(Array.from({ length: 8 }, () => 200));
  expect(await classesOf()).toEqual({ a: 2, b: 3, boat: 6, [body.into.id]: 2 });
  expect(await namesOf()).toEqual(['Boat', 'Class A', 'Class B', 'Class C']);
  await edit({ ...body, into: { id: randomUUID(), name: 'Class D' } }).expect(409);
  await edit({ ...body, into: { id: randomUUID(), name: ' ' } }).expect(400);
  expect(await namesOf()).toHaveLength(4);
});

test('joined, everybody of both is in one, once, and the other goes', async () => {
  await Promise.all(
    Array.from({ length: 8 }, () => edit({ act: 'join', group: 'a', into: 'b' }).expect(200)),
  );
  expect([await classesOf(), await namesOf()]).toEqual([{ b: 6, boat: 6 }, ['Boat', 'Class B']]);
  await edit({ act: 'join', group: 'b', into: 'boat' }).expect(400);
  await edit({ act: 'join', group: 'b', into: 'b' }).expect(400);
  await edit({ act: 'join', group: 'b', into: 'nowhere' }).expect(400);
});

test('what the plan names stays, with nobody in it; whoever may not change who is there changes nothing', async () => {
  const { course } = (await ines.get(`/api/courses/${id}/plan`).expect(200)).body as {
    course: { sections: { id: string }[] };
  };
  await changeCourse(ines, id, [setting(course.sections[0]?.id ?? '', 'audience', ['a'], [])]);
  const assistant = await signedIn(server, 'assistant');
  await edit({ act: 'join', group: 'a', into: 'b' }, assistant).expect(404);
  expect(await classesOf()).toEqual({ a: 4, b: 3, boat: 6 });
  await edit({ act: 'join', group: 'a', into: 'b' }).expect(200);
  expect([await classesOf(), await namesOf()]).toEqual([{ b: 6, boat: 6 }, ['Boat', 'Class A', 'Class B']]);
});
