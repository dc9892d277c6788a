/** A menu as long as there can be: the page below it can be read, and one entry more is refused and said. */
import { expect, test } from '@playwright/test';
import { INES, ownCourse, send, setting, signedInAs, choose } from '../support/people.ts';

test('a very long menu scrolls by itself, and a full one takes no more', async ({ page }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'LONG-MENU');
  const plan = (await (await page.request.get(`/api/courses/${id}/plan`)).json()) as {
    course: { menu: Record<string, unknown> };
  };
  const room = 200 - Object.keys(plan.course.menu).length;
  const entry = (at: number) => ({
    leads: { to: 'address', address: `https://ternpoint.example/page/${at}` },
    names: { en: `Page ${at} of the tide tables` },
    at: 100 + at,
    shown: true,
    staffOnly: false,
    removed: false,
  });
  const edits = Array.from({ length: room }, (_, at) => setting(id, `menu.m${at}`, entry(at)));
  await send(page, id, [{ id: 'long-menu', edits }]);

  await page.goto(`/courses/${id}/home`);
  const heading = page.getByRole('heading', { level: 1 });
  await expect(heading).toBeInViewport();
  const last = page.getByRole('link', { name: `Page ${room - 1} of the tide tables` });
  await expect(last).not.toBeInViewport();
  await last.focus();
  await expect(last).toBeInViewport();
  await expect(heading).toBeInViewport();

  await page.goto(`/setup/${id}/menu`);
  const menu = page.getByRole('region', { name: 'Menu', exact: true });
  await choose(menu.getByRole('combobox', { name: 'Add', exact: true }), 'An outside address');
  await menu.getByRole('textbox', { name: 'Address' }).fill('https://ternpoint.example/one-more');
  await menu.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByText('There is no room for more here.')).toBeVisible();
  await expect(menu.getByRole('textbox', { name: 'Address' })).toHaveValue(
    'https://ternpoint.example/one-more',
  );
  // Nothing of it is kept, and the course can be read as before.
  await page.reload();
  await expect(menu.getByRole('listitem')).toHaveCount(200);
  await expect(page.getByText('one-more')).toHaveCount(0);
});
