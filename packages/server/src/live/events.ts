/**
 * Server-sent events for one person: that something they get has changed, by somebody's change or by a moment that
 * has come. What has changed is asked for anew, so that nothing is told here that the answer would deny.
 */
import type { Response } from 'express';
import { instantsOf, mayPlan } from '@itinerary/core';
import type { Viewer } from '@itinerary/core';
import type { Clock } from '../config/clock.ts';
import { coursesWhere } from '../db/kept-courses.ts';
import { ChangeRow, CourseRow, MemberRow } from '../db/entities.ts';
import type { Person } from '../db/entities.ts';
import type { Database, EntityManager } from '../db/orm.ts';
import { viewersOf } from '../usecases/access/viewer.ts';
import type { Notices } from './notices.ts';
import { inTurn } from './spread.ts';

/** Proxies cut lines that say nothing for long. */
const BEAT_MS = 25_000;
/** No timer runs longer; what comes later is looked up again by then. */
const LONGEST_MS = 6 * 60 * 60 * 1000;
/** A moment has passed once its first millisecond has. */
const AFTER_MS = 5;
/** A page was asked for a little before it listens: what came between is told as well. */
const BEFORE_MS = 60_000;
const AGAIN_MS = 5000;

export interface Listening {
  readonly database: Database;
  readonly notices: Notices;
  readonly clock: Clock;
  readonly person: Person;
}

interface Standing {
  readonly viewers: ReadonlyMap<string, Viewer>;
  /** Milliseconds until the next moment of any of their courses; null: none. */
  readonly wait: number | null;
}

/** @param since the instant up to which everything has been told, in milliseconds since 1970-01-01T00:00Z. */
async function standing(em: EntityManager, { person, clock }: Listening, since: number): Promise<Standing> {
  const now = clock.now();
  const own = await em.find(MemberRow, { personId: person.id, leftAt: null });
  const courses = await coursesWhere(em, { id: { $in: own.map(({ courseId }) => courseId) } });
  const viewerOf = await viewersOf(em, person, courses, now);
  const viewers = new Map(courses.map(({ id }) => [id, viewerOf(id)]));
  const at = Date.parse(now);
  const ahead = courses
    .flatMap((course) => instantsOf(course, viewerOf(course.id), at))
    .filter((instant) => instant > since);
  // A clock that stands never gets there.
  const wait = ahead.length === 0 || clock.stands ? null : Math.max(0, Math.min(...ahead) - at);
  return { viewers, wait };
}

/** Courses of theirs that have changed since then, each with its last number: the page may be from before it. */
async function changedSince(
  em: EntityManager,
  { person }: Listening,
  own: readonly string[],
  since: number,
): Promise<readonly { readonly id: string; readonly seq: number }[]> {
  const isStaff = person.kind === 'staff';
  const recent = await em.find(
    ChangeRow,
    {
      at: { $gte: new Date(since).toISOString() },
      ...(isStaff ? {} : { courseId: { $in: [...own] } }),
    },
    { fields: ['courseId', 'seq'], orderBy: { seq: 'asc' } },
  );
  const last = new Map(recent.map(({ courseId, seq }) => [courseId, seq]));
  if (isStaff && last.size > 0) {
    const theirs = { institutionId: person.institutionId, id: { $in: [...last.keys()] } };
    const kept = new Set((await em.find(CourseRow, theirs, { fields: ['id'] })).map(({ id }) => id));
    for (const id of last.keys()) if (!kept.has(id)) last.delete(id);
  }
  return [...last].map(([id, seq]) => ({ id, seq }));
}

export async function streamEvents(response: Response, listening: Listening): Promise<void> {
  const { database, notices, person } = listening;
  // From the first moment on: whoever leaves while all this begins has left as well.
  const left = new Promise<void>((resolve) => response.once('close', resolve));
  response.status(200).set({
    'Content-Type': 'text/event-stream',
    // A compressed stream is held back until it is worth compressing.
    'Cache-Control': 'no-store, no-transform',
    'X-Accel-Buffering': 'no',
  });
  response.flushHeaders();
  let isOver = false;
  const send = (event: string, data: unknown): void => {
    if (!isOver) response.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);
  };
  let timer: ReturnType<typeof setTimeout> | undefined;
  let now: Standing = { viewers: new Map(), wait: null };
  const clockTime = (): number => Date.parse(listening.clock.now());
  // What comes while the next moment is looked up must not fall between two stools.
  let since = clockTime() - BEFORE_MS;
  const look = (): void => {
    since = clockTime();
    send('look', {});
  };
  /** Whoever plans a course works with others at this moment; who reads it is told in turn. */
  const reading = inTurn(notices.count, () => {
    look();
    void settle();
  });
  /** Courses that they are not on have changed; they may have come onto one just now. */
  const elsewhere = new Set<string>();
  const joining = inTurn(notices.count, () => {
    const heard = [...elsewhere];
    elsewhere.clear();
    void settle().then(() => heard.some((course) => now.viewers.has(course)) && look());
  });
  const settleOnce = async (): Promise<void> => {
    clearTimeout(timer);
    // The database may be away: what is not known is looked at again.
    const again = (): Standing => ({ ...now, wait: listening.clock.stands ? null : AGAIN_MS });
    now = await standing(database.em.fork(), listening, since).catch(again);
    if (isOver || now.wait === null) return;
    const isFar = now.wait > LONGEST_MS;
    timer = setTimeout(
      () => {
        if (isFar) void settle();
        else reading.soon();
      },
      Math.min(now.wait + AFTER_MS, LONGEST_MS),
    );
  };
  // One after the other, so that there is one timer, and it is that of the last; and of many that wait, one is enough.
  let settling = Promise.resolve();
  let waiting: Promise<void> | null = null;
  const settle = (): Promise<void> =>
    (waiting ??= settling =
      settling.then(() => {
        waiting = null;
        return settleOnce();
      }));
  const isStaff = person.kind === 'staff';
  const mayPlanIt = (course: string): boolean => {
    const viewer = now.viewers.get(course);
    return isStaff || (viewer !== undefined && mayPlan(viewer));
  };
  const stop = notices.listen((notice) => {
    if (notice === null) {
      send('missed', {});
      void settle();
      return;
    }
    const { course, seq } = notice;
    const viewer = now.viewers.get(course);
    if (viewer === undefined && !isStaff) {
      elsewhere.add(course);
      return joining.soon();
    }
    if (!mayPlanIt(course)) return reading.soon();
    send('course', { id: course, seq });
    look();
    void settle();
  });
  const beat = setInterval(() => void response.write(': still here\n\n'), BEAT_MS);
  const before = since;
  await settle();
  const missed = await changedSince(database.em.fork(), listening, [...now.viewers.keys()], before).catch(
    () => [],
  );
  for (const { id, seq } of missed) if (mayPlanIt(id)) send('course', { id, seq });
  if (missed.length > 0) send('look', {});
  send('ready', {});
  await left;
  isOver = true;
  stop();
  clearInterval(beat);
  clearTimeout(timer);
  reading.stop();
  joining.stop();
}
