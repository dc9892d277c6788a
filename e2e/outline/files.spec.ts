/** Files: chosen, several at once, stopped, refused; and what a learner gets of them. */
import { expect, test } from '@playwright/test';
import { allSaved, INES, ownCourse, signedInAs, put } from '../support/people.ts';

const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);
const text = (name: string, words = 'High water at ten.') => ({
  name,
  mimeType: 'text/plain',
  buffer: Buffer.from(words),
});

test('several files become items; a picture asks for its words; a program is refused', async ({ page }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'FILES-1');
  await page.goto(`/setup/${id}/outline`);
  await page.getByRole('button', { name: 'Add: File' }).click();
  const panel = page.getByRole('complementary', { name: /What .* holds/ });
  const picker = panel.getByLabel('Choose files');
  await picker.setInputFiles([
    { name: 'the_shore.png', mimeType: 'image/png', buffer: PNG },
    text('tide table.txt'),
    text('notes.md'),
  ]);
  await expect(page.getByLabel(/^Title of item/).and(page.locator('[value="tide table"]'))).toBeVisible();
  await expect(page.getByLabel(/^Title of item/).and(page.locator('[value="notes"]'))).toBeVisible();
  await expect(panel.getByRole('link', { name: 'the_shore.png' })).toBeVisible();
  await panel.getByLabel('What the picture shows').fill('The shore at low water');
  await panel.getByLabel('Author').fill('Inês');
  await allSaved(page);

  await picker.setInputFiles({ name: 'shore.png', mimeType: 'image/png', buffer: Buffer.from('MZ\x90\x00') });
  await expect(page.getByText('shore.png is a program; those are not taken')).toBeVisible();
  await page.getByRole('button', { name: 'Take shore.png off the list' }).click();
  await expect(panel.getByRole('link', { name: 'the_shore.png' })).toBeVisible();

  await page.reload();
  await expect(page.locator('[data-cell="title"][value="tide table"]')).toBeVisible();
});

test('a file beyond the course’s limit is not sent; one on its way is stopped', async ({ page }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'FILES-2');
  await page.goto(`/setup/${id}/outline`);
  await page.getByRole('button', { name: 'Numbers, reading' }).click();
  await put(page.getByLabel('Largest upload, in MB'), '900');
  await expect(page.getByText('A whole number from 1 to 200')).toBeVisible();
  await put(page.getByLabel('Largest upload, in MB'), '1');
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
  await page.getByRole('button', { name: 'Add: File' }).click();
  const panel = page.getByRole('complementary', { name: /What .* holds/ });
  const picker = panel.getByLabel('Choose files');
  await picker.setInputFiles(text('long.txt', 'x'.repeat(1_100_000)));
  await expect(page.getByText('long.txt is larger than the 1 MB that this course takes.')).toBeVisible();
  await page.getByRole('button', { name: 'Take long.txt off the list' }).click();

  // A line that never ends: the upload waits until it is stopped.
  await page.route('**/files?*', () => undefined);
  await picker.setInputFiles(text('slow.txt'));
  await expect(page.getByRole('progressbar', { name: 'How far slow.txt has come' })).toBeVisible();
  await page.getByRole('button', { name: 'Stop slow.txt' }).click();
  await expect(page.getByText('slow.txt')).toHaveCount(0);
  await expect(panel.getByText('No file yet.')).toBeVisible();
  await allSaved(page);
});
