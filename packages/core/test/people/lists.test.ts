/** Class lists: what is read from them, in which encoding, and what somebody puts right. */
import { describe, expect, test } from '@jest/globals';
import {
  decodeList,
  encodingOf,
  MAX_LIST_COLUMNS,
  MAX_LIST_LENGTH,
  MAX_LIST_ROWS,
  readList,
  refuseList,
} from '../../src/people/index.ts';
import type { ListRow } from '../../src/people/index.ts';
import { LIST_CASES } from './list-cases.ts';
import type { Said } from './list-cases.ts';

const said = (row: ListRow): Said =>
  Object.fromEntries(
    Object.entries(row).filter(([cell, value]) => value !== null && cell !== 'line' && cell !== 'doubts'),
  );

describe('lists as they arrive', () => {
  test.each(LIST_CASES)('$name', ({ text, rows, doubts = [] }) => {
    const reading = readList(text);
    expect(reading.rows.map(said)).toEqual(rows);
    const found = reading.rows.flatMap((row) =>
      row.doubts.map(({ code, column, value }) => `${code} of ${column}: ${value}`),
    );
    expect(found).toEqual(doubts);
  });

  test('there are so many of them', () => expect(LIST_CASES.length).toBeGreaterThanOrEqual(80));
});

describe('what is left out', () => {
  const text = ['EFM-210', '', 'Name;Email', 'A B;a@x.example', 'Name;Email', 'Total;1'].join('\n');

  test('is named by its line, with why', () => {
    expect(readList(text).leftOut).toEqual([
      { line: 1, why: 'above' },
      { line: 5, why: 'heading' },
      { line: 6, why: 'sum' },
    ]);
  });

  test('and each row knows its own line, also after cells of several', () => {
    const list = ['Name,ID', '"A', 'B",20417', '', 'C D,20418'].join('\n');
    expect(readList(list).rows.map(({ line }) => line)).toEqual([2, 5]);
  });
});

describe('what somebody puts right', () => {
  const list = ['Name,Code,Class', 'Inês Carvalhal,20417,A', 'Noor Rahimi,20418,B'].join('\n');

  test('a column is what it is said to be, and no other is that', () => {
    const before = readList(list);
    expect(before.columns.map(({ column, certainty }) => `${column} ${certainty}`)).toEqual([
      'name said',
      'ignored seen',
      'class said',
    ]);
    const after = readList(list, { columns: { 1: 'id', 2: 'name' } });
    expect(after.columns.map(({ column, certainty }) => `${column} ${certainty}`)).toEqual([
      'ignored seen',
      'id chosen',
      'name chosen',
    ]);
    expect(after.rows.map(said)).toEqual([
      { id: '20417', name: 'A' },
      { id: '20418', name: 'B' },
    ]);
  });

  test('a first row is headings, or somebody', () => {
    const none = readList('Ana Total\nBea Total', { hasHeading: true });
    expect([none.heading, none.rows.length]).toEqual([['Ana Total'], 1]);
    const all = readList('Name,ID\nA B,20417', { hasHeading: false });
    expect([all.heading, all.rows.length]).toEqual([null, 2]);
  });
});

describe('what is no class list', () => {
  test('is refused, with what it has and how much may be', () => {
    expect(refuseList('x'.repeat(MAX_LIST_LENGTH + 1))).toMatchObject({
      code: 'too_long',
      most: MAX_LIST_LENGTH,
    });
    expect(refuseList('A B\n'.repeat(MAX_LIST_ROWS))).toMatchObject({
      code: 'too_many_rows',
      rows: MAX_LIST_ROWS + 1,
    });
    expect(refuseList(`Name\nA${';'.repeat(1_000_000)}`)).toEqual({
      code: 'too_many_columns',
      line: 2,
      columns: 1_000_001,
      most: MAX_LIST_COLUMNS,
    });
  });

  test('and what is one is not: every list here, and a thousand addresses in a line', () => {
    for (const { text } of LIST_CASES) expect(refuseList(text)).toBeNull();
    const beside = Array.from({ length: 1000 }, (_, at) => `p${at}@x.example`).join(', ');
    expect([refuseList(beside), readList(beside).rows.length]).toEqual([null, 1000]);
    expect(refuseList('A B\n'.repeat(MAX_LIST_ROWS - 1))).toBeNull();
  });
});

describe('encodings', () => {
  const TEXT = 'Nom;Prénom\nDvořan;Pavel\n';
  const bytes = (text: string, of: (code: number) => readonly number[]): Uint8Array =>
    Uint8Array.from([...text].flatMap((letter) => of(letter.codePointAt(0) ?? 0)));
  const little = (code: number): number[] => [code & 255, code >> 8];
  const big = (code: number): number[] => [code >> 8, code & 255];
  const utf8 = new TextEncoder().encode(TEXT);

  test.each([
    ['utf-8', utf8],
    ['utf-8', Uint8Array.from([0xef, 0xbb, 0xbf, ...utf8])],
    ['utf-16le', Uint8Array.from([0xff, 0xfe, ...bytes(TEXT, little)])],
    ['utf-16be', Uint8Array.from([0xfe, 0xff, ...bytes(TEXT, big)])],
    ['utf-16le', bytes(TEXT, little)],
    ['utf-16be', bytes(TEXT, big)],
  ])('%s', (encoding, file) => {
    expect(decodeList(file)).toEqual({ text: TEXT, encoding });
  });

  test('of one byte a letter, told apart by what only one of them has', () => {
    // š and € of each; the rest is the same.
    const windows = Uint8Array.from([0x9a, 0x20, 0x80, 0x20, 0xe9]);
    const iso = Uint8Array.from([0x61, 0xa8, 0x6b, 0x20, 0xe9]);
    expect(decodeList(windows)).toEqual({ text: 'š € é', encoding: 'windows-1252' });
    expect(decodeList(iso)).toEqual({ text: 'ašk é', encoding: 'iso-8859-15' });
    expect(encodingOf(Uint8Array.from([0x50, 0x72, 0xe9, 0x6e, 0x6f, 0x6d]))).toBe('windows-1252');
    expect(encodingOf(new Uint8Array())).toBe('utf-8');
  });
});
