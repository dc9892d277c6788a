/** A survey as one person has it, and what it came to. */
import { idSchema, MAX_ASKS, MAX_OPEN, MAX_STEPS, storableSchema } from '@itinerary/core';
import type { DeepReadonly } from '@itinerary/core';
import { z } from 'zod';

const choices = z.array(z.object({ id: z.string(), text: z.string() }));
const asked = { id: z.string(), text: z.string() };
export const ownSurveySchema = z.object({
  asks: z.array(
    z.discriminatedUnion('kind', [
      z.object({ ...asked, kind: z.literal('scale'), steps: z.int(), low: z.string(), high: z.string() }),
      z.object({ ...asked, kind: z.literal('single'), choices }),
      z.object({ ...asked, kind: z.literal('several'), choices }),
      z.object({ ...asked, kind: z.literal('open') }),
    ]),
  ),
  mayAnswer: z.boolean(),
  hasAnswered: z.boolean(),
  /** From so many answers on, staff see totals. */
  least: z.int(),
  mayLook: z.boolean(),
});
export type OwnSurvey = DeepReadonly<z.infer<typeof ownSurveySchema>>;

const MOST_CHOSEN = 20;
const answerSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('scale'), step: z.int().min(1).max(MAX_STEPS) }),
  z.strictObject({ kind: z.literal('single'), choice: idSchema }),
  z.strictObject({ kind: z.literal('several'), choices: z.array(idSchema).max(MOST_CHOSEN) }),
  z.strictObject({ kind: z.literal('open'), text: storableSchema.max(MAX_OPEN) }),
]);
export const surveyBodySchema = z.strictObject({
  answers: z
    .record(idSchema, answerSchema)
    .refine((all) => Object.keys(all).length <= MAX_ASKS, `at most ${MAX_ASKS} answers`),
});

export const surveyTotalsSchema = z.object({
  item: z.object({ id: z.string(), title: z.string() }),
  /** People who have answered. */
  answered: z.int(),
  /** Those of them whose answers are in the totals. */
  counted: z.int(),
  least: z.int(),
  asks: z.array(
    z.object({
      id: z.string(),
      kind: z.enum(['scale', 'single', 'several', 'open']),
      text: z.string(),
      answered: z.int(),
      counts: z.array(z.object({ key: z.string(), text: z.string(), count: z.int() })),
      mean: z.number().nullable(),
      texts: z.array(z.string()),
    }),
  ),
});
export type SurveyTotals = DeepReadonly<z.infer<typeof surveyTotalsSchema>>;
