/** What axe-core finds on a page, in light and in dark: nothing. */
import AxeBuilder from '@axe-core/playwright';
import { expect } from '@playwright/test';
import type { Page } from '@playwright/test';

const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];
/** In the other light the page is the same but for its colours. */
const RULES_OF_COLOUR = ['color-contrast', 'link-in-text-block'];

async function findings(page: Page, within: string, rules: readonly string[] | null): Promise<string[]> {
  // In the page itself: there are no frames, and a second page would put this one to sleep.
  const axe = new AxeBuilder({ page })
    .setLegacyMode()
    // What passes is counted by nobody, and describing it takes most of the time.
    .options({ resultTypes: ['violations'] })
    .include(within);
  const { violations } = await (rules === null ? axe.withTags(TAGS) : axe.withRules([...rules])).analyze();
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
 * Everything in light, and whatever has to do with colours in dark.
 *
 * @param within all of the page, unless something lies over it whose scrim is no ground for words.
 */
export async function clean(page: Page, what: string, within = 'html'): Promise<void> {
  await page.waitForLoadState('networkidle');
  await inLight(page, 'light');
  expect.soft(await findings(page, within, null), what).toEqual([]);
  await inLight(page, 'dark');
  expect.soft(await findings(page, within, RULES_OF_COLOUR), `${what}, in dark`).toEqual([]);
  await inLight(page, 'light');
}
