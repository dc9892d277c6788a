/** The preview at any moment, before the first day and after the last, and at any width. */
import { expect, test } from '@playwright/test';
import {
  addLearner,
  choose,
  goLive,
  INES,
  NOOR,
  ownCourse,
  previewOf,
  put,
  send,
  setting,
  signedInAs,
  signOut,
} from '../support/people.ts';

test('closed before its first day, it is seen so, and met so; years away it is looked at too', async ({
  page,
}) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'SEEN-BEFORE');
  await send(page, id, [
    {
      id: 'closed',
      edits: [setting(id, 'window', { before: 'closed', after: 'open' }, { before: 'open', after: 'open' })],
    },
  ]);
  await addLearner(page, id, 'noor');
  await goLive(page, id);
  await page.goto(`/setup/${id}/access`);
  const pane = previewOf(page);
  const day = page.getByRole('textbox', { name: 'To a day' });
  const marker = page.getByRole('slider', { name: 'Day that the preview shows' });
  await expect(pane.getByText('Page 1').first()).toBeVisible();
  await marker.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(marker).toHaveAttribute('aria-valuetext', 'Sun 28 Feb');
  await expect(pane.getByText('Page 1')).toHaveCount(0);
  await expect(pane.getByText('Opens Mon 1 Mar 00:00')).toBeVisible();
  await put(day, '2029-01-01');
  await expect(marker).toHaveAttribute('aria-valuetext', 'Mon 1 Jan 2029');
  await expect(pane.getByText('Page 1').first()).toBeVisible();
  await put(day, '2027-02-16');
  await expect(pane.getByText('Page 1')).toHaveCount(0);

  await signOut(page);
  await signedInAs(page, NOOR);
  await page.goto(`/courses/${id}`);
  await expect(page.getByText('Opens Mon 1 Mar 00:00')).toBeVisible();
  await expect(page.getByText('Page 1')).toHaveCount(0);
});

for (const [name, width, height] of [
  ['tablet', 820, 1180],
  ['phone', 390, 844],
] as const) {
  test(`on a ${name} the preview opens over the stop, takes the focus, and gives it back`, async ({
    page,
  }) => {
    await page.setViewportSize({ width, height });
    await signedInAs(page, INES);
    const { id } = await ownCourse(page, `SEEN-${name.toUpperCase()}`);
    await page.goto(`/setup/${id}/about`);
    const pane = previewOf(page);
    await expect(page.getByRole('textbox', { name: 'Title' })).toBeVisible();
    await expect(pane).toHaveCount(0);
    const open = page.getByRole('button', { name: 'See as …' });
    await open.click();
    await expect(pane).toBeInViewport();
    const box = await pane.getByRole('region', { name: 'What a learner sees' }).boundingBox();
    expect(box?.width).toBeGreaterThan(300);
    expect(box?.height).toBeGreaterThan(240);
    await expect(page.locator('.v-overlay :focus')).toHaveCount(1);
    await choose(pane.getByRole('combobox', { name: 'See as …' }), 'a visitor');
    await expect(pane.getByRole('button', { name: 'a visitor' })).toBeVisible();
    await put(page.getByRole('textbox', { name: 'To a day' }), '2027-03-10');
    await expect(pane.getByText('Wed 10 Mar')).toBeVisible();
    await pane.getByRole('button', { name: 'Fold the preview away' }).click();
    await expect(pane).toHaveCount(0);
    await expect(open).toBeFocused();
    // And by the keyboard.
    await page.keyboard.press('Enter');
    await expect(pane).toBeInViewport();
    await page.keyboard.press('Escape');
    await expect(pane).toHaveCount(0);
    await expect(open).toBeFocused();
  });
}
