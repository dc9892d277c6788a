/** Coming into a course by oneself, leaving it, and what staff do about both. */
import type { JOINING_ROUTES, WaysInAnswer } from '@itinerary/contract';
import type { Config } from '../../config/config.ts';
import type { Person } from '../../db/entities.ts';
import { isSigned, openDesk } from '../../desk/payment-desk.ts';
import { beginPayment, giveBack, settle } from '../../usecases/joining/paying/pay.ts';
import type { AtDesk } from '../../usecases/joining/paying/pay.ts';
import { renewalOf, stopRenewal } from '../../usecases/joining/paying/renew.ts';
import { nothingHere } from '../../usecases/nothing-here.ts';
import { outsideOf } from '../outside.ts';
import { Failure } from '../../usecases/failure.ts';
import { actOnInvitations, invite } from '../../usecases/joining/invitations/invite.ts';
import { newJoinCode, tryKey } from '../../usecases/joining/join-code.ts';
import { EMPTY_HANDED } from '../../usecases/joining/join-facts.ts';
import { joinPage } from '../../usecases/joining/join-page.ts';
import { joinByKey, joinKnown, leave, noLonger } from '../../usecases/joining/join.ts';
import { decideRequests } from '../../usecases/joining/requests.ts';
import { outOfLine, waysIn } from '../../usecases/joining/ways.ts';
import type { Call, HandlersOf } from '../call.ts';
import { placeOf } from '../place.ts';

/** As it stands after what has been done: what was read before it is forgotten. */
type Asked = Pick<Call<'waysIn'>, 'em' | 'config' | 'who' | 'now'>;
const waysNow = ({ em, config, who, now }: Asked): Promise<WaysInAnswer> =>
  waysIn(em.fork(), who.loaded.course, outsideOf(config), now);

/** Whoever knows of a course may not be signed in. */
function someone(person: Person | null): Person {
  if (person === null) throw new Failure('not_signed_in', 'Sign in first');
  return person;
}

const atDesk = ({ desk, site }: Config): AtDesk => ({ desk: desk === null ? null : openDesk(desk), site });

export const JOINING: HandlersOf<typeof JOINING_ROUTES> = {
  joinPage: async ({ em, attempts, who, params, request, now }) => {
    const { course, hand } = await tryKey(em, attempts, params.key, placeOf(request));
    return joinPage(em, course, who.person, hand, now);
  },
  join: async ({ em, attempts, who, params, request, now }) => {
    const { course } = await tryKey(em, attempts, params.key, placeOf(request));
    return joinByKey(em.fork(), params.key, course, who.person, now);
  },
  joinCoursePage: ({ em, who, params, now }) => joinPage(em, params.course, who.person, EMPTY_HANDED, now),
  joinCourse: async ({ em, config, who, params, body, now }) => {
    const person = someone(who.person);
    const { way, answer } = body;
    if (way !== 'paying') return joinKnown(em.fork(), params.course, person, { way, answer }, now);
    return { course: params.course, ...(await beginPayment(em, atDesk(config), params.course, person, now)) };
  },
  noLonger: async ({ em, who, params, now }) => noLonger(em.fork(), params.course, someone(who.person), now),
  leave: ({ em, who, now }) => leave(em, who.loaded.course.id, who.person, now),
  renewal: ({ em, who }) => renewalOf(em, who.loaded.course, who.person),
  stopRenewal: ({ em, who, body }) => stopRenewal(em.fork(), who.loaded.course, who.person, body.stops),
  waysIn: (call) => waysNow(call),
  newJoinCode: async (call) => {
    await newJoinCode(call.em, call.who.loaded.course.id, call.now);
    return waysNow(call);
  },
  decideRequests: async (call) => {
    const { em, who, body, now } = call;
    const stopped = await decideRequests(em, who.loaded.course.id, who.person, body, now);
    return { ways: await waysNow(call), stopped };
  },
  outOfLine: async (call) => {
    await outOfLine(call.em, call.who.loaded, call.body.people);
    return waysNow(call);
  },
  invite: async (call) => {
    await invite(call.em, call.who.loaded.course.id, call.who.person, call.body, call.now);
    return waysNow(call);
  },
  actOnInvitations: async (call) => {
    await actOnInvitations(call.em, call.who.loaded.course.id, call.who.person, call.body, call.now);
    return waysNow(call);
  },
  giveBack: async (call) => {
    const { em, config, who, params, now } = call;
    await giveBack(em, atDesk(config).desk, who.loaded.course.id, params.payment, who.person, now);
    return waysNow(call);
  },
  paymentNotice: async ({ em, config, body, now }) => {
    const { signature, ...notice } = body;
    // Whoever cannot sign is told no more than that there is nothing here.
    if (config.desk === null || !isSigned(config.desk.secret, notice, signature)) throw nothingHere();
    await settle(em, notice, now);
  },
};
