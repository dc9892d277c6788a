/** A meeting as one person has it, and saying by a code that one is there. */
import type { MeetingAnswer } from '@itinerary/contract';
import { hasRight, meetingAt, momentsOf, ownPlan } from '@itinerary/core';
import type { CoursePlan, Meeting, MeetingTimes } from '@itinerary/core';
import { readCode } from '@itinerary/core/people';
import { AttendanceCodeRow, AttendanceRow } from '../../../db/entities.ts';
import type { EntityManager } from '../../../db/orm.ts';
import { Failure } from '../../failure.ts';
import type { Attempts } from '../../people/attempts.ts';
import { record } from '../../progress/record.ts';
import { lockWork } from '../draft.ts';
import { iso } from '../own-work.ts';
import type { Worker } from '../own-work.ts';
import { itemFor } from '../taken-work.ts';

/** Letters and digits: short enough to be called across a room. */
export const MEETING_CODE_LENGTH = 6;

/** As a plan has it: a meeting without a moment of its own takes its section's, and how long that lasts. */
export function timesOf(plan: CoursePlan, meeting: Meeting, now: string): MeetingTimes {
  const section = plan.sections.find(({ moments }) => moments.has(meeting.id));
  const slot = section?.span.kind === 'slot' ? section.span.slot.meeting : null;
  const own = meeting.held === null ? (slot?.minutes ?? null) : null;
  return meetingAt(meeting, momentsOf(plan, meeting.id).held, own, Date.parse(now));
}

export const toldTimes = (
  { phase, begins, ends }: MeetingTimes,
  zone: string,
): Pick<MeetingAnswer, 'phase' | 'begins' | 'ends' | 'zone'> => ({
  phase,
  begins: iso(begins),
  ends: iso(ends),
  zone,
});

export async function ownMeeting(
  em: EntityManager,
  { course, viewer, personId }: Worker,
  itemId: string,
  now: string,
): Promise<MeetingAnswer> {
  const { node, isOpen } = itemFor(course, viewer, itemId, 'meeting', now);
  const times = timesOf(ownPlan(course, viewer, Date.parse(now)), node, now);
  const mayLook = hasRight(viewer, 'mark');
  const isLearner = viewer.role === 'learner' && personId !== null;
  const key = { courseId: course.id, itemId, personId: personId ?? '' };
  const row = isLearner ? await em.findOne(AttendanceRow, key) : null;
  // Where it is held on the net is for those who take part.
  const takesPart = isLearner || mayLook;
  const isOver = times.phase === 'over';
  return {
    ...toldTimes(times, course.dates.zone),
    room: takesPart && !isOver ? node.room : null,
    afterwards: takesPart && isOver ? node.afterwards : null,
    recording: takesPart && isOver ? node.recording : null,
    attendance: node.attendance,
    mine: row?.attended ?? null,
    mayEnter: isLearner && isOpen && node.attendance === 'code' && row === null,
    mayLook,
  };
}

/** @throws Failure `cannot_hand_in` where no code is taken, or it is not the one that is good now */
export async function sayHere(
  em: EntityManager,
  attempts: Attempts,
  worker: Worker,
  itemId: string,
  typed: string,
  place: string,
  now: string,
): Promise<void> {
  const { course, viewer, personId } = worker;
  const { node, isOpen } = itemFor(course, viewer, itemId, 'meeting', now);
  const notTaken = (path: string, sentence: string): Failure =>
    new Failure('cannot_hand_in', sentence, [{ path, value: path, expected: 'the code that is good now' }]);
  if (viewer.role !== 'learner' || personId === null || !isOpen || node.attendance !== 'code')
    throw notTaken('item', 'No code is taken here now');
  const tried = await attempts.attend({ person: personId, meeting: `${course.id} ${itemId}`, place });
  const good = await em.findOne(AttendanceCodeRow, { courseId: course.id, itemId });
  if (good === null || good.until <= now || readCode(typed, MEETING_CODE_LENGTH) !== good.code)
    throw notTaken('code', 'That is not the code, or it is over');
  await tried.giveBack();
  await em.transactional(async (inner) => {
    await lockWork(inner, course.id, personId, itemId);
    const key = { courseId: course.id, itemId, personId };
    const row = await inner.findOne(AttendanceRow, key);
    // What staff have said stands.
    if (row !== null) return;
    inner.persist(inner.create(AttendanceRow, { ...key, attended: 'there', by: null, at: now }));
    await inner.flush();
    await record(inner, course, { personId, viewer }, itemId, { kind: 'attended' }, now);
  });
}
