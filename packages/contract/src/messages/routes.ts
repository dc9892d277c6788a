/** Announcements, and what is said of them. */
import { course, pathId } from '../shape/route.ts';
import { announcementsSchema, commentsSchema, newCommentSchema } from './schemas.ts';
import type { Route } from '../shape/route.ts';

export const MESSAGES_ROUTES = {
  announcements: {
    method: 'get',
    path: '/api/learn/{course}/announcements',
    access: 'read',
    summary: 'The announcements that stand now; whoever reads them has seen them',
    params: course,
    status: 200,
    answer: announcementsSchema,
  },
  announcementFile: {
    method: 'get',
    path: '/api/learn/{course}/announcements/{announcement}/files/{hash}',
    access: 'read',
    summary: 'A file that is attached to an announcement, while that stands',
    params: course.extend({ announcement: pathId, hash: pathId }),
    status: 200,
    media: 'application/octet-stream',
  },
  comments: {
    method: 'get',
    path: '/api/learn/{course}/announcements/{announcement}/comments',
    access: 'read',
    summary: 'The comments on an announcement',
    params: course.extend({ announcement: pathId }),
    status: 200,
    answer: commentsSchema,
  },
  comment: {
    method: 'post',
    path: '/api/learn/{course}/announcements/{announcement}/comments',
    access: 'read',
    summary: 'Comment on an announcement, where it may be commented on',
    params: course.extend({ announcement: pathId }),
    body: newCommentSchema,
    status: 200,
    answer: commentsSchema,
  },
  removeComment: {
    method: 'delete',
    path: '/api/learn/{course}/announcements/{announcement}/comments/{comment}',
    access: 'read',
    summary: 'Take a comment away: one’s own, or any for those who plan the course',
    params: course.extend({ announcement: pathId, comment: pathId }),
    status: 200,
    answer: commentsSchema,
  },
  restoreComment: {
    method: 'put',
    path: '/api/learn/{course}/announcements/{announcement}/comments/{comment}',
    access: 'read',
    summary: 'Bring back a comment that one has taken away',
    params: course.extend({ announcement: pathId, comment: pathId }),
    status: 200,
    answer: commentsSchema,
  },
} as const satisfies Readonly<Record<string, Route>>;
