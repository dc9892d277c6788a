/**
 * What word processors put on the clipboard, through the editor's own reading.
 *
 * @jest-environment jsdom
 */
import { expect, test } from '@jest/globals';
import { Editor } from '@tiptap/core';
import { bothTexts } from '../../src/setup/compare/both-texts.ts';
import { cleanPasted } from '../../src/setup/text/pasted.ts';
import { EXTENSIONS } from '../../src/setup/text/pieces/extensions.ts';
import { PASTES } from './pastes.ts';

function pasted(html: string): string {
  const editor = new Editor({
    element: document.createElement('div'),
    extensions: EXTENSIONS,
    content: cleanPasted(html),
  });
  const written = editor.getHTML();
  editor.destroy();
  return written;
}

test.each(PASTES)('$name', ({ html, becomes }) => expect(pasted(html)).toBe(becomes));

test('there are thirty pastes at least', () => expect(PASTES.length).toBeGreaterThanOrEqual(30));

test('words are never lost, and what was cleaned is clean', () => {
  const words = (html: string): string =>
    (new DOMParser().parseFromString(html, 'text/html').body.textContent ?? '').replaceAll(
      /[\s\u00a0]+/g,
      '',
    );
  for (const { html, becomes } of PASTES) {
    expect(words(cleanPasted(html))).toBe(words(becomes));
    expect(cleanPasted(becomes)).toBe(becomes);
  }
});

test('two hundred thousand characters of points in points are read in one go', () => {
  const many = Array.from({ length: 4000 }, (_, at) => {
    const level = (at % 3) + 1;
    return `<p style='mso-list:l0 level${level} lfo1'><span style='mso-list:Ignore'>·</span>Point ${at}</p>`;
  });
  const { body } = new DOMParser().parseFromString(cleanPasted(many.join('')), 'text/html');
  expect(body.querySelectorAll('li')).toHaveLength(4000);
  expect(body.children).toHaveLength(1);
});

test('two versions kept both: what they share stands once', () => {
  const theirs = '<p>Bring boots.</p><ul><li>Notebook</li></ul><p>See you.</p>';
  const yours = '<p>Boots are lent.</p><ul><li>Notebook</li></ul><h2>Tides</h2><p>See you.</p>';
  expect(bothTexts(theirs, yours)).toBe(
    '<p>Bring boots.</p><p>Boots are lent.</p><ul><li>Notebook</li></ul><h2>Tides</h2><p>See you.</p>',
  );
  expect(bothTexts('', yours)).toBe(yours);
});
