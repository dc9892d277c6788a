/** A survey: a ready set, changed by keyboard, answered on a phone over a reload, and totals from five answers on. */
import { expect, test } from '@playwright/test';
import { aPhone, liveWith } from '../support/coursework.ts';
import { allSaved, INES, NOOR, put, signedInAs } from '../support/people.ts';

test('a ready set and a question of one’s own; what is typed is on the phone alone; sums from five on', async ({
  browser,
  page,
}) => {
  const others = ['aroha', 'bilal', 'chidi', 'dagny'];
  const node = { id: 'went', kind: 'survey', title: 'How it went', done: { by: 'handed_in' } };
  const id = await liveWith(page, 'SURV-E2E', node, ['noor', ...others]);
  await page.goto(`/setup/${id}/outline`);
  await page.getByRole('button', { name: 'Edit what How it went holds' }).click();
  const panel = page.getByRole('complementary', { name: /How it went/ });
  await expect(panel.getByText('It asks nothing yet.')).toBeVisible();
  await panel.getByRole('button', { name: 'Write the questions …' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Load a ready set …' }).press('Enter');
  await page.getByText('How this unit went', { exact: true }).click();
  const asked = dialog.getByRole('textbox', { name: 'What it asks' });
  await expect(asked).toHaveCount(5);
  await dialog.getByRole('button', { name: 'Add a question' }).press('Enter');
  await page.getByText('In one’s own words', { exact: true }).last().click();
  await put(asked.nth(5), 'Which boat would you rather row?');
  await dialog.getByRole('button', { name: 'Take question 3 out' }).press('Enter');
  await dialog.getByRole('button', { name: 'Move question 5 up' }).press('Enter');
  await expect(asked.nth(3)).toHaveValue('Which boat would you rather row?');
  await dialog.getByRole('button', { name: 'Close' }).click();
  await allSaved(page);
  await expect(panel.getByText('It asks 5 questions.')).toBeVisible();

  const { context, phone } = await aPhone(browser);
  await signedInAs(phone, NOOR);
  await phone.goto(`/courses/${id}/items/went`);
  const theirs = phone.getByRole('region', { name: 'Survey' });
  await expect(theirs.getByText(/^Nobody learns who has said what.*from 5 answers on/)).toBeVisible();
  await theirs.getByRole('radio', { name: '4' }).check();
  await theirs.getByRole('textbox', { name: 'Your answer to question 4' }).fill('The Curlew.');
  await context.setOffline(true);
  await theirs.getByRole('button', { name: 'Send it' }).click();
  await expect(theirs.getByRole('alert')).toBeVisible();
  await context.setOffline(false);
  await phone.reload();
  await expect(theirs.getByRole('textbox', { name: 'Your answer to question 4' })).toHaveValue('The Curlew.');
  await expect(theirs.getByText('2 of 5 answered; none has to be')).toBeVisible();
  await theirs.getByRole('button', { name: 'Send it' }).click();
  await expect(theirs.getByText(/You have answered\. Nobody can see any more/)).toBeVisible();
  await expect(phone.getByText('Done', { exact: true }).first()).toBeVisible();
  expect(await phone.evaluate(() => JSON.stringify({ ...localStorage }))).not.toContain('Curlew');

  await signedInAs(page, INES);
  await page.goto(`/courses/${id}/items/went/survey`);
  await expect(page.getByText('One person has answered. Totals are shown from 5 answers on')).toBeVisible();
  await expect(page.getByText('The Curlew.')).toHaveCount(0);
  // Four others answer by the routes that pages use.
  const { members } = (await (await page.request.get(`/api/courses/${id}/members`)).json()) as {
    members: { name: string; address: string; role: string }[];
  };
  const baseURL = test.info().project.use.baseURL ?? '';
  for (const { address } of members.filter(
    ({ role, name }) => role === 'learner' && !name.includes('Noor'),
  )) {
    const theirs = await browser.newContext({ baseURL });
    const signed = await theirs.request.post('/api/session', {
      data: { address, password: 'low-tide-at-nine' },
    });
    expect(signed.ok()).toBe(true);
    const path = `/api/learn/${id}/items/went/survey`;
    const { asks } = (await (await theirs.request.get(path)).json()) as {
      asks: { id: string; kind: string }[];
    };
    const scale = asks.find(({ kind }) => kind === 'scale')?.id ?? '';
    const answers = { [scale]: { kind: 'scale', step: 2 } };
    expect((await theirs.request.post(`${path}/answers`, { data: { answers } })).ok()).toBe(true);
    await theirs.close();
  }
  await page.reload();
  await expect(page.getByText('5 people have answered. 5 of them are in these totals')).toBeVisible();
  await expect(page.getByText('The Curlew.')).toBeVisible();
  await expect(page.getByText('5 answers · 2.4 on average')).toBeVisible();
  await page.getByText('As a table').first().click();
  await expect(page.getByRole('row', { name: /^2 4$/ })).toBeVisible();
  await context.close();
});
