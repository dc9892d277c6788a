/** Who is signed in, and how they came to be. */
import type { PEOPLE_ROUTES } from '@itinerary/contract';
import { announceEnd } from '../../db/announce.ts';
import { PersonRow } from '../../db/entities.ts';
import { nothingHere } from '../../usecases/nothing-here.ts';
import { demoPeople } from '../../usecases/people/demo-people.ts';
import { me } from '../../usecases/people/me.ts';
import { isKnownBrowser, knowBrowser } from '../../usecases/people/known-browsers.ts';
import { foldAddress, signIn } from '../../usecases/people/sign-in.ts';
import type { Config } from '../../config/config.ts';
import type { HandlersOf } from '../call.ts';
import { placeOf } from '../place.ts';
import { endSession, knownCookie, rememberKnown, startSession } from '../session.ts';

function demoOnly({ demo }: Config): void {
  if (!demo) throw nothingHere();
}

export const PEOPLE: HandlersOf<typeof PEOPLE_ROUTES> = {
  me: ({ em, config, now, who }) => me(em, config, who.person, now),
  signIn: async ({ em, config, attempts, now, body, request }) => {
    const address = foldAddress(body.address);
    const { sessionSecret } = config;
    const cookie = knownCookie(request);
    const isKnown = isKnownBrowser(sessionSecret, cookie, address);
    const from = { address, place: placeOf(request), isKnown };
    const person = await signIn(em, attempts, from, body.password);
    await startSession(request, person.id, now);
    rememberKnown(request, knowBrowser(sessionSecret, cookie, address), config.secure);
    return me(em, config, person, now);
  },
  signOut: async ({ em, request }) => {
    const { sessionID: id } = request;
    await endSession(request);
    // What it listens by ends with it, in whatever process that is.
    await announceEnd(em, id);
  },
  demoPeople: ({ em, config }) => {
    demoOnly(config);
    return demoPeople(em);
  },
  demoSignIn: async ({ em, config, now, body, request }) => {
    demoOnly(config);
    const person = await em.findOne(PersonRow, { id: body.person, demoPart: { $ne: null } });
    if (person === null) throw nothingHere();
    await startSession(request, person.id, now);
    return me(em, config, person, now);
  },
};
