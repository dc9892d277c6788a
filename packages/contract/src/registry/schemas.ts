/** The institution's registry: the classes somebody teaches, those that a course follows, and what came of it. */
import { daySchema, idSchema, storableSchema } from '@itinerary/core';
import type { DeepReadonly } from '@itinerary/core';
import { FOLLOWED_FIELDS } from '@itinerary/core/people';
import { z } from 'zod';
import { roleSchema } from '../people/schemas.ts';

/** As the registry calls its classes and people: whatever it likes. */
export const registryIdSchema = storableSchema.min(1).max(300);
export const MAX_FOLLOWED = 50;

export const registryClassSchema = z.object({
  id: z.string(),
  title: z.string(),
  courseCode: z.string().nullable(),
  courseTitle: z.string().nullable(),
  learners: z.int(),
  /** Who teaches it, by name. */
  teachers: z.array(z.string()),
  term: z.object({ title: z.string(), firstDay: daySchema, lastDay: daySchema }).nullable(),
  /** Courses that follow it already, as far as whoever asks is in them. */
  followedBy: z.array(z.object({ id: z.string(), title: z.string() })),
});
export type RegistryClass = DeepReadonly<z.infer<typeof registryClassSchema>>;

export const readingSchema = z.object({
  /** There is a registry here. */
  isThere: z.boolean(),
  triedAt: z.iso.datetime().nullable(),
  readAt: z.iso.datetime().nullable(),
  problem: z.string().nullable(),
  unread: z.array(z.string()),
});
export type RegistryReadingAnswer = DeepReadonly<z.infer<typeof readingSchema>>;

export const taughtSchema = z.object({ reading: readingSchema, classes: z.array(registryClassSchema) });
export type TaughtAnswer = DeepReadonly<z.infer<typeof taughtSchema>>;

const fieldSchema = z.enum(FOLLOWED_FIELDS);
export const registryStepSchema = z.object({
  /**
   * `waits`: on the list, and no seat is free. `stays`: no longer in a class, but staff brought them in. `kept`: the
   * registry says something else than staff have decided, which stands.
   */
  kind: z.enum(['came', 'waits', 'linked', 'returned', 'went', 'stays', 'changed', 'kept']),
  name: z.string(),
  role: roleSchema,
  fields: z.array(z.object({ field: fieldSchema, from: z.string(), to: z.string() })),
});
export type RegistryStep = DeepReadonly<z.infer<typeof registryStepSchema>>;

export const registrySchema = z.object({
  reading: readingSchema,
  /** Those that the course follows, and those that it may follow besides. */
  follows: z.array(z.object({ class: registryClassSchema, group: z.string().nullable() })),
  offered: z.array(registryClassSchema),
  followedAt: z.iso.datetime().nullable(),
  /** Learners in the classes that are followed: how many there are, are in, and wait. */
  listed: z.int(),
  isIn: z.int(),
  waiting: z.int(),
  expected: z.array(z.object({ because: z.string(), count: z.int() })),
  questions: z.array(
    z.object({
      entries: z.array(z.object({ key: z.string(), name: z.string(), id: z.string(), address: z.string() })),
      members: z.array(z.object({ key: z.string(), name: z.string() })),
    }),
  ),
  broken: z.array(z.object({ name: z.string(), known: z.string().nullable() })),
  held: z.array(z.object({ registry: z.string(), name: z.string() })),
  /** Where the registry and staff say different things. */
  differs: z.array(
    z.object({
      registry: z.string(),
      name: z.string(),
      field: fieldSchema,
      ours: z.string(),
      theirs: z.string(),
    }),
  ),
  /** What the latest readings have changed, the latest first. */
  news: z.array(
    z.object({
      at: z.iso.datetime(),
      readAt: z.iso.datetime().nullable(),
      steps: z.array(registryStepSchema),
    }),
  ),
});
export type RegistryAnswer = DeepReadonly<z.infer<typeof registrySchema>>;

export const followsSchema = z.strictObject({
  /** All of them: what is not among them is followed no more. */
  classes: z.array(z.strictObject({ id: registryIdSchema, asGroup: z.boolean() })).max(MAX_FOLLOWED),
});
export type FollowsRequest = DeepReadonly<z.infer<typeof followsSchema>>;

const entrySchema = storableSchema.min(1).max(2000);
export const settleSchema = z.discriminatedUnion('about', [
  z.strictObject({
    about: z.literal('field'),
    registry: registryIdSchema,
    field: fieldSchema,
    take: z.boolean(),
  }),
  z.strictObject({
    about: z.literal('person'),
    answers: z
      .array(z.strictObject({ entry: entrySchema, member: idSchema.nullable() }))
      .min(1)
      .max(50),
  }),
  /** Those who are to go, of those that are held: no others do. */
  z.strictObject({ about: z.literal('leaving'), people: z.array(registryIdSchema).min(1).max(20_000) }),
]);
export type SettleRequest = DeepReadonly<z.infer<typeof settleSchema>>;
