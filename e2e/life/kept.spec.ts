/** What is not sent yet outlives the page, the browser and the server; one person's two pages are as two people. */
import { chromium, expect, test } from '@playwright/test';
import type { BrowserContext, Page, TestInfo } from '@playwright/test';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { allSaved, INES, ownCourse, send, setting, signedInAs, TUNDE } from '../support/people.ts';
import { secondServer } from '../support/second-server.ts';

const GONE = '2027-02-16T09:42:00.000Z';
const TWO_MINUTES_LATER = '2027-02-16T09:44:00.000Z';

/** A browser of somebody's own, whose profile outlives it. */
function browserOf(profile: string, { project }: TestInfo): Promise<BrowserContext> {
  const { launchOptions, viewport, locale, timezoneId } = project.use;
  return chromium.launchPersistentContext(profile, {
    ...launchOptions,
    viewport: viewport ?? null,
    locale: locale ?? 'en-GB',
    timezoneId: timezoneId ?? 'Europe/Lisbon',
  });
}

async function comeIn(page: Page, url: string): Promise<void> {
  await page.goto(`${url}/sign-in`);
  await page.getByRole('button', { name: INES }).click();
  await expect(page).toHaveURL(/\/desk/);
}

test('the server gone, the browser closed, a colleague at the same: nothing is lost, nothing is made twice', async ({
  page: colleague,
}, info) => {
  const profile = await mkdtemp(join(tmpdir(), 'itinerary-profile-'));
  const servers = [await secondServer(GONE, 'stands')];
  const url = servers[0]?.url ?? '';
  try {
    await signedInAs(colleague, INES);
    const { id } = await ownCourse(colleague, 'KEPT-1');
    await signedInAs(colleague, TUNDE);
    const before = await browserOf(profile, info);
    const first = await before.newPage();
    await comeIn(first, url);
    await first.goto(`${url}/setup/${id}/outline`);
    await expect(first.getByLabel('Title of item 1.1')).toHaveValue('Page 1');
    await allSaved(first);

    await servers[0]?.stop();
    await first.getByLabel('Title of item 1.1').fill('Typed without a net');
    await first.getByLabel('Title of item 2.1').fill('And more');
    await first.getByRole('button', { name: 'Remove Page 3' }).click();
    await expect(first.getByText('Kept here, 3 to send')).toBeVisible();
    await before.close();
    await send(colleague, id, [
      { id: 'meanwhile', edits: [setting('page-1', 'title', 'Meanwhile', 'Page 1')] },
    ]);

    servers.push(await secondServer(TWO_MINUTES_LATER, 'stands', servers[0]));
    const after = await browserOf(profile, info);
    const second = await after.newPage();
    await comeIn(second, url);
    await expect(second.getByText(/^3 changes to .* have been sent, and there is something/)).toBeVisible();
    await second.getByRole('link', { name: 'Look at it' }).click();
    await expect(
      second.getByText(`${TUNDE} had set the title of Typed without a net meanwhile.`),
    ).toBeVisible();
    await second.getByRole('button', { name: 'Keep both' }).click();
    await allSaved(second);
    await second.goto(`${url}/setup/${id}/outline`);
    await expect(second.getByLabel('Title of item 1.1')).toHaveValue('Meanwhile / Typed without a net');
    await expect(second.getByLabel('Title of item 2.1')).toHaveValue('And more');
    await expect(second.getByLabel('Title of item 3.1')).toHaveCount(0);
    await after.close();
  } finally {
    await Promise.all(servers.map((server) => server.stop()));
    await rm(profile, { recursive: true, force: true });
  }
});

test('a page that was loaded anew while the line was down goes on where it was', async ({ page }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'KEPT-2');
  await page.goto(`/setup/${id}/outline`);
  await expect(page.getByLabel('Title of item 1.1')).toHaveValue('Page 1');
  await page.route('**/changes', (route) => route.abort());
  await page.getByLabel('Title of item 1.1').fill('Half a sen');
  await expect(page.getByText('Kept here, one to send')).toBeVisible();
  // Neither loading it anew nor another page of the application asks whether words may be lost: they are not.
  const asked: string[] = [];
  page.on('dialog', (dialog) => {
    asked.push(dialog.message());
    void dialog.accept();
  });
  await page.unroute('**/changes');
  await page.reload();
  await expect(page.getByLabel('Title of item 1.1')).toHaveValue('Half a sen');
  await allSaved(page);
  const answer = await page.request.get(`/api/courses/${id}/plan`);
  expect(JSON.stringify(await answer.json())).toContain('Half a sen');
  expect(asked).toEqual([]);
});

test('two pages of one person in one field: the first is told, and both can be kept', async ({
  page,
  context,
}) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'KEPT-3');
  const other = await context.newPage();
  // Nothing is heard here, so that neither has seen what the other wrote.
  await other.addInitScript('delete window.BroadcastChannel');
  for (const one of [page, other]) {
    await one.goto(`/setup/${id}/outline`);
    await expect(one.getByLabel('Title of item 1.1')).toHaveValue('Page 1');
  }
  await page.getByLabel('Title of item 1.1').fill('Low water');
  await allSaved(page);
  await other.getByLabel('Title of item 1.1').fill('High water');
  await allSaved(other);
  await expect(page.getByText('You replaced the title of High water on another page of yours')).toBeVisible();
  await expect(page.locator('del')).toHaveText('Low');
  await expect(page.locator('ins')).toHaveText('High');
  // The other one hears that it had come between.
  await expect(other.getByText(/What you wrote here replaced it/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep both' }).click();
  await allSaved(page);
  await expect(page.getByLabel('Title of item 1.1')).toHaveValue('High water / Low water');
  await other.close();
});
