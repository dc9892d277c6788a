/** A calendar of one's own over all courses, and the address at which programs read it. */
import { agendaEntrySchema, isRealDay } from '@itinerary/core';
import type { DeepReadonly } from '@itinerary/core';
import { z } from 'zod';

const DAY_MS = 86_400_000;
/** A year and some: what one looks at on a screen. */
export const MOST_AGENDA_DAYS = 400;
const day = z.string().refine(isRealDay, 'a day that exists, written YYYY-MM-DD');

export const agendaQuery = z
  .object({ from: day, to: day })
  .refine(({ from, to }) => to >= from, { path: ['to'], message: 'a day not before the first' })
  .refine(({ from, to }) => Date.parse(to) - Date.parse(from) < MOST_AGENDA_DAYS * DAY_MS, {
    path: ['to'],
    message: `a day within ${MOST_AGENDA_DAYS} days of the first`,
  });

const thingSchema = agendaEntrySchema.extend({ course: z.string() });
export type AgendaThing = DeepReadonly<z.infer<typeof thingSchema>>;

export const agendaSchema = z.object({
  things: z.array(thingSchema),
  courses: z.array(
    z.object({
      id: z.string(),
      title: z.string(),
      code: z.string(),
      zone: z.string(),
      /** The colour that it has chosen; null: none. */
      seed: z.string().nullable(),
    }),
  ),
});
export type AgendaAnswer = DeepReadonly<z.infer<typeof agendaSchema>>;

/** Null: there is none. */
export const feedSchema = z.object({ path: z.string().nullable() });
export type FeedAnswer = DeepReadonly<z.infer<typeof feedSchema>>;
export const feedParams = z.object({ person: z.string().max(64), key: z.string().max(64) });
export const noBody = z.strictObject({});
