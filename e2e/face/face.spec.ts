/** What learners see first: menu, arrival, announcements and look, from a crowded beginning to a learner's phone. */
import { expect, test } from '@playwright/test';
import type { Browser, Page } from '@playwright/test';
import { clean } from '../support/axe.ts';
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
  speak,
  tabTo,
  choose,
  put,
} from '../support/people.ts';

const entry = (leads: unknown, at: number) => ({
  leads,
  names: {},
  at,
  shown: true,
  staffOnly: false,
  removed: false,
});
const area = (name: string) => ({ to: 'area', area: name });
const item = (id: string) => ({ to: 'item', item: id });

/** Fourteen entries and three groups: seven that every course begins with, and seven more after them. */
const MORE = [
  area('assignments'),
  area('quizzes'),
  area('meetings'),
  area('files'),
  area('syllabus'),
  item('page-1'),
  item('page-2'),
].map((leads, at) => [`more-${at}`, entry(leads, 100 + at)] as const);

const announcement = (subject: string, day: string) => ({
  subject,
  text: null,
  files: [],
  pinned: false,
  from: { kind: 'fixed', day, time: '08:00' },
  until: null,
  comments: false,
  ready: true,
});
const TOLD = [
  ['first', announcement('Bring a pencil', '2027-02-10')],
  ['second', announcement('The bus leaves at nine', '2027-02-12')],
  ['third', announcement('Low water is at noon', '2027-02-15')],
] as const;

const rows = (page: Page) => page.getByRole('region', { name: 'Menu', exact: true }).locator('[data-entry]');
const row = (page: Page, name: string) =>
  rows(page).and(page.locator(`[aria-label="${name}"], [aria-label^="${name}. "]`));

/** The menu with nothing but keys: in by Tab, along by arrows. */
async function goTo(page: Page, name: string): Promise<void> {
  const order = await rows(page).evaluateAll((all) => all.map((one) => one.getAttribute('aria-label') ?? ''));
  const wanted = order.findIndex((label) => label === name || label.startsWith(`${name}. `));
  const from = await rows(page).evaluateAll((all) => all.indexOf(document.activeElement as HTMLElement));
  expect(wanted, `${name} among ${order.join(', ')}`).toBeGreaterThanOrEqual(0);
  for (let step = 0; step < Math.abs(wanted - from); step += 1)
    await page.keyboard.press(wanted > from ? 'ArrowDown' : 'ArrowUp');
  await expect(row(page, name)).toBeFocused();
}

async function asLearner(browser: Browser): Promise<Page> {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    colorScheme: 'dark',
    reducedMotion: 'reduce',
    hasTouch: true,
    isMobile: true,
  });
  const page = await context.newPage();
  await comeInAs(page, NOOR);
  await speak(page, 'ar');
  return page;
}

test('a crowded menu is pruned, the course gets a face, and a learner has it on a phone, in Arabic, in the dark', async ({
  page,
  browser,
}) => {
  test.setTimeout(240_000);
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'FACE-5', 3, true, '2027-02-15');
  await addLearner(page, id, 'noor');
  await send(page, id, [
    {
      id: 'crowded',
      edits: [
        ...MORE.map(([at, value]) => setting(id, `menu.${at}`, value)),
        setting(id, 'bringAlong', 'Boots, and a pencil.'),
        ...TOLD.map(([at, value]) => setting(id, `announcements.${at}`, value)),
      ],
    },
  ]);
  await goLive(page, id);

  await test.step('a menu of fourteen is cut to seven in three groups, by keyboard only', async () => {
    await page.goto(`/setup/${id}/menu`);
    await expect(rows(page)).toHaveCount(17);
    await tabTo(page, rows(page).first());
    const gone = ['Discussions', 'Assignments', 'Quizzes', 'Meetings', 'Files', 'Page 1', 'Page 2'];
    for (const name of [...gone, 'Members']) {
      await goTo(page, name);
      await page.keyboard.press('Delete');
      await expect(row(page, name)).toHaveCount(0);
    }
    await tabTo(page, page.getByRole('button', { name: 'Bring back Members' }));
    await page.keyboard.press('Enter');
    await expect(row(page, 'Members')).toBeFocused();
    await goTo(page, 'Syllabus');
    while (
      !(await rows(page)
        .nth(2)
        .evaluate((one) => one === document.activeElement))
    )
      await page.keyboard.press('Alt+ArrowUp');
    await goTo(page, 'Who to ask');
    await page.keyboard.press('F2');
    await expect(page.getByLabel('In English')).toBeFocused();
    await page.keyboard.type('Ask us');
    await tabTo(page, page.getByLabel('In العربية'));
    await page.keyboard.type('اسألونا');
    await page.keyboard.press('Escape');
    await expect(row(page, 'Ask us')).toBeFocused();
    await expect(rows(page)).toHaveCount(10);
    await expect(page.getByText('Now a learner sees 7 entries.')).toBeVisible();
    await allSaved(page);
  });

  await test.step('learners arrive at a welcome page first, then at the section that is on', async () => {
    await page.getByRole('button', { name: 'Make a page to start from …' }).click();
    const dialog = page.getByRole('dialog');
    // What the course says already is there to begin with.
    await expect(dialog.getByLabel('What you need')).toHaveValue('Boots, and a pencil.');
    await dialog.getByRole('button', { name: 'Make the page' }).click();
    await expect(dialog).toHaveCount(0);
    await choose(page.getByRole('combobox', { name: 'Learners arrive at' }), 'the section that is on');
    await expect(page.getByText('Now that is: Start here')).toBeVisible();
    // The start page has put itself into the menu; it is reached by arriving, and leaves it again.
    await page.getByRole('button', { name: 'Take Start here out' }).click();
    await allSaved(page);
  });

  await test.step('of four announcements the newest three stand on the home page', async () => {
    await page.goto(`/setup/${id}/messages`);
    await expect(page.getByText('The home page shows the newest 3, pinned ones first.')).toBeVisible();
    const told = (subject: string) =>
      page.getByRole('main').getByRole('listitem').filter({ hasText: subject });
    await expect(told('Bring a pencil')).toContainText('from Wed 10 Feb on');
    await page.getByRole('button', { name: 'Write an announcement' }).click();
    await page.getByLabel('Subject').fill('The gauge is back');
    await page.getByRole('textbox', { name: 'Text' }).click();
    await page.keyboard.type('Read it twice a day.');
    await page.getByRole('button', { name: 'Publish it' }).click();
    await expect(told('Bring a pencil')).toContainText('Wed 10 Feb – Tue 16 Feb');
    await allSaved(page);
  });

  await test.step('a pale yellow comes out readable', async () => {
    await page.goto(`/setup/${id}/look`);
    await put(page.getByRole('textbox', { name: 'Any colour' }), '#fff3a0');
    await expect(page.getByText(/^#fff3a0 would have 1\.\d/)).toBeVisible();
    await allSaved(page);
  });

  await test.step('a picture is cropped', async () => {
    await page.getByRole('button', { name: 'Choose one that is there …' }).first().click();
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel('Find by words').fill('mud');
    await dialog.getByRole('listitem').getByRole('button').first().click();
    await expect(dialog).toHaveCount(0);
    const focus = page.getByRole('slider', { name: 'What has to be seen' });
    await focus.focus();
    for (let press = 0; press < 5; press += 1) await page.keyboard.press('ArrowRight');
    await page.getByRole('slider', { name: 'Closer' }).focus();
    for (let press = 0; press < 10; press += 1) await page.keyboard.press('ArrowRight');
    await expect(page.getByText('2.0 ×')).toBeVisible();
    await page.getByLabel('It is decoration, and says nothing').check();
    await allSaved(page);
  });

  const learner = await asLearner(browser);
  await test.step('the learner arrives', async () => {
    await learner.goto(`/courses/${id}`);
    await expect(learner).toHaveURL(/\/items\//);
    await expect(learner.getByRole('heading', { name: 'Start here', level: 1 })).toBeVisible();
    await expect(learner.getByText('Boots, and a pencil.')).toBeVisible();
    await expect(learner.locator('html')).toHaveAttribute('dir', 'rtl');
    await learner.goto(`/courses/${id}`);
    await expect(learner).toHaveURL(/\/sections\//);
  });

  await test.step('the home page, in Arabic and dark, can be read', async () => {
    await learner.goto(`/courses/${id}/home`);
    await expect(learner.getByRole('heading', { name: 'Course FACE-5', level: 1 })).toBeVisible();
    await expect(learner.getByText('The gauge is back').first()).toBeVisible();
    await expect(learner.getByText('The bus leaves at nine')).toBeVisible();
    await expect(learner.getByText('Bring a pencil')).toHaveCount(0);
    const banner = learner.locator('.banner img');
    await expect(banner).toHaveJSProperty('complete', true);
    expect(await banner.evaluate((image: HTMLImageElement) => image.currentSrc)).toMatch(
      /face\/phone\?width=\d+&v=.*-2$/,
    );
    await learner.mouse.wheel(0, 20_000);
    await clean(learner, 'home, on a phone, in Arabic, in the dark');
    expect(await learner.evaluate(() => document.documentElement.scrollWidth)).toBe(390);
  });

  await test.step('the menu: four on the bar, the rest one press away', async () => {
    const menu = learner.getByRole('navigation').filter({ visible: true });
    await expect(menu.getByRole('link')).toHaveCount(4);
    await menu.getByRole('button').click();
    await expect(menu.getByText('اسألونا')).toBeVisible();
    await menu.getByText('اسألونا').click();
    await expect(learner).toHaveURL(/\/contact$/);
  });
  await learner.context().close();
});
