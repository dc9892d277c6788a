/** Four hundred pages that are open, and a change: each is told once, in its turn, with one question for it at most. */
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import pg from 'pg';
import { PersonRow } from '../../src/db/entities.ts';
import { MOST_OF_ONE } from '../../src/live/events.ts';
import { leaveAll, listenAs } from '../support/listening.ts';
import type { Heard } from '../support/listening.ts';
import {
  changeCourse,
  courseIds,
  LIVE,
  setting,
  signedIn,
  signedInBy,
  testServer,
} from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

const OPEN = 400;
let server: TestServer;
let live: string;
const client = pg.Client.prototype as unknown as { query: (...args: readonly unknown[]) => unknown };
const { query } = client;
const asked: string[] = [];
beforeAll(async () => {
  server = await testServer();
  live = (await courseIds(server))[LIVE] as string;
});
afterAll(async () => {
  client.query = query;
  leaveAll();
  await server.stop();
});

/** Learners of the course, and a cookie of each. */
async function cookies(): Promise<readonly string[]> {
  const rows = await server.database.em
    .fork()
    .execute<{ person_id: string }[]>(
      `select person_id from member where course_id = ? and role = 'learner' and left_at is null limit ?`,
      [live, Math.ceil(OPEN / MOST_OF_ONE)],
    );
  const people = await server.database.em
    .fork()
    .find(PersonRow, { id: { $in: rows.map((one) => one.person_id) } });
  return Promise.all(
    people.map(async ({ address }) => {
      const agent = await signedInBy(server, address ?? '');
      const { jar } = agent as unknown as {
        jar: { getCookies: (of: object) => { toValueString: () => string } };
      };
      return jar.getCookies({ domain: '127.0.0.1', path: '/', secure: false, script: false }).toValueString();
    }),
  );
}

test('each of four hundred pages is told of a change once, and no more is asked than once for each', async () => {
  const theirs = await cookies();
  expect(theirs).toHaveLength(10);
  const pages: Heard[] = [];
  for (const cookie of theirs) {
    const some = Array.from({ length: MOST_OF_ONE }, () => listenAs(server, 'learner', cookie));
    pages.push(...(await Promise.all(some)));
  }
  expect(pages).toHaveLength(OPEN);
  const ines = await signedIn(server, 'instructor');
  client.query = function counted(this: unknown, ...args: readonly unknown[]): unknown {
    const [what] = args;
    const text = typeof what === 'string' ? what : (what as { readonly text?: string }).text;
    if (text !== undefined) asked.push(text);
    return query.apply(this, [...args]);
  };
  await changeCourse(ines, live, [setting(live, 'title', 'Estuary Field Methods again')]);
  const ofChange = asked.length;
  await Promise.all(pages.map(({ until }) => until('look')));
  // Whoever is told last has yet to look up what comes next for them.
  await new Promise((done) => setTimeout(done, 300));
  client.query = query;
  expect(pages.map(({ events }) => events.filter(({ event }) => event === 'look').length)).toEqual(
    pages.map(() => 1),
  );
  expect(asked.length - ofChange).toBeLessThanOrEqual(OPEN);
  // They did look it up: with none of them asking, the count would say nothing.
  expect(asked.length - ofChange).toBeGreaterThan(OPEN / 2);
}, 120_000);
