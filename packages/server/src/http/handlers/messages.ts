/** Announcements, and what is said of them. */
import type { MESSAGES_ROUTES } from '@itinerary/contract';
import { announcementFile, announcements } from '../../usecases/messages/announcements.ts';
import { comment, comments, setComment } from '../../usecases/messages/comments.ts';
import type { HandlersOf } from '../call.ts';

export const MESSAGES: HandlersOf<typeof MESSAGES_ROUTES> = {
  announcements: ({ em, who, now }) => announcements(em, who.loaded.course, who, now),
  announcementFile: ({ em, store, who, params, now }) =>
    announcementFile(em, store, who.loaded.course, who.viewer, params, now),
  comments: ({ em, who, params, now }) => comments(em, who.loaded.course, who, params.announcement, now),
  comment: ({ em, who, params, body, now }) =>
    comment(em, who.loaded.course, who, params.announcement, body, now),
  removeComment: ({ em, who, params, now }) => {
    const remark = { announcement: params.announcement, remark: params.comment, isThere: false };
    return setComment(em, who.loaded.course, who, remark, now);
  },
  restoreComment: ({ em, who, params, now }) => {
    const remark = { announcement: params.announcement, remark: params.comment, isThere: true };
    return setComment(em, who.loaded.course, who, remark, now);
  },
};
