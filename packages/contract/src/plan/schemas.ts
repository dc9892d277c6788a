/** The plan of a course and its changes. */
import {
  changeSchema,
  courseSchema,
  institutionPageSchema,
  MAX_TEXT,
  refusalSchema,
  staffProfileSchema,
  storableSchema,
  textFactsSchema,
  textHashSchema,
} from '@itinerary/core';
import type { DeepReadonly } from '@itinerary/core';
import { z } from 'zod';
import { doorFactsSchema } from '../shape/door.ts';
import { passphraseStateSchema } from '../access/schemas.ts';

/** What setup needs besides the course: the institution's pages, and who is on the staff. */
export const faceFactsSchema = z.object({
  pages: z.array(institutionPageSchema),
  staff: z.array(staffProfileSchema),
});
export type FaceFactsAnswer = DeepReadonly<z.infer<typeof faceFactsSchema>>;

export const planSchema = z.object({
  course: courseSchema,
  seq: z.int(),
  learners: z.int(),
  /** Of them, those who have no account yet. */
  places: z.int(),
  /** What its long texts hold besides words, by hash. */
  texts: z.record(textHashSchema, textFactsSchema),
  passphrase: passphraseStateSchema,
  /** Learners in each group and class, by its id. */
  groupSizes: z.record(z.string(), z.int()),
  face: faceFactsSchema,
  door: doorFactsSchema,
  rights: z.object({ plan: z.boolean(), state: z.boolean(), members: z.boolean() }),
});
export type PlanAnswer = z.infer<typeof planSchema>;

export const MAX_CHANGES = 100;

export const changesRequestSchema = z.strictObject({
  /** The last sequence number that the client has. */
  since: z.int().min(0),
  changes: z.array(changeSchema).max(MAX_CHANGES),
  /** New texts that the changes name: from hash to HTML. */
  texts: z.record(textHashSchema, storableSchema.max(MAX_TEXT)),
});
export type ChangesRequest = z.infer<typeof changesRequestSchema>;

const takenSchema = z.object({
  seq: z.int(),
  change: changeSchema,
  author: z.string(),
  mine: z.boolean(),
});

/** Refusals that only the server can decide, in the shape of core's. */
const refused = { edit: z.int(), target: z.string() };
const serverRefusalSchema = z.discriminatedUnion('code', [
  z.object({ ...refused, code: z.literal('not_allowed') }),
  z.object({ ...refused, code: z.literal('archived') }),
  z.object({ ...refused, code: z.literal('blocked'), rules: z.array(z.string()) }),
  z.object({ ...refused, code: z.literal('code_taken'), proposal: z.string() }),
  z.object({ ...refused, code: z.literal('file_missing') }),
  z.object({ ...refused, code: z.literal('text_missing'), field: z.string() }),
  z.object({ ...refused, code: z.literal('unknown_choice'), field: z.string() }),
]);
export type ServerRefusal = DeepReadonly<z.infer<typeof serverRefusalSchema>>;

export const changesAnswerSchema = z.object({
  seq: z.int(),
  /** Every change since `since`, one's own included, in the order in which they were taken. */
  taken: z.array(takenSchema),
  refused: z.array(z.object({ id: z.string(), refusal: z.union([refusalSchema, serverRefusalSchema]) })),
  /** What the texts that they name hold besides words. */
  texts: z.record(textHashSchema, textFactsSchema),
  /** Texts sent that were kept as something else, since not all in them may stand: from hash to hash. */
  renamed: z.record(textHashSchema, textHashSchema),
  learners: z.int(),
  places: z.int(),
  groupSizes: z.record(z.string(), z.int()),
});
export type ChangesAnswer = z.infer<typeof changesAnswerSchema>;

export const textAnswerSchema = z.object({ html: z.string() });
export type TextAnswer = DeepReadonly<z.infer<typeof textAnswerSchema>>;
