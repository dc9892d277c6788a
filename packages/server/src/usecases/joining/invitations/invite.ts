/** Invitations to addresses, known or not: sent, sent again, withdrawn, and sent to another address. */
import { randomUUID } from 'node:crypto';
import type { Invite, InvitedAct } from '@itinerary/contract';
import { announce } from '../../../db/announce.ts';
import type { KeptCourse } from '../../../db/kept-courses.ts';
import { HeldSeatRow, InvitationRow, MemberRow, TextRow } from '../../../db/entities.ts';
import type { InvitationRecord, Person } from '../../../db/entities.ts';
import type { EntityManager } from '../../../db/orm.ts';
import { plainText } from '../../../text/plain-text.ts';
import { accountOf } from '../../people/account-of.ts';
import { hashOfKey, newKey } from '../../accounts/keys.ts';
import { Failure } from '../../failure.ts';
import { post } from '../../mail/post.ts';
import { openForMembers } from '../../members/lists/take-list.ts';
import { holderOf } from '../join-facts.ts';
import { factsOf, moveUp } from '../line.ts';
import { withSeats } from '../seating.ts';
import { stateOf } from '../ways.ts';

const DAY_MS = 86_400_000;
/** A seat that is kept for an invitation that does not lapse is not kept for ever. */
const KEPT_DAYS = 14;

const later = (now: string, days: number): string => new Date(Date.parse(now) + days * DAY_MS).toISOString();

/** Under the course's lock, after whoever waits has been served; nobody is promised a seat that is not there. */
async function whole(
  em: EntityManager,
  courseId: string,
  now: string,
  work: (inner: EntityManager, loaded: KeptCourse) => Promise<void>,
): Promise<void> {
  await withSeats(em, courseId, async (inner) => {
    const loaded = await openForMembers(inner, courseId);
    await moveUp(inner, loaded, now);
    await work(inner, loaded);
    await announce(inner, { course: courseId, seq: loaded.row.seq });
  });
}

/** Whoever is on the course already, or has an invitation that is still open, is left out. */
export async function invite(
  em: EntityManager,
  courseId: string,
  by: Person,
  { addresses, role, days, keepsSeats, lang }: Invite,
  now: string,
): Promise<void> {
  await whole(em, courseId, now, async (inner, loaded) => {
    const seen = new Set<string>();
    for (const address of addresses) {
      const folded = address.toLowerCase();
      if (seen.has(folded)) continue;
      seen.add(folded);
      const account = await accountOf(inner, address);
      const isIn =
        account !== null &&
        (await inner.count(MemberRow, { courseId, personId: account.id, leftAt: null })) > 0;
      const before = await openInvitation(inner, courseId, address);
      if (isIn || (before !== null && stateOf(before, now) === 'waiting')) continue;
      // One that is over, or has bounced, gives way to the new one.
      if (before !== null) await withdraw(inner, before, account);
      const key = newKey();
      const invitation = inner.create(InvitationRow, {
        courseId,
        id: randomUUID(),
        address,
        role,
        keyHash: hashOfKey(key),
        lang: account?.lang ?? lang,
        by: by.id,
        madeAt: now,
        sentAt: now,
        times: 1,
        lapsesAt: days === null ? null : later(now, days),
        keepsSeat: keepsSeats && role === 'learner',
        state: 'waiting',
        why: null,
        takenBy: null,
        takenAt: null,
      });
      await inner.persist(invitation).flush();
      await keepSeat(inner, invitation, account, now);
      await sendInvitation(inner, loaded, invitation, by, key, now);
    }
  });
}

async function withdraw(
  em: EntityManager,
  invitation: InvitationRecord,
  account: Person | null,
): Promise<void> {
  em.assign(invitation, { state: 'withdrawn' });
  await em.flush();
  await giveUpSeat(em, invitation, account);
}

async function openInvitation(
  em: EntityManager,
  courseId: string,
  address: string,
): Promise<InvitationRecord | null> {
  const [found] = await em.execute<{ id: string }[]>(
    `select id from invitation where course_id = ? and lower(address) = lower(?) and state in ('waiting', 'bounced')`,
    [courseId, address],
  );
  return found === undefined ? null : em.findOne(InvitationRow, { courseId, id: found.id });
}

async function keepSeat(
  em: EntityManager,
  invitation: InvitationRecord,
  account: Person | null,
  now: string,
): Promise<void> {
  await giveUpSeat(em, invitation, account);
  if (!invitation.keepsSeat) return;
  const { courseId, lapsesAt } = invitation;
  const kept = { courseId, holder: account?.id ?? holderOf(invitation), kind: 'invitation' as const };
  const until = Date.parse(lapsesAt ?? later(now, KEPT_DAYS));
  await em.persist(em.create(HeldSeatRow, { ...kept, way: 'invitation', lapsesAt: until })).flush();
}

async function giveUpSeat(
  em: EntityManager,
  invitation: InvitationRecord,
  account: Person | null,
): Promise<void> {
  const holder = { $in: [holderOf(invitation), ...(account === null ? [] : [account.id])] };
  await em.nativeDelete(HeldSeatRow, { courseId: invitation.courseId, holder, kind: 'invitation' });
}

async function sendInvitation(
  em: EntityManager,
  { course, row }: KeptCourse,
  { id, address, lang, role, lapsesAt }: InvitationRecord,
  by: Person,
  key: string,
  now: string,
): Promise<void> {
  const text =
    course.description === null
      ? null
      : await em.findOne(TextRow, { courseId: course.id, hash: course.description });
  const description = text === null ? '' : plainText(text.html);
  const facts = {
    ...factsOf(course),
    by: by.name,
    role,
    path: `/join/${key}`,
    ...(description === '' ? {} : { description }),
    ...(lapsesAt == null ? {} : { until: lapsesAt }),
  };
  const letter = { kind: 'invitation' as const, address, lang, facts, courseId: course.id, about: id };
  await post(em, { ...letter, institutionId: row.institutionId }, now);
}

/** What is sent again has a new key, and as many days as it had: the letter before opens nothing any more. */
async function sendAgain(
  em: EntityManager,
  loaded: KeptCourse,
  invitation: InvitationRecord,
  by: Person,
  now: string,
): Promise<void> {
  const { sentAt, lapsesAt } = invitation;
  const lasts = lapsesAt == null ? null : Date.parse(lapsesAt) - Date.parse(sentAt);
  const key = newKey();
  em.assign(invitation, {
    keyHash: hashOfKey(key),
    sentAt: now,
    times: invitation.times + 1,
    lapsesAt: lasts === null ? null : new Date(Date.parse(now) + lasts).toISOString(),
    state: 'waiting',
    why: null,
  });
  await em.flush();
  await keepSeat(em, invitation, await accountOf(em, invitation.address), now);
  await sendInvitation(em, loaded, invitation, by, key, now);
}

const OPEN: readonly InvitationRecord['state'][] = ['waiting', 'bounced'];

export async function actOnInvitations(
  em: EntityManager,
  courseId: string,
  by: Person,
  act: InvitedAct,
  now: string,
): Promise<void> {
  await whole(em, courseId, now, async (inner, loaded) => {
    const ids = act.act === 'correct' ? [act.id] : [...new Set(act.ids)];
    const found = await inner.find(InvitationRow, { courseId, id: { $in: ids } });
    if (found.length < ids.length) {
      const missing = ids.find((id) => found.every((one) => one.id !== id));
      throw new Failure('bad_input', 'In the body: ids', [
        { path: 'ids', value: missing, expected: 'the id of an invitation to this course' },
      ]);
    }
    // What was taken or withdrawn meanwhile is left as it is.
    const open = found.filter(({ state }) => OPEN.includes(state));
    for (const invitation of open) {
      const account = await accountOf(inner, invitation.address);
      if (act.act === 'withdraw') {
        await withdraw(inner, invitation, account);
      } else if (act.act === 'again') {
        await sendAgain(inner, loaded, invitation, by, now);
      } else {
        const other = await openInvitation(inner, courseId, act.address);
        if (other !== null && other.id !== invitation.id) throw invitedAlready(act.address);
        await giveUpSeat(inner, invitation, account);
        inner.assign(invitation, { address: act.address });
        await sendAgain(inner, loaded, invitation, by, now);
      }
      await inner.flush();
    }
  });
}

const invitedAlready = (address: string): Failure =>
  new Failure('bad_input', 'In the body: address', [
    { path: 'address', value: address, expected: 'an address that has no invitation to this course yet' },
  ]);
