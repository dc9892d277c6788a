/** What may stand in a text: everything that the editor writes, and nothing that harms. */
import { describe, expect, test } from '@jest/globals';
import { formulaHtml } from '@itinerary/core';
import fc from 'fast-check';
import katex from 'katex';
import { hashText, sanitiseText } from '../../src/text/rich-text.ts';

const HASH = 'a'.repeat(64);

describe('kept as it is', () => {
  test.each([
    '<h2>Mud</h2><p>and <strong>sand</strong>, <em>wet</em></p>',
    '<p>10 m<sup>2</sup> of CO<sub>2</sub></p>',
    '<ul><li><p>a</p></li></ul><ol start="3"><li><p>b</p></li></ol>',
    '<pre><code>x = 1</code></pre><blockquote><p>q</p></blockquote><hr>',
    '<p><a href="https://example.org/tides">tides</a> <a href="mailto:a@b.example">mail</a></p>',
    '<table><tbody><tr><th colspan="2"><p>Depth</p></th></tr><tr><td><p>1</p></td><td rowspan="2"><p>2</p></td></tr></tbody></table>',
    `<img data-picture="${HASH}" alt="Mud" data-author="A" data-licence="CC BY 4.0">`,
    `<img data-picture="${HASH}" alt="">`,
    `<img data-picture="${HASH}">`,
    '<p>so <span data-formula="a &lt; b"></span></p><div data-formula="\\frac{1}{2}"></div>',
    '<p><a data-item="q-1">the quiz</a> <a data-item="q-1"></a></p>',
  ])('%s', (html) => expect(sanitiseText(html)).toBe(html));
});

describe('made harmless', () => {
  test.each([
    ['<p>a<br />b</p>', '<p>a<br>b</p>'],
    ['<h1>x</h1><h2 id="y">z</h2>', 'x<h2>z</h2>'],
    ['<a href=" java&#10;script:x">a</a>', 'a'],
    ['<script>alert(1)</script><p>words</p>', '<p>words</p>'],
    ['<p onclick="alert(1)" style="color:red" class="x" id="y">words</p>', '<p>words</p>'],
    ['<a href="javascript:alert(1)">words</a>', 'words'],
    ['<a href="//elsewhere.example">words</a>', 'words'],
    ['<a>words</a>', 'words'],
    ['<a data-item="q" href="https://example.org">words</a>', '<a data-item="q">words</a>'],
    ['<a data-item="no such id!">words</a>', 'words'],
    ['<img src="https://elsewhere.example/seen.gif">', ''],
    [`<img src="x" onerror="alert(1)" data-picture="${HASH}">`, `<img data-picture="${HASH}">`],
    ['<img data-picture="../../etc/passwd" alt="x">', ''],
    ['<svg onload="alert(1)"><circle/></svg>', ''],
    ['<iframe src="https://elsewhere.example"></iframe>words', 'words'],
    ['<span style="x">words</span><div>more</div>', 'wordsmore'],
    ['<td colspan="999" rowspan="-1">x</td>', '<td>x</td>'],
    ['<math><mtext><script>alert(1)</script></mtext></math>', ''],
  ])('%s', (html, kept) => expect(sanitiseText(html)).toBe(kept));

  test('any input settles: what comes out goes in again unchanged', () => {
    const piece = fc.constantFrom(
      '<p>', '</p>', '<div>', '</div>', '<div data-formula="x">', '<span data-formula="">', '</span>', '<table>', '<td>',
      '</table>', '<a data-item="q">', '<a href="javascript:x">', '</a>', '<img onerror="x">', `<img data-picture="${HASH}">`,
      '<script>', '</script>', '<svg>', '<style>', '</style>', '<!--', '-->', '<![CDATA[', '"', "'", '<', '>', '&lt;', 'words ',
    ); // prettier-ignore
    fc.assert(
      fc.property(fc.array(fc.oneof(piece, fc.string({ maxLength: 6 })), { maxLength: 24 }), (parts) => {
        const clean = sanitiseText(parts.join(''));
        expect(sanitiseText(clean)).toBe(clean);
        expect(clean).not.toMatch(/<(script|style|svg|iframe)|\son\w+="|javascript:x"/i);
      }),
      { seed: 20270111, numRuns: 2000 },
    );
  });
});

test('a text is named by the SHA-256 of its bytes', () => {
  expect(hashText('abc')).toBe('ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad');
});

describe('formulas', () => {
  const set = (tex: string, isBlock = false): string =>
    formulaHtml({ kind: 'formula', tex, isBlock }, katex.renderToString);

  test('are MathML, with the TeX beside it for those who copy', () => {
    expect(set('\\frac{a}{b}', true)).toMatch(/<math[^>]*display="block">.*<mfrac>.*application\/x-tex/s);
    expect(set('x')).not.toContain('display="block"');
  });

  test('that cannot be read stand there as they were typed', () => {
    expect(set('\\frac{a')).toContain('katex-error');
    expect(set('<img src=x onerror=alert(1)>')).not.toContain('<img');
  });

  test.each([
    '\\href{javascript:alert(1)}{x}',
    '\\includegraphics{https://elsewhere.example/x.png}',
    '\\htmlClass{x}{y}',
  ])('%s does nothing', (tex) => {
    const html = set(tex);
    expect(html).not.toMatch(/href=|src=|class="x"/);
  });

  test('without end come to one', () => {
    expect(set('\\def\\a{\\a\\a}\\a')).toContain('katex-error');
  });
});
