/**
 * Edits as they are made: what stands there is read off the course, and what may stand there is said by its type.
 * Whoever writes an edit by hand has to know both.
 */
import type { Dates } from '../schema/dates-schema.ts';
import type { Quiz, Survey } from '../schema/items-schema.ts';
import type { PlannedMoment } from '../schema/moment-schema.ts';
import type { Course, CourseNode } from '../schema/schema.ts';
import type { FieldValue, SetEdit } from './edits.ts';
import { readField } from './fields.ts';

function setting(holder: Course | CourseNode, field: string, value: unknown): SetEdit {
  return {
    kind: 'set',
    target: holder.id,
    field,
    value: value as FieldValue,
    was: readField(holder, field),
  };
}

/** A field of the course, a section or an item. */
export function setField<Holder extends Course | CourseNode, Field extends keyof Holder & string>(
  holder: Holder,
  field: Field,
  value: Holder[Field],
): SetEdit {
  return setting(holder, field, value);
}

/** A field of the course's dates. */
export function setDates<Field extends keyof Dates & string>(
  course: Course,
  field: Field,
  value: Dates[Field],
): SetEdit {
  return setting(course, `dates.${field}`, value);
}

/** The tables that are set entry by entry. */
type Tables = Pick<
  Course,
  | 'outcomes'
  | 'groups'
  | 'groupings'
  | 'ways'
  | 'exceptions'
  | 'heldBack'
  | 'menu'
  | 'panels'
  | 'announcements'
  | 'contacts'
  | 'roleNames'
>;

/** An entry of a table of the course; null takes it away. */
export function setTableEntry<Table extends keyof Tables & string>(
  course: Course,
  table: Table,
  id: string,
  entry: NonNullable<Tables[Table][keyof Tables[Table]]> | null,
): SetEdit {
  return setting(course, `${table}.${id}`, entry);
}

/** An entry of a quiz's own tables; null takes it away. */
export function setQuizEntry<Table extends 'questions' | 'pools'>(
  quiz: Quiz,
  table: Table,
  id: string,
  entry: Quiz[Table][string] | null,
): SetEdit {
  return setting(quiz, `${table}.${id}`, entry);
}

/** A question of a survey; null takes it away. */
export function setAsk(survey: Survey, id: string, ask: Survey['asks'][string] | null): SetEdit {
  return setting(survey, `asks.${id}`, ask);
}

/** An entry of a table of the course's dates; null takes it away. */
export function setDatesEntry<Table extends 'pauses' | 'patterns' | 'changes'>(
  course: Course,
  table: Table,
  id: string,
  entry: Dates[Table][string] | null,
): SetEdit {
  return setting(course, `dates.${table}.${id}`, entry);
}

/** The moment of whoever has such a one; nothing for all others. */
export function setMoment(
  node: CourseNode | undefined,
  field: 'opens' | 'due' | 'held',
  moment: PlannedMoment | null,
): readonly SetEdit[] {
  return node !== undefined && field in node ? [setting(node, field, moment)] : [];
}
