/** Courses opened from what one teaches by the registry, with and without classes; time passes; one press settles. */
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { allSaved, comeInAs, goLive, INES, put, send } from '../support/people.ts';

const REGISTRY = process.env['E2E_REGISTRY'] ?? '';

async function open(page: Page, classes: readonly string[], code: string): Promise<string> {
  await page.getByRole('link', { name: 'New course' }).click();
  for (const one of classes) {
    await page.getByRole('checkbox', { name: new RegExp(one) }).check();
  }
  await put(page.getByRole('textbox', { name: 'Code' }), code);
  return code;
}

async function create(page: Page): Promise<string> {
  await page.getByRole('button', { name: 'Open the course as a draft' }).click();
  await expect(page).toHaveURL(/\/setup\/[^/]+\/about/);
  const id = /setup\/([^/]+)\//.exec(page.url())?.[1] ?? '';
  const plan = (await (await page.request.get(`/api/courses/${id}/plan`)).json()) as {
    course: { sections: { id: string }[] };
  };
  const node = { id: 'first', kind: 'page', title: 'First', minutes: 10, shown: true };
  const edits = [{ kind: 'insert', parent: plan.course.sections[0]?.id, after: null, node }];
  await send(page, id, [{ id: 'start', edits }]);
  return id;
}

test('two classes as one course with a class each: they come as it goes live, and time passes', async ({
  page,
}) => {
  await comeInAs(page, INES);
  await open(page, ['EFM-210 A', 'EFM-210 B'], 'REGISTRY-1');
  // What the registry says of them is where a course begins.
  await expect(page.getByRole('textbox', { name: 'Title' })).toHaveValue('Estuary Field Methods');
  await expect(page.getByText('Begins in Summer 2027')).toBeVisible();
  const id = await create(page);
  await page.goto(`/setup/${id}/members`);
  const way = page.locator('#field-ways-registry');
  await expect(
    way.getByText('0 of 30 on its lists are in. 30 come in when the course goes live.'),
  ).toBeVisible();
  await goLive(page, id);
  await expect(way.getByText('30 of 30 on its lists are in.')).toBeVisible({ timeout: 20_000 });
  await page.getByLabel('Find among the members').fill('noor');
  const noor = page.getByRole('row', { name: /Noor Rahimi/ });
  await expect(noor).toContainText('EFM-210 A');
  await expect(noor).toContainText('from the registry');

  // Staff take her out: the registry has her all along, and that is told and settled.
  await noor.getByRole('checkbox').check();
  await page.getByRole('button', { name: 'Take off the course' }).click();
  await page.getByRole('button', { name: 'Take one off' }).click();
  await page.getByLabel('Find among the members').fill('');
  await page.request.post(`${REGISTRY}/events`, { form: { event: 'late' } });
  await way.getByRole('button', { name: 'Read the registry now' }).click();
  await expect(way.getByText('31 of 32 on its lists are in.')).toBeVisible({ timeout: 20_000 });
  await way.getByText('What the readings have changed').click();
  await expect(way.getByText('Zenón Abril has come')).toBeVisible();
  await expect(way.getByText('Noor Rahimi: what you have stands')).toBeVisible();
  await way.getByRole('button', { name: /^Leave ours for Noor Rahimi/ }).click();
  await expect(way.getByText('The registry says something else')).toHaveCount(0);

  // A class is split: half of it is not lost.
  await page.request.post(`${REGISTRY}/events`, { form: { event: 'split' } });
  await way.getByRole('button', { name: 'Read the registry now' }).click();
  await expect(way.getByText(/learners would go by the last reading/)).toBeVisible({ timeout: 20_000 });
  await way.getByRole('button', { name: 'Choose classes …' }).click();
  await page
    .getByRole('dialog')
    .getByRole('checkbox', { name: /EFM-210 C/ })
    .check();
  await page.getByRole('dialog').getByRole('button', { name: 'Follow these' }).click();
  await expect(page.getByText('3 classes are followed now')).toBeVisible();
  await expect(way.getByText(/learners would go by the last reading/)).toHaveCount(0);
  await allSaved(page);

  // The registry is away: it is said, and nothing changes.
  await page.request.post(`${REGISTRY}/mood`, { form: { mood: 'failing' } });
  await way.getByRole('button', { name: 'Read the registry now' }).click();
  await expect(way.getByText(/It could not be read/)).toBeVisible({ timeout: 20_000 });
  await page.request.post(`${REGISTRY}/mood`, { form: { mood: 'up' } });
  await expect(way.getByText('31 of 32 on its lists are in.')).toBeVisible();
});

test('one class as a course without a class for it', async ({ page }) => {
  await comeInAs(page, INES);
  await open(page, ['TID-140 A'], 'REGISTRY-2');
  await page.getByRole('checkbox', { name: 'Each with a class of the course' }).uncheck();
  const id = await create(page);
  await goLive(page, id);
  await page.goto(`/setup/${id}/members`);
  await expect(page.locator('#field-ways-registry').getByText('16 of 16 on its lists are in.')).toBeVisible({
    timeout: 20_000,
  });
  await expect(page.getByRole('row', { name: /Bilal Sherzai/ })).not.toContainText('TID-140');
  await expect(page.getByRole('columnheader', { name: 'Class' })).toHaveCount(0);
});
