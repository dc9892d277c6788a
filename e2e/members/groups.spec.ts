/** Divisions into groups side by side: learners choose until a group is full, and staff put people where they belong. */
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import {
  addLearner,
  allSaved,
  choose,
  comeInAs,
  goLive,
  INES,
  NOOR,
  ownCourse,
  PAVEL,
  put,
  signedInAs,
} from '../support/people.ts';

async function learnersPage(page: Page, id: string): Promise<Page> {
  await page.goto(`/courses/${id}/members`);
  await expect(page.getByRole('heading', { level: 1, name: 'Members' })).toBeVisible();
  return page;
}

test('groups by own choice fill, a group of their own is made, and staff move who is left, by key and by hand', async ({
  browser,
  page,
}) => {
  await comeInAs(page, INES);
  const { id } = await ownCourse(page, 'GROUPS-1');
  for (const find of ['noor', 'pavel', 'lupe']) await addLearner(page, id, find);
  await page.goto(`/setup/${id}/members`);
  const part = page.getByRole('region', { name: 'Divisions into groups' });
  await part.getByRole('button', { name: 'Add a division' }).click();
  await put(part.getByRole('textbox', { name: 'Name of the division' }), 'Lab teams');
  await part.getByRole('checkbox', { name: 'Learners choose their group by themselves' }).check();
  await put(part.getByRole('textbox', { name: 'Most in one group' }), '1');
  await part.getByRole('checkbox', { name: 'They may make groups of their own' }).check();
  await part.getByRole('button', { name: 'Add a group', exact: true }).click();
  await part.getByRole('button', { name: 'Add a group', exact: true }).click();
  await expect(part.getByRole('heading', { name: 'Group 2 0 / 1' })).toBeVisible();
  await allSaved(page);
  await goLive(page, id);

  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    baseURL: test.info().project.use.baseURL ?? '',
  });
  const phone = await context.newPage();
  await signedInAs(phone, NOOR);
  await learnersPage(phone, id);
  await phone.getByRole('button', { name: 'Choose Group 1' }).click();
  await expect(phone.getByRole('listitem').filter({ hasText: 'Group 1' }).first()).toContainText('yours');
  // It is full, for whoever comes after.
  await signedInAs(phone, PAVEL);
  await learnersPage(phone, id);
  await expect(phone.getByRole('button', { name: 'Choose Group 1' })).toBeDisabled();
  await phone.getByRole('button', { name: 'Make a group' }).click();
  await put(phone.getByRole('textbox', { name: 'Name of the group' }), 'Kelp');
  await phone.getByRole('button', { name: 'Make it, and be in it' }).click();
  await expect(phone.getByRole('listitem').filter({ hasText: 'Kelp' }).first()).toContainText('1 of 1');
  await context.close();

  // Staff see who is where, and who is nowhere, without asking for it anew.
  const column = (name: string) => part.getByRole('group', { name, exact: true });
  await expect(column('Kelp').getByRole('button', { name: PAVEL })).toBeVisible();
  await expect(column('In none of them').getByRole('button', { name: 'Lupe Arrieta' })).toBeVisible();
  await column('In none of them').getByRole('button', { name: 'Lupe Arrieta' }).focus();
  await page.keyboard.press('Enter');
  await part.getByRole('button', { name: 'Put into: Group 2' }).focus();
  await page.keyboard.press('Enter');
  await expect(column('Group 2').getByRole('button', { name: 'Lupe Arrieta' })).toBeVisible();
  await expect(column('In none of them').getByRole('button')).toHaveCount(0);
  await column('Group 1').getByRole('button', { name: NOOR }).dragTo(column('Kelp'));
  await expect(column('Kelp').getByRole('button', { name: NOOR })).toBeVisible();
  await expect(column('Group 1').getByRole('button', { name: NOOR })).toHaveCount(0);
});

test('groups from a list: its column is chosen, what it comes to is read, and everybody is where it has them', async ({
  page,
}) => {
  await comeInAs(page, INES);
  const { id } = await ownCourse(page, 'GROUPS-2');
  for (const find of ['noor', 'pavel', 'lupe']) await addLearner(page, id, find);
  await page.goto(`/setup/${id}/members`);
  const part = page.getByRole('region', { name: 'Divisions into groups' });
  await part.getByRole('button', { name: 'Add a division' }).click();
  await put(part.getByRole('textbox', { name: 'Name of the division' }), 'Boats');
  await part.getByRole('button', { name: 'Add a group', exact: true }).click();
  await expect(part.getByRole('heading', { name: 'Group 1 0' })).toBeVisible();
  await part.getByRole('button', { name: 'Groups from a list: Boats' }).click();
  const dialog = page.getByRole('dialog', { name: 'Groups from a list: Boats' });
  const list = [
    'Who\tBoat\tKnows knots',
    `${NOOR}\tGroup 1\tyes`,
    `${PAVEL}\tKittiwake\tno`,
    'Lupe Arrieta\tKittiwake\tyes',
    'Nobody Known\tKittiwake\tno',
  ];
  await dialog.getByRole('textbox', { name: 'Or paste: a table, or addresses' }).fill(list.join('\n'));
  await dialog.getByRole('button', { name: 'Read what is pasted' }).click();
  // Nothing in it says that its first line is headings.
  await dialog.getByRole('checkbox', { name: 'Its first row is headings' }).check();
  await choose(dialog.getByRole('combobox', { name: 'Column with the group' }), 'Boat');
  await expect(dialog.getByText('One row is of nobody who learns here: Nobody Known (line 5)')).toBeVisible();
  await expect(dialog.getByRole('row', { name: 'Group 1' })).toContainText('there already');
  await expect(dialog.getByRole('row', { name: 'Kittiwake' })).toContainText('2made new');
  await expect(dialog.getByText('3 learners come into a group')).toBeVisible();
  // Whom only the name tells can be left out.
  const byName = dialog.getByRole('checkbox', { name: 'whom only the name tells' });
  await byName.uncheck();
  await expect(dialog.getByRole('button', { name: 'Put them there' })).toBeDisabled();
  await byName.check();
  await dialog.getByRole('button', { name: 'Put them there' }).click();
  await expect(dialog).toBeHidden();
  const column = (name: string) => part.getByRole('group', { name, exact: true });
  await expect(column('Group 1').getByRole('button', { name: NOOR })).toBeVisible();
  await expect(column('Kittiwake').getByRole('button')).toHaveCount(2);
  await page.reload();
  await expect(column('Kittiwake').getByRole('button', { name: PAVEL })).toBeVisible();
});
