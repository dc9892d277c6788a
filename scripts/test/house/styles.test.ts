/** What styles may not ask. */
import { expect, test } from '@jest/globals';
import { FILES, read } from './files.ts';

const files = FILES.filter((file) => /^packages\/web\/src\/.*\.(css|vue)$/.test(file));
/** Of a component its styles alone: its template may well say what language something is in. */
const stylesOf = (file: string): string => {
  const text = read(file);
  return file.endsWith('.css') ? text : [...text.matchAll(/<style[^>]*>([^]*?)<\/style>/g)].join('\n');
};

test('no style asks what language a page is in: its colours are the same in all of them', () => {
  const asking = files.filter((file) => /:lang\(|\[lang/.test(stylesOf(file)));
  expect(asking).toEqual([]);
  expect(files.length).toBeGreaterThan(150);
});
