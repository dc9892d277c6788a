/**
 * The fields that `set` may name, each with the schema its value must satisfy. A table of entries (pauses,
 * outcomes, …) is set entry by entry, under its id: `dates.pauses.<id>`, and null takes the entry away, so
 * that two people who add two pauses never meet.
 */
import { z } from 'zod';
import { idSchema, mostOf } from '../schema/basics.ts';
import { meetingChangeSchema, patternSchema, pauseSchema } from '../schema/dates-schema.ts';
import { ITEM_SHAPES } from '../schema/items-schema.ts';
import { exceptionSchema, groupingSchema, groupSchema } from '../schema/access-schema.ts';
import { wayInSchema } from '../schema/joining-schema.ts';
import { panelSchema } from '../schema/home-schema.ts';
import { menuEntrySchema } from '../schema/menu-schema.ts';
import { announcementSchema, contactSchema } from '../schema/messages-schema.ts';
import { courseSchema, heldBackSchema, outcomeSchema, sectionSchema } from '../schema/schema.ts';
import type { Course, CourseNode } from '../schema/schema.ts';
import { lookSchema } from '../schema/look-schema.ts';
import { roleNameSchema } from '../schema/words-schema.ts';
import type { FieldValue } from './edits.ts';

type FieldTable = Readonly<Record<string, z.ZodType>>;

const course = courseSchema.shape;
const dates = course.dates.shape;

/** What may be set as a whole: all but the node's identity, its state of removal and what it holds. */
function plain(shape: FieldTable): FieldTable {
  const { id: _id, kind: _kind, removed: _removed, items: _items, ...rest } = shape;
  void [_id, _kind, _removed, _items];
  return rest;
}

const { pauses: _pauses, patterns: _patterns, changes: _changes, ...plainDates } = dates;
void [_pauses, _patterns, _changes];
const {
  dates: _dates,
  sections: _sections,
  outcomes: _outcomes,
  groups: _groups,
  groupings: _groupings,
  ways: _ways,
  exceptions: _exceptions,
  heldBack: _heldBack,
  menu: _menu,
  areas: _areas,
  panels: _panels,
  announcements: _announcements,
  contacts: _contacts,
  roleNames: _roleNames,
  look: _look,
  ...plainCourse
} = course;
void [_dates, _sections, _outcomes, _groups, _groupings, _ways, _exceptions, _heldBack];
void [_menu, _areas, _panels, _announcements, _contacts, _roleNames, _look];

/** Fields of a field: each is set by itself, as `dates.weeks`. */
const within = (holder: string, shape: FieldTable): FieldTable =>
  Object.fromEntries(Object.entries(shape).map(([name, schema]) => [`${holder}.${name}`, schema]));

const COURSE_FIELDS: FieldTable = {
  ...plain(plainCourse),
  ...within('dates', plainDates),
  ...within('look', lookSchema.shape),
};

/** Tables of entries, by the field before the id. */
const COURSE_ENTRIES: FieldTable = {
  'dates.pauses': pauseSchema,
  'dates.patterns': patternSchema,
  'dates.changes': meetingChangeSchema,
  outcomes: outcomeSchema,
  groups: groupSchema,
  groupings: groupingSchema,
  ways: wayInSchema,
  exceptions: exceptionSchema,
  heldBack: heldBackSchema,
  menu: menuEntrySchema,
  areas: z.literal('off'),
  panels: panelSchema,
  announcements: announcementSchema,
  contacts: contactSchema,
  roleNames: roleNameSchema,
};

const BY_KIND = Object.fromEntries(
  Object.entries({ section: sectionSchema.shape, ...ITEM_SHAPES }).map(([kind, shape]) => [
    kind,
    plain(shape),
  ]),
) as Readonly<Record<CourseNode['kind'], FieldTable>>;

/** The fields that hold the hash of a long text. */
export const TEXT_FIELDS: ReadonlySet<string> = new Set(['description', 'introduction', 'text']);

/** The tables of entries that have a long text: its hash is their `text`. */
const TEXT_ENTRIES: ReadonlySet<string> = new Set(['panels', 'announcements']);

/** The value of a field with the hash of its long text replaced; the same where it holds none. */
export function mapTextHash(field: string, value: FieldValue, replace: (hash: string) => string): FieldValue {
  if (TEXT_FIELDS.has(field)) return typeof value === 'string' ? replace(value) : value;
  if (value === null || typeof value !== 'object') return value;
  const table = field.slice(0, field.lastIndexOf('.'));
  if (table === 'heldBack') return withinNode(value, replace);
  if (!('text' in value)) return value;
  const { text } = value;
  return TEXT_ENTRIES.has(table) && typeof text === 'string' ? { ...value, text: replace(text) } : value;
}

/** What is held comes with all that stands in it. */
function withinNode(value: FieldValue, replace: (hash: string) => string): FieldValue {
  if (Array.isArray(value)) return value.map((one: FieldValue) => withinNode(one, replace));
  if (value === null || typeof value !== 'object') return value;
  const inner = Object.entries(value).map(([key, one]: [string, FieldValue]): [string, FieldValue] => {
    if (key === 'text') return [key, typeof one === 'string' ? replace(one) : one];
    return [key, ['node', 'items'].includes(key) ? withinNode(one, replace) : one];
  });
  return Object.fromEntries(inner);
}

export function courseFields(): readonly string[] {
  return Object.keys(COURSE_FIELDS);
}

/** The tables of the course that are set entry by entry. */
export function courseEntries(): readonly string[] {
  return Object.keys(COURSE_ENTRIES);
}

export function nodeFields(kind: CourseNode['kind']): readonly string[] {
  return Object.keys(BY_KIND[kind]);
}

/** The table that a field is an entry of, with room for how many; null for a plain field. */
export function roomOf(field: string): { readonly table: string; readonly most: number } | null {
  const table = entryTable(field);
  if (table === null) return null;
  const schema = table.startsWith('dates.')
    ? dates[table.slice('dates.'.length) as 'pauses']
    : course[table as 'menu'];
  return { table, most: mostOf(schema) };
}

/** The table that a field is an entry of, or null for a plain field. */
function entryTable(field: string): string | null {
  const at = field.lastIndexOf('.');
  const table = field.slice(0, at);
  const isEntry = Object.hasOwn(COURSE_ENTRIES, table) && idSchema.safeParse(field.slice(at + 1)).success;
  return isEntry ? table : null;
}

/** The schema of a field of the course (`kind` null) or of a node, or null when there is no such field. */
export function fieldSchema(kind: CourseNode['kind'] | null, field: string): z.ZodType | null {
  const table = kind === null ? COURSE_FIELDS : BY_KIND[kind];
  if (Object.hasOwn(table, field)) return table[field] ?? null;
  const entries = kind === null ? entryTable(field) : null;
  return entries === null ? null : z.nullable(COURSE_ENTRIES[entries] as z.ZodType);
}

/** What a field holds; an entry that is not there is null. */
export function readField(holder: Course | CourseNode, field: string): FieldValue {
  let here: unknown = holder;
  for (const part of field.split('.')) {
    const inside = here as Record<string, unknown>;
    here = Object.hasOwn(inside, part) ? inside[part] : null;
  }
  return here as FieldValue;
}

/** A copy of the holder with one field replaced. The field must exist: `fieldSchema` says so. */
export function writeField<T extends Course | CourseNode>(holder: T, field: string, value: FieldValue): T {
  const isEntry = entryTable(field) !== null;
  return write(holder as Record<string, unknown>, field.split('.'), value, isEntry && value === null) as T;
}

function write(
  holder: Readonly<Record<string, unknown>>,
  [head, ...tail]: readonly string[],
  value: FieldValue,
  drops: boolean,
): Record<string, unknown> {
  const name = head as string;
  if (tail.length > 0) {
    return { ...holder, [name]: write(holder[name] as Record<string, unknown>, tail, value, drops) };
  }
  if (!drops) return { ...holder, [name]: value };
  const { [name]: _gone, ...rest } = holder;
  void _gone;
  return rest;
}
