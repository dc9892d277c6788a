/** Announcements, and what is said of them. */
import { idSchema, announcementViewSchema, storableSchema } from '@itinerary/core';
import type { DeepReadonly } from '@itinerary/core';
import { z } from 'zod';

export const announcementsSchema = z.object({
  announcements: z.array(
    announcementViewSchema.extend({
      html: z.string().nullable(),
      /** It has come since this reader's last visit. */
      isNew: z.boolean(),
      commentCount: z.int(),
    }),
  ),
});
export type AnnouncementsAnswer = DeepReadonly<z.infer<typeof announcementsSchema>>;

export const MAX_COMMENT = 2000;

export const newCommentSchema = z.strictObject({
  /** Made by whoever sends it: sent again it is the same. */
  id: idSchema,
  text: storableSchema.trim().min(1).max(MAX_COMMENT),
});

export const commentsSchema = z.object({
  comments: z.array(
    z.object({
      id: z.string(),
      /** Null: the course does not show this reader the name. */
      name: z.string().nullable(),
      at: z.iso.datetime(),
      text: z.string(),
      /** This reader may take it away: their own, or any for whoever plans the course. */
      mayRemove: z.boolean(),
      /** It has been taken away, and this reader may bring it back; to others it is not there. */
      isRemoved: z.boolean(),
    }),
  ),
  mayComment: z.boolean(),
});
export type CommentsAnswer = DeepReadonly<z.infer<typeof commentsSchema>>;
