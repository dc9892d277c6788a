/** An invitation that bounces, and an account made on the way; a link for somebody who has none; requests; a line that moves. */
import { expect, test } from '@playwright/test';
import type { Browser, Page } from '@playwright/test';
import { comesBack, lettersTo, newestTo, pathIn } from '../support/letters.ts';
import { comeInAs, goLive, INES, NOOR, ownCourse, PAVEL, put, send, signedInAs } from '../support/people.ts';

const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true };
async function onPhone(browser: Browser, work: (page: Page) => Promise<void>): Promise<void> {
  const context = await browser.newContext({ ...PHONE, baseURL: test.info().project.use.baseURL ?? '' });
  await work(await context.newPage());
  await context.close();
}
const WAY = { on: true, opens: null, closes: null, seats: null, domains: null, line: false, question: null };
const set = (id: string, field: string, value: unknown, was: unknown): object => ({
  kind: 'set',
  target: id,
  field,
  value,
  was,
});
/** A live course of one's own with these fields. */
async function liveCourse(
  page: Page,
  code: string,
  fields: Record<string, [unknown, unknown]>,
): Promise<string> {
  await comeInAs(page, INES);
  const { id } = await ownCourse(page, code);
  const edits = Object.entries(fields).map(([field, [value, was]]) => set(id, field, value, was));
  if (edits.length > 0) await send(page, id, [{ id: 'ways', edits }]);
  await goLive(page, id);
  await page.goto(`/setup/${id}/members`);
  return id;
}
const PASSWORD = 'tide tables by heart';

test('an invitation comes back, is corrected, and is taken on a phone by an account made for it', async ({
  browser,
  page,
}) => {
  await comesBack('jonas.lent@away.example');
  const id = await liveCourse(page, 'INVITE-1', {});
  const ways = page.getByRole('region', { name: 'Ways to join' });
  await ways.getByRole('checkbox', { name: 'By invitation' }).check();
  await ways.getByRole('button', { name: 'Invite people' }).click();
  const dialog = page.getByRole('dialog');
  await dialog
    .getByRole('textbox', { name: 'Addresses' })
    .fill('Jonas Lent <jonas.lent@away.example>, nonsense@');
  await expect(dialog.getByText('nonsense@ is no address.')).toBeVisible();
  await expect(dialog.getByRole('button', { name: /^Send/ })).toBeDisabled();
  await dialog.getByRole('textbox', { name: 'Addresses' }).fill('Jonas Lent <jonas.lent@away.example>');
  await dialog.getByRole('button', { name: 'Send it' }).click();
  await expect(page.getByText('One invitation is on its way')).toBeVisible();
  // It comes back by itself, and the stop tells it without being asked again.
  const row = ways.getByRole('row', { name: /jonas/ });
  await expect(row.getByText('came back', { exact: true })).toBeVisible();
  await expect(row).toContainText('550 5.1.1 nobody has this address');
  await row.getByRole('button', { name: 'Correct the address jonas.lent@away.example' }).click();
  await put(page.getByRole('textbox', { name: 'Right address' }), 'jonas.lint@away.example');
  await page.getByRole('dialog').getByRole('button', { name: 'Send it' }).click();
  await expect(ways.getByRole('row', { name: /jonas\.lint@away\.example/ })).toContainText('2 times');

  const letter = await newestTo('jonas.lint@away.example');
  expect(letter.subject).toBe('You are invited to Course INVITE-1');
  await onPhone(browser, async (phone) => {
    await phone.goto(pathIn(letter));
    await expect(phone.getByText('jonas.lint@away.example is invited to this course.')).toBeVisible();
    await phone.getByRole('textbox', { name: 'Your name, as others see it' }).fill('Jonas Lint');
    const password = phone.getByLabel('A password, 10 characters or more');
    await password.fill('short');
    await expect(phone.getByText('Too short: 10 characters or more.')).toBeVisible();
    await password.fill(PASSWORD);
    await phone.getByRole('button', { name: 'Make an account and join' }).click();
    await expect(phone).toHaveURL(new RegExp(`/courses/${id}`));
    await expect(phone.getByRole('heading', { level: 1, name: 'Course INVITE-1' })).toBeVisible();
    // The letter has done what it was for.
    await phone.goto(pathIn(letter));
    await expect(phone.getByText('No course has this code.')).toBeVisible();
  });
  await expect(ways.getByRole('row', { name: /jonas\.lint/ }).getByText('taken')).toBeVisible();
  await expect(page.getByRole('row', { name: /Jonas Lint.*by invitation/ })).toBeVisible();
});

test('a link on a phone, for somebody without an account: a letter, a password, and they are in', async ({
  browser,
  page,
}) => {
  const id = await liveCourse(page, 'INVITE-2', { 'ways.link': [WAY, null] });
  const made = await page.request.post(`/api/courses/${id}/ways/code`, { data: {} });
  const { code } = (await made.json()) as { code: string };
  await onPhone(browser, async (phone) => {
    await phone.goto(`/join/${code}`);
    await phone.getByRole('link', { name: 'Make an account' }).click();
    await phone.getByRole('textbox', { name: 'Your name, as others see it' }).fill('Mira Sand');
    await phone.getByRole('textbox', { name: 'Mail address' }).fill('mira.sand@away.example');
    await phone.getByRole('button', { name: 'Send me the letter' }).click();
    await expect(phone.getByRole('heading', { name: 'Look at your letters' })).toBeVisible();
    const letter = await newestTo('mira.sand@away.example');
    await phone.goto(pathIn(letter));
    await phone.getByLabel('Password, 10 characters or more').fill(PASSWORD);
    await phone.getByRole('button', { name: 'Make the account' }).click();
    // On from where they came.
    await phone.getByRole('button', { name: 'Join the course' }).click();
    await expect(phone.getByRole('heading', { level: 1, name: 'Course INVITE-2' })).toBeVisible();
    await phone.goto(pathIn(letter));
    await expect(phone.getByText('This link has been used, or its time is over.')).toBeVisible();
    // Forgotten, the password is set anew.
    await phone.goto('/account/forgotten');
    await phone.getByRole('textbox', { name: 'Mail address' }).fill('mira.sand@away.example');
    await phone.getByRole('button', { name: 'Send me the letter' }).click();
    const reset = await newestTo('mira.sand@away.example', 2);
    await phone.goto(pathIn(reset));
    await phone.getByLabel('Password, 10 characters or more').fill(`${PASSWORD} anew`);
    await phone.getByRole('button', { name: 'Set it and sign in' }).click();
    await expect(phone).toHaveURL(/\/desk$/);
    await phone.goto('/account');
    await expect(phone.getByText('here', { exact: true })).toBeVisible();
  });
});

test('a request is refused with a reason, asked anew, and waits for a seat; a line moves up', async ({
  browser,
  page,
}) => {
  const asks = { ...WAY, question: 'Why this course?' };
  const id = await liveCourse(page, 'INVITE-3', {
    'ways.request': [asks, null],
    find: ['here', 'members'],
    seats: [1, null],
    line: [true, false],
  });
  const ways = page.getByRole('region', { name: 'Ways to join' });
  await onPhone(browser, async (phone) => {
    await signedInAs(phone, PAVEL);
    await phone.goto(`/courses/${id}`);
    await expect(phone.getByRole('button', { name: 'Ask to join' })).toBeDisabled();
    await phone.getByRole('textbox', { name: 'Your answer' }).fill('For the mud');
    await phone.getByRole('button', { name: 'Ask to join' }).click();
    await expect(phone.getByText('You have asked. The answer comes by letter.')).toBeVisible();
  });
  await ways.getByRole('button', { name: 'Say no to Pavel Dvořan' }).click();
  await put(
    page.getByRole('textbox', { name: 'Reason, which they are told' }),
    'Take the first course before',
  );
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /Say no to one/ })
    .click();
  await expect(page.getByText('One person is told no')).toBeVisible();
  // He may be written to of something else meanwhile.
  const said = async (): Promise<boolean> =>
    (await lettersTo('pavel.dvoran@ternpoint.example')).some(({ text }) =>
      text.includes('Take the first course before'),
    );
  await expect.poll(said).toBe(true);
  for (const [who, answer] of [
    [NOOR, 'For the birds'],
    [PAVEL, 'I have taken it since'],
  ] as const) {
    await onPhone(browser, async (phone) => {
      await signedInAs(phone, who);
      await phone.goto(`/courses/${id}`);
      if (who === PAVEL) await expect(phone.getByText('Take the first course before')).toBeVisible();
      await phone.getByRole('textbox', { name: 'Your answer' }).fill(answer);
      await phone.getByRole('button', { name: 'Ask to join' }).click();
      await expect(phone.getByRole('button', { name: 'Take it back' })).toBeVisible();
    });
  }
  // Several at once: the first to have asked has the seat, the other waits.
  await ways.getByRole('checkbox', { name: /Noor Rahimi/ }).check();
  await ways.getByRole('checkbox', { name: /Pavel Dvořan/ }).check();
  await ways.getByRole('button', { name: 'Say yes to 2' }).click();
  const line = ways.getByRole('region', { name: 'The line' });
  await expect(line.getByText('since')).toBeVisible();
  const seated =
    (await page.getByRole('row', { name: /Noor Rahimi.*on request/ }).count()) === 1 ? NOOR : PAVEL;
  const next = seated === NOOR ? PAVEL : NOOR;
  await expect(line).toContainText(next);
  await onPhone(browser, async (phone) => {
    await signedInAs(phone, next);
    await phone.goto(`/join/to/${id}`);
    await expect(phone.getByText('You are number 1 in the line.')).toBeVisible();
  });
  await onPhone(browser, async (phone) => {
    await signedInAs(phone, seated);
    await phone.goto(`/courses/${id}/members`);
    await phone.getByRole('button', { name: 'Leave the course' }).click();
    await phone.getByRole('dialog').getByRole('button', { name: 'Leave the course' }).click();
    await expect(phone).toHaveURL(/\/desk$/);
  });
  await expect(line.getByText(/offered, until/)).toBeVisible();
  await onPhone(browser, async (phone) => {
    await signedInAs(phone, next);
    await phone.goto(`/join/to/${id}`);
    await expect(phone.getByText(/A seat is kept for you until/)).toBeVisible();
    await phone.getByRole('button', { name: 'Take the seat' }).click();
    await expect(phone).toHaveURL(new RegExp(`/courses/${id}`));
  });
  await expect(page.getByRole('row', { name: new RegExp(`${next}.*on request`) })).toBeVisible();
});
