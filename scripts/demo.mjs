// `npm run demo`: from a fresh clone to the running product with demo data. Nothing but Node's own library.
import { mkdirSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { buildServer, buildWeb } from './lib/build.mjs';
import { demoDatabase } from './lib/demo-database.mjs';
import { ensureNpmPackages } from './lib/packages.mjs';
import { DATA, SERVER_DIST, WEB_DIST } from './lib/paths.mjs';
import { closeOnEnd, command, end, needNode, service } from './lib/processes.mjs';
import { run, say, stop } from './lib/say.mjs';
import { sessionSecret } from './lib/secrets.mjs';
import { startStandIns } from './lib/stand-ins.mjs';

function wantedPort() {
  const text = process.env.PORT ?? '4600';
  const port = Number(text);
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    stop(`PORT is "${text}"; a whole number from 1 to 65535 is needed.`);
  return port;
}

const probe = (port) =>
  new Promise((resolve, reject) => {
    const server = createServer();
    server.once('error', reject);
    server.listen(port, '127.0.0.1', () => server.close(resolve));
  });

function checkPort(port) {
  return probe(port).catch((error) => {
    if (error.code === 'EADDRINUSE') {
      stop(
        `Port ${port} is in use, perhaps by an Itinerary that is running already. Stop that, or choose another port: PORT=${port + 1} npm run demo`,
      );
    }
    stop(`Port ${port} cannot be used: ${error.message}`);
  });
}

await run(async () => {
  needNode();
  const unknown = process.argv.slice(2).filter((word) => word !== '--fresh');
  if (unknown.length > 0)
    stop(`"${unknown[0]}" is not known here; only --fresh is, which loads the demo data anew.`);
  const fresh = process.argv.includes('--fresh');
  const port = wantedPort();
  await checkPort(port);
  mkdirSync(DATA, { recursive: true });
  await ensureNpmPackages();

  let database = null;
  let server = null;
  let standIns = null;
  const close = closeOnEnd(async () => {
    say('Stopping');
    await end(server);
    await standIns?.stop();
    await database?.stop();
  });
  try {
    database = await demoDatabase();
    await buildServer();
    await buildWeb();
    standIns = await startStandIns({ at: port + 10, folder: DATA, now: process.env.ITINERARY_NOW });
    const env = {
      ...standIns.env,
      DATABASE_URL: database.url,
      SESSION_SECRET: sessionSecret(),
      ITINERARY_DEMO: '1',
      ITINERARY_WEB: WEB_DIST,
      LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
      PORT: String(port),
    };
    await command(process.execPath, [join(SERVER_DIST, 'load-demo.js'), ...(fresh ? ['--fresh'] : [])], {
      env,
    });
    server = await service('The server', process.execPath, [join(SERVER_DIST, 'main.js')], {
      env,
      ready: /listening at/,
      show: true,
      ownGroup: true,
    });
    console.log(
      `\nItinerary is ready at http://127.0.0.1:${port}\nLetters are read at ${standIns.letterBox.url}, payments made at ${standIns.payDesk.url}, time passes in the registry at ${standIns.registry.url}\n(Ctrl-C stops it; the data stays.)`,
    );
    const code = await new Promise((resolve) => server.once('exit', resolve));
    if (code !== 0 && code !== null) {
      console.error(`\nThe server ended by itself (${code}); what it said stands above. The data is safe.`);
      process.exitCode = 1;
    }
    await close();
  } catch (error) {
    await close();
    throw error;
  }
});
