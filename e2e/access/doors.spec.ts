/** Who gets in where; languages; phones; pages that do not exist. */
import { expect, test } from '@playwright/test';
import { clean } from '../support/axe.ts';
import {
  ADAEZE,
  comeInAs,
  fromDesk,
  INES,
  KENJI,
  NOOR,
  ownCourse,
  signedInAs,
  signOut,
  choose,
} from '../support/people.ts';

test('a draft is nothing to a learner, by any address', async ({ page, browser }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'DOOR-1');
  const other = await browser.newContext();
  const noor = await other.newPage();
  await comeInAs(noor, NOOR);
  for (const address of [
    `/courses/${id}`,
    `/courses/${id}/items/page-1`,
    `/setup/${id}/outline`,
    '/courses/never-was',
    '/no/such/page',
  ]) {
    await noor.goto(address);
    await expect(noor.getByRole('heading', { name: 'There is nothing here' })).toBeVisible();
  }
  await other.close();
});

test('whoever is not signed in comes back to where they wanted to go', async ({ page }) => {
  await page.goto('/new-course');
  await expect(page).toHaveURL(/sign-in\?then=/);
  await page.getByLabel('Mail address').fill('ines.carvalhal@ternpoint.example');
  await page.getByLabel('Password').fill('wrong');
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(page.getByRole('alert')).toHaveText('No account has this address and password.');
  await page.getByLabel('Password').fill('low-tide-at-nine');
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'New course' })).toBeVisible();
});

test('an assistant works on the plan and does not open the course', async ({ page }) => {
  await comeInAs(page, ADAEZE);
  await fromDesk(page, 'EFM-210-SUM27');
  await expect(page.getByRole('heading', { name: 'About', level: 1 })).toBeVisible();
  await expect(page.getByRole('button', { name: /Go live/ })).toHaveCount(0);
  await page
    .getByRole('link', { name: /^Members/ })
    .first()
    .click();
  await expect(page.getByRole('row', { name: /Inês Carvalhal/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /Add people|Read a list|Write out/ })).toHaveCount(0);
  await expect(page.getByRole('checkbox')).toHaveCount(0);
});

test('a visitor with nothing open is told so', async ({ page }) => {
  await comeInAs(page, KENJI);
  await expect(page.getByRole('heading', { name: 'No course is open to you yet' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'New course' })).toHaveCount(0);
});

test('the desk is searched and filtered', async ({ page }) => {
  await comeInAs(page, ADAEZE);
  await page.getByRole('searchbox').fill('spr26');
  await expect(page.locator('tbody tr')).toHaveCount(1);
  await page.getByRole('searchbox').fill('tides of glass');
  await expect(page.getByText('No course is like that')).toBeVisible();
  await page.getByRole('button', { name: 'Show all courses' }).click();
  await choose(page.getByRole('combobox', { name: 'State' }), 'Archived');
  await expect(page.locator('tbody tr')).toHaveCount(1);
  await choose(page.getByRole('combobox', { name: 'State' }), 'Any state');
  await choose(page.getByRole('combobox', { name: 'Term' }), 'Summer 2027');
  await expect(page.locator('tbody tr')).toHaveCount(2);
});

test('a desk of more than one page is turned, and goes to where its words are found', async ({ page }) => {
  await signedInAs(page, INES);
  // More than stand on a page, whatever else is on this desk.
  for (let at = 0; at < 31; at += 1) {
    const code = `TURN-${String(at).padStart(2, '0')}`;
    const course = { title: `Turned ${at}`, code, purpose: 'practice', department: null, term: null };
    const data = { ...course, firstDay: '2029-01-01', weeks: 1, zone: 'UTC' };
    expect((await page.request.post('/api/courses', { data })).status()).toBe(201);
  }
  await page.goto('/desk');
  await page.getByRole('searchbox', { name: 'Find by title, code or tag' }).fill('turned');
  await expect(page.getByText('1 to 30 of 31')).toBeVisible();
  await expect(page.getByRole('row', { name: /TURN-29/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /TURN-30/ })).toHaveCount(0);
  await page.getByRole('button', { name: /page 2$/i }).click();
  await expect(page.getByText('31 to 31 of 31')).toBeVisible();
  await expect(page.getByRole('row', { name: /TURN-30/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /TURN-29/ })).toHaveCount(0);
  await clean(page, 'a desk of several pages');
  // Other words begin on their first page.
  await page.getByRole('searchbox', { name: 'Find by title, code or tag' }).fill('turn-07');
  await expect(page.getByRole('row', { name: /TURN-07/ })).toBeVisible();
  await expect(page.getByText(' of 31')).toHaveCount(0);
});

test('everything is there in Spanish too', async ({ page }) => {
  await page.goto('/sign-in');
  await page.getByRole('button', { name: 'Español' }).click();
  await expect(page.getByRole('heading', { name: 'Entrar' })).toBeVisible();
  await page.getByRole('button', { name: NOOR }).click();
  await expect(page.getByRole('heading', { name: 'Tus cursos' })).toBeVisible();
  await page
    .getByRole('link', { name: /Estuary Field Methods/ })
    .first()
    .click();
  await expect(page.getByText('Transcurre la semana 6')).toBeVisible();
  await expect(page.locator('html')).toHaveAttribute('lang', 'es');
});

test('nothing is wider than a phone', async ({ page }) => {
  await page.setViewportSize({ width: 360, height: 740 });
  const fits = async (): Promise<void> => {
    await page.waitForLoadState('networkidle');
    expect(await page.evaluate(() => document.documentElement.scrollWidth), page.url()).toBeLessThanOrEqual(
      360,
    );
  };
  await page.goto('/sign-in');
  await fits();
  await comeInAs(page, NOOR);
  await fits();
  await fromDesk(page, 'EFM-210-SPR27');
  await expect(page.getByRole('heading', { name: 'Estuary Field Methods', level: 1 })).toBeVisible();
  await fits();
  await signOut(page);
  await comeInAs(page, INES);
  await fits();
  await page.goto('/new-course');
  await fits();
});

test('a server that is away is said, and tried again', async ({ page }) => {
  await page.route('**/api/**', (route) => route.abort());
  await page.goto('/desk');
  await expect(page.getByRole('heading', { name: 'Itinerary does not answer' })).toBeVisible();
  await page.unroute('**/api/**');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
});

test('the palette goes to courses and stops, the list of keys opens on a question mark', async ({ page }) => {
  await comeInAs(page, INES);
  await page.keyboard.press('Control+k');
  const palette = page.getByRole('combobox', { name: 'Find and go, or do' });
  await palette.fill('efm sum27');
  await expect(page.getByRole('listbox').getByRole('option')).toHaveCount(1);
  await palette.press('Enter');
  await expect(page.getByRole('heading', { name: 'About', level: 1 })).toBeVisible();
  await page.keyboard.press('Control+k');
  await palette.fill('read');
  await palette.press('Enter');
  await expect(page.getByRole('heading', { name: 'Readiness', level: 1 })).toBeVisible();
  await page.keyboard.press('Control+k');
  await palette.fill('nothing like it');
  await expect(page.getByText('Nothing here is called that.')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(palette).toBeHidden();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
});
