/** Planned moments: relative to something that has a date, or fixed (docs/semantics.md, Relative moments). */
import { z } from 'zod';
import { daySchema, idSchema, timeSchema, weekdaySchema } from './basics.ts';

export const shiftUnitSchema = z.enum(['minutes', 'hours', 'days', 'weeks', 'months', 'years']);
export type ShiftUnit = z.infer<typeof shiftUnitSchema>;

/** What a relative moment is measured from. A section without an id is the one that the node stands in. */
export const anchorSchema = z.discriminatedUnion('of', [
  z.strictObject({ of: z.literal('course'), at: z.enum(['start', 'end']) }),
  z.strictObject({ of: z.literal('section'), at: z.enum(['start', 'end']), section: idSchema.nullable() }),
  z.strictObject({ of: z.literal('joining') }),
  z.strictObject({ of: z.literal('due'), item: idSchema }),
]);
export type Anchor = z.infer<typeof anchorSchema>;

export const momentSchema = z.discriminatedUnion('kind', [
  /** The course's usual hand-in time, in the section that the node stands in. */
  z.strictObject({ kind: z.literal('usual') }),
  z.strictObject({
    kind: z.literal('relative'),
    anchor: anchorSchema,
    /** Negative is before. Days and longer are calendar units in the course's zone. */
    shift: z.strictObject({ by: z.int().min(-10_000).max(10_000), unit: shiftUnitSchema }).nullable(),
    weekday: weekdaySchema.nullable(),
    time: timeSchema.nullable(),
  }),
  z.strictObject({ kind: z.literal('fixed'), day: daySchema, time: timeSchema.nullable() }),
]);
export type PlannedMoment = z.infer<typeof momentSchema>;
