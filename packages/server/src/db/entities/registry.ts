/** Rows of what the registry said, and of what came of it in a course. The migrations own the tables. */
import type { FollowedField, EntryChoice, RegistryPerson } from '@itinerary/core/people';
import type { RegistryStep } from '@itinerary/contract';
import { defineEntity } from '@mikro-orm/core';
import type { InferEntity } from '@mikro-orm/core';

export const RegistryReadingRow = defineEntity({
  name: 'RegistryReadingRow',
  tableName: 'registry_reading',
  properties: (p) => ({
    institutionId: p.string().primary(),
    triedAt: p.string().nullable(),
    /** The last that was read whole. */
    readAt: p.string().nullable(),
    /** Why the last try came to nothing; null: it did not. */
    problem: p.text().nullable(),
    /** What of it could not be taken, in words. */
    unread: p.json<string[]>(),
  }),
});

/** A class of the registry that a course follows. */
export const RegistryFollowRow = defineEntity({
  name: 'RegistryFollowRow',
  tableName: 'registry_follow',
  properties: (p) => ({
    courseId: p.string().primary(),
    classId: p.string().primary(),
    /** The class of the course that its people are in; null: none. */
    groupId: p.string().nullable(),
    by: p.string(),
    at: p.string(),
  }),
});

/** Somebody of the registry in a course, or in its line. */
export const RegistryLinkRow = defineEntity({
  name: 'RegistryLinkRow',
  tableName: 'registry_link',
  properties: (p) => ({
    courseId: p.string().primary(),
    registryId: p.string().primary(),
    personId: p.string(),
    said: p.json<RegistryPerson>(),
    isThere: p.boolean(),
    kept: p.json<FollowedField[]>(),
    /** Somebody has said so. */
    staysOut: p.boolean().default(false),
  }),
});

export const RegistryNewsRow = defineEntity({
  name: 'RegistryNewsRow',
  tableName: 'registry_news',
  properties: (p) => ({
    turn: p.bigint('number').primary().autoincrement(),
    courseId: p.string(),
    at: p.string(),
    readAt: p.string().nullable(),
    steps: p.json<RegistryStep[]>(),
  }),
});

export const RegistryAnswerRow = defineEntity({
  name: 'RegistryAnswerRow',
  tableName: 'registry_answer',
  properties: (p) => ({
    courseId: p.string().primary(),
    entry: p.string().primary(),
    choice: p.json<EntryChoice>(),
    by: p.string(),
    at: p.string(),
  }),
});

export interface RegistryQuestion {
  readonly entries: readonly {
    readonly key: string;
    readonly name: string;
    readonly id: string;
    readonly address: string;
  }[];
  readonly members: readonly { readonly key: string; readonly name: string }[];
}

/** How it stood when the registry was followed last. */
export const RegistryStandingRow = defineEntity({
  name: 'RegistryStandingRow',
  tableName: 'registry_standing',
  properties: (p) => ({
    courseId: p.string().primary(),
    followedAt: p.string(),
    /** The instant at which more of them may come in by itself, in milliseconds. */
    nextAt: p.float().nullable(),
    /** Learners in the classes that it follows. */
    listed: p.integer(),
    /** Who does not come in yet, and why. */
    expected: p.json<{ because: string; count: number }[]>(),
    questions: p.json<RegistryQuestion[]>(),
    broken: p.json<{ name: string; known: string | null }[]>(),
    /** So many would go at once that somebody has to say so. */
    held: p.json<{ registry: string; name: string }[]>(),
  }),
});

export type RegistryLinkRecord = InferEntity<typeof RegistryLinkRow>;
