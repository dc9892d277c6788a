/** People, sessions, and the institution that they belong to. */
import { storableSchema } from '@itinerary/core';
import type { DeepReadonly } from '@itinerary/core';
import { z } from 'zod';
import { institutionSchema } from '../institution/schemas.ts';

export const personKindSchema = z.enum(['teaching', 'staff', 'learner', 'visitor']);

/** What somebody is to the institution; their role in a course is another matter. */
export type PersonKind = z.infer<typeof personKindSchema>;

export const roleSchema = z.enum(['instructor', 'assistant', 'learner', 'visitor']);

export const personSchema = z.object({
  id: z.uuid(),
  name: z.string(),
  /** Mail address: what one signs in with. */
  address: z.string(),
  kind: personKindSchema,
});
export type PersonAnswer = DeepReadonly<z.infer<typeof personSchema>>;

export const meSchema = z.object({
  person: personSchema.nullable(),
  /** May open new courses. */
  mayCreate: z.boolean(),
  /** The server's clock (ISO, UTC); the browser goes on from it. */
  now: z.iso.datetime(),
  /** The clock stands still: it was set from outside. */
  clockStands: z.boolean(),
  demo: z.boolean(),
  institution: institutionSchema,
});
export type MeAnswer = DeepReadonly<z.infer<typeof meSchema>>;

export const signInSchema = z.strictObject({
  address: storableSchema.trim().min(1).max(200),
  password: z.string().min(1).max(200),
});

export const demoSignInSchema = z.strictObject({ person: z.uuid() });

/** What somebody is for in the demo. */
export const demoPartSchema = z.enum([
  'instructor',
  'co_instructor',
  'assistant',
  'learner',
  'staff',
  'visitor',
]);
export type DemoPart = z.infer<typeof demoPartSchema>;

export const demoPersonSchema = personSchema.extend({
  part: demoPartSchema,
});

export const demoPeopleSchema = z.object({ people: z.array(demoPersonSchema) });
export type DemoPeopleAnswer = DeepReadonly<z.infer<typeof demoPeopleSchema>>;
