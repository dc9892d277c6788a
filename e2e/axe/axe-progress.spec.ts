/** axe-core finds nothing where it is said what counts as done, how far one is, and where everybody stands. */
import { expect, test } from '@playwright/test';
import { clean, toTheFoot } from '../support/axe.ts';
import {
  addLearner,
  comeInAs,
  goLive,
  INES,
  NOOR,
  ownCourse,
  send,
  signedInAs,
  speak,
} from '../support/people.ts';

test.use({ trace: 'off' });
test.setTimeout(600_000);
test.describe.configure({ mode: 'parallel' });

const RULE = {
  by: 'all',
  of: [{ by: 'ticked' }, { by: 'opened' }],
  byThen: { kind: 'fixed', day: '2027-03-01', time: '18:00' },
};
const MIX = {
  match: 'all',
  of: [
    { over: 'items', want: { how: 'least', count: 50 }, kind: null, named: [] },
    { over: 'scored', item: 'notes', least: 60 },
    { over: 'attended', want: { how: 'any' } },
  ],
};

for (const language of ['en', 'es', 'fr', 'ar'] as const) {
  test(`progress in ${language}`, async ({ page }) => {
    await comeInAs(page, INES);
    const { id, sections } = await ownCourse(
      page,
      `AXE-FAR-${language.toUpperCase()}`,
      3,
      true,
      '2027-02-15',
    );
    const node = (more: object): object => ({ minutes: 20, shown: true, ...more });
    const insert = (one: object): object => ({ kind: 'insert', parent: sections[0], after: null, node: one });
    await send(page, id, [
      {
        id: 'items',
        edits: [
          insert(
            node({
              id: 'notes',
              kind: 'assignment',
              title: 'Field notes',
              done: { by: 'handed_in' },
              total: 10,
            }),
          ),
          insert(node({ id: 'boots', kind: 'page', title: 'Boots', done: RULE })),
          insert(node({ id: 'late', kind: 'page', title: 'Before', done: { by: 'ticked' } })),
          { kind: 'set', target: id, field: 'done', value: MIX, was: null },
        ],
      },
    ]);
    await addLearner(page, id, 'noor');
    await goLive(page, id);
    await speak(page, language);
    await page.goto(`/setup/${id}/progress`);
    await expect(page.locator('.reasons li').first()).toBeVisible();
    await page.locator('.counted input[type=checkbox]').nth(1).check({ force: true });
    await expect(page.locator('.give')).toBeVisible();
    await page.locator('#progress-course').scrollIntoViewIfNeeded();
    await expect(page.locator('.course-done li')).toHaveCount(3);
    await clean(page, 'the stop Progress');
    await page.locator('.done-field .button').first().click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await clean(page, 'what an item takes', '[role="dialog"]');

    await signedInAs(page, NOOR);
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto(`/courses/${id}/items/boots`);
    await expect(page.locator('.done ul li')).toHaveCount(2);
    await page.locator('.done .button').click();
    await expect(page.locator('.done .is-done')).toBeVisible();
    await toTheFoot(page);
    await clean(page, 'an item that is done, on a phone');
    for (const width of [390, 1280]) {
      await page.setViewportSize({ width, height: 844 });
      await page.goto(`/courses/${id}/how-far`);
      await expect(page.locator('.how-far .line')).toBeVisible();
      await toTheFoot(page);
      await clean(page, `how far one is, at ${width}`);
    }

    await signedInAs(page, INES);
    await page.goto(`/setup/${id}/progress`);
    const kind = page.getByRole('row', { name: /Boots/ }).locator('input[role=combobox]');
    await kind.click({ force: true });
    await page.getByRole('option').first().click();
    await expect(page.locator('.moved li')).toHaveCount(1);
    await clean(page, 'who would lose it', '[role="dialog"]');
    await page.keyboard.press('Escape');
    await expect(page.locator('.moved')).toHaveCount(0);
    await page.goto(`/courses/${id}/progress`);
    await expect(page.getByRole('gridcell').first()).toBeVisible();
    await page.getByRole('gridcell').first().click();
    await clean(page, 'where everybody stands');
    await page.goto(`/courses/${id}/forecast`);
    await expect(page.locator('.forecast svg')).toBeVisible();
    await page.locator('.what-if input[role=combobox]').click({ force: true });
    await page.getByRole('option').last().click();
    await expect(page.locator('.what-if .fields > *')).toHaveCount(3);
    await clean(page, 'where the class is going');
    await page.goto(`/courses/${id}/progress`);
    await page.locator('[role=rowheader] a').first().click();
    await expect(page.locator('.how-far')).toBeVisible();
    await clean(page, 'one learner, for staff');
  });
}
