/** An outline of a thousand items, by keyboard only; and what an edit draws again, counted. */
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { allSaved, comeInAs, INES, ownCourse, send } from '../support/people.ts';

const SECTIONS = 20;
const ITEMS = 50;

/** Twenty sections of fifty pages, titled by both. */
async function thousand(page: Page, code: string): Promise<string> {
  const { id } = await ownCourse(page, code, SECTIONS, false);
  const { sections } = await ownPlan(page, id);
  for (const [at, section] of sections.entries()) {
    const edits = Array.from({ length: ITEMS }, (_, index) => ({
      kind: 'insert',
      parent: section.id,
      after: index === 0 ? null : `s${at}i${index - 1}`,
      node: {
        id: `s${at}i${index}`,
        kind: 'page',
        title: `Stone ${at + 1}-${index + 1}`,
        minutes: 5,
        shown: true,
      },
    }));
    await send(page, id, [{ id: `fill-${at}`, edits }]);
  }
  return id;
}

interface Plan {
  readonly sections: readonly { readonly id: string; readonly items: readonly { readonly id: string }[] }[];
}

async function ownPlan(page: Page, id: string): Promise<Plan> {
  const answer = (await (await page.request.get(`/api/courses/${id}/plan`)).json()) as { course: Plan };
  return answer.course;
}

const mounted = (page: Page): Promise<number> => page.locator('.outline [data-row]').count();
const drawn = (page: Page, what: string): Promise<number> =>
  page.evaluate((name) => performance.getEntriesByName(`drawn ${name}`).length, what);

test('a thousand items are filtered, selected and reordered by keyboard only', async ({ page }) => {
  await comeInAs(page, INES);
  const id = await thousand(page, 'HUGE-1');
  await page.goto(`/setup/${id}/outline`);
  const find = page.getByRole('searchbox', { name: 'Find in the outline' });
  await expect(find).toHaveAttribute('placeholder', 'Find in 20 sections, 1000 items');
  expect(await mounted(page)).toBeGreaterThan(8);
  expect(await mounted(page)).toBeLessThanOrEqual(80);

  await test.step('filter', async () => {
    await find.focus();
    await page.keyboard.type('stone 7-4');
    await expect(page.getByLabel('Title of item 7.4', { exact: true })).toBeVisible();
    // Stone 7-4 and 7-40 to 7-49, under their section.
    await expect.poll(() => mounted(page)).toBe(12);
    await page.keyboard.press('Control+a');
    await page.keyboard.press('Delete');
    await expect(page.getByLabel('Title of section 1', { exact: true })).toBeVisible();
  });

  await test.step('to the far end, and never more than eighty lines are there', async () => {
    await page.getByLabel('Title of section 1', { exact: true }).focus();
    await page.keyboard.press('Control+End');
    await expect(page.getByLabel('Title of item 20.50', { exact: true })).toBeFocused();
    expect(await mounted(page)).toBeLessThanOrEqual(80);
    await page.keyboard.press('PageUp');
    await expect(page.getByLabel('Title of item 20.38', { exact: true })).toBeFocused();
    await page.keyboard.press('Control+Home');
    await expect(page.getByLabel('Title of section 1', { exact: true })).toBeFocused();
  });

  await test.step('select three and move them down, into the next section', async () => {
    await page.keyboard.press('Home');
    await page.keyboard.press('ArrowLeft');
    // From the section's box down to that of item 1.48.
    for (let press = 0; press < 48; press += 1) await page.keyboard.press('ArrowDown');
    await expect(page.getByLabel('Select Stone 1-48', { exact: true })).toBeFocused();
    await page.keyboard.press('Shift+ArrowDown');
    await page.keyboard.press('Shift+ArrowDown');
    await expect(page.getByText('3 lines selected')).toBeVisible();
    await page.keyboard.press('Alt+ArrowDown');
    await expect(page.getByLabel('Title of item 2.1', { exact: true })).toHaveValue('Stone 1-48');
    await page.keyboard.press('Alt+ArrowDown');
    await expect(page.getByLabel('Title of item 2.2', { exact: true })).toHaveValue('Stone 1-48');
    await expect(page.getByLabel('Select Stone 1-50', { exact: true })).toBeFocused();
    await allSaved(page);
    const { sections } = await ownPlan(page, id);
    expect(sections[1]?.items.slice(0, 5).map((item) => item.id)).toEqual([
      's1i0',
      's0i47',
      's0i48',
      's0i49',
      's1i1',
    ]);
    expect(sections.flatMap(({ items }) => items)).toHaveLength(SECTIONS * ITEMS);
  });
});

test('one edit draws one line of the outline again, and one of the preview', async ({ page }) => {
  await comeInAs(page, INES);
  const id = await thousand(page, 'HUGE-2');
  await page.goto(`/setup/${id}/outline`);
  await page.getByRole('button', { name: 'See what a learner sees' }).click();
  const title = page.getByLabel('Title of item 1.2', { exact: true });
  await title.focus();
  await page.waitForTimeout(300);
  const before = { outline: await drawn(page, 'outline-line'), preview: await drawn(page, 'learner-line') };
  await title.press('End');
  await page.keyboard.type('x');
  await expect(page.getByRole('complementary').getByText('Stone 1-2x')).toBeVisible();
  const after = { outline: await drawn(page, 'outline-line'), preview: await drawn(page, 'learner-line') };
  expect(after.outline - before.outline).toBeGreaterThanOrEqual(1);
  expect(after.outline - before.outline).toBeLessThanOrEqual(5);
  expect(after.preview - before.preview).toBe(1);
});
