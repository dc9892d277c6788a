/** Discussions: threads and what is posted in them, as one person gets them. */
import { idSchema, MAX_TITLE, storableSchema, titleSchema } from '@itinerary/core';
import type { DeepReadonly } from '@itinerary/core';
import { z } from 'zod';
import { handedFileSchema } from '../schemas.ts';

/** Of the HTML of a post, in characters. */
export const MAX_POST = 50_000;
/** Files that go with one post. */
export const MAX_POST_FILES = 5;
/** So many posts come at once. */
export const POSTS_A_PAGE = 50;

const threadSchema = z.object({
  id: z.string(),
  title: z.string(),
  /** Null: their name is not told to this reader. */
  author: z.string().nullable(),
  isOwn: z.boolean(),
  at: z.iso.datetime(),
  lastAt: z.iso.datetime(),
  /** Null: they are not shown yet. */
  posts: z.int().nullable(),
  unread: z.int(),
  pinned: z.boolean(),
  closed: z.boolean(),
  isAnswered: z.boolean(),
  /** The group whose thread it is; null: everybody's. */
  group: z.string().nullable(),
  /** They are written to when something is posted in it. */
  isFollowed: z.boolean(),
});

export const talkSchema = z.object({
  threads: z.array(threadSchema),
  /** There are more than are sent: they are found by a word. */
  more: z.boolean(),
  mayStart: z.boolean(),
  /** Nothing of others is shown before something has been posted. */
  mustPost: z.boolean(),
  shut: z.boolean(),
  /** Staff, who pin, close, and take away. */
  mayLead: z.boolean(),
  mayAttach: z.boolean(),
  zone: z.string(),
});
export type TalkAnswer = DeepReadonly<z.infer<typeof talkSchema>>;

export const talkQuery = z.object({
  /** A word of a title or a post. */
  find: storableSchema.trim().max(200).optional(),
});

const postSchema = z.object({
  id: z.string(),
  /** In the thread, from 1. */
  number: z.int(),
  author: z.string().nullable(),
  isOwn: z.boolean(),
  isStaff: z.boolean(),
  at: z.iso.datetime(),
  /** Sanitised; empty where it has been taken away, but for staff. */
  html: z.string(),
  editedAt: z.iso.datetime().nullable(),
  isRemoved: z.boolean(),
  /** The number of the post that it answers. */
  answers: z.int().nullable(),
  isAnswer: z.boolean(),
  files: z.array(handedFileSchema),
  mayChange: z.boolean(),
  mayRemove: z.boolean(),
});
export const threadPageSchema = threadSchema.extend({
  page: z.array(postSchema),
  /** How many there are in all, as far as they are shown. */
  count: z.int(),
  mayPost: z.boolean(),
  mustPost: z.boolean(),
  mayLead: z.boolean(),
  /** Who may say which post is the answer. */
  mayAnswer: z.boolean(),
  mayAttach: z.boolean(),
  zone: z.string(),
});
export type ThreadAnswer = DeepReadonly<z.infer<typeof threadPageSchema>>;

export const threadQuery = z.object({
  /** Posts after this number. */
  after: z.coerce.number().int().min(0).max(1_000_000).optional(),
});
const htmlSchema = storableSchema.max(MAX_POST);
/** Hashes of those that go with it, of what has been begun in its place, or of the post as it stands. */
const filesSchema = z.array(storableSchema.max(64)).max(MAX_POST_FILES).default([]);
export const threadParams = z.object({ course: idSchema, item: idSchema, thread: idSchema });
export const postParams = threadParams.extend({ post: idSchema });
/** Ids are made by the client: sent again, it is the same. */
export const startThreadSchema = z.strictObject({
  id: z.uuid(),
  post: z.uuid(),
  title: titleSchema,
  html: htmlSchema,
  files: filesSchema,
});
export const newPostSchema = z.strictObject({
  id: z.uuid(),
  html: htmlSchema,
  /** The post that it answers. */
  answers: idSchema.nullable(),
  files: filesSchema,
});
export const changePostSchema = z.strictObject({
  html: htmlSchema,
  files: filesSchema,
  /** When it was changed last, as its author saw it; null: never. */
  was: z.iso.datetime().nullable(),
});
export const leadThreadSchema = z.strictObject({
  pinned: z.boolean().optional(),
  closed: z.boolean().optional(),
  /** The post that answers it; null: none. */
  answer: idSchema.nullable().optional(),
});
export type LeadThread = DeepReadonly<z.infer<typeof leadThreadSchema>>;

export const followThreadSchema = z.strictObject({ follow: z.boolean() });
export const postFileParams = postParams.extend({ hash: idSchema });

/** `new`, the thread that is answered, or the post that is changed. */
export const postDraftParams = z.object({ course: idSchema, item: idSchema, place: idSchema });
export const postDraftSchema = z.object({
  /** Rises with every change; 0: nothing has been begun. */
  version: z.int(),
  title: z.string(),
  html: z.string(),
  files: z.array(handedFileSchema),
  /** The largest file that is taken, in megabytes. */
  megabytes: z.number(),
});
export type PostDraft = DeepReadonly<z.infer<typeof postDraftSchema>>;
export const postDraftBody = z.strictObject({
  /** That it is built on. */
  version: z.int().min(0).max(1_000_000_000),
  title: storableSchema.max(MAX_TITLE),
  html: htmlSchema,
  files: filesSchema,
});
export type PostDraftBody = DeepReadonly<z.infer<typeof postDraftBody>>;

export const whoPostedSchema = z.object({
  people: z.array(
    z.object({
      person: z.string(),
      name: z.string(),
      groups: z.array(z.string()),
      posts: z.int(),
      lastAt: z.iso.datetime().nullable(),
    }),
  ),
  zone: z.string(),
});
export type WhoPosted = DeepReadonly<z.infer<typeof whoPostedSchema>>;
