/** The passphrase with which visitors look at a course. */
import type { ACCESS_ROUTES } from '@itinerary/contract';
import { checkPassphrase, setPassphrase } from '../../usecases/access/passphrase.ts';
import type { HandlersOf } from '../call.ts';
import { beginVisit } from '../session.ts';
import { placeOf } from '../place.ts';

export const ACCESS: HandlersOf<typeof ACCESS_ROUTES> = {
  passphrase: async ({ em, who, body }) => ({
    passphrase: await setPassphrase(em, who.loaded.course, body.passphrase),
  }),
  visit: async ({ em, attempts, who, body, request, now }) => {
    const course = who.loaded.course.id;
    const of = { course, place: placeOf(request) };
    beginVisit(request, course, await checkPassphrase(em, attempts, of, body.passphrase), now);
  },
};
