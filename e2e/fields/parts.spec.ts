/** The parts that screens are made of: what real fields make of everything in the table of what is typed. */
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { CASES } from '../../packages/core/test/typed/cases.ts';
import type { Kind } from '../../packages/core/test/typed/cases.ts';
import { clean } from '../support/axe.ts';
import { choose, put, speak } from '../support/people.ts';

/** Kinds that have a field of their own on the page. */
const KINDS: readonly Kind[] = ['whole', 'number', 'duration', 'day', 'time'];
const LANGUAGES = ['en', 'es', 'fr', 'ar'] as const;
const field = (page: Page, kind: string) => page.getByRole('textbox', { name: kind, exact: true });
async function kept(page: Page): Promise<Record<string, unknown>> {
  return JSON.parse((await page.locator('[data-kept]').textContent()) ?? '{}') as Record<string, unknown>;
}

test.describe.configure({ mode: 'parallel' });
test.setTimeout(300_000);

for (const language of LANGUAGES) {
  test(`what is typed in ${language} is what is kept, or stays with a sentence`, async ({ page }) => {
    await page.goto('/parts');
    await speak(page, language);
    await page.reload();
    const cases = CASES.filter(([kind, locale]) => KINDS.includes(kind) && locale === language);
    expect(cases.length).toBeGreaterThan(15);
    const found: unknown[] = [];
    for (const [kind, , typed, expected] of cases) {
      const one = field(page, kind);
      const before = (await kept(page))[kind];
      // "+2w" counts from the day that stands there: from none, as in the table.
      if (kind === 'day') await put(one, '');
      const from = kind === 'day' ? null : before;
      await put(one, typed);
      const isWrong = typeof expected === 'object' && expected !== null;
      const now = (await kept(page))[kind];
      const shown = await one.inputValue();
      const isMarked = (await one.getAttribute('aria-invalid')) === 'true';
      const isRight = isWrong ? now === from && shown === typed && isMarked : now === expected && !isMarked;
      if (!isRight) found.push({ kind, typed, expected, now, shown, isMarked });
      if (isWrong) await put(one, '');
    }
    expect(found).toEqual([]);
  });
}

test('a zone that nobody calls so stays in its field, and says what is expected', async ({ page }) => {
  await page.goto('/parts');
  const zone = page.getByRole('combobox', { name: 'zone', exact: true });
  await expect(page.getByText('Kolkata, India (+05:30)')).toBeVisible();
  await zone.click({ force: true });
  await page.keyboard.type('Nowhere at all');
  await page.keyboard.press('Tab');
  await expect(page.getByText('No zone is called that')).toBeVisible();
  await expect(page.getByText('Nowhere at all')).toBeVisible();
  expect(await kept(page)).toMatchObject({ zone: 'Asia/Kolkata' });
  await zone.click({ force: true });
  await expect(zone).toHaveValue('Nowhere at all');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('katmandu');
  await page.getByRole('option', { name: /Kathmandu, Nepal/ }).click();
  await expect(page.getByText('Kathmandu, Nepal (+05:45)')).toBeVisible();
  expect(await kept(page)).toMatchObject({ zone: 'Asia/Kathmandu' });
});

test('a month shows what each day is in the course, and gives the day that is picked', async ({ page }) => {
  await page.goto('/parts');
  await page.getByRole('button', { name: 'Pick a day: day' }).click();
  const picked = page.locator('.v-overlay [data-v-date="2027-02-15"]');
  await expect(picked).toHaveAccessibleName('Mon 15 Feb 2027, 2');
  await picked.click();
  await expect(field(page, 'day')).toHaveValue('Mon 15 Feb 2027');
  expect(await kept(page)).toMatchObject({ day: '2027-02-15' });
});

test('each part can be used by anybody, in every language and both lights', async ({ page }) => {
  await page.goto('/parts');
  for (const language of LANGUAGES) {
    await speak(page, language);
    await page.reload();
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await clean(page, `parts in ${language}`);
  }
  await speak(page, 'en');
  await page.reload();
  await page.getByRole('button', { name: 'DialogBox' }).click();
  await clean(page, 'a dialog', '[role="dialog"]');
  await page.getByRole('button', { name: 'Close' }).last().click();
  await expect(page.getByRole('button', { name: 'DialogBox' })).toBeFocused();
  await choose(page.getByRole('combobox', { name: 'Appearance' }), 'Dark');
  await expect(page.getByRole('radio', { name: 'Dark' }).first()).toBeChecked();
});
