/** What lies behind a dialog cannot be reached until the last one is closed. */
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { INES, LIVE, liveCourse, signedInAs } from '../support/people.ts';

/** The library notes which dialog is on top a turn after it opened or closed, and no hand is quicker than that. */
async function escape(page: Page): Promise<void> {
  await page.evaluate(() => new Promise((done) => setTimeout(done, 20)));
  await page.keyboard.press('Escape');
}

test('behind a dialog, and a list of commands over it, nothing is reached', async ({ page }) => {
  await signedInAs(page, INES);
  await page.goto(`/setup/${await liveCourse(page, LIVE)}/look`);
  const behind = page.locator('.v-application');
  const banner = page.locator('#field-banner .acts button').nth(1);
  const choosing = page.getByRole('dialog', { name: 'Choose a picture' });
  const finding = page.getByRole('dialog', { name: 'Find and go, or do' });

  await expect(behind).not.toHaveAttribute('inert');
  await banner.click();
  await expect(choosing).toBeVisible();
  await expect(behind).toHaveAttribute('inert');
  await page.keyboard.press('Control+k');
  await expect(finding).toBeVisible();
  await escape(page);
  await expect(finding).toBeHidden();
  await expect(behind).toHaveAttribute('inert');
  await escape(page);
  await expect(choosing).toBeHidden();
  await expect(behind).not.toHaveAttribute('inert');
  await banner.focus();
  await expect(banner).toBeFocused();

  // Left by another way with a dialog open, nothing stays closed off.
  await banner.click();
  await expect(choosing).toBeVisible();
  await page.keyboard.press('Control+k');
  await finding.getByRole('combobox').fill('To your desk');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/desk$/);
  await expect(behind).not.toHaveAttribute('inert');
});
