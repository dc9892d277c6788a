/** Who is on a course, and what each of them has of their own in it. */
import { idSchema, momentSchema, personExceptionSchema } from '@itinerary/core';
import type { DeepReadonly } from '@itinerary/core';
import { z } from 'zod';
import { personSchema, roleSchema } from '../people/schemas.ts';

export const memberSchema = z.object({
  person: z.uuid(),
  name: z.string(),
  address: z.string(),
  role: roleSchema,
  joinedAt: z.iso.datetime(),
  /** Ids of the course's groups and classes that they are in. */
  groups: z.array(z.string()),
});

export const membersSchema = z.object({ members: z.array(memberSchema) });
export type MembersAnswer = DeepReadonly<z.infer<typeof membersSchema>>;

export const memberGroupsSchema = z.strictObject({ groups: z.array(idSchema).max(50) });

export const addMembersSchema = z.strictObject({
  people: z.array(z.uuid()).min(1).max(500),
  role: roleSchema,
});

export const peopleSchema = z.object({ people: z.array(personSchema), more: z.boolean() });
export type PeopleAnswer = DeepReadonly<z.infer<typeof peopleSchema>>;

/** Moments of one person's own. */
export const ownMomentsSchema = z.strictObject({
  person: z.uuid(),
  node: idSchema,
  opens: momentSchema.nullable(),
  due: momentSchema.nullable(),
  until: momentSchema.nullable(),
});
export type OwnMoments = z.infer<typeof ownMomentsSchema>;

export const ownMomentsListSchema = z.object({
  exceptions: z.array(ownMomentsSchema.extend({ id: z.string(), name: z.string(), at: z.number() })),
});
export type OwnMomentsAnswer = DeepReadonly<z.infer<typeof ownMomentsListSchema>>;

/** Where one learner stands: what See as needs to show the course as they get it. */
export const standingSchema = z.object({
  name: z.string(),
  role: roleSchema,
  joinedAt: z.iso.datetime(),
  groups: z.array(z.string()),
  exceptions: z.array(personExceptionSchema),
  done: z.array(z.string()),
  scores: z.record(z.string(), z.number()),
  courses: z.array(z.string()),
});
export type StandingAnswer = DeepReadonly<z.infer<typeof standingSchema>>;

/** The others on the course, as far as this reader may see them. */
export const classmatesSchema = z.object({
  people: z.array(z.object({ name: z.string(), role: roleSchema, groups: z.array(z.string()) })),
});
export type ClassmatesAnswer = DeepReadonly<z.infer<typeof classmatesSchema>>;
