/** Nobody waits for what does not come, and several that begin at once do not stand in one another's way. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import pg from 'pg';
import type { Agent, Response } from 'supertest';
import { connect, migrate, MIGRATIONS } from '../../src/db/orm.ts';
import { openTurns } from '../../src/lanes/turns.ts';
import {
  admin,
  courseIds,
  DRAFT,
  LIVE,
  newDatabase,
  signedIn,
  testServer,
  urlOf,
} from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

describe('with a course that somebody holds', () => {
  let server: TestServer;
  let ines: Agent;
  let held: string;
  let other: string;
  let holder: pg.Client;
  beforeAll(async () => {
    server = await testServer();
    ines = await signedIn(server, 'instructor');
    const ids = await courseIds(server);
    [held, other] = [ids[DRAFT] as string, ids[LIVE] as string];
    holder = new pg.Client({ connectionString: urlOf(server.name) });
    await holder.connect();
    await holder.query('begin');
    await holder.query('select id from course where id = $1 for update', [held]);
  });
  afterAll(async () => {
    await holder.end();
    await server.stop();
  });

  const change = (id: string): Promise<Response> =>
    ines.post(`/api/courses/${id}/changes`).send({
      ...{ since: 0, texts: {} },
      changes: [
        {
          id: randomUUID(),
          edits: [{ kind: 'set', target: id, field: 'description', value: null, was: null }],
        },
      ],
    });

  test('its changes are told to come back, and everything else goes on meanwhile', async () => {
    // More than there are connections.
    const waiting = Array.from({ length: 14 }, () => change(held));
    let isOver = false;
    const all = Promise.all(waiting).finally(() => (isOver = true));
    const meanwhile = [
      await ines.get('/api/health'),
      await ines.get('/api/desk'),
      await ines.get(`/api/learn/${other}`),
      await change(other),
    ];
    expect(meanwhile.map(({ status }) => status)).toEqual([200, 200, 200, 200]);
    // They did not wait for those who wait.
    expect(isOver).toBe(false);
    for (const answer of await all) {
      expect({ status: answer.status, ...answer.body }).toMatchObject({ status: 503, code: 'busy' });
      expect(Number(answer.headers['retry-after'])).toBeGreaterThan(0);
    }
    await holder.query('rollback');
    expect((await change(held)).status).toBe(200);
  }, 60_000);
});

test('whoever has waited long enough is told so when their turn comes, and the next begins anew', async () => {
  let now = 0;
  const inTurn = openTurns('try this', () => now);
  let end = (): void => undefined;
  const first = inTurn('a', () => new Promise<void>((done) => (end = done)));
  const second = inTurn('a', () => Promise.resolve('late'));
  expect(await inTurn('b', () => Promise.resolve('another'))).toBe('another');
  now = 5001;
  end();
  await first;
  await expect(second).rejects.toThrow('Very many try this just now');
  expect(await inTurn('a', () => Promise.resolve('free'))).toBe('free');
});

describe('a database that several begin with', () => {
  test('is brought up to date once, on nothing', async () => {
    const name = await newDatabase('empty');
    const several = await Promise.all(Array.from({ length: 3 }, () => connect(urlOf(name))));
    try {
      await Promise.all(several.map(migrate));
      const rows = await several[0]!.em
        .fork()
        .execute<{ name: string }[]>('select name from mikro_orm_migrations');
      expect(rows.map((row) => row.name)).toEqual(MIGRATIONS.map((one) => one.name));
    } finally {
      await Promise.all(several.map((one) => one.close(true)));
      await admin(`drop database ${name} with (force)`);
    }
  }, 60_000);

  test('of a later release is not begun with, and says so', async () => {
    const name = await newDatabase('college');
    const database = await connect(urlOf(name));
    try {
      await database.em.fork().execute(`insert into mikro_orm_migrations (name) values ('9999-of-tomorrow')`);
      await expect(migrate(database)).rejects.toThrow(
        /of a later release than this one: it has been brought to 9999-of-tomorrow/,
      );
    } finally {
      await database.close(true);
      await admin(`drop database ${name} with (force)`);
    }
  });
});
