/** What comes to learners while they look: a draft that goes live by itself, and words that were held. */
import { expect, test } from '@playwright/test';
import {
  addLearner,
  allSaved,
  goLive,
  INES,
  NOOR,
  ownCourse,
  put,
  rowOnDesk,
  signedInAs,
} from '../support/people.ts';
import { secondServer } from '../support/second-server.ts';

test('a draft goes live at a moment, on a learner’s open desk, without a reload', async ({
  page,
  browser,
}) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'LIVE-AT-1');
  await addLearner(page, id, 'noor');

  // A minute before the moment, by a clock that goes on when it is told to.
  const running = await secondServer('2027-02-17T07:59:00Z', 'told');
  try {
    const context = await browser.newContext({ viewport: { width: 360, height: 740 } });
    const noor = await context.newPage();
    await noor.goto(`${running.url}/sign-in`);
    await noor.getByRole('button', { name: NOOR }).click();
    await expect(noor.getByRole('heading', { level: 1 })).toBeVisible();
    await expect(noor.getByText('LIVE-AT-1')).toHaveCount(0);
    await noor.evaluate(() => Object.assign(window, { wasHere: true }));

    await page.goto(`/setup/${id}/access`);
    const field = page.locator('#field-goesLive');
    // A moment that is past would be at once, which nobody means.
    await put(field.getByRole('textbox', { name: 'Go live by itself on' }), '1 Feb 2027');
    await expect(field.getByText('This moment is past')).toBeVisible();
    await expect(field.getByRole('button', { name: 'Set it' })).toBeDisabled();
    await put(field.getByRole('textbox', { name: 'Go live by itself on' }), 'tomorrow 8 am');
    await field.getByRole('button', { name: 'Set it' }).click();
    await expect(page.getByText('Goes live Wed 17 Feb 08:00')).toBeVisible();
    await allSaved(page);
    expect(await noor.getByText('LIVE-AT-1').count()).toBe(0);

    running.tell('2027-02-17T07:59:59Z');
    expect(await noor.getByText('LIVE-AT-1').count()).toBe(0);
    running.tell('2027-02-17T08:00:01Z');
    const course = await rowOnDesk(noor, 'LIVE-AT-1');
    await expect(course).toBeVisible();
    expect(await noor.evaluate(() => 'wasHere' in window)).toBe(true);
    await course.getByRole('link').click();
    await expect(noor.getByText('Page 1').first()).toBeVisible();
    await context.close();
  } finally {
    await running.stop();
  }
});

test('a page of a live course is rewritten while it is held, compared, and released', async ({
  page,
  browser,
}) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'HELD-1');
  await addLearner(page, id, 'noor');
  await goLive(page, id);
  await page.goto(`/setup/${id}/outline?at=page-1`);
  const text = page.getByRole('textbox', { name: 'Text' });
  await text.click();
  await page.keyboard.type('Cores are taken at low water.');
  await allSaved(page);

  const context = await browser.newContext({ viewport: { width: 360, height: 740 } });
  const noor = await context.newPage();
  await signedInAs(noor, NOOR);
  await noor.goto(`/courses/${id}/items/page-1`);
  await expect(noor.getByText('Cores are taken at low water.')).toBeVisible();

  await page.getByRole('button', { name: 'Hold: keep changes back' }).click();
  await expect(page.getByText('Learners see it as it was when it was held.', { exact: false })).toBeVisible();
  await text.click();
  await page.keyboard.press('Control+A');
  await page.keyboard.type('Cores are taken at high water, from the boat.');
  await page.getByRole('textbox', { name: 'Title' }).last().fill('Taking cores');
  await allSaved(page);
  await noor.reload();
  await expect(noor.getByText('Cores are taken at low water.')).toBeVisible();
  await expect(noor.getByRole('heading', { name: /Page 1/ })).toBeVisible();

  await page.getByRole('button', { name: 'Compare', exact: true }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.locator('del').filter({ hasText: 'low' })).toBeVisible();
  await expect(dialog.locator('ins').filter({ hasText: 'high' })).toBeVisible();
  await expect(dialog.locator('ins').filter({ hasText: 'Taking cores' })).toBeVisible();
  await dialog.getByRole('button', { name: 'Close' }).click();

  await page.getByRole('button', { name: 'Release now' }).click();
  await allSaved(page);
  // The reader's page is open, and has the new words by itself.
  await expect(noor.getByText('Cores are taken at high water, from the boat.')).toBeVisible();
  await expect(noor.getByRole('heading', { name: /Taking cores/ })).toBeVisible();
  await context.close();
});
