/** Accounts that people make themselves, and where they are signed in. */
import type { ACCOUNT_ROUTES } from '@itinerary/contract';
import type { Person } from '../../db/entities.ts';
import { addJob } from '../../db/queue.ts';
import { accountKey, byAccountKey, byInvitation, changePassword } from '../../usecases/accounts/accounts.ts';
import { endOne, sessions } from '../../usecases/accounts/sessions.ts';
import { me } from '../../usecases/people/me.ts';
import { foldAddress } from '../../usecases/people/sign-in.ts';
import type { Call, HandlersOf } from '../call.ts';
import { placeOf } from '../place.ts';
import { startSession } from '../session.ts';

type InByLetter = { readonly me: Awaited<ReturnType<typeof me>>; readonly onward: string | null };

async function signedIn(
  { em, config, request, now }: Call<'byAccountKey'> | Call<'invitedAccount'>,
  person: Person,
  onward: string | null,
): Promise<InByLetter> {
  await startSession(request, person.id, now);
  return { me: await me(em.fork(), config, person, now), onward };
}

export const ACCOUNTS: HandlersOf<typeof ACCOUNT_ROUTES> = {
  // Both are answered alike whoever has an account: a job finds out.
  newAccount: async ({ em, attempts, body, request }) => {
    const { address, name, lang, onward } = body;
    await attempts.letter({ address: foldAddress(address), place: placeOf(request) });
    await addJob(em, 'account_letter', { kind: 'confirm', address, name, lang, onward });
  },
  forgotten: async ({ em, attempts, body, request }) => {
    const { address, lang } = body;
    await attempts.letter({ address: foldAddress(address), place: placeOf(request) });
    await addJob(em, 'account_letter', { kind: 'reset', address, name: '', lang, onward: null });
  },
  accountKey: async ({ em, attempts, params, request, now }) => {
    const tried = await attempts.join({ place: placeOf(request) });
    const answer = await accountKey(em, params.key, now);
    await tried.giveBack();
    return answer;
  },
  byAccountKey: async (call) => {
    const tried = await call.attempts.join({ place: placeOf(call.request) });
    const { person, onward } = await byAccountKey(call.em, call.params.key, call.body, call.now);
    await tried.giveBack();
    return signedIn(call, person, onward);
  },
  invitedAccount: async (call) => {
    const { key, ...wanted } = call.body;
    const tried = await call.attempts.join({ place: placeOf(call.request) });
    const person = await byInvitation(call.em, key, wanted, call.now);
    await tried.giveBack();
    return signedIn(call, person, null);
  },
  ownAccount: async ({ em, who, body }) => {
    who.person.lang = body.lang;
    await em.flush();
  },
  changePassword: async ({ em, attempts, who, body, request }) => {
    const { person } = who;
    const address = foldAddress(person.address ?? '');
    const tried = await attempts.signIn({ address, place: placeOf(request), isKnown: true });
    await changePassword(em, person, body, request.sessionID);
    await tried.giveBack();
  },
  sessions: ({ em, who, request }) => sessions(em, who.person.id, request.sessionID),
  endOneSession: ({ em, who, params }) => endOne(em, who.person.id, params.session),
};
