/** Accounts that people make themselves, passwords set anew, and sessions that one sees and ends. */
import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals';
import type { SessionsAnswer } from '@itinerary/contract';
import request from 'supertest';
import type { Agent } from 'supertest';
import { toldClock } from '../../src/config/clock.ts';
import { DRAFT, courseIds, NOW, PEOPLE, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';
import { openPostOffice, pathIn } from '../support/post-office.ts';
import type { PostOffice } from '../support/post-office.ts';

const clock = toldClock(NOW);
const PASSWORD = 'tide tables by heart';
let office: PostOffice;
let server: TestServer;

const rows = (sql: string, values: readonly unknown[] = []): Promise<Record<string, unknown>[]> =>
  server.database.em.fork().execute(sql, [...values]);
const nobody = (): Agent => request.agent(server.address);
const wanted = (address: string): object => ({
  address,
  name: 'Lena Away',
  lang: 'es',
  onward: '/join/ABCDEFGHJK',
});
async function keyIn(kind: string): Promise<string> {
  await server.jobs.runNow();
  const path = pathIn(office.letters.at(-1) ?? { id: '', to: '', back: '', mail: {} as never });
  return path.replace(`/account/${kind}/`, '');
}

beforeAll(async () => {
  office = await openPostOffice();
  server = await testServer({
    clock,
    mail: { smtp: office.url, from: 'itinerary@here.example', returnsPort: null },
  });
});
afterAll(async () => {
  await server.stop();
  await office.close();
});
beforeEach(async () => {
  clock.tell(NOW);
  office.letters.length = 0;
  await rows('delete from attempt');
});

test('an account is made by its letter, once, and goes on to where somebody came from', async () => {
  const agent = nobody();
  await agent.post('/api/accounts').send(wanted('lena.away@away.example')).expect(204);
  const key = await keyIn('confirm');
  expect(office.letters.map(({ to }) => to)).toEqual(['lena.away@away.example']);
  expect(await rows(`select * from person where address = 'lena.away@away.example'`)).toEqual([]);
  expect((await agent.get(`/api/accounts/keys/${key}`).expect(200)).body).toEqual({
    kind: 'confirm',
    address: 'lena.away@away.example',
    name: 'Lena Away',
  });
  const body = { name: 'Lena Away', password: PASSWORD };
  const presses = await Promise.all(
    Array.from({ length: 8 }, () => nobody().post(`/api/accounts/keys/${key}`).send(body)),
  );
  expect(presses.map(({ status }) => status).sort()).toEqual([200, 404, 404, 404, 404, 404, 404, 404]);
  expect(presses.find(({ status }) => status === 200)?.body).toMatchObject({
    me: { person: { name: 'Lena Away', kind: 'visitor' }, mayCreate: false },
    onward: '/join/ABCDEFGHJK',
  });
  expect(await rows(`select lang from person where address = 'lena.away@away.example'`)).toEqual([
    { lang: 'es' },
  ]);
  await agent
    .post('/api/session')
    .send({ address: 'Lena.Away@away.example', password: PASSWORD })
    .expect(200);
});

test('a link has its time; one that was never sent opens nothing, and is tried only so often', async () => {
  await nobody().post('/api/accounts').send(wanted('ravi.away@away.example')).expect(204);
  const key = await keyIn('confirm');
  clock.tell(new Date(Date.parse(NOW) + 48 * 3_600_000).toISOString());
  await nobody().get(`/api/accounts/keys/${key}`).expect(404);
  await nobody().post(`/api/accounts/keys/${key}`).send({ name: 'Ravi', password: PASSWORD }).expect(404);
  await nobody()
    .get(`/api/accounts/keys/${'A'.repeat(43)}`)
    .expect(404);
  expect(await rows(`select * from person where address = 'ravi.away@away.example'`)).toEqual([]);
});

test('whether an address has an account is told to that address alone', async () => {
  const answers = [];
  for (const address of [PEOPLE.learner, 'nobody.at.all@away.example']) {
    answers.push(await nobody().post('/api/accounts').send(wanted(address)));
    answers.push(await nobody().post('/api/accounts/forgotten').send({ address, lang: 'en' }));
  }
  const told = answers.map(({ status, text, headers }) => [status, text, Object.keys(headers).sort()]);
  expect(told).toEqual(told.map(() => told[0]));
  await server.jobs.runNow();
  const sent = office.letters.map(({ to, mail }) => `${to}: ${mail.subject ?? ''}`).sort();
  expect(sent.map((line) => line.split(' ').slice(0, 5).join(' '))).toEqual([
    'nobody.at.all@away.example: Tu cuenta en Tern',
    `${PEOPLE.learner}: A new password`,
    `${PEOPLE.learner}: You have an account`,
  ]);
});

test('five letters to an address, and then none for a while', async () => {
  const statuses = [];
  for (let at = 0; at < 7; at += 1) {
    statuses.push((await nobody().post('/api/accounts').send(wanted('often@away.example'))).status);
  }
  expect(statuses).toEqual([204, 204, 204, 204, 204, 429, 429]);
});

test('a password set anew signs out whoever was in by the old one, and its link works once', async () => {
  const elsewhere = await signedIn(server, 'outsider');
  await nobody().post('/api/accounts/forgotten').send({ address: PEOPLE.outsider, lang: 'en' }).expect(204);
  const first = await keyIn('reset');
  await nobody().post('/api/accounts/forgotten').send({ address: PEOPLE.outsider, lang: 'en' }).expect(204);
  const key = await keyIn('reset');
  const body = { name: null, password: 'another one by heart' };
  const agent = nobody();
  await agent.post(`/api/accounts/keys/${key}`).send(body).expect(200);
  await agent.get('/api/me/sessions').expect(200);
  await elsewhere.get('/api/me/sessions').expect(401);
  // The other letter opens nothing any more either.
  await nobody().post(`/api/accounts/keys/${first}`).send(body).expect(404);
  await nobody().post(`/api/accounts/keys/${key}`).send(body).expect(404);
  const signIn = (password: string): PromiseLike<{ status: number }> =>
    nobody().post('/api/session').send({ address: PEOPLE.outsider, password });
  expect([(await signIn('low-tide-at-nine')).status, (await signIn('another one by heart')).status]).toEqual([
    401, 200,
  ]);
});

test('sessions are seen, and ended: one by one, and all others when the password changes', async () => {
  const [here, phone, library] = await Promise.all([
    signedIn(server, 'assistant'),
    signedIn(server, 'assistant'),
    signedIn(server, 'assistant'),
  ]);
  const list = async (agent: Agent): Promise<SessionsAnswer['sessions']> =>
    ((await agent.get('/api/me/sessions').expect(200)).body as SessionsAnswer).sessions;
  const mine = (await list(here)).filter(({ isThis }) => isThis);
  expect(mine).toHaveLength(1);
  const theirs = (await list(phone)).find(({ isThis }) => isThis);
  await here.delete(`/api/me/sessions/${theirs?.id ?? ''}`).expect(204);
  await phone.get('/api/me/sessions').expect(401);
  // Nobody ends somebody else's.
  const other = await signedIn(server, 'learner');
  await other.delete(`/api/me/sessions/${mine[0]?.id ?? ''}`).expect(404);
  await here.put('/api/me/password').send({ old: 'wrong', password: PASSWORD }).expect(401);
  await library.get('/api/me/sessions').expect(200);
  await here.put('/api/me/password').send({ old: 'low-tide-at-nine', password: PASSWORD }).expect(204);
  await here.get('/api/me/sessions').expect(200);
  await library.get('/api/me/sessions').expect(401);
});

test('a place that a list has made for the address is the new account’s, with its class', async () => {
  const course = (await courseIds(server))[DRAFT] ?? '';
  await rows(
    `insert into person (id, institution_id, name, address, password_hash, kind, place_in)
     values ('place-1', (select institution_id from course where id = ?), 'Omar Away', null, '', 'learner', ?)`,
    [course, course],
  );
  await rows(
    `insert into member (course_id, person_id, role, joined_at, way, listed, is_listed)
     values (?, 'place-1', 'learner', ?, 'staff', '{"address": "Omar.Away@away.example"}', true)`,
    [course, NOW],
  );
  await nobody().post('/api/accounts').send(wanted('omar.away@away.example')).expect(204);
  const key = await keyIn('confirm');
  const made = await nobody()
    .post(`/api/accounts/keys/${key}`)
    .send({ name: 'Omar', password: PASSWORD })
    .expect(200);
  const { id } = (made.body as { me: { person: { id: string } } }).me.person;
  expect(await rows(`select 1 from person where id = 'place-1'`)).toEqual([]);
  expect(await rows(`select course_id from member where person_id = ?`, [id])).toEqual([
    { course_id: course },
  ]);
});
