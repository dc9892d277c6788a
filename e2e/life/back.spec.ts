/** Back from an item is back to the line that it was opened from, on a desk and on a phone. */
import { expect, test } from '@playwright/test';
import { LIVE, liveCourse, NOOR, signedInAs } from '../support/people.ts';

for (const [where, width, height] of [
  ['a desk', 1280, 800],
  ['a phone', 390, 844],
] as const) {
  test(`the sections that were unfolded and the place on the page are there again, on ${where}`, async ({
    page,
  }) => {
    await page.setViewportSize({ width, height });
    await signedInAs(page, NOOR);
    const id = await liveCourse(page, LIVE);
    await page.goto(`/courses/${id}/outline`);
    const later = page.getByRole('listitem').filter({ hasText: 'Charts and their error bars' }).first();
    const fold = later.getByRole('button').first();
    await fold.scrollIntoViewIfNeeded();
    await fold.click();
    await expect(fold).toHaveAttribute('aria-expanded', 'true');
    const before = await page.evaluate(() => window.scrollY);
    expect(before).toBeGreaterThan(200);
    await later.getByRole('link').last().click();
    await expect(page).toHaveURL(/\/items\//);
    await page.goBack();
    await expect(fold).toHaveAttribute('aria-expanded', 'true');
    await expect(later.getByRole('link').last()).toBeInViewport();
    await expect.poll(() => page.evaluate(() => window.scrollY)).toBeGreaterThan(200);
  });
}
