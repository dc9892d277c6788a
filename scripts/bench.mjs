// `npm run bench`, or `npm run bench -- NAME`: how fast, as ratios against a named alternative in the same run.
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { buildServer, buildWeb } from './lib/build.mjs';
import { freePort } from './lib/postgres.mjs';
import { ensureNpmPackages } from './lib/packages.mjs';
import { DATA, ROOT } from './lib/paths.mjs';
import { closeOnEnd, command } from './lib/processes.mjs';
import { run } from './lib/say.mjs';
import { ensureChromium, startTestPostgres, startTestServer } from './lib/test-server.mjs';

/** Measured against a server with a database, some of them in a browser. */
const WITH_SERVER = {
  'home-lcp-vs-static': 'e2e/bench/home-lcp.ts',
  'class-in-turn-vs-at-once': 'e2e/bench/class-in-turn.ts',
  'answer-beside-worst': 'e2e/bench/beside.ts',
  'members-10000-vs-100': 'e2e/bench/members.ts',
  'join-vs-bare-commit': 'e2e/bench/join.ts',
  'answer-vs-bare-commit': 'e2e/bench/answer.ts',
  'course-page-vs-one-question': 'e2e/bench/pages.ts',
  'desk-vs-one-question': 'e2e/bench/pages.ts',
  'desk-2000-vs-7': 'e2e/bench/desk.ts',
  memory: 'e2e/bench/memory.ts',
  'change-4200-vs-75': 'e2e/bench/change.ts',
  'change-vs-bare-commit': 'e2e/bench/change.ts',
  'change-under-readers': 'e2e/bench/change.ts',
  'act-vs-bare-commit': 'e2e/bench/deed.ts',
  'grid-vs-sql': 'e2e/bench/deed.ts',
  'grid-frames': 'e2e/bench/grid-frames.ts',
  'thread-1000-vs-10': 'e2e/bench/thread.ts',
  'handin-storm': 'e2e/bench/handin-storm.ts',
  'add-item-vs-arrow': 'e2e/bench/main-thread.ts',
  'stop-vs-arrow': 'e2e/bench/main-thread.ts',
};

const program = (file, env, args = []) =>
  command(process.execPath, ['--import', 'tsx', join(ROOT, file), ...args], { env });

/** @param files programs that are told where the server is. */
async function withServer(files) {
  mkdirSync(DATA, { recursive: true });
  await ensureChromium();
  await buildServer();
  await buildWeb();
  let postgres = null;
  let server = null;
  const close = closeOnEnd(async () => {
    await server?.stop();
    await postgres?.stop();
  });
  try {
    postgres = await startTestPostgres();
    // As it runs for people: answers are held against the contract in tests alone.
    server = await startTestServer(postgres, {
      ITINERARY_CHECK_ANSWERS: '0',
      ITINERARY_FIGURES_PORT: String(await freePort()),
    });
    for (const file of files) await program(file, server.env);
  } finally {
    await close();
  }
}

await run(async () => {
  await ensureNpmPackages();
  const [name] = process.argv.slice(2);
  // The recurrence library gives instants only where the machine's own zone is UTC.
  if (name === undefined || !(name in WITH_SERVER))
    await program('packages/core/bench/bench.ts', { TZ: 'UTC' }, process.argv.slice(2));
  if (name === undefined) await withServer([...new Set(Object.values(WITH_SERVER))]);
  else if (name in WITH_SERVER) await withServer([WITH_SERVER[name]]);
});
