// `npm run restore -- DIR`: what `npm run backup` has kept, into an empty database and an empty folder of files.
import { readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { bringBack } from './lib/backup.mjs';
import { withDatabase } from './lib/demo-database.mjs';
import { ROOT } from './lib/paths.mjs';
import { needNode } from './lib/processes.mjs';
import { run, stop } from './lib/say.mjs';

/** What this release knows, read where it is listed: before anything is installed there is nothing to import. */
const migrations = [
  ...readFileSync(join(ROOT, 'packages/server/src/db/orm.ts'), 'utf8').matchAll(
    /\{ name: '([^']+)', class: /g,
  ),
].map(([, name]) => name);

await run(async () => {
  needNode();
  const [folder] = process.argv.slice(2);
  if (folder === undefined) stop('From where? npm run restore -- FOLDER, as npm run backup has made it.');
  await withDatabase((url) => bringBack(url, resolve(process.env.INIT_CWD ?? '.', folder), migrations));
});
