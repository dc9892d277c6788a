/** What a survey asks. What is answered stands apart from the document, and from whoever answers. */
import { z } from 'zod';
import { idSchema, storableSchema, tableSchema } from '../basics.ts';

export const MAX_ASKS = 40;
export const MAX_ASK = 1000;
export const MAX_CHOICES = 20;
export const MAX_CHOICE = 200;
export const MAX_STEPS = 10;
/** So many answers before anything is shown, unless the course wants more. */
export const LEAST_ANSWERS = 5;
export const MAX_LEAST = 100;

const words = storableSchema.trim().max(MAX_CHOICE);
const choices = z
  .array(z.strictObject({ id: idSchema, text: words.min(1) }))
  .max(MAX_CHOICES)
  .refine((all) => new Set(all.map(({ id }) => id)).size === all.length, 'choices with ids of their own');

const asked = {
  text: storableSchema.trim().min(1).max(MAX_ASK),
  /** Orders the list. */
  at: z.number().min(0).max(1_000_000),
};

export const askSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    ...asked,
    kind: z.literal('scale'),
    /** From 1 to so many. */
    steps: z.int().min(2).max(MAX_STEPS),
    /** What the first and the last step say. */
    low: words,
    high: words,
  }),
  z.strictObject({ ...asked, kind: z.literal('single'), choices }),
  z.strictObject({ ...asked, kind: z.literal('several'), choices }),
  z.strictObject({ ...asked, kind: z.literal('open') }),
]);
export type Ask = z.infer<typeof askSchema>;
export type AskKind = Ask['kind'];

export const asksSchema = tableSchema(askSchema, MAX_ASKS);

export const surveySettings = {
  asks: asksSchema,
  /** From so many answers on, totals are shown. */
  least: z.int().min(LEAST_ANSWERS).max(MAX_LEAST).default(LEAST_ANSWERS),
};
