/**
 * Back to where one was on a page.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { nextTick } from 'vue';
import { placeAgain } from '../../src/app/reading-place.ts';
import { useUnfolded } from '../../src/learner/outline/unfolded.ts';

let [height, scrolled] = [0, 0];
beforeEach(() => {
  jest.useFakeTimers();
  [height, scrolled] = [500, 0];
  Object.defineProperty(document.documentElement, 'scrollHeight', { configurable: true, get: () => height });
  Object.defineProperty(window, 'innerHeight', { configurable: true, get: () => 500 });
  Object.defineProperty(window, 'scrollY', { configurable: true, get: () => scrolled });
});
afterEach(() => void jest.useRealTimers());
const place = { left: 0, top: 700 };

test('comes once the page is as long again, and at the latest after three seconds', async () => {
  let isThere = false;
  const again = placeAgain(place, () => true).finally(() => (isThere = true));
  await jest.advanceTimersByTimeAsync(400);
  expect(isThere).toBe(false);
  height = 1200;
  await jest.advanceTimersByTimeAsync(60);
  expect(await again).toBe(place);
  height = 600;
  const never = placeAgain(place, () => true);
  await jest.advanceTimersByTimeAsync(3100);
  expect(await never).toBe(place);
});

test('is nothing to whoever has gone on meanwhile, or scrolls by themselves', async () => {
  const elsewhere = placeAgain(place, () => false);
  await jest.advanceTimersByTimeAsync(3100);
  expect(await elsewhere).toBe(false);
  const own = placeAgain(place, () => true);
  scrolled = 120;
  height = 1200;
  await jest.advanceTimersByTimeAsync(60);
  expect(await own).toBe(false);
});

test('a section is as it was left on that page, and on no other', async () => {
  const first = useUnfolded('/courses/c/outline a');
  expect(first.value).toBeNull();
  first.value = true;
  await nextTick();
  expect(useUnfolded('/courses/c/outline a').value).toBe(true);
  expect(useUnfolded('/courses/d/outline a').value).toBeNull();
});
