/** Texts in setup: filled as learners read them, and written again in copies. */
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { copySection, courseView, duplicateNodes, newItem } from '@itinerary/core';
import type { Course, CourseView, Item } from '@itinerary/core';
import { createPinia, setActivePinia } from 'pinia';
import { smallCourse } from '../../../core/test/support/arbitraries.ts';
import { itemAttributes } from '../../src/learner/outline/item-attributes.ts';
import { relinkCopies } from '../../src/setup/text/copied-links.ts';
import { useFilled } from '../../src/setup/text/filled.ts';
import { formula } from '../../src/setup/text/formulas.ts';
import { hashText, useTexts } from '../../src/stores/texts.ts';

const realFetch = globalThis.fetch;
let stored: Map<string, string>;
let asked: string[];
beforeEach(() => {
  setActivePinia(createPinia());
  stored = new Map();
  asked = [];
  globalThis.fetch = (address) => {
    const hash = String(address).split('/').at(-1) ?? '';
    asked.push(hash);
    const html = stored.get(hash);
    return html === undefined
      ? Promise.reject(new TypeError('Failed to fetch'))
      : Promise.resolve(
          new Response(JSON.stringify({ html }), { headers: { 'content-type': 'application/json' } }),
        );
  };
});
afterEach(() => {
  globalThis.fetch = realFetch;
});

const HTML = '<p>First <a data-item="quiz">the quiz</a>, then <a data-item="b1"></a></p>';

/** The small course, with a page in its first section that leads to its own quiz and to the second section. */
async function linked(): Promise<Course> {
  const text = await hashText(HTML);
  const page = newItem('page', { id: 'page', title: 'Page', text });
  const quiz = newItem('quiz', { id: 'quiz', title: 'Quiz' });
  const base = smallCourse();
  return {
    ...base,
    state: 'live',
    sections: base.sections.map((one) => (one.id === 'A' ? { ...one, items: [page, quiz] } : one)),
  };
}
let made = 0;
const newId = (): string => `new-${(made += 1)}`;

describe('copies', () => {
  const textsOf = (edits: readonly unknown[]): (string | null)[] =>
    (edits as { node: { items: Item[] } }[]).flatMap(({ node }) =>
      node.items.map((item) => ('text' in item ? item.text : null)),
    );

  test('of a section lead to their own quiz each, and out to where the original does', async () => {
    const course = await linked();
    const texts = useTexts();
    texts.start('course');
    await texts.keep(HTML);
    const edits = copySection(course, 'A', 3, { title: null, from: 2 }, newId);
    const again = await relinkCopies(course, edits, () => 'A');
    const hashes = textsOf(again).filter((hash) => hash !== null);
    expect(new Set(hashes).size).toBe(3);
    for (const [at, edit] of again.entries()) {
      const quiz = (edit as { node: { items: Item[] } }).node.items[1]!.id;
      expect(texts.known.get(hashes[at]!)).toBe(HTML.replace('quiz"', `${quiz}"`));
    }
  });

  test('the text is fetched when it is not here, and left as it is when it cannot be had', async () => {
    const course = await linked();
    const texts = useTexts();
    texts.start('course');
    const hash = await hashText(HTML);
    texts.learn({ [hash]: { pictures: [], silent: 0, links: ['quiz', 'b1'] } });
    const edits = copySection(course, 'A', 1, { title: null, from: 2 }, newId);
    expect(textsOf(await relinkCopies(course, edits, () => 'A'))).toContain(hash);
    expect(asked).toEqual([hash]);
    stored.set(hash, HTML);
    expect(textsOf(await relinkCopies(course, edits, () => 'A'))).not.toContain(hash);
  });

  test('of one item alone, and of texts without links, stay as they are and ask for nothing', async () => {
    const course = await linked();
    const texts = useTexts();
    texts.start('course');
    texts.learn({ [await hashText(HTML)]: { pictures: [], silent: 0, links: ['quiz', 'b1'] } });
    const edits = duplicateNodes(course, ['page'], newId);
    expect(await relinkCopies(course, edits, () => 'page')).toEqual(edits);
    const moves = [{ kind: 'move', target: 'page', parent: 'B', after: null }] as const;
    expect(await relinkCopies(course, moves, () => 'page')).toEqual(moves);
    expect(asked).toEqual([]);
  });
});

describe('filled for the preview', () => {
  const viewOf = (course: Course): CourseView => {
    const learner = { role: 'learner' as const, institutionStaff: false };
    const view = courseView(course, learner, '2027-01-12T09:00:00Z');
    if (view === null) throw new Error('no view');
    return view;
  };

  test('links say number and title; pictures come from the course’s own files', async () => {
    const view = viewOf(await linked());
    const filled = useFilled(() => view);
    expect(filled(null)).toBeNull();
    expect(filled(HTML)).toBe(
      '<p>First <a href="#" data-item="quiz">the quiz</a>, then <a href="#" data-item="b1">2.1 b1</a></p>',
    );
    expect(filled(`<img data-picture="${'c'.repeat(64)}" alt="">`)).toContain(
      `src="/api/courses/${view.id}/files/${'c'.repeat(64)}"`,
    );
  });

  test('without a view nothing can be followed', () => {
    expect(useFilled(() => null)('<a data-item="quiz">the quiz</a>')).toBe('the quiz');
  });

  test('a formula stands there as it was typed until the library has come, then it is set', async () => {
    const piece = { kind: 'formula', tex: 'a<b', isBlock: false } as const;
    expect(formula(piece)).toBe('<code>a&lt;b</code>');
    await import('katex');
    await new Promise((resolve) => setTimeout(resolve, 0));
    expect(formula(piece)).toContain('<math');
  });
});

describe('an item’s line', () => {
  const item = { id: 'i', kind: 'page', address: null } as never;
  const press = (modifier: object): { opened: boolean; prevented: boolean } => {
    const done = { opened: false, prevented: false };
    const { onClick } = itemAttributes(item, () => '/i', () => (done.opened = true)) as {
      onClick: (event: object) => void;
    }; // prettier-ignore
    onClick({ preventDefault: () => (done.prevented = true), ...modifier });
    return done;
  };

  test('opens here, unless a new tab is asked for', () => {
    expect(press({})).toEqual({ opened: true, prevented: true });
    expect(press({ ctrlKey: true })).toEqual({ opened: false, prevented: false });
    expect(press({ metaKey: true })).toEqual({ opened: false, prevented: false });
  });

  test('a link goes straight outside; one without an address has a page that says so', () => {
    const link = { id: 'l', kind: 'link', address: 'https://example.org' } as never;
    expect(itemAttributes(link, () => '/l', () => undefined)).toMatchObject({
      href: 'https://example.org',
      rel: 'noopener noreferrer',
    }); // prettier-ignore
    const bare = { id: 'l', kind: 'link', address: null } as never;
    expect(itemAttributes(bare, () => '/l', () => undefined)).toMatchObject({ href: '/l' }); // prettier-ignore
  });

  test('is a button where there are no addresses', () =>
    expect(itemAttributes(item, undefined, () => undefined)).toMatchObject({ type: 'button' }));
});
