// The parts of `npm test`. Two processors are kept busy: what waits for something else stands beside what computes.
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { join, relative } from 'node:path';
import { buildServer, buildWeb } from '../build.mjs';
import { learnerPageSize } from '../bundle-size.mjs';
import { ensureNpmPackages } from '../packages.mjs';
import { bin, DATA, ROOT } from '../paths.mjs';
import { closeOnEnd, command } from '../processes.mjs';
import { say } from '../say.mjs';
import {
  ensureCalendarProgram,
  ensureChromium,
  startTestPostgres,
  startTestServer,
} from '../test-server.mjs';
import { newTally } from './tally.mjs';
import { partOf } from './words.mjs';

/** Where Playwright leaves what it has of a test that failed; emptied as it begins. */
const RESULTS = join(ROOT, 'test-results');
/** More than there are processors: many tests wait, for a server, a browser or a moment. */
const JEST_WORKERS = 3;

async function check(tally, name, file, args, env = {}) {
  const begun = performance.now();
  const { code, output } = await command(file, args, { env, quiet: true, allowFailure: true });
  if (code !== 0) console.log(output);
  tally.add(name, { passed: code === 0 ? 1 : 0, failed: code === 0 ? 0 : 1 }, performance.now() - begun);
}

function weigh(tally) {
  const begun = performance.now();
  const { kilobytes, most, forbidden } = learnerPageSize();
  const isLight = kilobytes <= most && forbidden.length === 0;
  say(`First load of the learner's course page: ${kilobytes.toFixed(1)} kB gzipped, of ${most} allowed`);
  if (forbidden.length > 0) console.log(`It holds what it must not: ${forbidden.join(', ')}`);
  const counts = { passed: isLight ? 1 : 0, failed: isLight ? 0 : 1 };
  tally.add("Learner's page", counts, performance.now() - begun);
}

/** What the compiler found out is kept for the next time. */
const kept = (name) => ['--incremental', '--tsBuildInfoFile', join(DATA, 'types', `${name}.json`)];

/** @param only of the files that have changed; null: of all. */
async function checks(tally, { long, only }) {
  say('Types, lint, format');
  const linted = only === null ? ['.'] : only.filter((file) => /\.(ts|mjs|vue)$/.test(file));
  const formatted = only === null ? ['.'] : only;
  // Lint takes as long as the three others after one another.
  await Promise.all([
    linted.length > 0 &&
      check(
        tally,
        'Lint',
        bin('eslint'),
        [...linted, '--max-warnings', '0', '--no-warn-ignored'],
        long || only !== null ? { ITINERARY_LONG: '1' } : {},
      ),
    (async () => {
      await check(tally, 'Types', bin('tsc'), ['-p', 'tsconfig.json', ...kept('all')]);
      await check(tally, 'Types of the web application', bin('vue-tsc'), [
        '-p',
        'packages/web/tsconfig.json',
        ...kept('web'),
      ]);
      const format = ['--check', ...formatted, '--ignore-unknown', '--log-level', 'warn'];
      // Where files only went there is nothing to look at.
      if (formatted.length > 0) await check(tally, 'Format', bin('prettier'), format);
    })(),
  ]);
}

async function jest(tally, { parts, files, named, long }, env) {
  const projects = ['unit', 'server'].filter((part) => parts.includes(part));
  say(`Jest: ${projects.join(' and ')} tests`);
  const begun = performance.now();
  const file = join(DATA, 'jest.json');
  rmSync(file, { force: true });
  await command(
    process.execPath,
    [
      '--experimental-vm-modules',
      '--no-warnings',
      join(ROOT, 'node_modules/jest/bin/jest.js'),
      '--selectProjects',
      ...projects,
      '--json',
      `--outputFile=${file}`,
      '--silent',
      // A snapshot that is not there is a check that is not there.
      '--ci',
      `--maxWorkers=${JEST_WORKERS}`,
      // A busy machine is no reason to fail.
      '--testTimeout=120000',
      ...(named === null ? [] : ['--testNamePattern', named]),
      ...files.filter((one) => partOf(one) !== 'e2e').flatMap((one) => ['--testPathPatterns', one]),
    ],
    { env: { ...env, ...(long ? { ITINERARY_LONG: '1' } : {}) }, allowFailure: true },
  );
  const ms = performance.now() - begun;
  if (!existsSync(file)) {
    tally.add('Jest', { passed: 0, failed: 1 }, ms);
    return;
  }
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites, testResults } = JSON.parse(
    readFileSync(file, 'utf8'),
  );
  for (const { name, startTime, endTime, assertionResults, message } of testResults) {
    const file = relative(ROOT, name);
    tally.took(file, endTime - startTime);
    const failed = assertionResults.filter(({ status }) => status === 'failed');
    for (const { fullName, failureMessages } of failed)
      tally.failed(`${file}: ${fullName}`, failureMessages.join('\n'));
    if (assertionResults.length === 0 && message !== '') tally.failed(file, message);
  }
  tally.add('Jest', { passed: numPassedTests, failed: numFailedTests + numRuntimeErrorTestSuites }, ms);
}

function* casesOf({ suites = [], specs = [], file }) {
  for (const { title, tests, ok } of specs) {
    const results = tests.flatMap((one) => one.results);
    const ms = results.reduce((sum, { duration }) => sum + duration, 0);
    const words = results.flatMap(({ errors }) => errors.map(({ message = '' }) => message)).join('\n');
    const held = ok ? 'failed once, and held when tried again' : 'failed';
    yield { name: `${file}: ${title}`, ms, held: words === '' && ok ? null : held, words };
  }
  for (const suite of suites) yield* casesOf(suite);
}

/** What a page held where a test failed: on a machine that is gone by then, this is all that is left of it. */
function sayWhatWasThere() {
  if (!existsSync(RESULTS)) return;
  const all = readdirSync(RESULTS, { recursive: true }).filter((name) => name.endsWith('error-context.md'));
  for (const name of all) {
    const [, there = ''] = readFileSync(join(RESULTS, name), 'utf8').split('# Page snapshot');
    console.log(`\nWhat was there: ${name}${there.split('\n# ')[0]}`);
  }
}

async function endToEnd(tally, { files, named, times }, postgres) {
  say('End to end, in Chromium');
  const begun = performance.now();
  const { stop, env } = await startTestServer(postgres);
  const file = join(DATA, 'playwright.json');
  rmSync(file, { force: true });
  const own = files.filter((one) => partOf(one) === 'e2e');
  try {
    // A file by itself needs nothing of the journey, which goes before all others.
    const alone = own.length > 0 ? ['--no-deps'] : [];
    const grep = named === null ? [] : ['--grep', named];
    const often = times > 1 ? [`--repeat-each=${times}`, '--retries=0'] : [];
    await command(bin('playwright'), ['test', ...own, ...alone, ...grep, ...often], {
      env: { ...env, PLAYWRIGHT_JSON_OUTPUT_FILE: file },
      allowFailure: true,
    });
  } finally {
    await stop();
  }
  const ms = performance.now() - begun;
  if (!existsSync(file)) {
    tally.add('End to end', { passed: 0, failed: 1 }, ms);
    return;
  }
  const { stats, errors, suites } = JSON.parse(readFileSync(file, 'utf8'));
  for (const suite of suites)
    for (const { name, ms: each, held, words } of casesOf(suite)) {
      tally.took(name, each);
      if (held !== null) tally.failed(`${name} ${held}`, words);
    }
  const counts = { passed: stats.expected + stats.flaky, failed: stats.unexpected + errors.length };
  if (counts.failed > 0) sayWhatWasThere();
  tally.add('End to end', counts, ms);
}

/** Runs what is wanted, on whatever it needs, and says what came of it. */
export async function everything(wanted) {
  const has = (part) => wanted.parts.includes(part);
  const tally = newTally();
  const begun = performance.now();
  mkdirSync(DATA, { recursive: true });
  await ensureNpmPackages();
  if (has('e2e')) await ensureChromium();
  if (has('server')) await ensureCalendarProgram();
  const wantsServer = has('server') || has('e2e');
  const isWhole = wanted.files.length === 0;
  if (wantsServer || isWhole)
    await Promise.all([buildServer(), ...(has('e2e') || isWhole ? [buildWeb()] : [])]);
  tally.took('installing and building', performance.now() - begun);

  let postgres = null;
  const close = closeOnEnd(async () => postgres?.stop());
  try {
    if (has('checks')) {
      await checks(tally, wanted);
      if (isWhole) weigh(tally);
    }
    const env = {};
    if (wantsServer) {
      postgres = await startTestPostgres();
      env.TEST_DATABASE_URL = postgres.url('postgres');
    }
    if (has('unit') || has('server')) await jest(tally, wanted, env);
    if (has('e2e')) await endToEnd(tally, wanted, postgres);
  } finally {
    await close();
  }
  if (!tally.say()) process.exitCode = 1;
}
