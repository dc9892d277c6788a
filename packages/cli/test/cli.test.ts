import { afterAll, describe, expect, test } from '@jest/globals';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { toCourseFile } from '@itinerary/core';
import { smallCourse } from '../../core/test/arbitraries.ts';
import { runCli } from '../src/cli.ts';

const folder = mkdtempSync(join(tmpdir(), 'itinerary-'));
afterAll(() => rmSync(folder, { recursive: true }));

function cli(...words: string[]): { code: number; out: string; err: string } {
  const out: string[] = [];
  const err: string[] = [];
  const code = runCli(
    words,
    (text) => out.push(text),
    (text) => err.push(text),
  );
  return { code, out: out.join('\n'), err: err.join('\n') };
}

function file(name: string, content: unknown): string {
  const path = join(folder, name);
  writeFileSync(path, typeof content === 'string' ? content : JSON.stringify(content));
  return path;
}

describe('plan', () => {
  const good = file(
    'good.json',
    toCourseFile({ ...smallCourse(), dates: { ...smallCourse().dates, weeks: 3 } }, {}),
  );

  test('prints sections and days as JSON', () => {
    const { code, out } = cli('plan', good, '--json');
    expect(code).toBe(0);
    expect(JSON.parse(out)).toMatchObject({
      code: 'EFM-210',
      firstDay: '2027-01-11',
      lastTeachingDay: '2027-01-31',
      sections: [
        { id: 'A', number: '1', week: 1, first: '2027-01-11', last: '2027-01-17' },
        { id: 'B', number: '2', week: 2, first: '2027-01-18', last: '2027-01-24' },
      ],
      spare: [{ week: 3, first: '2027-01-25', last: '2027-01-31' }],
      unplaced: [],
    });
  });

  test('prints them as text', () => {
    const { out } = cli('plan', good);
    expect(out).toContain('  1  2027-01-11  2027-01-17  A');
    expect(out).toContain('2027-01-25  2027-01-31  (no section)');
  });

  test('names what is wrong with a file', () => {
    const wrong = { ...toCourseFile(smallCourse(), {}), version: 9 };
    expect(cli('plan', file('wrong.json', wrong))).toMatchObject({
      code: 1,
      err: expect.stringMatching(/at version stands 9; expected: /) as unknown,
    });
    expect(cli('plan', file('not.json', '{'))).toMatchObject({
      code: 1,
      err: expect.stringContaining('is not JSON') as unknown,
    });
    expect(cli('plan', join(folder, 'none.json')).err).toContain('there is no such file');
  });
});

test('the schema is JSON Schema, and strange words get the usage', () => {
  expect(JSON.parse(cli('schema').out)).toMatchObject({
    $schema: 'https://json-schema.org/draft/2020-12/schema',
  });
  expect(cli().code).toBe(2);
  expect(cli('plan')).toMatchObject({
    code: 2,
    err: expect.stringContaining('plan FILE [--json]') as unknown,
  });
  expect(cli('plan', 'x', '--jsn').err).toContain('"--jsn" is not known here');
});
