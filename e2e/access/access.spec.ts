/** What learners get outside a course's dates: chosen, computed, and found by a learner. */
import { expect, test } from '@playwright/test';
import { allSaved, comeInAs, fromDesk, INES, ownCourse, PAVEL, send, signedInAs } from '../support/people.ts';

test('closed before its first day: a learner sees what it is about and when it opens, and nothing in it', async ({
  page,
  browser,
}) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'WINDOW-1');
  const { people } = (await (await page.request.get(`/api/courses/${id}/candidates?find=pavel`)).json()) as {
    people: { id: string }[];
  };
  await page.request.post(`/api/courses/${id}/members`, {
    data: { people: people.map((one) => one.id), role: 'learner' },
  });
  await send(page, id, [
    { id: 'live', edits: [{ kind: 'set', target: id, field: 'state', value: 'live', was: 'draft' }] },
  ]);

  await page.goto(`/setup/${id}/access`);
  await expect(page.getByRole('heading', { name: 'Access', level: 1 })).toBeVisible();
  const before = page.getByRole('group', { name: 'Before the first day' });
  const now = page.getByRole('row', { name: /^Now/ });
  await expect(
    page.getByText('The first day begins Mon 1 Mar 00:00, by the clocks of Europe/Lisbon.'),
  ).toBeVisible();
  await expect(page.getByText('no last day of its own, only weeks, so that it never closes')).toBeVisible();
  await expect(now).toContainText('3 of 3 items');

  await before.getByText('Closed', { exact: true }).click();
  await expect(now).toContainText('closed: its public page alone');
  await expect(now).toContainText('0 of 3 items');
  await expect(page.getByRole('row', { name: /^The minute before the first day/ })).toContainText('0 of 3');
  await expect(page.getByRole('row', { name: /^The first minute/ })).toContainText('3 of 3');
  await allSaved(page);

  const other = await browser.newContext({ viewport: { width: 360, height: 740 } });
  const pavel = await other.newPage();
  await comeInAs(pavel, PAVEL);
  await fromDesk(pavel, 'WINDOW-1');
  await expect(pavel.getByText('This course opens Mon 1 Mar 00:00.')).toBeVisible();
  await expect(pavel.getByText('Page 1')).toHaveCount(0);
  await expect(pavel.getByRole('link', { name: 'Pacing guide, to print' })).toHaveCount(0);
  for (const address of ['items/page-1', 'items/never-was']) {
    const answer = await pavel.request.get(`/api/learn/${id}/${address}`);
    expect(answer.status()).toBe(404);
  }
  const guide = await (await pavel.request.get(`/api/learn/${id}/guide.csv`)).text();
  expect(guide).not.toContain('Page 1');

  await before.getByText('Look only', { exact: true }).click();
  await expect(now).toContainText('to look at');
  await allSaved(page);
  await pavel.reload();
  await expect(pavel.getByRole('link', { name: /Page 1/ }).first()).toBeVisible();
  await other.close();
});

test('why a page does not show: every layer on the way to it, and one press that opens it', async ({
  page,
}) => {
  await signedInAs(page, INES);
  const { id, sections } = await ownCourse(page, 'WINDOW-3');
  const later = { kind: 'fixed', day: '2027-03-17', time: '08:00' };
  await send(page, id, [
    {
      id: 'shut',
      edits: [
        { kind: 'set', target: sections[1], field: 'opens', value: later, was: null },
        { kind: 'set', target: 'page-2', field: 'shown', value: false, was: true },
      ],
    },
  ]);
  await page.goto(`/setup/${id}/access`);
  await page.getByRole('combobox', { name: 'Section or item' }).fill('Page 2');
  await page.getByRole('option', { name: 'Page 2' }).click();
  const panel = page.getByRole('region', { name: 'Why does this not show?' });
  await expect(panel.getByText('Page 2 is not there for a learner on Mon 1 Mar.')).toBeVisible();
  await expect(panel.getByRole('listitem').filter({ hasText: 'opens Wed 17 Mar 08:00' })).toContainText(
    'Stops it:',
  );
  await expect(panel.getByRole('listitem').filter({ hasText: 'Page 2 is not shown.' })).toBeVisible();
  await expect(
    panel.getByRole('listitem').filter({ hasText: 'The course’s dates do not stop it.' }),
  ).toBeVisible();
  const preview = page.getByRole('complementary', { name: 'What a learner sees' });
  await expect(preview.getByRole('button', { name: /Page 2/ })).toHaveCount(0);
  await panel.getByRole('button', { name: 'Open it: 2 changes' }).click();
  await expect(panel.getByText('Page 2 is open to a learner on Mon 1 Mar.')).toBeVisible();
  await expect(preview.getByRole('button', { name: /Page 2/ })).toBeVisible();
  await allSaved(page);
  await page.keyboard.press('Control+z');
  await expect(panel.getByText('Page 2 is not there for a learner on Mon 1 Mar.')).toBeVisible();
  await allSaved(page);
});

test('work due after the course has closed is found, and cured with one press', async ({ page }) => {
  await signedInAs(page, INES);
  const { id, sections } = await ownCourse(page, 'WINDOW-2');
  await send(page, id, [
    {
      id: 'dates',
      edits: [
        { kind: 'set', target: id, field: 'dates.ends', value: 'day', was: 'weeks' },
        { kind: 'set', target: id, field: 'dates.lastDay', value: '2027-03-21', was: null },
        {
          kind: 'insert',
          parent: sections[0],
          after: null,
          node: {
            id: 'late',
            kind: 'assignment',
            title: 'The report',
            minutes: 30,
            shown: true,
            due: { kind: 'fixed', day: '2027-03-25', time: '18:00' },
          },
        },
      ],
    },
  ]);
  await page.goto(`/setup/${id}/access`);
  const route = page.getByRole('navigation', { name: 'The route through setup' });
  await expect(page.getByText('The last day is over Mon 22 Mar 00:00')).toBeVisible();
  await page.getByRole('group', { name: 'After the last day' }).getByText('Closed', { exact: true }).click();
  await expect(page.getByRole('row', { name: /^The last minute/ })).toContainText('4 of 4');
  await expect(page.getByRole('row', { name: /^After it/ })).toContainText('0 of 4');
  await expect(route.getByRole('link', { name: /^Access 1/ })).toBeVisible();
  await route.getByRole('link', { name: /^Readiness/ }).click();
  await expect(page.getByText('The report is due Thu 25 Mar, after the course has closed')).toBeVisible();
  await page.getByRole('button', { name: 'Leave the course open after its last day' }).click();
  await expect(page.getByText('after the course has closed')).toHaveCount(0);
  await route.getByRole('link', { name: 'Access' }).click();
  await expect(page.getByRole('row', { name: /^After it/ })).toContainText('4 of 4');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('row', { name: /^After it/ })).toContainText('0 of 4');
  await allSaved(page);
});
