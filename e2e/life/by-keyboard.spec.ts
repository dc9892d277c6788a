/** From nothing to a live course on a phone, without a pointer; what has the focus is in view at each press. */
import { expect, test } from '@playwright/test';
import type { Locator, Page } from '@playwright/test';
import { INES, NOOR, signedInAs, tabTo } from '../support/people.ts';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

/** Where what has the focus lies under something else, or out of the window: what it is; null: it can be seen. */
const hidden = (page: Page): Promise<string | null> =>
  page.evaluate(async () => {
    // What it scrolls to has been scrolled to.
    await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
    const here = document.activeElement;
    if (here === null || here === document.body) return null;
    const { left, right, top, bottom } = here.getBoundingClientRect();
    const [x, y] = [
      (Math.max(left, 0) + Math.min(right, innerWidth)) / 2,
      (top + Math.min(bottom, top + 40)) / 2,
    ];
    if (right <= 0 || left >= innerWidth) return null;
    const over = document.elementFromPoint(x, y);
    const isSeen =
      over !== null &&
      (here.contains(over) || over.contains(here) || over.closest('label')?.contains(here) === true);
    const isField = here.closest('.v-input') !== null && here.closest('.v-input')?.contains(over) === true;
    return isSeen || isField
      ? null
      : `${here.outerHTML.slice(0, 160)} at ${x},${y} under ${over?.outerHTML.slice(0, 160)}`;
  });

/** On with the Tab key to where one wants to be; all that one comes across on the way is in view. */
async function walkTo(page: Page, target: Locator): Promise<void> {
  await expect(target).toBeVisible();
  for (let press = 0; press < 150; press += 1) {
    if (await target.evaluate((element) => element === document.activeElement)) return;
    await page.keyboard.press('Tab');
    expect(await hidden(page)).toBeNull();
  }
  throw new Error(`the Tab key does not lead to ${String(target)}`);
}
const press = async (page: Page, name: string | RegExp): Promise<void> => {
  await walkTo(page, page.getByRole('button', { name }).first());
  await page.keyboard.press('Enter');
};

test('a course from nothing to live, by keyboard alone at 390 points', async ({ page, browser }) => {
  await page.goto('/sign-in');
  await tabTo(page, page.getByRole('button', { name: INES }));
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/desk/);
  await walkTo(page, page.getByRole('link', { name: /New course/ }));
  await page.keyboard.press('Enter');

  await test.step('open it as a draft', async () => {
    // The focus stands in the first field.
    await expect(page.getByRole('textbox', { name: 'Title' })).toBeFocused();
    await page.keyboard.type('Low tide by keyboard');
    await walkTo(page, page.getByRole('textbox', { name: 'Code' }));
    await page.keyboard.type('KEYS-390');
    await walkTo(page, page.getByRole('textbox', { name: 'First day' }));
    await page.keyboard.type('1 March 2027');
    await walkTo(page, page.getByRole('textbox', { name: 'Weeks' }));
    await page.keyboard.press('Control+a');
    await page.keyboard.type('3');
    await press(page, 'Open the course as a draft');
    await expect(page).toHaveURL(/\/setup\//);
    await expect(page.getByText('Draft · staff only')).toBeVisible();
  });

  await test.step('say what it is about', async () => {
    await walkTo(page, page.getByRole('textbox', { name: 'Description' }));
    await page.keyboard.type('Three weeks on the mud.');
  });

  await test.step('a page in its first week, with words in it', async () => {
    await walkTo(page, page.getByRole('link', { name: /^Outline/ }).first());
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Outline', level: 1 })).toBeVisible();
    await walkTo(page, page.getByLabel('Title of section 1', { exact: true }));
    await press(page, /^Add a page to/);
    await expect(page.getByLabel('Title of item 1.1', { exact: true })).toBeFocused();
    await page.keyboard.press('Control+a');
    await page.keyboard.type('Boots and buckets');
    await press(page, /^Edit what Boots and buckets holds/);
    await walkTo(page, page.getByRole('textbox', { name: 'Text' }));
    await page.keyboard.type('Bring boots that come off.');
    await page.keyboard.press('Escape');
  });

  await test.step('somebody to learn in it, and go live', async () => {
    await walkTo(page, page.getByRole('link', { name: /^Members/ }).first());
    await page.keyboard.press('Enter');
    await press(page, 'Add people');
    const dialog = page.getByRole('dialog', { name: 'Add people' });
    await expect(dialog).toBeVisible();
    await walkTo(page, dialog.getByRole('searchbox').first());
    await page.keyboard.type('noor');
    await expect(dialog.getByText(NOOR).first()).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(dialog).toBeHidden();
    await expect(page.getByRole('button', { name: 'Add people' })).toBeFocused();
    await press(page, /^Go live/);
    const going = page.getByRole('dialog');
    await expect(going).toBeVisible();
    await walkTo(page, going.getByRole('button', { name: 'Go live', exact: true }));
    await page.keyboard.press('Enter');
    await expect(page.getByRole('banner').getByText('Live', { exact: true })).toBeVisible();
  });

  const other = await browser.newContext();
  const staff = await other.newPage();
  await signedInAs(staff, INES);
  const { courses } = (await (await staff.request.get('/api/desk?find=KEYS-390')).json()) as {
    courses: { code: string; state: string }[];
  };
  expect(courses.find(({ code }) => code === 'KEYS-390')?.state).toBe('live');
  await other.close();
});
