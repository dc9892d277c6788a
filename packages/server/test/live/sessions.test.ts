/** Listening is by a session: it ends with it, and one person has so many lines. */
import { EventEmitter } from 'node:events';
import { afterAll, afterEach, beforeAll, expect, test } from '@jest/globals';
import type { Response } from 'express';
import { standingClock } from '../../src/config/clock.ts';
import { PersonRow } from '../../src/db/entities.ts';
import { MOST_OF_ONE, streamEvents } from '../../src/live/events.ts';
import type { Notices } from '../../src/live/notices.ts';
import { leaveAll, listenAs, openEvents, readers } from '../support/listening.ts';
import type { Heard } from '../support/listening.ts';
import { changeCourse, courseIds, LIVE, NOW, PEOPLE, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

let server: TestServer;
let live: string;
beforeAll(async () => {
  server = await testServer();
  live = (await courseIds(server))[LIVE] as string;
});
afterEach(leaveAll);
afterAll(() => server.stop());

test('ends with the session that it is by, and no other', async () => {
  const one = await listenAs(server, 'learner');
  const other = await listenAs(server, 'learner');
  await Promise.all([one.until('ready'), other.until('ready')]);
  await fetch(`${server.address}/api/session`, { method: 'DELETE', headers: { cookie: one.cookie } });
  await one.ended;
  await changeCourse(await signedIn(server, 'instructor'), live, [
    { kind: 'set', target: live, field: 'tags', value: ['later'], was: null },
  ]);
  await other.until('look');
  expect(one.events.map(({ event }) => event)).toEqual(['ready']);
});

test('ends when the session’s cookie does', async () => {
  const emitter = new EventEmitter();
  let ended = false;
  const response = Object.assign(emitter, {
    status: () => response,
    set: () => response,
    flushHeaders: () => undefined,
    write: () => true,
    end: () => {
      ended = true;
      emitter.emit('close');
    },
  });
  const notices = {
    listen: () => () => undefined,
    count: () => 1,
    stop: () => Promise.resolve(),
  } satisfies Notices;
  const person = await server.database.em.fork().findOneOrFail(PersonRow, { address: PEOPLE.learner });
  const session = { id: 'short', ends: Date.now() + 50 };
  const { database } = server;
  const response2 = response as unknown as Response;
  await streamEvents(response2, {
    database,
    notices,
    clock: standingClock(NOW),
    person,
    session,
  });
  expect(ended).toBe(true);
});

test('is bounded for each person, and not for others', async () => {
  const all: Heard[] = [];
  for (let at = 0; at < MOST_OF_ONE; at += 1) all.push(await listenAs(server, 'learner', all[0]?.cookie));
  const { cookie } = all[0] as Heard;
  const more = await fetch(`${server.address}/api/events`, { headers: { cookie } });
  expect([more.status, more.headers.get('retry-after')]).toEqual([429, '60']);
  await (await listenAs(server, 'instructor')).until('ready');
  readers.shift()?.close();
  let status = 429;
  while (status === 429) status = (await openEvents(server, cookie)).status;
  expect(status).toBe(200);
});
