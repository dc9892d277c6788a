/** The questions of a quiz, with what is right, and how it is taken. Nothing of this leaves for a learner as it is. */
import { z } from 'zod';
import { idSchema, storableSchema, tableSchema } from '../basics.ts';
import { fileSchema } from '../file-schema.ts';
import { pointsSchema } from './work-schema.ts';

export const MAX_QUESTIONS = 100;
export const MAX_ASKED = 4000;
export const MAX_PARTS = 20;
export const MAX_PART = 500;
export const MAX_WHY = 2000;
export const MAX_POOLS = 10;
/** In minutes: a week. */
export const MAX_WAIT = 7 * 24 * 60;
/** In minutes: a day. */
export const MAX_LIMIT = 24 * 60;

const partSchema = z.strictObject({ id: idSchema, text: storableSchema.trim().min(1).max(MAX_PART) });
/** A choice, and why it is right or wrong; empty: nobody says. */
const choiceSchema = partSchema.extend({
  why: storableSchema.trim().max(MAX_PART).default(''),
  /** It is a picture, under which its words stand. */
  picture: fileSchema.nullable().default(null),
});

const different = (parts: readonly { readonly id: string }[]): boolean =>
  new Set(parts.map(({ id }) => id)).size === parts.length;
const choices = z.array(choiceSchema).max(MAX_PARTS).refine(different, 'choices with ids of their own');
const parts = z.array(partSchema).max(MAX_PARTS).refine(different, 'parts with ids of their own');
const credit = z.enum(['whole', 'by_part']);

const asked = {
  text: storableSchema.trim().min(1).max(MAX_ASKED),
  /** Why what is right is right; empty: nobody says. */
  why: storableSchema.trim().max(MAX_WHY).default(''),
  points: pointsSchema.default(1),
  /** It is asked back for before an attempt is handed in without it. */
  required: z.boolean().default(false),
  /** Of those from which some are drawn; null: everybody gets it. */
  pool: idSchema.nullable().default(null),
  /** Orders the list. */
  at: z.number().min(0).max(1_000_000),
};

/** What is right may be missing while a question is being written; readiness says so. */
export const questionSchema = z.discriminatedUnion('kind', [
  z.strictObject({ ...asked, kind: z.literal('single'), choices, right: idSchema.nullable() }),
  z.strictObject({
    ...asked,
    kind: z.literal('several'),
    choices,
    right: z.array(idSchema).min(1).max(MAX_PARTS),
    credit,
  }),
  z.strictObject({ ...asked, kind: z.literal('truth'), right: z.boolean().nullable() }),
  z.strictObject({
    ...asked,
    kind: z.literal('short'),
    accepted: z
      .array(
        z.strictObject({
          text: storableSchema.trim().min(1).max(MAX_PART),
          share: z.number().min(0).max(1),
        }),
      )
      .max(MAX_PARTS),
    folds: z.strictObject({ case: z.boolean(), accents: z.boolean() }),
    otherwise: z.enum(['wrong', 'staff']),
  }),
  z.strictObject({
    ...asked,
    kind: z.literal('number'),
    right: z.number().min(-1e15).max(1e15).nullable(),
    tolerance: z.strictObject({ of: z.enum(['absolute', 'share']), value: z.number().min(0).max(1e15) }),
    units: z
      .array(
        z.strictObject({
          name: storableSchema.trim().min(1).max(40),
          factor: z.number().positive().max(1e15),
        }),
      )
      .max(MAX_PARTS),
  }),
  z.strictObject({
    ...asked,
    kind: z.literal('matching'),
    lefts: parts,
    rights: parts,
    pairs: z.record(idSchema, idSchema),
    credit,
  }),
  z.strictObject({ ...asked, kind: z.literal('order'), entries: parts, credit }),
  z.strictObject({ ...asked, kind: z.literal('long') }),
]);
export type PlannedQuestion = z.infer<typeof questionSchema>;

/** So many of the questions that name it are drawn for each attempt. */
export const poolSchema = z.strictObject({
  name: storableSchema.trim().min(1).max(200),
  draws: z.int().min(1).max(MAX_QUESTIONS),
  at: z.number().min(0).max(1_000_000),
});
export type Pool = z.infer<typeof poolSchema>;

export const questionsSchema = tableSchema(questionSchema, MAX_QUESTIONS);
export const poolsSchema = tableSchema(poolSchema, MAX_POOLS);

export const countsSchema = z.enum(['best', 'last', 'average']);
/** When what is right is shown: as soon as a question is checked, once handed in, once nothing is taken any more, not. */
export const revealsSchema = z.enum(['at_once', 'handed_in', 'over', 'never']);
export type Reveals = z.infer<typeof revealsSchema>;

export const quizSettings = {
  questions: questionsSchema,
  pools: poolsSchema,
  shuffleQuestions: z.boolean().default(false),
  shuffleChoices: z.boolean().default(false),
  /** All of them on one page, or one by one. */
  layout: z.enum(['all', 'one']).default('all'),
  reveals: revealsSchema.default('handed_in'),
  showsPoints: z.boolean().default(true),
  /** Minutes from its beginning in which an attempt is handed in; null: as long as it is taken. */
  limit: z.int().min(1).max(MAX_LIMIT).nullable().default(null),
  /** Minutes that pass after an attempt before another one can be begun. */
  wait: z.int().min(0).max(MAX_WAIT).default(0),
  /** Which of several attempts. */
  counts: countsSchema.default('best'),
};
