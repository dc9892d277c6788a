/** A course through its states, and off the usual way: practice, no dates yet, very large, at full size. */
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import {
  addLearner,
  allSaved,
  comeInAs,
  fromDesk,
  INES,
  NOOR,
  ownCourse,
  put,
  rowOnDesk,
  signedInAs,
} from '../support/people.ts';

const stop = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'The route through setup' }).getByRole('link', { name });

test('live, archived, and back to draft: learners see what the state says', async ({ page, browser }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'LIFE-1');
  await addLearner(page, id, 'noor');
  const other = await browser.newContext();
  const noor = await other.newPage();
  await comeInAs(noor, NOOR);
  await expect(await rowOnDesk(noor, 'LIFE-1')).toHaveCount(0);

  await page.goto(`/setup/${id}/readiness`);
  await page.getByRole('main').getByRole('button', { name: 'Go live', exact: true }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Go live', exact: true }).click();
  await expect(page.getByRole('banner').getByText('Live', { exact: true })).toBeVisible();
  await noor.reload();
  await fromDesk(noor, 'LIFE-1');
  await expect(noor.getByRole('heading', { name: 'Course LIFE-1', level: 1 })).toBeVisible();
  await expect(noor.getByText('Begins Mon 1 Mar')).toBeVisible();

  // Ctrl Z takes back edits, and not the opening of the course.
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('banner').getByText('Live', { exact: true })).toBeVisible();

  await page.getByRole('button', { name: 'State…' }).click();
  await page.getByRole('button', { name: 'Archive it' }).click();
  await expect(page.getByRole('banner').getByText('Archived', { exact: true })).toBeVisible();
  // Whenever it is saved: a page that is opened before that follows.
  await noor.reload();
  await expect(noor.getByText('Archived: everything can be read')).toBeVisible();
  await stop(page, 'Outline').click();
  await expect(page.getByLabel('Title of item 1.1')).toHaveAttribute('readonly', '');
  await expect(page.getByRole('button', { name: 'Section' })).toHaveCount(0);

  await page.getByRole('button', { name: 'State…' }).click();
  await page.getByRole('button', { name: 'Back to draft' }).click();
  await expect(page.getByText('Draft · staff only')).toBeVisible();
  await noor.reload();
  await expect(noor.getByRole('heading', { name: 'There is nothing here' })).toBeVisible();
  await other.close();
});

test('a practice course is left in peace', async ({ page }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'PRACTICE-1');
  await page.goto(`/setup/${id}/about`);
  await expect(page.getByRole('button', { name: /Go live · \d to settle/ })).toBeVisible();
  await page.getByText('A place to try things.').click();
  await expect(page.getByRole('banner').getByRole('button', { name: 'Go live', exact: true })).toBeVisible();
  await stop(page, 'Readiness').click();
  await expect(page.getByText('Nothing is left to settle.')).toBeVisible();
  await allSaved(page);
});

test('a course without a first day can be begun; the timeline waits, and a blocker says so', async ({
  page,
}) => {
  await signedInAs(page, INES);
  await page.goto('/new-course');
  await page.getByLabel('Title').fill('Dates can wait');
  await page.getByLabel('Code').fill('WAIT-1');
  await put(page.getByRole('textbox', { name: 'First day' }), '');
  await put(page.getByLabel('Teaching weeks'), '0');
  await expect(page.getByText('A whole number from 1 to 104')).toBeVisible();
  await put(page.getByLabel('Teaching weeks'), '2');
  await page.getByRole('button', { name: 'Open the course as a draft' }).click();
  await expect(page.getByText('The timeline is drawn when the course has a first day.')).toBeVisible();
  await stop(page, 'Readiness').click();
  await expect(page.getByText('The course has no first day')).toBeVisible();
  await page
    .getByRole('listitem')
    .filter({ hasText: 'no first day' })
    .getByRole('button', { name: 'Go to Dates & format' })
    .click();
  const day = page.getByRole('textbox', { name: 'First day' });
  await expect(day).toBeFocused();
  await put(day, '2027-03-01');
  await expect(page.getByRole('slider')).toBeVisible();
  await expect(page.getByRole('cell', { name: '8–14 Mar' })).toBeVisible();
  await allSaved(page);
});

test('fewer weeks than sections: what has no week is said, kept, and cured with one press', async ({
  page,
}) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'SHORT-1');
  await page.goto(`/setup/${id}/dates`);
  await put(page.getByLabel('Teaching weeks'), '2');
  await expect(page.getByText('One section has no week to stand in')).toBeVisible();
  await stop(page, 'Outline').click();
  await expect(page.getByRole('row', { name: /No place left/ }).first()).toBeVisible();
  await expect(page.getByText('No place left')).toBeVisible();
  await stop(page, 'Dates & format').click();
  await page.getByRole('button', { name: 'Make it 3 weeks' }).click();
  await expect(page.getByLabel('Teaching weeks')).toHaveValue('3');
  await expect(page.getByText('no week to stand in')).toHaveCount(0);
  await allSaved(page);
});

test('the preview shows hidden things as learners do, and opens at full size', async ({ page }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'SEE-1');
  await page.goto(`/setup/${id}/outline`);
  const preview = page.getByRole('complementary', { name: 'What a learner sees' });
  // The outline is a table that wants the width: its preview is unfolded when it is wanted.
  await page.getByRole('button', { name: 'See what a learner sees' }).click();
  await expect(preview.getByRole('button', { name: /^Page .*Page 2/ })).toBeVisible();
  await page.getByRole('button', { name: 'Page 2 is shown to learners' }).click();
  await expect(preview.getByRole('button', { name: /^Page .*Page 2/ })).toHaveCount(0);
  await preview.getByRole('button', { name: 'See it at full size' }).click();
  const full = page.getByRole('dialog', { name: 'What a learner sees' });
  await expect(full.getByRole('heading', { name: 'Course SEE-1' })).toBeVisible();
  const width = async (): Promise<number> =>
    (await full.getByRole('region', { name: /^a learner/ }).boundingBox())?.width ?? 0;
  expect(await width()).toBeGreaterThan(1000);
  await full.getByRole('button', { name: 'As on a phone' }).click();
  expect(Math.round(await width())).toBeLessThan(400);
  await full.getByRole('button', { name: 'As a page' }).click();
  await full.getByRole('button', { name: 'Close' }).click();
  await preview.getByRole('button', { name: 'Fold the preview away' }).click();
  await page.reload();
  await page.getByRole('button', { name: 'See what a learner sees' }).click();
  await expect(preview.getByText('Not open yet')).toBeVisible();
});

test('appearance and language are kept', async ({ page }) => {
  await comeInAs(page, INES);
  const account = page.getByRole('button', { name: /^Account of|^Cuenta de/ });
  await account.click();
  await page.getByRole('button', { name: 'Dark' }).click();
  await page.getByRole('button', { name: 'Español' }).click();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Tus cursos' })).toBeVisible();
  expect(await page.evaluate(() => getComputedStyle(document.documentElement).colorScheme)).toBe('dark');
  await account.click();
  await page.keyboard.press('Escape');
  await expect(account).toBeFocused();
});
