/** axe-core finds nothing on what learners see first, and where it is set up: in every language, light and dark. */
import { expect, test } from '@playwright/test';
import { clean } from '../support/axe.ts';
import { comeInAs, INES, LIVE, liveCourse, NOOR, speak, STAFF } from '../support/people.ts';

const LANGUAGES = ['en', 'es', 'fr', 'ar'] as const;
const PAGES = ['home', 'outline', 'announcements', 'contact', 'syllabus', 'members', 'guide'] as const;
const STOPS = ['menu', 'look', 'members', 'messages'] as const;

test.use({ trace: 'off' });
test.setTimeout(600_000);
// Four that share nothing, and take long: beside one another.
test.describe.configure({ mode: 'parallel' });

for (const language of LANGUAGES) {
  test(`in ${language}`, async ({ context, page }) => {
    await comeInAs(page, NOOR);
    await speak(page, language);
    const course = await liveCourse(page, LIVE);
    for (const part of PAGES) {
      await page.goto(`/courses/${course}/${part}`);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await clean(page, part);
    }
    await page.setViewportSize({ width: 390, height: 844 });
    for (const part of ['home', 'announcements']) {
      await page.goto(`/courses/${course}/${part}`);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      // At the end of the page, where the bar of the menu lies over nothing that is read.
      await page.mouse.wheel(0, 20_000);
      await clean(page, `${part} on a phone`);
    }
    await context.clearCookies();
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.evaluate(() => localStorage.clear());
    await comeInAs(page, INES);
    await speak(page, language);
    for (const stop of STOPS) {
      await page.goto(`/setup/${course}/${stop}`);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await clean(page, stop);
    }
    // What opens over the stops, by its place: its words are another's in each language.
    const dialog = page.getByRole('dialog');
    const over = [
      ['menu', '.offer button', 'a page to start from'],
      ['look', '#field-banner .acts button:nth-child(2)', 'choosing a picture'],
    ] as const;
    for (const [stop, opener, what] of over) {
      await page.goto(`/setup/${course}/${stop}`);
      await page.locator(opener).first().click();
      await expect(dialog).toBeVisible();
      await clean(page, what, '[role="dialog"]');
    }
    // The preview at its full size: as a page, and on a phone in the light of the page and in the other.
    await page.goto(`/setup/${course}/look`);
    await page.locator('.pane header button:nth-last-of-type(2)').click();
    await clean(page, 'the preview as a page', '[role="dialog"]');
    await page.locator('.frames button:nth-child(2)').click();
    await expect(page.locator('.frames [aria-pressed="true"]')).toHaveCount(1);
    await clean(page, 'the preview', '[role="dialog"]');
    await page.locator('.frames button:nth-child(3)').click();
    await expect(page.locator('.frames [aria-pressed="true"]')).toHaveCount(2);
    await clean(page, 'the preview in the other light', '[role="dialog"]');
    await page.goto(`/setup/${course}/messages`);
    const announcement = page.locator('[id^="field-announcement-"] [aria-expanded]').first();
    await announcement.click();
    await expect(announcement).toHaveAttribute('aria-expanded', 'true');
    // The rest of the page has been looked at above.
    await clean(page, 'an announcement', '[id^="field-announcement-"]');
    await page.goto(`/setup/${course}/menu`);
    await page.locator('[data-entry]').nth(1).focus();
    await page.keyboard.press('F2');
    await expect(page.locator('.names input').first()).toBeFocused();
    await clean(page, 'an entry’s names', '.names');
    await context.clearCookies();
    await page.evaluate(() => localStorage.clear());
    await comeInAs(page, STAFF);
    await speak(page, language);
    await clean(page, 'the desk');
    await page.locator('header button.button').first().click();
    await expect(dialog).toBeVisible();
    await clean(page, 'the institution’s pages', '[role="dialog"]');
  });
}
