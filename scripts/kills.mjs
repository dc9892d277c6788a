// `npm run kills -- N`: the server and PostgreSQL killed N times under the writing of twenty people; nothing may be lost.
import { join } from 'node:path';
import { ROOT } from './lib/paths.mjs';
import { command, needNode } from './lib/processes.mjs';
import { run, stop } from './lib/say.mjs';

await run(async () => {
  needNode();
  const [many = '200'] = process.argv.slice(2);
  if (!/^[1-9]\d{0,4}$/.test(many)) stop(`"${many}" is no number of kills; a whole number from 1 is needed.`);
  const env = { ITINERARY_KILLS: many, ITINERARY_WRITERS: '20' };
  await command(
    process.execPath,
    [join(ROOT, 'scripts/test.mjs'), 'packages/server/test/plan/durability.test.ts'],
    { env },
  );
});
