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
 * @returns which parts, which files of them (none: all), the words of one case, and whether what has changed decides.
 */
export function readWords(words) {
  const wanted = { parts: [], files: [], named: null, changed: false, long: false, only: null };
  for (let at = 0; at < words.length; at += 1) {
    const word = words[at];
    if (word === '--changed') wanted.changed = true;
    else if (word === '--long') wanted.long = true;
    else if (word === '--case') {
      at += 1;
      if (words[at] === undefined) stop('--case wants the words of a case: npm test -- FILE --case "…".');
      wanted.named = words[at];
    } else if (PARTS.includes(word)) wanted.parts.push(word);
    else if (word.startsWith('--')) {
      stop(`"${word}" is not known here; --changed, --case and --long are.`);
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
  return wanted;
}

function isOfTests(path) {
  return /\.(test|spec)\.ts$/.test(path) || statSync(join(ROOT, path)).isDirectory();
}
