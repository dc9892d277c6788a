/** Of a very large course the table begins with the first, and what is done to all is done to all. */
import { expect, test } from '@playwright/test';
import { comeInAs, INES, ownCourse } from '../support/people.ts';

test('the first are there at once, whoever is looked for is found, and ticking all means all', async ({
  page,
}) => {
  await comeInAs(page, INES);
  const { id } = await ownCourse(page, 'MANY-1');
  const { stamp } = (await (await page.request.get(`/api/courses/${id}/roster`)).json()) as { stamp: string };
  const rows = Array.from({ length: 300 }, (_, at) => ({
    line: at + 1,
    id: `M-${String(at).padStart(3, '0')}`,
    name: `Person ${String(at).padStart(3, '0')}`,
  }));
  const list = {
    id: crypto.randomUUID(),
    stamp,
    source: '',
    shape: { heading: null, columns: [] },
    rows,
    choices: [],
    remove: [],
  };
  expect((await page.request.post(`/api/courses/${id}/lists`, { data: list })).ok()).toBe(true);

  // The others are kept away until they are wanted: what is shown meanwhile must be right by itself.
  let isLetThrough = false;
  let asked = 0;
  await page.route(`**/api/courses/${id}/members`, async (route) => {
    asked += 1;
    while (!isLetThrough) await new Promise((done) => setTimeout(done, 50));
    await route.continue();
  });
  await page.goto(`/setup/${id}/members`);
  await expect(page.getByText('302 people')).toBeVisible();
  await expect(page.getByRole('row', { name: /Person 000/ })).toBeVisible();
  await page.getByLabel('Find among the members').fill('person 299');
  await expect(page.getByRole('row', { name: /Person 299/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /Person 000/ })).toHaveCount(0);
  await expect(page.getByText('1 of 302')).toBeVisible();
  await page.getByLabel('Find among the members').fill('');
  await expect(page.getByRole('row', { name: /Person 000/ })).toBeVisible();
  // Nothing is done to some of them in the belief that they are all.
  await page.getByRole('checkbox', { name: 'All who are shown' }).check();
  await expect(page.getByRole('button', { name: 'Take off the course' })).toHaveCount(0);
  expect(asked).toBeGreaterThan(0);
  isLetThrough = true;
  await expect(page.getByText('302 chosen')).toBeVisible();
  await page.getByLabel('Find among the members').fill('person 29');
  await expect(page.getByText('13 of 302')).toBeVisible();
});
