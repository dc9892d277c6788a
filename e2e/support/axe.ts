/** What axe-core finds on a page: nothing. */
import AxeBuilder from '@axe-core/playwright';
import { expect } from '@playwright/test';
import type { Page } from '@playwright/test';

/** @param within all of the page, unless something lies over it whose scrim is no ground for words. */
export async function clean(page: Page, what: string, within = 'html'): Promise<void> {
  await page.waitForLoadState('networkidle');
  // In the page itself: there are no frames, and a second page would put this one to sleep.
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode()
    .include(within)
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
    .analyze();
  const found = violations.map(
    ({ id, nodes }) =>
      `${id}: ${nodes.map(({ target, failureSummary }) => `${target.join(' ')} (${failureSummary ?? ''})`).join('\n  ')}`,
  );
  expect.soft(found, what).toEqual([]);
}
