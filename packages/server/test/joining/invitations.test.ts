/** Invitations: sent, bounced, corrected, taken once, by an account that is made on the way; and letters that wait. */
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import type { JoinPageAnswer, WaysInAnswer } from '@itinerary/contract';
import { newSection, SHUT_WAY } from '@itinerary/core';
import request from 'supertest';
import type { Agent } from 'supertest';
import { toldClock } from '../../src/config/clock.ts';
import {
  changeCourse,
  NOW,
  openCourse,
  PEOPLE,
  serverOn,
  setting,
  signedIn,
  testServer,
} from '../support/server.ts';
import type { TestServer } from '../support/server.ts';
import { openPostOffice, pathIn } from '../support/post-office.ts';
import type { Delivered, PostOffice } from '../support/post-office.ts';

const clock = toldClock(NOW);
const WAY = { ...SHUT_WAY, on: true };
const MAREK = 'marek.away@away.example';

let office: PostOffice;
let server: TestServer;
let ines: Agent;
let noor: Agent;
let id = '';
let made = 0;

const rows = (sql: string, values: readonly unknown[] = []): Promise<Record<string, unknown>[]> =>
  server.database.em.fork().execute(sql, [...values]);
const invite = (addresses: readonly string[], more: object = {}): ReturnType<Agent['post']> =>
  ines
    .post(`/api/courses/${id}/ways/invitations`)
    .send({ addresses, role: 'learner', days: 7, keepsSeats: false, lang: 'fr', ...more });
const act = (body: object): ReturnType<Agent['post']> =>
  ines.post(`/api/courses/${id}/ways/invitations/act`).send(body);
const ways = async (): Promise<WaysInAnswer> =>
  (await ines.get(`/api/courses/${id}/ways`).expect(200)).body as WaysInAnswer;
const nobody = (): Agent => request.agent(server.address);
const keyIn = (letter: Delivered): string => pathIn(letter).replace('/join/', '');
/** Sends what waits, and gives the newest letter. */
async function newest(): Promise<Delivered> {
  await server.jobs.runNow();
  const letter = office.letters.at(-1);
  if (letter === undefined) throw new Error('no letter has come');
  return letter;
}

beforeAll(async () => {
  office = await openPostOffice();
  server = await testServer({
    clock,
    mail: { smtp: office.url, from: 'itinerary@here.example', returnsPort: 0 },
  });
  [ines, noor] = await Promise.all([signedIn(server, 'instructor'), signedIn(server, 'learner')]);
});
afterAll(async () => {
  await server.stop();
  await office.close();
});
beforeEach(async () => {
  clock.tell(NOW);
  office.letters.length = 0;
  office.refuses = null;
  await rows('delete from graphile_worker._private_jobs');
  made += 1;
  id = await openCourse(ines, { code: `INVITE-${made}` });
  const hidden = { ...newSection({ id: 'hidden' }), title: 'MARKER hidden', shown: false };
  await changeCourse(ines, id, [
    { kind: 'insert', parent: id, after: null, node: hidden },
    setting(id, 'ways.invitation', WAY),
  ]);
  await rows(`update course set state = 'live', seq = seq + 1 where id = ?`, [id]);
});

test('it bounces, is sent to the right address, and makes an account by which it is taken, once', async () => {
  await invite(['marek.awya@away.example']).expect(200);
  const wrong = await newest();
  await office.sendBack(wrong, server.jobs.returnsPort ?? 0, '550 5.1.1 no such person here');
  const [bounced] = (await ways()).invitations;
  expect(bounced).toMatchObject({ state: 'bounced', why: '550 5.1.1 no such person here', times: 1 });
  // What has come back opens nothing any more.
  await nobody()
    .get(`/api/join/${keyIn(wrong)}`)
    .expect(404);
  await act({ act: 'correct', id: bounced?.id, address: MAREK }).expect(200);
  const letter = await newest();
  expect([letter.to, letter.mail.subject]).toEqual([MAREK, `Invitation à Course INVITE-${made}`]);
  expect(letter.mail.html).toContain('<html lang="fr" dir="ltr">');
  const key = keyIn(letter);
  const marek = nobody();
  const page = await marek.get(`/api/join/${key}`).expect(200);
  expect(page.body as JoinPageAnswer).toMatchObject({
    ways: [{ way: 'invitation', answer: { can: 'yes', until: Date.parse(NOW) + 7 * 86_400_000 } }],
    invited: { address: MAREK, role: 'learner', hasAccount: false },
  });
  expect(page.text).not.toMatch(/MARKER|@ternpoint/);
  await marek.post(`/api/accounts/invited`).send({ key, name: 'Marek', password: 'short' }).expect(400);
  const account = { key, name: 'Marek Away', password: 'tide tables by heart' };
  const came = await marek.post(`/api/accounts/invited`).send(account).expect(200);
  expect(came.body).toMatchObject({
    me: { person: { name: 'Marek Away', address: MAREK, kind: 'visitor' } },
  });
  // A second account for the address is not made by it.
  await nobody().post(`/api/accounts/invited`).send(account).expect(404);
  const presses = await Promise.all(Array.from({ length: 6 }, () => marek.post(`/api/join/${key}`).send({})));
  expect(presses.filter(({ status }) => status === 200).length).toBeGreaterThan(0);
  expect(await rows(`select role, way from member where course_id = ? and role = 'learner'`, [id])).toEqual([
    { role: 'learner', way: 'invitation' },
  ]);
  expect((await ways()).invitations).toMatchObject([{ state: 'taken', takenBy: 'Marek Away', times: 2 }]);
  // Taken, it is nobody else's.
  expect((await noor.post(`/api/join/${key}`).send({})).status).toBe(404);
  expect((await nobody().get(`/api/join/${keyIn(wrong)}`)).status).toBe(404);
});

describe('what becomes of one', () => {
  test('withdrawn, it opens nothing; sent again, the letter before opens nothing', async () => {
    await invite([MAREK]);
    const first = await newest();
    const [invitation] = (await ways()).invitations;
    await act({ act: 'again', ids: [invitation?.id] }).expect(200);
    const second = await newest();
    await nobody()
      .get(`/api/join/${keyIn(first)}`)
      .expect(404);
    await nobody()
      .get(`/api/join/${keyIn(second)}`)
      .expect(200);
    await act({ act: 'withdraw', ids: [invitation?.id] }).expect(200);
    await nobody()
      .get(`/api/join/${keyIn(second)}`)
      .expect(404);
    expect((await ways()).invitations).toMatchObject([{ state: 'withdrawn' }]);
    await act({ act: 'again', ids: ['b6c2b7a6-4f6e-4a3e-9a51-0d6e7c1b2a10'] }).expect(400);
  });

  test('its time over, it says so, and another may follow', async () => {
    await invite([MAREK]);
    const key = keyIn(await newest());
    clock.tell(new Date(Date.parse(NOW) + 7 * 86_400_000).toISOString());
    expect((await ways()).invitations).toMatchObject([{ state: 'lapsed' }]);
    expect((await noor.post(`/api/join/${key}`).send({})).status).toBe(403);
    const made = { key, name: 'Marek', password: 'tide tables by heart' };
    await nobody().post(`/api/accounts/invited`).send(made).expect(404);
    await invite([MAREK]).expect(200);
    expect((await ways()).invitations.map(({ state }) => state).sort()).toEqual(['waiting', 'withdrawn']);
  });

  test('invited twice, or on the course already, there is one letter; somebody with an account gets their own language', async () => {
    await noor.put('/api/me/language').send({ lang: 'ar' }).expect(204);
    await invite([PEOPLE.learner, PEOPLE.learner.toUpperCase(), PEOPLE.instructor], { role: 'assistant' });
    await invite([PEOPLE.learner]);
    const letter = await newest();
    expect(office.letters.map(({ to }) => to)).toEqual([PEOPLE.learner]);
    expect(letter.mail.html).toContain('dir="rtl"');
    await noor
      .post(`/api/join/${keyIn(letter)}`)
      .send({})
      .expect(200);
    const members = await rows(`select role, way from member where course_id = ? and way = 'invitation'`, [
      id,
    ]);
    expect(members).toEqual([{ role: 'assistant', way: 'invitation' }]);
  });

  test('it keeps a seat where that was chosen, and no more than there are', async () => {
    await changeCourse(ines, id, [setting(id, 'seats', 1), setting(id, 'ways.link', WAY)]);
    const { code } = (await ines.post(`/api/courses/${id}/ways/code`).send({})).body as { code: string };
    await invite([MAREK], { keepsSeats: true }).expect(200);
    const answer = await noor.post(`/api/join/${code}`).send({});
    expect([answer.status, (answer.body as { code: string }).code]).toEqual([403, 'cannot_join']);
    // Two for one seat: none of them is sent.
    expect((await invite(['a@away.example', 'b@away.example'], { keepsSeats: true })).status).toBe(403);
    expect((await ways()).invitations).toHaveLength(1);
    const key = keyIn(await newest());
    const page = (await nobody().get(`/api/join/${key}`)).body as JoinPageAnswer;
    expect(page.ways[0]?.answer).toMatchObject({ can: 'yes' });
    const [invitation] = (await ways()).invitations;
    await act({ act: 'withdraw', ids: [invitation?.id] });
    await noor.post(`/api/join/${code}`).send({}).expect(200);
  });

  test('its key is in the letter and nowhere else once that is sent; of another course it opens nothing', async () => {
    await invite([MAREK]);
    const key = keyIn(await newest());
    const kept = await rows('select facts::text, id from letter where course_id = ?', [id]);
    expect(JSON.stringify(kept)).not.toContain(key);
    expect(JSON.stringify(await rows('select * from invitation where course_id = ?', [id]))).not.toContain(
      key,
    );
    await noor.get(`/api/join/to/${id}`).expect(404);
    expect((await noor.post(`/api/join/${key.slice(0, 42)}`).send({})).status).toBe(404);
  });
});

describe('letters', () => {
  const states = async (): Promise<unknown[]> =>
    (await rows(`select state from letter where course_id = ?`, [id])).map(({ state }) => state);

  test('a service that is away delays them and loses none; two processes send each once', async () => {
    office.refuses = { code: 451, says: 'come again later' };
    const addresses = Array.from({ length: 12 }, (_, at) => `guest.${at}@away.example`);
    await invite(addresses).expect(200);
    await server.jobs.runNow();
    expect(new Set(await states())).toEqual(new Set(['queued']));
    expect((await ways()).invitations.every(({ isQueued }) => isQueued)).toBe(true);
    office.refuses = null;
    // Its turn has come again.
    await rows(`update graphile_worker._private_jobs set run_at = now()`);
    const other = await serverOn(server.name, {
      clock,
      mail: { smtp: office.url, from: 'itinerary@here.example', returnsPort: null },
    });
    try {
      await Promise.all([server.jobs.runNow(), other.jobs.runNow()]);
    } finally {
      await other.stop();
    }
    expect(office.letters.map(({ to }) => to).sort()).toEqual([...addresses].sort());
    expect(new Set(office.letters.map(({ id: letter }) => letter)).size).toBe(12);
    expect(new Set(await states())).toEqual(new Set(['sent']));
  });

  test('refused for good, an invitation has bounced, and is not sent again by itself', async () => {
    office.refuses = { code: 550, says: 'mailbox unavailable' };
    await invite([MAREK]);
    await server.jobs.runNow();
    expect((await ways()).invitations).toMatchObject([{ state: 'bounced' }]);
    expect((await ways()).invitations[0]?.why).toContain('mailbox unavailable');
    expect(await rows(`select count(*)::int as n from graphile_worker._private_jobs`)).toEqual([{ n: 0 }]);
  });

  test('withdrawn before it is sent, it is not sent', async () => {
    await invite([MAREK]);
    const [invitation] = (await ways()).invitations;
    await act({ act: 'withdraw', ids: [invitation?.id] });
    await server.jobs.runNow();
    expect(office.letters).toEqual([]);
  });

  test('a report of what was never sent from here is refused at the door', async () => {
    await invite([MAREK]);
    const letter = await newest();
    const forged = { ...letter, back: letter.back.replace(/\.[0-9a-f]{16}@/, '.0123456789abcdef@') };
    await expect(office.sendBack(forged, server.jobs.returnsPort ?? 0, 'no')).rejects.toThrow(/nobody here/);
    expect((await ways()).invitations).toMatchObject([{ state: 'waiting' }]);
  });
});
