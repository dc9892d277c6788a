/** What whoever runs a server reads of it, and what is cleared away once an hour: counted, and nothing else touched. */
import { mkdir, mkdtemp, readdir, utimes, writeFile } from 'node:fs/promises';
import { createHash } from 'node:crypto';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import request from 'supertest';
import { openFigures } from '../../src/figures/figures.ts';
import { serveFigures } from '../../src/figures/serve.ts';
import { courseIds, LIVE, PEOPLE, signedIn, testServer } from '../support/server.ts';
import type { TestServer } from '../support/server.ts';

let server: TestServer;
let folder: string;
let liveId = '';

const rows = <Row extends object>(sql: string, values: readonly unknown[] = []): Promise<Row[]> =>
  server.database.em.fork().execute<Row[]>(sql, [...values]);
const read = async (): Promise<string> =>
  (
    await request(`http://127.0.0.1:${String(server.figuresPort)}`)
      .get('/metrics')
      .expect(200)
  ).text;

/** The figures with this name, by their labels as they are written. */
function figuresIn(text: string, name: string): ReadonlyMap<string, number> {
  const lines = text.split('\n').filter((line) => line.startsWith(`${name}{`) || line.startsWith(`${name} `));
  return new Map(
    lines.map((line) => {
      const [, labels = '', value] = /^\w+(?:\{(.*)\})? (\S+)$/.exec(line) ?? [];
      return [labels, Number(value)];
    }),
  );
}

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'itinerary-files-'));
  server = await testServer({ figuresPort: 0, filesFolder: folder });
  liveId = (await courseIds(server))[LIVE] ?? '';
});
afterAll(() => server.stop());

describe('figures', () => {
  test('count answers by route and status, questions, connections and courses, with no word of anybody', async () => {
    const noor = await signedIn(server, 'learner');
    const before = figuresIn(await read(), 'itinerary_answer_seconds_count');
    await noor.get(`/api/learn/${liveId}`).expect(200);
    await noor.get(`/api/learn/${liveId}`).expect(200);
    await noor.get(`/api/courses/${liveId}/plan`).expect(403);
    const more = (now: string): readonly number[] => {
      const answers = figuresIn(now, 'itinerary_answer_seconds_count');
      return ['route="readCourse",status="200"', 'route="plan",status="403"'].map(
        (labels) => (answers.get(labels) ?? 0) - (before.get(labels) ?? 0),
      );
    };
    // An answer counts once it has gone out whole, which can be after it has come in here.
    let text = await read();
    for (let tries = 0; tries < 50 && more(text).join() !== '2,1'; tries += 1) {
      await new Promise((done) => setTimeout(done, 20));
      text = await read();
    }
    expect(more(text)).toEqual([2, 1]);
    expect(figuresIn(text, 'itinerary_questions_total').get('')).toBeGreaterThan(4);
    expect(figuresIn(text, 'itinerary_kept_courses').get('')).toBeGreaterThan(0);
    expect(figuresIn(text, 'itinerary_kept_nodes').get('')).toBeGreaterThan(50);
    expect(figuresIn(text, 'itinerary_streams').get('')).toBe(0);
    expect([...figuresIn(text, 'itinerary_connections').keys()]).toEqual([
      'use="read",state="used"',
      'use="read",state="free"',
      'use="read",state="waited_for"',
      'use="write",state="used"',
      'use="write",state="free"',
      'use="write",state="waited_for"',
    ]);
    expect([...figuresIn(text, 'itinerary_jobs').keys()]).toEqual([
      'state="due"',
      'state="later"',
      'state="failing"',
    ]);
    expect(figuresIn(text, 'process_resident_memory_bytes').get('')).toBeGreaterThan(1_000_000);
    for (const word of [liveId, LIVE, 'Noor', 'Estuary', ...Object.values(PEOPLE)]) {
      expect(text).not.toContain(word);
    }
  });

  test('are at an address of their own, and at no other', async () => {
    const door = request(`http://127.0.0.1:${String(server.figuresPort)}`);
    await door.get('/').expect(404);
    await door.post('/metrics').expect(404);
    expect((await request(server.address).get('/metrics')).text).not.toContain('itinerary_answer_seconds');
    expect((await request(server.address).get('/api/metrics')).status).toBe(404);
  });

  test('of a database that does not answer are told to come back for', async () => {
    const figures = openFigures({ database: server.database, streams: () => 0 });
    const door = await serveFigures({ ...figures, text: () => Promise.reject(new Error('away')) }, 0);
    const answer = await request(`http://127.0.0.1:${door.port}`).get('/metrics');
    expect([answer.status, answer.headers['retry-after']]).toEqual([503, '2']);
    await door.close();
  });
});

/** A file as if it had lain there for two days. */
async function lain(path: string): Promise<void> {
  const then = Date.now() / 1000 - 2 * 86_400;
  await utimes(path, then, then);
}

test('what was left over goes, each kind counted, and everything that somebody could still want stays', async () => {
  const noor = await signedIn(server, 'learner');
  await rows(`insert into session values ('over', '{}', now() - interval '1 minute')`);
  await rows(`insert into attempt values ('over', 3, extract(epoch from now()) * 1000 - 1),
    ('counts', 3, extract(epoch from now()) * 1000 + 600000)`);
  const [known] = await rows<{ hash: string }>('select hash from stored_file limit 1');
  const stray = createHash('sha256').update('stray').digest('hex');
  const young = createHash('sha256').update('young').digest('hex');
  for (const hash of [stray, young, known?.hash ?? '']) {
    await mkdir(join(folder, hash.slice(0, 2)), { recursive: true });
    await writeFile(join(folder, hash.slice(0, 2), hash), 'x');
    if (hash !== young) await lain(join(folder, hash.slice(0, 2), hash));
  }
  for (const [shelf, name, isOld] of [
    ['incoming', 'old', true],
    ['incoming', 'new', false],
    ['made', 'half.part', true],
    ['made', 'whole-640.webp', true],
    ['pieces', 'a'.repeat(32), true],
  ] as const) {
    await mkdir(join(folder, shelf), { recursive: true });
    await writeFile(join(folder, shelf, name), 'x');
    if (isOld) await lain(join(folder, shelf, name));
  }
  await server.jobs.clearNow();
  expect(await readdir(join(folder, 'incoming'))).toEqual(['new']);
  expect(await readdir(join(folder, 'made'))).toEqual(['whole-640.webp']);
  expect(await readdir(join(folder, stray.slice(0, 2)))).not.toContain(stray);
  expect(await readdir(join(folder, young.slice(0, 2)))).toContain(young);
  expect(await readdir(join(folder, (known?.hash ?? '').slice(0, 2)))).toContain(known?.hash);
  expect(await rows(`select key from attempt where key in ('over', 'counts')`)).toEqual([{ key: 'counts' }]);
  expect(await rows(`select sid from session where sid = 'over'`)).toEqual([]);
  await noor.get('/api/me').expect(200);
  const text = await read();
  const cleared = figuresIn(text, 'itinerary_cleared_total');
  for (const [what, count] of [
    ...[['sessions', 1] as const, ['tries', 1] as const, ['strays', 1] as const, ['incoming', 2] as const],
    ...[['pieces', 1] as const, ['files', 0] as const],
  ]) {
    expect([what, cleared.get(`what="${what}"`)]).toEqual([what, count]);
  }
  expect(figuresIn(text, 'itinerary_cleared_at_seconds').get('')).toBeGreaterThan(0);
});

test('in a folder in which another database has files too, none of them is a stray', async () => {
  const stray = createHash('sha256').update('another’s').digest('hex');
  await mkdir(join(folder, stray.slice(0, 2)), { recursive: true });
  await writeFile(join(folder, stray.slice(0, 2), stray), 'x');
  await lain(join(folder, stray.slice(0, 2), stray));
  const other = await testServer({ filesFolder: folder });
  try {
    await server.jobs.clearNow();
    await other.jobs.clearNow();
    expect(await readdir(join(folder, stray.slice(0, 2)))).toContain(stray);
  } finally {
    await other.stop();
  }
});
