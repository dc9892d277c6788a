/** A course that is closed before its first day: chosen where it goes live, said so, and then met so by a learner. */
import { expect, test } from '@playwright/test';
import { addLearner, INES, NOOR, ownCourse, signedInAs } from '../support/people.ts';

test('what Go live says of the days before the first is what a learner then gets', async ({ page }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'SHUT-1');
  await addLearner(page, id, 'noor');
  await page.goto(`/setup/${id}/about`);
  await page
    .getByRole('banner')
    .getByRole('button', { name: /Go live/ })
    .click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByText('At once one learner will find it on their desk.')).toBeVisible();
  await expect(dialog.getByText(/^Once it is live it is open, also before the first day/)).toBeVisible();
  await dialog.getByRole('radio', { name: /Closed/ }).check({ force: true });
  const said = dialog.getByText(
    /^Until Mon 1 Mar.* it stands there closed, with its dates; then it is open\.$/,
  );
  await expect(said).toBeVisible();
  await dialog.getByRole('button', { name: 'Go live', exact: true }).click();
  await expect(page.getByRole('banner').getByText('Live', { exact: true })).toBeVisible();

  await signedInAs(page, NOOR);
  await page.goto(`/courses/${id}`);
  await expect(page.getByRole('heading', { name: 'Course SHUT-1', level: 1 })).toBeVisible();
  await expect(page.getByText(/Mon 1 Mar/).first()).toBeVisible();
  await expect(page.getByText('Page 1')).toHaveCount(0);
  expect((await page.request.get(`/api/learn/${id}/items/page-1`)).ok()).toBe(false);
});
