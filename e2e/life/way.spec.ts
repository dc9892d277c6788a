/** The way to another page: slow, broken off, and gone on. */
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import {
  comeInAs,
  INES,
  LIVE,
  liveCourse,
  NOOR,
  ownCourse,
  send,
  setting,
  signedInAs,
} from '../support/people.ts';

const PART = '**/assets/NewCoursePage-*.js';

const notice = (page: Page) => page.getByRole('alert').filter({ hasText: 'The page did not come.' });

test('from stop to stop nothing is said or styled again that stands', async ({ page }) => {
  await comeInAs(page, INES);
  const { id } = await ownCourse(page, 'AGAIN');
  const route = page.getByRole('navigation', { name: 'The route through setup' });
  const round = async (): Promise<void> => {
    for (const stop of ['Messages', 'About', 'Dates', 'Readiness']) {
      await route.getByRole('link', { name: stop }).click();
      await expect(page.getByRole('heading', { level: 1, name: stop })).toBeVisible();
    }
  };
  await page.goto(`/setup/${id}/about`);
  await round();
  // The language of the page, or a sheet of style that comes and goes: each would style the whole page anew.
  const seen = await page.evaluateHandle(() => {
    const found: string[] = [];
    const watch = new MutationObserver((changes) => {
      for (const { type, attributeName, addedNodes, removedNodes } of changes) {
        if (type === 'attributes') found.push(String(attributeName));
        const names = [...addedNodes, ...removedNodes].map(({ nodeName }) => nodeName);
        found.push(...names.filter((name) => name === 'STYLE' || name === 'LINK'));
      }
    });
    watch.observe(document.documentElement, { attributes: true });
    watch.observe(document.head, { childList: true });
    return found;
  });
  await round();
  expect(await seen.jsonValue()).toEqual([]);
  // However long a stop is, it scrolls, and not the page around it.
  await page.goto(`/setup/${id}/menu`);
  await expect(page.getByRole('heading', { level: 1, name: 'Menu & home' })).toBeVisible();
  await expect(page.locator('[data-later]')).toHaveCount(0);
  expect(await page.evaluate(() => document.documentElement.scrollHeight - innerHeight)).toBe(0);
  expect(
    await page.locator('main').evaluate((main) => main.scrollHeight - main.clientHeight),
  ).toBeGreaterThan(500);
});

test('that a page is slow to come is shown until it is there', async ({ page }) => {
  await comeInAs(page, INES);
  let letGo = (): void => undefined;
  const held = new Promise<void>((resolve) => (letGo = resolve));
  await page.route(PART, async (route) => {
    await held;
    await route.continue();
  });
  const onItsWay = page.getByRole('status').filter({ hasText: 'The page is on its way' });
  await expect(onItsWay).toHaveCount(0);
  await page.getByRole('link', { name: 'New course' }).click();
  await expect(onItsWay).toHaveCount(1);
  await expect(page).toHaveURL(/\/desk$/);
  letGo();
  await expect(page.getByRole('heading', { name: 'New course' })).toBeVisible();
  await expect(onItsWay).toHaveCount(0);
});

test('that a page did not come is said where one is, and it comes when the connection is back', async ({
  page,
}) => {
  await comeInAs(page, INES);
  await page.context().setOffline(true);
  await page.getByRole('link', { name: 'New course' }).click();
  await expect(notice(page)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Your courses' })).toBeVisible();
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(notice(page)).toBeVisible();
  await expect(page).toHaveURL(/\/desk$/);
  await page.context().setOffline(false);
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('heading', { name: 'New course' })).toBeVisible();
  await expect(notice(page)).toHaveCount(0);
});

test('a page of an older release asks for what is gone, and the new one is loaded whole', async ({
  page,
}) => {
  await comeInAs(page, INES);
  await page.evaluate(() => Object.assign(window, { older: true }));
  // Gone for the page that is open, and for no other.
  let isGone = true;
  page.on('framenavigated', () => (isGone = false));
  await page.route(PART, (route) => (isGone ? route.fulfill({ status: 404, body: '' }) : route.continue()));
  await page.getByRole('link', { name: 'New course' }).click();
  await expect(page.getByRole('heading', { name: 'New course' })).toBeVisible();
  await expect(page).toHaveURL(/\/new-course$/);
  expect(await page.evaluate(() => 'older' in window)).toBe(false);
  await expect(notice(page)).toHaveCount(0);
});

test('a first page that does not come leaves no empty screen', async ({ page }) => {
  await comeInAs(page, INES);
  await page.route(PART, (route) => route.fulfill({ status: 404, body: '' }));
  await page.goto('/new-course');
  await expect(notice(page)).toBeVisible();
  await page.unroute(PART);
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('heading', { name: 'New course' })).toBeVisible();
});

test('where a picture does not come there is the one that every course has', async ({ page }) => {
  await signedInAs(page, NOOR);
  const id = await liveCourse(page, LIVE);
  await page.route('**/face/**', (route) => route.abort());
  await page.goto('/desk');
  const thumb = page.getByRole('row').filter({ hasText: 'Estuary Field Methods' });
  await expect(thumb.locator('svg.picture').first()).toBeVisible();
  await expect(page.locator('main img')).toHaveCount(0);
  await page.goto(`/courses/${id}/home`);
  await expect(page.locator('.banner svg.picture')).toBeVisible();
  await expect(page.locator('.banner img')).toHaveCount(0);
});

test('where a portrait does not come there are initials', async ({ page }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'PORTRAIT');
  const taken = await page.request.post(`/api/courses/${id}/pictures`, {
    data: { from: 'library', id: 'mudflat-morning' },
  });
  const { file, width, height } = (await taken.json()) as { file: object; width: number; height: number };
  const picture = { file, width, height, focus: { x: 0.5, y: 0.5 }, zoom: 1 };
  const [reach, hours, phone, link, mail, does] = [null, null, null, null, null, null];
  const ways = { reach, hours, phone, link, mail, does };
  const card = { who: 'other', name: 'Boat Shed', ...ways, picture, at: 0, shown: true };
  await send(page, id, [{ id: 'card', edits: [setting(id, 'contacts.shed', card)] }]);
  await page.goto(`/courses/${id}/contact`);
  const face = page.getByRole('listitem').filter({ hasText: 'Boat Shed' }).locator('.face');
  await expect(face).toHaveJSProperty('tagName', 'IMG');
  await page.route('**/face/**', (route) => route.abort());
  await page.reload();
  await expect(face).toHaveText('BS');
});
