// `npm run kills -- N`: the server and PostgreSQL killed N times under the writing of twenty people; nothing may be lost.
import { manyTimes } from './lib/tests/many.mjs';

await manyTimes({
  usual: '200',
  of: 'kills',
  path: 'packages/server/test/plan/durability.test.ts',
  envOf: (many) => ({ ITINERARY_KILLS: many, ITINERARY_WRITERS: '20' }),
});
