/** Those who are not in a course: its public page, a taste of it, and a visit with the passphrase. */
import { expect, test } from '@playwright/test';
import {
  allSaved,
  comeInAs,
  goLive,
  INES,
  KENJI,
  ownCourse,
  send,
  setting,
  signedInAs,
} from '../support/people.ts';

test('somebody who has not signed in finds the public page, a sample, and with the passphrase the course', async ({
  page,
  browser,
}) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'VISIT-1');
  await goLive(page, id);
  const context = await browser.newContext({ viewport: { width: 360, height: 740 } });
  const stranger = await context.newPage();
  await stranger.goto(`/courses/${id}`);
  // Nothing says that there is such a course: whoever has not signed in may get it once they have.
  await expect(stranger).toHaveURL(/\/sign-in\?then=/);

  await page.goto(`/setup/${id}/access`);
  await page.getByRole('group', { name: 'Who can find it' }).getByText('Anyone', { exact: true }).click();
  await page.getByRole('group', { name: 'Visitors' }).getByText('With a passphrase').click();
  await page.getByLabel('Made for').fill('People who are not afraid of mud.');
  await page.getByLabel('Passphrase', { exact: true }).fill('visit-1');
  await page.getByRole('button', { name: 'Set the passphrase' }).click();
  await expect(page.getByText('The passphrase is easy to guess. Set another one:')).toBeVisible();
  await page.getByLabel('Passphrase', { exact: true }).fill('heron lantern quay');
  await page.getByRole('button', { name: 'Set the passphrase' }).click();
  await expect(page.getByText('A passphrase is set. It is shown to nobody.', { exact: false })).toBeVisible();
  await allSaved(page);
  await send(page, id, [{ id: 'taste', edits: [setting('page-2', 'sample', true)] }]);

  await stranger.goto(`/courses/${id}`);
  await expect(stranger.getByRole('heading', { name: 'Course VISIT-1', level: 1 })).toBeVisible();
  await expect(stranger.getByText('People who are not afraid of mud.')).toBeVisible();
  await expect(stranger.getByText('Page 1')).toHaveCount(0);
  await stranger.getByRole('link', { name: 'Page 2' }).click();
  await expect(stranger.getByRole('heading', { name: /Page 2/ })).toBeVisible();
  await stranger.goto(`/courses/${id}`);
  const passphrase = stranger.getByLabel('Passphrase for visitors');
  await passphrase.fill('heron lantern key');
  await stranger.getByRole('button', { name: 'Look at the course' }).click();
  await expect(stranger.getByRole('alert')).toHaveText('That is not the passphrase of this course.');
  await passphrase.fill('heron lantern quay');
  await stranger.keyboard.press('Enter');
  await expect(stranger.getByRole('link', { name: /Page 1/ }).first()).toBeVisible();
  await expect(stranger.getByText('Who is on this course')).toHaveCount(0);

  // On the desk of somebody here who is not in it, it can be found.
  const desk = await browser.newContext();
  const kenji = await desk.newPage();
  await comeInAs(kenji, KENJI);
  await kenji
    .getByRole('region', { name: 'Other courses here, to look at' })
    .getByRole('link', { name: 'Course VISIT-1' })
    .click();
  await expect(kenji.getByText('People who are not afraid of mud.')).toBeVisible();
  await desk.close();

  // On the next visit it is asked for again.
  const again = await browser.newContext();
  const next = await again.newPage();
  await next.goto(`/courses/${id}`);
  await expect(next.getByLabel('Passphrase for visitors')).toBeVisible();
  await again.close();
  await context.close();
});

test('a page that is not listed is there for whoever has its address, and staff-only ones for no learner', async ({
  page,
}) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'UNLISTED-1');
  await goLive(page, id);
  await page.goto(`/setup/${id}/outline?at=page-1`);
  await page.getByLabel('Not listed').check();
  await page.goto(`/setup/${id}/outline?at=page-2`);
  await page.getByLabel('For staff only').check();
  await allSaved(page);
  await expect(page.getByRole('row').filter({ hasText: 'For staff only' })).toHaveCount(1);
  await page.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('button', { name: 'See as …' }).click();
  const pane = page.getByRole('complementary', { name: 'What a learner sees' });
  await expect(pane.getByText('Page 3').first()).toBeVisible();
  await expect(pane.getByText('Page 1')).toHaveCount(0);
  await pane.getByRole('button', { name: 'What they don’t get 1' }).click();
  await expect(pane.getByRole('listitem')).toContainText('Page 2 is for staff only.');
});
