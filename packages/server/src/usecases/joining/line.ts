/** Who waits for a seat: a free one is offered to the next at once, and offered further when nobody takes it in time. */
import type { Course } from '@itinerary/core';
import { offersDue, wayOf, withinReach } from '@itinerary/core/people';
import type { JoinWay, WayKind } from '@itinerary/core/people';
import type { SwitchedWay } from '@itinerary/core';
import { byTurn } from '../../db/locks.ts';
import { announce } from '../../db/announce.ts';
import { lockedCourse } from '../../db/kept-courses.ts';
import type { KeptCourse } from '../../db/kept-courses.ts';
import { CourseRow, HeldSeatRow, MemberRow, PersonRow, WaitingRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { post } from '../mail/post.ts';
import { bringInFromLine } from '../registry/bring-in.ts';
import { completedFor, EMPTY_HANDED, joinCourse, joinerOf, planOf } from './join-facts.ts';

const HOUR_MS = 3_600_000;

/**
 * Under the course's lock, and from then on the transaction's seats are counted at this instant. Whoever comes by themselves is asked for after those who wait, so that it does not matter
 * whether a job has been quicker.
 *
 * @returns how many seats were offered
 */
export async function moveUp(em: EntityManager, { course, row }: KeptCourse, now: string): Promise<number> {
  const courseId = course.id;
  const at = Date.parse(now);
  // One question for the most usual case, in which nobody waits and nothing has lapsed.
  const [found] = await em.execute<{ lapsed: boolean; waits: boolean }[]>(
    `select set_config('itinerary.at', ?, true),
       exists (select 1 from held_seat where course_id = ? and lapses_at <= ?) as lapsed,
       exists (select 1 from waiting where course_id = ?) as waits`,
    [String(at), courseId, at, courseId],
  );
  if (found?.lapsed === true) await em.nativeDelete(HeldSeatRow, { courseId, lapsesAt: { $lte: at } });
  if (found?.waits !== true) return 0;
  const plan = planOf(course);
  const standing = await joinCourse(em, plan, at);
  const byKind = (kind: WayKind): JoinWay => wayOf(plan, kind as SwitchedWay);
  const ids = withinReach(standing, byKind, at).map(({ person }) => person);
  if (ids.length === 0) return 0;
  const people = new Map((await em.find(PersonRow, { id: { $in: ids } })).map((one) => [one.id, one]));
  const rows = await em.find(MemberRow, { courseId, personId: { $in: ids } });
  const members = new Map(rows.map((one) => [one.personId, one]));
  const byWay = new Map(standing.waiting.map(({ person, way }) => [person, way]));
  const completed = new Map<string, ReadonlySet<string>>();
  for (const person of people.values()) {
    completed.set(person.id, await completedFor(em, course, person, at));
  }
  const due = offersDue(
    standing,
    (person) => {
      const hand = { ...EMPTY_HANDED, hasLink: byWay.get(person) === 'link' };
      const whom = people.get(person) ?? null;
      return joinerOf(whom, members.get(person) ?? null, hand, completed.get(person));
    },
    byKind,
    at,
  );
  const lapsesAt = at + course.answerHours * HOUR_MS;
  for (const { person, way } of due) {
    // Whom the registry has is not asked: they are taken in.
    if (way === 'registry') {
      await bringInFromLine(em, course, row.institutionId, person, now);
      await em.nativeDelete(WaitingRow, { courseId, personId: person });
      continue;
    }
    await em.nativeDelete(WaitingRow, { courseId, personId: person });
    em.persist(em.create(HeldSeatRow, { courseId, holder: person, kind: 'offer', way, lapsesAt }));
    await em.flush();
    const whom = people.get(person);
    if (whom?.address == null) continue;
    const facts = {
      ...factsOf(course),
      until: new Date(lapsesAt).toISOString(),
      path: `/join/to/${courseId}`,
    };
    const letter = { kind: 'offer' as const, address: whom.address, lang: whom.lang, facts };
    await post(em, { ...letter, institutionId: row.institutionId, courseId }, now);
  }
  if (due.length > 0) await announce(em, { course: courseId, seq: row.seq });
  return due.length;
}

/** What letters about a course say of it. */
export const factsOf = ({ title, dates }: Course): { course: string; zone: string } => ({
  course: title,
  zone: dates.zone,
});

/** The database counts kept seats at the instant at which the transaction acts, whatever clock that is by. */
export async function atInstant(em: EntityManager, at: number): Promise<void> {
  await em.execute(`select set_config('itinerary.at', ?, true)`, [String(at)]);
}

export async function moveUpCourse(em: EntityManager, courseId: string, now: string): Promise<void> {
  await byTurn(em, courseId, async (inner) => {
    const loaded = await lockedCourse(inner, courseId);
    if (loaded !== null) await moveUp(inner, loaded, now);
  });
}

/** Whatever has changed by itself: offers that have lapsed, windows that have opened. */
export async function sweepLines(em: EntityManager, now: string): Promise<void> {
  const found = await em.execute<{ id: string }[]>(
    `select course_id as id from waiting union select course_id from held_seat where lapses_at <= ? order by id`,
    [Date.parse(now)],
  );
  const courses = await em.find(CourseRow, { id: { $in: found.map(({ id }) => id) } }, { fields: ['id'] });
  for (const { id } of courses) await moveUpCourse(em.fork(), id, now);
}
