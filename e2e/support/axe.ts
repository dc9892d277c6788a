/** What axe-core finds on a page, in light and in dark: nothing. */
import { expect } from '@playwright/test';
import type { Page } from '@playwright/test';
import type { AxeResults, RunOnly, RunOptions } from 'axe-core';
import axe from 'axe-core';

const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];
/** In the other light the page is the same but for its colours. */
const RULES_OF_COLOUR = ['color-contrast', 'link-in-text-block'];

type Runner = { readonly run: (within: string, options: RunOptions) => Promise<AxeResults> };

async function findings(
  page: Page,
  within: string,
  runOnly: RunOnly,
  but: readonly string[] = [],
): Promise<string[]> {
  // Into the page itself, and once: reading the library costs as much as running it.
  const isThere = await page.evaluate(() => 'axe' in window);
  if (!isThere) await page.evaluate(axe.source);
  const options: RunOptions = {
    runOnly,
    rules: Object.fromEntries(but.map((rule) => [rule, { enabled: false }])),
    // What passes is counted by nobody, and describing it takes most of the time.
    resultTypes: ['violations'],
  };
  const { violations } = await page.evaluate(
    ([place, how]) => (window as unknown as { axe: Runner }).axe.run(place, how),
    [within, options] as const,
  );
  return violations.map(
    ({ id, nodes }) =>
      `${id}: ${nodes.map(({ target, failureSummary }) => `${target.join(' ')} (${failureSummary ?? ''})`).join('\n  ')}`,
  );
}

async function inLight(page: Page, colorScheme: 'light' | 'dark'): Promise<void> {
  await page.emulateMedia({ colorScheme });
  await page.waitForFunction(
    (scheme) => getComputedStyle(document.documentElement).colorScheme === scheme,
    colorScheme,
  );
}

/**
 * Colours are asked about in one language of each direction, since no style asks what language a page is in
 * (scripts/test/house/styles.test.ts). Everything else is asked about in each.
 */
const IN_COLOUR = ['en', 'ar'];

/** Where nothing that stays at the lower edge lies over what is looked at. */
export const toTheFoot = (page: Page): Promise<void> =>
  page.evaluate(() => scrollTo(0, document.body.scrollHeight));

/**
 * Everything in light, and whatever has to do with colours in dark.
 *
 * @param within all of the page, unless something lies over it whose scrim is no ground for words.
 */
export async function clean(page: Page, what: string, within = 'html'): Promise<void> {
  await page.waitForLoadState('networkidle');
  // What a long stop makes when there is nothing else to do is looked at too.
  await expect(page.locator('[data-later]')).toHaveCount(0);
  // A sentence that no language has stands there as its key.
  const words = (await page.locator(within).allInnerTexts()).join('\n');
  expect(
    words.match(
      /\b(?:common|account|learner|desk|setup|work|quiz|talk|film|meeting|survey|agenda|own)\.[a-z]\w*\.\w+/g,
    ) ?? [],
    what,
  ).toEqual([]);
  await inLight(page, 'light');
  const isInColour = IN_COLOUR.includes(await page.evaluate(() => document.documentElement.lang));
  const all = await findings(page, within, { type: 'tag', values: TAGS }, isInColour ? [] : RULES_OF_COLOUR);
  expect.soft(all, what).toEqual([]);
  if (!isInColour) return;
  await inLight(page, 'dark');
  const ofColour = await findings(page, within, { type: 'rule', values: RULES_OF_COLOUR });
  expect.soft(ofColour, `${what}, in dark`).toEqual([]);
  await inLight(page, 'light');
}
