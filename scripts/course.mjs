// `npm run -s course -- export CODE | import FILE | plan FILE`: the course file on the command line.
import { join } from 'node:path';
import { buildCli, buildServer } from './lib/build.mjs';
import { withDatabase } from './lib/demo-database.mjs';
import { ensureNpmPackages } from './lib/packages.mjs';
import { CLI_DIST, DATA, ROOT, SERVER_DIST } from './lib/paths.mjs';
import { command, needNode } from './lib/processes.mjs';
import { run } from './lib/say.mjs';

const NEEDS_DATABASE = new Set(['export', 'import']);

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
      env: {
        DATABASE_URL: databaseUrl,
        ITINERARY_FILES: process.env.ITINERARY_FILES ?? join(DATA, 'files'),
      },
    });
    process.exitCode = code;
  });
});
