// Builds the web application and the server, each when its sources are newer than its build.
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, gzip } from 'node:zlib';
import { bin, CLI_DIST, ROOT, SERVER_DIST, WEB_DIST } from './paths.mjs';
import { command } from './processes.mjs';
import { say } from './say.mjs';

const brotli = promisify(brotliCompress);
const gzipped = promisify(gzip);

function* filesBelow(place) {
  if (!existsSync(place)) return;
  if (statSync(place).isFile()) {
    yield place;
    return;
  }
  for (const entry of readdirSync(place, { withFileTypes: true }).sort((a, b) =>
    a.name < b.name ? -1 : 1,
  )) {
    yield* filesBelow(join(place, entry.name));
  }
}

/** Names, sizes and times of all that a build is made from, as one mark. */
function markOf(places) {
  const hash = createHash('sha256');
  for (const place of places) {
    for (const file of filesBelow(join(ROOT, place))) {
      const { size, mtimeMs } = statSync(file);
      hash.update(`${file} ${size} ${mtimeMs}\n`);
    }
  }
  return hash.digest('hex');
}

async function buildWhenStale(what, places, folder, build) {
  const stamp = join(folder, '.built-from');
  const mark = markOf(['package-lock.json', ...places]);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === mark) return;
  say(`Building ${what}`);
  await build();
  writeFileSync(stamp, mark);
}

const SHARED = ['packages/core/src', 'packages/contract/src'];

/** Pressed once and as far as it goes, rather than again for everybody who asks. */
async function pressAssets() {
  const files = [...filesBelow(join(WEB_DIST, 'assets'))].filter((file) => /\.(js|css|svg)$/.test(file));
  await Promise.all(
    files.map(async (file) => {
      const content = readFileSync(file);
      writeFileSync(`${file}.br`, await brotli(content));
      writeFileSync(`${file}.gz`, await gzipped(content));
    }),
  );
}

export function buildWeb() {
  const places = [
    ...SHARED,
    'packages/web/src',
    'packages/web/index.html',
    'packages/web/vite.config.ts',
    'packages/web/public',
  ];
  return buildWhenStale('the web application', places, WEB_DIST, async () => {
    await command(
      bin('vite'),
      ['build', 'packages/web', '--config', 'packages/web/vite.config.ts', '--logLevel', 'warn'],
      { quiet: true },
    );
    await pressAssets();
  });
}

/** Packages of ours go into the bundle, packages from npm stay outside it. */
function externals() {
  const names = ['server', 'contract', 'core'].flatMap((name) => {
    const { dependencies } = JSON.parse(readFileSync(join(ROOT, 'packages', name, 'package.json'), 'utf8'));
    return Object.keys(dependencies);
  });
  return [...new Set(names)]
    .filter((name) => !name.startsWith('@itinerary/'))
    .map((name) => `--external:${name}`);
}

function bundle(entries, folder) {
  const shape = ['--bundle', '--platform=node', '--format=esm', '--target=node20', '--entry-names=[name]'];
  const rest = ['--sourcemap', '--log-level=warning', `--outdir=${folder}`, ...externals()];
  return command(bin('esbuild'), [...entries, ...shape, ...rest], { quiet: true });
}

export function buildServer() {
  const entries = [
    'main.ts',
    'demo/load-demo.ts',
    'tools/course-file.ts',
    'text/cleaning-worker.ts',
    'standins/letter-box.ts',
    'standins/pay-desk.ts',
    'standins/registry.ts',
  ].map((entry) => `packages/server/src/${entry}`);
  return buildWhenStale('the server', [...SHARED, 'packages/server/src'], SERVER_DIST, () =>
    bundle(entries, SERVER_DIST),
  );
}

export function buildCli() {
  return buildWhenStale('the command line', ['packages/core/src', 'packages/cli/src'], CLI_DIST, () =>
    bundle(['packages/cli/src/main.ts'], CLI_DIST),
  );
}
