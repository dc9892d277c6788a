/** `export` and `import`, as the command line runs them. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseCourseFile, subtree } from '@itinerary/core';
import type { CourseFile } from '@itinerary/core';
// @ts-expect-error the bootstrap scripts are plain JavaScript
import { DATA, SERVER_DIST } from '../../../../scripts/lib/paths.mjs';
import { courseFileTool } from '../../src/tools/course-transfer.ts';
import { admin, ARCHIVED, LIVE, newDatabase, urlOf } from '../support/server.ts';

/** Where the template of the databases was loaded to. */
const DEMO_FILES = join(DATA as string, 'files');
const folder = mkdtempSync(join(tmpdir(), 'itinerary-file-'));
let name: string;
beforeAll(async () => {
  name = await newDatabase('college');
});
afterAll(async () => {
  rmSync(folder, { recursive: true });
  await admin(`drop database ${name} with (force)`);
});

interface Said {
  readonly code: number | null;
  readonly out: string;
  readonly err: string;
}
const envOf = (files: string): NodeJS.ProcessEnv => ({
  ...process.env,
  DATABASE_URL: urlOf(name),
  ITINERARY_FILES: files,
});
const said = (words: readonly (string | undefined)[]): string[] => words.filter((word) => word !== undefined);

/** As the command line does, but for the process. @param files where uploaded files lie; the demo's own, unless said. */
const tool = (command?: string, argument?: string, files: string = DEMO_FILES): Promise<Said> =>
  courseFileTool(said([command, argument]), envOf(files));

/** The process itself: what it says goes where it belongs, and its code says how it went. */
function typed(command?: string, argument?: string): Promise<Said> {
  const words = [join(SERVER_DIST as string, 'course-file.js'), ...said([command, argument])];
  const child = spawn(process.execPath, words, { env: envOf(DEMO_FILES) });
  let out = '';
  let err = '';
  child.stdout.on('data', (data: Buffer) => (out += data.toString()));
  child.stderr.on('data', (data: Buffer) => (err += data.toString()));
  return new Promise((resolve) => child.once('close', (code) => resolve({ code, out, err })));
}

async function exported(code: string): Promise<CourseFile> {
  const { out, err } = await tool('export', code);
  const parsed = parseCourseFile(JSON.parse(out));
  if (!parsed.ok) throw new Error(err);
  return parsed.value;
}

function file(content: unknown): string {
  const path = join(folder, `${Math.random().toString(36).slice(2)}.json`);
  writeFileSync(path, typeof content === 'string' ? content : JSON.stringify(content));
  return path;
}

describe('export', () => {
  test('writes a course with every text it names', async () => {
    const { course, texts } = await exported(LIVE.toLowerCase());
    expect(course).toMatchObject({ code: LIVE, title: 'Estuary Field Methods', dates: { weeks: 15 } });
    expect(Object.keys(texts).length).toBeGreaterThan(30);
  });

  test('says which codes there are', async () => {
    const { code, err } = await typed('export', 'NONE-1');
    expect(code).toBe(1);
    expect(err).toContain(`No course has the code NONE-1. There are: BBH-120-SPR27, ${ARCHIVED}, ${LIVE}`);
  });
});

describe('import', () => {
  test('reads back what export wrote, under another code and id', async () => {
    const original = await exported(LIVE);
    const path = file({ ...original, course: { ...original.course, code: 'COPY-1' } });
    const { code, out } = await typed('import', path);
    expect(code).toBe(0);
    expect(out).toBe('COPY-1 is in the database: Estuary Field Methods, 15 sections\n');
    const copy = await exported('COPY-1');
    expect(copy.course.id).not.toBe(original.course.id);
    expect({ ...copy, course: { ...copy.course, id: '', code: '' } }).toEqual({
      ...original,
      course: { ...original.course, id: '', code: '' },
    });
  });

  test('reads a text as earlier releases wrote it', async () => {
    const original = await exported(LIVE);
    const old = '<p>High<br />water</p>';
    const hash = createHash('sha256').update(old).digest('hex');
    const course = { ...original.course, code: 'OLD-1', description: hash };
    expect(
      (await tool('import', file({ ...original, course, texts: { ...original.texts, [hash]: old } }))).code,
    ).toBe(0);
    const again = await exported('OLD-1');
    expect(again.texts[again.course.description ?? '']).toBe('<p>High<br>water</p>');
  });

  test('treats what is held as the plan: its older texts, and files that are not here', async () => {
    const original = await exported(LIVE);
    const old = '<p>As it<br />was</p>';
    const hash = createHash('sha256').update(old).digest('hex');
    const nodes = original.course.sections.flatMap((section) => subtree(section));
    const item = nodes.find((node) => node.kind === 'file' && node.file !== null);
    if (item?.kind !== 'file' || item.file === null) throw new Error('the demo has no file');
    const lost = { ...item.file, hash: 'f'.repeat(64), name: 'lost.txt' };
    const node = { ...item, text: hash, file: lost };
    const course = { ...original.course, code: 'HELD-1', heldBack: { [item.id]: { node, release: null } } };
    const path = file({ ...original, course, texts: { ...original.texts, [hash]: old } });
    const { code, out } = await tool('import', path);
    expect([code, out.split('\n')[1]]).toEqual([0, expect.stringMatching(/put them in again: lost\.txt$/)]);
    const again = await exported('HELD-1');
    const held = again.course.heldBack[item.id]?.node;
    expect(held).toMatchObject({ id: item.id, file: null });
    expect(held?.kind === 'file' && again.texts[held.text ?? '']).toBe('<p>As it<br>was</p>');
  });

  test('says which uploaded files are not here, and keeps their items', async () => {
    const original = await exported(LIVE);
    const path = file({ ...original, course: { ...original.course, code: 'FILES-1' } });
    const { code, out } = await tool('import', path, join(folder, 'no files here'));
    expect(code).toBe(0);
    expect(out).toContain(
      'put them in again: tern-point-gauge.csv, core-log-form.txt, one-breath.webm, one-breath.vtt, Mudflat in the morning.webp, a picture, ',
    );
    const copy = JSON.stringify((await exported('FILES-1')).course);
    expect(copy).toContain('A day at the gauge');
    expect(copy).not.toContain('tern-point-gauge.csv');
    expect(copy).toContain('"banner":null');
    // Where they are, the copy has them.
    const again = file({ ...original, course: { ...original.course, code: 'FILES-2' } });
    expect((await tool('import', again)).out).not.toContain('put them in again');
    expect(JSON.stringify((await exported('FILES-2')).course)).toContain('tern-point-gauge.csv');
  });

  test('refuses what is not as expected, naming it, and keeps nothing of it', async () => {
    const original = await exported(LIVE);
    const cases: readonly (readonly [unknown, RegExp])[] = [
      [
        original,
        new RegExp(`at course.code stands "${LIVE}", which "Estuary Field Methods" has; ${LIVE}-2 is free`),
      ],
      [
        { ...original, course: { ...original.course, code: 'X-1', term: 'NEVER' } },
        /at course.term stands "NEVER"/,
      ],
      [
        {
          ...original,
          course: { ...original.course, code: 'X-1', dates: { ...original.course.dates, weeks: 0 } },
        },
        /at course.dates.weeks stands 0/,
      ],
      [
        { ...original, course: { ...original.course, code: 'X-1' }, texts: {} },
        /stands nothing; expected: the HTML of a text/,
      ],
      [
        {
          ...original,
          course: { ...original.course, code: 'X-1' },
          texts: { ...original.texts, ['a'.repeat(64)]: 'b' },
        },
        /a text whose SHA-256 is/,
      ],
      ['{', /JSON/],
    ];
    for (const [content, sentence] of cases) {
      const { code, err } = await tool('import', file(content));
      expect(code).toBe(1);
      expect(err).toMatch(sentence);
    }
    expect((await tool('export', 'X-1')).code).toBe(1);
  });

  test('wants a command and a file', async () => {
    expect((await typed()).err).toContain('Usage:');
    expect((await tool('import')).err).toContain('Usage:');
    expect((await tool('burn', LIVE)).err).toContain('Usage:');
  });
});
