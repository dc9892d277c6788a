/** A course's dates as somebody new sets them: from nothing, moved, turned into another format, never losing a word. */
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { allSaved, comeInAs, fromDesk, INES, ownCourse, put, signedInAs } from '../support/people.ts';

const stop = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'The route through setup' }).getByRole('link', { name });

test('fifteen weeks with a spring pause, moved by a week, turned into units, a unit copied', async ({
  page,
}) => {
  await comeInAs(page, INES);
  const dialog = page.getByRole('dialog', { name: 'Before it changes' });

  await test.step('from nothing', async () => {
    await page.getByRole('link', { name: 'New course' }).click();
    await expect(page.getByRole('heading', { name: 'New course' })).toBeVisible();
    await page.getByLabel('Title').fill('Shore Walks');
    await page.getByLabel('Code').fill('SHW-1');
    await put(page.getByRole('textbox', { name: 'First day' }), '2027-01-11');
    await put(page.getByLabel('Teaching weeks'), '15');
    await page.getByRole('button', { name: 'Open the course as a draft' }).click();
    await stop(page, 'Dates & format').click();
  });

  await test.step('a spring pause', async () => {
    await page.getByRole('button', { name: 'Add a pause' }).click();
    await page.getByLabel('Name', { exact: true }).fill('Spring break');
    await put(page.getByRole('textbox', { name: 'First day without teaching' }), '2027-03-08');
    await put(page.getByRole('textbox', { name: 'Last day without teaching' }), '2027-03-01');
    await page.getByRole('button', { name: 'Keep this pause' }).click();
    await expect(page.getByText('A day on or after the first one')).toBeVisible();
    await put(page.getByRole('textbox', { name: 'Last day without teaching' }), '2027-12-31');
    await put(page.getByRole('textbox', { name: 'First day without teaching' }), '2027-01-01');
    await expect(page.getByText('This pause covers the whole course')).toBeVisible();
    // Monday to Friday is a whole week of teaching days.
    await put(page.getByRole('textbox', { name: 'First day without teaching' }), '2027-03-08');
    await put(page.getByRole('textbox', { name: 'Last day without teaching' }), '2027-03-12');
    await page.getByRole('button', { name: 'Keep this pause' }).click();
    await expect(page.getByRole('definition').filter({ hasText: 'Sun 2 May' })).toBeVisible();
    await expect(page.getByRole('row', { name: /Spring break/ })).toContainText('8–14 Mar');
    await expect(page.getByText('Sun 2 May counts until its last moment')).toBeVisible();
    await page.getByRole('button', { name: 'Pick a day: First day' }).click();
    const month = page.locator('.v-overlay--active');
    await expect(month.locator('[data-v-date="2027-01-18"]')).toHaveAccessibleName(/^Mon 18 Jan 2027, ./);
    await month.getByRole('button', { name: /next month/i }).click();
    await month.getByRole('button', { name: /next month/i }).click();
    await expect(month.locator('[data-v-date="2027-03-10"]')).toHaveAccessibleName(
      'Wed 10 Mar 2027, Spring break',
    );
    await page.keyboard.press('Escape');
  });

  await test.step('work in a section, due on a fixed day in another', async () => {
    await stop(page, 'Outline').click();
    await page.getByLabel('Title of section 1', { exact: true }).fill('The slip');
    await page.getByRole('button', { name: 'Add: Assignment' }).click();
    await page.getByLabel('Title of item 1.1').fill('A walk, drawn');
    await page.getByRole('button', { name: /^Due/ }).click();
    const when = page.getByRole('dialog', { name: 'When A walk, drawn is due' });
    await when.getByLabel('On a weekday of its section').check();
    await expect(when.getByText('That is Sun 17 Jan 23:59')).toBeVisible();
    await when.getByRole('button', { name: 'Set it' }).click();
    await page.getByRole('button', { name: 'Close' }).click();
    await page.getByRole('button', { name: 'Add: Quiz' }).click();
    await page.getByLabel('Title of item 1.2').fill('Names of the shore');
    await page.getByRole('button', { name: /^Due/ }).click();
    const fixed = page.getByRole('dialog', { name: 'When Names of the shore is due' });
    await fixed.getByLabel('On a fixed day').check();
    await put(fixed.getByRole('textbox', { name: 'Day', exact: true }), '2027-01-15');
    await fixed.getByRole('button', { name: 'Set it' }).click();
    await allSaved(page);
  });

  await test.step('moved by one week: what moves is looked at first', async () => {
    await stop(page, 'Dates & format').click();
    await put(page.getByRole('textbox', { name: 'First day', exact: true }), '2027-01-18');
    await expect(dialog.getByRole('row', { name: /The slip/ })).toContainText('11–17 Jan');
    await expect(dialog.getByRole('row', { name: /The slip/ })).toContainText('18–24 Jan');
    await expect(dialog.getByRole('row', { name: /A walk, drawn/ })).toContainText('Sun 24 Jan 23:59');
    await expect(dialog.getByRole('row', { name: /Names of the shore/ })).toContainText(
      'is fixed, and stays behind',
    );
    await dialog.getByRole('button', { name: 'Leave it as it is' }).click();
    await expect(page.getByRole('textbox', { name: 'First day', exact: true })).toHaveValue('Mon 11 Jan');
    // Typed, and back to the stop before: what it would move is decided first.
    await page.getByRole('textbox', { name: 'First day', exact: true }).fill('+1w');
    await page.evaluate(() => history.back());
    await expect(dialog).toBeVisible();
    await expect(page).toHaveURL(/\/dates$/);
    await expect(dialog.getByLabel('Move the fixed date along too')).toBeChecked();
    await dialog.getByRole('button', { name: 'Change it' }).click();
    await expect(page.getByRole('definition').filter({ hasText: 'Sun 9 May' })).toBeVisible();
    await allSaved(page);
  });

  await test.step('turned into units, and one of them made longer', async () => {
    await page.getByText('Unit by unit', { exact: true }).click();
    // Units of one week each stand where the weeks stood.
    await expect(page.getByRole('radio', { name: /Unit by unit/ })).toBeChecked();
    await put(page.getByLabel('How long The slip is'), '2');
    await page.getByLabel('How long The slip is').blur();
    await expect(dialog.getByRole('row', { name: /A walk, drawn/ })).toContainText('Sun 31 Jan 23:59');
    await dialog.getByRole('button', { name: 'Change it' }).click();
    await expect(page.getByRole('row', { name: /The slip/ })).toContainText('18–31 Jan');
  });

  await test.step('and back into weeks: nothing is lost, and what is kept aside is said', async () => {
    await page.getByText('Week by week', { exact: true }).click();
    await expect(dialog.getByText('The length of one unit is kept aside.')).toBeVisible();
    await dialog.getByRole('button', { name: 'Change it' }).click();
    await expect(page.getByRole('row', { name: /The slip/ })).toContainText('18–24 Jan');
    await stop(page, 'Outline').click();
    await expect(page.getByLabel('Title of item 1.1')).toHaveValue('A walk, drawn');
    await expect(page.getByLabel('Title of item 1.2')).toHaveValue('Names of the shore');
    await expect(
      page.getByRole('button', { name: /^When Names of the shore is due: Fri 22 Jan/ }),
    ).toBeVisible();
  });

  await test.step('the worked unit, copied fourteen times', async () => {
    for (let section = 15; section > 1; section -= 1) {
      await page.getByLabel(`Title of section ${section}`, { exact: true }).focus();
      await page
        .getByRole('row')
        .filter({ has: page.locator(':focus') })
        .getByRole('button', { name: /^Remove/ })
        .click();
    }
    await page.getByRole('button', { name: 'Copy unit' }).click();
    const copy = page.getByRole('dialog', { name: 'A worked unit, copied' });
    await expect(copy.getByLabel('Copies', { exact: true })).toHaveValue('14');
    await copy.getByLabel('Titles of the copies').fill('Walk #');
    await expect(copy.getByText('Walk 15')).toBeVisible();
    await copy.getByRole('button', { name: 'Make 14 copies' }).click();
    await allSaved(page);
    await expect(page.getByPlaceholder('Find in 15 sections, 30 items')).toBeVisible();
    await stop(page, 'Dates & format').click();
    await expect(page.getByRole('row', { name: /Walk 15/ })).toContainText('3–9 May');
  });
});

test('a length that does not fit its term is said, and each way computes the others', async ({ page }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'LEN-1');
  await page.goto(`/setup/${id}/about`);
  await page.getByRole('combobox', { name: 'Term' }).click({ force: true });
  await page.getByRole('option', { name: 'Spring 2027' }).click();
  await stop(page, 'Dates & format').click();
  await put(page.getByLabel('Teaching weeks'), '12');
  await expect(page.getByText('12 weeks need until Sun 23 May; the term ends Sun 2 May.')).toBeVisible();
  await page.getByRole('radio', { name: /As Spring 2027/ }).check();
  await expect(page.getByRole('definition').filter({ hasText: 'Sun 2 May' })).toBeVisible();
  await page.getByRole('radio', { name: /Until a day/ }).check();
  await put(page.getByRole('textbox', { name: 'Last day', exact: true }), '2027-03-10');
  await expect(page.getByRole('dialog').getByText('loses its date').first()).toBeVisible();
  await page.getByRole('dialog').getByRole('button', { name: 'Leave it as it is' }).click();
  await expect(page.getByRole('textbox', { name: 'Last day', exact: true })).not.toHaveValue(/10 Mar/);
  await allSaved(page);
});

test('meetings: one called off slides the rest, one moved keeps its number', async ({ page }) => {
  await comeInAs(page, INES);
  await fromDesk(page, 'Field Sketching');
  await expect(page.getByRole('heading', { name: 'About', level: 1 })).toBeVisible();
  const url = page.url().replace(/\/setup\/([^/]+).*/, '/setup/$1/dates');
  await page.goto(url);
  await expect(page.getByRole('row', { name: /The far shore/ })).toContainText('moved');
  await page.getByRole('button', { name: 'Call off the meeting of Tue 1 Jun' }).click();
  await page.getByRole('button', { name: 'Slide all on by one' }).click();
  const dialog = page.getByRole('dialog', { name: 'Before it changes' });
  await expect(dialog.getByRole('row', { name: /Looking for an hour/ })).toContainText('3–7 Jun');
  await dialog.getByRole('button', { name: 'Leave it as it is' }).click();
  await expect(page.getByRole('row', { name: /Looking for an hour/ })).toContainText('1–2 Jun');
});

test('from joining, a learner has days of their own; around one item, that item is the course', async ({
  page,
}) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'PACE-1');
  await page.goto(`/setup/${id}/dates`);
  await page.getByText('From joining', { exact: true }).click();
  const dialog = page.getByRole('dialog', { name: 'Before it changes' });
  await dialog.getByRole('button', { name: 'Change it' }).click();
  await expect(page.getByRole('cell', { name: 'your days 8–14' })).toBeVisible();
  await page.getByText('Around one item', { exact: true }).click();
  await expect(dialog.getByText('3 sections are kept aside')).toBeVisible();
  await dialog.getByRole('button', { name: 'Change it' }).click();
  const preview = page.getByRole('complementary', { name: 'What a learner sees' });
  await expect(preview.getByRole('heading', { name: /Page 1/ })).toBeVisible();
  await allSaved(page);
});
