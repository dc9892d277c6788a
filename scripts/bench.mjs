// `npm run bench`: how fast, as ratios against a named alternative measured in the same run.
import { join } from 'node:path';
import { ensureNpmPackages } from './lib/packages.mjs';
import { ROOT } from './lib/paths.mjs';
import { command } from './lib/processes.mjs';
import { run } from './lib/say.mjs';

await run(async () => {
  await ensureNpmPackages();
  await command(process.execPath, ['--import', 'tsx', join(ROOT, 'packages/core/bench/bench.ts')]);
});
