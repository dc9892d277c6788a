/** The way to another page: when it shows, what is said when it fails, and when the page is loaded whole. */
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { createMemoryHistory, createRouter } from 'vue-router';
import type { Router } from 'vue-router';
import { loadWhole } from '../../src/app/try-again.ts';
import { failedAt, forgetFailure, isSlow, watchTheWay } from '../../src/app/under-way.ts';

const pass = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));
const page = { render: () => null };

/** What the browser was told to load. */
let loaded: string[] = [];
const before = Object.getOwnPropertyDescriptor(globalThis, 'location');
beforeEach(() => {
  loaded = [];
  Object.defineProperty(globalThis, 'location', {
    configurable: true,
    value: {
      href: 'https://itinerary.example/desk#main',
      assign: (address: string) => loaded.push(address),
      reload: () => loaded.push('again'),
    },
  });
});
afterEach(() => {
  forgetFailure();
  if (before === undefined) Reflect.deleteProperty(globalThis, 'location');
  else Object.defineProperty(globalThis, 'location', before);
});

interface Way {
  readonly router: Router;
  /** How often the server was asked. */
  readonly asked: () => number;
}

function way(answers: () => Promise<unknown>, slowly = 0): Way {
  let count = 0;
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: '/', component: page },
      { path: '/there', component: page },
      { path: '/slow', component: () => pass(slowly).then(() => page) },
      { path: '/gone', component: () => Promise.reject(new Error('not found')) },
    ],
  });
  watchTheWay(router, () => {
    count += 1;
    return answers();
  });
  return { router, asked: () => count };
}
const answers = (): Promise<void> => Promise.resolve();
const away = (): Promise<void> => Promise.reject(new Error('away'));

describe('a page that takes a while', () => {
  test('shows as slow until it is there, and not when it comes at once', async () => {
    const { router } = way(answers, 500);
    await router.push('/there');
    expect(isSlow.value).toBe(false);
    const going = router.push('/slow');
    await pass(100);
    expect(isSlow.value).toBe(false);
    await pass(250);
    expect(isSlow.value).toBe(true);
    await going;
    expect(isSlow.value).toBe(false);
    // Nor does what came in time show as slow afterwards.
    await router.push('/there');
    await pass(300);
    expect(isSlow.value).toBe(false);
  });

  test('no longer shows as slow once somebody has turned round', async () => {
    const { router } = way(answers, 600);
    await router.push('/there');
    const going = router.push('/slow');
    await pass(300);
    expect(isSlow.value).toBe(true);
    await router.push('/');
    expect(isSlow.value).toBe(false);
    await going;
    expect(router.currentRoute.value.path).toBe('/');
  });
});

describe('a page that does not come', () => {
  test('is said while the server is away, and forgotten when another page comes', async () => {
    const { router, asked } = way(away);
    await router.push('/there');
    await expect(router.push('/gone?day=2#five')).rejects.toThrow('not found');
    await pass(0);
    expect(failedAt.value).toBe('/gone?day=2#five');
    expect([asked(), loaded]).toEqual([1, []]);
    expect(router.currentRoute.value.path).toBe('/there');
    await router.push('/');
    expect(failedAt.value).toBeNull();
  });

  test('is loaded whole where the server answers', async () => {
    const { router } = way(answers);
    await router.push('/there');
    await expect(router.push('/gone?day=2')).rejects.toThrow('not found');
    await pass(0);
    expect([failedAt.value, loaded]).toEqual([null, ['/gone?day=2']]);
  });

  test('is not loaded whole again where it is the first, since that would never end', async () => {
    const { router, asked } = way(answers);
    await expect(router.push('/gone')).rejects.toThrow('not found');
    await pass(0);
    expect([failedAt.value, asked(), loaded]).toEqual(['/gone', 0, []]);
  });

  test.each([
    ['answers', answers],
    ['is away', away],
  ])('is let go by whoever is elsewhere by the time that the server %s', async (_what, outcome) => {
    let settle = (): void => undefined;
    const held = new Promise<void>((resolve) => (settle = resolve));
    const { router } = way(() => held.then(outcome));
    await router.push('/there');
    await expect(router.push('/gone')).rejects.toThrow('not found');
    await router.push('/');
    settle();
    await pass(0);
    expect([failedAt.value, loaded, router.currentRoute.value.path]).toEqual([null, [], '/']);
  });

  test('is no longer spoken of when the notice is closed', async () => {
    const { router } = way(away);
    await router.push('/there');
    await expect(router.push('/gone')).rejects.toThrow('not found');
    await pass(0);
    forgetFailure();
    expect(failedAt.value).toBeNull();
  });
});

test('an address that is open already is loaded again, not scrolled to', () => {
  loadWhole('/desk#main');
  loadWhole('/desk#other');
  loadWhole('/new-course');
  expect(loaded).toEqual(['again', '/desk#other', '/new-course']);
});
