/**
 * The server attacked by somebody who has read its OpenAPI document: every operation, by every kind of person, with real
 * ids, well made and broken; what changes something eight times at once, and two at once. A new operation is attacked
 * without anybody writing it down. ITINERARY_HOSTILE says how many requests in a row (`npm run attack`).
 */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { parseCourse, subtree } from '@itinerary/core';
import fc from 'fast-check';
import request from 'supertest';
import type { Agent, Response } from 'supertest';
import { loadCourse } from '../../src/db/course-rows.ts';
import { readApi, requestTo } from '../support/hostile.ts';
import type { Api, Made, Operation } from '../support/hostile.ts';
import { courseIds, PEOPLE, signedIn, testServer } from '../support/server.ts';
import type { TestServer, Who } from '../support/server.ts';

type Asker = Who | 'nobody';
const ASKERS = [...(Object.keys(PEOPLE) as Who[]), 'nobody'] as const;
const HOSTILE = Number(process.env['ITINERARY_HOSTILE'] ?? '200');
const SEED = 20_270_216;

let server: TestServer;
let api: Api;
let ids: Record<string, string[]>;
const agents = new Map<Asker, Agent>();
const as = (who: Asker): Agent => agents.get(who) as Agent;
const rows = <Row>(sql: string): Promise<Row[]> =>
  server.database.em.fork().getConnection().execute<Row[]>(sql);
let taught: readonly string[];

beforeAll(async () => {
  // What breaks a schema of ours is one of the things that are looked for: it answers 500.
  server = await testServer();
  for (const who of ASKERS)
    agents.set(who, who === 'nobody' ? request.agent(server.address) : await signedIn(server, who));
  api = readApi((await as('nobody').get('/api/openapi.json').expect(200)).body);
  const courses = Object.values(await courseIds(server));
  const nodes = await Promise.all(
    courses.map(async (id) => {
      const loaded = await loadCourse(server.database.em.fork(), id);
      const all = (loaded?.course.sections ?? []).flatMap((section) => subtree(section));
      return { all: all.map(({ id: node }) => node), course: loaded?.course };
    }),
  );
  const of = async (sql: string): Promise<string[]> => (await rows<{ id: string }>(sql)).map(({ id }) => id);
  ids = {
    course: courses,
    item: nodes.flatMap(({ all }) => all).slice(0, 40),
    person: await of('select id from person limit 12'),
    hash: await of('select hash as id from stored_file union select hash from long_text limit 20'),
    announcement: nodes.flatMap(({ course }) => Object.keys(course?.announcements ?? {})),
    holiday: await of('select id from holiday limit 5'),
    page: await of('select id from institution_page limit 5'),
    code: await of('select code as id from course'),
    comment: ['never-was', ...(await of('select id from remark limit 5'))],
    exception: ['own-1', 'own-2'],
    template: ['spring', 'autumn'],
    picture: ['lighthouse', 'never-was'],
    frame: ['banner', 'card', 'panel', 'phone', 'thumbnail'],
  };
  for (const key of Object.keys(ids)) if (ids[key]?.length === 0) ids[key] = ['never-was'];
  taught = await of(
    "select distinct course_id as id from member where role = 'instructor' and left_at is null",
  );
});
afterAll(() => server.stop());

/** A stream never ends, and whoever signs out is somebody else from there on. */
const APART = new Set(['events', 'signOut']);
const attacked = (): readonly Operation[] =>
  api.operations.filter(({ operationId }) => !APART.has(operationId));
const changing = (): readonly Operation[] => attacked().filter(({ method }) => method !== 'get');

async function send(
  who: Asker,
  { operationId, method, body: taken }: Operation,
  { path, body }: Made,
): Promise<Response> {
  // Signing in ends in another session than one's own.
  const isSigningIn = operationId.toLowerCase().endsWith('signin');
  const asked = (isSigningIn ? request.agent(server.address) : as(who))[method](path);
  if (taken === 'binary') return asked.set('Content-Type', 'application/octet-stream').send('Mud and silt');
  return body === undefined
    ? asked
    : asked.set('Content-Type', 'application/json').send(JSON.stringify(body) ?? '');
}

/** Paths and stacks of ours. */
const OURS = /\/(node_modules|packages|src|dist)\/|\n\s+at |\b(select|insert|update) .* (from|into|set) /i;

function wrongWith(who: Asker, operation: Operation, made: Made, answer: Response): readonly string[] {
  const what = `${who} ${operation.operationId} ${made.path} ${JSON.stringify(made.body)?.slice(0, 300) ?? ''}`;
  const said = answer.text ?? '';
  const isProblem = answer.status >= 400;
  return [
    ...(answer.status >= 500 ? [`${answer.status}: ${what}: ${said.slice(0, 300)}`] : []),
    ...(isProblem && OURS.test(said) ? [`says what is ours: ${what}: ${said.slice(0, 300)}`] : []),
    ...(isProblem && !/problem\+json/.test(answer.headers['content-type'] ?? '')
      ? [`no problem document: ${what}`]
      : []),
  ];
}

/** What holds whatever has been sent. */
async function invariants(): Promise<void> {
  const left = await rows<{ id: string }>(
    "select distinct course_id as id from member where role = 'instructor' and left_at is null",
  );
  expect(taught.filter((id) => left.every((one) => one.id !== id))).toEqual([]);
  expect(
    await rows(
      `select id from course where seq <> (select count(*) from change where course_id = course.id)
         or seq <> (select coalesce(max(seq), 0) from change where course_id = course.id)`,
    ),
  ).toEqual([]);
  const [kept] = await rows<{ pages: number }>('select count(*)::int as pages from institution_page');
  expect(kept?.pages).toBeLessThanOrEqual(60);
  for (const { id } of await rows<{ id: string }>('select id from course')) {
    const loaded = await loadCourse(server.database.em.fork(), id);
    const parsed = parseCourse(JSON.parse(JSON.stringify(loaded?.course)));
    expect(parsed.ok ? [] : parsed.mistakes).toEqual([]);
  }
  await as('nobody').get('/api/health').expect(200);
}

const drawn = <T>(arbitrary: fc.Arbitrary<T>, many: number, seed: number): T[] =>
  fc.sample(arbitrary, { numRuns: many, seed });

test('the document has operations to attack, and every one of them is', () => {
  expect(changing().length).toBeGreaterThan(20);
  expect(api.operations.length).toBe(attacked().length + APART.size);
});

describe('what changes something, at once', () => {
  test('eight times the same, and two different ones four times each: nothing breaks', async () => {
    const wrong: string[] = [];
    const taken = new Set<string>();
    for (const [at, operation] of changing().entries()) {
      const [one, other] = drawn(requestTo(api, operation, ids, false), 2, SEED + at) as [Made, Made];
      const same = await Promise.all(Array.from({ length: 8 }, () => send('staff', operation, one)));
      const mixed = await Promise.all(
        Array.from({ length: 8 }, (_, turn) => send('instructor', operation, turn % 2 === 0 ? one : other)),
      );
      for (const [turn, answer] of [...same, ...mixed].entries()) {
        wrong.push(...wrongWith(turn < 8 ? 'staff' : 'instructor', operation, one, answer));
        if (answer.status < 300) taken.add(operation.operationId);
      }
    }
    expect(wrong).toEqual([]);
    // Enough of them are made well enough to be taken.
    expect(taken.size).toBeGreaterThan(6);
    await invariants();
  });
});

const LONG_MS = Math.max(120_000, HOSTILE * 100);

test(
  `${HOSTILE} hostile requests in a row, by everybody`,
  async () => {
    const wrong: string[] = [];
    const statuses = new Map<number, number>();
    const heaps: number[] = [];
    const all = attacked();
    const BATCH = 300;
    for (let done = 0; done < HOSTILE; done += BATCH) {
      const plan = fc
        .tuple(fc.constantFrom(...all), fc.constantFrom<Asker>(...ASKERS), fc.integer({ min: 0, max: 9 }))
        .chain(([operation, who, how]) =>
          requestTo(api, operation, ids, how > 2).map((made) => ({ operation, who, made })),
        );
      const batch = drawn(plan, Math.min(BATCH, HOSTILE - done), SEED + done);
      const lanes = Array.from({ length: 6 }, async () => {
        for (let next = batch.pop(); next !== undefined; next = batch.pop()) {
          const answer = await send(next.who, next.operation, next.made);
          statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1);
          wrong.push(...wrongWith(next.who, next.operation, next.made, answer));
        }
      });
      await Promise.all(lanes);
      heaps.push(process.memoryUsage().heapUsed / 1e6);
      if (wrong.length > 20) break;
    }
    expect(wrong).toEqual([]);
    expect(statuses.get(400) ?? 0).toBeGreaterThan(HOSTILE / 20);
    if (HOSTILE > 5000) {
      const said = [...statuses].sort(([a], [b]) => a - b).map(([status, many]) => `${status}: ${many}`);
      const third = Math.floor(heaps.length / 3);
      const least = (from: number, to: number): number => Math.min(...heaps.slice(from, to));
      process.stderr.write(
        `${HOSTILE} requests; ${said.join(', ')}; heap at the least, MB: ${least(0, third).toFixed(0)} in the first third, ${least(-third, heaps.length).toFixed(0)} in the last\n`,
      );
      expect(least(-third, heaps.length)).toBeLessThan(2 * least(0, third) + 100);
    }
    await invariants();
  },
  LONG_MS,
);
