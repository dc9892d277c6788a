/** What the job that sends a letter does, and what is done with one that comes back. */
import { InvitationRow, LetterRow } from '../../db/entities.ts';
import type { LetterRecord } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { announce } from '../../db/announce.ts';
import { CourseRow } from '../../db/entities.ts';
import { Refused } from '../../mail/carrier.ts';
import type { Carrier } from '../../mail/carrier.ts';
import { compose } from '../../mail/letters.ts';

/**
 * A fall between the service's yes and ours sends it again, under the same id: whoever keeps letters by their id
 * keeps one.
 *
 * @throws whatever stands in the way for now; the queue tries it again
 */
export async function sendLetter(
  em: EntityManager,
  carrier: Carrier,
  site: string,
  id: string,
  now: string,
): Promise<void> {
  const letter = await em.findOne(LetterRow, { id });
  if (letter === null || letter.state !== 'queued' || (await isWithdrawn(em, letter))) return;
  try {
    await carrier.carry({ id, to: letter.address, ...compose(letter.kind, letter.lang, letter.facts, site) });
  } catch (error) {
    if (!(error instanceof Refused)) throw error;
    await returned(em, id, error.message);
    return;
  }
  // What opens something is in the letter, and from now on nowhere else.
  letter.facts = { ...letter.facts, path: '' };
  letter.state = 'sent';
  letter.sentAt = now;
  await em.flush();
  if (letter.courseId != null) await tellCourse(em, letter.courseId);
}

async function isWithdrawn(em: EntityManager, { kind, courseId, about }: LetterRecord): Promise<boolean> {
  if (kind !== 'invitation' || courseId == null || about == null) return false;
  const invitation = await em.findOne(InvitationRow, { courseId, id: about });
  return invitation?.state !== 'waiting';
}

async function tellCourse(em: EntityManager, id: string): Promise<void> {
  const course = await em.findOne(CourseRow, { id }, { fields: ['seq'] });
  if (course !== null) await announce(em, { course: id, seq: course.seq });
}

/** Refused at the door, or come back later: an invitation that nobody has taken meanwhile has bounced. */
export async function returned(em: EntityManager, id: string, why: string): Promise<void> {
  const course = await em.transactional(async (inner) => {
    const letter = await inner.findOne(LetterRow, { id });
    if (letter === null || letter.state === 'bounced') return null;
    Object.assign(letter, { state: 'bounced', why, facts: { ...letter.facts, path: '' } });
    const { courseId, about } = letter;
    if (letter.kind !== 'invitation' || courseId == null || about == null) return null;
    const invitation = await inner.findOne(InvitationRow, { courseId, id: about });
    // Corrected since, it is on its way to somebody else.
    if (invitation?.state !== 'waiting' || invitation.address !== letter.address) return null;
    Object.assign(invitation, { state: 'bounced', why });
    // Nobody can take it, so nothing is kept for it.
    await inner.execute(
      `delete from held_seat where course_id = ? and kind = 'invitation' and holder in (?, coalesce(
         (select id from person where lower(address) = lower(?)), ''))`,
      [courseId, `invitation ${about}`, invitation.address],
    );
    return courseId;
  });
  if (course !== null) await tellCourse(em, course);
}
