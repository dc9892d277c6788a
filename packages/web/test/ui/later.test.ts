/**
 * What a long page makes later: in turn, when there is nothing else to do; at once when it is looked for.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { h, nextTick } from 'vue';
import PartLinks from '../../src/setup/frame/PartLinks.vue';
import LaterPart from '../../src/ui/frame/LaterPart.vue';
import { makeAll, makeLater } from '../../src/ui/frame/later.ts';
import { showing } from '../support/mounted.ts';

const mounted = showing();
beforeEach(() => void jest.useFakeTimers());
afterEach(() => {
  makeAll();
  jest.runAllTimers();
  jest.useRealTimers();
});

test('parts are made one after another, and none while the page has just been opened', () => {
  const made: string[] = [];
  for (const name of ['one', 'two', 'three']) makeLater(() => made.push(name));
  jest.advanceTimersByTime(200);
  expect(made).toEqual([]);
  jest.advanceTimersByTime(80);
  expect(made).toEqual(['one']);
  jest.runAllTimers();
  expect(made).toEqual(['one', 'two', 'three']);
  makeLater(() => made.push('four'));
  expect(made).toHaveLength(3);
  jest.runAllTimers();
  expect(made).toHaveLength(4);
});

test('what is taken back is not made, and what is asked for is made once', () => {
  const made: string[] = [];
  const takeBack = makeLater(() => made.push('left'));
  makeLater(() => made.push('wanted'));
  takeBack();
  makeAll();
  expect(made).toEqual(['wanted']);
  jest.runAllTimers();
  expect(made).toEqual(['wanted']);
});

test('a part stands for itself until it is made, and a page that is left makes none', async () => {
  let drawn = 0;
  const Part = { render: () => ((drawn += 1), h('h2', { id: 'far-part' }, 'Far')) };
  const Page = { render: () => h(LaterPart, null, { default: () => h(Part) }) };
  const page = mounted(Page);
  expect([page.find('[data-later]').exists(), page.find('h2').exists(), drawn]).toEqual([true, false, 0]);
  jest.runAllTimers();
  await nextTick();
  expect([page.find('[data-later]').exists(), page.find('h2').exists(), drawn]).toEqual([false, true, 1]);
  const left = mounted(Page);
  left.unmount();
  jest.runAllTimers();
  expect(drawn).toBe(1);
});

test('a link to a part that is not made yet leads there all the same', async () => {
  const Far = () => h('h2', { id: 'far-part' }, 'Far');
  const page = mounted({
    render: () => [
      h(PartLinks, { parts: [['far-part', 'Far']] }),
      h(LaterPart, null, { default: () => h(Far) }),
    ],
  });
  await page.get('a').trigger('click');
  await nextTick();
  expect(document.getElementById('far-part')).not.toBeNull();
  expect(location.hash).toBe('#far-part');
});
