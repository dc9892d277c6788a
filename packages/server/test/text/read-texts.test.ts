/** Long texts as they are looked through: read once, and of many the last ones are kept. */
import { expect, test } from '@jest/globals';
import { readTexts } from '../../src/text/read-texts.ts';

test('words alone, folded as words are compared', () => {
  const texts = readTexts(1000);
  const text = texts.read('a', '<h2>ESTUÁRIO</h2><p>drains<br>south &amp; east</p>');
  expect(text.folded).toContain('estuario');
  expect(text.plain).toContain('south & east');
  expect(texts.kept('a')).toBe(text);
  expect(texts.kept('never')).toBeUndefined();
});

test('those that were used last stay, as many as there is room for', () => {
  // Each takes eight hundred characters: its words, and the same folded.
  const html = `<p>${'m'.repeat(400)}</p>`;
  const texts = readTexts(4000);
  for (let at = 0; at < 8; at += 1) {
    texts.read(`long ${at}`, html);
    texts.kept('long 0');
  }
  const left = (): string[] =>
    Array.from({ length: 8 }, (_, at) => `long ${at}`).filter((hash) => texts.kept(hash) !== undefined);
  expect(left()).toEqual(['long 0', 'long 4', 'long 5', 'long 6', 'long 7']);
  // Read again it takes no more room.
  for (let at = 0; at < 20; at += 1) texts.read('long 7', html);
  expect(left()).toHaveLength(5);
});
