/** What counts as done: given to many at once, done by a learner, seen and said by staff, and nothing of it when off. */
import { expect, test } from '@playwright/test';
import { aPhone } from '../support/coursework.ts';
import {
  addLearner,
  allSaved,
  choose,
  comeInAs,
  goLive,
  INES,
  NOOR,
  ownCourse,
  send,
  signedInAs,
} from '../support/people.ts';

const THIRTY = Array.from({ length: 30 }, (_one, at) => `leaf-${at}`);

test('rules for thirty items at once by keyboard; done on a phone; said by staff; switched off it is nowhere', async ({
  browser,
  page,
}) => {
  await comeInAs(page, INES);
  const { id, sections } = await ownCourse(page, 'PROG-1', 3, true, '2027-02-15');
  const node = (one: string, at: number) => ({
    ...{ id: one, kind: 'page', title: `Leaf ${at + 1}`, minutes: 10, shown: true },
  });
  await send(page, id, [
    {
      id: 'leaves',
      edits: THIRTY.map((one, at) => ({
        ...{
          kind: 'insert',
          parent: sections[0],
          after: at === 0 ? null : THIRTY[at - 1],
          node: node(one, at),
        },
      })),
    },
  ]);
  for (const find of ['noor', 'pavel']) await addLearner(page, id, find);

  await page.goto(`/setup/${id}/progress`);
  await expect(page.getByText('Nothing counts for them, so there is nothing to finish.')).toBeVisible();
  // By keyboard: all of them are chosen, one rule is given, and what changes is said before it does.
  await page.getByRole('checkbox', { name: 'Choose all' }).focus();
  await page.keyboard.press('Space');
  const given = page.getByRole('group', { name: 'Give it to those chosen' });
  await expect(given.getByRole('status')).toHaveText('33 of 33 change.');
  const rule = given.getByRole('combobox', { name: 'Counts as done when' });
  await rule.focus();
  await page.keyboard.press('Enter');
  await page.keyboard.type('tick');
  await page.keyboard.press('Enter');
  await expect(given.getByText('ticked by the learner')).toBeVisible();
  const give = given.getByRole('button', { name: 'Give it to those chosen' });
  await give.focus();
  await page.keyboard.press('Enter');
  await expect(given.getByRole('status')).toHaveText('0 of 33 change.');
  await expect(page.getByText(/^It can be finished: on .* at the earliest\./)).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(given.getByRole('status')).toHaveText('33 of 33 change.');
  await page.getByRole('button', { name: /^Redo/ }).click();
  await allSaved(page);

  // One of them takes two things; the course wants ten of them, and then more than there are.
  await choose(page.getByRole('combobox', { name: 'Done with Leaf 1 is' }), 'Several, or by a moment …');
  const dialog = page.getByRole('dialog', { name: 'Done with: Leaf 1' });
  await dialog.getByRole('button', { name: 'Add another' }).click();
  await expect(dialog.getByText('It reads: ticked by the learner and opened.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Use this' }).click();
  await page.locator('#progress-course').scrollIntoViewIfNeeded();
  await choose(page.getByRole('combobox', { name: 'The course is done with' }), 'a rule of its own');
  await choose(page.getByRole('combobox', { name: 'Part 1' }), 'items');
  await choose(page.getByRole('combobox', { name: 'How much of it' }), 'so many');
  const many = page.getByRole('textbox', { name: 'How many' });
  await many.fill('40');
  await many.press('Tab');
  await page.locator('#progress-finish').scrollIntoViewIfNeeded();
  await expect(page.getByText('It cannot be finished.')).toBeVisible();
  await expect(page.getByText('The course wants 40, and there are 33.')).toBeVisible();
  await page.getByRole('button', { name: 'Put it right' }).click();
  await expect(page.getByText(/^It can be finished/)).toBeVisible();
  await page.locator('#progress-course').scrollIntoViewIfNeeded();
  await expect(many).toHaveValue('33');
  await many.fill('2');
  await many.press('Tab');
  await allSaved(page);
  await goLive(page, id);

  const { phone } = await aPhone(browser);
  await signedInAs(phone, NOOR);
  await phone.goto(`/courses/${id}/items/leaf-0`);
  await expect(phone.getByText('Counts as done with all of these:')).toBeVisible();
  await phone.getByRole('button', { name: 'Done with it' }).click();
  await expect(phone.getByText('Done', { exact: true })).toBeVisible();
  await phone.goto(`/courses/${id}/items/leaf-1`);
  await phone.getByRole('button', { name: 'Done with it' }).click();
  await expect(phone.getByRole('button', { name: 'Not done after all' })).toBeVisible();
  await phone.goto(`/courses/${id}/how-far`);
  await expect(phone.getByText(/Done, since/)).toBeVisible();
  await expect(phone.getByText('2 of 33 done').first()).toBeVisible();

  await page.goto(`/courses/${id}/progress`);
  const cells = page.getByRole('gridcell', { name: /^Noor Rahimi, Leaf [12]: done$/ });
  await expect(cells).toHaveCount(2);
  const first = page.getByRole('gridcell', { name: /^Noor Rahimi, Leaf 1: done$/ });
  await first.focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('gridcell', { name: /^Pavel .*, Leaf 1: / })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByText('One learner is chosen.')).toBeVisible();
  await page.getByRole('textbox', { name: /^Why/ }).fill('Told it on the shore.');
  await page.getByRole('button', { name: 'Mark as done' }).click();
  await expect(page.getByText('One learner is marked as done.')).toBeVisible();
  await expect(page.getByRole('gridcell', { name: /^Pavel .*, Leaf 1: done, as staff say$/ })).toBeVisible();
  await page.getByRole('link', { name: /^Pavel/ }).click();
  await expect(page.getByText(/said by Inês Carvalhal: Told it on the shore\./)).toBeVisible();

  await page.goto(`/setup/${id}/progress`);
  await page.getByRole('checkbox', { name: 'What learners do counts' }).click();
  await allSaved(page);
  await phone.goto(`/courses/${id}/items/leaf-1`);
  await expect(phone.getByRole('heading', { name: 'Leaf 2' })).toBeVisible();
  await expect(phone.getByText(/done/i)).toHaveCount(0);
  await phone.goto(`/courses/${id}/how-far`);
  await expect(phone.getByText(/of 33 done/)).toHaveCount(0);
  await page.getByRole('checkbox', { name: 'What learners do counts' }).click();
  await allSaved(page);
  await phone.reload();
  await expect(phone.getByText('2 of 33 done').first()).toBeVisible();
});
