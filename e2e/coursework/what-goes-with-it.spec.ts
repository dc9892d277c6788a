/** What goes with work: sheets, worked examples, files that come in pieces and go back, pictures to choose, notes, letters. */
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { aPhone, liveWith } from '../support/coursework.ts';
import { lettersTo, newestTo, pathIn } from '../support/letters.ts';
import { allSaved, NOOR, PAVEL, put, signedInAs } from '../support/people.ts';

/** A picture of one colour, made in the page. */
async function drawn(page: Page, colour: string): Promise<Buffer> {
  const data = await page.evaluate(async (fill) => {
    const canvas = new OffscreenCanvas(320, 200);
    const pen = canvas.getContext('2d')!;
    pen.fillStyle = fill;
    pen.fillRect(0, 0, 320, 200);
    const bytes = new Uint8Array(await (await canvas.convertToBlob()).arrayBuffer());
    return [...bytes];
  }, colour);
  return Buffer.from(data);
}

test('an assignment with a sheet and a worked example; handed in over a broken line, marked without a name, given back', async ({
  browser,
  page,
}) => {
  const node = { ...{ id: 'notes', kind: 'assignment', title: 'Field notes', minutes: 60 }, total: 10 };
  const id = await liveWith(page, 'WITH-1', node);
  await page.goto(`/setup/${id}/outline`);
  await page.getByRole('button', { name: 'Edit what Field notes holds' }).click();
  const panel = page.getByRole('complementary', { name: /Field notes/ });
  const sheets = panel.getByRole('group', { name: 'Files that go with it' });
  await sheets.locator('input[type=file]').setInputFiles([
    { name: 'Sheet.csv', mimeType: 'text/csv', buffer: Buffer.from('station,level\n') },
    { name: 'Tides.txt', mimeType: 'text/plain', buffer: Buffer.from('Low water at nine.') },
  ]);
  await expect(sheets.getByRole('link', { name: 'Sheet.csv' })).toBeVisible();
  await expect(sheets.getByRole('link', { name: 'Tides.txt' })).toBeVisible();
  await sheets.getByRole('button', { name: /Tides\.txt/ }).click();
  await panel.getByText('No worked example for staff yet').click();
  await panel
    .getByRole('textbox', { name: 'What good work looks like' })
    .fill('Three bands, and no eelgrass.');
  await panel.getByRole('checkbox', { name: 'Names are left out until it is marked' }).check();
  await allSaved(page);

  const { phone } = await aPhone(browser);
  await signedInAs(phone, NOOR);
  await phone.goto(`/courses/${id}/items/notes`);
  await expect(phone.getByRole('list', { name: 'Goes with it' }).getByRole('link')).toHaveText(['Sheet.csv']);
  await expect(phone.getByText('Three bands')).toHaveCount(0);
  // The line breaks in the middle of the file; what has come is there, and it goes on from there.
  const patches: string[] = [];
  await phone.route('**/api/uploads/*', async (route) => {
    const request = route.request();
    patches.push(`${request.method()} ${request.headers()['upload-offset'] ?? ''}`);
    if (patches.length === 1) await route.abort('connectionreset');
    else await route.continue();
  });
  await phone.locator('.files input[type=file]').setInputFiles({
    name: 'Noor Rahimi.txt',
    mimeType: 'text/plain',
    buffer: Buffer.alloc(400_000, 'mud '),
  });
  await expect(phone.getByRole('link', { name: 'Noor Rahimi.txt' })).toBeVisible();
  expect(patches).toEqual(['PATCH 0', 'HEAD ', 'PATCH 0']);
  await phone.getByRole('button', { name: 'Hand in', exact: true }).click();
  await phone.getByRole('dialog').getByRole('button', { name: 'Hand in' }).click();
  await expect(phone.getByText('It is handed in. Your receipt stands below.')).toBeVisible();

  await page.goto(`/courses/${id}/items/notes/coursework`);
  await page.getByRole('button', { name: /^Name left out/ }).click();
  await expect(page.getByRole('heading', { name: 'Name left out' })).toBeVisible();
  await expect(page.getByRole('link', { name: '1.txt' })).toBeVisible();
  await expect(page.locator('main')).not.toContainText('Noor');
  await page.getByText('Worked example').click();
  await expect(page.getByText('Three bands, and no eelgrass.')).toBeVisible();
  await page.getByText('Notes among staff').click();
  await page.getByRole('textbox', { name: /^A note/ }).fill('Ask Adaeze about the second band.');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByText('Ask Adaeze about the second band.')).toBeVisible();
  // What is begun of a mark waits for whoever comes back to it.
  await put(page.getByRole('textbox', { name: 'Points, of 10' }), '8');
  await expect(page.getByText('Begun, and not kept yet')).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: /^Name left out/ }).click();
  await expect(page.getByRole('textbox', { name: 'Points, of 10' })).toHaveValue('8');
  // Kept while the file is still on its way, it is kept with it.
  await page.route('**/api/uploads', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 1500));
    await route.continue();
  });
  const back = page.getByRole('group', { name: 'Files to give back' });
  await back
    .locator('input[type=file]')
    .setInputFiles({ name: 'Notes on it.txt', mimeType: 'text/plain', buffer: Buffer.from('Good.') });
  await expect(back.getByText('Notes on it.txt is on its way')).toBeVisible();
  await page.getByRole('button', { name: 'Keep the mark' }).click();
  await expect(page.getByText('It is kept.')).toBeVisible();
  // With the mark the name is told.
  await expect(page.getByRole('heading', { name: 'Noor Rahimi' })).toBeVisible();

  await phone.reload();
  await expect(phone.getByText('8 of 10')).toBeVisible();
  const given = phone.getByRole('list', { name: 'Given back with it' }).getByRole('link');
  const file = await phone.request.get((await given.getAttribute('href')) ?? '');
  expect([file.headers()['content-disposition'], await file.text()]).toEqual([
    "attachment; filename*=UTF-8''Notes%20on%20it.txt",
    'Good.',
  ]);
  await expect(phone.locator('main')).not.toContainText('second band');
});

test('pictures to choose: put in, described, and chosen on a phone', async ({ browser, page }) => {
  const choice = (id: string, text: string) => ({ id, text, why: '', picture: null });
  const asked = { why: '', points: 1, required: false, pool: null };
  const shell = {
    ...{ ...asked, at: 1, kind: 'single', text: 'Which is the cockle?', right: 'b' },
    choices: [choice('a', 'The first'), choice('b', 'The second')],
  };
  const node = { id: 'shells', kind: 'quiz', title: 'Shells', reveals: 'handed_in', questions: { q: shell } };
  const id = await liveWith(page, 'WITH-2', node, ['noor']);
  await page.goto(`/setup/${id}/outline`);
  await page.getByRole('button', { name: 'Edit what Shells holds' }).click();
  await page.getByRole('button', { name: 'The questions …' }).click();
  const dialog = page.getByRole('dialog', { name: 'Questions: Shells' });
  await dialog
    .getByRole('button', { name: /Which is the cockle/ })
    .first()
    .click();
  for (const [text, colour] of [
    ['The first', '#a05'],
    ['The second', '#058'],
  ] as const) {
    const chosen = page.waitForEvent('filechooser');
    await dialog.getByRole('button', { name: new RegExp(`^Make it a picture ?: ${text}`) }).click();
    await (
      await chosen
    ).setFiles({ name: `${colour}.png`, mimeType: 'image/png', buffer: await drawn(page, colour) });
    await expect(
      dialog.getByRole('button', { name: new RegExp(`^Take the picture off ?: ${text}`) }),
    ).toBeVisible();
  }
  await dialog.getByRole('textbox', { name: 'What the picture shows' }).nth(0).fill('A flat shell');
  await dialog.getByRole('textbox', { name: 'What the picture shows' }).nth(1).fill('A shell with ribs');
  await dialog.getByRole('button', { name: 'Close' }).click();
  await allSaved(page);

  const { phone } = await aPhone(browser);
  await signedInAs(phone, NOOR);
  await phone.goto(`/courses/${id}/items/shells`);
  await phone.getByRole('button', { name: 'Begin', exact: true }).click();
  const ribs = phone.getByRole('img', { name: 'A shell with ribs' });
  await expect(ribs).toBeVisible();
  expect(await ribs.evaluate((one: HTMLImageElement) => one.naturalWidth)).toBe(320);
  await ribs.click();
  await expect(phone.getByRole('radio', { name: /The second/ })).toBeChecked();
  await expect(phone.getByText('Kept by the server')).toBeVisible();
  await phone.getByRole('button', { name: 'Hand in', exact: true }).click();
  await phone.getByRole('dialog').getByRole('button', { name: 'Hand in' }).click();
  await expect(phone.getByText(/^1 of 1 points?/).first()).toBeVisible();
});

test('a post begun on a phone goes on at a desk, with a file; whoever asked is written to; all of it is found, and new', async ({
  browser,
  page,
}) => {
  const id = await liveWith(page, 'WITH-3', { id: 'first', kind: 'page', title: 'Start' });
  // A discussion for questions, from the menu, with its entry in one change.
  await page.goto(`/setup/${id}/menu`);
  const add = page.locator('form.add').filter({ hasText: 'Add it' }).first();
  await add.getByRole('combobox').first().click();
  await page.getByRole('option', { name: 'A discussion for questions, ready' }).click();
  await add.getByRole('button', { name: 'Add it' }).click();
  await allSaved(page);

  const { context, phone } = await aPhone(browser);
  await signedInAs(phone, PAVEL);
  await phone.goto(`/courses/${id}/home`);
  await phone
    .getByRole('button', { name: 'More' })
    .or(phone.getByRole('link', { name: 'Questions' }))
    .first()
    .click();
  if (!(await phone.url()).includes('/items/'))
    await phone.getByRole('link', { name: 'Questions' }).last().click();
  await expect(phone.getByRole('heading', { level: 1, name: /Questions/ })).toBeVisible();
  await phone.getByRole('button', { name: 'Begin a thread' }).click();
  await phone.getByRole('textbox', { name: 'Title' }).fill('Which boots?');
  await phone.getByRole('textbox', { name: 'Your post' }).fill('Do ordinary ones');
  await expect(phone.getByText('Kept by the server: it can be gone on with elsewhere')).toBeVisible();
  const address = phone.url();
  await context.close();

  // The phone is gone. The desk has what was begun.
  const desk = await browser.newPage();
  await signedInAs(desk, PAVEL);
  await desk.goto(address);
  await desk.getByRole('button', { name: 'Begin a thread' }).click();
  await expect(desk.getByRole('textbox', { name: 'Title' })).toHaveValue('Which boots?');
  const words = desk.getByRole('textbox', { name: 'Your post' });
  await expect(words).toHaveText('Do ordinary ones');
  await words.press('End');
  await words.pressSequentially(' hold in the estuarine mud?');
  await desk
    .locator('.files input[type=file]')
    .setInputFiles({ name: 'boots.png', mimeType: 'image/png', buffer: await drawn(desk, '#444') });
  await expect(desk.getByText('boots.png')).toBeVisible();
  await desk.getByRole('button', { name: 'Begin it' }).click();
  await expect(desk.getByRole('img', { name: 'boots.png' })).toBeVisible();
  await expect(desk.getByRole('button', { name: 'Write to me about it' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  const before = (await lettersTo('pavel.dvoran@ternpoint.example')).length;

  await page.goto(address);
  await page.getByRole('button', { name: /Which boots\?/ }).click();
  await page.getByRole('button', { name: 'Write a post' }).click();
  await page.getByRole('textbox', { name: 'Your post' }).fill('They do not. The shed lends others.');
  await page.getByRole('button', { name: 'Post it' }).click();
  await expect(page.getByRole('article')).toHaveCount(2);
  const letter = await newestTo('pavel.dvoran@ternpoint.example', before + 1);
  expect(letter.subject).toBe('New in “Which boots?”');
  await desk.goto(pathIn(letter));
  await expect(desk.getByText('The shed lends others.')).toBeVisible();

  // Noor was never there; she finds it by a word of it.
  await signedInAs(desk, NOOR);
  await desk.goto(`/courses/${id}/home`);
  await desk.getByRole('link', { name: 'Find in this course' }).click();
  await desk.getByRole('searchbox', { name: 'Words to look for' }).fill('ESTUARINE');
  await expect(desk.getByText('One place has them.')).toBeVisible();
  await desk.getByRole('link', { name: 'Which boots?' }).click();
  await expect(desk.getByText('The shed lends others.')).toBeVisible();
  await desk.goto(`/courses/${id}/log`);
  await expect(desk.getByText('opened')).toBeVisible();
  await expect(desk.getByRole('link', { name: 'Discussion Questions' })).toBeVisible();
});
