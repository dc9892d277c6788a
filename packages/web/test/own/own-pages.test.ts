/**
 * What is new and what one has done, as they stand on the page: each leads where it happened, in every language.
 *
 * @jest-environment ./scripts/jest/page.mjs
 */
import { beforeEach, describe, expect, test } from '@jest/globals';
import type { NewsAnswer, OwnLogAnswer } from '@itinerary/contract';
import { flushPromises } from '@vue/test-utils';
import NewsStrip from '../../src/learner/own/NewsStrip.vue';
import LogPage from '../../src/learner/own/LogPage.vue';
import { showing } from '../support/mounted.ts';

const show = showing();
const item = { id: 'talk', kind: 'discussion' as const, number: '1.2', title: 'Where?' };
let news: NewsAnswer;
let pages: OwnLogAnswer[];
let asked: string[];
beforeEach(() => {
  asked = [];
  news = { since: '2027-03-01T09:00:00.000Z', zone: 'UTC', things: [] };
  pages = [];
  globalThis.fetch = ((address: unknown) => {
    asked.push(String(address));
    const body = String(address).includes('/news') ? news : pages.shift();
    const headers = { 'content-type': 'application/json' };
    return Promise.resolve(new Response(JSON.stringify(body), { headers }));
  }) as typeof fetch;
});

describe('what is new', () => {
  const props = { courseId: 'c', showsLog: true };

  test.each(['en', 'es', 'fr', 'ar'] as const)('each leads to where it is, in %s', async (locale) => {
    news = {
      ...news,
      things: (['posted', 'opened', 'added', 'changed', 'marked'] as const).map((what) => ({
        ...{ what, item, title: item.title, at: '2027-03-02T09:00:00.000Z', count: 3 },
      })),
    };
    const announced = { what: 'announced' as const, item: null, title: 'Boots', at: news.since!, count: 1 };
    news = { ...news, things: [...news.things, announced] };
    const strip = show(NewsStrip, { props, locale });
    await flushPromises();
    const links = strip.findAll('li a').map((one) => one.attributes('href'));
    expect(links).toEqual([...Array<string>(5).fill('/courses/c/items/talk'), '/courses/c/announcements']);
    const words = strip.findAll('li > .soft:not(.figures)').map((one) => one.text());
    expect(new Set(words).size).toBe(6);
    expect(words[0]).toContain('3');
    for (const said of words) expect(said).not.toContain('own.');
  });

  test('with nothing new there is the way to the log alone, and without that nothing', async () => {
    const strip = show(NewsStrip, { props });
    await flushPromises();
    expect([strip.findAll('li').length, strip.findAll('.ways a').length]).toEqual([0, 1]);
    const bare = show(NewsStrip, { props: { ...props, showsLog: false } });
    await flushPromises();
    expect(bare.find('section').exists()).toBe(false);
  });
});

test('the log is read day by day, a page at a time', async () => {
  const entry = (what: 'posted' | 'done', at: string, of: typeof item | null = item) => ({
    what,
    item: of,
    at,
  });
  pages = [
    {
      zone: 'Europe/Lisbon',
      entries: [entry('posted', '2027-03-02T23:30:00.000Z'), entry('done', '2027-03-02T09:00:00.000Z', null)],
      more: true,
    },
    { zone: 'Europe/Lisbon', entries: [entry('done', '2027-03-01T09:00:00.000Z')], more: false },
  ];
  const page = show(LogPage, { props: {} });
  await flushPromises();
  expect(page.findAll('h2').map((one) => one.text())).toHaveLength(1);
  expect(page.findAll('li')).toHaveLength(2);
  // What is not theirs to see any more leads nowhere.
  expect(page.findAll('li')[1]?.find('a').exists()).toBe(false);
  await page.find('button').trigger('click');
  await flushPromises();
  expect(asked.at(-1)).toContain(encodeURIComponent('2027-03-02T09:00:00.000Z'));
  expect(page.findAll('li')).toHaveLength(3);
  expect(page.find('button').exists()).toBe(false);
});
