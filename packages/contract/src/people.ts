/** People, sessions, and the institution they belong to. */
import {
  idSchema,
  institutionPageSchema,
  momentSchema,
  personExceptionSchema,
  storableSchema,
} from '@itinerary/core';
import { z } from 'zod';

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
export type PersonAnswer = z.infer<typeof personSchema>;

export const termSchema = z.object({
  code: z.string(),
  name: z.string(),
  firstDay: z.iso.date(),
  lastDay: z.iso.date(),
});
export const departmentSchema = z.object({ code: z.string(), name: z.string() });

/** Days without teaching that the institution keeps, offered as pauses. */
export const holidaySchema = z.object({
  id: z.string(),
  name: z.string(),
  first: z.iso.date(),
  last: z.iso.date(),
});
export type Holiday = z.infer<typeof holidaySchema>;

export const holidaysSchema = z.object({ holidays: z.array(holidaySchema) });
export type HolidaysAnswer = z.infer<typeof holidaysSchema>;

/** A calendar of one institution over several years is some ten thousand characters. */
export const readHolidaysSchema = z.strictObject({ calendar: storableSchema.min(1).max(1_000_000) });

export const institutionSchema = z.object({
  name: z.string(),
  zone: z.string(),
  departments: z.array(departmentSchema),
  terms: z.array(termSchema),
  holidays: z.array(holidaySchema),
  /** The largest upload that any course may allow, in megabytes. */
  largestUpload: z.int(),
  /** Its own pages, that menus can lead to; for those who are signed in. */
  pages: z.array(institutionPageSchema),
});
export type InstitutionAnswer = z.infer<typeof institutionSchema>;

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
export type MeAnswer = z.infer<typeof meSchema>;

export const signInSchema = z.strictObject({
  address: storableSchema.trim().min(1).max(200),
  password: z.string().min(1).max(200),
});

export const demoSignInSchema = z.strictObject({ person: z.uuid() });

export const demoPersonSchema = personSchema.extend({
  /** What this person is for in the demo. */
  part: z.enum(['instructor', 'co_instructor', 'assistant', 'learner', 'staff', 'visitor']),
});
export const demoPeopleSchema = z.object({ people: z.array(demoPersonSchema) });
export type DemoPeopleAnswer = z.infer<typeof demoPeopleSchema>;

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
export type MembersAnswer = z.infer<typeof membersSchema>;

export const memberGroupsSchema = z.strictObject({ groups: z.array(idSchema).max(50) });

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
export type OwnMomentsAnswer = z.infer<typeof ownMomentsListSchema>;

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
export type StandingAnswer = z.infer<typeof standingSchema>;

/** Null takes it away. */
export const passphraseSchema = z.strictObject({
  passphrase: storableSchema.trim().min(1).max(200).nullable(),
});

export const addMembersSchema = z.strictObject({
  people: z.array(z.uuid()).min(1).max(500),
  role: roleSchema,
});

export const peopleSchema = z.object({ people: z.array(personSchema), more: z.boolean() });
export type PeopleAnswer = z.infer<typeof peopleSchema>;
