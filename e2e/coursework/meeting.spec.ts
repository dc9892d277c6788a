/** A meeting: its room before it, a code on a phone, the list by keyboard, and what is left of it afterwards. */
import { expect, test } from '@playwright/test';
import { aPhone, liveWith } from '../support/coursework.ts';
import { allSaved, choose, INES, NOOR, PAVEL, put, setting, send, signedInAs } from '../support/people.ts';

test('set up with a code; a learner is there by it, staff say the rest by keyboard; afterwards it tells what was settled', async ({
  browser,
  page,
}) => {
  const held = { kind: 'fixed', day: '2027-03-02', time: '18:00' };
  const id = await liveWith(page, 'MEET-E2E', {
    ...{ id: 'meet', kind: 'meeting', title: 'Mudflat visit', minutes: 90, held, place: 'The slip' },
    done: { by: 'attended' },
  });
  await page.goto(`/setup/${id}/outline`);
  await page.getByRole('button', { name: 'Edit what Mudflat visit holds' }).click();
  const panel = page.getByRole('complementary', { name: /Mudflat visit/ });
  await put(panel.getByRole('textbox', { name: /^Room on the net/ }), 'rooms.ternpoint.example/mud');
  await put(panel.getByRole('textbox', { name: /^Shown once it is over/ }), 'Bring both logs on Friday.');
  await choose(
    panel.getByRole('combobox', { name: 'Who was there' }),
    'Learners with a code that lives ten minutes, and staff',
  );
  await allSaved(page);
  await panel.getByRole('link', { name: 'The list' }).click();
  await page.getByRole('button', { name: 'New code' }).click();
  const code = (await page.locator('.letters').textContent()) ?? '';
  expect(code).toMatch(/^[0-9A-Z]{6}$/);

  const { context, phone } = await aPhone(browser);
  await signedInAs(phone, NOOR);
  await phone.goto(`/courses/${id}/items/meet`);
  const theirs = phone.getByRole('region', { name: 'Before the meeting' });
  await expect(theirs.getByRole('link', { name: 'Go to the room' })).toHaveAttribute(
    'href',
    'https://rooms.ternpoint.example/mud',
  );
  await expect(theirs.getByText('Bring both logs')).toHaveCount(0);
  const field = theirs.getByRole('textbox', { name: 'Code of the meeting' });
  await field.fill('AAAAAA');
  await field.press('Enter');
  await expect(theirs.getByText(/^That is not the code/)).toBeVisible();
  await field.fill(code.toLowerCase());
  await field.press('Enter');
  await expect(theirs.getByText('You were there.')).toBeVisible();
  await expect(phone.getByText('Done', { exact: true }).first()).toBeVisible();

  // The list hears of it, and the other one is said by keyboard alone.
  const noor = page.getByRole('row', { name: /Noor/ });
  await expect(noor.getByRole('radio', { name: 'There' })).toBeChecked();
  await expect(noor).toContainText('the code');
  const pavel = page.getByRole('row', { name: /Pavel/ });
  await pavel.getByRole('radio', { name: 'There' }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(pavel.getByRole('radio', { name: 'Late' })).toBeChecked();
  await expect(pavel).toContainText('Inês Carvalhal');
  await expect(page.getByText('Not said 0')).toBeVisible();
  await pavel.getByRole('button', { name: /^Take back what is said of Pavel/ }).click();
  await page.getByRole('button', { name: 'The last one was away' }).click();
  await expect(pavel.getByRole('radio', { name: 'Away' })).toBeChecked();
  await signedInAs(phone, PAVEL);
  await phone.goto(`/courses/${id}/items/meet`);
  await expect(phone.getByText('You were not there.')).toBeVisible();

  await signedInAs(page, INES);
  await send(page, id, [
    { id: 'over', edits: [setting('meet', 'held', { ...held, day: '2027-01-15' }, held)] },
  ]);
  await phone.reload();
  const after = phone.getByRole('region', { name: 'After the meeting' });
  await expect(after.getByText('Bring both logs on Friday.')).toBeVisible();
  await expect(after.getByRole('link', { name: 'Go to the room' })).toHaveCount(0);
  await context.close();
});
