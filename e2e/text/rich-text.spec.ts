/** Rich text as it is written and as it is read: tables, pictures, formulas, links that stay right. */
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { allSaved, INES, NOOR, ownCourse, send, signedInAs, put } from '../support/people.ts';

const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

/** The tools are one stop of the Tab key. */
const tool = (page: Page, name: string) =>
  page.getByRole('toolbar').getByRole('button', { name, exact: true });
const text = (page: Page) => page.getByRole('textbox', { name: 'Text' });

async function addLearner(page: Page, id: string): Promise<void> {
  const { people } = (await (await page.request.get(`/api/courses/${id}/candidates?find=noor`)).json()) as {
    people: { id: string }[];
  };
  await page.request.post(`/api/courses/${id}/members`, {
    data: { people: people.map((one) => one.id), role: 'learner' },
  });
}

test('a page with a table, a formula, a picture and links, written, read, and right after a move', async ({
  page,
  browser,
}) => {
  await signedInAs(page, INES);
  const { id, sections } = await ownCourse(page, 'RICH-1');
  await addLearner(page, id);
  await page.goto(`/setup/${id}/outline?at=page-1`);
  await expect(text(page)).toBeVisible();

  await test.step('links: one reads as its item does, one has words of its own', async () => {
    await text(page).click();
    await page.keyboard.type('First read ');
    await tool(page, 'Link').click();
    await page.getByLabel('To an item of this course').check();
    await page.getByRole('combobox', { name: 'Item' }).fill('Page 3');
    await page.getByRole('option', { name: '3.1 Page 3' }).click();
    await expect(text(page)).toContainText('First read 3.1 Page 3');
    await page.keyboard.type(', then walk');
    await page.keyboard.press('Control+Shift+ArrowLeft');
    await tool(page, 'Link').click();
    await page.getByLabel('To an item of this course').check();
    await page.getByRole('combobox', { name: 'Item' }).fill('Page 2');
    await page.getByRole('option', { name: '2.1 Page 2' }).click();
    await expect(text(page).locator('a[data-item]')).toHaveText('walk');
    // The cursor is after it: typing goes on there, and not over it.
    await expect(text(page)).toBeFocused();
    await page.keyboard.type(' slowly');
    await expect(text(page)).toContainText('then walk slowly');
    await expect(text(page).locator('a[data-item]')).toHaveText('walk');
  });

  await test.step('a formula is set while it is typed', async () => {
    await page.keyboard.press('End');
    await page.keyboard.press('Enter');
    await tool(page, 'Formula').click();
    await page.getByLabel('Formula, in TeX').fill('\\frac{S}{35}');
    await expect(page.locator('output math mfrac')).toBeVisible();
    await page.getByRole('button', { name: 'Put it in' }).click();
    await expect(text(page).locator('math mfrac')).toBeVisible();
  });

  await test.step('a table, by keyboard', async () => {
    await page.keyboard.press('Control+End');
    await page.keyboard.press('Enter');
    await tool(page, 'Table').click();
    await expect(page.getByRole('toolbar', { name: 'Tools for the table' })).toBeVisible();
    for (const word of ['Depth', 'Salinity', 'Sign']) {
      await page.keyboard.type(word);
      await page.keyboard.press('Tab');
    }
    await page.getByRole('toolbar', { name: 'Tools for the table' }).getByLabel('Remove the column').click();
    await expect(text(page).getByRole('columnheader')).toHaveCount(2);
  });

  await test.step('a picture asks what it shows', async () => {
    await text(page).locator('p').last().click();
    await page.keyboard.press('Control+End');
    const chooser = page.waitForEvent('filechooser');
    await tool(page, 'Picture').click();
    await (await chooser).setFiles({ name: 'mud.png', mimeType: 'image/png', buffer: PNG });
    await expect(text(page).getByText('Say what it shows')).toBeVisible();
    await allSaved(page);
    await page.getByRole('link', { name: /Readiness/ }).click();
    await expect(page.getByText('One picture does not say what it shows')).toBeVisible();
    await page.goBack();
    await expect(text(page)).toBeVisible();
    await text(page).locator('figure img').click();
    await page.getByLabel('What the picture shows').fill('Mud at low water');
    await page.getByLabel('Author').fill('A. Okpara');
    await page.getByLabel('Licence').fill('CC BY 4.0');
    await expect(text(page).getByText('A. Okpara · CC BY 4.0')).toBeVisible();
    await allSaved(page);
    // What is typed comes back as it was written, also after the page is loaded anew.
    await page.reload();
    await expect(text(page).getByText('A. Okpara · CC BY 4.0')).toBeVisible();
    await expect(text(page).getByRole('columnheader')).toHaveText(['Salinity', 'Sign']);
  });

  await test.step('the preview reads as a learner does, and follows links', async () => {
    // The panel stands in the preview's place.
    await page.getByRole('button', { name: 'Close' }).click();
    await page.getByRole('button', { name: 'See what a learner sees' }).click();
    const preview = page.getByRole('complementary', { name: 'What a learner sees' });
    await preview.getByRole('button', { name: /^Page .*Page 1/ }).click();
    await expect(preview.locator('math mfrac')).toBeVisible();
    await preview.getByRole('link', { name: 'walk' }).click();
    await expect(preview.getByRole('heading', { name: /Page 2/ })).toBeVisible();
  });

  await test.step('a learner reads it', async () => {
    await send(page, id, [
      { id: 'live', edits: [{ kind: 'set', target: id, field: 'state', value: 'live', was: 'draft' }] },
    ]);
    const other = await browser.newContext({ viewport: { width: 360, height: 720 } });
    const noor = await other.newPage();
    await signedInAs(noor, NOOR);
    await noor.goto(`/courses/${id}/items/page-1`);
    await expect(noor.getByRole('img', { name: 'Mud at low water' })).toHaveJSProperty('naturalWidth', 1);
    await expect(noor.locator('math mfrac')).toBeVisible();
    await expect(noor.getByRole('columnheader')).toHaveText(['Salinity', 'Sign']);
    await expect(noor.getByRole('link', { name: '3.1 Page 3', exact: true })).toBeVisible();
    // Nothing makes the page wider than the phone.
    expect(await noor.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);

    // The third page moves to the front: its name follows.
    const [first] = sections;
    await send(page, id, [
      { id: 'to-front', edits: [{ kind: 'move', target: 'page-3', parent: first, after: null }] },
    ]);
    await noor.reload();
    await noor.getByRole('link', { name: '1.1 Page 3', exact: true }).click();
    await expect(noor).toHaveURL(/\/items\/page-3$/);
    await expect(noor.getByRole('heading', { name: /Page 3/, level: 1 })).toBeVisible();

    // One that is not shown any more leads nowhere and is not named; the author's words stay.
    await send(page, id, [
      {
        id: 'hide',
        edits: [
          { kind: 'set', target: 'page-3', field: 'shown', value: false, was: true },
          { kind: 'set', target: 'page-2', field: 'shown', value: false, was: true },
        ],
      },
    ]);
    await noor.goto(`/courses/${id}/items/page-1`);
    await expect(noor.getByText('First read what is not open to you, then walk slowly')).toBeVisible();
    expect(await noor.content()).not.toContain('Page 3');
    await other.close();
  });

  await test.step('and the instructor is told', async () => {
    await page.goto(`/setup/${id}/readiness`);
    await expect(page.getByText('Words in texts lead to 2 items that learners do not get')).toBeVisible();
  });
});

test('a worked unit, copied: links within it lead to the copy', async ({ page }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'RICH-2');
  await page.goto(`/setup/${id}/outline?at=page-1`);
  await text(page).click();
  await page.keyboard.type('Here: ');
  await tool(page, 'Link').click();
  await page.getByLabel('To an item of this course').check();
  await page.getByRole('combobox', { name: 'Item' }).fill('Page 1');
  await page.getByRole('option', { name: '1.1 Page 1' }).click();
  await expect(text(page)).toContainText('Here: 1.1 Page 1');
  await allSaved(page);
  await page.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('button', { name: 'Copy unit' }).click();
  const copy = page.getByRole('dialog', { name: 'A worked unit, copied' });
  await put(copy.getByLabel('Copies', { exact: true }), '1');
  await copy.getByRole('button', { name: /^Make/ }).click();
  await allSaved(page);
  await page.getByRole('button', { name: 'Edit what Page 1 holds' }).nth(1).click();
  await expect(text(page)).toContainText('Here: 2.1 Page 1');
});

test('tools by keyboard; an address that is none is said; a formula is changed where it stands', async ({
  page,
}) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'RICH-3');
  await page.goto(`/setup/${id}/outline?at=page-1`);
  await text(page).click();
  await page.keyboard.type('Tides');
  await page.keyboard.press('Shift+Home');
  await page.keyboard.press('Shift+Tab');
  await expect(tool(page, 'Heading')).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(tool(page, 'Bold')).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(text(page).locator('strong')).toHaveText('Tides');
  await tool(page, 'Link').click();
  await page.getByRole('textbox', { name: 'Address' }).fill('no address at all');
  await page.keyboard.press('Enter');
  await expect(page.getByText('An address that starts with https:// is expected.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Address' }).fill('example.org/tides');
  await page.keyboard.press('Enter');
  await expect(text(page).locator('a')).toHaveAttribute('href', 'https://example.org/tides');
  await page.keyboard.press('End');
  await tool(page, 'Formula').click();
  await page.getByLabel('Formula, in TeX').fill('x');
  await page.getByRole('button', { name: 'Put it in' }).click();
  await text(page).locator('math').click();
  await page.getByLabel('Formula, in TeX').fill('y^2');
  await page.getByRole('button', { name: 'Change it' }).click();
  await expect(text(page).locator('math msup')).toBeVisible();
  await expect(text(page).locator('math')).toHaveCount(1);
  await allSaved(page);
});
