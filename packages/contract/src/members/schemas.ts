/** Who is on a course, and what each of them has of their own in it. */
import {
  idSchema,
  MAX_GROUPS,
  factorSchema,
  factsSchema,
  momentSchema,
  personExceptionSchema,
  storableSchema,
  titleSchema,
} from '@itinerary/core';
import type { DeepReadonly } from '@itinerary/core';
import { MAX_LIST_ROWS, WAYS } from '@itinerary/core/people';
import { z } from 'zod';
import { personSchema, roleSchema } from '../people/schemas.ts';
import { languageSchema } from '../shape/mail.ts';

/** As many as a list has. */
const MOST_AT_ONCE = MAX_LIST_ROWS;
const severalSchema = z.array(z.uuid()).min(1).max(MOST_AT_ONCE);

export const memberSchema = z.object({
  person: z.uuid(),
  /** As this course calls them: what a list says, else what the account says. */
  name: z.string(),
  /** Null: nobody has said one. */
  address: z.string().nullable(),
  /** Given by the institution. */
  number: z.string().nullable(),
  userName: z.string().nullable(),
  role: roleSchema,
  joinedAt: z.iso.datetime(),
  way: z.enum(WAYS),
  /** When they were last in the course; null: they have not been. */
  lastAt: z.iso.datetime().nullable(),
  /** Nobody has an account for it yet. */
  isPlace: z.boolean(),
  /** Ids of the course's groups and classes that they are in. */
  groups: z.array(z.string()),
});

export const membersSchema = z.object({ members: z.array(memberSchema) });
export type MembersAnswer = DeepReadonly<z.infer<typeof membersSchema>>;

export const MOST_FIRST = 500;
/** The first by name of those who are found by some letters, as a table begins with them. */
export const firstMembersQuery = z.object({
  first: z.coerce.number().int().min(1).max(MOST_FIRST),
  find: storableSchema.max(200).default(''),
  lang: languageSchema.default('en'),
});
export const firstMembersSchema = z.object({
  members: z.array(memberSchema),
  /** On the course, and of them those who are found. */
  total: z.int(),
  found: z.int(),
});
export type FirstMembersAnswer = DeepReadonly<z.infer<typeof firstMembersSchema>>;

export const memberGroupsSchema = z.strictObject({ groups: z.array(idSchema).max(50) });

export const addMembersSchema = z.strictObject({
  people: z.array(z.uuid()).min(1).max(500),
  role: roleSchema,
});

/** What is done to several at once, whole or not at all. */
export const editMembersSchema = z.discriminatedUnion('act', [
  z.strictObject({ act: z.literal('role'), people: severalSchema, role: roleSchema }),
  z.strictObject({ act: z.literal('remove'), people: severalSchema }),
  z.strictObject({
    act: z.literal('groups'),
    /** Who goes into a group or class, and who out of it. */
    groups: z
      .array(
        z.strictObject({
          group: idSchema,
          add: z.array(z.uuid()).max(MOST_AT_ONCE),
          leave: z.array(z.uuid()).max(MOST_AT_ONCE),
        }),
      )
      .min(1)
      .max(MAX_GROUPS),
  }),
  /** Some of a class, or of a group, become another one. */
  z.strictObject({
    act: z.literal('split'),
    group: idSchema,
    into: z.strictObject({ id: idSchema, name: titleSchema }),
    people: severalSchema,
  }),
  /** All of one are of another from now on, and the one goes where nothing names it. */
  z.strictObject({ act: z.literal('join'), group: idSchema, into: idSchema }),
]);
export type EditMembers = z.infer<typeof editMembersSchema>;

export const peopleSchema = z.object({ people: z.array(personSchema), more: z.boolean() });
export type PeopleAnswer = DeepReadonly<z.infer<typeof peopleSchema>>;

/** Moments of one person's own. */
export const ownMomentsSchema = z.strictObject({
  person: z.uuid(),
  node: idSchema,
  opens: momentSchema.nullable(),
  due: momentSchema.nullable(),
  until: momentSchema.nullable(),
  /** In a quiz: so many times the usual time; null or missing: the usual. */
  factor: factorSchema.nullish(),
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
  /** What they have done, by item. */
  facts: z.record(z.string(), factsSchema),
  courses: z.array(z.string()),
  /** The item that they were in last; null: none. */
  last: z.string().nullable(),
});
export type StandingAnswer = DeepReadonly<z.infer<typeof standingSchema>>;

/** The others on the course, as far as this reader may see them. */
export const classmatesSchema = z.object({
  /** They are a learner here, and may leave by themselves. */
  mayLeave: z.boolean(),
  people: z.array(z.object({ name: z.string(), role: roleSchema, groups: z.array(z.string()) })),
});
export type ClassmatesAnswer = DeepReadonly<z.infer<typeof classmatesSchema>>;

/** Groups that a learner may choose, grouping by grouping. */
export const choicesSchema = z.object({
  /** Of the course, in which its moments are told. */
  zone: z.string(),
  groupings: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      isOpen: z.boolean(),
      /** The instant from which it is not, in milliseconds; null: none is known. */
      until: z.number().nullable(),
      /** In one group. */
      most: z.int().nullable(),
      /** Learners may make groups of their own. */
      own: z.boolean(),
      groups: z.array(z.object({ id: z.string(), name: z.string(), size: z.int(), isMine: z.boolean() })),
    }),
  ),
});
export type ChoicesAnswer = DeepReadonly<z.infer<typeof choicesSchema>>;
export const chooseGroupSchema = z.union([
  /** Null: out of the one that was chosen. */
  z.strictObject({ grouping: idSchema, group: idSchema.nullable() }),
  z.strictObject({ grouping: idSchema, name: titleSchema }),
]);
export type ChooseGroup = z.infer<typeof chooseGroupSchema>;
