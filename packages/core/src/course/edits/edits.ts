/**
 * The four edits that every change to a course is made of (docs/semantics.md, Changes).
 *
 * `after: null` is first place. `after` may name a tombstone, which keeps its place; an `insert` whose node
 * has been removed brings it back as it was when it was removed, and with `after` its own id it comes back
 * where its tombstone stands.
 */
import { z } from 'zod';
import { idSchema, storableSchema } from '../schema/basics.ts';
import { itemSchema } from '../schema/items-schema.ts';
import { sectionSchema, wrongBefore } from '../schema/schema.ts';

/** Values that fields hold: JSON, compared by content. */
export type FieldValue =
  null | boolean | number | string | readonly FieldValue[] | { readonly [key: string]: FieldValue };

/** As long as the longest value of a field when it is written down: a large section that is held back, whole. */
const MAX_VALUE = 1_000_000;

export const fieldValueSchema: z.ZodType<FieldValue> = z
  .custom<FieldValue>((value) => wrongBefore(value) === null, 'a value that nests less')
  .pipe(z.json() as z.ZodType<FieldValue, FieldValue>)
  .refine((value) => JSON.stringify(value).length <= MAX_VALUE, 'a shorter value')
  .refine(isStorable, 'text without NUL and without halves of characters');

function isStorable(value: FieldValue): boolean {
  if (typeof value === 'string') return storableSchema.safeParse(value).success;
  if (value === null || typeof value !== 'object') return true;
  return Object.entries(value).every(([key, inner]) => isStorable(key) && isStorable(inner as FieldValue));
}

const fieldSchema = z.string().min(1).max(140);

export const setSchema = z.strictObject({
  kind: z.literal('set'),
  target: idSchema,
  field: fieldSchema,
  value: fieldValueSchema,
  /** What the author saw there. A different value there now does not stop a set, unless it is an undo. */
  was: fieldValueSchema,
});

export const insertSchema = z.strictObject({
  kind: z.literal('insert'),
  parent: idSchema,
  after: idSchema.nullable(),
  node: z
    .custom<unknown>((node) => wrongBefore(node) === null, 'a node that nests less')
    .pipe(z.union([sectionSchema, itemSchema])),
});

export const moveSchema = z.strictObject({
  kind: z.literal('move'),
  target: idSchema,
  parent: idSchema,
  after: idSchema.nullable(),
});

export const removeSchema = z.strictObject({ kind: z.literal('remove'), target: idSchema });

export const editSchema = z.discriminatedUnion('kind', [setSchema, insertSchema, moveSchema, removeSchema]);

export const MAX_EDITS = 500;

/** Taken whole or refused whole; one step of undo. The client makes the id, and it is taken once. */
export const changeSchema = z.strictObject({
  id: idSchema,
  edits: z.array(editSchema).min(1).max(MAX_EDITS),
  /** The change that this one undoes. Its sets apply only where the field still holds their `was`. */
  undoes: idSchema.optional(),
  /** Whoever had done something and would have it no more, by what counts then, has it done all the same. */
  keepsEarned: z.literal(true).optional(),
});

export type SetEdit = z.infer<typeof setSchema>;
export type InsertEdit = z.infer<typeof insertSchema>;
export type MoveEdit = z.infer<typeof moveSchema>;
export type RemoveEdit = z.infer<typeof removeSchema>;
export type Edit = z.infer<typeof editSchema>;
export type Change = z.infer<typeof changeSchema>;

/** Two field values are the same when they say the same; the order of keys says nothing. */
export function sameValue(a: FieldValue, b: FieldValue): boolean {
  if (a === b) return true;
  if (a === null || b === null || typeof a !== 'object' || typeof b !== 'object') return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const [ofA, ofB] = [a as Record<string, FieldValue>, b as Record<string, FieldValue>];
  const keys = Object.keys(ofA);
  return (
    keys.length === Object.keys(ofB).length &&
    keys.every((key) => Object.hasOwn(ofB, key) && sameValue(ofA[key] as FieldValue, ofB[key] as FieldValue))
  );
}
