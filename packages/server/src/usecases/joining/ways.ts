/** What staff see of the ways in. */
import type { WaysInAnswer } from '@itinerary/contract';
import type { Course } from '@itinerary/core';
import type { WayKind } from '@itinerary/core/people';
import {
  HeldSeatRow,
  InvitationRow,
  JoinCodeRow,
  JoinRequestRow,
  LetterRow,
  PaymentRow,
  PersonRow,
  WaitingRow,
} from '../../db/entities.ts';
import type { InvitationRecord } from '../../db/entities.ts';
import { announce } from '../../db/announce.ts';
import type { KeptCourse } from '../../db/kept-courses.ts';
import { underCourse } from '../../db/locks.ts';
import type { EntityManager } from '../../db/orm.ts';
import { doorFacts } from './door.ts';
import type { Outside } from './door.ts';
import { holderOf } from './join-facts.ts';

/** Of those that are answered, the latest. */
const MOST_ANSWERED = 50;
const MOST_PAYMENTS = 500;

/** An invitation is over by itself, without anybody writing it down. */
export function stateOf(
  { state, lapsesAt }: Pick<InvitationRecord, 'state' | 'lapsesAt'>,
  now: string,
): WaysInAnswer['invitations'][number]['state'] {
  const isOver = state === 'waiting' && lapsesAt != null && Date.parse(now) >= Date.parse(lapsesAt);
  return isOver ? 'lapsed' : state;
}

export async function waysIn(
  em: EntityManager,
  course: Course,
  outside: Outside,
  now: string,
): Promise<WaysInAnswer> {
  const courseId = course.id;
  const at = Date.parse(now);
  const row = await em.findOne(JoinCodeRow, { courseId });
  const learners = await em.execute<{ way: WayKind; count: number }[]>(
    `select way, count(*)::int as count from member
     where course_id = ? and role = 'learner' and left_at is null group by way order by way`,
    [courseId],
  );
  const held = await em.find(
    HeldSeatRow,
    { courseId, lapsesAt: { $gt: at } },
    { orderBy: { lapsesAt: 'asc' } },
  );
  const waiting = await em.find(WaitingRow, { courseId }, { orderBy: { arrival: 'asc' } });
  const open = await em.find(JoinRequestRow, { courseId, state: 'open' }, { orderBy: { askedAt: 'asc' } });
  const answered = await em.find(
    JoinRequestRow,
    { courseId, state: { $ne: 'open' } },
    { orderBy: { decidedAt: 'desc' }, limit: MOST_ANSWERED },
  );
  const requests = [...open, ...answered];
  const invitations = await em.find(
    InvitationRow,
    { courseId },
    { orderBy: { madeAt: 'desc', address: 'asc' } },
  );
  const queued = await em.find(LetterRow, { courseId, kind: 'invitation', state: 'queued' });
  const isQueued = new Set(queued.map(({ about }) => about));
  const payments = await em.find(
    PaymentRow,
    { courseId },
    { orderBy: { begunAt: 'desc', id: 'asc' }, limit: MOST_PAYMENTS },
  );
  const ids = [
    ...held.map(({ holder }) => holder),
    ...[...waiting, ...requests, ...payments].map(({ personId }) => personId),
    ...invitations.flatMap(({ takenBy }) => (takenBy == null ? [] : [takenBy])),
  ];
  const people = new Map((await em.find(PersonRow, { id: { $in: ids } })).map((one) => [one.id, one]));
  const invited = new Map(invitations.map((one) => [holderOf(one), one.address]));
  return {
    code: row?.code ?? null,
    madeAt: row?.madeAt ?? null,
    learners,
    held: held.map(({ holder, kind, way, lapsesAt }) => ({
      name: people.get(holder)?.name ?? invited.get(holder) ?? '',
      kind,
      way,
      lapsesAt: new Date(lapsesAt).toISOString(),
    })),
    waiting: waiting.map(({ personId, way, line, since }) => ({
      person: personId,
      name: people.get(personId)?.name ?? '',
      way,
      line,
      since,
    })),
    requests: requests.map((one) => ({
      person: one.personId,
      name: people.get(one.personId)?.name ?? '',
      address: people.get(one.personId)?.address ?? '',
      question: one.question ?? null,
      answer: one.answer ?? null,
      askedAt: one.askedAt,
      state: one.state,
      reason: one.reason ?? null,
    })),
    invitations: invitations.map((one) => ({
      id: one.id,
      address: one.address,
      role: one.role,
      state: stateOf(one, now),
      sentAt: one.sentAt,
      times: one.times,
      lapsesAt: one.lapsesAt ?? null,
      keepsSeat: one.keepsSeat,
      why: one.why ?? null,
      isQueued: isQueued.has(one.id),
      takenBy: one.takenBy == null ? null : (people.get(one.takenBy)?.name ?? null),
    })),
    payments: payments.map((one) => ({
      id: one.id,
      name: people.get(one.personId)?.name ?? '',
      amount: one.amount,
      currency: one.currency,
      state: one.state,
      at: one.settledAt ?? one.begunAt,
      receipt: one.receipt ?? null,
      paidUntil: one.paidUntil ?? null,
      isStopped: one.isStopped,
    })),
    door: await doorFacts(em, course, outside, now),
  };
}

/** Whoever is taken out may come again, to the end. */
export async function outOfLine(
  em: EntityManager,
  { course, row }: Pick<KeptCourse, 'course' | 'row'>,
  people: readonly string[],
): Promise<void> {
  const courseId = course.id;
  const ids = [...people];
  await underCourse(em, courseId, async (inner) => {
    await inner.nativeDelete(WaitingRow, { courseId, personId: { $in: ids } });
    await inner.nativeDelete(HeldSeatRow, { courseId, holder: { $in: ids }, kind: 'offer' });
    await announce(inner, { course: courseId, seq: row.seq });
  });
}
