/** What is typed becomes what is meant, or a sentence; and what is shown is read as what it shows. */
import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  addDays,
  readColour,
  readDay,
  readDuration,
  readMoment,
  readNumber,
  readTime,
  TYPED_IN,
  writeNumber,
} from '../../src/index.ts';
import type { Reading } from '../../src/index.ts';
import { runs } from '../support/runs.ts';
import { CASES, MINUTES, PARTS, TODAY, WHOLE } from './cases.ts';
import type { Kind } from './cases.ts';
import type { TypedIn } from '../../src/index.ts';

const context = { today: TODAY };
const READ: Readonly<Record<Kind, (text: string, locale: TypedIn) => Reading<unknown>>> = {
  whole: (text, locale) => readNumber(text, WHOLE, locale),
  number: (text, locale) => readNumber(text, PARTS, locale),
  duration: (text, locale) => readDuration(text, MINUTES, locale),
  day: (text, locale) => readDay(text, locale, context),
  time: (text) => readTime(text),
  moment: (text, locale) => {
    const got = readMoment(text, locale, context);
    if (!got.ok || got.value === null) return got;
    const { day, time } = got.value;
    return { ok: true, value: time === null ? day : `${day} ${time}` };
  },
  colour: (text) => readColour(text),
};

test('there are two hundred of them at least, of each kind and language', () => {
  expect(CASES.length).toBeGreaterThanOrEqual(200);
  expect(new Set(CASES.map(([kind]) => kind)).size).toBe(Object.keys(READ).length);
});

test.each(CASES)('%s, %s: "%s"', (kind, locale, typed, expected) => {
  const got = READ[kind](typed, locale);
  const came = got.ok ? got.value : { wrong: got.expected.code };
  expect(came).toEqual(expected);
});

const locales = fc.constantFrom(...TYPED_IN);
const anyDay = fc.integer({ min: -20_000, max: 60_000 }).map((away) => addDays('1970-01-01', away));

test('a day written as figures is that day, whatever day it is and in whatever language', () => {
  fc.assert(
    fc.property(anyDay, anyDay, locales, (day, today, locale) => {
      const [year, month, date] = day.split('-') as [string, string, string];
      for (const text of [day, `${date}.${month}.${year}`, `${Number(date)}/${Number(month)}/${year}`])
        expect(readDay(text, locale, { today })).toEqual({ ok: true, value: day });
    }),
    { numRuns: runs(2000), seed: 20270216 },
  );
});

test('a day without a year is the first on or after the day it is counted from', () => {
  fc.assert(
    fc.property(anyDay, anyDay, locales, (day, from, locale) => {
      const got = readDay(`${day.slice(8)}.${day.slice(5, 7)}.`, locale, { today: from, from });
      expect(got.ok && got.value !== null && got.value >= from && got.value.slice(5) === day.slice(5)).toBe(
        true,
      );
      if (!got.ok || day.slice(5) === '02-29') return;
      expect((got.value as string) < addDays(from, 367)).toBe(true);
    }),
    { numRuns: runs(2000), seed: 20270217 },
  );
});

test('numbers are read as they are written', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 400 }), locales, (eighths, locale) => {
      const number = eighths / 8;
      expect(readNumber(writeNumber(number, locale), PARTS, locale)).toEqual({ ok: true, value: number });
    }),
    { numRuns: runs(2000), seed: 20270218 },
  );
});

test('whatever is typed, something is said of it, and a value is one that can be kept', () => {
  const letters = fc.oneof(
    fc.string({ unit: fc.constantFrom(...'0123456789:.,/+-hdwm mayoénei٥م ½'), maxLength: 12 }),
    fc.string(),
  );
  fc.assert(
    fc.property(letters, locales, (text, locale) => {
      const day = readDay(text, locale, context);
      if (day.ok && day.value !== null) expect(day.value).toMatch(/^\d{4}-\d{2}-\d{2}$/);
      const time = readTime(text);
      if (time.ok && time.value !== null) expect(time.value).toMatch(/^([01]\d|2[0-3]):[0-5]\d$/);
      const minutes = readDuration(text, MINUTES, locale);
      if (minutes.ok && minutes.value !== null)
        expect(Number.isInteger(minutes.value) && minutes.value >= 0 && minutes.value <= 10_000).toBe(true);
    }),
    { numRuns: runs(8000), seed: 20270219 },
  );
});
