/** An instructor writes a week's work in one go: an assignment, a quiz pasted from a mail, a discussion; and it is there to be done. */
import { expect, test } from '@playwright/test';
import { aPhone, liveWith } from '../support/coursework.ts';
import { allSaved, NOOR, put, signedInAs } from '../support/people.ts';

const ASKED = Array.from({ length: 12 }, (_, at) =>
  at % 2 === 0
    ? `${at + 1}. Which lives in mud at station ${at + 1}?\na) Limpet\nb) Cockle *\nc) Heron`
    : `${at + 1}. How high was the tide at station ${at + 1}?\n= ${at}.5 m ± 0.1\n> Read at the gauge.`,
).join('\n\n');

test('an assignment, twelve questions and a discussion, written as one would', async ({ browser, page }) => {
  const id = await liveWith(page, 'GO-1', { id: 'first', kind: 'page', title: 'Start' }, ['noor']);
  await page.goto(`/setup/${id}/outline`);
  const began = Date.now();
  async function add(kind: string, title: string) {
    await page.getByRole('button', { name: `Add: ${kind}` }).click();
    await expect(page.locator('input:focus')).toHaveAccessibleName(/^Title of item/);
    await page.keyboard.press('ControlOrMeta+A');
    await page.keyboard.type(title);
    return page.getByRole('complementary', { name: new RegExp(title.replace('?', '')) });
  }
  const notes = await add('Assignment', 'Field notes');
  await notes.getByRole('textbox', { name: 'Text' }).click();
  await page.keyboard.type('Hand in the sheet as it came off the shore, and one page of what you saw.');
  await put(notes.getByRole('textbox', { name: 'Points in all' }), '20');
  await put(notes.getByRole('textbox', { name: 'Points that pass' }), '12');
  await notes.getByRole('button', { name: /^Due/ }).click();
  const when = page.getByRole('dialog', { name: 'When Field notes is due' });
  await when.getByLabel('On a weekday of its section').check();
  await when.getByRole('button', { name: 'Set it' }).click();

  const quiz = await add('Quiz', 'The stations');
  await quiz.getByRole('button', { name: 'Write the questions …' }).click();
  const dialog = page.getByRole('dialog', { name: 'Questions: The stations' });
  await dialog.getByRole('button', { name: 'From a text …' }).click();
  const paste = page.getByRole('dialog', { name: 'Questions from a text' });
  await paste.getByRole('textbox', { name: 'The text' }).fill(ASKED);
  await paste.getByRole('button', { name: 'Put 12 questions in' }).click();
  await expect(dialog.getByText('12 questions, 12 points at most')).toBeVisible();
  await dialog.getByRole('button', { name: 'Close' }).click();

  const talk = await add('Discussion', 'What surprised you?');
  await talk.getByRole('textbox', { name: 'Text' }).click();
  await page.keyboard.type('One thing from the shore, and one question about somebody else’s.');
  await talk.getByRole('checkbox', { name: /seen after a first post/ }).check();
  await allSaved(page);
  // Said, and not measured against: machines differ.
  console.log(
    `an assignment, twelve questions and a discussion, written in ${Math.round((Date.now() - began) / 1000)} s`,
  );

  const { context, phone } = await aPhone(browser);
  await signedInAs(phone, NOOR);
  await phone.goto(`/courses/${id}/outline`);
  await phone.getByRole('link', { name: /Field notes/ }).click();
  await expect(phone.getByText('one page of what you saw')).toBeVisible();
  await expect(phone.getByRole('textbox', { name: 'Your text' })).toBeVisible();
  await phone.goto(`/courses/${id}/outline`);
  await phone.getByRole('link', { name: /The stations/ }).click();
  await phone.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(phone.locator('fieldset.question')).toHaveCount(12);
  await expect(phone).toHaveTitle('The stations · Course GO-1 · Itinerary');
  await phone.goto(`/courses/${id}/outline`);
  await phone.getByRole('link', { name: /What surprised you/ }).click();
  await expect(phone.getByRole('button', { name: 'Begin a thread' })).toBeVisible();
  await context.close();
});
