/** Paid for a period: told before, taken again, refused and paid after all, ended by whoever pays, or by nobody paying. */
import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals';
import type { JoinedAnswer, RenewalAnswer, WaysInAnswer } from '@itinerary/contract';
import { SHUT_WAY } from '@itinerary/core';
import type { Agent } from 'supertest';
import { toldClock } from '../../src/config/clock.ts';
import type { Till } from '../../src/standins/desk/till.ts';
import { changeCourse, openCourse, setting, signedIn } from '../support/server.ts';
import { serverWithTill, until } from '../support/till.ts';
import type { TestServer } from '../support/server.ts';

/** The course goes on for a year. */
const BEGIN = '2027-02-16T10:00:00.000Z';
const clock = toldClock(BEGIN);
const WAY = {
  ...SHUT_WAY,
  on: true,
  price: {
    currency: 'EUR',
    amount: 4000,
    reduced: null,
    byKind: { teaching: null, staff: null, learner: null, visitor: null },
    months: 1,
  },
};

let till: Till;
let server: TestServer;
let hold: () => () => void;
let stop: () => Promise<void>;
let ines: Agent;
let noor: Agent;
let id = '';
let made = 0;

const rows = (sql: string, values: readonly unknown[] = []): Promise<Record<string, unknown>[]> =>
  server.database.em.fork().execute(sql, [...values]);
const ways = async (): Promise<WaysInAnswer> =>
  (await ines.get(`/api/courses/${id}/ways`).expect(200)).body as WaysInAnswer;
const states = async (): Promise<string> =>
  (await ways()).payments
    .map(({ state }) => state)
    .sort()
    .join(' ');
const settled = async (wanted: string): Promise<void> =>
  expect(await until(states, (now) => now === wanted)).toBe(wanted);
const learners = async (): Promise<number> => (await ways()).learners[0]?.count ?? 0;
const renewal = async (agent = noor): Promise<RenewalAnswer['renewal']> =>
  ((await agent.get(`/api/learn/${id}/renewal`).expect(200)).body as RenewalAnswer).renewal;
const letters = async (): Promise<unknown[]> =>
  (await rows(`select kind from letter where course_id = ? order by made_at, kind`, [id])).map(
    ({ kind }) => kind,
  );
const pay = async (): Promise<JoinedAnswer> =>
  (await noor.post(`/api/join/to/${id}`).send({ way: 'paying', answer: null }).expect(200))
    .body as JoinedAnswer;
/** The clock is put on, and what is due then is done: twice, as two processes would. */
async function on(instant: string): Promise<void> {
  clock.tell(instant);
  await server.jobs.runNow();
  await server.jobs.runNow();
}

beforeAll(async () => {
  ({ till, server, hold, stop } = await serverWithTill(clock));
  [ines, noor] = await Promise.all([signedIn(server, 'instructor'), signedIn(server, 'learner')]);
});
afterAll(() => stop());
beforeEach(async () => {
  clock.tell(BEGIN);
  till.notices = 'once';
  till.refusesAgain = false;
  made += 1;
  id = await openCourse(ines, {
    code: `RENEW-${made}`,
    weeks: 52,
    firstDay: '2027-02-15',
    zone: 'Europe/Lisbon',
  });
  await changeCourse(ines, id, [
    setting(id, 'ways.paying', WAY),
    setting(id, 'find', 'here', 'members'),
    setting(id, 'seats', 1),
  ]);
  await rows(`update course set state = 'live', seq = seq + 1 where id = ?`, [id]);
  await pay();
  till.decide(till.payments[0]!, 'paid');
  await settled('paid');
});

test('told a week before, taken once when it is due, and it counts on from where it ended', async () => {
  expect(await renewal()).toMatchObject({ until: '2027-03-16T10:00:00.000Z', amount: 4000, isOwed: false });
  await on('2027-03-08T09:00:00.000Z');
  expect(await letters()).toEqual(['receipt']);
  await on('2027-03-09T10:00:00.000Z');
  expect(await letters()).toEqual(['receipt', 'renews']);
  // Two days late, as after a stop of the server: told twice by the desk, it is one payment with one receipt.
  till.notices = 'twice';
  await on('2027-03-18T10:00:00.000Z');
  await settled('paid paid');
  expect(till.payments.map(({ amount, charged }) => [amount, charged]).slice(0, 2)).toEqual([
    [4000, 1],
    [4000, 1],
  ]);
  // The clocks have gone on: it is the same time in the course's zone.
  expect((await renewal())?.until).toBe('2027-04-16T09:00:00.000Z');
  await until(letters, (now) => now.length === 3);
  expect(await letters()).toEqual(['receipt', 'renews', 'receipt']);
  expect(await learners()).toBe(1);
  expect((await ways()).payments[0]).toMatchObject({ paidUntil: '2027-04-16T09:00:00.000Z' });
});

test('the price that was agreed is taken, whatever it is now', async () => {
  const dearer = { ...WAY, price: { ...WAY.price, amount: 9900 } };
  await changeCourse(ines, id, [setting(id, 'ways.paying', dearer, WAY)]);
  await on('2027-03-16T10:00:00.000Z');
  await settled('paid paid');
  expect(till.payments[0]?.amount).toBe(4000);
});

test('refused, it can be paid for a week by hand', async () => {
  till.refusesAgain = true;
  await on('2027-03-16T10:00:00.000Z');
  await settled('paid refused');
  expect(await letters()).toEqual(['receipt', 'not_renewed']);
  expect(await learners()).toBe(1);
  expect(await renewal()).toMatchObject({ isOwed: true, lapses: '2027-03-23T10:00:00.000Z' });
  await on('2027-03-20T10:00:00.000Z');
  expect(await states()).toBe('paid refused');
  // Pressed twice before the desk has answered, it is one payment, and both are led to it.
  const release = hold();
  const first = pay();
  expect(await until(states, (now) => now === 'begun paid refused')).toBe('begun paid refused');
  const both = Promise.all([first, pay()]);
  await new Promise((resolve) => setTimeout(resolve, 300));
  release();
  const [one, other] = await both;
  expect([one.is, one.page]).toEqual(['paying', other.page]);
  till.decide(till.payments[0]!, 'paid');
  await settled('paid paid refused');
  expect(await renewal()).toMatchObject({ isOwed: false, until: '2027-04-16T09:00:00.000Z' });
  expect((await pay()).is).toBe('in');
});

test('refused, and nobody pays: they are out, keep all, and may come again by paying anew', async () => {
  till.refusesAgain = true;
  await on('2027-03-16T10:00:00.000Z');
  await settled('paid refused');
  await on('2027-03-23T09:59:00.000Z');
  expect(await learners()).toBe(1);
  await on('2027-03-23T10:00:00.000Z');
  expect(await learners()).toBe(0);
  expect((await letters()).at(-1)).toBe('lapsed');
  expect(await rows(`select left_how from member where course_id = ? and left_at is not null`, [id])).toEqual(
    [{ left_how: 'lapsed' }],
  );
  expect((await pay()).is).toBe('paying');
  till.decide(till.payments[0]!, 'paid');
  await settled('paid paid refused');
  // What came to nothing before puts nobody out now.
  await on('2027-03-24T10:00:00.000Z');
  expect(await learners()).toBe(1);
  expect((await renewal())?.until).toBe('2027-04-23T09:00:00.000Z');
});

test('ended by whoever pays: nothing more is taken, and they stay to its end; taken back before, it goes on', async () => {
  const stops = (it: boolean): PromiseLike<unknown> =>
    noor.put(`/api/learn/${id}/renewal`).send({ stops: it }).expect(200);
  await Promise.all(Array.from({ length: 8 }, () => stops(true)));
  expect((await renewal())?.isStopped).toBe(true);
  await on('2027-03-10T10:00:00.000Z');
  expect(await letters()).toEqual(['receipt', 'ends']);
  await stops(false);
  await on('2027-03-11T10:00:00.000Z');
  expect(await letters()).toEqual(['receipt', 'ends', 'renews']);
  await stops(true);
  await on('2027-03-16T09:59:00.000Z');
  expect(await learners()).toBe(1);
  await on('2027-03-16T10:00:00.000Z');
  expect([await learners(), await states()]).toEqual([0, 'paid']);
});

test('a desk that is away for weeks puts nobody out, and takes once when it is back', async () => {
  till.notices = 'away';
  clock.tell('2027-03-16T10:00:00.000Z');
  await server.jobs.runNow();
  await on('2027-04-02T10:00:00.000Z');
  expect([await learners(), await states()]).toEqual([1, 'begun paid']);
  till.notices = 'never';
  await rows(`update graphile_worker._private_jobs set run_at = now()`);
  await server.jobs.runNow();
  expect(await states()).toBe('paid paid');
  expect(till.payments[0]?.charged).toBe(1);
  expect((await renewal())?.until).toBe('2027-04-16T09:00:00.000Z');
});

test('where it costs once again, or the course is over, nobody pays more and nobody is put out', async () => {
  await changeCourse(ines, id, [
    setting(id, 'ways.paying', { ...WAY, price: { ...WAY.price, months: null } }, WAY),
  ]);
  expect(await renewal()).toBeNull();
  await on('2027-05-30T10:00:00.000Z');
  expect([await learners(), await states()]).toEqual([1, 'paid']);
});

test('of whoever is in otherwise nothing renews, and nobody stops another’s', async () => {
  expect(await renewal(ines)).toBeNull();
  await ines.put(`/api/learn/${id}/renewal`).send({ stops: true }).expect(404);
  expect((await renewal())?.isStopped).toBe(false);
  await noor.put(`/api/learn/${id}/renewal`).send({ stops: 'yes' }).expect(400);
});
