/** What a course is for one person: what is new to them, what they have done, and what they find in it. */
import { ITEM_KINDS, storableSchema } from '@itinerary/core';
import type { DeepReadonly } from '@itinerary/core';
import { z } from 'zod';

const itemSchema = z.object({
  id: z.string(),
  kind: z.enum(ITEM_KINDS),
  number: z.string().nullable(),
  title: z.string(),
});

/** An item has opened, come, or been written anew; posts are unread; something has been marked; an announcement stands. */
export const NEWS_KINDS = ['opened', 'added', 'changed', 'posted', 'marked', 'announced'] as const;
export const newsSchema = z.object({
  /** The end of the visit before this one; null: there was none, and nothing is new. */
  since: z.iso.datetime().nullable(),
  zone: z.string(),
  /** The latest first. */
  things: z.array(
    z.object({
      what: z.enum(NEWS_KINDS),
      /** Null: an announcement. */
      item: itemSchema.nullable(),
      title: z.string(),
      at: z.iso.datetime(),
      /** Posts that are unread; 1 of everything else. */
      count: z.int(),
    }),
  ),
});
export type NewsAnswer = DeepReadonly<z.infer<typeof newsSchema>>;

/** How much is new in each course that one learns in; those in which nothing is are left out. */
export const allNewsSchema = z.object({
  courses: z.array(z.object({ course: z.string(), count: z.int() })),
});
export type AllNewsAnswer = DeepReadonly<z.infer<typeof allNewsSchema>>;

export const LOG_KINDS = [
  'opened',
  'done',
  'watched',
  'handed_in',
  'began_quiz',
  'ended_quiz',
  'posted',
  'attended',
  'answered',
] as const;
/** The latest first; so many at once. */
export const LOG_PAGE = 100;
export const logQuery = z.object({ before: z.iso.datetime().optional() });
export const ownLogSchema = z.object({
  zone: z.string(),
  entries: z.array(
    z.object({
      what: z.enum(LOG_KINDS),
      /** Null: it is not theirs to see any more. */
      item: itemSchema.nullable(),
      at: z.iso.datetime(),
    }),
  ),
  /** There is more, from before the last of these on. */
  more: z.boolean(),
});
export type OwnLogAnswer = DeepReadonly<z.infer<typeof ownLogSchema>>;

export const findQuery = z.object({ find: storableSchema.trim().min(1).max(200) });
export const foundSchema = z.object({
  /** Those whose title holds the words first, then in reading order. */
  found: z.array(
    z.object({
      where: z.enum(['section', 'item', 'announcement', 'thread']),
      /** Of the section, the item, the announcement or the thread. */
      id: z.string(),
      /** That it stands in, or is; null: an announcement or a section. */
      item: itemSchema.nullable(),
      title: z.string(),
      number: z.string().nullable(),
      /** Some words around those that were found; null: they are in the title. */
      around: z.string().nullable(),
    }),
  ),
  /** More fits than is sent. */
  more: z.boolean(),
});
export type FoundAnswer = DeepReadonly<z.infer<typeof foundSchema>>;
