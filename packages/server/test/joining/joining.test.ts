/** Joining by a code, seats that are never oversold, and leaving. */
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import type { JoinPageAnswer, WaysInAnswer } from '@itinerary/contract';
import { newSection, SHUT_WAY } from '@itinerary/core';
import request from 'supertest';
import type { Agent, Response } from 'supertest';
import { changeCourse, openCourse, setting, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

let server: TestServer;
let ines: Agent;
let noor: Agent;
let outsider: Agent;
let nobody: Agent;
let id = '';
let code = '';
let made = 0;

const WAY = { ...SHUT_WAY, on: true };
const set = (field: string, value: unknown, was: unknown = null): Promise<void> =>
  changeCourse(ines, id, [setting(id, field, value, was)]);
const page = async (agent: Agent): Promise<JoinPageAnswer> =>
  (await agent.get(`/api/join/${code}`).expect(200)).body as JoinPageAnswer;
const join = (agent: Agent, by = code): PromiseLike<Response> => agent.post(`/api/join/${by}`).send({});
const why = ({ body }: Response): unknown => (body as { errors?: { value: unknown }[] }).errors?.[0]?.value;
const rows = (sql: string, values: readonly unknown[] = []): Promise<Record<string, unknown>[]> =>
  server.database.em.fork().execute(sql, [...values]);

beforeAll(async () => {
  server = await testServer();
  ines = await signedIn(server, 'instructor');
  noor = await signedIn(server, 'learner');
  outsider = await signedIn(server, 'outsider');
  nobody = request.agent(server.address);
});
afterAll(() => server.stop());
/** A live course that is joined by its code, with a section that is not shown. */
beforeEach(async () => {
  made += 1;
  id = await openCourse(ines, { code: `JOIN-${made}` });
  const hidden = { ...newSection({ id: 'hidden' }), title: 'MARKER hidden', shown: false };
  await changeCourse(ines, id, [
    { kind: 'insert', parent: id, after: null, node: hidden },
    setting(id, 'ways.link', WAY),
    setting(id, 'madeFor', 'Whoever has boots'),
  ]);
  ({ code } = (await ines.post(`/api/courses/${id}/ways/code`).send({}).expect(200)).body as {
    code: string;
  });
  await rows(`update course set state = 'live' where id = ?`, [id]);
  await rows(`update course set seq = seq + 1 where id = ?`, [id]);
});

test('whoever has the code is told what the public page tells, and nothing that is not shown', async () => {
  const answer = await nobody.get(`/api/join/${code}`).expect(200);
  expect(answer.body).toMatchObject({
    course: { id, madeFor: 'Whoever has boots', staff: ['Inês Carvalhal'] },
    seatsLeft: null,
    ways: [{ way: 'link', answer: { can: 'yes', steps: [], until: null }, question: null, isOffered: false }],
    request: null,
    invited: null,
  });
  expect(answer.text).not.toMatch(/MARKER|@ternpoint/);
  // Typed by hand it is the same.
  await nobody.get(`/api/join/${code.slice(0, 5).toLowerCase()}-${code.slice(5).toLowerCase()}`).expect(200);
  await nobody.get('/api/join/0000000000').expect(404);
  await nobody.get('/api/join/nothing').expect(404);
});

test('one press, and they are in it by link; pressed six times at once they are in it once', async () => {
  expect((await join(nobody)).status).toBe(401);
  const answers = await Promise.all(Array.from({ length: 6 }, () => join(noor)));
  expect(answers.map(({ status, body }) => [status, body])).toEqual(
    answers.map(() => [200, { course: id, is: 'in', page: null }]),
  );
  const members = await rows('select role, way, left_at from member where course_id = ? order by role', [id]);
  expect(members).toEqual([
    { role: 'instructor', way: 'staff', left_at: null },
    { role: 'learner', way: 'link', left_at: null },
  ]);
  expect(await page(noor)).toMatchObject({ ways: [{ answer: { can: 'no', because: 'in' } }] });
  const ways = (await ines.get(`/api/courses/${id}/ways`)).body as WaysInAnswer;
  expect(ways).toMatchObject({ code, learners: [{ way: 'link', count: 1 }] });
  await noor.get(`/api/learn/${id}`).expect(200);
});

test('a code made anew ends the one before, and who had joined by it stays', async () => {
  await join(noor);
  const old = code;
  ({ code } = (await ines.post(`/api/courses/${id}/ways/code`).send({})).body as { code: string });
  expect(code).not.toBe(old);
  expect((await join(outsider, old)).status).toBe(404);
  expect((await join(outsider)).status).toBe(200);
  await noor.get(`/api/learn/${id}`).expect(200);
});

describe('what stands in the way', () => {
  const cases: readonly (readonly [string, () => Promise<void>, string, object])[] = [
    ['off', () => set('ways.link', { ...WAY, on: false }, WAY), 'off', {}],
    [
      'a window that is not open yet',
      () => set('ways.link', { ...WAY, opens: { kind: 'fixed', day: '2027-02-20', time: '08:00' } }, WAY),
      'not_yet',
      { until: Date.parse('2027-02-20T08:00:00Z') },
    ],
    [
      'a window that is over',
      () => set('ways.link', { ...WAY, closes: { kind: 'fixed', day: '2027-02-15', time: null } }, WAY),
      'over',
      {},
    ],
    [
      'another domain',
      () => set('ways.link', { ...WAY, domains: ['away.example'] }, WAY),
      'not_for',
      { missing: ['domain'] },
    ],
    [
      'a draft',
      async () => void (await rows(`update course set state = 'draft', seq = seq + 1 where id = ?`, [id])),
      'draft',
      {},
    ],
    [
      'the archive',
      async () => void (await rows(`update course set state = 'archived', seq = seq + 1 where id = ?`, [id])),
      'archived',
      {},
    ],
  ];
  test.each(cases)('%s', async (_name, arrange, because, more) => {
    await arrange();
    expect((await page(noor)).ways[0]?.answer).toMatchObject({ can: 'no', because, ...more });
    const answer = await join(noor);
    expect([answer.status, why(answer)]).toEqual([403, because]);
    expect(await rows(`select * from member where course_id = ? and role = 'learner'`, [id])).toEqual([]);
  });

  test('whoever was removed comes back through staff alone; whoever left, by the code, with the day they joined', async () => {
    await join(noor);
    await rows(
      `update member set joined_at = '2027-01-05T09:00:00.000Z' where course_id = ? and role = 'learner'`,
      [id],
    );
    await noor.post(`/api/learn/${id}/leave`).send({}).expect(204);
    expect((await join(noor)).status).toBe(200);
    const [row] = await rows(`select * from member where course_id = ? and role = 'learner'`, [id]);
    expect(row).toMatchObject({ joined_at: '2027-01-05T09:00:00.000Z', left_at: null, left_how: null });
    await ines.delete(`/api/courses/${id}/members/${String(row?.['person_id'])}`).expect(200);
    const answer = await join(noor);
    expect([answer.status, why(answer)]).toEqual([403, 'not_for']);
    const body = { people: [row?.['person_id']], role: 'learner' };
    await ines.post(`/api/courses/${id}/members`).send(body).expect(200);
    expect(await page(noor)).toMatchObject({ ways: [{ answer: { because: 'in' } }] });
  });

  test('another institution has no such course', async () => {
    await rows(
      `insert into institution (id, name, zone, largest_upload) values ('other', 'Other', 'UTC', 100)`,
    );
    await rows(
      `update course set institution_id = 'other', department = null, term = null, seq = seq + 1 where id = ?`,
      [id],
    );
    await noor.get(`/api/join/${code}`).expect(404);
    expect((await join(noor)).status).toBe(404);
    await rows(
      `update course set institution_id = (select institution_id from person limit 1), seq = seq + 1 where id = ?`,
      [id],
    );
  });
});

describe('leaving', () => {
  test('is for learners, where the course lets them', async () => {
    await join(noor);
    await ines.post(`/api/learn/${id}/leave`).send({}).expect(403);
    await set('mayLeave', false, true);
    expect((await noor.get(`/api/learn/${id}/members`)).body).toMatchObject({ mayLeave: false });
    await noor.post(`/api/learn/${id}/leave`).send({}).expect(403);
    await set('mayLeave', true, false);
    expect((await noor.get(`/api/learn/${id}/members`)).body).toMatchObject({ mayLeave: true });
    await noor.post(`/api/learn/${id}/leave`).send({}).expect(204);
    await noor.get(`/api/learn/${id}`).expect(404);
    await noor.post(`/api/learn/${id}/leave`).send({}).expect(404);
  });
});

describe('seats', () => {
  test('the database itself takes nobody beyond them, but for whom staff add', async () => {
    await set('seats', 1);
    await join(noor);
    const insert = (person: string, way: string): Promise<unknown> =>
      rows(
        `insert into member (course_id, person_id, role, joined_at, way)
         select ?, id, 'learner', '2027-02-16T09:42:00.000Z', ? from person where name = ?`,
        [id, way, person],
      );
    await expect(insert('Pavel Dvořan', 'link')).rejects.toThrow(/no seat left/);
    await insert('Pavel Dvořan', 'staff');
    expect(await page(nobody)).toMatchObject({ seatsLeft: 0 });
    await expect(
      rows(
        `update member set left_at = null, left_how = null, way = 'link' where course_id = ? and role = 'learner'`,
        [id],
      ),
    ).rejects.toThrow(/no seat left/);
  });

  test('seats of the way alone', async () => {
    await set('ways.link', { ...WAY, seats: 1 }, WAY);
    expect(await page(noor)).toMatchObject({ seatsLeft: 1, ways: [{ answer: { can: 'yes' } }] });
    await join(noor);
    const answer = await join(outsider);
    expect([answer.status, why(answer)]).toEqual([403, 'full']);
  });
});

test('codes are guessed only so often from one place', async () => {
  await rows(`delete from attempt`);
  let status = 404;
  let tries = 0;
  while (status === 404 && tries < 400) {
    ({ status } = await nobody.get('/api/join/0000000000'));
    tries += 1;
  }
  expect([status, tries]).toEqual([429, 301]);
  await rows(`delete from attempt`);
  // Whoever has the right one never comes near it.
  for (let at = 0; at < 20; at += 1) await nobody.get(`/api/join/${code}`).expect(200);
  expect(await rows(`select 1 from attempt where points > 0`)).toEqual([]);
});
