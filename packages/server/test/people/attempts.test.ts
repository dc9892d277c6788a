/** Guessing passwords and passphrases: counted before it is checked, and locking out nobody else. */
import { request as httpRequest } from 'node:http';
import type { IncomingMessage } from 'node:http';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import request from 'supertest';
import { hashPassword } from '../../src/usecases/people/passwords.ts';
import { isKnownBrowser, knowBrowser } from '../../src/usecases/people/known-browsers.ts';
import { MAX_TRIES } from '../../src/usecases/people/attempts.ts';
import { courseIds, LIVE, PEOPLE, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

let server: TestServer;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.stop());

const RIGHT = 'low-tide-at-nine';

interface Said {
  readonly status: number;
  readonly headers: IncomingMessage['headers'];
}

/** A sign-in from an address of one's own, as another machine has one. */
function signIn(address: string, password: string, place: string, cookie = ''): Promise<Said> {
  return new Promise((resolve, reject) => {
    const body = JSON.stringify({ address, password });
    const headers = {
      'Content-Type': 'application/json',
      'Content-Length': Buffer.byteLength(body),
      Cookie: cookie,
    };
    const options = { method: 'POST', localAddress: place, headers, agent: false };
    httpRequest(`${server.address}/api/session`, options, (answer) => {
      answer.resume();
      answer.once('end', () => resolve({ status: answer.statusCode ?? 0, headers: answer.headers }));
    })
      .once('error', reject)
      .end(body);
  });
}
const statuses = (all: readonly Said[]): readonly number[] => all.map(({ status }) => status).toSorted();
const times = <T>(many: number, make: (at: number) => T): T[] =>
  Array.from({ length: many }, (_, at) => make(at));
const cookieOf = ({ headers }: Said, name: string): string =>
  (headers['set-cookie'] ?? []).find((one) => one.startsWith(`${name}=`))?.split(';')[0] ?? '';

describe('passwords', () => {
  test('of sixty that are sent at once ten are tried, and the others are told when they may', async () => {
    const all = await Promise.all(times(60, (at) => signIn(PEOPLE.outsider, `no ${at}`, '127.0.0.2')));
    expect(statuses(all)).toEqual([...Array<number>(MAX_TRIES).fill(401), ...Array<number>(50).fill(429)]);
    const late = all.filter(({ status }) => status === 429);
    for (const { headers } of late) {
      const seconds = Number(headers['retry-after']);
      expect(seconds).toBeGreaterThan(0);
      expect(seconds).toBeLessThanOrEqual(15 * 60);
    }
    // There the right one is not tried any more either; elsewhere it is, and so is somebody else's there.
    expect((await signIn(PEOPLE.outsider, RIGHT, '127.0.0.2')).status).toBe(429);
    expect((await signIn(PEOPLE.outsider, RIGHT, '127.0.0.3')).status).toBe(200);
    expect((await signIn(PEOPLE.visitor, RIGHT, '127.0.0.2')).status).toBe(200);
  });

  test('one that was right takes away its own count alone', async () => {
    for (let tries = 0; tries < 5; tries += 1) {
      expect((await signIn(PEOPLE.staff, `no ${tries}`, '127.0.0.4')).status).toBe(401);
      expect((await signIn(PEOPLE.staff, RIGHT, '127.0.0.4')).status).toBe(200);
    }
    const rest = await Promise.all(times(8, (at) => signIn(PEOPLE.staff, `more ${at}`, '127.0.0.4')));
    expect(statuses(rest)).toEqual([...Array<number>(5).fill(401), ...Array<number>(3).fill(429)]);
  });

  test('strangers from everywhere lock out nobody who was there before', async () => {
    const before = await signIn(PEOPLE.learner, RIGHT, '127.0.0.5');
    const known = cookieOf(before, 'itinerary-known');
    const session = cookieOf(before, 'itinerary');
    for (let place = 0; place < 12; place += 1)
      await Promise.all(times(10, (at) => signIn(PEOPLE.learner, `no ${at}`, `127.0.1.${place + 1}`)));
    expect((await signIn(PEOPLE.learner, RIGHT, '127.0.0.6')).status).toBe(429);
    expect((await signIn(PEOPLE.learner, RIGHT, '127.0.0.6', known)).status).toBe(200);
    const me = await request(server.address).get('/api/me').set('Cookie', session);
    expect(me.body).toMatchObject({ person: { address: PEOPLE.learner } });
    const forged = 'itinerary-known=' + 'A'.repeat(43);
    expect((await signIn(PEOPLE.learner, RIGHT, '127.0.0.6', forged)).status).toBe(429);
  });

  test('an account that is not there is counted like one that is', async () => {
    const all = await Promise.all(times(12, () => signIn('nobody@ternpoint.example', 'x', '127.0.0.7')));
    expect(statuses(all)).toEqual([...Array<number>(10).fill(401), 429, 429]);
  });

  test('very many at once wait in line, and beyond that are told to come again', async () => {
    const waiting = times(101, () => hashPassword('x', { N: 2, r: 1, p: 1 }));
    await expect(hashPassword('x')).rejects.toMatchObject({ retryAfter: 10 });
    expect(new Set(await Promise.all(waiting)).size).toBe(101);
  });
});

test('a browser is known for the accounts that were signed in on it, the last five', () => {
  const all = times(7, (at) => `p${at}@ternpoint.example`);
  const cookie = all.reduce((now, address) => knowBrowser('secret', now, address), 'forged.and broken');
  const known = all.filter((address) => isKnownBrowser('secret', cookie, address));
  expect(known).toEqual(all.slice(2));
  expect(isKnownBrowser('another secret', cookie, all[6] as string)).toBe(false);
  expect(knowBrowser('secret', cookie, all[6] as string)).toBe(cookie);
});

describe('a visit by passphrase', () => {
  test('is over at once when the passphrase is changed or taken away', async () => {
    const id = (await courseIds(server))[LIVE] as string;
    const instructor = await signedIn(server, 'instructor');
    const set = (passphrase: string | null) =>
      instructor.put(`/api/courses/${id}/passphrase`).send({ passphrase }).expect(200);
    const plan = (await instructor.get(`/api/courses/${id}/plan`)).body as { seq: number };
    const edit = (field: string, value: unknown) => ({ kind: 'set', target: id, field, value, was: null });
    await instructor
      .post(`/api/courses/${id}/changes`)
      .send({
        since: plan.seq,
        texts: {},
        changes: [{ id: 'open-to-guests', edits: [edit('visitors', 'passphrase'), edit('find', 'anyone')] }],
      })
      .expect(200);
    await set('seven terns at dusk');
    const guest = request.agent(server.address);
    const come = (passphrase: string, status: number) =>
      guest.post(`/api/learn/${id}/visit`).send({ passphrase }).expect(status);
    const access = async (): Promise<string> =>
      ((await guest.get(`/api/learn/${id}`)).body as { course: { access: string } }).course.access;

    expect(await access()).toBe('named');
    await come('seven terns at noon', 403);
    await come('seven terns at dusk', 204);
    expect(await access()).toBe('look');
    await set('eight terns at dusk');
    expect(await access()).toBe('named');
    await come('eight terns at dusk', 204);
    expect(await access()).toBe('look');
    await set(null);
    expect(await access()).toBe('named');
  });
});
