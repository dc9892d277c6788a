/** Nobody waits for what does not come, and several that begin at once do not stand in one another's way. */
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import pg from 'pg';
import type { Agent, Response } from 'supertest';
import { SHUT_WAY } from '@itinerary/core';
import type { JoinedAnswer } from '@itinerary/contract';
import { connect, migrate, MIGRATIONS } from '../../src/db/orm.ts';
import { openTurns } from '../../src/lanes/turns.ts';
import {
  admin,
  changeCourse,
  courseIds,
  DRAFT,
  LIVE,
  newDatabase,
  openCourse,
  setting,
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

  test('more who change the institution than there are connections for it take none from those who look', async () => {
    const marit = await signedIn(server, 'staff');
    // What is kept already is asked for alone; the first time, a course is read in a transaction.
    await ines.get(`/api/learn/${other}`).expect(200);
    await ines.get('/api/desk').expect(200);
    await holder.query('begin');
    await holder.query('select id from institution for update');
    const calendar = ['BEGIN:VCALENDAR', 'BEGIN:VEVENT', 'UID:founding', 'DTSTART;VALUE=DATE:20270504']
      .concat(['SUMMARY:Founding day', 'END:VEVENT', 'END:VCALENDAR', ''])
      .join('\r\n');
    let isOver = false;
    const all = Promise.all(
      Array.from({ length: 14 }, () => marit.post('/api/holidays').send({ calendar })),
    ).finally(() => (isOver = true));
    await new Promise((done) => setTimeout(done, 500));
    const meanwhile = [await ines.get(`/api/learn/${other}`), await ines.get('/api/desk')];
    expect(meanwhile.map(({ status }) => status)).toEqual([200, 200]);
    const { rows } = await holder.query<{ n: number }>(
      `select count(*)::int as n from pg_stat_activity where datname = $1 and wait_event_type = 'Lock'`,
      [server.name],
    );
    // They stood there all the while, with every connection that there is for them.
    expect([isOver, rows[0]?.n]).toEqual([false, 10]);
    await holder.query('rollback');
    await all;
  }, 60_000);

  test('a class that joins it waits, keeps nobody else waiting, and is in once it is let go', async () => {
    const id = await openCourse(ines, { code: 'HELD-1' });
    await changeCourse(ines, id, [setting(id, 'ways.link', { ...SHUT_WAY, on: true })]);
    const made = await ines.post(`/api/courses/${id}/ways/code`).send({}).expect(200);
    const { code } = made.body as { code: string };
    await holder.query(`update course set state = 'live', seq = seq + 1 where id = $1`, [id]);
    const noor = await signedIn(server, 'learner');
    await holder.query('begin');
    await holder.query('select id from course where id = $1 for update', [id]);
    // More than there are connections, and longer than they wait for one another.
    const joins = Promise.all(Array.from({ length: 14 }, () => noor.post(`/api/join/${code}`).send({})));
    await new Promise((done) => setTimeout(done, 1000));
    const meanwhile = [
      await ines.get('/api/health'),
      await noor.get(`/api/learn/${other}`),
      await change(other),
    ];
    expect(meanwhile.map(({ status }) => status)).toEqual([200, 200, 200]);
    const { rows } = await holder.query<{ n: number }>(
      `select count(*)::int as n from pg_stat_activity where datname = $1 and wait_event_type = 'Lock'`,
      [server.name],
    );
    // One of them stands at the course, the others behind it and with no connection.
    expect(rows).toEqual([{ n: 1 }]);
    await holder.query('rollback');
    expect((await joins).map(({ status, body }) => [status, (body as JoinedAnswer).is])).toEqual(
      Array.from({ length: 14 }, () => [200, 'in']),
    );
  }, 60_000);
});

test('whoever has waited long enough is told so when their turn comes, and the next begins anew', async () => {
  let now = 0;
  const inTurn = openTurns('try this', 5000, () => now);
  const here = {};
  let end = (): void => undefined;
  const first = inTurn(here, 'a', () => new Promise<void>((done) => (end = done)));
  const second = inTurn(here, 'a', () => Promise.resolve('late'));
  expect(await inTurn(here, 'b', () => Promise.resolve('another'))).toBe('another');
  // Another database, in which there is the same key.
  expect(await inTurn({}, 'a', () => Promise.resolve('elsewhere'))).toBe('elsewhere');
  now = 5001;
  end();
  await first;
  await expect(second).rejects.toThrow('Very many try this just now');
  expect(await inTurn(here, 'a', () => Promise.resolve('free'))).toBe('free');
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
