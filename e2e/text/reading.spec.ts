/** What follows for learners: section by section, what is not open yet, other clocks, the guide; and holidays. */
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { comeInAs, fromDesk, INES, NOOR, ownCourse, send, signedInAs, signOut } from '../support/people.ts';

const STAFF = /Institution staff/;

/** The desk is where one signs out. */
async function changeTo(page: Page, name: string): Promise<void> {
  await page.goto('/desk');
  await signOut(page);
  await comeInAs(page, name);
}

/** A live course of one's own, with Noor in it. */
async function liveCourse(page: Page, code: string, edits: readonly unknown[]): Promise<string> {
  const { id } = await ownCourse(page, code);
  const found = (await (await page.request.get(`/api/courses/${id}/candidates?find=noor`)).json()) as {
    people: { id: string }[];
  };
  const people = found.people.map((one) => one.id);
  await page.request.post(`/api/courses/${id}/members`, { data: { people, role: 'learner' } });
  await send(page, id, [
    { id: 'more', edits },
    { id: 'live', edits: [{ kind: 'set', target: id, field: 'state', value: 'live', was: 'draft' }] },
  ]);
  return id;
}

test('section by section: an index that says what each holds, then one at a time, with the way on', async ({
  page,
}) => {
  await signedInAs(page, INES);
  const { id, sections } = await ownCourse(page, 'READ-1');
  const due = { kind: 'usual' };
  await send(page, id, [
    {
      id: 'work',
      edits: [
        { kind: 'set', target: id, field: 'reading', value: 'sections', was: 'scroll' },
        {
          kind: 'insert',
          parent: sections[1],
          after: 'page-2',
          node: { id: 'log', kind: 'assignment', title: 'Core log', minutes: 50, shown: true, due },
        },
      ],
    },
  ]);
  await page.goto(`/courses/${id}`);
  await expect(page.getByText('2 items; about 1 h; Core log is due Sun 14 Mar 23:59.')).toBeVisible();
  await page.getByRole('link', { name: 'Week of 8 March' }).click();
  await expect(page.getByRole('heading', { name: /Week of 8 March/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Core log/ })).toContainText('Due Sun 14 Mar 23:59');
  await page.getByRole('link', { name: /Next.*Week of 15 March/ }).click();
  await expect(page.getByRole('link', { name: /Page 3/ })).toBeVisible();
  await page.setViewportSize({ width: 360, height: 740 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
});

test('what is not open yet is named, or left out; its page is nothing', async ({ page }) => {
  await comeInAs(page, INES);
  const opens = { kind: 'fixed', day: '2027-03-08', time: null };
  const id = await liveCourse(page, 'READ-2', [
    { kind: 'set', target: 'page-2', field: 'opens', value: opens, was: null },
  ]);
  await changeTo(page, NOOR);
  await page.goto(`/courses/${id}`);
  await expect(page.getByText('Opens Mon 8 Mar')).toBeVisible();
  await expect(page.getByRole('link', { name: /Page 2/ })).toHaveCount(0);
  expect((await page.request.get(`/api/learn/${id}/items/page-2`)).status()).toBe(404);
  await changeTo(page, INES);
  await send(page, id, [
    { id: 'leave', edits: [{ kind: 'set', target: id, field: 'closed', value: 'leave_out', was: 'name' }] },
  ]);
  await changeTo(page, NOOR);
  await page.goto(`/courses/${id}`);
  await expect(page.getByText('Week of 8 March')).toBeVisible();
  await expect(page.getByText('Page 2')).toHaveCount(0);
});

test.describe('by other clocks', () => {
  test.use({ timezoneId: 'Asia/Kathmandu' });
  test('a learner sees the course’s time and their own', async ({ page }) => {
    await comeInAs(page, NOOR);
    await fromDesk(page, 'EFM-210-SPR27');
    await page.getByRole('link', { name: 'Assignment 6.4 Field day one' }).click();
    // The home page says that day too, so the item's own has to have come first.
    await expect(page.getByRole('heading', { name: /Field day one/, level: 1 })).toBeVisible();
    await expect(page.getByText('Due Sun 21 Feb 23:59')).toBeVisible();
    await expect(page.getByText('by the clocks of Europe/Lisbon')).toBeVisible();
    await expect(page.getByText('Mon 22 Feb 05:44 where you are')).toBeVisible();
  });
});

test('staff read holidays from a calendar file; instructors are offered them as pauses', async ({ page }) => {
  const calendar = (...lines: string[]) => ({
    name: 'holidays.ics',
    mimeType: 'text/calendar',
    buffer: Buffer.from(
      ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//x//EN', ...lines, 'END:VCALENDAR', ''].join('\r\n'),
    ),
  });
  const event = (...lines: string[]): string[] => ['BEGIN:VEVENT', ...lines, 'END:VEVENT'];
  const carnival = [
    'UID:c',
    'SUMMARY:Lantern week',
    'DTSTART;VALUE=DATE:20270308',
    'DTEND;VALUE=DATE:20270313',
  ];
  await page.goto('/sign-in');
  await page.getByRole('button', { name: STAFF }).first().click();
  await page.getByRole('button', { name: 'Holidays' }).click();
  const dialog = page.getByRole('dialog', { name: 'Holidays of the institution' });
  const file = dialog.getByLabel('Calendar file');
  await file.setInputFiles(calendar(...event(...carnival, 'RRULE:FREQ=YEARLY')));
  await expect(dialog.getByRole('alert')).toContainText('Lantern week: FREQ=YEARLY');
  await expect(dialog.getByRole('alert')).toContainText('expected: a recurrence that ends');
  await file.setInputFiles(calendar(...event(...carnival)));
  await expect(dialog.getByRole('listitem')).toContainText('8–12 Mar');

  await dialog.getByRole('button', { name: 'Close' }).click();
  await changeTo(page, INES);
  const { id } = await ownCourse(page, 'HOL-1');
  await page.goto(`/setup/${id}/dates`);
  await page.getByRole('button', { name: /Lantern week/ }).click();
  const moves = page.getByRole('dialog', { name: 'Before it changes' });
  await expect(moves.getByRole('row', { name: /Week of/ }).first()).toContainText('15–21 Mar');
  await moves.getByRole('button', { name: 'Change it' }).click();
  await expect(page.getByRole('row', { name: /Lantern week/ })).toContainText('8–14 Mar');
});

test('outcomes, and the work that assesses them, on one table', async ({ page }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'OUT-1');
  await page.goto(`/setup/${id}/about`);
  await page.getByLabel('Another outcome').fill('Read a shore');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByLabel('Another outcome').fill('Measure it');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByText('Nothing assesses it yet')).toHaveCount(2);
  await page.getByRole('button', { name: 'Move up: Measure it' }).click();
  await expect(page.getByLabel('Outcome 1', { exact: true })).toHaveValue('Measure it');
  await page.goto(`/setup/${id}/outline`);
  await page.getByRole('button', { name: 'Add: Quiz' }).click();
  await page.getByRole('combobox', { name: 'Assesses the outcomes' }).click({ force: true });
  await page.getByRole('option', { name: 'Read a shore' }).click();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'All work' }).click();
  const work = page.getByRole('dialog', { name: 'All work' });
  await expect(work.getByRole('row', { name: /New quiz/ })).toContainText('Read a shore');
  await expect(work.getByText('Nothing assesses: Measure it')).toBeVisible();
});
