/** What a course is joined by: its code, or what the letter of an invitation holds. */
import { randomBytes } from 'node:crypto';
import { CODE_LENGTH, codeOf, readCode } from '@itinerary/core/people';
import { InvitationRow, JoinCodeRow } from '../../db/entities.ts';
import { underCourse } from '../../db/locks.ts';
import type { EntityManager } from '../../db/orm.ts';
import { accountOf } from '../people/account-of.ts';
import { hashOfKey, isKey } from '../accounts/keys.ts';
import type { Attempts } from '../people/attempts.ts';
import { Failure } from '../failure.ts';
import { EMPTY_HANDED, holderOf } from './join-facts.ts';
import type { InHand } from './join-facts.ts';

/** The one before stops in the same moment. */
export async function newJoinCode(em: EntityManager, courseId: string, now: string): Promise<void> {
  await underCourse(em, courseId, async (inner) => {
    const code = codeOf(randomBytes(CODE_LENGTH));
    await inner.upsert(JoinCodeRow, { courseId, code, madeAt: now });
  });
}

export interface Held {
  readonly course: string;
  readonly hand: InHand;
}

/** Null: it opens nothing, or nothing any more. */
export async function heldBy(em: EntityManager, typed: string): Promise<Held | null> {
  if (isKey(typed)) {
    const invitation = await em.findOne(InvitationRow, { keyHash: hashOfKey(typed) });
    if (invitation === null || invitation.state !== 'waiting') return null;
    const account = await accountOf(em, invitation.address);
    const holders = [holderOf(invitation), ...(account === null ? [] : [account.id])];
    return { course: invitation.courseId, hand: { ...EMPTY_HANDED, invitation, holders } };
  }
  const code = readCode(typed);
  const row = code === null ? null : await em.findOne(JoinCodeRow, { code });
  return row === null ? null : { course: row.courseId, hand: { ...EMPTY_HANDED, hasLink: true } };
}

/**
 * @param place where it comes from on the network
 * @throws Failure `not_found`, `too_many_attempts`
 */
export async function tryKey(
  em: EntityManager,
  attempts: Attempts,
  typed: string,
  place: string,
): Promise<Held> {
  const tried = await attempts.join({ place });
  const held = await heldBy(em, typed);
  if (held === null) throw opensNothing();
  await tried.giveBack();
  return held;
}

export const opensNothing = (): Failure =>
  new Failure('not_found', 'No course has this code; whoever gave it to you may have made a new one');
