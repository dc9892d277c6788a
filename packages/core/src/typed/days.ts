/** Days as they are typed, in the reader's language, day before month (docs/semantics.md, What is typed). */
import { addMonths, toDay, toDayNumber, weekdayOfNumber } from '../calendar/day-number.ts';
import { isRealDay } from '../course/schema/basics.ts';
import { DAY_WORDS, PAIRS } from './day-words.ts';
import type { DayWords } from './day-words.ts';
import { plain } from './plain.ts';
import { notRead, read } from './reading.ts';
import type { Reading, TypedIn } from './reading.ts';

export interface DayContext {
  /** The day it is, in the course's zone. */
  readonly today: string;
  /** A day without a year is the first such day from here on; today, where nothing is said. */
  readonly from?: string | undefined;
  /** The day that stands in the field: "+2w" is counted from it, or else from today. */
  readonly here?: string | null | undefined;
}

type Unit = keyof DayWords['units'];
const UNITS: readonly Unit[] = ['days', 'weeks', 'months', 'years'];
const two = (value: number): string => String(value).padStart(2, '0');

/** The reader's language first, then English, then the others: a word that the first knows is never another's. */
function languages(locale: TypedIn): readonly DayWords[] {
  const rest = (['en', 'es', 'fr', 'ar'] as const).filter((one) => one !== locale);
  return [locale, ...rest].map((one) => DAY_WORDS[one]);
}

/** The place of a name, by the whole of it or a beginning that is nobody else's; from 1. */
function placeOf(names: readonly (readonly string[])[], word: string, shortest: number): number | null {
  const whole = names.findIndex((all) => all.includes(word));
  if (whole >= 0) return whole + 1;
  if (word.length < shortest) return null;
  const found = names.flatMap((all, at) => (all.some((name) => name.startsWith(word)) ? [at + 1] : []));
  return found.length === 1 ? (found[0] as number) : null;
}

function firstOf<Found>(locale: TypedIn, look: (words: DayWords) => Found | null | undefined): Found | null {
  for (const words of languages(locale)) {
    const found = look(words);
    if (found !== null && found !== undefined) return found;
  }
  return null;
}

/** "sept" is "septembre" in the calendars of some, and "septiembre" begins with it too. */
const monthOf = (word: string, locale: TypedIn): number | null =>
  firstOf(locale, ({ months }) => placeOf(months, word, 3));
const weekdayOf = (word: string, locale: TypedIn): number | null =>
  firstOf(locale, ({ weekdays }) => placeOf(weekdays, word, 2));
const unitOf = (word: string, locale: TypedIn): Unit | null =>
  firstOf(locale, ({ units }) => UNITS.find((unit) => units[unit].includes(word)));

function later(day: string, by: number, unit: Unit): string | null {
  const number = toDayNumber(day);
  if (Math.abs(by) > 100_000) return null;
  const months = unit === 'months' ? by : unit === 'years' ? by * 12 : 0;
  const moved = toDay(months === 0 ? number + by * (unit === 'weeks' ? 7 : 1) : addMonths(number, months));
  return isRealDay(moved) ? moved : null;
}

/** "+2w", "-3 days", "in two weeks" with figures. Undefined: it is not of this kind. */
function shifted(said: string, locale: TypedIn, { today, here }: DayContext): string | null | undefined {
  const signed = /^([+-]) ?(\d{1,4}) ?(\p{L}*)$/u.exec(said);
  if (signed !== null) {
    const [, sign, figures, word = ''] = signed as unknown as [string, string, string, string];
    const unit = word === '' ? 'days' : unitOf(word, locale);
    return unit === null ? undefined : later(here ?? today, Number(`${sign}${figures}`), unit);
  }
  const ahead = firstOf(locale, ({ ahead: words }) => words.find((word) => said.startsWith(`${word} `)));
  if (ahead === null) return undefined;
  const rest = said.slice(ahead.length + 1);
  const counted = /^(?:(\d{1,4}) ?)?(\p{L}+)$/u.exec(PAIRS.get(rest) ?? rest);
  const unit = counted === null ? null : unitOf(counted[2] as string, locale);
  return unit === null ? undefined : later(today, Number(counted?.[1] ?? 1), unit);
}

/** "tomorrow", "next Monday", "Monday": the first that comes, which today is not. */
function byName(said: string, locale: TypedIn, today: string): string | null {
  const away = firstOf(locale, ({ days }) => days.get(said));
  if (away !== null) return later(today, away, 'days');
  const bare = firstOf(locale, ({ coming, between }) => {
    const one = [...coming, ...between].reduce(
      (text, word) =>
        text.startsWith(`${word} `)
          ? text.slice(word.length + 1)
          : text.endsWith(` ${word}`)
            ? text.slice(0, -word.length - 1)
            : text,
      said,
    );
    return weekdayOf(one, locale) === null ? null : one;
  });
  const weekday = bare === null ? null : weekdayOf(bare, locale);
  if (weekday === null) return null;
  const number = toDayNumber(today) + 1;
  return toDay(number + ((weekday - weekdayOfNumber(number) + 7) % 7));
}

interface Parts {
  readonly weekday: number | null;
  readonly date: number;
  readonly month: number;
  readonly year: number | null;
}

const fullYear = (figures: string): number => Number(figures) + (figures.length <= 2 ? 2000 : 0);

/** Names of two words made one, ordinals without their ending, and words between left out. */
function tokensOf(said: string, locale: TypedIn): readonly string[] {
  const joined = languages(locale)
    .flatMap(({ months }) => months.flat())
    .filter((name) => name.includes(' '))
    .reduce((text, name) => text.replace(name, name.replace(' ', '_')), said);
  const between = new Set(languages(locale).flatMap((words) => words.between));
  return joined
    .replaceAll(/(\d)(?:st|nd|rd|th|er|re|o|ª|º)(?![\p{L}])/gu, '$1')
    .replaceAll(/(\d)(\p{L})/gu, '$1 $2')
    .replaceAll(/(\p{L})(\d)/gu, '$1 $2')
    .split(/[ ,./-]+/)
    .map((word) => word.replace('_', ' '))
    .filter((word) => word !== '' && !between.has(word));
}

/** Weekday, day, month and year of what names a month, or counts it. */
function partsOf(said: string, locale: TypedIn): Parts | null {
  const iso = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})\.?$/.exec(said);
  if (iso !== null)
    return { weekday: null, year: Number(iso[1]), month: Number(iso[2]), date: Number(iso[3]) };
  const tokens = tokensOf(said, locale);
  const words = tokens.filter((token) => !/^\d+$/.test(token));
  const figures = tokens.filter((token) => /^\d+$/.test(token));
  // One word beside figures is the month, wherever it stands: "May 23" as "23 May".
  const weekdayWord = words.length > 1 && words[0] === tokens[0] ? words[0] : undefined;
  const weekday = weekdayWord === undefined ? null : weekdayOf(weekdayWord, locale);
  if (weekdayWord !== undefined && weekday === null) return null;
  const monthWords = weekdayWord === undefined ? words : words.slice(1);
  if (monthWords.length > 1 || figures.some((figure) => figure.length > 4 || figure.length === 3))
    return null;
  const monthWord = monthWords[0];
  if (monthWord === undefined) {
    const [date, month, year, ...more] = figures;
    if (date === undefined || month === undefined || more.length > 0 || date.length > 2) return null;
    return { weekday, date: Number(date), month: Number(month), year: year ? fullYear(year) : null };
  }
  const month = monthOf(monthWord, locale);
  const [date, year, ...more] = figures;
  if (month === null || date === undefined || date.length > 2 || more.length > 0) return null;
  return { weekday, date: Number(date), month, year: year === undefined ? null : fullYear(year) };
}

const dayOf = (year: number, month: number, date: number): string =>
  `${String(year).padStart(4, '0')}-${two(month)}-${two(date)}`;

/** Without a year: the first from `from` on that exists, and falls on the weekday where one is named. */
function nextOf({ weekday, date, month }: Parts, from: string): string | null {
  const first = Number(from.slice(0, 4));
  const all = Array.from({ length: 9 }, (_, more) => dayOf(first + more, month, date)).filter(
    (day) => isRealDay(day) && day >= from,
  );
  const next = all[0] ?? null;
  if (weekday === null || next === null) return next;
  // A weekday decides between this year's and the next, and is not a way to name a far one.
  return all.slice(0, 2).find((day) => weekdayOfNumber(toDayNumber(day)) === weekday) ?? next;
}

/** @returns an ISO day, null for nothing, or what is expected. */
export function readDay(text: string, locale: TypedIn, context: DayContext): Reading<string | null> {
  const said = plain(text).replace(/^[,.]+|[,]+$/g, '');
  if (said === '') return read(null);
  const moved = shifted(said, locale, context);
  if (moved !== undefined) return moved === null ? notRead({ code: 'day' }) : read(moved);
  const named = byName(said, locale, context.today);
  if (named !== null) return read(named);
  const parts = partsOf(said, locale);
  if (parts === null) return notRead({ code: 'day' });
  const { weekday, year, month, date } = parts;
  // A leap year has every day that there is.
  if (!isRealDay(dayOf(2000, month, date))) return notRead({ code: 'no_such_day' });
  const day = year === null ? nextOf(parts, context.from ?? context.today) : dayOf(year, month, date);
  if (day === null || !isRealDay(day)) return notRead({ code: 'no_such_day' });
  const falls = weekdayOfNumber(toDayNumber(day));
  return weekday === null || weekday === falls
    ? read(day)
    : notRead({ code: 'other_weekday', day, weekday: falls });
}
