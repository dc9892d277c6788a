/** What styles may not ask. */
import { expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const ROOT = join(dirname(fileURLToPath(import.meta.url)), '../../..');
const files = execFileSync(
  'git',
  ['ls-files', '--cached', '--others', '--exclude-standard', 'packages/web/src'],
  {
    cwd: ROOT,
    encoding: 'utf8',
  },
)
  .split('\n')
  .filter((file) => /\.(css|vue)$/.test(file));
/** Of a component its styles alone: its template may well say what language something is in. */
const stylesOf = (file: string): string => {
  const text = readFileSync(join(ROOT, file), 'utf8');
  return file.endsWith('.css') ? text : [...text.matchAll(/<style[^>]*>([^]*?)<\/style>/g)].join('\n');
};

test('no style asks what language a page is in: its colours are the same in all of them', () => {
  const asking = files.filter((file) => /:lang\(|\[lang/.test(stylesOf(file)));
  expect(asking).toEqual([]);
  expect(files.length).toBeGreaterThan(150);
});
