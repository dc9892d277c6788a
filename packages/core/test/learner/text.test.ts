/** Long texts: what they hold besides words, and how that is filled in for the one who reads. */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  AWAY,
  copiedTexts,
  copySection,
  courseView,
  duplicateNodes,
  escapeHtml,
  fillText,
  findings,
  findNode,
  formulaHtml,
  linkTargets,
  newItem,
  piecesOf,
  relinkText,
  textFacts,
} from '../../src/index.ts';
import type { Course, Filling, FormulaPiece, Item, TextFacts } from '../../src/index.ts';
import { smallCourse } from '../support/arbitraries.ts';

const HASH = 'a'.repeat(64);
const OTHER = 'b'.repeat(64);
const filling = (change: Partial<Filling> = {}): Filling => ({
  picture: (hash) => `/p/${hash.slice(0, 2)}`,
  formula: ({ tex, isBlock }) => `[${isBlock ? 'block ' : ''}${tex}]`,
  item: () => null,
  ...change,
});

describe('pieces', () => {
  test('are read as the server writes them, and as a browser does', () => {
    const server = `<p>x <img data-picture="${HASH}" alt="" data-author="A &quot;b&quot;" /> y</p>`;
    const browser = `<p>x <img data-picture="${HASH}" alt="" data-author="A &quot;b&quot;"> y</p>`;
    const piece = { kind: 'picture', hash: HASH, alt: '', author: 'A "b"', licence: null };
    expect([piecesOf(server), piecesOf(browser)]).toEqual([[piece], [piece]]);
  });

  test('formulas keep every sign of their TeX', () => {
    const tex = 'a < b > c & d "e" \\frac{1}{2}';
    const html = `<span data-formula="${escapeHtml(tex)}"></span><div data-formula="x"></div>`;
    expect(piecesOf(html)).toEqual([
      { kind: 'formula', tex, isBlock: false },
      { kind: 'formula', tex: 'x', isBlock: true },
    ]);
    // Browsers leave < and > in an attribute as they are.
    expect(piecesOf('<span data-formula="a<b>c"></span>')).toEqual([
      { kind: 'formula', tex: 'a<b>c', isBlock: false },
    ]);
  });

  test('links lead to items by id, with words or without', () => {
    expect(piecesOf('<a data-item="q1"><em>the</em> quiz</a> <a data-item="q2"></a>')).toEqual([
      { kind: 'item', id: 'q1', words: '<em>the</em> quiz' },
      { kind: 'item', id: 'q2', words: '' },
    ]);
  });

  test('are found within links, ours and others', () => {
    const formula = '<span data-formula="x"></span>';
    const html = `<a href="https://example.org">see ${formula}</a> <a data-item="q">or ${formula}</a>`;
    expect(piecesOf(html).map(({ kind }) => kind)).toEqual(['formula', 'formula', 'item']);
    const item = (): ReturnType<Filling['item']> => ({ number: null, title: 'Q', href: '/q' });
    expect(fillText(html, filling({ item }))).toBe(
      '<a href="https://example.org">see [x]</a> <a href="/q" data-item="q">or [x]</a>',
    );
    expect(fillText(html, filling())).toBe('<a href="https://example.org">see [x]</a> or [x]');
  });

  test('a very long text is looked through once', () => {
    const long = `<p>${'words '.repeat(30_000)}</p><a data-item="q">${'more '.repeat(3000)}</a>`;
    expect(piecesOf(long)).toHaveLength(1);
    expect(piecesOf('<a data-item="q">'.repeat(2000))).toEqual([]);
  });

  test.each([
    '<p>only words</p>',
    '<a href="https://example.org">out</a>',
    '<img src="x">',
    '<span>s</span>',
    '<div></div>',
  ])('%s holds none', (html) => {
    expect(piecesOf(html)).toEqual([]);
    expect(fillText(html, filling())).toBe(html);
  });

  test('any words survive an attribute', () => {
    fc.assert(
      fc.property(fc.string(), (alt) => {
        const html = `<img data-picture="${HASH}" alt="${escapeHtml(alt)}">`;
        expect(piecesOf(html)).toMatchObject([{ alt }]);
      }),
      { seed: 20270111 },
    );
  });
});

test('facts: pictures, those that say nothing, and where links lead', () => {
  expect(textFacts('<p>only words and a <span data-formula="x"></span></p>')).toBeNull();
  const html = `<img data-picture="${HASH}"><img data-picture="${HASH}" alt=""><img data-picture="${OTHER}" alt="Mud">
    <a data-item="q">a</a><a data-item="q"></a>`;
  expect(textFacts(html)).toEqual({ pictures: [HASH, OTHER], silent: 1, links: ['q'] });
});

describe('filled', () => {
  test('a picture has its words, and says whose it is', () => {
    const html = `<img data-picture="${HASH}" alt="Mud &amp; sand" data-author="A. Okpara" data-licence="CC BY 4.0">`;
    expect(fillText(html, filling())).toBe(
      '<figure><img src="/p/aa" alt="Mud &amp; sand" loading="lazy"><figcaption>A. Okpara · CC BY 4.0</figcaption></figure>',
    );
    expect(fillText(`<img data-picture="${HASH}">`, filling())).toBe(
      '<figure><img src="/p/aa" alt="" loading="lazy"></figure>',
    );
  });

  test('a link says the number and title of now, or keeps its own words', () => {
    const item = (): ReturnType<Filling['item']> => ({ number: '2.3', title: 'Cores & logs', href: '/i/q' });
    expect(fillText('<a data-item="q"></a>, <a data-item="q">the log</a>', filling({ item }))).toBe(
      '<a href="/i/q" data-item="q">2.3 Cores &amp; logs</a>, <a href="/i/q" data-item="q">the log</a>',
    );
    const named = (): ReturnType<Filling['item']> => ({ number: null, title: 'Later', href: null });
    expect(fillText('<a data-item="q"></a>, <a data-item="q">the log</a>', filling({ item: named }))).toBe(
      'Later, the log',
    );
  });

  test('a link to what the reader does not have keeps the words and tells nothing', () => {
    const filled = fillText('<a data-item="secret">the log</a> <a data-item="secret"></a>', filling());
    expect(filled).toBe(`the log ${AWAY}`);
    expect(filled).not.toContain('secret');
  });

  test('what may be wider than a phone scrolls by itself', () => {
    const html = '<table><tbody><tr><td>1</td></tr></tbody></table><div data-formula="x"></div>';
    expect(fillText(html, filling())).toBe(
      '<div class="wide" tabindex="0"><table><tbody><tr><td>1</td></tr></tbody></table></div>' +
        '<div class="wide" tabindex="0">[block x]</div>',
    );
  });

  test('a formula is set without trust, on a line of its own when it says so', () => {
    const asked: unknown[] = [];
    const piece: FormulaPiece = { kind: 'formula', tex: 'x^2', isBlock: true };
    const html = formulaHtml(piece, (tex, options) => {
      asked.push([tex, options]);
      return '<math></math>';
    });
    expect(html).toBe('<math></math>');
    expect(asked).toMatchObject([['x^2', { output: 'mathml', displayMode: true, trust: false }]]);
  });
});

/** Two sections; the first has a page that leads to its own quiz, and to the second section's page. */
function linked(): Course {
  const base = smallCourse();
  const page = { ...newItem('page', { id: 'p', title: 'P' }), text: HASH } as Item;
  const quiz = newItem('quiz', { id: 'q', title: 'Q' });
  const far = newItem('page', { id: 'far', title: 'Far' });
  return {
    ...base,
    state: 'live',
    sections: base.sections.map((section, at) => ({
      ...section,
      items: at === 0 ? [page, quiz] : at === 1 ? [far] : [],
    })),
  };
}
const texts = (facts: Partial<TextFacts>): ReadonlyMap<string, TextFacts> =>
  new Map([[HASH, { pictures: [], silent: 0, links: [], ...facts }]]);

describe('copies', () => {
  test('of a section lead to what was copied with them, and out as before', () => {
    const course = linked();
    let made = 0;
    const [section] = course.sections;
    const edits = copySection(course, section!.id, 2, { title: null, from: 2 }, () => `n${(made += 1)}`);
    expect(edits).toHaveLength(2);
    for (const edit of edits) {
      if (edit.kind !== 'insert') throw new Error('not an insert');
      const [copied] = copiedTexts(section!, edit.node);
      expect(copied?.hash).toBe(HASH);
      const quiz = (edit.node as { items: readonly Item[] }).items[1]!.id;
      expect(relinkText('<a data-item="q">quiz</a> <a data-item="far"></a>', copied!.ids)).toBe(
        `<a data-item="${quiz}">quiz</a> <a data-item="far"></a>`,
      );
    }
  });

  test('of one item alone lead where it led', () => {
    const course = linked();
    const [edit] = duplicateNodes(course, ['p'], () => 'copy');
    const original = findNode(course, 'p')!.node;
    const [copied] = copiedTexts(original, (edit as { node: Item }).node);
    expect([...copied!.ids]).toEqual([['p', 'copy']]);
  });
});

describe('what a learner can follow', () => {
  const targetsOf = (course: Course): ReturnType<typeof linkTargets> =>
    linkTargets(courseView(course, { role: 'learner', institutionStaff: false }, '2027-01-12T09:00:00Z')!);

  test('items that open, by number and title; not those that are hidden', () => {
    const targets = targetsOf(linked());
    expect(targets.get('q')).toEqual({ number: '1.2', title: 'Q', opens: true });
    const course = linked();
    const hidden = {
      ...course,
      sections: course.sections.map((section, at) => (at === 0 ? { ...section, shown: false } : section)),
    };
    expect(targetsOf(hidden).has('q')).toBe(false);
  });
});

describe('readiness', () => {
  const found = (course: Course, facts: Partial<TextFacts>) =>
    findings(course, { moment: '2027-01-05T09:00:00Z', learners: 1, texts: texts(facts) });

  test('pictures in texts without words', () => {
    expect(found(linked(), { silent: 2 })).toContainEqual(
      expect.objectContaining({ rule: 'picture_alt', stop: 'outline', targets: ['p'], values: { count: 2 } }),
    );
    expect(found(linked(), {}).map(({ rule }) => rule)).not.toContain('picture_alt');
    const inDescription = { ...linked(), description: HASH, sections: [] };
    expect(found(inDescription, { silent: 1 })).toContainEqual(
      expect.objectContaining({ rule: 'picture_alt', stop: 'about', targets: [] }),
    );
  });

  test('links to what learners never get', () => {
    expect(found(linked(), { links: ['q', 'far'] }).map(({ rule }) => rule)).not.toContain('link_gone');
    expect(found(linked(), { links: ['q', 'never-was'] })).toContainEqual(
      expect.objectContaining({ rule: 'link_gone', targets: ['p'], values: { count: 1 } }),
    );
    const course = linked();
    const removed = {
      ...course,
      sections: course.sections.map((section) => ({
        ...section,
        items: section.items.map((item) => (item.id === 'q' ? { ...item, removed: true } : item)),
      })),
    };
    expect(found(removed, { links: ['q'] })).toContainEqual(
      expect.objectContaining({ rule: 'link_gone', targets: ['p'] }),
    );
    expect(found({ ...course, description: HASH, sections: [] }, { links: ['gone'] })).toContainEqual(
      expect.objectContaining({ rule: 'link_gone', stop: 'about', field: 'description', targets: [] }),
    );
  });
});
