/** What people say about an announcement. */
import type { CommentsAnswer } from '@itinerary/contract';
import { mayPlan, resolveAccess } from '@itinerary/core';
import type { Course } from '@itinerary/core';
import { RemarkRow } from '../../db/entities.ts';
import type { Person, RemarkRecord } from '../../db/entities.ts';
import { underCourse } from '../../db/locks.ts';
import type { EntityManager } from '../../db/orm.ts';
import { Failure } from '../failure.ts';
import { idTaken } from '../id-taken.ts';
import { namesTold } from '../members/names-told.ts';
import { paceOf } from '../pace.ts';
import { nothingHere } from '../nothing-here.ts';
import { standingOne } from './standing.ts';
import type { Reader } from './standing.ts';

/** Standing ones: of one person under one announcement, and of everybody. */
const MOST_OF_ONE = 40;
const MOST_REMARKS = 2000;
/** As many in so long a time: nobody has more to say that others should read. */
const COMMENTS = paceOf(10, 10, 'comments');

/** How many stand under each announcement. */
export async function remarkCounts(
  em: EntityManager,
  courseId: string,
): Promise<ReadonlyMap<string, number>> {
  const rows = await em.execute<{ announcement_id: string; count: string }[]>(
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
  const names = await namesTold(em, course, reader, [...new Set(shown.map(({ personId }) => personId))]);
  return {
    comments: shown.map((row) => ({
      id: row.id,
      name: names.get(row.personId) ?? null,
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
  said: { readonly id: string; readonly text: string },
  now: string,
): Promise<CommentsAnswer> {
  const { announcement } = standingOne(course, reader.viewer, id, now);
  if (!mayComment(course, reader, announcement.comments, now)) {
    throw new Failure('not_allowed', 'This announcement is not open to comments, or not to yours');
  }
  const personId = (reader.person as Person).id;
  await underCourse(em, course.id, async (inner) => {
    const there = await inner.findOne(RemarkRow, { courseId: course.id, id: said.id });
    // Said already, and perhaps taken away since.
    if (there?.personId === personId && there.announcementId === id) return;
    if (there !== null) throw idTaken(said.id);
    const turn = await roomFor(inner, course.id, id, personId, now);
    inner.persist(
      inner.create(RemarkRow, {
        courseId: course.id,
        id: said.id,
        announcementId: id,
        personId,
        at: now,
        text: said.text,
        turn,
        removedBy: null,
      }),
    );
  });
  return comments(em.fork(), course, reader, id, now);
}

/**
 * Where the next comment stands. What has been taken away has left its place to others.
 *
 * @throws Failure where this person, or everybody, has said as much as there is room for.
 */
async function roomFor(
  em: EntityManager,
  courseId: string,
  announcementId: string,
  personId: string,
  now: string,
): Promise<number> {
  const thread = { courseId, announcementId };
  // Under every announcement: whoever goes on under the next one is as quick.
  const recent = await em.find(
    RemarkRow,
    { courseId, personId, at: { $gt: COMMENTS.since(now) } },
    { orderBy: { at: 'asc' }, fields: ['at'] },
  );
  COMMENTS.mustNotHurry(recent, now);
  const own = await em.count(RemarkRow, { ...thread, personId, removedBy: null });
  if (own >= MOST_OF_ONE) {
    throw new Failure(
      'not_allowed',
      `You have ${MOST_OF_ONE} comments here, which is as many as one person has`,
    );
  }
  if ((await em.count(RemarkRow, { ...thread, removedBy: null })) >= MOST_REMARKS) {
    throw new Failure(
      'not_allowed',
      `There are ${MOST_REMARKS} comments already; that is as many as it takes`,
    );
  }
  const [last] = await em.find(RemarkRow, thread, { orderBy: { turn: 'desc' }, limit: 1 });
  return (last?.turn ?? -1) + 1;
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
  if (reader.person === null) throw new Failure('not_signed_in', 'Sign in first');
  await underCourse(em, course.id, async (inner) => {
    const thread = { courseId: course.id, announcementId: announcement };
    const row = await inner.findOne(RemarkRow, { ...thread, id: remark });
    if (row === null) throw nothingHere();
    row.removedBy = isThere ? broughtBack(row, reader) : takenAway(row, reader);
  });
  return comments(em.fork(), course, reader, announcement, now);
}

/** By whom it has been taken away then: twice is by whoever was first. */
function takenAway(remark: Remark, reader: Reader): string | null {
  if (!mayRemove(remark, reader)) throw new Failure('not_allowed', 'This comment is somebody else’s');
  return remark.removedBy ?? reader.person?.id ?? null;
}

function broughtBack(remark: Remark, reader: Reader): null {
  // Of one that stands, whoever could have taken it away may say that it should.
  const may = remark.removedBy === null ? mayRemove(remark, reader) : mayRestore(remark, reader);
  if (!may) throw nothingHere();
  return null;
}
