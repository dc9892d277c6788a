/** What people say about an announcement. */
import type { CommentsAnswer } from '@itinerary/contract';
import { mayPlan, resolveAccess } from '@itinerary/core';
import type { Course } from '@itinerary/core';
import { PersonRow, RemarkRow } from '../../db/entities.ts';
import type { Person, RemarkRecord } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { Failure } from '../failure.ts';
import { nothingHere } from '../nothing-here.ts';
import { standingOne } from './standing.ts';
import type { Reader } from './standing.ts';

/** A thread of a class is some dozens; beyond this somebody is playing. */
const MOST_REMARKS = 500;

/** How many stand under each announcement. */
export async function remarkCounts(
  em: EntityManager,
  courseId: string,
): Promise<ReadonlyMap<string, number>> {
  const rows = await em
    .getConnection()
    .execute<{ announcement_id: string; count: string }[]>(
      'select announcement_id, count(*) as count from remark where course_id = ? and removed_by is null group by announcement_id',
      [courseId],
    );
  return new Map(rows.map(({ announcement_id: id, count }) => [id, Number(count)]));
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

type Remark = Pick<RemarkRecord, 'personId' | 'removedBy'>;

function mayRemove({ personId }: Remark, { viewer, person }: Reader): boolean {
  return person !== null && (personId === person.id || mayPlan(viewer));
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
  const { announcement } = standingOne(course, reader.viewer, id, now);
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
  const { announcement } = standingOne(course, reader.viewer, id, now);
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

/** Takes a comment away, or brings it back. */
export async function setComment(
  em: EntityManager,
  course: Course,
  reader: Reader,
  { announcement, remark, isThere }: RemarkAt & { readonly isThere: boolean },
  now: string,
): Promise<CommentsAnswer> {
  standingOne(course, reader.viewer, announcement, now);
  const row = await em.findOne(RemarkRow, {
    courseId: course.id,
    announcementId: announcement,
    id: remark,
  });
  if (row === null) throw nothingHere();
  row.removedBy = isThere ? broughtBack(row, reader) : takenAway(row, reader);
  await em.flush();
  return comments(em, course, reader, announcement, now);
}

/** By whom it has been taken away then: twice is by whoever was first. */
function takenAway(remark: Remark, reader: Reader): string | null {
  if (!mayRemove(remark, reader)) throw new Failure('not_allowed', 'This comment is somebody else’s');
  return remark.removedBy ?? reader.person?.id ?? null;
}

function broughtBack(remark: Remark, reader: Reader): null {
  if (remark.removedBy !== null && !mayRestore(remark, reader)) throw nothingHere();
  return null;
}
