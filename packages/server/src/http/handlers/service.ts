/** Whether the server is well, and what is told while somebody looks. */
import { openApiDocument } from '@itinerary/contract';
import type { SERVICE_ROUTES } from '@itinerary/contract';
import { streamEvents } from '../../live/events.ts';
import { Failure } from '../../usecases/failure.ts';
import type { HandlersOf } from '../call.ts';

/** It says the same to everybody, and takes a while to write. */
let openapi: ReturnType<typeof openApiDocument> | null = null;

const HEALTH_MS = 1000;

export const SERVICE: HandlersOf<typeof SERVICE_ROUTES> = {
  health: async ({ database }) => {
    const answers = database.em
      .fork()
      .getConnection()
      .execute('select 1')
      .then(
        () => true,
        () => false,
      );
    // Whoever asks wants to know now; what comes later is of no use to them.
    const late = new Promise<false>((resolve) => setTimeout(resolve, HEALTH_MS, false).unref());
    const away = !(await Promise.race([answers, late]));
    if (away) throw new Failure('database_away', 'The database does not answer');
    return { status: 'ok', database: 'ok' };
  },
  openapi: () => Promise.resolve((openapi ??= openApiDocument())),
  events: async ({ database, notices, config, who, request }) => {
    if (request.res === undefined) return;
    const { sessionID: id, session } = request;
    const ends = session.cookie.expires?.getTime() ?? null;
    const listening = { database, notices, clock: config.clock, person: who.person, session: { id, ends } };
    await streamEvents(request.res, listening);
  },
};
