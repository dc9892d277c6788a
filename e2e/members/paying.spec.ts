/** Joining by paying: refused in the desk's window, then paid; and staff give it back. */
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { lettersTo } from '../support/letters.ts';
import {
  allSaved,
  comeInAs,
  goLive,
  INES,
  NOOR,
  ownCourse,
  put,
  send,
  signedInAs,
} from '../support/people.ts';

test('a payment is refused, then paid, in the window of the desk; given back, they have left', async ({
  browser,
  page,
}) => {
  await comeInAs(page, INES);
  const { id } = await ownCourse(page, 'PAYING-1');
  await send(page, id, [
    { id: 'find', edits: [{ kind: 'set', target: id, field: 'find', value: 'here', was: 'members' }] },
  ]);
  await goLive(page, id);
  await page.goto(`/setup/${id}/members`);
  const ways = page.getByRole('region', { name: 'Ways to join' });
  await ways.getByRole('checkbox', { name: 'By paying' }).check();
  await expect(ways.getByText('Say first what it costs.')).toBeVisible();
  await put(ways.getByRole('textbox', { name: 'Price', exact: true }), '120.50');
  await ways.getByRole('checkbox', { name: 'Less for whoever pays early' }).check();
  await put(ways.getByRole('textbox', { name: 'Reduced price' }), '90');
  await put(ways.getByRole('textbox', { name: 'Paid for so many months, then again; empty: once' }), '6');
  await expect(ways.getByText('It is taken again every 6 months')).toBeVisible();
  await allSaved(page);

  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    baseURL: test.info().project.use.baseURL ?? '',
  });
  const phone = await context.newPage();
  await signedInAs(phone, NOOR);
  await phone.goto(`/courses/${id}`);
  await expect(phone.getByText(/It costs €90.00 until/)).toBeVisible();
  await expect(phone.getByText('It is for 6 months, and taken again for as long')).toBeVisible();
  await phone.getByRole('button', { name: 'Pay €90.00' }).click();
  await phone.getByRole('button', { name: 'Refuse it' }).click();
  await phone.getByRole('link', { name: 'Back to the course' }).click();
  // As soon as the desk has told it, it may be tried again.
  await phone.getByRole('button', { name: 'Pay €90.00' }).click();
  await phone.getByRole('button', { name: 'Pay €90.00' }).click();
  await phone.getByRole('link', { name: 'Back to the course' }).click();
  await expect(phone.getByText('You are in this course already.')).toBeVisible();
  await phone.getByRole('link', { name: 'Open the course' }).click();
  await expect(phone.getByRole('heading', { level: 1, name: 'Course PAYING-1' })).toBeVisible();
  // The course is over before: nothing of it renews, and nothing is said of that.
  await phone.goto(`/courses/${id}/members`);
  await expect(phone.getByRole('heading', { level: 1, name: 'Members' })).toBeVisible();
  await expect(phone.getByRole('heading', { name: 'Your payment' })).toHaveCount(0);
  // Longer than the period, it does: until whoever pays ends it.
  await longer(page, id);
  await phone.reload();
  await expect(
    phone.getByText(/^Paid until .*\. Then €90\.00 is taken for another 6 months\.$/),
  ).toBeVisible();
  await phone.getByRole('button', { name: 'End it then' }).click();
  await expect(phone.getByText('It ends then: nothing more is taken.', { exact: true })).toBeVisible();
  await phone.reload();
  await expect(phone.getByRole('button', { name: 'Go on after that' })).toBeVisible();
  await context.close();
  await page.reload();
  await expect(ways.getByText(/until .*, and no more/)).toBeVisible();
  // Other courses write to her meanwhile.
  const ofThis = async (): Promise<string> =>
    (await lettersTo('noor.rahimi@ternpoint.example')).find(({ text }) => text.includes('PAYING-1'))?.text ??
    '';
  await expect.poll(ofThis).toContain('€90.00');

  const row = ways.getByRole('row', { name: /Noor Rahimi/ });
  await expect(row.filter({ hasText: 'refused' })).toHaveCount(1);
  await ways.getByRole('button', { name: 'Give €90.00 back to Noor Rahimi' }).click();
  await expect(page.getByRole('dialog')).toContainText('They leave the course');
  await page.getByRole('dialog').getByRole('button', { name: 'Give back' }).click();
  await expect(row.filter({ hasText: 'given back' })).toHaveCount(1);
  await expect(page.getByRole('row', { name: /Noor Rahimi.*by paying/ })).toHaveCount(0);
});

/** The course’s weeks, sent as the plan’s page would. */
async function longer(page: Page, id: string): Promise<void> {
  const { course } = (await (await page.request.get(`/api/courses/${id}/plan`)).json()) as {
    course: { dates: { weeks: number } };
  };
  const was = course.dates.weeks;
  await send(page, id, [
    { id: 'longer', edits: [{ kind: 'set', target: id, field: 'dates.weeks', value: 52, was }] },
  ]);
}
