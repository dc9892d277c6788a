/** Off the usual way: input that cannot be right, at its field and with nothing lost; narrow screens; no line. */
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { allSaved, INES, ownCourse, signedInAs, put } from '../support/people.ts';

/** What the server holds, whatever the screen says. */
async function kept(page: Page, id: string): Promise<{ dates: Record<string, unknown> }> {
  const answer = await page.request.get(`/api/courses/${id}/plan`);
  return ((await answer.json()) as { course: { dates: Record<string, unknown> } }).course;
}

const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

test('numbers and days that cannot be right are said at their field, and what stood there stays', async ({
  page,
}) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'ASIDE-1');
  await page.goto(`/setup/${id}/dates`);
  const weeks = page.getByLabel('Teaching weeks');

  for (const wrong of ['0', '10000', '-3', '2.5']) {
    await put(weeks, wrong);
    await expect(page.getByText('A whole number from 1 to 104')).toBeVisible();
    await expect(weeks).toHaveValue(wrong);
    expect((await kept(page, id)).dates).toMatchObject({ weeks: 3 });
  }
  // It is there when one comes back, and gone with the page.
  await page
    .getByRole('link', { name: /^About/ })
    .first()
    .click();
  await page
    .getByRole('link', { name: /^Dates/ })
    .first()
    .click();
  await expect(weeks).toHaveValue('2.5');
  await page.reload();
  await expect(weeks).toHaveValue('3');

  // A last day before the first.
  await page.getByRole('radio', { name: /Until a day/ }).check();
  await put(page.getByRole('textbox', { name: 'Last day', exact: true }), '2027-02-01');
  await expect(page.getByText('A day on or after the first, Mon 1 Mar')).toBeVisible();
  await page.getByRole('textbox', { name: 'Last day', exact: true }).press('Enter');
  await expect(page.getByRole('textbox', { name: 'Last day', exact: true })).toHaveValue('2027-02-01');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  expect((await kept(page, id)).dates['lastDay']).not.toBe('2027-02-01');
  await allSaved(page);
});

test('a pause needs a name, an order, and something left to teach; Escape leaves nothing behind', async ({
  page,
}) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'ASIDE-2');
  await page.goto(`/setup/${id}/dates`);
  await page.getByRole('button', { name: 'Add a pause' }).click();
  await put(page.getByRole('textbox', { name: 'First day without teaching' }), '2027-03-12');
  await put(page.getByRole('textbox', { name: 'Last day without teaching' }), '2027-03-08');
  await expect(page.getByText('A day on or after the first one')).toBeVisible();
  await put(page.getByRole('textbox', { name: 'First day without teaching' }), '2027-01-01');
  await put(page.getByRole('textbox', { name: 'Last day without teaching' }), '2027-12-31');
  await page.getByLabel('Name', { exact: true }).fill('Everything');
  await expect(page.getByText('This pause covers the whole course')).toBeVisible();
  await page.getByRole('button', { name: 'Keep this pause' }).click();
  expect((await kept(page, id)).dates).toMatchObject({ pauses: {} });
  await page.getByLabel('Name', { exact: true }).press('Escape');
  await expect(page.getByRole('button', { name: 'Keep this pause' })).toHaveCount(0);
  expect((await kept(page, id)).dates).toMatchObject({ pauses: {} });
});

test('requests that no screen would send are refused whole, by place, value and expectation', async ({
  page,
}) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'ASIDE-3');
  const send = async (field: string, value: unknown): Promise<unknown> => {
    const edits = [
      { kind: 'set', target: id, field: 'title', value: 'Half of it', was: 'Course ASIDE-3' },
      { kind: 'set', target: id, field, value, was: null },
    ];
    const changes = [{ id: `wrong-${field.replace('.', '-')}`, edits }];
    const answer = await page.request.post(`/api/courses/${id}/changes`, {
      data: { since: 0, changes, texts: {} },
    });
    return ((await answer.json()) as { refused?: { refusal: unknown }[] }).refused?.[0]?.refusal;
  };
  expect(await send('dates.zone', 'Europe/Atlantis')).toMatchObject({
    code: 'bad_value',
    field: 'dates.zone',
  });
  expect(await send('dates.weeks', 10_000)).toMatchObject({ code: 'bad_value', field: 'dates.weeks' });
  expect(await send('dates.firstDay', '2027-02-31')).toMatchObject({ code: 'bad_value' });
  expect(await send('largestUpload', 0)).toMatchObject({ code: 'bad_value' });
  await page.goto(`/setup/${id}/about`);
  await expect(page.getByLabel('Title', { exact: true })).toHaveValue('Course ASIDE-3');
});

test('a text written while the line is down is not lost, nor is the picture that waits for it', async ({
  page,
}) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'ASIDE-4');
  await page.goto(`/setup/${id}/outline?at=page-1`);
  const text = page.getByRole('textbox', { name: 'Text' });
  await text.click();
  await page.route('**/api/**', (route) => route.abort());
  await page.keyboard.type('Low water at ten.');
  await expect(page.locator('.save-state')).toHaveText('Kept here, one to send');
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('toolbar').getByRole('button', { name: 'Picture', exact: true }).click();
  await (await chooser).setFiles({ name: 'mud.png', mimeType: 'image/png', buffer: PNG });
  await expect(page.getByText('No line: it goes on by itself')).toBeVisible();
  await page.unroute('**/api/**');
  // The line is there again, and so is the picture, by itself.
  await expect(text.locator('img')).toBeVisible();
  await expect(page.getByText('No line: it goes on by itself')).toHaveCount(0);
  await allSaved(page);
  await page.reload();
  await expect(text).toContainText('Low water at ten.');
  await expect(text.locator('img')).toBeVisible();
});

test('on a phone what an item holds lies over the outline, and closes', async ({ page }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'ASIDE-5');
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`/setup/${id}/outline`);
  await page.getByRole('button', { name: 'Edit what Page 1 holds' }).click();
  const panel = page.getByRole('complementary', { name: /^What .* holds$/ });
  const box = await panel.boundingBox();
  expect(box).toMatchObject({ x: 0, width: 390 });
  await panel.getByLabel('Title', { exact: true }).fill('Mud, first of all');
  await panel.getByRole('button', { name: 'Close' }).click();
  await expect(panel).toHaveCount(0);
  await expect(page.getByLabel('Title of item 1.1')).toHaveValue('Mud, first of all');
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await allSaved(page);
});

test('an outline of nothing says what belongs there; what is selected there goes and comes back', async ({
  page,
}) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'ASIDE-6');
  await page.goto(`/setup/${id}/outline`);
  await page.getByRole('checkbox', { name: 'Select Week of 1 March' }).focus();
  await page.keyboard.press('Control+a');
  await expect(page.getByText('6 lines selected')).toBeVisible();
  await page.getByRole('button', { name: 'Remove', exact: true }).first().click();
  await expect(page.getByPlaceholder('Find in no sections, no items')).toBeVisible();
  await expect(page.getByText('Removed: 6 lines')).toBeVisible();
  // The weeks are still there, waiting for sections.
  await expect(page.getByText('Place 1 has no section yet')).toBeVisible();
  await page.getByRole('button', { name: 'All work' }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click();
  await expect(page.getByPlaceholder('Find in 3 sections, 3 items')).toBeVisible();
  await allSaved(page);
});
