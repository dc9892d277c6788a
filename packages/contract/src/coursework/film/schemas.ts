/** A film as one person has it: what goes with it, and what of it they have watched. */
import { idSchema, MAX_SECONDS } from '@itinerary/core';
import type { DeepReadonly } from '@itinerary/core';
import { z } from 'zod';

/** Whole milliseconds of the film. */
const instant = z
  .int()
  .min(0)
  .max(MAX_SECONDS * 1000);
const runSchema = z
  .strictObject({ from: instant, to: instant })
  .refine(({ from, to }) => to > from, 'a run that ends after it begins');

export const watchedSchema = z.object({
  /** Apart from each other, in their order. */
  runs: z.array(z.object({ from: z.int(), to: z.int() })),
  /** From nought to one; null: the film's length is not known. */
  share: z.number().nullable(),
  /** Where one was, in milliseconds. */
  position: z.int(),
});
export type WatchedAnswer = DeepReadonly<z.infer<typeof watchedSchema>>;

export const filmSchema = z.object({
  /** Which film it is: another file is another film. */
  film: z.string(),
  seconds: z.int().nullable(),
  chapters: z.array(z.object({ at: z.int(), title: z.string() })),
  captions: z.array(
    z.object({
      language: z.string(),
      cues: z.array(z.object({ from: z.int(), to: z.int(), text: z.string() })),
    }),
  ),
  /** Null: nothing is kept of this reader’s watching. */
  watched: watchedSchema.nullable(),
  /** In percent, where so much of it counts as done. */
  wanted: z.int().nullable(),
  /** Staff, who may see who has watched how much. */
  mayLook: z.boolean(),
});
export type FilmAnswer = DeepReadonly<z.infer<typeof filmSchema>>;

/** So many runs in one report. */
const MOST_RUNS = 200;
export const watchedBodySchema = z.strictObject({
  /** Made by the client: sent again, it is the same report. */
  id: z.uuid(),
  film: idSchema,
  runs: z.array(runSchema).max(MOST_RUNS),
  position: instant,
});
export type WatchedBody = DeepReadonly<z.infer<typeof watchedBodySchema>>;

export const whoWatchedSchema = z.object({
  people: z.array(
    z.object({
      person: z.string(),
      name: z.string(),
      groups: z.array(z.string()),
      share: z.number().nullable(),
      /** Null: they have not opened it. */
      at: z.iso.datetime().nullable(),
    }),
  ),
  zone: z.string(),
});
export type WhoWatched = DeepReadonly<z.infer<typeof whoWatchedSchema>>;
