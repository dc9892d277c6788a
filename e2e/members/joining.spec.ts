/** A link used on a phone by somebody who has not signed in; seats that run out; leaving, and coming back. */
import { expect, test } from '@playwright/test';
import type { Browser, Page } from '@playwright/test';
import { addLearner, comeInAs, goLive, INES, NOOR, ownCourse, PAVEL } from '../support/people.ts';

const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true };
async function onPhone(browser: Browser, work: (page: Page) => Promise<void>): Promise<void> {
  const context = await browser.newContext({ ...PHONE, baseURL: test.info().project.use.baseURL ?? '' });
  await work(await context.newPage());
  await context.close();
}
const signInAs = (page: Page, name: string): Promise<void> => page.getByRole('button', { name }).click();

test('by link on a phone, signed in on the way; the seats run out; one leaves, and the next comes in', async ({
  browser,
  page,
}) => {
  await comeInAs(page, INES);
  const { id } = await ownCourse(page, 'WAYS-1');
  await page.goto(`/setup/${id}/members`);
  const ways = page.getByRole('region', { name: 'Ways to join' });
  await expect(ways.getByText('Nobody joins by it: it is off.')).toHaveCount(5);
  await ways.getByRole('checkbox', { name: 'By link or code' }).check();
  await expect(ways.getByText('Nobody joins yet: the course is a draft.')).toBeVisible();
  const code = (await ways.locator('.large').textContent()) ?? '';
  expect(code).toMatch(/^[0-9A-Z]{5}-[0-9A-Z]{5}$/);
  await ways.getByRole('textbox', { name: 'Seats in the course' }).fill('1');
  await ways.getByRole('textbox', { name: 'Only for addresses at' }).fill('no domain');
  await ways.getByRole('textbox', { name: 'Only for addresses at' }).blur();
  await expect(ways.getByText('no is no domain.')).toBeVisible();
  await ways.getByRole('textbox', { name: 'Only for addresses at' }).fill('ternpoint.example');
  await ways.getByRole('textbox', { name: 'Only for addresses at' }).blur();
  await ways.getByRole('button', { name: 'Show it large' }).click();
  await expect(page.getByRole('img', { name: 'The link as a QR picture' })).toBeVisible();
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
  await onPhone(browser, async (phone) => {
    await phone.goto(`/join/${code}`);
    await expect(phone.getByText('The course is not open yet. Come back when it is.')).toBeVisible();
  });
  await goLive(page, id);
  await page.reload();
  await expect(ways.getByText('joins with one press, today and for as long as it is on')).toBeVisible();

  await onPhone(browser, async (phone) => {
    await phone.goto('/join');
    await phone.getByLabel('Code').fill(code.toLowerCase().replace('-', ' '));
    await phone.getByRole('button', { name: 'Look at the course' }).click();
    await expect(phone.getByRole('heading', { name: 'Course WAYS-1' })).toBeVisible();
    await expect(phone.getByText('one seat left')).toBeVisible();
    await phone.getByRole('link', { name: 'Sign in and join' }).click();
    await signInAs(phone, NOOR);
    await phone.getByRole('button', { name: 'Join the course' }).click();
    await expect(phone).toHaveURL(new RegExp(`/courses/${id}`));
    await expect(phone.getByRole('heading', { name: 'Course WAYS-1', level: 1 })).toBeVisible();
  });
  // The table tells it without being asked again.
  await expect(page.getByRole('row', { name: /Noor Rahimi.*by link/ })).toBeVisible();
  await expect(ways.getByText('Nobody joins just now: every seat is taken.')).toBeVisible();
  await expect(ways.getByText('1 of 1 are taken.')).toBeVisible();

  await onPhone(browser, async (phone) => {
    await comeInAs(phone, PAVEL);
    await phone.goto(`/join/${code}`);
    await expect(phone.getByText('Every seat is taken. Ask whoever gave you the code.')).toBeVisible();
    await expect(phone.getByRole('button', { name: 'Join the course' })).toHaveCount(0);
  });
  await onPhone(browser, async (phone) => {
    await comeInAs(phone, NOOR);
    await phone.goto(`/join/${code}`);
    await expect(phone.getByText('You are in this course already.')).toBeVisible();
    await phone.getByRole('link', { name: 'Open the course' }).click();
    await phone.goto(`/courses/${id}/members`);
    await phone.getByRole('button', { name: 'Leave the course' }).click();
    await expect(phone.getByRole('dialog')).toContainText('All that you have done in it is kept');
    await phone.getByRole('dialog').getByRole('button', { name: 'Leave the course' }).click();
    await expect(phone).toHaveURL(/\/desk$/);
    await expect(phone.getByText('Course WAYS-1')).toHaveCount(0);
  });
  await expect(page.getByRole('row', { name: /Noor Rahimi/ })).toHaveCount(0);
  await onPhone(browser, async (phone) => {
    await comeInAs(phone, PAVEL);
    await phone.goto(`/join/${code}`);
    await phone.getByRole('button', { name: 'Join the course' }).click();
    await expect(phone).toHaveURL(new RegExp(`/courses/${id}`));
  });

  await test.step('staff go beyond the seats: readiness says so, leads to them, and makes room', async () => {
    await addLearner(page, id, 'lupe');
    await page.goto(`/setup/${id}/readiness`);
    const finding = page.getByText('There are more learners than seats: 2 for 1');
    await expect(finding).toBeVisible();
    await page.getByRole('button', { name: 'Go to Members' }).click();
    await expect(ways.getByRole('textbox', { name: 'Seats in the course' })).toBeFocused();
    await page.goBack();
    await page.getByRole('button', { name: 'Make room for all' }).click();
    await expect(finding).toHaveCount(0);
    await page.goto(`/setup/${id}/members`);
    await expect(ways.getByText('2 of 2 are taken.')).toBeVisible();
  });

  await test.step('a code made anew ends the one that is out there', async () => {
    await ways.getByRole('button', { name: 'Make a new one' }).click();
    await expect(page.getByRole('dialog')).toContainText('stop at once');
    await page.getByRole('dialog').getByRole('button', { name: 'Make a new one' }).click();
    await expect(ways.locator('.large')).not.toHaveText(code);
    await onPhone(browser, async (phone) => {
      await phone.goto(`/join/${code}`);
      await expect(phone.getByRole('alert')).toContainText('No course has this code.');
    });
  });
});
