/** Looking at a course as somebody else, at any moment of it: what they get, what they do not, and why. */
import { expect, test } from '@playwright/test';
import {
  addLearner,
  allSaved,
  goLive,
  INES,
  ownCourse,
  previewOf,
  send,
  setting,
  signedInAs,
  put,
  choose,
} from '../support/people.ts';

test('a section that does not show is found and cured in three presses', async ({ page }) => {
  await signedInAs(page, INES);
  const { id, sections } = await ownCourse(page, 'SEEN-1');
  await addLearner(page, id, 'noor');
  await goLive(page, id);
  const second = sections[1] as string;
  await send(page, id, [{ id: 'hide', edits: [setting(second, 'shown', false, true)] }]);
  await page.goto(`/setup/${id}/about`);
  const pane = previewOf(page);
  await expect(pane.getByRole('heading', { name: /Course SEEN-1/ })).toBeVisible();

  await page.getByRole('button', { name: 'See as …' }).click();
  await pane.getByRole('button', { name: 'What they don’t get 1' }).click();
  await expect(pane.getByRole('listitem')).toContainText('Week of 8 March is not shown.');
  await pane.getByRole('button', { name: 'Open Week of 8 March to them' }).click();

  await expect(pane.getByText('They get all of it.')).toBeVisible();
  await allSaved(page);
  const read = (await (await page.request.get(`/api/learn/${id}`)).json()) as {
    course: { sections: { id: string }[] };
  };
  expect(read.course.sections.map((section) => section.id)).toContain(second);
});

test('the timeline steps through what changes, asks the server for nothing, and draws again only what changes', async ({
  page,
}) => {
  await signedInAs(page, INES);
  const { id, sections } = await ownCourse(page, 'SEEN-2');
  const starts = { kind: 'relative', shift: null, weekday: null, time: '10:00' };
  const edits = sections.map((section) =>
    setting(section, 'opens', { ...starts, anchor: { of: 'section', at: 'start', section: null } }),
  );
  await send(page, id, [{ id: 'opens', edits }]);
  await page.goto(`/setup/${id}/readiness`);
  const pane = previewOf(page);
  await expect(pane.getByText('Opens Mon 8 Mar 10:00', { exact: true })).toBeVisible();

  const asked: string[] = [];
  page.on('request', (request) => asked.push(request.url()));
  await page.getByRole('button', { name: 'To the next change' }).click();
  await expect(page.getByText('Mon 1 Mar 10:00: 2 things open')).toBeVisible();
  await page.evaluate(() => performance.clearMarks());
  await page.getByRole('button', { name: 'To the next change' }).click();
  await expect(page.getByText('Mon 8 Mar 10:00: 2 things open')).toBeVisible();
  await expect(pane.getByText('Opens Mon 8 Mar 10:00', { exact: true })).toHaveCount(0);
  await expect(pane.getByText('Opens Mon 15 Mar 10:00', { exact: true })).toBeVisible();
  const drawn = await page.evaluate(() => performance.getEntriesByName('drawn learner-section').length);
  // The section that opened, and the one before it, which is over: not the third.
  expect(drawn).toBe(2);
  await page.getByRole('button', { name: 'To the change before' }).click();
  await expect(pane.getByText('Opens Mon 8 Mar 10:00', { exact: true })).toBeVisible();

  // By keyboard, a day at a time, and by a day that is typed.
  const marker = page.getByRole('slider', { name: 'Day that the preview shows' });
  await marker.focus();
  await page.keyboard.press('End');
  await expect(pane.getByText(/^Opens/)).toHaveCount(0);
  await put(page.getByRole('textbox', { name: 'To a day' }), '2027-03-10');
  await expect(marker).toHaveAttribute('aria-valuetext', 'Wed 10 Mar');
  await expect(pane.getByText('Opens Mon 15 Mar 10:00', { exact: true })).toBeVisible();
  await page.keyboard.press('Tab');
  await marker.press('ArrowRight');
  expect(asked.filter((url) => !url.includes('/assets/'))).toEqual([]);
});

test('as a visitor, as somebody passing by, as a real learner, and two beside each other', async ({
  page,
}) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'SEEN-3');
  await addLearner(page, id, 'noor');
  await goLive(page, id);
  await page.goto(`/setup/${id}/access`);
  const pane = previewOf(page);
  await page.getByRole('button', { name: 'See as …' }).click();
  const who = pane.getByRole('combobox', { name: 'See as …' });
  await choose(who, 'somebody passing by');
  await expect(pane.getByText('There is no course for them.')).toBeVisible();
  await expect(pane.getByText('They are not on the course.')).toBeVisible();

  await page
    .getByRole('group', { name: 'Who can find it' })
    .getByText('Anyone here', { exact: true })
    .click();
  await expect(pane.getByRole('group', { name: 'About this course' })).toBeVisible();
  await expect(pane.getByText('Page 1')).toHaveCount(0);
  await choose(who, 'a visitor');
  await expect(pane.getByText('Page 1').first()).toBeVisible();
  await choose(who, 'Noor Rahimi');
  await expect(pane.getByRole('button', { name: 'Noor Rahimi' })).toBeVisible();

  await pane.getByRole('button', { name: 'See it at full size' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Keep this beside, and compare' }).click();
  await expect(dialog.getByRole('region', { name: /Noor Rahimi/ })).toHaveCount(2);
  await dialog.getByRole('button', { name: 'Close' }).click();
  await allSaved(page);
});

test('whoever passes by is shown how they could come in, by the answer that decides, and presses nothing', async ({
  page,
}) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'SEEN-JOIN');
  const way = { on: true, opens: null, closes: null, seats: null, domains: null, line: false };
  await send(page, id, [
    {
      id: 'ways',
      edits: [
        setting(id, 'find', 'here', 'members'),
        setting(id, 'ways.request', { ...way, question: 'Why would you like to?' }),
        setting(id, 'seats', 1),
        setting(id, 'line', true, false),
      ],
    },
  ]);
  await page.goto(`/setup/${id}/about`);
  const pane = previewOf(page);
  await page.getByRole('button', { name: 'See as …' }).click();
  await choose(pane.getByRole('combobox', { name: 'See as …' }), 'somebody passing by');
  await expect(pane.getByText('Why would you like to?')).toBeVisible();
  await expect(pane.locator('[inert]').getByText('Ask to join', { exact: true })).toBeVisible();
  // With the only seat taken, they would wait: as the page itself says.
  await addLearner(page, id, 'noor');
  await page.reload();
  await page.getByRole('button', { name: 'See as …' }).click();
  await choose(pane.getByRole('combobox', { name: 'See as …' }), 'somebody passing by');
  await expect(
    pane
      .locator('[inert]')
      .getByText(/in the line|place/)
      .first(),
  ).toBeVisible();
});
