/**
 * Titles that are pasted as lines become items, all of them or none; tags that cannot be ones stay and are said.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { describe, expect, jest, test } from '@jest/globals';
import { livingItems, livingSections, MAX_TITLE } from '@itinerary/core';
import { useTags } from '../../src/setup/about/tags.ts';
import { useAdding } from '../../src/setup/outline/acts/adding.ts';
import { usePlan } from '../../src/stores/plan.ts';
import { inSetup } from '../support/in-setup.ts';
import { miniature } from '../support/mini-server.ts';

const at = miniature();

async function opened(): Promise<ReturnType<typeof usePlan>> {
  const plan = usePlan();
  await plan.open('course');
  return plan;
}
const titles = (): readonly (string | null)[] => {
  const [section] = livingSections(usePlan().course!);
  return livingItems(section!).map(({ title }) => title);
};

describe('pasted titles', () => {
  async function paste(id: string, lines: readonly string[], replacing: boolean): Promise<string[]> {
    const focused: string[] = [];
    const outline = {
      focus: (one: string) => Promise.resolve(void focused.push(one)),
      prepare: () => undefined,
      open: () => undefined,
    };
    const { used } = await inSetup(() => useAdding(outline), { pinia: at.pinia });
    await used.addLines(id, lines, replacing);
    return focused;
  }

  test('two hundred of them are two hundred items, the first where it was pasted, in one step', async () => {
    const plan = await opened();
    const before = titles();
    const lines = Array.from({ length: 200 }, (_, index) => `Station ${index + 1}`);
    const focused = await paste('a2', lines, true);
    expect(titles()).toEqual([before[0], ...lines, ...before.slice(2)]);
    expect(plan.told).toMatchObject([{ kind: 'added', count: 199 }]);
    expect(
      livingItems(livingSections(plan.course!)[0]!).find(({ title }) => title === 'Station 200')?.id,
    ).toBe(focused.at(-1));
    plan.undo();
    expect(titles()).toEqual(before);
  });

  test('beside other words they stand after them, and are of the same kind', async () => {
    const plan = await opened();
    await paste('B', ['Field day', 'Report'], false);
    expect(livingSections(plan.course!).map(({ title }) => title)).toEqual(['A', 'B', 'Field day', 'Report']);
  });

  test('where one is too long nothing is added, and it is named', async () => {
    const plan = await opened();
    const before = titles();
    const long = 'x'.repeat(MAX_TITLE + 1);
    await paste('a2', ['Fine', long], true);
    expect(titles()).toEqual(before);
    expect(plan.told).toMatchObject([{ kind: 'long_lines', count: 1, first: long }]);
  });
});

describe('tags', () => {
  test('are taken with commas between them; what is too long stays, is said, and does not count', async () => {
    const plan = await opened();
    const { used } = await inSetup(useTags, { pinia: at.pinia });
    const long = 'a tag that is rather a sentence than a word';
    used.setTags(['mud', `tide , ${long}; mud`]);
    expect(plan.course?.tags).toEqual(['mud', 'tide']);
    expect(used.left.value).toEqual([long]);
    expect(used.wrong.value).toContain(`“${long}” is too long for a tag, which has at most 40`);
    used.setTags(['mud', 'tide']);
    expect([used.left.value, used.wrong.value]).toEqual([[], null]);
  });

  test('one too many stays and is said', async () => {
    const plan = await opened();
    const { used } = await inSetup(useTags, { pinia: at.pinia });
    used.setTags([Array.from({ length: 31 }, (_, index) => `t${index}`).join(',')]);
    expect(plan.course?.tags).toHaveLength(30);
    expect([used.left.value, used.wrong.value]).toEqual([['t30'], 'A course has at most 30 tags.']);
  });
});

test('a field is kept here until the server has it, and said to be saved for a while', async () => {
  const plan = await opened();
  at.server.trouble = 'away';
  plan.set('A', 'title', 'Mine', 'A');
  await jest.advanceTimersByTimeAsync(10);
  expect([plan.stateOf('A', 'title'), plan.stateOf('B', 'title')]).toEqual(['kept', null]);
  at.server.trouble = 'none';
  await jest.advanceTimersByTimeAsync(1100);
  expect(plan.stateOf('A', 'title')).toBe('saved');
  await jest.advanceTimersByTimeAsync(4100);
  expect(plan.stateOf('A', 'title')).toBeNull();
  // What is refused is never said to be saved.
  at.server.other({ id: 'gone', edits: [{ kind: 'remove', target: 'b1' }] });
  plan.set('b1', 'title', 'Mine', 'b1');
  await jest.advanceTimersByTimeAsync(10);
  expect(plan.told).toHaveLength(1);
  expect(plan.stateOf('b1', 'title')).toBeNull();
});
