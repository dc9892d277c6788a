// `npm run -s course -- export CODE | import FILE | plan FILE`: the course file on the command line.
import { join } from 'node:path';
import { buildCli, buildServer } from './lib/build.mjs';
import { ensureNpmPackages } from './lib/packages.mjs';
import { CLI_DIST, ROOT, SERVER_DIST } from './lib/paths.mjs';
import { runningPostgres, startPostgres } from './lib/postgres.mjs';
import { command, needNode } from './lib/processes.mjs';
import { run } from './lib/say.mjs';

const DATABASE = 'itinerary';
const NEEDS_DATABASE = new Set(['export', 'import']);

/** DATABASE_URL, or the demo's database: the running one, or one started for the occasion. */
async function withDatabase(use) {
  if (process.env.DATABASE_URL !== undefined) return use(process.env.DATABASE_URL);
  const running = runningPostgres('postgres');
  if (running !== null) return use(running(DATABASE));
  const postgres = await startPostgres('postgres');
  try {
    await postgres.createDatabase(DATABASE);
    return await use(postgres.url(DATABASE));
  } finally {
    await postgres.stop();
  }
}

await run(async () => {
  needNode();
  const words = process.argv.slice(2);
  await ensureNpmPackages();
  if (!NEEDS_DATABASE.has(words[0])) {
    await buildCli();
    const { code } = await command(process.execPath, [join(CLI_DIST, 'main.js'), ...words], {
      allowFailure: true,
      cwd: process.env.INIT_CWD ?? ROOT,
    });
    process.exitCode = code;
    return;
  }
  await buildServer();
  await withDatabase(async (databaseUrl) => {
    const { code } = await command(process.execPath, [join(SERVER_DIST, 'course-file.js'), ...words], {
      allowFailure: true,
      cwd: process.env.INIT_CWD ?? ROOT,
      env: { DATABASE_URL: databaseUrl },
    });
    process.exitCode = code;
  });
});
