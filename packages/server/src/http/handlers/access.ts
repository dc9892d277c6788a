/** The passphrase with which visitors look at a course. */
import type { ACCESS_ROUTES } from '@itinerary/contract';
import { checkPassphrase, setPassphrase } from '../../usecases/access/passphrase.ts';
import type { HandlersOf } from '../call.ts';
import { visit } from '../session.ts';

export const ACCESS: HandlersOf<typeof ACCESS_ROUTES> = {
  passphrase: async ({ em, who, body }) => ({
    passphrase: await setPassphrase(em, who.loaded.course, body.passphrase),
  }),
  visit: async ({ em, who, body, request, now }) => {
    await checkPassphrase(em, who.loaded.course.id, body.passphrase);
    visit(request, who.loaded.course.id, now);
  },
};
