/**
 * The course document: one immutable value that holds a course's whole plan.
 *
 * Days are ISO `YYYY-MM-DD` in the course's zone, weekdays ISO 1–7 (Monday = 1), texts are SHA-256 hashes
 * (hex) of HTML that loads apart. Only `parseCourse` makes a `Course` from foreign data; past it nothing
 * checks shapes again.
 */
import { z } from 'zod';

/** The largest number of weeks a course may have: two years, so that no loop over weeks is unbounded. */
export const MAX_WEEKS = 104;
/** Enough for a section a day over half a year; a bound for every walk over the outline. */
export const MAX_SECTIONS = 200;
export const MAX_ITEMS_PER_SECTION = 500;
/** Tombstones count here alone: years of adding and removing must not fill a course up. */
const TOMBSTONES_FACTOR = 20;
export const MAX_TITLE = 200;
export const MAX_CODE = 40;

/** Ids are made by whoever makes the node: UUIDs in practice, any short token in a hand-written file. */
export const idSchema = z
  .string()
  .regex(/^[A-Za-z0-9_-]{1,64}$/, 'letters, digits, - and _, 1 to 64 of them');

export const textHashSchema = z.string().regex(/^[0-9a-f]{64}$/, 'a SHA-256 hash, 64 lower-case hex digits');

const DAY = /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/;

/** True for a day that exists: 29 February only in leap years. */
export function isRealDay(day: string): boolean {
  if (!DAY.test(day)) return false;
  const [year, month, date] = day.split('-').map(Number) as [number, number, number];
  const leap = (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;
  const lengths = [31, leap ? 29 : 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
  return year >= 1900 && date <= (lengths[month - 1] ?? 0);
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

/** Letters and digits in runs joined by single - . or _ : it must survive an address and a file name. */
export const codeSchema = z
  .string()
  .trim()
  .max(MAX_CODE)
  .regex(/^[A-Za-z0-9]+([-._][A-Za-z0-9]+)*$/, 'letters and digits, joined by single - . or _');

export const tagSchema = storableSchema.trim().min(1).max(40);

/** Only addresses that cannot run script: http, https, mailto, tel. */
export const addressSchema = storableSchema
  .trim()
  .max(2000)
  .regex(
    /^(https?:\/\/[^\s/?#]+\S*|mailto:\S+@\S+|tel:[+\d][\d\s-]*)$/i,
    'an address that starts with https://',
  );

export const purposeSchema = z.enum(['learners', 'practice', 'circle']);
export type Purpose = z.infer<typeof purposeSchema>;

export const courseStateSchema = z.enum(['draft', 'live', 'archived']);
export type CourseState = z.infer<typeof courseStateSchema>;

export const weekdaySchema = z.int().min(1).max(7);

const datesSchema = z.strictObject({
  /** How the course is paced. More formats join this list as the calendar engine learns them. */
  format: z.enum(['weeks']),
  firstDay: daySchema.nullable(),
  weeks: z.int().min(1).max(MAX_WEEKS),
  zone: zoneSchema,
  /** The weekday on which a teaching week begins. */
  weekStart: weekdaySchema,
});

const nodeBase = {
  id: idSchema,
  /** False: learners never get it, and it takes no number. */
  shown: z.boolean(),
  /** A tombstone: the node and all below it are out of sight, and keep their place. */
  removed: z.boolean().default(false),
};

export const pageSchema = z.strictObject({
  ...nodeBase,
  kind: z.literal('page'),
  title: titleSchema,
  text: textHashSchema.nullable(),
  /** Expected time, in whole minutes. */
  minutes: z.int().min(0).max(10_000).nullable(),
});

export const linkSchema = z.strictObject({
  ...nodeBase,
  kind: z.literal('link'),
  title: titleSchema,
  address: addressSchema.nullable(),
  minutes: z.int().min(0).max(10_000).nullable(),
});

export const itemSchema = z.discriminatedUnion('kind', [pageSchema, linkSchema]);

export const sectionSchema = z.strictObject({
  ...nodeBase,
  kind: z.literal('section'),
  /** Null: the title follows the section's dates. */
  title: titleSchema.nullable(),
  /** True: stands outside the calendar (an opening unit, resources): no days and no number. */
  outside: z.boolean(),
  items: z.array(itemSchema).max(MAX_ITEMS_PER_SECTION * TOMBSTONES_FACTOR),
});

export const courseSchema = z.strictObject({
  id: idSchema,
  title: titleSchema,
  code: codeSchema,
  purpose: purposeSchema,
  state: courseStateSchema,
  /** Codes of the institution's department and term. */
  department: storableSchema.max(40).nullable(),
  term: storableSchema.max(40).nullable(),
  description: textHashSchema.nullable(),
  tags: z.array(tagSchema).max(30),
  dates: datesSchema,
  sections: z.array(sectionSchema).max(MAX_SECTIONS * TOMBSTONES_FACTOR),
});

export type Dates = z.infer<typeof datesSchema>;
export type Page = z.infer<typeof pageSchema>;
export type Link = z.infer<typeof linkSchema>;
export type Item = z.infer<typeof itemSchema>;
export type Section = z.infer<typeof sectionSchema>;
export type Course = z.infer<typeof courseSchema>;
export type CourseNode = Section | Item;
export type ItemKind = Item['kind'];

/** One thing wrong with foreign data: where, what stands there, and what was expected. */
export interface Mistake {
  readonly path: string;
  readonly value: unknown;
  readonly expected: string;
}

export type Parsed<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly mistakes: readonly Mistake[] };

/** Reads `data` with a schema; every mistake names its path and the value found there. */
export function parseWith<T>(schema: z.ZodType<T>, data: unknown): Parsed<T> {
  const result = schema.safeParse(data);
  if (result.success) return { ok: true, value: result.data };
  return {
    ok: false,
    mistakes: result.error.issues.map((issue) => ({
      path: issue.path.map(String).join('.'),
      value: valueAt(data, issue.path),
      expected: issue.message,
    })),
  };
}

function valueAt(data: unknown, path: readonly PropertyKey[]): unknown {
  let here: unknown = data;
  for (const key of path) {
    if (here === null || typeof here !== 'object') return undefined;
    here = (here as Record<PropertyKey, unknown>)[key];
  }
  return here;
}

/** The only way from foreign data to a `Course`: shapes, bounds, and every id used once. */
export function parseCourse(data: unknown): Parsed<Course> {
  const parsed = parseWith(courseSchema, data);
  if (!parsed.ok) return parsed;
  const seen = new Set<string>([parsed.value.id]);
  const mistakes: Mistake[] = [];
  parsed.value.sections.forEach((section, at) => {
    const claim = (id: string, path: string): void => {
      if (seen.has(id))
        mistakes.push({ path, value: id, expected: 'an id that nothing else in the course has' });
      seen.add(id);
    };
    claim(section.id, `sections.${at}.id`);
    section.items.forEach((item, index) => claim(item.id, `sections.${at}.items.${index}.id`));
  });
  return mistakes.length > 0 ? { ok: false, mistakes } : parsed;
}
