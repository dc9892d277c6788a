// `npm test`: set-up, checks, unit tests, server tests, end-to-end tests. Its last line counts them all.
// `npm test -- checks unit server e2e` runs the parts that are named.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { buildServer, buildWeb } from './lib/build.mjs';
import { learnerPageSize } from './lib/bundle-size.mjs';
import { ensureNpmPackages } from './lib/packages.mjs';
import { bin, DATA, ROOT } from './lib/paths.mjs';
import { closeOnEnd, command, end, needNode } from './lib/processes.mjs';
import { run, say, stop } from './lib/say.mjs';
import { ensureChromium, startTestPostgres, startTestServer } from './lib/test-server.mjs';

const PARTS = ['checks', 'unit', 'server', 'e2e'];

const results = [];

async function check(name, file, args) {
  say(name);
  const { code, output } = await command(file, args, { quiet: true, allowFailure: true });
  if (code !== 0) console.log(output);
  results.push({ name, passed: code === 0 ? 1 : 0, failed: code === 0 ? 0 : 1 });
}

async function checks() {
  await check('Types', bin('tsc'), ['-p', 'tsconfig.json']);
  await check('Types of the web application', bin('vue-tsc'), ['-p', 'packages/web/tsconfig.json']);
  await check('Lint', bin('eslint'), ['.', '--max-warnings', '0']);
  await check('Format', bin('prettier'), ['--check', '.', '--log-level', 'warn']);
  const { kilobytes, most, forbidden } = learnerPageSize();
  const isLight = kilobytes <= most && forbidden.length === 0;
  say(`First load of the learner's course page: ${kilobytes.toFixed(1)} kB gzipped, of ${most} allowed`);
  if (forbidden.length > 0) console.log(`It holds what it must not: ${forbidden.join(', ')}`);
  results.push({ name: "Learner's page", passed: isLight ? 1 : 0, failed: isLight ? 0 : 1 });
}

async function jest(projects, env) {
  say(`Jest: ${projects.join(' and ')} tests`);
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
      // A busy machine is no reason to fail.
      '--testTimeout=60000',
    ],
    { env, allowFailure: true },
  );
  if (!existsSync(file)) {
    results.push({ name: 'Jest', passed: 0, failed: 1 });
    return;
  }
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(
    readFileSync(file, 'utf8'),
  );
  results.push({ name: 'Jest', passed: numPassedTests, failed: numFailedTests + numRuntimeErrorTestSuites });
}

async function endToEnd(postgres) {
  say('End to end, in Chromium');
  const { server, env } = await startTestServer(postgres);
  const file = join(DATA, 'playwright.json');
  rmSync(file, { force: true });
  try {
    await command(bin('playwright'), ['test'], {
      env: { ...env, PLAYWRIGHT_JSON_OUTPUT_FILE: file },
      allowFailure: true,
    });
  } finally {
    await end(server);
  }
  if (!existsSync(file)) {
    results.push({ name: 'End to end', passed: 0, failed: 1 });
    return;
  }
  const { stats, errors } = JSON.parse(readFileSync(file, 'utf8'));
  results.push({
    name: 'End to end',
    passed: stats.expected + stats.flaky,
    failed: stats.unexpected + errors.length,
  });
}

await run(async () => {
  needNode();
  const named = process.argv.slice(2);
  const unknown = named.find((part) => !PARTS.includes(part));
  if (unknown !== undefined)
    stop(`"${unknown}" is not a part of the tests; the parts are ${PARTS.join(', ')}.`);
  const parts = named.length > 0 ? named : PARTS;
  const has = (part) => parts.includes(part);
  mkdirSync(DATA, { recursive: true });
  await ensureNpmPackages();
  if (has('e2e')) await ensureChromium();
  await buildServer();
  await buildWeb();

  let postgres = null;
  const close = closeOnEnd(async () => postgres?.stop());
  try {
    if (has('checks')) await checks();
    const env = {};
    if (has('server') || has('e2e')) {
      postgres = await startTestPostgres();
      env.TEST_DATABASE_URL = postgres.url('postgres');
    }
    const projects = ['unit', 'server'].filter(has);
    if (projects.length > 0) await jest(projects, env);
    if (has('e2e')) await endToEnd(postgres);
  } finally {
    await close();
  }
  const sum = (key) => results.reduce((total, result) => total + result[key], 0);
  for (const { name, passed, failed } of results) console.log(`${name}: ${passed} passed, ${failed} failed`);
  if (sum('failed') > 0 || sum('passed') === 0) process.exitCode = 1;
  console.log(`${sum('passed')} passed, ${sum('failed')} failed`);
});
