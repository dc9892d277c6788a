/** The fields that `set` may name, each with the schema its value must satisfy. */
import type { z } from 'zod';
import { courseSchema, linkSchema, pageSchema, sectionSchema } from './schema.ts';
import type { Course, CourseNode } from './schema.ts';
import type { FieldValue } from './edits.ts';

type FieldTable = Readonly<Record<string, z.ZodType>>;

const course = courseSchema.shape;
const dates = course.dates.shape;

const COURSE_FIELDS: FieldTable = {
  title: course.title,
  code: course.code,
  purpose: course.purpose,
  state: course.state,
  department: course.department,
  term: course.term,
  description: course.description,
  tags: course.tags,
  'dates.format': dates.format,
  'dates.firstDay': dates.firstDay,
  'dates.weeks': dates.weeks,
  'dates.zone': dates.zone,
  'dates.weekStart': dates.weekStart,
};

const SECTION_FIELDS: FieldTable = {
  title: sectionSchema.shape.title,
  shown: sectionSchema.shape.shown,
  outside: sectionSchema.shape.outside,
};

const PAGE_FIELDS: FieldTable = {
  title: pageSchema.shape.title,
  shown: pageSchema.shape.shown,
  text: pageSchema.shape.text,
  minutes: pageSchema.shape.minutes,
};

const LINK_FIELDS: FieldTable = {
  title: linkSchema.shape.title,
  shown: linkSchema.shape.shown,
  address: linkSchema.shape.address,
  minutes: linkSchema.shape.minutes,
};

const BY_KIND: Readonly<Record<CourseNode['kind'], FieldTable>> = {
  section: SECTION_FIELDS,
  page: PAGE_FIELDS,
  link: LINK_FIELDS,
};

/** The fields that hold the hash of a long text. */
export const TEXT_FIELDS: ReadonlySet<string> = new Set(['description', 'text']);

export function courseFields(): readonly string[] {
  return Object.keys(COURSE_FIELDS);
}

export function nodeFields(kind: CourseNode['kind']): readonly string[] {
  return Object.keys(BY_KIND[kind]);
}

/** The schema of a field of the course (`kind` null) or of a node, or null when there is no such field. */
export function fieldSchema(kind: CourseNode['kind'] | null, field: string): z.ZodType | null {
  const table = kind === null ? COURSE_FIELDS : BY_KIND[kind];
  return Object.hasOwn(table, field) ? (table[field] ?? null) : null;
}

export function readField(holder: Course | CourseNode, field: string): FieldValue {
  let here: unknown = holder;
  for (const part of field.split('.')) here = (here as Record<string, unknown>)[part];
  return here as FieldValue;
}

/** A copy of the holder with one field replaced. The field must exist: `fieldSchema` says so. */
export function writeField<T extends Course | CourseNode>(holder: T, field: string, value: FieldValue): T {
  const [head, tail] = field.split('.') as [string, string | undefined];
  if (tail === undefined) return { ...holder, [head]: value };
  const inner = (holder as unknown as Record<string, Record<string, unknown>>)[head];
  return { ...holder, [head]: { ...inner, [tail]: value } };
}
