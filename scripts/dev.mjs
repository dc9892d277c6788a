// `npm run dev`: PostgreSQL, the server restarting when its sources change, and Vite with hot reload.
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { buildServer } from './lib/build.mjs';
import { demoDatabase } from './lib/demo-database.mjs';
import { ensureNpmPackages } from './lib/packages.mjs';
import { bin, DATA, ROOT, SERVER_DIST } from './lib/paths.mjs';
import { freePort } from './lib/postgres.mjs';
import { closeOnEnd, command, end, needNode, service } from './lib/processes.mjs';
import { run } from './lib/say.mjs';
import { sessionSecret } from './lib/secrets.mjs';
import { startStandIns } from './lib/stand-ins.mjs';

await run(async () => {
  needNode();
  mkdirSync(DATA, { recursive: true });
  await ensureNpmPackages();
  let database = null;
  let server = null;
  let vite = null;
  let standIns = null;
  const close = closeOnEnd(async () => {
    await end(vite);
    await end(server);
    await standIns?.stop();
    await database?.stop();
  });
  try {
    database = await demoDatabase();
    const port = await freePort();
    await buildServer();
    standIns = await startStandIns({ folder: DATA });
    const env = {
      ...standIns.env,
      ITINERARY_SITE: 'http://127.0.0.1:4601',
      DATABASE_URL: database.url,
      SESSION_SECRET: sessionSecret(),
      ITINERARY_DEMO: '1',
      PORT: String(port),
      LOG_LEVEL: 'warn',
    };
    await command(process.execPath, [join(SERVER_DIST, 'load-demo.js')], { env });
    server = await service(
      'The server',
      process.execPath,
      ['--watch', '--import', 'tsx', join(ROOT, 'packages/server/src/main.ts')],
      { env, ready: /listening at/, show: true, ownGroup: true },
    );
    vite = await service('Vite', bin('vite'), ['packages/web', '--config', 'packages/web/vite.config.ts'], {
      env: { ITINERARY_API: `http://127.0.0.1:${port}` },
      ready: /ready in/,
      show: true,
      ownGroup: true,
    });
    console.log(
      `\nItinerary with hot reload is at http://127.0.0.1:4601\nLetters are read at ${standIns.letterBox.url}, payments made at ${standIns.payDesk.url}, time passes in the registry at ${standIns.registry.url}\n(Ctrl-C stops it; the data stays.)`,
    );
    await new Promise((resolve) => vite.once('exit', resolve));
  } finally {
    await close();
  }
});
