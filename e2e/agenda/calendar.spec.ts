/** A calendar of one's own: what is next on the desk, the month and its days, and an address that a program reads. */
import { expect, test } from '@playwright/test';
import { aPhone, liveWith } from '../support/coursework.ts';
import { PAVEL, rowOnDesk, signedInAs } from '../support/people.ts';

test('the desk says what is next; a month by keyboard, the same as a list on a phone, and at an address', async ({
  browser,
  page,
}) => {
  const due = { kind: 'fixed', day: '2027-02-19', time: '18:00' };
  const node = { id: 'log', kind: 'assignment', title: 'Boat log', minutes: 60, due, shown: true };
  const id = await liveWith(page, 'CAL-E2E', node);
  await signedInAs(page, PAVEL);
  await page.goto('/desk');
  const row = await rowOnDesk(page, 'CAL-E2E');
  await expect(row).toContainText('Due: Boat log');
  await expect(row).toContainText('Fri 19 Feb 18:00');
  await page.getByRole('main').getByRole('link', { name: 'Calendar' }).click();
  await expect(page.getByRole('heading', { name: 'February 2027' })).toBeVisible();
  const day = page.getByRole('button', { name: /^Fri 19 Feb: / });
  await expect(day.locator('xpath=..')).toContainText('Boat log');
  await day.focus();
  await page.keyboard.press('Enter');
  const whole = page.getByRole('region', { name: 'Fri 19 Feb' });
  await expect(whole).toBeFocused();
  await expect(whole.getByRole('link', { name: /Boat log/ })).toContainText('CAL-E2E');
  await page.getByRole('button', { name: 'The month after' }).click();
  await expect(page).toHaveURL(/month=2027-03/);
  // The demo's own course has a pause then.
  await expect(page.getByRole('link', { name: /Spring break/ }).first()).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'February 2027' })).toBeVisible();
  await page.getByText('In a calendar program of your own').click();
  await page.getByRole('button', { name: 'Make an address' }).click();
  const field = page.getByRole('textbox', { name: 'Address' });
  const first = await field.inputValue();
  const read = await page.request.get(first);
  expect(read.headers()['content-type']).toMatch(/^text\/calendar/);
  const text = (await read.text()).replaceAll('\r\n ', '');
  expect(text).toContain('SUMMARY:Due: Boat log (CAL-E2E)');
  expect(text).toContain(`/courses/${id}/items/log`);
  await page.getByRole('button', { name: 'Make it anew' }).click();
  await expect(page.getByText('This is the new one. The one before leads nowhere any more.')).toBeVisible();
  expect((await page.request.get(first)).status()).toBe(404);
  expect((await page.request.get(await field.inputValue())).status()).toBe(200);

  const { context, phone } = await aPhone(browser);
  await signedInAs(phone, PAVEL);
  await phone.goto('/calendar');
  await expect(phone.getByRole('button', { name: 'List' })).toHaveAttribute('aria-pressed', 'true');
  await phone.getByRole('link', { name: /Boat log/ }).click();
  await expect(phone).toHaveURL(new RegExp(`/courses/${id}/items/log$`));
  await context.close();
});
