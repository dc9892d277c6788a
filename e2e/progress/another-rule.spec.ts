/** A rule made stricter in a live course: who would lose what is said first, by name, and what was earned is kept. */
import { expect, test } from '@playwright/test';
import { aPhone, liveWith } from '../support/coursework.ts';
import { allSaved, choose, NOOR, signedInAs } from '../support/people.ts';

test('another rule: who gains and who loses first; left as it is; changed with what was earned kept', async ({
  browser,
  page,
}) => {
  const id = await liveWith(page, 'PROG-2', {
    ...{ id: 'boots', kind: 'page', title: 'Boots', done: { by: 'opened' } },
  });
  const { phone } = await aPhone(browser);
  await signedInAs(phone, NOOR);
  await phone.goto(`/courses/${id}/items/boots`);
  await expect(phone.getByRole('heading', { name: 'Boots' })).toBeVisible();
  await phone.goto(`/courses/${id}/how-far`);
  await expect(phone.getByText(/Done, since/)).toBeVisible();

  await page.goto(`/setup/${id}/progress`);
  const rule = page.getByRole('combobox', { name: 'Done with Boots is' });
  await choose(rule, 'ticked by the learner');
  const dialog = page.getByRole('dialog', { name: 'Before it changes' });
  await expect(
    dialog.getByRole('heading', { name: 'One learner would no more be done with:' }),
  ).toBeVisible();
  const noor = dialog.getByRole('listitem').filter({ hasText: 'Noor Rahimi' });
  await expect(noor).toContainText(/Boots.*, the course$/);
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
  await expect(rule).toHaveValue('opened');
  await phone.reload();
  await expect(phone.getByText(/Done, since/)).toBeVisible();

  await choose(rule, 'ticked by the learner');
  await dialog.getByRole('button', { name: 'Change it, and keep what was earned' }).click();
  await expect(rule).toHaveValue('ticked by the learner');
  await allSaved(page);
  await phone.reload();
  await expect(phone.getByText(/Done, since/)).toBeVisible();
  await page.goto(`/courses/${id}/progress`);
  await expect(
    page.getByRole('gridcell', { name: 'Noor Rahimi, Boots: done, by an earlier rule' }),
  ).toBeVisible();
  await expect(page.getByRole('gridcell', { name: /^Pavel .*, Boots: not done$/ })).toBeVisible();

  // An item removed is asked about as well; what counts no more cannot be kept.
  await page.goto(`/setup/${id}/outline`);
  await page.getByRole('row', { name: /Boots/ }).click();
  await page.keyboard.press('Delete');
  await expect(dialog.getByText(/What does not count any more cannot be kept/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Leave it as it is' }).click();
  await expect(page.getByRole('row', { name: /Boots/ })).toBeVisible();
});
