/** Where a class is going: from the plan before it has begun, from what was done after, and with a due day moved. */
import { expect, test } from '@playwright/test';
import { aPhone } from '../support/coursework.ts';
import {
  addLearner,
  choose,
  comeInAs,
  goLive,
  INES,
  NOOR,
  ownCourse,
  send,
  signedInAs,
} from '../support/people.ts';

test('from the plan alone, then from what was done; another due day and a pause are tried, and nothing is changed', async ({
  browser,
  page,
}) => {
  await comeInAs(page, INES);
  const { id, sections } = await ownCourse(page, 'PROG-3', 4, true, '2027-02-15');
  const due = (day: string): object => ({ kind: 'fixed', day, time: '18:00' });
  const insert = (parent: string | undefined, node: object): object => ({
    ...{ kind: 'insert', parent, after: null, node: { minutes: 60, shown: true, ...node } },
  });
  await send(page, id, [
    {
      id: 'items',
      edits: [
        insert(sections[0], { id: 'boots', kind: 'page', title: 'Boots', done: { by: 'opened' } }),
        insert(sections[1], {
          ...{ id: 'notes', kind: 'assignment', title: 'Field notes', due: due('2027-02-26') },
          done: { by: 'handed_in' },
        }),
        insert(sections[3], { id: 'tides', kind: 'page', title: 'Tides', done: { by: 'opened' } }),
      ],
    },
  ]);
  await page.goto(`/courses/${id}/forecast`);
  await expect(
    page.getByText(/^Nobody learns in this course yet: it is reckoned for 20 learners/),
  ).toBeVisible();
  await expect(page.getByText(/so it follows from the plan alone/)).toBeVisible();
  for (const find of ['noor', 'pavel']) await addLearner(page, id, find);
  await goLive(page, id);
  const { phone } = await aPhone(browser);
  await signedInAs(phone, NOOR);
  await phone.goto(`/courses/${id}/items/boots`);
  await expect(phone.getByRole('heading', { name: 'Boots' })).toBeVisible();

  await page.goto(`/courses/${id}/progress`);
  await page.getByRole('link', { name: 'Where the class is going' }).click();
  await expect(page.getByText(/^As it looks now, \d of 2 will have finished by Sun 14 Mar/)).toBeVisible();
  await expect(
    page
      .getByRole('img', { name: /^As it looks now/ })
      .locator('path')
      .first(),
  ).toBeAttached();
  await expect(page.getByText(/^Each goes on as they have gone until now/)).toBeVisible();

  const tried = page.getByRole('region', { name: 'What if …' });
  await choose(tried.getByRole('combobox', { name: 'Try a change' }), 'another due day');
  await expect(tried.getByText('Choose an item and its day.')).toBeVisible();
  await choose(tried.getByRole('combobox', { name: 'Of' }), '2.1 Field notes');
  const day = tried.getByRole('textbox', { name: 'Due on' });
  await day.fill('12 Mar 2027');
  await day.press('Tab');
  await expect(tried.getByText(/^It changes nothing in how many finish|^With it/)).toBeVisible();
  await expect(page.getByText('with the change', { exact: true })).toBeVisible();
  await choose(tried.getByRole('combobox', { name: 'Try a change' }), 'a pause');
  await tried.getByRole('textbox', { name: 'From' }).fill('1 Mar 2027');
  await tried.getByRole('textbox', { name: 'To', exact: true }).fill('14 Mar 2027');
  await tried.getByRole('textbox', { name: 'To', exact: true }).press('Tab');
  await expect(tried.getByText(/The course would end on Sun 28 Mar instead of Sun 14 Mar\.$/)).toBeVisible();
  await tried.getByRole('link', { name: 'To the dates, to do it' }).click();
  await expect(page).toHaveURL(new RegExp(`/setup/${id}/dates`));
  const plan = await page.request.get(`/api/courses/${id}/plan`);
  expect(((await plan.json()) as { course: { dates: { pauses: object } } }).course.dates.pauses).toEqual({});
});

test('nobody but staff of the course gets there', async ({ page }) => {
  await comeInAs(page, INES);
  const { id } = await ownCourse(page, 'PROG-4', 1, true, '2027-02-15');
  await addLearner(page, id, 'noor');
  await goLive(page, id);
  await signedInAs(page, NOOR);
  await page.goto(`/courses/${id}/forecast`);
  await expect(page.getByText('Where the class is going')).toHaveCount(0);
  await page.goto(`/courses/${id}/progress`);
  await expect(page.getByText('Where everybody stands')).toHaveCount(0);
});
