// What `npm test -- …` is told: parts by name, files by path, one case by its words.
import { existsSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from '../paths.mjs';
import { stop } from '../say.mjs';

export const PARTS = ['checks', 'unit', 'server', 'e2e'];

/** The part that a file of tests, or a folder of them, belongs to. */
export function partOf(path) {
  if (path.startsWith('e2e')) return 'e2e';
  return path.startsWith('packages/server') ? 'server' : 'unit';
}

/**
 * @returns which parts, which files of them (none: all), the words of one case, whether what has changed decides, and how
 *   often each is tried
 */
export function readWords(words) {
  const wanted = { parts: [], files: [], named: null, changed: false, long: false, only: null, times: 1 };
  for (let at = 0; at < words.length; at += 1) {
    const word = words[at];
    if (word === '--changed') wanted.changed = true;
    else if (word === '--long') wanted.long = true;
    else if (word === '--times') {
      at += 1;
      wanted.times = Number(words[at]);
      if (!Number.isInteger(wanted.times) || wanted.times < 1)
        stop(`--times wants a number from 1 on, not "${words[at] ?? ''}": npm test -- FILE --times 20.`);
    } else if (word === '--case') {
      at += 1;
      if (words[at] === undefined) stop('--case wants the words of a case: npm test -- FILE --case "…".');
      wanted.named = words[at];
    } else if (PARTS.includes(word)) wanted.parts.push(word);
    else if (word.startsWith('--')) {
      stop(`"${word}" is not known here; --changed, --case, --long and --times are.`);
    } else if (existsSync(join(ROOT, word)) && isOfTests(word)) wanted.files.push(word);
    else {
      stop(
        `"${word}" is not a part of the tests; the parts are ${PARTS.join(', ')}. Nor is it a file of tests, or a folder of them.`,
      );
    }
  }
  if (wanted.files.length > 0) wanted.parts.push(...new Set(wanted.files.map(partOf)));
  if (wanted.parts.length === 0) wanted.parts = [...PARTS];
  if (wanted.named !== null && wanted.files.length === 0) {
    stop('--case wants the file that the case stands in as well.');
  }
  if (wanted.times > 1 && !(wanted.files.length > 0 && wanted.parts.every((part) => part === 'e2e'))) {
    stop('--times is for files of end to end tests: npm test -- e2e/life/kept.spec.ts --times 20.');
  }
  return wanted;
}

function isOfTests(path) {
  return /\.(test|spec)\.ts$/.test(path) || statSync(join(ROOT, path)).isDirectory();
}
