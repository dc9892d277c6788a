/** Parts of what learners see first, each on its own: panels, menus of the institution, language, words for roles. */
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import {
  addLearner,
  allSaved,
  comeInAs,
  goLive,
  INES,
  NOOR,
  ownCourse,
  send,
  setting,
  signedInAs,
  signOut,
  STAFF,
  choose,
  put,
} from '../support/people.ts';

const pane = (page: Page) => page.getByRole('complementary', { name: 'What a learner sees' });
const wide = (page: Page) => page.getByRole('heading', { name: 'Wide column' }).locator('..');
const narrow = (page: Page) => page.getByRole('heading', { name: 'Narrow column' }).locator('..');
const panelsIn = (column: ReturnType<typeof wide>) =>
  column
    .locator('[data-panel]')
    .evaluateAll((all) => all.map((one) => (one.getAttribute('aria-label') ?? '').split('.')[0]));

const told = (subject: string, more: object = {}) => ({
  subject,
  text: null,
  files: [],
  pinned: false,
  from: { kind: 'fixed', day: '2027-02-16', time: '08:00' },
  until: null,
  comments: false,
  ready: true,
  ...more,
});

test('panels of the home page move and cross by keyboard, and the preview follows', async ({ page }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'PANELS', 3, true, '2027-02-15');
  await page.goto(`/setup/${id}/menu`);
  await expect.poll(() => panelsIn(wide(page))).toEqual(['Welcome', 'Carry on', 'Announcements', 'Sections']);
  // Why a panel is not there stands on it.
  await expect(page.getByLabel(/^Announcements\. Not there now: nothing in it/)).toBeVisible();

  const sections = wide(page).locator('[data-panel="outline"]');
  await sections.focus();
  await page.keyboard.press('Alt+ArrowUp');
  await page.keyboard.press('Alt+ArrowUp');
  await expect(sections).toBeFocused();
  expect(await panelsIn(wide(page))).toEqual(['Welcome', 'Sections', 'Carry on', 'Announcements']);
  await page.keyboard.press('Alt+ArrowRight');
  await expect(narrow(page).locator('[data-panel="outline"]')).toBeFocused();
  expect(await panelsIn(narrow(page))).toContain('Sections');

  const home = page.getByRole('region', { name: 'Home page' });
  await choose(home.getByRole('combobox', { name: 'Add a panel' }), 'This week');
  await home.getByRole('button', { name: 'Add it' }).click();
  await expect(wide(page).getByLabel('This week. Not there now: nothing in it')).toBeFocused();
  await expect(pane(page).getByRole('group', { name: 'Sections' })).toBeVisible();
  await home.getByRole('button', { name: 'Hide Sections' }).click();
  await expect(pane(page).getByRole('group', { name: 'Sections' })).toHaveCount(0);

  await page.getByText('One column', { exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Wide column' })).toHaveCount(0);
  await allSaved(page);
  await page.reload();
  await expect(page.getByRole('radio', { name: /One column/ })).toBeChecked();
});

test('an area that is switched off has no page, whatever led there', async ({ page, browser }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'AREAS', 3, true, '2027-02-15');
  await addLearner(page, id, 'noor');
  await send(page, id, [{ id: 'told', edits: [setting(id, 'announcements.a', told('Bring a pencil'))] }]);
  await goLive(page, id);
  const learner = await (await browser.newContext()).newPage();
  await signedInAs(learner, NOOR);
  await learner.goto(`/courses/${id}/announcements`);
  await expect(learner.getByText('Bring a pencil')).toBeVisible();
  const entries = learner.getByRole('navigation', { name: 'Course menu' }).filter({ visible: true });
  await expect(entries.getByRole('link', { name: 'Announcements' })).toHaveAttribute('aria-current', 'page');

  await page.goto(`/setup/${id}/menu`);
  const areas = page.getByRole('region', { name: 'Areas' });
  await areas.getByRole('checkbox', { name: /^Announcements/ }).uncheck();
  await expect(page.getByLabel('Announcements. Not there: the area is switched off').first()).toBeVisible();
  await allSaved(page);

  await learner.goto(`/courses/${id}/home`);
  await expect(learner.getByRole('heading', { level: 1, name: 'Course AREAS' })).toBeVisible();
  await expect(learner.getByText('Bring a pencil')).toHaveCount(0);
  await expect(entries.getByRole('link', { name: 'Announcements' })).toHaveCount(0);
  await learner.goto(`/courses/${id}/announcements`);
  await expect(learner.getByText('There is nothing here')).toBeVisible();
  await learner.context().close();
});

test('staff propose a menu and keep the institution’s pages; a course takes over what it likes of it', async ({
  page,
}) => {
  await comeInAs(page, INES);
  const { id } = await ownCourse(page, 'TAKEN', 3, true, '2027-02-15');
  await signOut(page);

  await comeInAs(page, STAFF);
  await page.getByRole('button', { name: 'Own pages' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Add a page' }).click();
  await dialog.getByLabel('Name in English').fill('Writing room');
  await dialog.getByLabel('Address').fill('ternpoint.example/writing');
  await dialog.getByRole('button', { name: 'Keep it' }).click();
  await expect(dialog.getByRole('alert')).toContainText('https://');
  await dialog.getByLabel('Address').fill('https://ternpoint.example/writing');
  await dialog.getByRole('button', { name: 'Keep it' }).click();
  await expect(dialog.getByText('Writing room')).toBeVisible();
  await dialog.getByRole('button', { name: 'Close' }).click();
  await signOut(page);

  await signedInAs(page, INES);
  await page.goto(`/setup/${id}/menu`);
  const compare = page.getByRole('region', { name: 'Beside the institution’s menu' });
  await expect(compare.getByText(/differences? from/)).toBeVisible();
  const rows = compare.getByRole('listitem');
  const before = await rows.count();
  await rows.first().getByRole('button', { name: 'Take it over' }).click();
  await expect(rows).toHaveCount(before - 1);
  await compare.getByRole('button', { name: 'Take all of them over' }).click();
  const isSame = compare.getByText('It is the same as “Tern Point, all departments”.');
  await expect(isSame).toBeVisible();
  // All of them are one step.
  await page.keyboard.press('Control+z');
  await expect(rows).toHaveCount(before - 1);
  await compare.getByRole('button', { name: 'Take all of them over' }).click();
  await expect(isSame).toBeVisible();

  const menu = page.getByRole('region', { name: 'Menu', exact: true });
  await choose(menu.getByRole('combobox', { name: 'Add', exact: true }), 'A page of the institution');
  await choose(menu.getByRole('combobox', { name: 'Which one' }), 'Writing room');
  await menu.getByRole('button', { name: 'Add it' }).click();
  await expect(menu.getByRole('listitem', { name: 'Writing room' })).toBeFocused();
  await choose(menu.getByRole('combobox', { name: 'Add', exact: true }), 'An outside address');
  await menu.getByRole('textbox', { name: 'Address' }).fill('not an address');
  await expect(menu.getByRole('alert')).toContainText('“not an address” is no address');
  await expect(menu.getByRole('button', { name: 'Add it' })).toBeDisabled();
  await allSaved(page);
  // A way back to the institution’s own site ends every menu.
  await expect(pane(page).getByRole('button', { name: 'More' })).toBeVisible();
  await pane(page).getByRole('button', { name: 'More' }).click();
  await expect(pane(page).getByRole('link', { name: /Tern Point College/ })).toHaveAttribute(
    'href',
    'https://ternpoint.example/',
  );
});

test('a course holds a language, and calls its people by its own words', async ({ page, browser }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'WORDS', 3, true, '2027-02-15');
  await addLearner(page, id, 'noor');
  await goLive(page, id);
  await page.goto(`/setup/${id}/look`);
  await choose(page.getByRole('combobox', { name: 'Language of the learners’ pages' }), 'Français');
  await page.getByLabel('Hold it for everybody').check();
  const role = page.getByRole('region', { name: 'What people are called' });
  await role.getByLabel('One of them').nth(2).fill('Marin');
  await role.getByLabel('Several').nth(2).fill('Marins');
  await allSaved(page);

  const learner = await (await browser.newContext()).newPage();
  await signedInAs(learner, NOOR);
  await learner.goto(`/courses/${id}/members`);
  await expect(learner.getByRole('heading', { name: 'Membres', level: 1 })).toBeVisible();
  await expect(learner.locator('html')).toHaveAttribute('lang', 'fr');
  await expect(learner.getByText('Marin', { exact: true }).first()).toBeVisible();
  // Outside of it, one's own language again.
  await learner.goto('/desk');
  await expect(learner.locator('html')).toHaveAttribute('lang', 'en');
  await learner.context().close();
});

test('what is new is counted until it has been read; comments are said, taken away, and brought back', async ({
  page,
  browser,
}) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'TOLD', 3, true, '2027-02-15');
  await addLearner(page, id, 'noor');
  await send(page, id, [
    {
      id: 'told',
      edits: [
        setting(id, 'announcements.a', told('Bring a pencil', { pinned: true })),
        setting(id, 'announcements.b', told('Which bus?', { comments: true })),
        setting(
          id,
          'announcements.c',
          told('Written ahead', { from: { kind: 'fixed', day: '2027-02-20', time: null } }),
        ),
        setting(id, 'announcements.d', told('Being written', { ready: false })),
      ],
    },
  ]);
  await goLive(page, id);
  const learner = await (await browser.newContext()).newPage();
  await signedInAs(learner, NOOR);
  await learner.goto(`/courses/${id}/announcements`);
  const subjects = learner.getByRole('heading', { level: 2 });
  await expect(subjects).toHaveText([/Bring a pencil/, /Which bus\?/]);
  await learner.getByRole('button', { name: 'No comments yet' }).click();
  await learner.getByLabel('Your comment').fill('The one at <b>nine</b>');
  await learner.getByRole('button', { name: 'Say it' }).click();
  await expect(learner.getByText('The one at <b>nine</b>')).toBeVisible();
  await learner.reload();
  await learner.getByRole('button', { name: 'One comment' }).click();
  const takeAway = learner.getByRole('button', { name: 'Take away the comment of Noor Rahimi' });
  const bringBack = learner.getByRole('button', { name: 'Bring back the comment of Noor Rahimi' });
  await takeAway.focus();
  await learner.keyboard.press('Enter');
  await expect(learner.getByRole('button', { name: 'No comments yet' })).toBeVisible();
  // By keyboard, where one is.
  await expect(bringBack).toBeFocused();
  await expect(learner.getByText('The one at <b>nine</b>')).toHaveCSS('text-decoration-line', 'line-through');
  await learner.keyboard.press('Enter');
  await expect(learner.getByRole('button', { name: 'One comment' })).toBeVisible();
  await expect(takeAway).toBeFocused();
  await expect(learner.getByText('The one at <b>nine</b>')).not.toHaveCSS(
    'text-decoration-line',
    'line-through',
  );
  await learner.keyboard.press('Enter');
  await expect(bringBack).toBeFocused();

  // What its author took away is not there for the staff.
  await page.goto(`/courses/${id}/announcements`);
  await page.getByRole('button', { name: 'No comments yet' }).click();
  await expect(page.getByLabel('Your comment')).toBeVisible();
  await expect(page.getByText('The one at <b>nine</b>')).toHaveCount(0);
  await learner.context().close();

  // The editor says when each will stand on the home page, before it does.
  await page.goto(`/setup/${id}/messages`);
  const line = (subject: string) => page.getByRole('main').getByRole('listitem').filter({ hasText: subject });
  await expect(line('Written ahead')).toContainText('Written ahead');
  await expect(line('Written ahead')).toContainText('from Sat 20 Feb on');
  await expect(line('Being written')).toContainText('Draft');
  // And the timeline shows the day on which each appears, but for what is still being written.
  const news = page
    .getByRole('list', { name: 'Days on which an announcement appears' })
    .getByRole('listitem');
  await expect(news.filter({ hasText: 'Sat 20 Feb: Written ahead' })).toHaveCount(1);
  await expect(news.filter({ hasText: 'Being written' })).toHaveCount(0);
});

test('a picture that is no picture is refused in a sentence, and nothing is half-taken', async ({ page }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'CROPS', 3, true, '2027-02-15');
  await page.goto(`/setup/${id}/look`);
  const banner = page.getByRole('region', { name: 'Pictures' });
  const picker = banner.getByLabel('Upload a picture').first();
  await picker.setInputFiles({
    name: 'shore.png',
    mimeType: 'image/png',
    buffer: Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>1</script></svg>'),
  });
  await expect(page.getByText(/not what its name says/).first()).toBeVisible();
  await expect(banner.getByRole('slider', { name: 'What has to be seen' })).toHaveCount(0);
  await put(page.getByRole('textbox', { name: 'Any colour' }), 'sea');
  await expect(page.getByRole('alert').filter({ hasText: 'A colour, as in #15493b' })).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Any colour' })).toHaveValue('sea');
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Any colour' })).toHaveValue('');
});
