/** Something new that was put in half: written, and reached from nowhere. */
import { expect, test } from '@jest/globals';
import { existsSync } from 'node:fs';
import { dirname, join, normalize } from 'node:path';
import { courseFields, courseViewSchema } from '@itinerary/core';
import { STOPS } from '../../../packages/web/src/setup/frame/stops.ts';
import { FILES, read, ROOT } from './files.ts';

const files = FILES.filter((file) => /^packages\/.*\/src\/.*\.(ts|vue|css)$/.test(file));

/** What is begun from outside: by a package's name, by a command, or by the page itself. */
const ENTRIES = [
  /packages\/\w+\/src\/(index|main|env\.d)\.ts$/,
  /src\/demo\/load-demo\.ts$/,
  /src\/tools\/course-file\.ts$/,
  /src\/text\/cleaning-worker\.ts$/,
  /src\/standins\/[\w-]+\.ts$/,
  /src\/course\/schema\/kinds\.ts$/,
  /src\/typed\/zones\.ts$/,
  /core\/src\/coursework\/film\/watched\.ts$/,
  /core\/src\/people\/index\.ts$/,
];
/** Found by a pattern: messages are loaded by their language and area. */
const BY_PATTERN = [/\/locales\//];

test('every file is reached: a rule from its list, a page from a route, a use case from a handler', () => {
  const reached = new Set<string>();
  for (const file of files) {
    for (const [, target] of read(file).matchAll(
      /(?:\bfrom\s+|\bimport\s*\(?\s*|src=|\bnew URL\(\s*)['"](\.[^'"]+)['"]/g,
    )) {
      reached.add(normalize(join(dirname(file), target ?? '')));
    }
  }
  const left = files.filter(
    (file) => !reached.has(file) && ![...ENTRIES, ...BY_PATTERN].some((entry) => entry.test(file)),
  );
  expect(left).toEqual([]);
  expect(files.length).toBeGreaterThan(400);
});

test('every readiness rule that is written is in the list of its room', () => {
  const rules = files.filter((file) => /core\/src\/readiness\/\w+\/.*\.ts$/.test(file));
  const missing = rules.flatMap((file) => {
    const list = read(join(dirname(file), 'rules.ts'));
    const names = [...read(file).matchAll(/export const (\w+): Rule = /g)].map(([, name]) => name ?? '');
    // Imported there, and listed.
    const times = (name: string): number => [...list.matchAll(new RegExp(`\\b${name}\\b`, 'g'))].length;
    return names.filter((name) => times(name) < 2).map((name) => `${file}: ${name}`);
  });
  expect(missing).toEqual([]);
  expect(rules.length).toBeGreaterThan(50);
});

/** Everything that is written in some folders of the web application, but for its sentences. */
const writtenIn = (...folders: readonly string[]): string =>
  files
    .filter((file) => folders.some((folder) => file.startsWith(`packages/web/src/${folder}/`)))
    .map(read)
    .join('\n');
const notIn = (text: string, names: readonly string[]): readonly string[] =>
  names.filter((name) => !new RegExp(`\\b${name}\\b`).test(text));

test('every field of a course can be set at some stop', () => {
  const fields = courseFields().map((field) => field.replace(/^\w+\./, ''));
  expect(notIn(writtenIn('setup'), fields)).toEqual([]);
  expect(fields.length).toBeGreaterThan(30);
});

test('everything that learners are told of a course is on some page', () => {
  const told = Object.keys(courseViewSchema.shape);
  expect(notIn(writtenIn('learner', 'words'), told)).toEqual([]);
  expect(told.length).toBeGreaterThan(15);
});

test('every stop has its address', () =>
  expect(read('packages/web/src/app/router.ts')).toContain(`'/setup/:course/:stop(${STOPS.join('|')})?'`));

test('what docs/architecture.md names to add something by is there', () => {
  const [, page = ''] = read('docs/architecture.md').split('## To add …');
  const [table = ''] = page.split('\n## ');
  const named = [...table.matchAll(/`((?:core|contract|server|web|scripts)\/[\w./-]+\.\w+)`/g)].map(
    ([, path = '']) => (path.startsWith('scripts/') ? path : `packages/${path}`),
  );
  expect(named.filter((path) => !existsSync(join(ROOT, path)))).toEqual([]);
  expect(named.length).toBeGreaterThan(20);
});
