/** Looking at a course as somebody who has done this and that: an example, or a learner as they were on an earlier day. */
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

test('an example learner has done what is chosen; a real one what they had done by then', async ({
  page,
}) => {
  await signedInAs(page, INES);
  const { id, sections } = await ownCourse(page, 'SEEN-DONE', 3, true, '2027-02-08');
  const second = sections[1] as string;
  const item = 'page-1';
  const waits = { when: { kind: 'all', of: [{ kind: 'done', items: [item] }] }, until: null, then: 'look' };
  await send(page, id, [
    {
      id: 'rules',
      edits: [
        setting(item, 'done', { by: 'ticked' }),
        setting(second, 'rule', waits),
        setting(id, 'doneWords', 'Well walked.'),
      ],
    },
  ]);
  await addLearner(page, id, 'noor');
  await goLive(page, id);

  await page.goto(`/setup/${id}/access`);
  const pane = previewOf(page);
  await page.getByRole('button', { name: 'See as …' }).click();
  await expect(pane.getByText('0 of 1 done').first()).toBeVisible();
  await choose(pane.getByRole('combobox', { name: 'Who has done' }), 'what is chosen');
  await pane.getByRole('combobox', { name: 'Done so far' }).click({ force: true });
  await page.getByRole('option').first().click();
  await page.keyboard.press('Escape');
  await expect(pane.getByText('1 of 1 done').first()).toBeVisible();
  await expect(pane.getByText('Well walked.')).toBeVisible();
  await pane.getByRole('button', { name: 'What they don’t get 0' }).click();
  await pane.getByRole('button', { name: 'What they get' }).click();
  await pane.getByRole('button', { name: 'How far I am' }).click();
  await expect(pane.getByRole('heading', { name: 'How far I am' })).toBeInViewport();
  await expect(pane.getByText(/^done on/)).toBeVisible();

  // She ticks it, today; the preview asks for her anew, and knows that a day before she had not.
  await signOut(page);
  await signedInAs(page, NOOR);
  await page.goto(`/courses/${id}/items/${item}`);
  await page.getByRole('button', { name: 'Done with it' }).click();
  await signOut(page);
  await signedInAs(page, INES);
  await page.goto(`/setup/${id}/access`);
  await page.getByRole('button', { name: 'See as …' }).click();
  await choose(pane.getByRole('combobox', { name: 'See as …' }), 'Noor Rahimi');
  await expect(pane.getByText('1 of 1 done').first()).toBeVisible();
  // Where she left off, as her own page has it.
  await expect(pane.getByRole('button', { name: /^Carry on.*Page 1/ })).toBeVisible();
  await put(page.getByRole('textbox', { name: 'To a day' }), '2027-02-15');
  await expect(pane.getByText('0 of 1 done').first()).toBeVisible();
  await expect(pane.getByRole('button', { name: 'What they don’t get 1' })).toBeVisible();
});
