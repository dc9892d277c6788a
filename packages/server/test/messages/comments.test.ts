/** What people say about an announcement: who may, who reads it, taken away and brought back. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { AnnouncementsAnswer, CommentsAnswer, Problem } from '@itinerary/contract';
import { newItem, newSection } from '@itinerary/core';
import request from 'supertest';
import type { Agent } from 'supertest';
import { announcement } from '../support/announcement.ts';
import { PersonRow, RemarkRow } from '../../src/db/entities.ts';
import {
  changeCourse,
  NOW,
  openCourse,
  PEOPLE,
  putOn,
  setting,
  signedIn,
  testServer,
} from '../support/server.ts';
import type { TestServer, Who } from '../support/server.ts';

let server: TestServer;
const agents = new Map<Who, Agent>();
const as = (who: Who): Agent => agents.get(who) as Agent;
let id = '';
const at = (): string => `/api/learn/${id}/announcements/boots/comments`;

beforeAll(async () => {
  server = await testServer();
  for (const who of ['instructor', 'assistant', 'learner', 'outsider'] as const)
    agents.set(who, await signedIn(server, who));
  id = await openCourse(as('instructor'), {
    title: 'A course that is talked about',
    code: 'TALK-1',
    purpose: 'practice',
    firstDay: '2027-02-15',
    weeks: 4,
    zone: 'Europe/Lisbon',
  });
  await putOn(as('instructor'), id, 'noor', 'learner');
  await putOn(as('instructor'), id, 'adaeze', 'assistant');
  const section = newSection({ id: 'start', outside: true });
  const page = newItem('page', { id: 'mud', title: 'Mud' });
  await changeCourse(as('instructor'), id, [
    { kind: 'insert', parent: id, after: null, node: section },
    { kind: 'insert', parent: 'start', after: null, node: page },
    setting(id, 'state', 'live', 'draft'),
    setting(id, 'announcements.boots', announcement('Boots', { comments: true })),
    setting(id, 'announcements.up', announcement('Up')),
  ]);
});
afterAll(() => server.stop());

test('is said where it may be, by those who take part', async () => {
  const said = (await as('learner').post(at()).send({ id: randomUUID(), text: ' Size 44? ' }).expect(200))
    .body as CommentsAnswer;
  expect(said.comments).toMatchObject([{ name: 'Noor Rahimi', text: 'Size 44?', mayRemove: true, at: NOW }]);
  await as('learner').post(at()).send({ id: randomUUID(), text: '  ' }).expect(400);
  await as('learner')
    .post(`/api/learn/${id}/announcements/up/comments`)
    .send({ id: randomUUID(), text: 'No' })
    .expect(403);
  await as('outsider').post(at()).send({ id: randomUUID(), text: 'No' }).expect(404);
  const seen = (await as('instructor').get(at()).expect(200)).body as CommentsAnswer;
  expect(seen.comments[0]?.mayRemove).toBe(true);
  const other = (await as('instructor').post(at()).send({ id: randomUUID(), text: 'Yes.' }).expect(200))
    .body as CommentsAnswer;
  const mine = other.comments.find(({ text }) => text === 'Yes.')?.id ?? '';
  await as('learner').delete(`${at()}/${mine}`).expect(403);
  await as('learner').delete(`${at()}/never-was`).expect(404);
  const left = (
    await as('learner')
      .delete(`${at()}/${said.comments[0]?.id ?? ''}`)
      .expect(200)
  ).body as CommentsAnswer;
  expect(left.comments.map(({ text, isRemoved }) => [text, isRemoved])).toEqual([
    ['Size 44?', true],
    ['Yes.', false],
  ]);
});

test('sent again it is the same, eight times at once, and after it was taken away; another’s id is nobody’s to use', async () => {
  const body = { id: randomUUID(), text: 'Waders?' };
  const eight = await Promise.all(Array.from({ length: 8 }, () => as('learner').post(at()).send(body)));
  expect(eight.map(({ status }) => status)).toEqual(Array(8).fill(200));
  const told = async (): Promise<[string, boolean][]> =>
    ((await as('learner').get(at()).expect(200)).body as CommentsAnswer).comments
      .filter(({ text }) => text === 'Waders?' || text === 'Mine')
      .map(({ text, isRemoved }) => [text, isRemoved]);
  expect(await told()).toEqual([['Waders?', false]]);
  const taken = await as('instructor').post(at()).send({ id: body.id, text: 'Mine' });
  expect([taken.status, (taken.body as Problem).code]).toEqual([400, 'bad_input']);
  await as('learner').delete(`${at()}/${body.id}`).expect(200);
  await as('learner').post(at()).send(body).expect(200);
  expect(await told()).toEqual([['Waders?', true]]);
});

test('comments stand in the order in which they were said, though the clock stands', async () => {
  const words = Array.from({ length: 8 }, (_, count) => `Word ${count}`);
  for (const text of words) await as('learner').post(at()).send({ id: randomUUID(), text }).expect(200);
  const { comments } = (await as('assistant').get(at()).expect(200)).body as CommentsAnswer;
  expect(comments.map(({ text }) => text).filter((text) => text.startsWith('Word'))).toEqual(words);
});

describe('so much can be said', () => {
  const LONG_AGO = '2027-02-10T09:00:00.000Z';
  async function filled(many: number, more: object = {}): Promise<void> {
    const em = server.database.em.fork();
    const noor = await em.findOneOrFail(PersonRow, { address: PEOPLE.learner });
    const row = { courseId: id, announcementId: 'boots', personId: noor.id, at: LONG_AGO, text: 'Again' };
    for (let turn = 0; turn < many; turn += 1)
      em.persist(
        em.create(RemarkRow, { ...row, id: `again-${turn}`, turn: 1000 + turn, removedBy: null, ...more }),
      );
    await em.flush();
  }
  const cleared = (where: object = { text: 'Again' }): Promise<unknown> =>
    server.database.em.fork().nativeDelete(RemarkRow, where);
  const say = (who: Who, status: number) =>
    as(who).post(at()).send({ id: randomUUID(), text: 'One more' }).expect(status);

  test('by one person under one announcement, of what stands; and others go on', async () => {
    await cleared({ courseId: id });
    await filled(40);
    expect(((await say('learner', 403)).body as Problem).detail).toContain('40');
    await say('instructor', 200);
    await cleared();
    // What has been taken away has left its place.
    const noor = await server.database.em.fork().findOneOrFail(PersonRow, { address: PEOPLE.learner });
    await filled(40, { removedBy: noor.id });
    await say('learner', 200);
    await cleared();
  });

  test('by everybody', async () => {
    const em = server.database.em.fork();
    const outsider = await em.findOneOrFail(PersonRow, { address: PEOPLE.outsider });
    await filled(2000, { personId: outsider.id });
    expect(((await say('learner', 403)).body as Problem).detail).toContain('2000');
    await cleared();
    await say('learner', 200);
  });

  test('ten times in ten minutes, also when all of them are sent at once; then it is said how long to wait', async () => {
    await cleared({ courseId: id });
    const all = await Promise.all(
      Array.from({ length: 16 }, (_, turn) =>
        as('learner')
          .post(at())
          .send({ id: randomUUID(), text: `Quick ${turn}` }),
      ),
    );
    expect(all.map(({ status }) => status).toSorted()).toEqual([
      ...Array(10).fill(200),
      ...Array(6).fill(429),
    ]);
    const late = all.find(({ status }) => status === 429);
    expect(late?.headers['retry-after']).toBe('600');
    const { comments } = (await as('assistant').get(at()).expect(200)).body as CommentsAnswer;
    expect(comments).toHaveLength(10);
    const em = server.database.em.fork();
    const turns = await em.find(RemarkRow, { courseId: id }, { orderBy: { turn: 'asc' } });
    expect(turns.map(({ turn }) => turn)).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8, 9]);
    await cleared({ courseId: id });
  });
});

test('names are told as the course tells them, and one’s own always', async () => {
  const kenji = await putOn(as('instructor'), id, 'kenji', 'learner');
  agents.set('visitor', await signedIn(server, 'visitor'));
  await as('visitor').post(at()).send({ id: randomUUID(), text: 'From a learner' }).expect(200);
  await as('instructor').post(at()).send({ id: randomUUID(), text: 'From the staff' }).expect(200);
  const heard = async (who: Who): Promise<unknown> => {
    const { comments } = (await as(who).get(at()).expect(200)).body as CommentsAnswer;
    return comments.map(({ name }) => name).slice(-2);
  };
  const both = ['Kenji Morisawa', 'Inês Carvalhal'];
  expect(await heard('learner')).toEqual(both);
  await changeCourse(as('instructor'), id, [setting(id, 'names', 'staff', 'everybody')]);
  expect(await heard('learner')).toEqual([null, 'Inês Carvalhal']);
  expect(await heard('visitor')).toEqual(both);
  expect(await heard('assistant')).toEqual(both);
  const answer = await as('learner').get(at());
  expect(answer.text).not.toContain('Kenji');
  await as('instructor').delete(`/api/courses/${id}/members/${kenji}`).expect(200);
  expect(await heard('learner')).toEqual([null, 'Inês Carvalhal']);
  await changeCourse(as('instructor'), id, [setting(id, 'names', 'everybody', 'staff')]);
});

test('nobody brings back or takes away what is not theirs to, and whoever is nobody neither', async () => {
  const said = (await as('instructor').post(at()).send({ id: randomUUID(), text: 'Standing' }).expect(200))
    .body as CommentsAnswer;
  const standing = said.comments.at(-1)?.id ?? '';
  await changeCourse(as('instructor'), id, [
    setting(id, 'visitors', 'anyone', 'off'),
    setting(id, 'find', 'anyone', 'members'),
  ]);
  const nobody = request(server.address);
  await nobody.put(`${at()}/${standing}`).expect(401);
  await nobody.delete(`${at()}/${standing}`).expect(401);
  await as('learner').put(`${at()}/${standing}`).expect(404);
  await as('outsider').put(`${at()}/${standing}`).expect(404);
  await as('assistant').put(`${at()}/${standing}`).expect(200);
});

describe('a comment that is taken away', () => {
  const say = async (who: Who, text: string): Promise<string> => {
    const { comments } = (await as(who).post(at()).send({ id: randomUUID(), text }).expect(200))
      .body as CommentsAnswer;
    return comments.find((one) => one.text === text)?.id ?? '';
  };
  const seen = async (who: Who, remark: string): Promise<string> => {
    const { comments } = (await as(who).get(at()).expect(200)).body as CommentsAnswer;
    const one = comments.find((comment) => comment.id === remark);
    return one === undefined ? 'not there' : one.isRemoved ? 'may come back' : 'there';
  };
  const seenBy = async (remark: string): Promise<readonly string[]> =>
    Promise.all((['learner', 'instructor', 'assistant'] as const).map((who) => seen(who, remark)));
  const counted = async (): Promise<number | undefined> => {
    const { announcements } = (await as('learner').get(`/api/learn/${id}/announcements`).expect(200))
      .body as AnnouncementsAnswer;
    return announcements.find((one) => one.id === 'boots')?.commentCount;
  };

  test('by its author comes back for its author alone', async () => {
    const remark = await say('learner', 'Never mind.');
    const before = (await counted()) as number;
    await as('learner').delete(`${at()}/${remark}`).expect(200);
    expect(await seenBy(remark)).toEqual(['may come back', 'not there', 'not there']);
    expect(await counted()).toBe(before - 1);
    await as('instructor').put(`${at()}/${remark}`).expect(404);
    // Somebody who plans the course and takes it away as well does not make it theirs.
    await as('instructor').delete(`${at()}/${remark}`).expect(200);
    await as('learner').put(`${at()}/${remark}`).expect(200);
    expect(await seenBy(remark)).toEqual(['there', 'there', 'there']);
    expect(await counted()).toBe(before);
    // Brought back twice is there once.
    await as('learner').put(`${at()}/${remark}`).expect(200);
    expect(await counted()).toBe(before);
  });

  test('by the staff is theirs to bring back, and not its author’s', async () => {
    const remark = await say('learner', 'Rude words');
    await as('assistant').delete(`${at()}/${remark}`).expect(200);
    expect(await seenBy(remark)).toEqual(['not there', 'may come back', 'may come back']);
    await as('learner').put(`${at()}/${remark}`).expect(404);
    await as('outsider').put(`${at()}/${remark}`).expect(404);
    await as('instructor').put(`${at()}/never-was`).expect(404);
    await as('instructor').put(`${at()}/${remark}`).expect(200);
    expect(await seenBy(remark)).toEqual(['there', 'there', 'there']);
  });
});
