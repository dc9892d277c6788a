/** A copy of an installation that is in use, and its way back into an empty one: every row and every file. */
import { execFile } from 'node:child_process';
import { createHash, randomUUID } from 'node:crypto';
import { cp, mkdtemp, readdir, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import pg from 'pg';
import { admin, courseIds, DRAFT, newDatabase, serverOn, signedIn, urlOf } from '../support/server.ts';
import type { RunningServer } from '../../src/index.ts';

const ROOT = join(import.meta.dirname, '../../../..');
let folder: string;
let files: string;
let name: string;
let server: RunningServer;
const made: string[] = [];

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'itinerary-copy-'));
  files = join(folder, 'files');
  name = await newDatabase('college');
  server = await serverOn(name, { filesFolder: files });
});
afterAll(async () => {
  await server.stop();
  for (const one of [name, ...made]) await admin(`drop database if exists ${one} with (force)`);
  await rm(folder, { recursive: true, force: true });
});

interface Ended {
  readonly code: number;
  readonly said: string;
}
const script = (what: 'backup' | 'restore', place: string, database: string, into: string): Promise<Ended> =>
  new Promise((resolve) => {
    const env = { ...process.env, DATABASE_URL: urlOf(database), ITINERARY_FILES: into };
    execFile(process.execPath, [join(ROOT, `scripts/${what}.mjs`), place], { env }, (error, out, said) => {
      resolve({ code: error === null ? 0 : Number(error.code ?? 1), said: out + said });
    });
  });

/** Of every table, what its rows come to. */
async function rowsOf(database: string): Promise<ReadonlyMap<string, string>> {
  const client = new pg.Client({ connectionString: urlOf(database) });
  await client.connect();
  try {
    const { rows } = await client.query<{ at: string }>(
      `select format('%I.%I', schemaname, tablename) as at from pg_tables
         where schemaname not in ('pg_catalog', 'information_schema') order by 1`,
    );
    const found = new Map<string, string>();
    for (const { at } of rows) {
      const { rows: sums } = await client.query<{ sum: string }>(
        `select count(*) || ' ' || md5(coalesce(string_agg(one::text, E'\\n' order by one::text), '')) as sum from ${at} one`,
      );
      found.set(at, sums[0]?.sum ?? '');
    }
    return found;
  } finally {
    await client.end();
  }
}

async function filesIn(place: string): Promise<ReadonlyMap<string, string>> {
  const found = new Map<string, string>();
  for (const one of await readdir(place, { withFileTypes: true, recursive: true })) {
    if (!one.isFile() || !/^[0-9a-f]{2}$/.test(one.parentPath.slice(-2))) continue;
    found.set(
      one.name,
      createHash('sha256')
        .update(await readFile(join(one.parentPath, one.name)))
        .digest('hex'),
    );
  }
  return found;
}

test('what was kept while people worked comes back row for row and file for file', async () => {
  const ines = await signedIn(server, 'instructor');
  const id = (await courseIds(server))[DRAFT] as string;
  for (const text of ['mud', 'more mud']) {
    await ines
      .post(`/api/courses/${id}/files?name=${text.length}.txt`)
      .set('Content-Type', 'application/octet-stream')
      .send(Buffer.from(text))
      .expect(201);
  }
  // Somebody goes on changing the course while it is copied.
  let isOver = false;
  const working = (async () => {
    for (let turn = 0; !isOver; turn += 1) {
      const edits = [{ kind: 'set', target: id, field: 'tags', value: [`turn-${turn}`] }];
      await ines
        .post(`/api/courses/${id}/changes`)
        .send({ since: 0, texts: {}, changes: [{ id: randomUUID(), edits }] });
    }
  })();
  const during = join(folder, 'during');
  const first = await script('backup', during, name, files);
  isOver = true;
  await working;
  expect(first).toMatchObject({ code: 0, said: expect.stringContaining('and 2 files') as unknown });

  const copy = join(folder, 'copy');
  expect((await script('backup', copy, name, files)).code).toBe(0);
  const [rows, kept] = [await rowsOf(name), await filesIn(files)];
  expect(rows.size).toBeGreaterThan(60);
  expect([...kept].map(([hash, sum]) => hash === sum)).toEqual([true, true]);

  for (const [place, isExact] of [
    [copy, true],
    [during, false],
  ] as const) {
    const back = await newDatabase('empty');
    made.push(back);
    const into = join(folder, `files-of-${back}`);
    expect(await script('restore', place, back, into)).toMatchObject({ code: 0 });
    expect(await filesIn(into)).toEqual(kept);
    if (isExact) expect(await rowsOf(back)).toEqual(rows);
    // It is an installation that one can go on working in.
    const other = await serverOn(back, { filesFolder: into });
    try {
      const again = await signedIn(other, 'instructor');
      const plan = await again.get(`/api/courses/${id}/plan`).expect(200);
      const { seq } = plan.body as { seq: number };
      const [count] = await other.database.em
        .fork()
        .execute<{ many: number }[]>('select count(*)::int as many from change where course_id = ?', [id]);
      expect(count?.many).toBe(seq);
    } finally {
      await other.stop();
    }
  }
}, 180_000);

test('what cannot be is said, and nothing is touched', async () => {
  const copy = join(folder, 'copy');
  expect(await script('backup', copy, name, files)).toMatchObject({
    ...{ code: 1, said: expect.stringContaining('a copy is never written over') as unknown },
  });
  const before = await rowsOf(name);
  expect(await script('restore', copy, name, join(folder, 'none'))).toMatchObject({
    ...{ code: 1, said: expect.stringContaining('tables already') as unknown },
  });
  expect(await rowsOf(name)).toEqual(before);
  const empty = await newDatabase('empty');
  made.push(empty);
  expect((await script('restore', copy, empty, files)).said).toContain('There are files in');
  const later = join(folder, 'later');
  await cp(copy, later, { recursive: true });
  await writeFile(
    join(later, 'about.json'),
    JSON.stringify({ of: 'itinerary', release: '9999-later', files: 2 }),
  );
  expect((await script('restore', later, empty, join(folder, 'none'))).said).toContain(
    'of a later release than this one',
  );
  expect((await script('restore', join(folder, 'nowhere'), empty, join(folder, 'none'))).said).toContain(
    'There is no copy in',
  );
  expect(await rowsOf(empty)).toEqual(new Map());
}, 120_000);
