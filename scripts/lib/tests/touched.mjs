// What a change touches: the tests of the rooms that it is in, in every package, and those that look at the whole
// house (words, boundaries, pages of documentation). Types and lint, which go with it, see what lies further off.
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { basename, join } from 'node:path';
import { ROOT } from '../paths.mjs';
import { command } from '../processes.mjs';
import { partOf } from './words.mjs';

/** Rooms that go by another name where they are tested. */
const ALIASES = {
  views: ['learner'],
  home: ['face'],
  look: ['face'],
  menu: ['face'],
  kinds: ['course'],
  schema: ['course'],
  edits: ['course'],
  copies: ['course'],
  usecases: [],
  src: [],
};
/** Asked whatever has changed. */
const ALWAYS = ['scripts/test/house', 'packages/web/test/app/app.test.ts'];

const TESTS = ['packages/core', 'packages/contract', 'packages/server', 'packages/web', 'packages/cli'];

/** Files that differ from the last commit, or since the branch left main, and those that git does not know yet. */
export async function changedFiles() {
  const git = async (...words) =>
    (await command('git', words, { quiet: true })).output.split('\n').filter(Boolean);
  const own = [
    ...(await git('diff', '--name-only', 'HEAD')),
    ...(await git('ls-files', '--others', '--exclude-standard')),
  ];
  return own.length > 0 ? own : git('diff', '--name-only', 'HEAD~1');
}

/** The rooms that a source file stands in, by all the names that tests have for them. */
function roomsOf(file) {
  const inside = file.match(/^packages\/\w+\/src\/(.*)$/)?.[1];
  if (inside === undefined) return [];
  const rooms = inside.split('/').slice(0, -1);
  return [...new Set([...rooms, ...rooms.flatMap((room) => ALIASES[room] ?? [])])].filter(
    (room) => ALIASES[room]?.length !== 0,
  );
}

function* testsBelow(place) {
  if (!existsSync(join(ROOT, place))) return;
  if (statSync(join(ROOT, place)).isFile()) {
    yield place;
    return;
  }
  for (const name of readdirSync(join(ROOT, place))) {
    const path = `${place}/${name}`;
    if (statSync(join(ROOT, path)).isDirectory()) yield* testsBelow(path);
    else if (name.endsWith('.test.ts')) yield path;
  }
}

/** @returns the parts to run, the files of tests in them, and the files that lint and format look at. */
export function touchedBy(files) {
  const rooms = new Set(files.flatMap(roomsOf));
  const names = files.filter((file) => /\.(ts|vue)$/.test(file)).map((file) => `/${basename(file)}'`);
  const all = TESTS.flatMap((place) => [...testsBelow(`${place}/test`)]);
  const isTouched = (test) => {
    if (test.split('/').some((part) => rooms.has(part))) return true;
    const text = readFileSync(join(ROOT, test), 'utf8');
    return names.some((name) => text.includes(name));
  };
  const own = files.filter((file) => /\.(test|spec)\.ts$/.test(file) && existsSync(join(ROOT, file)));
  const always = ALWAYS.flatMap((place) => [...testsBelow(place)]);
  const found = [...new Set([...all.filter(isTouched), ...own, ...always])];
  const changed = files.filter((file) => existsSync(join(ROOT, file)));
  return { files: found, parts: ['checks', ...new Set(found.map(partOf))], only: changed };
}
