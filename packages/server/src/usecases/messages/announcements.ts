/** Announcements as they are read. */
import type { AnnouncementsAnswer } from '@itinerary/contract';
import { announcementView, areaOpen, courseView, NO_FACE_FACTS, ownPlan } from '@itinerary/core';
import type { Course, Viewer } from '@itinerary/core';
import type { Around } from '../../db/coming.ts';
import { StoredFileRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import type { FileStore } from '../../files/file-store.ts';
import { remarkCounts } from './comments.ts';
import { toSend } from '../files/files.ts';
import type { FileToSend } from '../files/files.ts';
import { nothingHere } from '../nothing-here.ts';
import { standing, standingOne } from './standing.ts';
import type { Reader } from './standing.ts';
import { textReader } from '../plan/texts.ts';
import { noteVisit, visitOf } from '../reading/visits.ts';

export async function announcements(
  em: EntityManager,
  course: Course,
  { viewer, person, around }: Reader & { readonly around: Around },
  now: string,
): Promise<AnnouncementsAnswer> {
  if (!areaOpen(course, viewer, now, 'announcements', NO_FACE_FACTS)) throw nothingHere();
  const view = courseView(course, viewer, now);
  if (view === null) throw nothingHere();
  const member = viewer.role === null || person === null ? null : person.id;
  const { since } = visitOf(viewer, around, now);
  const plan = ownPlan(course, viewer, Date.parse(now));
  const texts = textReader(em, view);
  const counts = await remarkCounts(em, course.id);
  const listed = await Promise.all(
    standing(course, viewer, now).map(async (one) => ({
      ...announcementView(plan, one),
      html: await texts.read(one.announcement.text, null),
      isNew: since !== null && one.from !== null && one.from > Date.parse(since),
      commentCount: one.announcement.comments ? (counts.get(one.id) ?? 0) : 0,
    })),
  );
  if (member !== null) await noteVisit(em, course.id, member, around.visit, now);
  return { announcements: listed };
}

/** A file that is attached, while the announcement stands. */
export async function announcementFile(
  em: EntityManager,
  store: FileStore,
  course: Course,
  viewer: Viewer,
  { announcement, hash }: { readonly announcement: string; readonly hash: string },
  now: string,
): Promise<FileToSend> {
  const { files } = standingOne(course, viewer, announcement, now).announcement;
  const file = files.find((one) => one.hash === hash);
  const row = file === undefined ? null : await em.findOne(StoredFileRow, { courseId: course.id, hash });
  if (file === undefined || row === null) throw nothingHere();
  return toSend(store, { hash, name: file.name, type: row.type });
}
