/** Rows of discussions. The migrations own the tables. */
import type { HandedFile } from '@itinerary/core';
import { defineEntity } from '@mikro-orm/core';
import type { InferEntity } from '@mikro-orm/core';

export const ThreadRow = defineEntity({
  name: 'ThreadRow',
  tableName: 'thread',
  properties: (p) => ({
    /** Made by the client: begun again, it is the same. */
    id: p.string().primary(),
    courseId: p.string(),
    itemId: p.string(),
    title: p.string(),
    authorId: p.string(),
    byStaff: p.boolean(),
    at: p.string(),
    lastAt: p.string(),
    posts: p.integer(),
    /** Those of the learner who began it, where groups are kept apart or stand beside each other. */
    groupIds: p.json<readonly string[]>(),
    pinned: p.boolean(),
    closed: p.boolean(),
    answerId: p.string().nullable(),
  }),
});

export const PostRow = defineEntity({
  name: 'PostRow',
  tableName: 'post',
  properties: (p) => ({
    id: p.string().primary(),
    threadId: p.string(),
    courseId: p.string(),
    itemId: p.string(),
    authorId: p.string(),
    number: p.integer(),
    at: p.string(),
    html: p.text(),
    /** Its words alone, folded, for whoever looks for one. */
    plain: p.text(),
    editedAt: p.string().nullable(),
    removedAt: p.string().nullable(),
    removedBy: p.string().nullable(),
    /** The number of the post that it answers. */
    answers: p.integer().nullable(),
    files: p.json<readonly HandedFile[]>().default([]),
  }),
});

export const PostBeforeRow = defineEntity({
  name: 'PostBeforeRow',
  tableName: 'post_before',
  properties: (p) => ({ postId: p.string().primary(), at: p.string().primary(), html: p.text() }),
});

export const ThreadReadRow = defineEntity({
  name: 'ThreadReadRow',
  tableName: 'thread_read',
  properties: (p) => ({
    threadId: p.string().primary(),
    personId: p.string().primary(),
    number: p.integer(),
  }),
});

/** What somebody has begun to write, and where: `new`, or the thread or post that it is for. */
export const PostDraftRow = defineEntity({
  name: 'PostDraftRow',
  tableName: 'post_draft',
  properties: (p) => ({
    courseId: p.string().primary(),
    itemId: p.string().primary(),
    personId: p.string().primary(),
    place: p.string().primary(),
    /** Rises with every change. */
    version: p.integer(),
    title: p.text(),
    html: p.text(),
    files: p.json<readonly HandedFile[]>(),
    at: p.string(),
  }),
});

export const ThreadFollowRow = defineEntity({
  name: 'ThreadFollowRow',
  tableName: 'thread_follow',
  properties: (p) => ({
    threadId: p.string().primary(),
    personId: p.string().primary(),
    /** The number of the post of which they were told last. */
    told: p.integer(),
  }),
});

export type PostDraftRecord = InferEntity<typeof PostDraftRow>;
export type ThreadRecord = InferEntity<typeof ThreadRow>;
export type PostRecord = InferEntity<typeof PostRow>;
