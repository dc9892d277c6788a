/** Joining by paying: refused, then paid; told twice, late, or never; seats that are kept meanwhile; forged notices. */
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import type { JoinedAnswer, JoinPageAnswer, WaysInAnswer } from '@itinerary/contract';
import { SHUT_WAY } from '@itinerary/core';
import request from 'supertest';
import type { Agent, Response } from 'supertest';
import { toldClock } from '../../src/config/clock.ts';
import { signatureOf } from '../../src/desk/payment-desk.ts';
import type { Till } from '../../src/standins/desk/till.ts';
import { changeCourse, NOW, openCourse, serverOn, setting, signedIn } from '../support/server.ts';
import { DESK_SECRET, serverWithTill, until } from '../support/till.ts';
import type { TestServer } from '../support/server.ts';

const clock = toldClock(NOW);
const later = (minutes: number): void =>
  clock.tell(new Date(Date.parse(NOW) + minutes * 60_000).toISOString());
const PRICE = {
  currency: 'EUR',
  amount: 12_000,
  reduced: { amount: 9000, until: { kind: 'fixed', day: '2027-02-16', time: '10:00' } },
  byKind: { teaching: null, staff: null, learner: null, visitor: 2000 },
  months: null,
};
const WAY = { ...SHUT_WAY, on: true, price: PRICE };

let till: Till;
let stop: () => Promise<void>;
let server: TestServer;
let ines: Agent;
let noor: Agent;
let hye: Agent;
let kenji: Agent;
let id = '';
let made = 0;

const rows = (sql: string, values: readonly unknown[] = []): Promise<Record<string, unknown>[]> =>
  server.database.em.fork().execute(sql, [...values]);
const pay = (agent: Agent): PromiseLike<Response> =>
  agent.post(`/api/join/to/${id}`).send({ way: 'paying', answer: null });
const is = ({ status, body }: Response): unknown => [status, (body as JoinedAnswer).is];
const pageOf = async (agent: Agent): Promise<JoinPageAnswer> =>
  (await agent.get(`/api/join/to/${id}`).expect(200)).body as JoinPageAnswer;
const ways = async (): Promise<WaysInAnswer> =>
  (await ines.get(`/api/courses/${id}/ways`).expect(200)).body as WaysInAnswer;
const states = async (): Promise<unknown[]> => (await ways()).payments.map(({ state }) => state).sort();
const newest = (): Till['payments'][number] => till.payments[0]!;
const at = async (what: () => Promise<unknown>, wanted: unknown): Promise<void> => {
  const isThere = (now: unknown): boolean => JSON.stringify(now) === JSON.stringify(wanted);
  expect(await until(what, isThere)).toEqual(wanted);
};
const letters = async (): Promise<unknown[]> =>
  (await rows(`select kind from letter where course_id = ? order by made_at, kind`, [id])).map(
    ({ kind }) => kind,
  );

beforeAll(async () => {
  ({ till, server, stop } = await serverWithTill(clock));
  [ines, noor, hye, kenji] = await Promise.all([
    signedIn(server, 'instructor'),
    signedIn(server, 'learner'),
    signedIn(server, 'outsider'),
    signedIn(server, 'visitor'),
  ]);
});
afterAll(() => stop());
beforeEach(async () => {
  clock.tell(NOW);
  till.notices = 'once';
  made += 1;
  id = await openCourse(ines, { code: `PAY-${made}` });
  await changeCourse(ines, id, [
    setting(id, 'ways.paying', WAY),
    setting(id, 'find', 'here', 'members'),
    setting(id, 'seats', 1),
  ]);
  await rows(`update course set state = 'live', seq = seq + 1 where id = ?`, [id]);
});

test('each is told their own price, and until when', async () => {
  const priceOf = async (agent: Agent): Promise<unknown> => (await pageOf(agent)).ways[0]?.price;
  expect(await priceOf(noor)).toEqual({
    amount: 9000,
    currency: 'EUR',
    until: Date.parse('2027-02-16T10:01:00Z'),
    months: null,
  });
  expect(await priceOf(kenji)).toEqual({ amount: 2000, currency: 'EUR', until: null, months: null });
  later(60);
  expect(await priceOf(noor)).toEqual({ amount: 12_000, currency: 'EUR', until: null, months: null });
});

test('refused, then paid; the seat is kept meanwhile, and nobody else gets it', async () => {
  // Pressed six times at once it is one payment.
  const presses = await Promise.all(Array.from({ length: 6 }, () => pay(noor)));
  expect(presses.map(is)).toEqual(presses.map(() => [200, 'paying']));
  expect(new Set(presses.map(({ body }) => (body as JoinedAnswer).page)).size).toBe(1);
  expect(till.payments.filter(({ amount }) => amount === 9000)).toHaveLength(1);
  expect((await ways()).held).toMatchObject([{ name: 'Noor Rahimi', kind: 'payment', way: 'paying' }]);
  expect((await pay(hye)).status).toBe(403);
  till.decide(newest(), 'refused');
  await at(states, ['refused']);
  expect((await ways()).held).toEqual([]);
  expect(is(await pay(noor))).toEqual([200, 'paying']);
  till.decide(newest(), 'paid');
  await at(states, ['paid', 'refused']);
  expect((await ways()).learners).toEqual([{ way: 'paying', count: 1 }]);
  expect(is(await pay(noor))).toEqual([200, 'in']);
  expect(await letters()).toEqual(['receipt']);
  const [letter] = await rows(`select facts from letter where course_id = ?`, [id]);
  expect(letter?.['facts']).toMatchObject({ amount: 9000, currency: 'EUR', receipt: 1 });
});

test('told twice it is paid once, and has one receipt; told never, the desk is asked', async () => {
  till.notices = 'twice';
  await pay(noor);
  till.decide(newest(), 'paid');
  await at(states, ['paid']);
  await new Promise((resolve) => setTimeout(resolve, 200));
  expect(await letters()).toEqual(['receipt']);
  await changeCourse(ines, id, [setting(id, 'seats', 3, 1)]);
  till.notices = 'never';
  await pay(hye);
  till.decide(newest(), 'paid');
  expect(await states()).toEqual(['begun', 'paid']);
  await rows(`update graphile_worker._private_jobs set run_at = now()`);
  await server.jobs.runNow();
  await at(states, ['paid', 'paid']);
  const receipts = (await ways()).payments.map(({ receipt }) => receipt);
  expect(Math.abs((receipts[0] ?? 0) - (receipts[1] ?? 0))).toBe(1);
});

test('its time over, the seat is anybody’s; paid after that there is none, and the money goes back', async () => {
  till.notices = 'never';
  await pay(noor);
  const first = newest();
  later(15);
  expect(is(await pay(hye))).toEqual([200, 'paying']);
  till.notices = 'once';
  till.decide(newest(), 'paid');
  await at(async () => (await ways()).learners, [{ way: 'paying', count: 1 }]);
  till.decide(first, 'paid');
  await at(states, ['late', 'paid']);
  await server.jobs.runNow();
  expect([first.state, first.charged]).toEqual(['taken_back', 1]);
  expect((await ways()).learners).toEqual([{ way: 'paying', count: 1 }]);
});

test('staff give it back: they have left, and may come again by paying', async () => {
  await pay(noor);
  till.decide(newest(), 'paid');
  await at(states, ['paid']);
  const [payment] = (await ways()).payments;
  await ines
    .post(`/api/courses/${id}/ways/payments/${payment?.id ?? ''}/back`)
    .send({})
    .expect(200);
  await ines
    .post(`/api/courses/${id}/ways/payments/${payment?.id ?? ''}/back`)
    .send({})
    .expect(200);
  await at(states, ['taken_back']);
  expect(newest().state).toBe('taken_back');
  expect((await ways()).learners).toEqual([]);
  expect((await letters()).sort()).toEqual(['paid_back', 'receipt']);
  expect(is(await pay(noor))).toEqual([200, 'paying']);
});

test('a desk that does not answer is said, nothing is owed, and asked again it is the same payment', async () => {
  till.notices = 'away';
  const answer = await pay(noor);
  expect([answer.status, (answer.body as { code: string }).code]).toEqual([503, 'busy']);
  till.notices = 'once';
  expect(is(await pay(noor))).toEqual([200, 'paying']);
  expect((await ways()).payments).toHaveLength(1);
});

test('a price of nothing asks for none', async () => {
  await changeCourse(ines, id, [
    setting(id, 'ways.paying', { ...WAY, price: { ...PRICE, byKind: { ...PRICE.byKind, visitor: 0 } } }, WAY),
  ]);
  expect(is(await pay(kenji))).toEqual([200, 'in']);
  expect((await ways()).payments).toEqual([]);
});

describe('a notice', () => {
  test('that is forged, for another amount, or of what was never asked for does nothing', async () => {
    await pay(noor);
    const { id: deskId, reference, amount, currency } = newest();
    const notice = { id: deskId, reference, state: 'paid' as const, amount, currency };
    const tell = (body: object): PromiseLike<Response> =>
      request(server.address).post('/api/payments/notice').send(body);
    const signed = (one: typeof notice, secret = DESK_SECRET): object => ({
      ...one,
      signature: signatureOf(secret, one),
    });
    expect((await tell(signed(notice, 'guessed'))).status).toBe(404);
    expect((await tell({ ...signed(notice), amount: 1 })).status).toBe(404);
    expect((await tell(signed({ ...notice, amount: 1 }))).status).toBe(204);
    expect((await tell(signed({ ...notice, id: 'another' }))).status).toBe(204);
    const unknown = { ...notice, reference: 'b6c2b7a6-4f6e-4a3e-9a51-0d6e7c1b2a10' };
    expect((await tell(signed(unknown))).status).toBe(204);
    expect(await states()).toEqual(['begun']);
    expect((await ways()).learners).toEqual([]);
    // Sent eight times at once it is one.
    const eight = await Promise.all(Array.from({ length: 8 }, () => tell(signed(notice))));
    expect(eight.map(({ status }) => status)).toEqual(eight.map(() => 204));
    expect((await ways()).learners).toEqual([{ way: 'paying', count: 1 }]);
    expect(await letters()).toEqual(['receipt']);
  });
});

test('three ways at once, through two servers: nobody has a seat beyond those there are, payments that lapse free theirs', async () => {
  const seats = 20;
  const other = await serverOn(server.name, { clock, desk: null });
  try {
    await changeCourse(ines, id, [
      setting(id, 'seats', seats, 1),
      setting(id, 'line', true, false),
      setting(id, 'ways.link', { ...SHUT_WAY, on: true }),
      setting(id, 'ways.request', { ...SHUT_WAY, on: true }),
    ]);
    const { code } = (await ines.post(`/api/courses/${id}/ways/code`).send({})).body as { code: string };
    await rows(
      `insert into person (id, institution_id, name, address, password_hash, kind)
       select 'crowd-' || n, (select institution_id from person where place_in is null limit 1), 'Crowd ' || n,
         'crowd.' || n || '@ternpoint.example', '', 'learner' from generate_series(1, 90) n`,
    );
    const { joinByKey, joinKnown } = await import('../../src/usecases/joining/join.ts');
    const { beginPayment } = await import('../../src/usecases/joining/paying/pay.ts');
    const { decideRequests } = await import('../../src/usecases/joining/requests.ts');
    const people = Array.from({ length: 90 }, (_, n) => `crowd-${n + 1}`);
    const come = async (personId: string, n: number): Promise<void> => {
      const em = (n % 2 === 0 ? server : other).database.em.fork();
      const person = (await em.findOneOrFail('PersonRow', { id: personId })) as Parameters<
        typeof joinByKey
      >[3];
      const way = n % 3;
      if (way === 0) await joinByKey(em.fork(), code, id, person, NOW);
      else if (way === 1) await joinKnown(em.fork(), id, person, { way: 'request', answer: null }, NOW);
      // The desk is away: the seat is kept, and nobody pays for it.
      else await beginPayment(em.fork(), { desk: null, site: '' }, id, person, NOW).catch(() => undefined);
    };
    await Promise.all(people.map(come));
    const asking = (await ways()).requests.map(({ person }) => person);
    const author = await server.database.em
      .fork()
      .findOneOrFail('PersonRow', { address: 'ines.carvalhal@ternpoint.example' });
    const em = server.database.em.fork();
    await decideRequests(
      em,
      id,
      author as Parameters<typeof decideRequests>[2],
      { say: 'yes', people: asking },
      NOW,
    );
    const before = await ways();
    const inIt = before.learners.reduce((all, { count }) => all + count, 0);
    expect(inIt + before.held.length).toBe(seats);
    // Those who had begun to pay have not: their seats go to whoever waits longest.
    const paying = before.held.filter(({ kind }) => kind === 'payment').length;
    later(16);
    await Promise.all([server.jobs.runNow(), other.jobs.runNow()]);
    const after = await ways();
    expect(after.held.map(({ kind }) => kind)).toEqual(Array.from({ length: paying }, () => 'offer'));
    expect(after.held.map(({ name }) => name).sort()).toEqual(
      before.waiting
        .slice(0, paying)
        .map(({ name }) => name)
        .sort(),
    );
    const everybody = await rows(
      `select person_id from member where course_id = ? and role = 'learner' and left_at is null
       union all select holder from held_seat where course_id = ?`,
      [id, id],
    );
    expect(new Set(everybody.map((row) => row['person_id'])).size).toBe(everybody.length);
    expect(everybody).toHaveLength(seats);
  } finally {
    await other.stop();
  }
});
