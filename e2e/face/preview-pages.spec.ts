/** Every page of the course that a learner gets stands in the preview as they get it: the guide and the members too. */
import { expect, test } from '@playwright/test';
import { addLearner, INES, ownCourse, send, setting, signedInAs } from '../support/people.ts';

test('the guide and the members, in the preview as in the course', async ({ page }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'PREVIEW-2', 3, true, '2027-02-15');
  await addLearner(page, id, 'noor');
  await send(page, id, [{ id: 'hide', edits: [setting('page-2', 'shown', false, true)] }]);

  await page.goto(`/setup/${id}/menu`);
  await page.getByRole('button', { name: 'See it at full size' }).click();
  const full = page.getByRole('dialog', { name: 'What a learner sees' });
  await full.getByRole('button', { name: 'Pacing guide' }).click();
  const table = full.getByRole('table');
  await expect(full.getByRole('heading', { name: 'Course PREVIEW-2', level: 2 })).toBeVisible();
  await expect(table.getByRole('row', { name: /Page 1 Page/ })).toBeVisible();
  await expect(table.getByRole('row', { name: /Page 2 Page/ })).toHaveCount(0);

  await full.getByRole('button', { name: 'Members', exact: true }).click();
  const names = full.getByRole('listitem');
  await expect(names.filter({ hasText: 'Inês Carvalhal' })).toContainText('Instructor');
  await expect(names.filter({ hasText: 'Noor Rahimi' })).toContainText('Learner');
  await full.getByRole('button', { name: 'Close' }).click();

  // Whose names learners see is the course's to say, and the preview follows.
  await send(page, id, [{ id: 'names', edits: [setting(id, 'names', 'staff', 'everybody')] }]);
  await page.reload();
  await page.getByRole('button', { name: 'See it at full size' }).click();
  await full.getByRole('button', { name: 'Members', exact: true }).click();
  await expect(names.filter({ hasText: 'Inês Carvalhal' })).toBeVisible();
  await expect(names.filter({ hasText: 'Noor Rahimi' })).toHaveCount(0);
});
