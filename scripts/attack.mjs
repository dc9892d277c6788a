// `npm run attack -- N`: N hostile requests in a row, made from the OpenAPI document; nothing may break or grow.
import { join } from 'node:path';
import { ROOT } from './lib/paths.mjs';
import { command, needNode } from './lib/processes.mjs';
import { run, stop } from './lib/say.mjs';

await run(async () => {
  needNode();
  const [many = '100000'] = process.argv.slice(2);
  if (!/^[1-9]\d{0,7}$/.test(many))
    stop(`"${many}" is no number of requests; a whole number from 1 is needed.`);
  const env = { ITINERARY_HOSTILE: many };
  await command(process.execPath, [join(ROOT, 'scripts/test.mjs'), 'packages/server/test/attack'], { env });
});
