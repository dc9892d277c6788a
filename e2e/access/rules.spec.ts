/** Opening rules as learners meet them: by their own joining, in a circle, in order, for a class, for one. */
import { expect, test } from '@playwright/test';
import type { Browser, Page } from '@playwright/test';
import {
  addLearner,
  allSaved,
  comeInAs,
  goLive,
  INES,
  NOOR,
  ownCourse,
  PAVEL,
  send,
  setting,
  signedInAs,
  put,
  choose,
} from '../support/people.ts';
import { secondServer } from '../support/second-server.ts';

async function another(browser: Browser, url?: string): Promise<Page> {
  const context = await browser.newContext({
    viewport: { width: 360, height: 740 },
    ...(url === undefined ? {} : { baseURL: url }),
  });
  return context.newPage();
}

test('units that open one week after joining, for two who joined ten days apart', async ({
  page,
  browser,
}) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'JOIN-1');
  await addLearner(page, id, 'noor');
  await goLive(page, id);
  await page.goto(`/setup/${id}/outline`);
  await page.getByRole('button', { name: 'Edit what Week of 8 March holds' }).click();
  await page.getByRole('button', { name: /Change this sentence/ }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByText('From a moment on').click();
  await dialog.getByRole('radio', { name: 'So long before or after something' }).check();
  await put(dialog.getByLabel('How many'), '1');
  await choose(dialog.getByLabel('Of what'), 'week');
  await choose(dialog.getByRole('combobox', { name: 'What', exact: true }), 'the day of joining');
  await dialog.getByRole('button', { name: 'Set it' }).click();
  await allSaved(page);

  // Ten days later, by the clock of a server that stands there.
  const later = await secondServer('2027-02-26T09:42:00Z', 'stands');
  try {
    const ines = await another(browser, later.url);
    await comeInAs(ines, INES);
    await addLearner(ines, id, 'pavel');
    const noor = await another(browser, later.url);
    await signedInAs(noor, NOOR);
    await noor.goto(`${later.url}/courses/${id}`);
    await expect(noor.getByText('Page 1').first()).toBeVisible();
    await expect(noor.getByText('Page 2').first()).toBeVisible();
    const pavel = await another(browser, later.url);
    await signedInAs(pavel, PAVEL);
    await pavel.goto(`${later.url}/courses/${id}`);
    await expect(pavel.getByText('Page 1').first()).toBeVisible();
    await expect(pavel.getByText('Opens Fri 5 Mar', { exact: true })).toBeVisible();
    await expect(pavel.getByText('Page 2')).toHaveCount(0);
    await Promise.all([ines, noor, pavel].map((one) => one.context().close()));
  } finally {
    await later.stop();
  }
});

test('a circle of rules is found, named, and cut with one press', async ({ page }) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'CIRCLE-1');
  const waits = (item: string): object => ({
    when: { kind: 'all', of: [{ kind: 'done', items: [item] }] },
    until: null,
    then: 'look',
  });
  const ticked = { by: 'ticked' };
  await send(page, id, [
    {
      id: 'rules',
      edits: [
        ...['page-1', 'page-2', 'page-3'].map((item) => setting(item, 'done', ticked)),
        setting('page-2', 'rule', waits('page-1')),
        setting('page-3', 'rule', waits('page-2')),
      ],
    },
  ]);
  // The last link is written by hand, and the dialog says at once what it would come to.
  await page.goto(`/setup/${id}/outline?at=page-1`);
  await page.getByRole('button', { name: /Change this sentence/ }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'One more condition' }).click();
  await choose(dialog.getByLabel('What it waits for'), 'after an item is done');
  await choose(dialog.getByLabel('Item'), '3.1 Page 3');
  await expect(dialog.getByText('Opens after 3.1 Page 3 is done.')).toBeVisible();
  await expect(
    dialog.getByText(/It would wait for itself: 1\.1 Page 1 → 3\.1 Page 3 → 2\.1 Page 2/),
  ).toBeVisible();
  await dialog.getByRole('button', { name: 'Set it' }).click();

  await page.getByRole('link', { name: /Readiness/ }).click();
  const finding = page.getByRole('listitem').filter({ hasText: '3 items wait for each other in a circle' });
  await expect(finding).toContainText('Page 1 → Page 3 → Page 2');
  await finding.getByRole('button', { name: 'Cut the circle' }).click();
  await expect(page.getByText('wait for each other in a circle')).toHaveCount(0);
  await allSaved(page);
});

test('in order, by one switch: what is ticked lets the next one in, without a reload', async ({
  page,
  browser,
}) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'ORDER-1');
  await addLearner(page, id, 'noor');
  await send(page, id, [
    { id: 'done', edits: ['page-1', 'page-2'].map((item) => setting(item, 'done', { by: 'ticked' })) },
  ]);
  await goLive(page, id);
  const noor = await another(browser);
  await signedInAs(noor, NOOR);
  await noor.goto(`/courses/${id}`);
  await expect(noor.getByText('Page 2').first()).toBeVisible();

  await page.goto(`/setup/${id}/access`);
  await page.getByLabel('In order, the whole course').check();
  await allSaved(page);
  // On the learner's open page it comes by itself.
  await expect(noor.getByText('Opens after 1.1 Page 1 is done.')).toBeVisible();
  expect((await noor.request.get(`/api/learn/${id}/items/page-2`)).status()).toBe(404);
  await noor
    .getByRole('link', { name: /Page 1/ })
    .first()
    .click();
  await noor.getByRole('button', { name: 'Done with it' }).click();
  await expect(noor.getByText('Done', { exact: true })).toBeVisible();
  await noor.getByRole('link', { name: /Next.*Page 2/ }).click();
  await expect(noor.getByRole('heading', { name: /Page 2/ })).toBeVisible();
  await noor.context().close();
});

test('one class has its own due day, and one learner an extension', async ({ page, browser }) => {
  await signedInAs(page, INES);
  const { id, sections } = await ownCourse(page, 'EXCEPT-1');
  await addLearner(page, id, 'noor');
  await addLearner(page, id, 'pavel');
  const due = { kind: 'fixed', day: '2027-03-07', time: '23:59' };
  const work = { id: 'log', kind: 'assignment', title: 'Core log', minutes: 30, shown: true, due };
  await send(page, id, [
    { id: 'work', edits: [{ kind: 'insert', parent: sections[0], after: null, node: work }] },
  ]);
  await goLive(page, id);
  await page.goto(`/setup/${id}/access`);
  await choose(page.getByLabel('Group or class'), 'Class');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByLabel('Class', { exact: true }).fill('Class A');
  await allSaved(page);
  await page.getByRole('button', { name: 'Who is in which' }).click();
  await page.getByRole('checkbox', { name: 'Noor Rahimi' }).check();
  await choose(page.getByRole('combobox', { name: 'Put into …' }), 'Class A');
  await expect(page.getByText('One person is in Class A now')).toBeVisible();
  await expect(page.getByRole('row', { name: /Noor Rahimi/ })).toContainText('Class A');
  await page.goto(`/setup/${id}/access`);

  const add = async (who: string, day: string): Promise<void> => {
    await page.getByRole('button', { name: 'Add an exception' }).click();
    const dialog = page.getByRole('dialog');
    await choose(dialog.getByLabel('Who'), who);
    await choose(dialog.getByLabel('What').first(), '1.1 Core log');
    await dialog
      .getByRole('textbox', { name: 'Day' })
      .or(dialog.getByRole('textbox', { name: 'Day', exact: true }))
      .first()
      .fill(day);
    await dialog.getByRole('button', { name: 'Set it' }).click();
    await expect(dialog).toBeHidden();
  };
  await add('Class A', '2027-03-10');
  await add('Pavel Dvořan', '2027-03-14');
  await expect(page.getByRole('row', { name: /Class A 1\.1 Core log due Wed 10 Mar 23:59/ })).toBeVisible();
  await expect(
    page.getByRole('row', { name: /Pavel Dvořan 1\.1 Core log due Sun 14 Mar 23:59/ }),
  ).toBeVisible();
  await allSaved(page);

  for (const [name, words] of [
    [NOOR, 'Due Wed 10 Mar 23:59'],
    [PAVEL, 'Due Sun 14 Mar 23:59'],
  ] as const) {
    const learner = await another(browser);
    await signedInAs(learner, name);
    await learner.goto(`/courses/${id}/items/log`);
    await expect(learner.getByText(words)).toBeVisible();
    await learner.context().close();
  }
});

test('a page that learners may change is changed by one of them, and by nobody who only looks', async ({
  page,
  browser,
}) => {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, 'WORDS-1');
  await addLearner(page, id, 'noor');
  await goLive(page, id);
  await send(page, id, [{ id: 'by', edits: [setting('page-1', 'changedBy', 'learners')] }]);
  const noor = await another(browser);
  await signedInAs(noor, NOOR);
  await noor.goto(`/courses/${id}/items/page-2`);
  await expect(noor.getByRole('heading', { name: /Page 2/ })).toBeVisible();
  await expect(noor.getByRole('button', { name: 'Change this page' })).toHaveCount(0);
  await noor.goto(`/courses/${id}/items/page-1`);
  await noor.getByRole('button', { name: 'Change this page' }).click();
  const words = noor.getByRole('textbox', { name: 'Words of the page' });
  await expect(noor.getByRole('button', { name: 'Keep the change' })).toBeEnabled();
  await words.click();
  await noor.keyboard.type('The gate sticks; lift it.');
  await noor.getByRole('button', { name: 'Keep the change' }).click();
  await expect(noor.getByText('The gate sticks; lift it.')).toBeVisible();
  await expect(words).toHaveCount(0);

  await page.goto(`/setup/${id}/outline?at=page-1`);
  await expect(page.getByRole('textbox', { name: 'Text' })).toContainText('The gate sticks; lift it.');
  await noor.context().close();
});
