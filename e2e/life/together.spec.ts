/** Two instructors in one course, lost connections, undo: nothing is ever overwritten or lost unseen. */
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { allSaved, comeInAs, INES, ownCourse, send, setting, signedInAs, TUNDE } from '../support/people.ts';
import { secondServer } from '../support/second-server.ts';

const NOW = '2027-02-16T09:42:00.000Z';

const openOutline = async (page: Page, id: string): Promise<void> => {
  await page.goto(`/setup/${id}/outline`);
  await expect(page.getByLabel('Title of item 1.1')).toBeVisible();
};

test('two instructors keep each other’s work, and are shown both where they set the same', async ({
  page,
  browser,
}) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'TWO-1');
  const other = await browser.newContext();
  const tunde = await other.newPage();
  // Tunde hears of nothing by himself, so that he writes without having seen what she wrote.
  await tunde.route('**/api/events', (route) => route.abort());
  await comeInAs(tunde, TUNDE);
  await openOutline(page, id);
  await openOutline(tunde, id);

  await page.getByLabel('Title of item 1.1').fill('By Inês');
  await tunde.getByLabel('Title of item 2.1').fill('By Tunde');
  await allSaved(page);
  await allSaved(tunde);
  // Hers comes by itself.
  await expect(page.getByLabel('Title of item 2.1')).toHaveValue('By Tunde');
  await allSaved(page);

  // Both rename the same page, neither having seen the other's words.
  await page.getByLabel('Title of item 3.1').fill('Ebb');
  await allSaved(page);
  await tunde.getByLabel('Title of item 3.1').fill('Flow');
  await allSaved(tunde);
  await expect(page.getByText(`${TUNDE} replaced your title of Flow, not having seen it.`)).toBeVisible();
  await expect(page.locator('.both')).toHaveText('EbbFlow');
  // And he is told what was there before his.
  await expect(tunde.getByText(`${INES} had set the title of Flow meanwhile.`)).toBeVisible();
  await page.getByRole('button', { name: 'Put mine back' }).click();
  await allSaved(page);
  await expect(page.getByLabel('Title of item 3.1')).toHaveValue('Ebb');

  // What one removed, the other cannot change, and gets their words back.
  await page.getByRole('button', { name: 'Remove By Inês' }).click();
  await allSaved(page);
  await tunde.getByLabel('Title of item 1.1').fill('Too late');
  await expect(tunde.getByText(/Somebody has removed/)).toBeVisible();
  await expect(tunde.getByText('“Too late”')).toBeVisible();
  await other.close();
});

test('a lost connection is said, tried again, and nothing typed meanwhile is lost', async ({ page }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'OFF-1');
  await openOutline(page, id);
  await page.route('**/changes', (route) => route.abort());
  await page.getByLabel('Title of item 1.1').fill('Typed without a net');
  await expect(page.getByText('Kept here, one to send')).toBeVisible();
  await page.getByLabel('Title of item 2.1').fill('And more');
  await page.unroute('**/changes');
  await allSaved(page);
  await page.reload();
  await expect(page.getByLabel('Title of item 1.1')).toHaveValue('Typed without a net');
  await expect(page.getByLabel('Title of item 2.1')).toHaveValue('And more');
});

test('what somebody else did while the server was away comes when it is back, without a press', async ({
  page,
  browser,
}) => {
  const before = await secondServer(NOW, 'stands');
  const servers = [before];
  const ines = await (await browser.newContext()).newPage();
  try {
    await signedInAs(ines, INES);
    const { id } = await ownCourse(ines, 'AWAY-1');
    await page.goto(`${before.url}/sign-in`);
    await page.getByRole('button', { name: TUNDE }).click();
    await expect(page).toHaveURL(/\/desk/);
    await page.goto(`${before.url}/setup/${id}/outline`);
    await expect(page.getByLabel('Title of item 1.1')).toHaveValue('Page 1');
    await allSaved(page);
    await before.stop();
    await send(ines, id, [{ id: 'meanwhile', edits: [setting('page-1', 'title', 'Meanwhile', 'Page 1')] }]);
    // So much later that it does not tell by itself what came a moment ago.
    servers.push(await secondServer('2027-02-16T11:42:00.000Z', 'stands', before));
    await expect(page.getByLabel('Title of item 1.1')).toHaveValue('Meanwhile', { timeout: 30_000 });
  } finally {
    await ines.context().close();
    await Promise.all(servers.map((server) => server.stop()));
  }
});

test('a page closed in mid-sentence sends the sentence', async ({ page, context }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'CLOSE-1');
  await openOutline(page, id);
  await page.getByLabel('Title of item 1.1').press('End');
  await page.getByLabel('Title of item 1.1').pressSequentially(' half written');
  await page.close({ runBeforeUnload: false });
  const again = await context.newPage();
  await expect(async () => {
    await openOutline(again, id);
    await expect(again.getByLabel('Title of item 1.1')).toHaveValue('Page 1 half written', { timeout: 500 });
  }).toPass();
});

test('undo and redo take one’s own edits back and forth', async ({ page }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'UNDO-1');
  await openOutline(page, id);
  const title = page.getByLabel('Title of item 1.1');
  await title.press('End');
  await title.pressSequentially(' typed');
  await allSaved(page);
  await page.getByRole('button', { name: 'Remove Page 2' }).click();
  await expect(page.getByText('Removed: Page 2')).toBeVisible();
  await expect(page.getByLabel('Title of item 2.1')).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Title of item 2.1')).toHaveValue('Page 2');
  await page.keyboard.press('Control+z');
  await expect(title).toHaveValue('Page 1');
  await page.keyboard.press('Control+Shift+z');
  await expect(title).toHaveValue('Page 1 typed');
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click();
  await allSaved(page);
  await page.reload();
  await expect(title).toHaveValue('Page 1');
});
