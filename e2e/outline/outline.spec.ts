/** The outline by keyboard and by hand. */
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { allSaved, INES, ownCourse, signedInAs } from '../support/people.ts';

const titles = (page: Page): Promise<string[]> =>
  page
    .locator('.outline [data-cell="title"]')
    .evaluateAll((inputs) =>
      inputs.map((input) => (input as HTMLInputElement).value || (input as HTMLInputElement).placeholder),
    );

test('lines move by keyboard, through sections, and say where they went', async ({ page }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'KEYS-1');
  await page.goto(`/setup/${id}/outline`);
  await page.getByLabel('Title of item 1.1').focus();
  await page.keyboard.press('Alt+ArrowDown');
  await expect
    .poll(() => titles(page))
    .toEqual(['Week of 1 March', 'Week of 8 March', 'Page 1', 'Page 2', 'Week of 15 March', 'Page 3']);
  await expect(page.getByText('Moved. It is number 2.1 now.')).toBeAttached();
  await expect(page.getByLabel('Title of item 2.1')).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByLabel('Title of item 2.2')).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('button', { name: /^When Page 2 opens/ })).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByLabel('Minutes for Page 2')).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: 'Page 2 is shown to learners' })).toHaveAttribute(
    'aria-pressed',
    'false',
  );
  await expect(page.getByLabel('Title of item 2.2')).toHaveCount(0);

  // A section takes its items along, and its dates follow its place.
  await page.getByLabel('Title of section 1', { exact: true }).focus();
  await page.keyboard.press('Alt+ArrowDown');
  await expect
    .poll(() => titles(page))
    .toEqual(['Week of 1 March', 'Page 1', 'Page 2', 'Week of 8 March', 'Week of 15 March', 'Page 3']);
  await allSaved(page);
  await page.reload();
  await expect
    .poll(() => titles(page))
    .toEqual(['Week of 1 March', 'Page 1', 'Page 2', 'Week of 8 March', 'Week of 15 March', 'Page 3']);
});

test('lines are dragged by their handle', async ({ page }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'DRAG-1');
  await page.goto(`/setup/${id}/outline`);
  const line = (name: string) =>
    page.locator('[data-row]', { has: page.locator(`input[aria-label="${name}"]`) });
  await line('Title of item 3.1')
    .locator('.grip')
    .dragTo(line('Title of item 1.1'), { targetPosition: { x: 120, y: 4 } });
  await expect
    .poll(() => titles(page))
    .toEqual(['Week of 1 March', 'Page 3', 'Page 1', 'Week of 8 March', 'Page 2', 'Week of 15 March']);
  await allSaved(page);
});

test('a typed title stays typed, an emptied one follows the dates again', async ({ page }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'TITLE-1');
  await page.goto(`/setup/${id}/outline`);
  const title = page.getByLabel('Title of section 2', { exact: true });
  await title.pressSequentially('Two words ');
  await expect(title).toHaveValue('Two words ');
  await title.fill('');
  await expect(title).toHaveAttribute('placeholder', 'Week of 8 March');
  const item = page.getByLabel('Title of item 2.1');
  await item.fill('');
  await item.blur();
  // It needs one: nothing stays there, and is said, until there is one again.
  await expect(item).toHaveValue('');
  await expect(page.locator('.cell-field .said')).toHaveText(
    'A title is needed; until then the last one stays.',
  );
  await item.fill('Page 2, again');
  await allSaved(page);
  await expect(page.locator('.cell-field .said')).toHaveCount(0);
});

test('a link has an address that is one', async ({ page }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'LINK-1');
  await page.goto(`/setup/${id}/outline`);
  await page.getByRole('button', { name: 'Add: Link' }).click();
  const panel = page.getByRole('complementary', { name: 'What New link holds' });
  await panel.getByLabel('Address').fill('not an address');
  await expect(panel.getByText('An address that starts with https:// is expected.')).toBeVisible();
  await panel.getByLabel('Address').fill('gauge.ternpoint.example/today');
  await allSaved(page);
  await page.reload();
  await page.getByRole('button', { name: 'Edit what New link holds' }).click();
  await expect(panel.getByLabel('Address')).toHaveValue('https://gauge.ternpoint.example/today');
});

test('the timeline’s marker takes the preview through the course', async ({ page }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'TIME-1');
  await page.goto(`/setup/${id}/dates`);
  const preview = page.getByRole('complementary', { name: 'What a learner sees' });
  await expect(preview.getByText('Week 1 is on')).toBeVisible();
  const marker = page.getByRole('slider', { name: 'Day that the preview shows' });
  await marker.focus();
  await page.keyboard.press('PageUp');
  await expect(marker).toHaveAttribute('aria-valuetext', 'Mon 8 Mar');
  await expect(preview.getByText('Week 2 is on')).toBeVisible();
  await page.keyboard.press('End');
  await expect(marker).toHaveAttribute('aria-valuetext', 'Sun 28 Mar');
  await page
    .locator('.timeline .block')
    .nth(1)
    .click({ position: { x: 30, y: 30 } });
  await expect(preview.getByText('Week 2 is on')).toBeVisible();
  await preview.getByRole('button', { name: /^Page .*Page 2/ }).click();
  await expect(preview.getByText('This page has no text yet.')).toBeVisible();
});
