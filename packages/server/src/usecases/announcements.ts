/** Announcements as they are read, and what people say about them. */
import type { AnnouncementsAnswer, CommentsAnswer } from '@itinerary/contract';
import {
  announcementsAt,
  announcementView,
  areaOpen,
  courseView,
  isReadable,
  mayPlan,
  NO_FACE_FACTS,
  ownPlan,
  resolveAccess,
} from '@itinerary/core';
import type { Course, DatedAnnouncement, Viewer } from '@itinerary/core';
import { PersonRow, RemarkRow, StoredFileRow } from '../db/entities.ts';
import type { Person, RemarkRecord } from '../db/entities.ts';
import type { EntityManager } from '../db/orm.ts';
import type { FileStore } from '../files/file-store.ts';
import { Failure } from './failure.ts';
import { toSend } from './files.ts';
import type { FileToSend } from './files.ts';
import { nothingHere } from './nothing-here.ts';
import { textReader } from './texts.ts';
import { noteVisit, visitOf } from './visits.ts';

export interface Reader {
  readonly viewer: Viewer;
  readonly person: Person | null;
}

/** A thread of a class is some dozens; beyond this somebody is playing. */
const MOST_REMARKS = 500;

/** Those that stand for this reader; nothing at all where the area is switched off. */
function standing(course: Course, viewer: Viewer, now: string): readonly DatedAnnouncement[] {
  const at = Date.parse(now);
  const plan = ownPlan(course, viewer, at);
  const isThere = isReadable(resolveAccess(course, viewer, now, plan).course.state);
  return isThere && course.areas['announcements'] !== 'off' ? announcementsAt(plan, at) : [];
}

export async function announcements(
  em: EntityManager,
  course: Course,
  { viewer, person }: Reader,
  now: string,
): Promise<AnnouncementsAnswer> {
  if (!areaOpen(course, viewer, now, 'announcements', NO_FACE_FACTS)) throw nothingHere();
  const view = courseView(course, viewer, now);
  if (view === null) throw nothingHere();
  const member = viewer.role === null || person === null ? null : person.id;
  const { since } = await visitOf(em, course.id, member, now);
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
  if (member !== null) await noteVisit(em, course.id, member, now);
  return { announcements: listed };
}

async function remarkCounts(em: EntityManager, courseId: string): Promise<ReadonlyMap<string, number>> {
  const rows = await em
    .getConnection()
    .execute<{ announcement_id: string; count: string }[]>(
      'select announcement_id, count(*) as count from remark where course_id = ? and removed_by is null group by announcement_id',
      [courseId],
    );
  return new Map(rows.map(({ announcement_id: id, count }) => [id, Number(count)]));
}

function found(course: Course, viewer: Viewer, id: string, now: string): DatedAnnouncement {
  const one = standing(course, viewer, now).find((standing) => standing.id === id);
  if (one === undefined) throw nothingHere();
  return one;
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
  const { files } = found(course, viewer, announcement, now).announcement;
  const file = files.find((one) => one.hash === hash);
  const row = file === undefined ? null : await em.findOne(StoredFileRow, { courseId: course.id, hash });
  if (file === undefined || row === null) throw nothingHere();
  return toSend(store, { hash, name: file.name, type: row.type });
}

/** Taking part is for members who can work in the course: those who look leave no words. */
function mayComment(course: Course, { viewer, person }: Reader, comments: boolean, now: string): boolean {
  const isMember = viewer.role === 'learner' || mayPlan(viewer);
  return (
    comments && isMember && person !== null && resolveAccess(course, viewer, now).course.state === 'open'
  );
}

/** Where a comment stands. */
export interface RemarkAt {
  readonly announcement: string;
  readonly remark: string;
}

async function remarkAt(
  em: EntityManager,
  course: Course,
  { viewer }: Reader,
  { announcement, remark }: RemarkAt,
  now: string,
): Promise<RemarkRecord> {
  found(course, viewer, announcement, now);
  const at = { courseId: course.id, announcementId: announcement, id: remark };
  const row = await em.findOne(RemarkRow, at);
  if (row === null) throw nothingHere();
  return row;
}

type Remark = Pick<RemarkRecord, 'personId' | 'removedBy'>;

function mayRemove({ personId }: Remark, { viewer, person }: Reader): boolean {
  return personId === person?.id || mayPlan(viewer);
}

/** What its author took away is nobody else's to bring back; what the staff took away is for any of them. */
function mayRestore(remark: Remark, reader: Reader): boolean {
  if (remark.removedBy === remark.personId) return remark.personId === reader.person?.id;
  return remark.removedBy !== null && mayPlan(reader.viewer);
}

export async function comments(
  em: EntityManager,
  course: Course,
  reader: Reader,
  id: string,
  now: string,
): Promise<CommentsAnswer> {
  const { announcement } = found(course, reader.viewer, id, now);
  // What was said stays with those who may take part, and is nobody else's to read.
  const isMember = reader.viewer.role === 'learner' || mayPlan(reader.viewer);
  if (!announcement.comments || !isMember) return { comments: [], mayComment: false };
  const rows = await em.find(
    RemarkRow,
    { courseId: course.id, announcementId: id },
    { orderBy: { turn: 'asc', id: 'asc' }, limit: MOST_REMARKS },
  );
  const shown = rows.filter((row) => row.removedBy === null || mayRestore(row, reader));
  const people = await em.find(PersonRow, {
    id: { $in: [...new Set(shown.map(({ personId }) => personId))] },
  });
  const names = new Map(people.map((person) => [person.id, person.name]));
  return {
    comments: shown.map((row) => ({
      id: row.id,
      name: names.get(row.personId) ?? '',
      at: row.at,
      text: row.text,
      mayRemove: row.removedBy === null && mayRemove(row, reader),
      isRemoved: row.removedBy !== null,
    })),
    mayComment: mayComment(course, reader, announcement.comments, now),
  };
}

export async function comment(
  em: EntityManager,
  course: Course,
  reader: Reader,
  id: string,
  text: string,
  now: string,
): Promise<CommentsAnswer> {
  const { announcement } = found(course, reader.viewer, id, now);
  if (!mayComment(course, reader, announcement.comments, now)) {
    throw new Failure('not_allowed', 'This announcement is not open to comments, or not to yours');
  }
  // Those count too that have been taken away: they can come back.
  const turn = await em.count(RemarkRow, { courseId: course.id, announcementId: id });
  if (turn >= MOST_REMARKS) {
    throw new Failure(
      'not_allowed',
      `There are ${MOST_REMARKS} comments already; that is as many as it takes`,
    );
  }
  const personId = (reader.person as Person).id;
  const remark = {
    courseId: course.id,
    id: crypto.randomUUID(),
    announcementId: id,
    personId,
    at: now,
    text,
    turn,
    removedBy: null,
  };
  em.persist(em.create(RemarkRow, remark));
  await em.flush();
  return comments(em, course, reader, id, now);
}

export async function removeComment(
  em: EntityManager,
  course: Course,
  reader: Reader,
  { announcement, remark }: RemarkAt,
  now: string,
): Promise<CommentsAnswer> {
  const row = await remarkAt(em, course, reader, { announcement, remark }, now);
  if (!mayRemove(row, reader)) throw new Failure('not_allowed', 'This comment is somebody else’s');
  // Taken away twice is taken away by whoever was first.
  row.removedBy ??= (reader.person as Person).id;
  await em.flush();
  return comments(em, course, reader, announcement, now);
}

export async function restoreComment(
  em: EntityManager,
  course: Course,
  reader: Reader,
  { announcement, remark }: RemarkAt,
  now: string,
): Promise<CommentsAnswer> {
  const row = await remarkAt(em, course, reader, { announcement, remark }, now);
  if (row.removedBy !== null) {
    if (!mayRestore(row, reader)) throw nothingHere();
    row.removedBy = null;
    await em.flush();
  }
  return comments(em, course, reader, announcement, now);
}
