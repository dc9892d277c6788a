/**
 * The smallest pieces of the document: ids, days, zones, words, addresses; and reading foreign data with a
 * schema so that every mistake names its place.
 */
import { z } from 'zod';

export const MAX_TITLE = 200;
export const MAX_CODE = 40;
export const MAX_SUMMARY = 500;

/** Ids are made by whoever makes the node: UUIDs in practice, any short token in a hand-written file. */
export const idSchema = z
  .string()
  .regex(/^[A-Za-z0-9_-]{1,64}$/, 'letters, digits, - and _, 1 to 64 of them')
  // Ids are looked up in tables: what every object has would be found there.
  .refine((id) => !(id in Object.prototype), 'an id that is no name of the language, as `constructor` is');

export const textHashSchema = z.string().regex(/^[0-9a-f]{64}$/, 'a SHA-256 hash, 64 lower-case hex digits');

const DAY = /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/;

/** True for a day that exists: 29 February only in leap years. */
export function isRealDay(day: string): boolean {
  if (!DAY.test(day)) return false;
  const [year, month, date] = day.split('-').map(Number) as [number, number, number];
  const leap = (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;
  const lengths = [31, leap ? 29 : 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
  // Two centuries around us: every walk over days is bounded, and every zone has rules there.
  return year >= 1900 && year <= 2200 && date <= (lengths[month - 1] ?? 0);
}

export const daySchema = z.string().refine(isRealDay, 'a day that exists, written YYYY-MM-DD');

/** True for an IANA zone name that this runtime knows. Reads the runtime's zone table, never its own zone. */
export function isZone(zone: string): boolean {
  if (!/^[A-Za-z][A-Za-z0-9_+\-/]{0,63}$/.test(zone)) return false;
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}

export const zoneSchema = z.string().refine(isZone, 'an IANA zone name such as Europe/Lisbon');

// Half a surrogate pair, or a NUL: strings that neither a file in UTF-8 nor a database can hold.
const UNSTORABLE = /[\0\p{Surrogate}]/u;

/** A string that can be stored and read back as it is. */
export const storableSchema = z
  .string()
  .refine((text) => !UNSTORABLE.test(text), 'text without NUL and without halves of characters');

export const titleSchema = storableSchema.trim().min(1).max(MAX_TITLE);

/** Another course, by id, with the title that it had when it was chosen. */
export const namedCourseSchema = z.strictObject({ course: idSchema, title: titleSchema });

/** Letters and digits in runs joined by single - . or _ : it must survive an address and a file name. */
export const codeSchema = z
  .string()
  .trim()
  .max(MAX_CODE)
  .regex(/^[A-Za-z0-9]+([-._][A-Za-z0-9]+)*$/, 'letters and digits, joined by single - . or _');

export const MAX_OUTCOME = 300;
export const MAX_TAG = 40;
export const MAX_TAGS = 30;
export const tagSchema = storableSchema.trim().min(1).max(MAX_TAG);

/** Only addresses that cannot run script: http, https, mailto, tel. */
export const addressSchema = storableSchema
  .trim()
  .max(2000)
  .regex(
    /^(https?:\/\/[^\s/?#]+\S*|mailto:\S+@\S+|tel:[+\d][\d\s-]*)$/i,
    'an address that starts with https://',
  );

/** A time of day, to the minute. */
export const timeSchema = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'a time of day, written HH:MM');

/** ISO weekdays, Monday first. */
export const WEEKDAYS = [1, 2, 3, 4, 5, 6, 7] as const;

export const weekdaySchema = z.int().min(1).max(7);

/** Some weekdays, each once, in the order of the week. */
export const weekdaysSchema = z
  .array(weekdaySchema)
  .min(1, 'at least one weekday')
  .max(7)
  .transform((days) => [...new Set(days)].sort((a, b) => a - b));

/** Whole minutes: a day at most for a meeting, a week of nights for the longest of tasks. */
export const MAX_MINUTES = 10_000;
export const minutesSchema = z.int().min(0).max(MAX_MINUTES);

/** A line or two of plain words. */
export const summarySchema = storableSchema.trim().min(1).max(MAX_SUMMARY);

/** Where words turn round, which lets `exe` read as if it stood elsewhere; and what ends a line or is not seen. */
const UNSEEN = /[\p{Cc}\u061c\u200b\u200e\u200f\u2028\u2029\u202a-\u202e\u2060-\u2069\ufeff]/u;

/** The name of a file, and of nothing above it. */
export const fileNameSchema = storableSchema
  .trim()
  .min(1)
  .max(200)
  .refine(
    (name) => !/[/\\]/.test(name) && !/^\.+$/.test(name),
    'a name without / and \\, and not of dots alone',
  )
  .refine(
    (name) => !UNSEEN.test(name),
    'a name without line ends, turned directions and letters that are not seen',
  );

export const placeSchema = storableSchema.trim().min(1).max(200);

/** One thing wrong with foreign data: where, what stands there, and what was expected. */
export interface Mistake {
  readonly path: string;
  readonly value: unknown;
  readonly expected: string;
}

export type Parsed<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly mistakes: readonly Mistake[] };

type Path = readonly PropertyKey[];
type Issue = z.core.$ZodIssue;

/** Reads `data` with a schema; every mistake names its path and the value found there. */
export function parseWith<T>(schema: z.ZodType<T>, data: unknown): Parsed<T> {
  const result = schema.safeParse(data);
  if (result.success) return { ok: true, value: result.data };
  return { ok: false, mistakes: result.error.issues.flatMap((issue) => mistakesOf(data, issue)) };
}

const NO_FIELD = 'nothing, since there is no such field';

function mistakesOf(data: unknown, issue: Issue, above: Path = []): readonly Mistake[] {
  const path = [...above, ...issue.path];
  if (issue.code === 'unrecognized_keys') {
    return issue.keys.map((key) => mistakeAt(data, [...path, key], NO_FIELD));
  }
  const [nearest, ...others] = issue.code === 'invalid_union' ? nearestOf(issue.errors) : [];
  if (nearest === undefined) return [mistakeAt(data, path, issue.message)];
  if (others.length === 0) return nearest.flatMap((inner) => mistakesOf(data, inner, path));
  const expected = [nearest, ...others].map(([first]) => first?.message ?? '');
  return [mistakeAt(data, path, [...new Set(expected)].join(', or '))];
}

/** Of the ways in which something could have been right, those that it misses by least. */
function nearestOf(ways: readonly (readonly Issue[])[]): readonly (readonly Issue[])[] {
  const least = Math.min(...ways.map((issues) => issues.length));
  return ways.filter((issues) => issues.length === least);
}

function mistakeAt(data: unknown, path: Path, expected: string): Mistake {
  return { path: path.map(String).join('.'), value: valueAt(data, path), expected };
}

function valueAt(data: unknown, path: Path): unknown {
  let here: unknown = data;
  for (const key of path) {
    if (here === null || typeof here !== 'object') return undefined;
    here = Object.hasOwn(here, key) ? (here as Record<PropertyKey, unknown>)[key] : undefined;
  }
  return here;
}

const mostByTable = z.registry<{ most: number }>();

/** A table of entries, each under its id; `mostOf` tells how many there can be. */
export function tableSchema<T>(
  entry: z.ZodType<T>,
  most: number,
  first: Record<string, T> = {},
): z.ZodDefault<z.ZodType<Record<string, T>>> {
  const table: z.ZodType<Record<string, T>> = z
    .record(idSchema, entry)
    .refine((all) => Object.keys(all).length <= most, `at most ${most}`);
  return table.register(mostByTable, { most }).default(first as never);
}

export function mostOf(table: ReturnType<typeof tableSchema>): number {
  return (mostByTable.get(table.unwrap()) as { most: number }).most;
}
