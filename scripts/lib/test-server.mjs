// PostgreSQL with the demo data as it is on a standing day, and a server on a copy of it: for tests and bench.
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { ensureDebianPackage } from './packages.mjs';
import { SERVER_DIST, WEB_DIST } from './paths.mjs';
import { freePort, startPostgres } from './postgres.mjs';
import { command, end, service } from './processes.mjs';
import { say } from './say.mjs';
import { startStandIns } from './stand-ins.mjs';

/** Without the parts of a browser that nobody sees here: they cost as much as the page itself. */
const SHELL = '/usr/bin/chromium-headless-shell';
const WHOLE = '/usr/bin/chromium';
const chromium = () => process.env.CHROME_PATH ?? [SHELL, WHOLE].find((path) => existsSync(path)) ?? SHELL;
/** The clock that tests and pictures stand at: a Tuesday in the sixth week of term. */
const NOW = '2027-02-16T09:42:00Z';
const TEMPLATE = 'itinerary_template';

/** The whole browser will do, where it is there and the smaller one cannot be had. */
export async function ensureChromium() {
  if (process.env.CHROME_PATH !== undefined || existsSync(SHELL)) return;
  const isWholeThere = existsSync(WHOLE);
  if (isWholeThere && process.getuid?.() !== 0) return;
  try {
    await ensureDebianPackage('chromium-headless-shell', () => existsSync(SHELL), 'Chromium');
  } catch (error) {
    if (!isWholeThere) throw error;
  }
}

/** A calendar program, by which what is sent to such programs is read. */
export const ensureCalendarProgram = () =>
  ensureDebianPackage('khal', () => existsSync('/usr/bin/khal'), 'khal');

/** A server of its own, emptied and filled with the demo data. */
export async function startTestPostgres() {
  say('Starting PostgreSQL for the tests');
  const postgres = await startPostgres('test-postgres', { durable: false });
  await postgres.dropDatabase(TEMPLATE);
  await postgres.createDatabase(TEMPLATE);
  await command(process.execPath, [join(SERVER_DIST, 'load-demo.js')], {
    quiet: true,
    env: { DATABASE_URL: postgres.url(TEMPLATE), ITINERARY_NOW: NOW },
  });
  return postgres;
}

/**
 * @param settings of the server, beside those of the tests
 * @returns what ends it, and the environment of whatever drives a browser against it.
 */
export async function startTestServer(postgres, settings = {}) {
  const database = 'itinerary_e2e';
  await postgres.dropDatabase(database);
  await postgres.createDatabase(database, TEMPLATE);
  const port = await freePort();
  const main = join(SERVER_DIST, 'main.js');
  const standIns = await startStandIns({ now: NOW });
  const env = {
    ...standIns.env,
    DATABASE_URL: postgres.url(database),
    SESSION_SECRET: 'only for tests',
    ITINERARY_DEMO: '1',
    ITINERARY_WEB: WEB_DIST,
    ITINERARY_NOW: NOW,
    ITINERARY_CHECK_ANSWERS: '1',
    LOG_LEVEL: 'error',
    PORT: String(port),
    // Whichever process of the run sends a letter, it leads to this one.
    ITINERARY_SITE: `http://127.0.0.1:${port}`,
    ...settings,
  };
  const server = await service('The server', process.execPath, [main], {
    env,
    ready: /listening at/,
    show: true,
  });
  // Some tests start a second server on the same database, whose clock is another one.
  const forBrowser = {
    ...env,
    E2E_URL: `http://127.0.0.1:${port}`,
    E2E_SERVER: main,
    E2E_LETTERS: standIns.letterBox.url,
    E2E_DESK: standIns.payDesk.url,
    E2E_REGISTRY: standIns.registry.url,
    CHROME_PATH: chromium(),
  };
  const stop = async () => {
    await end(server);
    await standIns.stop();
  };
  return { stop, env: forBrowser };
}
