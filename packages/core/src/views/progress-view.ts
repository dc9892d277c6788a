/** Where one learner stands, as they are told it: the one description of it for core, contract and pages. */
import { z } from 'zod';
import { namedCourseSchema } from '../course/schema/basics.ts';
import { DONE_BY } from '../course/schema/progress-schema.ts';
import type { DeepReadonly } from '../course/schema/readonly.ts';
import { ITEM_KINDS } from '../course/schema/kinds.ts';

const moment = z.iso.datetime().nullable();
/** So much of so much; null: nothing counts. */
export const partSchema = z.object({ done: z.number(), counted: z.number() }).nullable();
const sharesSchema = z.object({ items: partSchema, minutes: partSchema });

const itemProgressSchema = z.object({
  id: z.string(),
  kind: z.enum(ITEM_KINDS),
  number: z.string().nullable(),
  title: z.string(),
  section: z.string(),
  since: moment,
  by: z.enum(['rule', 'staff', 'kept']).nullable(),
  match: z.enum(['all', 'any']),
  conditions: z.array(
    z.object({
      by: z.enum(DONE_BY),
      wants: z.number().nullable(),
      has: z.number().nullable(),
      since: moment,
    }),
  ),
  behindSince: moment,
});

/** What whoever has done the course is told. */
export const finishedSchema = z.object({
  /** Since when the course is done; null: it is not. */
  since: moment,
  /** What is said to them; null: nothing. */
  words: z.string().nullable(),
  /** The course in which they can go on; null: there is none, or it is not for them. */
  goOn: namedCourseSchema.nullable(),
});
export type FinishedView = DeepReadonly<z.infer<typeof finishedSchema>>;

export const progressViewSchema = z.object({
  zone: z.string(),
  /** Null: the course does not show how much of it is done. */
  share: sharesSchema.nullable(),
  ...finishedSchema.shape,
  sections: z.array(
    z.object({
      id: z.string(),
      number: z.string().nullable(),
      /** Null: it is called by its days. */
      title: z.string().nullable(),
      days: z.object({ first: z.iso.date(), last: z.iso.date() }).nullable(),
      share: sharesSchema.nullable(),
      since: moment,
    }),
  ),
  /**
   * Those that they get at that moment; of others their number alone is in the shares. Where the course shows no marks of
   * what is done, the next and what is behind, and no sections.
   */
  items: z.array(itemProgressSchema),
  next: z.string().nullable(),
  /** Ids; null: the course does not show whether one keeps pace. */
  behind: z.array(z.string()).nullable(),
  /** In minutes, what is behind takes. */
  behindMinutes: z.number(),
  ahead: z.int(),
});
export type ProgressView = DeepReadonly<z.infer<typeof progressViewSchema>>;
