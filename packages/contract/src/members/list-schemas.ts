/** Class lists: who is in the course as a list is held against it, a list to be taken in, and those that were. */
import { idSchema, storableSchema } from '@itinerary/core';
import type { DeepReadonly } from '@itinerary/core';
import { LIST_COLUMNS, LIST_ROLES, MAX_LIST_COLUMNS, MAX_LIST_ROWS } from '@itinerary/core/people';
import { z } from 'zod';
import { membersSchema } from './schemas.ts';

/** The most that one cell of a list holds of a person. */
const cell = storableSchema.min(1).max(300);
const whole = cell.nullable();

const named = {
  id: whole,
  given: whole,
  family: whole,
  name: whole,
  address: whole,
  userName: whole,
};

/** What is not said is left out: a list is long. */
const saidSchema = z.strictObject({
  id: cell.optional(),
  given: cell.optional(),
  family: cell.optional(),
  name: cell.optional(),
  address: cell.optional(),
  userName: cell.optional(),
  class: cell.optional(),
  role: z.enum(LIST_ROLES).optional(),
  group: cell.optional(),
});

export const sentRowSchema = saidSchema.extend({ line: z.int().min(1) });
export type SentRow = DeepReadonly<z.infer<typeof sentRowSchema>>;

export const rosterMemberSchema = z.object({
  ...named,
  key: idSchema,
  classes: z.array(z.string()),
  groups: z.array(z.string()),
  role: z.enum([...LIST_ROLES, 'visitor']),
  state: z.enum(['in', 'out']),
  isPlace: z.boolean(),
  isListed: z.boolean(),
  cells: z.string().nullable(),
});

export const rosterSchema = z.object({
  /** Of this very roster: a list is taken only by whom it was held against. */
  stamp: z.string(),
  members: z.array(rosterMemberSchema),
});
export type RosterAnswer = DeepReadonly<z.infer<typeof rosterSchema>>;

/** How the columns of a list were read, to be read so again where the headings are the same. */
export const keptShapeSchema = z.strictObject({
  heading: z.array(storableSchema.max(300)).max(MAX_LIST_COLUMNS).nullable(),
  columns: z.array(z.enum(LIST_COLUMNS)).max(MAX_LIST_COLUMNS),
});
export type KeptShape = z.infer<typeof keptShapeSchema>;

const choiceSchema = z.discriminatedUnion('is', [
  z.strictObject({ is: z.literal('member'), key: idSchema }),
  z.strictObject({ is: z.literal('new') }),
  z.strictObject({ is: z.literal('nobody') }),
]);

export const takeListSchema = z.strictObject({
  id: z.uuid(),
  stamp: z.string().max(100),
  source: storableSchema.max(255),
  shape: keptShapeSchema,
  rows: z.array(sentRowSchema).min(1).max(MAX_LIST_ROWS),
  /** What was said of an entry, by its key. */
  choices: z
    .array(z.strictObject({ entry: storableSchema.max(3000), choice: choiceSchema }))
    .max(MAX_LIST_ROWS),
  /** Keys of those who are no longer listed and are to go. */
  remove: z.array(idSchema).max(MAX_LIST_ROWS),
});
export type TakeList = z.infer<typeof takeListSchema>;

export const listCountsSchema = z.object({
  added: z.int(),
  returning: z.int(),
  changed: z.int(),
  unchanged: z.int(),
  asked: z.int(),
  removed: z.int(),
});
export type ListCounts = z.infer<typeof listCountsSchema>;

export const listsSchema = z.object({
  /** The latest first. */
  lists: z.array(
    z.object({
      id: z.string(),
      at: z.iso.datetime(),
      by: z.string(),
      source: z.string(),
      shape: keptShapeSchema,
      counts: listCountsSchema,
      undone: z.object({ at: z.iso.datetime(), by: z.string() }).nullable(),
    }),
  ),
});
export type ListsAnswer = DeepReadonly<z.infer<typeof listsSchema>>;

/** After a list was taken or taken back: who is there, and the lists. */
export const takenListSchema = membersSchema.extend(listsSchema.shape);
export type TakenListAnswer = DeepReadonly<z.infer<typeof takenListSchema>>;
