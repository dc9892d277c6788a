// `npm run backup -- DIR`: a copy of the database and its files, made while the server runs.
import { resolve } from 'node:path';
import { backUp } from './lib/backup.mjs';
import { withDatabase } from './lib/demo-database.mjs';
import { needNode } from './lib/processes.mjs';
import { run, stop } from './lib/say.mjs';

await run(async () => {
  needNode();
  const [folder] = process.argv.slice(2);
  if (folder === undefined) stop('Where to? npm run backup -- FOLDER, which is not there yet.');
  await withDatabase((url) => backUp(url, resolve(process.env.INIT_CWD ?? '.', folder)));
});
