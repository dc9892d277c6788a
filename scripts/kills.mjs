// `npm run kills -- N`: the server and PostgreSQL killed N times under the writing of twenty people; nothing may be lost.
// `npm run kills -- N work`: under what twenty learners hand in, send, answer and post.
import { manyTimes } from './lib/tests/many.mjs';

await manyTimes({
  usual: '200',
  of: 'kills',
  path:
    process.argv[3] === 'work'
      ? 'packages/server/test/coursework/work-durability.test.ts'
      : 'packages/server/test/plan/durability.test.ts',
  envOf: (many) => ({ ITINERARY_KILLS: many, ITINERARY_WRITERS: '20' }),
});
