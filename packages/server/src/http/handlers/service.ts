/** Whether the server is well, and what is told while somebody looks. */
import { openApiDocument } from '@itinerary/contract';
import type { SERVICE_ROUTES } from '@itinerary/contract';
import { streamEvents } from '../../live/events.ts';
import { inTime } from '../../db/pulse.ts';
import { Failure } from '../../usecases/failure.ts';
import type { HandlersOf } from '../call.ts';

/** It says the same to everybody, and takes a while to write. */
let openapi: ReturnType<typeof openApiDocument> | null = null;

export const SERVICE: HandlersOf<typeof SERVICE_ROUTES> = {
  alive: () => Promise.resolve({ alive: true as const }),
  health: async ({ pulse, store }) => {
    const [beats, disk] = await Promise.all([pulse.beats(), inTime(store.state(), 'away')]);
    const database = beats ? 'ok' : 'away';
    if (database === 'ok')
      return { status: disk === 'ok' ? 'ok' : 'degraded', alive: true, ready: true, database, disk };
    const parts = Object.entries({ database, disk }).filter(([, state]) => state !== 'ok');
    const errors = parts.map(([path, value]) => ({ path, value, expected: 'ok' }));
    throw new Failure('database_away', 'The database does not answer', errors);
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
