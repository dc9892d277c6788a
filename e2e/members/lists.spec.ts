/** Class lists as they come: read, put right, taken in, read again later, taken back. */
import { readFile } from 'node:fs/promises';
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { ADAEZE, comeInAs, INES, LIVE, liveCourse, ownCourse } from '../support/people.ts';

/** With a title above and a total below; an id that a spreadsheet has spoiled; a heading that nobody knows. */
const FIRST = `Tern Point College of Coastal Field Studies;;;;
Printed 12 February 2027;;;;

Student no;Surname, First name;E-mail;Role;Shore
20411;Rahimi, Noor;NOOR.RAHIMI@ternpoint.example;student;North
20413;Tréguier, Maëlle;maelle@away.example;student;North
1,05E+04;Keane, Odhran;odhran(at)away.example;student;South
20415;Ness, Tove;;student;South
Total;4;;;
`;
/** Three weeks later: somebody corrected, somebody gone, somebody late. */
const LATER = `Student no;Surname, First name;E-mail;Role;Shore
20411;Rahimi, Noor;noor.rahimi@ternpoint.example;student;South
20413;Treguier-Moal, Maëlle;maelle@away.example;student;North
20416;Aldous-Bay, Wren;wren@away.example;student;South
;Keane, Odhran;;;South
`;

const heading = (page: Page) => page.getByRole('heading', { level: 2 }).first();
const take = (page: Page) => page.getByRole('button', { name: /^Take the list in/ });
async function sendFile(page: Page, text: string, name: string): Promise<void> {
  const buffer = Buffer.from([...text].map((sign) => sign.charCodeAt(0)));
  await page.locator('input[type="file"]').setInputFiles({ name, mimeType: 'text/csv', buffer });
  await expect(page.getByRole('button', { name: 'Another list' })).toBeVisible();
}
const row = (page: Page, name: string | RegExp) => page.getByRole('row', { name });

test('a dirty list is read, put right in one column, taken in, and read again three weeks later', async ({
  page,
}) => {
  await comeInAs(page, INES);
  const { id } = await ownCourse(page, 'LISTS-1');
  await page.goto(`/setup/${id}/members`);
  await page.getByRole('button', { name: 'Read a list' }).click();
  await sendFile(page, FIRST, 'shores.csv');
  await expect(page.getByText('shores.csv · 4 rows · WINDOWS-1252')).toBeVisible();
  await expect(heading(page)).toHaveText('4 come in');
  await expect(page.getByText('3 lines are nobody: 1, 2, 9')).toBeVisible();
  await expect(row(page, /Keane/)).toContainText(
    '1,05E+04 is an id that a spreadsheet has made a power of ten of.',
  );
  await expect(row(page, /Keane/)).toContainText('odhran(at)away.example is no address.');
  // What nobody could know is said, and everything is reckoned anew.
  await expect(page.getByRole('columnheader', { name: 'Class' })).toHaveCount(0);
  await page.getByRole('combobox', { name: 'What Shore is' }).click({ force: true });
  await page.getByRole('option', { name: 'Class', exact: true }).click();
  await expect(page.getByRole('columnheader', { name: 'Class' })).toBeVisible();
  await row(page, /Ness/)
    .getByRole('button', { name: /^Leave/ })
    .click();
  await expect(heading(page)).toHaveText('3 come in');
  await page.getByRole('button', { name: 'Left out 1' }).click();
  await row(page, /Ness/)
    .getByRole('button', { name: /^Take Tove Ness in again/ })
    .click();
  await expect(take(page)).toHaveText('Take the list in: 4 come in');
  await take(page).click();
  await expect(page.getByText('The list is in: 4 come in.')).toBeVisible();
  await expect(row(page, /Maëlle Tréguier no account yet/)).toContainText('North');
  await expect(row(page, /Noor Rahimi/)).not.toContainText('no account yet');
  await expect(page.getByRole('link', { name: 'Members: 4 learners' })).toBeVisible();

  // Whoever has no account yet finds nothing on a desk.
  await page
    .getByRole('banner')
    .getByRole('button', { name: /Go live/ })
    .click();
  await expect(page.getByText('one learner will find it on their desk')).toBeVisible();
  await expect(page.getByText('3 learners have no account yet')).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();

  await test.step('the same list again changes nothing', async () => {
    await page.getByRole('button', { name: 'Read a list' }).click();
    await sendFile(page, FIRST, 'shores.csv');
    await expect(page.getByText('Its columns are read as those of an earlier list')).toBeVisible();
    await expect(heading(page)).toHaveText('The list changes nothing');
    await page.getByRole('button', { name: 'Back to the members' }).click();
  });

  await test.step('three weeks later', async () => {
    await page.getByRole('button', { name: 'Read a list' }).click();
    await sendFile(page, LATER, 'shores-march.csv');
    await expect(heading(page)).toHaveText('one comes in, 2 are changed');
    await expect(row(page, /Treguier-Moal/)).toContainText('family name: Tréguier → Treguier-Moal');
    await expect(row(page, /Noor/)).toContainText('class: North → South');
    const asked = page.getByRole('region', { name: /to be said who is meant/ });
    await expect(asked).toContainText('Only the name says who this is.');
    await asked.getByRole('combobox', { name: 'Who Odhran Keane is' }).click({ force: true });
    await page.getByRole('option', { name: /^is Odhran Keane/ }).click();
    await expect(page.getByRole('button', { name: 'As it is 1' })).toBeVisible();
    // Nobody goes unasked.
    const gone = page.getByRole('region', { name: /of an earlier list/ });
    await gone.getByRole('checkbox', { name: /Tove Ness/ }).check();
    await expect(take(page)).toHaveText('Take the list in: one comes in, 2 are changed, one goes');
    await take(page).click();
    await expect(row(page, /Wren Aldous-Bay/)).toBeVisible();
    await expect(row(page, /Tove Ness/)).toHaveCount(0);
  });

  await test.step('taken back, it is as before', async () => {
    await page.getByRole('button', { name: 'Take it back' }).first().click();
    await expect(
      page.getByText('The list shores-march.csv is taken back: everybody is as before it.'),
    ).toBeVisible();
    await expect(row(page, /Tove Ness/)).toBeVisible();
    await expect(row(page, /Wren Aldous-Bay/)).toHaveCount(0);
    // What the first list did has not been touched since; but somebody has been changed by hand.
    await page.getByRole('checkbox', { name: 'Tove Ness' }).check();
    await page.getByRole('button', { name: 'Take off the course' }).click();
    await expect(page.getByRole('dialog')).toContainText('All that they have done in it is kept');
    await page.getByRole('button', { name: 'Take one off' }).click();
    await expect(row(page, /Tove Ness/)).toHaveCount(0);
    await page.getByRole('button', { name: 'Take it back' }).click();
    await expect(
      page.getByText('It cannot be taken back, because these have changed since: Tove Ness'),
    ).toBeVisible();
  });
});

test('of two who read a list at once the second looks again, and nothing is done twice', async ({
  browser,
  page,
}) => {
  await comeInAs(page, INES);
  const { id } = await ownCourse(page, 'LISTS-2');
  await page.goto(`/setup/${id}/members?list=new`);
  await page
    .getByLabel('Or paste')
    .fill('Wren Aldous-Bay <wren@away.example>; Tove Ness <tove@away.example>');
  await page.getByRole('button', { name: 'Read what is pasted' }).click();
  await expect(heading(page)).toHaveText('2 come in');
  const other = await browser.newContext();
  const colleague = await other.newPage();
  await comeInAs(colleague, 'Tunde Balewa-Price');
  await colleague.goto(`/setup/${id}/members?list=new`);
  await colleague.getByLabel('Or paste').fill('tove@away.example');
  await colleague.getByRole('button', { name: 'Read what is pasted' }).click();
  await take(colleague).click();
  await expect(colleague.getByText('The list is in: one comes in.')).toBeVisible();
  await other.close();
  await take(page).click();
  await expect(page.getByText('What would happen has been reckoned anew')).toBeVisible();
  await expect(heading(page)).toHaveText('one comes in, one is changed');
  await take(page).click();
  await expect(row(page, /Tove Ness/)).toHaveCount(1);
  await expect(row(page, /Wren Aldous-Bay/)).toHaveCount(1);
});

test('what is no list is refused with a sentence, and read by nobody', async ({ page }) => {
  await comeInAs(page, INES);
  const { id } = await ownCourse(page, 'LISTS-3');
  await page.goto(`/setup/${id}/members?list=new`);
  const sent = async (name: string, buffer: Buffer, words: string | RegExp): Promise<void> => {
    await page.locator('input[type="file"]').setInputFiles({ name, mimeType: 'text/csv', buffer });
    await expect(page.getByRole('alert').filter({ hasText: words })).toBeVisible();
    const another = page.getByRole('button', { name: 'Another list' });
    if (await another.isVisible()) await another.click();
  };
  await sent('large.csv', Buffer.alloc(17_000_000, 'a'), /large\.csv has 17 MB\. A list has at most 16 MB\./);
  await sent('wide.csv', Buffer.from(`a${';'.repeat(1_000_000)}`), 'its line 1 has 1,000,001 columns');
  await sent('long.csv', Buffer.from('a\n'.repeat(20_001)), 'it has 20,002 lines');
  await sent('old.xls', Buffer.from([0xd0, 0xcf, 0x11, 0xe0, 0xa1]), 'This spreadsheet is of an older kind');
  await sent('broken.xlsx', Buffer.from('PK\u0003\u0004 and no more'), 'It could not be opened');
  await expect(page.getByRole('button', { name: 'Choose a file' })).toBeVisible();
});

test('an assistant sees who is there, and changes nothing of it', async ({ page }) => {
  await comeInAs(page, ADAEZE);
  const id = await liveCourse(page, LIVE);
  await page.goto(`/setup/${id}/members?list=new`);
  await expect(row(page, /Aroha Tamihere/)).toContainText('Class B');
  await expect(page.getByRole('button', { name: /Read a list|Add people|Write out/ })).toHaveCount(0);
  await page.getByLabel('Find among the members').fill('tamihère');
  await expect(page.getByText('1 of 27')).toBeVisible();
  await expect(row(page, /Aroha Tamihere/)).toBeVisible();
  await expect(row(page, /Noor Rahimi/)).toHaveCount(0);
});

test('learners are dealt into groups, and who is nowhere is found', async ({ page }) => {
  await comeInAs(page, INES);
  const { id } = await ownCourse(page, 'LISTS-4');
  await page.goto(`/setup/${id}/members?list=new`);
  const people = ['Ada', 'Bo', 'Cai', 'Dee', 'Eli', 'Fay', 'Gus'];
  const list = people.map((name, at) => `${at},${name} Marsh,${at < 4 ? 'North' : 'South'}`).join('\n');
  await page.getByLabel('Or paste').fill(`Id,Name,Class\n${list}`);
  await page.getByRole('button', { name: 'Read what is pasted' }).click();
  await take(page).click();
  await page.getByRole('button', { name: 'Deal into groups' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('textbox', { name: 'At most in a group' }).fill('3');
  await dialog.getByRole('textbox', { name: 'At most in a group' }).blur();
  await expect(dialog.getByText('7 learners, 3 new groups of 2 or 3')).toBeVisible();
  await dialog.getByRole('button', { name: 'Deal', exact: true }).click();
  await expect(page.getByText('3 new groups are made')).toBeVisible();
  for (const name of people) await expect(row(page, new RegExp(name))).toContainText(/Group [123]/);
  await page
    .getByRole('combobox', { name: 'Class or group' })
    .or(page.getByRole('combobox', { name: 'Groups' }))
    .first()
    .click({ force: true });
  await page.getByRole('option', { name: 'Group 3' }).click();
  await expect(page.getByText(/^[23] of 9$/)).toBeVisible();
  await page.getByRole('button', { name: 'Deal into groups' }).click();
  await expect(dialog.getByText('There is nobody to deal.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Cancel' }).click();

  await test.step('a role for one who is chosen, and the chosen written out in columns of one’s own', async () => {
    await page.goto(`/setup/${id}/members`);
    await page.getByRole('checkbox', { name: 'Ada Marsh' }).check();
    await page.getByRole('combobox', { name: 'Give a role' }).click({ force: true });
    await page.getByRole('option', { name: 'Assistant', exact: true }).click();
    await expect(row(page, /Ada Marsh/)).toContainText('Assistant');
    await page.getByRole('checkbox', { name: 'Bo Marsh' }).check();
    await page.getByRole('button', { name: 'Write out as CSV' }).click();
    for (const name of ['Address', 'Class']) await dialog.getByRole('checkbox', { name }).uncheck();
    await dialog
      .getByRole('button', { name: /Name.*up|up.*Name/i })
      .first()
      .click();
    await dialog.getByRole('textbox', { name: 'A column put together' }).fill('{name} ({nobody})');
    await expect(dialog.getByText('Nothing is called {nobody}')).toBeVisible();
    await dialog.getByRole('textbox', { name: 'A column put together' }).fill('{name} ({id})');
    await expect(dialog.getByText('For the first of them:')).toBeVisible();
    const coming = page.waitForEvent('download');
    await dialog.getByRole('button', { name: 'Write 2 rows' }).click();
    const text = await readFile(await (await coming).path(), 'utf8');
    const lines = text.replace('\ufeff', '').trim().split('\r\n');
    expect(lines[0]).toBe('Name,Institution’s id,Role,A column put together');
    expect(lines.slice(1).sort()).toEqual([
      'Ada Marsh,0,assistant,Ada Marsh (0)',
      'Bo Marsh,1,learner,Bo Marsh (1)',
    ]);
  });
});
