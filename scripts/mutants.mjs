// `npm run mutants -- PLACES [FOLDER]`: small faults at so many random places of core, and what share some test notices.
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join, relative } from 'node:path';
import { bin, DATA, ROOT } from './lib/paths.mjs';
import { command, needNode } from './lib/processes.mjs';
import { run, say, stop } from './lib/say.mjs';

/** The same places in every run, so that two of them can be compared. */
const SEED = 20_270_216;
/** Lines of one place. */
const HEIGHT = 6;

function* filesBelow(place) {
  for (const name of readdirSync(place)) {
    const path = join(place, name);
    if (statSync(path).isDirectory()) yield* filesBelow(path);
    else if (path.endsWith('.ts') && !path.endsWith('index.ts')) yield path;
  }
}

/** Mulberry32: small, and the same everywhere. */
function chance(seed) {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** Places are drawn by lines, so that a long file has as many as its length. */
function placesIn(folder, many) {
  const files = [...filesBelow(join(ROOT, folder))].map((path) => ({
    path: relative(ROOT, path),
    lines: readFileSync(path, 'utf8').split('\n').length,
  }));
  const all = files.reduce((sum, { lines }) => sum + lines, 0);
  const next = chance(SEED);
  return Array.from({ length: many }, () => {
    let at = Math.floor(next() * all);
    const file = files.find(({ lines }) => {
      if (at < lines) return true;
      at -= lines;
      return false;
    });
    const first = Math.max(1, Math.min(at, file.lines - HEIGHT));
    return `${file.path}:${first}-${first + HEIGHT}`;
  });
}

await run(async () => {
  needNode();
  const [many = '40', folder = 'packages/core/src'] = process.argv.slice(2);
  if (!/^[1-9]\d{0,3}$/.test(many))
    stop(`"${many}" is no number of places; a whole number from 1 is needed.`);
  const places = placesIn(folder, Number(many));
  say(`Faults at ${places.length} places of ${folder}`);
  await command(bin('stryker'), ['run', '--mutate', places.join(',')], {
    allowFailure: true,
    env: { ITINERARY_FEW: '1' },
  });
  const { files } = JSON.parse(readFileSync(join(DATA, 'mutants.json'), 'utf8'));
  const states = Object.values(files).flatMap(({ mutants }) => mutants.map(({ status }) => status));
  const count = (...of) => states.filter((status) => of.includes(status)).length;
  const noticed = count('Killed', 'Timeout');
  const missed = count('Survived', 'NoCoverage');
  console.log(
    `${noticed} of ${noticed + missed} noticed: ${((100 * noticed) / (noticed + missed)).toFixed(1)} in 100`,
  );
});
