// `npm run kills -- N`: the server and PostgreSQL killed N times under the writing of twenty people; nothing may be lost.
// `npm run kills -- N work`: under what twenty learners hand in, send, answer and post; `-- N deeds`: under what fifty of
// them open and tick.
import { manyTimes } from './lib/tests/many.mjs';

const PATHS = {
  plan: 'packages/server/test/plan/durability.test.ts',
  work: 'packages/server/test/coursework/work-durability.test.ts',
  deeds: 'packages/server/test/progress/deeds-durability.test.ts',
};

await manyTimes({
  usual: '200',
  of: 'kills',
  path: PATHS[process.argv[3] ?? 'plan'] ?? PATHS.plan,
  envOf: (many) => ({
    ITINERARY_KILLS: many,
    ITINERARY_WRITERS: process.argv[3] === 'deeds' ? '50' : '20',
  }),
});
