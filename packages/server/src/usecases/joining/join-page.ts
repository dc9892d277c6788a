/** What somebody wants to know before they join, and by which ways they may. */
import type { JoinPageAnswer, OpenWay } from '@itinerary/contract';
import { courseView } from '@itinerary/core';
import type { Course, CoursePlan } from '@itinerary/core';
import { heldFor, seatsTaken, shownWays } from '@itinerary/core/people';
import type { JoinAnswer, JoinCourse } from '@itinerary/core/people';
import { keptCourse } from '../../db/kept-courses.ts';
import { JoinRequestRow } from '../../db/entities.ts';
import type { Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { PASSER_BY } from '../access/viewer.ts';
import { accountOf } from '../people/account-of.ts';
import { nothingHere } from '../nothing-here.ts';
import { textReader } from '../plan/texts.ts';
import { staffOf } from '../reading/face.ts';
import { joiningOf, planOf } from './join-facts.ts';
import type { InHand, Joining } from './join-facts.ts';

export async function joinPage(
  em: EntityManager,
  courseId: string,
  person: Person | null,
  hand: InHand,
  now: string,
): Promise<JoinPageAnswer> {
  const loaded = await keptCourse(em, courseId);
  // A course of another institution does not exist for this person.
  if (loaded === null || (person !== null && person.institutionId !== loaded.row.institutionId)) {
    throw nothingHere();
  }
  const { course } = loaded;
  const plan = planOf(course);
  const at = Date.parse(now);
  const joining = await joiningOf(em, plan, person, hand, at);
  const ways = waysFor(plan, joining, hand, at);
  // Whoever is told of the ways knows of the course, open or not: they are told what its public page tells.
  const view = courseView({ ...course, find: 'anyone', state: 'live' }, PASSER_BY, now);
  if (view === null) throw nothingHere();
  const request =
    person === null ? null : await em.findOne(JoinRequestRow, { courseId, personId: person.id });
  const { invitation } = hand;
  return {
    course: {
      id: course.id,
      title: course.title,
      code: course.code,
      zone: course.dates.zone,
      firstDay: plan.firstDay,
      lastDay: plan.lastDay,
      descriptionHtml: await textReader(em, view).read(view.description, null),
      outcomes: [...view.outcomes],
      madeFor: view.madeFor,
      bringAlong: view.bringAlong,
      hoursAWeek: view.hoursAWeek,
      staff: (await staffOf(em, courseId)).map(({ name }) => name),
    },
    seatsLeft: seatsLeft(course, joining.course, ways[0]?.way ?? 'link', at),
    ways,
    request:
      request === null
        ? null
        : { state: request.state, askedAt: request.askedAt, reason: request.reason ?? null },
    invited:
      invitation === null
        ? null
        : {
            address: invitation.address,
            role: invitation.role,
            hasAccount: (await accountOf(em, invitation.address)) !== null,
            lapsesAt: invitation.lapsesAt ?? null,
          },
  };
}

/**
 * Whoever has something in hand is told of that way alone; whoever has nothing, of what is open to somebody who
 * knows of the course, and of the way by which they wait or have a seat kept.
 */
function waysFor(plan: CoursePlan, joining: Joining, hand: InHand, at: number): JoinPageAnswer['ways'] {
  const { joiner } = joining;
  const kept = heldFor(joining.course, joiner.person, at);
  const waits = joining.course.waiting.filter((one) => one.person === joiner.person);
  const theirs = [...kept, ...waits].map(({ way }) => way);
  const kinds: readonly OpenWay[] =
    hand.invitation !== null
      ? ['invitation']
      : hand.hasLink
        ? ['link']
        : (['invitation', 'link', 'paying', 'request'] as const).filter(
            (way) => theirs.includes(way) || way === 'paying' || way === 'request',
          );
  return shownWays(plan, kinds, joining.answerBy, joiner.kind, at).map((one) => ({
    ...one,
    answer: sent(one.answer),
    isOffered: kept.some(({ way, kind }) => way === one.way && kind === 'offer'),
    isPaying: kept.some(({ way, kind }) => way === one.way && kind === 'payment'),
  }));
}

/** The fewer of the course's and the way's. */
function seatsLeft(course: Course, join: JoinCourse, way: OpenWay, at: number): number | null {
  const own = course.ways[way]?.seats ?? null;
  const left = [
    course.seats === null ? null : course.seats - seatsTaken(join, null, at),
    own === null ? null : own - seatsTaken(join, way, at),
  ].filter((seats) => seats !== null);
  return left.length === 0 ? null : Math.max(0, Math.min(...left));
}

function sent(answer: JoinAnswer): JoinPageAnswer['ways'][number]['answer'] {
  if (answer.can === 'yes') return { ...answer, steps: [...answer.steps] };
  return answer.can === 'no' ? { ...answer, missing: [...answer.missing] } : answer;
}
