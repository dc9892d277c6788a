/**
 * The fields that `set` may name, each with the schema its value must satisfy. A table of entries (pauses,
 * outcomes, …) is set entry by entry, under its id: `dates.pauses.<id>`, and null takes the entry away, so
 * that two people who add two pauses never meet.
 */
import { z } from 'zod';
import { idSchema, mostOf } from '../schema/basics.ts';
import { meetingChangeSchema, patternSchema, pauseSchema } from '../schema/dates-schema.ts';
import { ITEM_SHAPES, quizSchema, surveySchema } from '../schema/items-schema.ts';
import { poolSchema, questionSchema } from '../schema/coursework/quiz-schema.ts';
import { askSchema } from '../schema/coursework/survey-schema.ts';
import { exceptionSchema, groupingSchema, groupSchema } from '../schema/access-schema.ts';
import { wayInSchema } from '../schema/joining-schema.ts';
import { panelSchema } from '../schema/home-schema.ts';
import { menuEntrySchema } from '../schema/menu-schema.ts';
import { announcementSchema, contactSchema } from '../schema/messages-schema.ts';
import { courseSchema, heldBackSchema, outcomeSchema, sectionSchema } from '../schema/schema.ts';
import type { Course, CourseNode } from '../schema/schema.ts';
import { lookSchema } from '../schema/look-schema.ts';
import { doneRuleSchema } from '../schema/progress-schema.ts';
import { roleNameSchema } from '../schema/words-schema.ts';
import type { FieldValue } from './edits.ts';

type FieldTable = Readonly<Record<string, z.ZodType>>;

const course = courseSchema.shape;
const dates = course.dates.shape;

/** Tables of entries that a kind of node has. */
const NODE_ENTRIES: Readonly<Partial<Record<CourseNode['kind'], FieldTable>>> = {
  quiz: { questions: questionSchema, pools: poolSchema },
  survey: { asks: askSchema },
};
const nodeTables = (kind: CourseNode['kind']): FieldTable => NODE_ENTRIES[kind] ?? {};

/** What may be set as a whole: all but the node's identity, its state of removal and what it holds. */
function plain(shape: FieldTable, tables: FieldTable = {}): FieldTable {
  const apart = ['id', 'kind', 'removed', 'items', ...Object.keys(tables)];
  return Object.fromEntries(Object.entries(shape).filter(([name]) => !apart.includes(name)));
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
  usualDone: _usualDone,
  look: _look,
  ...plainCourse
} = course;
void [_dates, _sections, _outcomes, _groups, _groupings, _ways, _exceptions, _heldBack];
void [_menu, _areas, _panels, _announcements, _contacts, _roleNames, _look, _usualDone];

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
  usualDone: doneRuleSchema,
};

const BY_KIND = Object.fromEntries(
  Object.entries({ section: sectionSchema.shape, ...ITEM_SHAPES }).map(([kind, shape]) => [
    kind,
    plain(shape, nodeTables(kind as CourseNode['kind'])),
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

/** The tables of a node that are set entry by entry. */
export function nodeEntries(kind: CourseNode['kind']): readonly string[] {
  return Object.keys(nodeTables(kind));
}

/**
 * The table that a field is an entry of, with room for how many; null for a plain field.
 * @param kind of the node that has it; null: the course has
 */
export function roomOf(
  kind: CourseNode['kind'] | null,
  field: string,
): { readonly table: string; readonly most: number } | null {
  const table = entryTable(kind, field);
  if (table === null) return null;
  if (kind !== null) {
    const ofNode = { ...quizSchema.shape, ...surveySchema.shape };
    return { table, most: mostOf(ofNode[table as 'questions' | 'asks']) };
  }
  const schema = table.startsWith('dates.')
    ? dates[table.slice('dates.'.length) as 'pauses']
    : course[table as 'menu'];
  return { table, most: mostOf(schema) };
}

/** The table that a field is an entry of, or null for a plain field. */
function entryTable(kind: CourseNode['kind'] | null, field: string): string | null {
  const at = field.lastIndexOf('.');
  const table = field.slice(0, at);
  const tables = kind === null ? COURSE_ENTRIES : nodeTables(kind);
  const isEntry = Object.hasOwn(tables, table) && idSchema.safeParse(field.slice(at + 1)).success;
  return isEntry ? table : null;
}

/** The schema of a field of the course (`kind` null) or of a node, or null when there is no such field. */
export function fieldSchema(kind: CourseNode['kind'] | null, field: string): z.ZodType | null {
  const table = kind === null ? COURSE_FIELDS : BY_KIND[kind];
  if (Object.hasOwn(table, field)) return table[field] ?? null;
  const entries = entryTable(kind, field);
  if (entries === null) return null;
  return z.nullable((kind === null ? COURSE_ENTRIES : nodeTables(kind))[entries] as z.ZodType);
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
  const kind = 'kind' in holder ? holder.kind : null;
  const isEntry = entryTable(kind, field) !== null;
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
