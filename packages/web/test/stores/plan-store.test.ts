/** The store that saves: against a server in miniature, which answers, refuses, stumbles, or is away. */
import { describe, expect, test } from '@jest/globals';
import { newItem } from '@itinerary/core';
import type { TextFacts } from '@itinerary/core';
import { smallCourse } from '../../../core/test/support/arbitraries.ts';
import { useSession } from '../../src/stores/session.ts';
import { hashText, useTexts } from '../../src/stores/texts.ts';
import { miniature } from '../support/mini-server.ts';
import { opened, pass, titleOf, type } from '../support/opened-plan.ts';

const at = miniature();

describe('saving', () => {
  test('opens with the plan, its rights, and nothing to save', async () => {
    const plan = await opened();
    expect(plan.course).toEqual(smallCourse());
    expect([plan.saving, plan.savedAt, plan.isUnsaved, plan.learners]).toEqual(['saved', null, false, 2]);
  });

  test('applies at once, sends, and says when it is saved', async () => {
    const plan = await opened();
    plan.set('A', 'shown', false, true);
    expect(plan.course?.sections[0]?.shown).toBe(false);
    expect([plan.saving, plan.isUnsaved]).toEqual(['saving', true]);
    await pass(10);
    expect([plan.saving, plan.isUnsaved]).toEqual(['saved', false]);
    expect(plan.savedAt).toBe(useSession().now());
    expect(at.server.course).toEqual(plan.course);
  });

  test('typing waits for two seconds of rest, and is one change', async () => {
    const plan = await opened();
    for (const text of ['T', 'Ti', 'Tid', 'Tide']) {
      expect(type(plan, text)).toBe(true);
      await pass(1500);
    }
    expect(at.server.sent).toEqual([]);
    await pass(600);
    expect(at.server.sent).toHaveLength(1);
    expect(at.server.sent[0]?.changes).toMatchObject([
      { edits: [{ field: 'title', value: 'Tide', was: 'A' }] },
    ]);
    expect(plan.saving).toBe('saved');
  });

  test('another change sends the typing along at once', async () => {
    const plan = await opened();
    type(plan, 'Tide');
    plan.set('B', 'shown', false, true);
    await pass(10);
    expect(at.server.sent[0]?.changes).toHaveLength(2);
  });

  test('typing goes on while an answer is under way, and is saved after it', async () => {
    const plan = await opened();
    type(plan, 'One');
    const flushed = plan.flush();
    type(plan, 'One two');
    await flushed;
    expect(titleOf(plan.course)).toBe('One two');
    expect(plan.saving).toBe('saving');
    await pass(2100);
    expect(titleOf(at.server.course)).toBe('One two');
    expect(plan.saving).toBe('saved');
  });

  test('a value that stands there already is no change', async () => {
    const plan = await opened();
    expect(plan.set('A', 'title', 'A', 'A')).toBe(false);
    await pass(3000);
    expect(at.server.sent).toEqual([]);
    expect(plan.saving).toBe('saved');
  });

  test('what core refuses is told, and not sent', async () => {
    const plan = await opened();
    expect(plan.change([{ kind: 'set', target: 'A', field: 'title', value: 7, was: 'A' }])).toBe(false);
    expect(plan.told).toMatchObject([{ kind: 'refused', refusal: { code: 'bad_value', value: 7 } }]);
    plan.dismiss(plan.told[0]?.id ?? '');
    expect(plan.told).toEqual([]);
    expect(at.server.sent).toEqual([]);
  });
});

describe('trouble', () => {
  test.each(['away', 'away from the database'] as const)(
    '%s: tried again, less and less often, until it goes',
    async (trouble) => {
      const plan = await opened();
      at.server.trouble = trouble;
      plan.set('A', 'shown', false, true);
      await pass(10);
      expect(plan.saving).toBe('retrying');
      const before = at.server.sent.length;
      await pass(1100);
      await pass(2100);
      expect(at.server.sent.length).toBe(before + 2);
      await pass(60_000);
      expect(at.server.sent.length).toBeLessThan(before + 9);
      at.server.trouble = 'none';
      await pass(15_100);
      expect([plan.saving, plan.isUnsaved]).toEqual(['saved', false]);
      expect(at.server.course.sections[0]?.shown).toBe(false);
    },
  );

  test('an answer that is lost makes nothing twice', async () => {
    const plan = await opened();
    at.server.trouble = 'lost answer';
    const node = newItem('page', { id: 'n', title: 'N' });
    plan.change([{ kind: 'insert', parent: 'A', after: null, node }]);
    await pass(10);
    expect(plan.saving).toBe('retrying');
    at.server.trouble = 'none';
    await pass(1100);
    expect(plan.saving).toBe('saved');
    expect(at.server.log).toHaveLength(1);
    expect(plan.course).toEqual(at.server.course);
  });

  test('signed out: stops and says so; after signing in it goes on with nothing lost', async () => {
    const plan = await opened();
    at.server.trouble = 'signed out';
    type(plan, 'Kept');
    await pass(2100);
    expect(plan.saving).toBe('stopped');
    expect(plan.told).toMatchObject([{ kind: 'problem', code: 'not_signed_in' }]);
    type(plan, 'Kept and more');
    await pass(60_000);
    expect(at.server.sent).toHaveLength(1);
    at.server.trouble = 'none';
    plan.resume();
    await pass(10);
    expect(plan.saving).toBe('saved');
    expect(titleOf(at.server.course)).toBe('Kept and more');
  });

  test('much that was written while the server was away goes in smaller parts', async () => {
    const plan = await opened();
    at.server.trouble = 'away';
    for (let at = 0; at < 9; at += 1) plan.set('B', 'title', `T${at}`, titleOf(plan.course, 1));
    await pass(10);
    at.server.trouble = 'too large';
    await pass(1100);
    await pass(30_000);
    expect([plan.saving, plan.isUnsaved]).toEqual(['saved', false]);
    expect(titleOf(at.server.course, 1)).toBe('T8');
    expect(at.server.log).toHaveLength(9);
  });

  test('as the page goes, what is pending is sent in a request that outlives it', async () => {
    const plan = await opened();
    type(plan, 'Half a sen');
    plan.leave();
    await pass(0);
    expect(titleOf(at.server.course)).toBe('Half a sen');
  });

  test('and a page that lives on after all loses nothing of what is typed then', async () => {
    const plan = await opened();
    type(plan, 'Half a sen');
    plan.leave();
    await pass(0);
    type(plan, 'Half a sentence');
    await pass(2100);
    expect(titleOf(at.server.course)).toBe('Half a sentence');
  });
});

describe('others', () => {
  test('are seen with the next answer, and told of where they replaced one’s words', async () => {
    const plan = await opened();
    type(plan, 'Mine');
    await pass(2100);
    at.server.other({
      id: 'o',
      edits: [{ kind: 'set', target: 'A', field: 'title', value: 'Theirs', was: 'A' }],
    });
    at.server.other({ id: 'p', edits: [{ kind: 'remove', target: 'b1' }] });
    await plan.flush();
    expect(titleOf(plan.course)).toBe('Theirs');
    expect(plan.told).toMatchObject([{ kind: 'replaced', yours: 'Mine', theirs: 'Theirs', by: 'Tunde' }]);
    plan.set('b1', 'title', 'Too late', 'b1');
    expect(plan.told.at(-1)).toMatchObject({ kind: 'refused', refusal: { code: 'removed_target' } });
  });

  test('a change sent to what they removed comes back refused, with its words', async () => {
    const plan = await opened();
    at.server.other({ id: 'p', edits: [{ kind: 'remove', target: 'b1' }] });
    plan.set('b1', 'title', 'My words', 'b1');
    await pass(10);
    expect(plan.told).toMatchObject([{ kind: 'refused', change: { edits: [{ value: 'My words' }] } }]);
    expect([plan.saving, plan.isUnsaved]).toEqual(['saved', false]);
  });
});

describe('texts', () => {
  test('are kept under their hash, and sent with the change that names them', async () => {
    const plan = await opened();
    await plan.setText('a1', 'text', '<p>Low tide</p>');
    const hash = await hashText('<p>Low tide</p>');
    expect(useTexts().read(hash)).toBe('<p>Low tide</p>');
    await pass(2100);
    expect(at.server.sent[0]?.texts).toEqual({ [hash]: '<p>Low tide</p>' });
    expect(plan.saving).toBe('saved');
  });

  test('only the last of several typed is sent', async () => {
    const plan = await opened();
    for (const html of ['<p>L</p>', '<p>Lo</p>', '<p>Low</p>']) {
      await plan.setText('a1', 'text', html);
    }
    await pass(2100);
    expect(Object.values(at.server.sent[0]?.texts ?? {})).toEqual(['<p>Low</p>']);
  });

  test('come from the server when they are looked at first', async () => {
    await opened();
    const hash = await hashText('<p>There</p>');
    at.server.texts.set(hash, '<p>There</p>');
    const texts = useTexts();
    expect(texts.read(hash)).toBeNull();
    await pass(0);
    expect(texts.read(hash)).toBe('<p>There</p>');
    expect(texts.read(null)).toBeNull();
  });

  test('what the server keeps otherwise stands as it was typed until that has come', async () => {
    const plan = await opened();
    const texts = useTexts();
    const typed = '<p onclick="x">Low</p>';
    const kept = '<p>Low</p>';
    const [from, to] = [await hashText(typed), await hashText(kept)];
    at.server.renamed = { [from]: to };
    at.server.texts.set(to, kept);
    await plan.setText('a1', 'text', typed);
    await plan.flush();
    expect(plan.course?.sections[0]?.items[0]).toMatchObject({ text: to });
    // Never nothing: somebody may be in the middle of a word.
    expect(texts.read(to)).not.toBeNull();
    await pass(1);
    expect(texts.read(to)).toBe(kept);
  });

  test('what texts hold is known, of one’s own, and of those that others wrote', async () => {
    const silent: TextFacts = { pictures: ['c'.repeat(64)], silent: 1, links: [] };
    at.server.facts = { ['d'.repeat(64)]: silent };
    const plan = await opened();
    const rules = (): string[] => plan.found.map(({ rule }) => rule);
    expect(rules()).not.toContain('picture_alt');
    await plan.setText('a1', 'text', `<img data-picture="${'c'.repeat(64)}">`);
    expect(rules()).toContain('picture_alt');
    await plan.setText('a1', 'text', `<img data-picture="${'c'.repeat(64)}" alt="">`);
    expect(rules()).not.toContain('picture_alt');
    await plan.flush();
    const edit = { kind: 'set', target: 'a1', field: 'text', value: 'd'.repeat(64), was: null } as const;
    at.server.other({ id: 'theirs', edits: [edit] });
    await plan.flush();
    expect(rules()).toContain('picture_alt');
  });

  test('that are longer than a long chapter are refused here', async () => {
    const plan = await opened();
    await plan.setText('a1', 'text', `<p>${'x'.repeat(200_001)}</p>`);
    expect(plan.told).toMatchObject([{ kind: 'problem', code: 'too_large' }]);
    expect(plan.isUnsaved).toBe(false);
  });
});

describe('readiness', () => {
  test('is asked of what stands on the screen', async () => {
    const plan = await opened();
    const rules = (): string[] => plan.found.map(({ rule }) => rule);
    expect(rules()).toContain('empty_item');
    plan.change([
      { kind: 'remove', target: 'A' },
      { kind: 'remove', target: 'B' },
    ]);
    expect(rules()).toContain('no_item');
    plan.undo();
    expect(rules()).not.toContain('no_item');
  });
});
