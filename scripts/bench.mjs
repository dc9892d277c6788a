// `npm run bench`, or `npm run bench -- NAME`: how fast, as ratios against a named alternative in the same run.
import { join } from 'node:path';
import { ensureNpmPackages } from './lib/packages.mjs';
import { ROOT } from './lib/paths.mjs';
import { command } from './lib/processes.mjs';
import { run } from './lib/say.mjs';

await run(async () => {
  await ensureNpmPackages();
  const bench = join(ROOT, 'packages/core/bench/bench.ts');
  // The recurrence library gives instants only where the machine's own zone is UTC.
  const env = { TZ: 'UTC' };
  await command(process.execPath, ['--import', 'tsx', bench, ...process.argv.slice(2)], { env });
});
