/** What is handed in, as tables: by when, of which kind, how much, and the words of its receipt. */
import { describe, expect, test } from '@jest/globals';
import {
  fileFault,
  fileGroupOf,
  handInFault,
  handInWindow,
  largestFile,
  NOTHING_HANDED,
  punctualAt,
  receiptWords,
  scoreOf,
  USUAL_TAKES,
} from '../../src/index.ts';
import type { HandedFile, HandedIn, ReceiptFacts, Resolved, Takes } from '../../src/index.ts';

const T = Date.parse('2027-03-05T12:00:00Z');
const MINUTE = 60_000;
const minute = (minutes: number): Resolved =>
  ({
    kind: 'at',
    day: '2027-03-05',
    time: '12:00',
    instant: T + minutes * MINUTE,
    weekday: 5,
    outside: false,
  }) as unknown as Resolved;
/** A day, as its end: the first instant after it. */
const day = (instant: number): Resolved => ({ ...minute(0), time: null, instant }) as unknown as Resolved;
const undated = { kind: 'undated', because: 'no_first_day' } as unknown as Resolved;

describe('by when', () => {
  const at = (moments: { due?: Resolved; late?: Resolved }, grace: number, ms: number): string =>
    punctualAt(handInWindow(moments, grace), T + ms);

  test.each([
    ['nothing is planned', {}, 0, 9e9, 'on_time'],
    ['the due instant', { due: minute(0) }, 0, 0, 'on_time'],
    ['the last millisecond of the due minute', { due: minute(0) }, 0, MINUTE - 1, 'on_time'],
    ['the minute is over', { due: minute(0) }, 0, MINUTE, 'over'],
    ['within the grace', { due: minute(0) }, 5, 6 * MINUTE - 1, 'on_time'],
    ['the grace is over', { due: minute(0) }, 5, 6 * MINUTE, 'over'],
    ['late, from the end of the minute', { due: minute(0), late: minute(60) }, 0, MINUTE, 'late'],
    ['late, from the end of the grace', { due: minute(0), late: minute(60) }, 5, 6 * MINUTE, 'late'],
    ['still on time within the grace', { due: minute(0), late: minute(60) }, 5, 6 * MINUTE - 1, 'on_time'],
    [
      'the last millisecond of the late minute',
      { due: minute(0), late: minute(60) },
      0,
      61 * MINUTE - 1,
      'late',
    ],
    ['the late minute is over', { due: minute(0), late: minute(60) }, 0, 61 * MINUTE, 'over'],
    ['a late end before the due moment', { due: minute(0), late: minute(-60) }, 0, MINUTE - 1, 'on_time'],
    ['a late end before the due moment is none', { due: minute(0), late: minute(-60) }, 0, MINUTE, 'over'],
    [
      'the grace wins over an earlier late end',
      { due: minute(0), late: minute(2) },
      10,
      10 * MINUTE,
      'on_time',
    ],
    ['and is over with itself', { due: minute(0), late: minute(2) }, 10, 11 * MINUTE, 'over'],
    ['a late end without a due moment is the end', { late: minute(0) }, 0, MINUTE - 1, 'on_time'],
    ['and nothing is late before it', { late: minute(0) }, 30, MINUTE, 'over'],
    ['a day counts as that day', { due: day(T) }, 0, -1, 'on_time'],
    ['and is over with it', { due: day(T) }, 0, 0, 'over'],
    ['an undated due moment is none', { due: undated }, 5, 9e9, 'on_time'],
    ['an undated late end is none', { due: minute(0), late: undated }, 0, MINUTE, 'over'],
  ] as const)('%s', (_, moments, grace, ms, wanted) => {
    expect(at(moments, grace, ms)).toBe(wanted);
  });

  test('nobody is told of the grace', () => {
    expect(handInWindow({ due: minute(0) }, 30).due).toBe(T + MINUTE);
  });
});

test.each([
  ['image/png', 'picture'],
  ['image/svg+xml', 'picture'],
  ['audio/mpeg', 'sound'],
  ['video/mp4', 'film'],
  ['text/csv', 'table'],
  ['application/vnd.openxmlformats-officedocument.spreadsheetml.sheet', 'table'],
  ['application/vnd.oasis.opendocument.spreadsheet', 'table'],
  ['application/vnd.ms-excel', 'table'],
  ['application/vnd.openxmlformats-officedocument.presentationml.presentation', 'slides'],
  ['application/vnd.oasis.opendocument.presentation', 'slides'],
  ['application/vnd.ms-powerpoint', 'slides'],
  ['application/pdf', 'document'],
  ['text/plain', 'document'],
  ['text/markdown', 'document'],
  ['application/rtf', 'document'],
  ['application/msword', 'document'],
  ['application/vnd.openxmlformats-officedocument.wordprocessingml.document', 'document'],
  ['application/vnd.oasis.opendocument.text', 'document'],
  ['application/zip', 'archive'],
  ['application/x-7z-compressed', 'archive'],
  ['application/octet-stream', null],
])('%s is %s', (type, group) => expect(fileGroupOf(type)).toBe(group));

const file = (name: string, type = 'application/pdf'): HandedFile => ({
  hash: 'a'.repeat(64),
  name,
  size: 9,
  type,
});

describe('what is taken', () => {
  const all: Takes = { text: true, address: true, files: 2, kinds: [] };
  const fault = (
    takes: Partial<Takes>,
    what: Partial<HandedIn>,
    before = 0,
    tries: number | null = null,
  ): unknown =>
    handInFault({ takes: { ...all, ...takes }, tries }, { ...NOTHING_HANDED, ...what }, before)?.code ?? null;

  test.each([
    ['a text', {}, { text: 'Mud' }, null],
    ['an address', {}, { address: 'https://a.example' }, null],
    ['a file', {}, { files: [file('a.pdf')] }, null],
    ['nothing', {}, {}, 'empty'],
    ['nothing but space', {}, { text: ' \n\t\u00a0', address: '  ' }, 'empty'],
    ['a text where none is', { text: false }, { text: 'Mud' }, 'no_text'],
    ['space where no text is, beside a file', { text: false }, { text: ' ', files: [file('a')] }, null],
    ['an address where none is', { address: false }, { address: 'https://a.example' }, 'no_address'],
    ['more files than are', {}, { files: [file('a'), file('b'), file('c')] }, 'too_many'],
    ['a file where none is', { files: 0 }, { files: [file('a')] }, 'too_many'],
    ['a kind that is', { kinds: ['document'] }, { files: [file('a')] }, null],
    ['a kind that is not', { kinds: ['picture'] }, { files: [file('a')] }, 'wrong_kind'],
    [
      'a type without a name',
      { kinds: ['document'] },
      { files: [file('a', 'application/x-odd')] },
      'wrong_kind',
    ],
  ] as const)('%s: %s', (_, takes, what, wanted) => {
    expect(fault(takes as Partial<Takes>, what as Partial<HandedIn>)).toBe(wanted);
  });

  test('as often as it may be', () => {
    expect([0, 1, 2, 3].map((before) => fault({}, { text: 'x' }, before, 2))).toEqual([
      null,
      null,
      'no_tries',
      'no_tries',
    ]);
    expect([fault({}, { text: 'x' }, 99), fault({}, { text: 'x' }, 100)]).toEqual([null, 'no_tries']);
  });

  test('a single file, as it comes', () => {
    expect(fileFault({ takes: USUAL_TAKES }, file('a', 'application/x-odd'))).toBeNull();
    expect(fileFault({ takes: { ...USUAL_TAKES, kinds: ['sound'] } }, file('a.pdf'))).toEqual({
      code: 'wrong_kind',
      name: 'a.pdf',
    });
  });
});

test('a receipt says the same of the same, and something else of anything else', () => {
  const facts: ReceiptFacts = {
    course: 'c',
    item: 'i',
    person: 'p',
    attempt: 1,
    at: '2027-03-05T12:00:00.000Z',
    text: 'Mud',
    address: '',
    files: [file('a.pdf')],
  };
  expect(receiptWords({ ...facts, files: [{ ...file('a.pdf') }] })).toBe(receiptWords(facts));
  const others: readonly Partial<ReceiptFacts>[] = [
    { course: 'd' },
    { item: 'j' },
    { person: 'q' },
    { attempt: 2 },
    { at: '2027-03-05T12:00:00.001Z' },
    { text: 'Mud ' },
    { address: 'Mud', text: '' },
    { files: [] },
    { files: [file('b.pdf')] },
    { files: [{ ...file('a.pdf'), hash: 'b'.repeat(64) }] },
    { files: [{ ...file('a.pdf'), size: 8 }] },
  ];
  const words = [facts, ...others.map((one) => ({ ...facts, ...one }))].map(receiptWords);
  expect(new Set(words).size).toBe(words.length);
});

test.each([
  [200, null, null, 200, 'institution'],
  [200, 50, null, 50, 'course'],
  [200, 500, null, 200, 'institution'],
  [200, 50, 10, 10, 'item'],
  [200, 50, 100, 50, 'course'],
  [200, null, 300, 200, 'institution'],
  [200, 200, 200, 200, 'institution'],
] as const)(
  'of %s, %s and %s MB the smallest is %s, and holds it there: %s',
  (institution, course, item, megabytes, by) => {
    expect(largestFile(institution, course, item)).toEqual({ megabytes, by });
  },
);

test('points as percent of what can be reached', () => {
  expect([scoreOf(5, 20), scoreOf(20, 20), scoreOf(0, 20), scoreOf(30, 20)]).toEqual([25, 100, 0, 100]);
  expect([scoreOf(5, null), scoreOf(5, 0)]).toEqual([null, null]);
});
