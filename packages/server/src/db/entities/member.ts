/** Rows of who is on a course, how they came, and what they have of their own in it. The migrations own the tables. */
import type { KeptShape, ListCounts } from '@itinerary/contract';
import type { PlannedMoment, Role } from '@itinerary/core';
import type { AppliedList, Named, WayKind } from '@itinerary/core/people';
import { defineEntity } from '@mikro-orm/core';
import type { InferEntity } from '@mikro-orm/core';

export const MemberRow = defineEntity({
  name: 'MemberRow',
  tableName: 'member',
  properties: (p) => ({
    courseId: p.string().primary(),
    personId: p.string().primary(),
    role: p.string().$type<Role>(),
    joinedAt: p.string(),
    /** When they left or were removed; they keep everything and can return. */
    leftAt: p.string().nullable(),
    leftHow: p.string().$type<'left' | 'removed' | 'lapsed'>().nullable(),
    /** The way by which they came. */
    way: p.string().$type<WayKind>().default('staff'),
    /** What lists and staff say of them in this course, where they say something. */
    listed: p.json<Named>().nullable(),
    /** A list, or the registry, has them. */
    isListed: p.boolean().default(false),
    /** Of a place without a key: the row that made it, cell for cell. */
    cells: p.text().nullable(),
  }),
});

/** Of a member before a list, what no roster holds: how and when they had left, and by which way they had come. */
export type StandingBefore = Pick<MemberRecord, 'leftAt' | 'leftHow' | 'way'>;
export type TouchedMember = AppliedList['touched'][number] & { readonly standing: StandingBefore | null };

/** A list that was taken into a course as one act. */
export const MemberListRow = defineEntity({
  name: 'MemberListRow',
  tableName: 'member_list',
  properties: (p) => ({
    courseId: p.string().primary(),
    /** Made by the client, and taken once. */
    id: p.string().primary(),
    turn: p.integer(),
    at: p.string(),
    by: p.string(),
    /** The file's name; empty: it was pasted. */
    source: p.string(),
    /** How its columns were read, for the next one that has the same headings. */
    shape: p.json<KeptShape>(),
    counts: p.json<ListCounts>(),
    /** Each member whom it touched, before (null: not there) and after. */
    touched: p.json<TouchedMember[]>(),
    /** Ids of the classes and groups that it made. */
    made: p.json<string[]>(),
    undoneAt: p.string().nullable(),
    undoneBy: p.string().nullable(),
  }),
});

/** Groups and classes of the course document that somebody is in. */
export const MemberGroupRow = defineEntity({
  name: 'MemberGroupRow',
  tableName: 'member_group',
  properties: (p) => ({
    courseId: p.string().primary(),
    personId: p.string().primary(),
    groupId: p.string().primary(),
  }),
});

/** Moments of one person's own on one node; null: the node's. */
export const PersonExceptionRow = defineEntity({
  name: 'PersonExceptionRow',
  tableName: 'person_exception',
  properties: (p) => ({
    courseId: p.string().primary(),
    id: p.string().primary(),
    personId: p.string(),
    nodeId: p.string(),
    opens: p.json<PlannedMoment>().nullable(),
    due: p.json<PlannedMoment>().nullable(),
    until: p.json<PlannedMoment>().nullable(),
    /** So many times the usual time in a quiz. */
    factor: p.float().nullable(),
    /** Milliseconds since 1970-01-01T00:00Z. */
    at: p.float(),
  }),
});

export type MemberRecord = InferEntity<typeof MemberRow>;
export type MemberListRecord = InferEntity<typeof MemberListRow>;
