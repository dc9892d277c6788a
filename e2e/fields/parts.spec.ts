/** The parts that screens are made of: what real fields make of everything in the table of what is typed. */
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { CASES } from '../../packages/core/test/typed/cases.ts';
import type { Kind } from '../../packages/core/test/typed/cases.ts';
import { clean } from '../support/axe.ts';
import { choose, speak } from '../support/people.ts';

/** Kinds that have a field of their own on the page. */
const KINDS: readonly Kind[] = ['whole', 'number', 'duration', 'day', 'time', 'moment', 'colour'];
const LANGUAGES = ['en', 'es', 'fr', 'ar'] as const;
const field = (page: Page, kind: string) => page.getByRole('textbox', { name: kind, exact: true });
async function kept(page: Page): Promise<Record<string, unknown>> {
  return JSON.parse((await page.locator('[data-kept]').textContent()) ?? '{}') as Record<string, unknown>;
}

/** A day alone is a moment at the usual time of its field. */
const taken = (kind: string, expected: unknown): unknown =>
  kind === 'moment' && typeof expected === 'string' && !expected.includes(' ')
    ? `${expected} 08:00`
    : expected;

test.describe.configure({ mode: 'parallel' });
test.setTimeout(300_000);

interface Row {
  readonly kind: string;
  readonly typed: string;
  /** Before anything else is typed, the field is emptied: "+2w" counts from the day that stands there. */
  readonly isFromNothing: boolean;
}
interface Found {
  readonly before: unknown;
  readonly now: unknown;
  readonly shown: string;
  readonly isMarked: boolean;
  readonly said: string;
}

/** Types each into its field and leaves it, one after the other, in the page itself: a press a case would take minutes. */
function typeAll(page: Page, rows: readonly Row[]): Promise<readonly Found[]> {
  return page.evaluate(async (cases) => {
    const drawn = (): Promise<void> =>
      new Promise((done) => requestAnimationFrame(() => setTimeout(done, 0)));
    const kept = (): Record<string, unknown> =>
      JSON.parse(document.querySelector('[data-kept]')?.textContent ?? '{}') as Record<string, unknown>;
    const put = async (field: HTMLInputElement, text: string): Promise<void> => {
      field.focus();
      field.value = text;
      field.dispatchEvent(new Event('input', { bubbles: true }));
      await drawn();
      field.blur();
      await drawn();
    };
    const found = [];
    for (const { kind, typed, isFromNothing } of cases) {
      const field = document.querySelector<HTMLInputElement>(`input[name="${kind}"]`);
      if (field === null) throw new Error(`no field for ${kind}`);
      if (isFromNothing) await put(field, '');
      const before = kept()[kind];
      await put(field, typed);
      found.push({
        before,
        now: kept()[kind],
        shown: field.value,
        isMarked: field.getAttribute('aria-invalid') === 'true',
        said: field.closest('.v-input')?.querySelector('[role="alert"]')?.textContent ?? '',
      });
      if (field.getAttribute('aria-invalid') === 'true') await put(field, '');
    }
    return found;
  }, rows);
}

for (const language of LANGUAGES) {
  test(`what is typed in ${language} is what is kept, or stays with a sentence`, async ({ page }) => {
    await page.goto('/parts');
    await speak(page, language);
    await page.reload();
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    const cases = CASES.filter(([kind, locale]) => KINDS.includes(kind) && locale === language);
    expect(cases.length).toBeGreaterThan(15);
    const rows = cases.map(([kind, , typed]) => ({
      kind,
      typed,
      isFromNothing: kind === 'day' || kind === 'moment',
    }));
    const found = await typeAll(page, rows);
    const wrong = cases.flatMap(([kind, , typed, expected], at) => {
      const { before, now, shown, isMarked, said } = found[at] as Found;
      const isRefused = typeof expected === 'object' && expected !== null;
      const isRight = isRefused
        ? now === before && shown === typed && isMarked && said !== ''
        : now === taken(kind, expected) && !isMarked;
      return isRight ? [] : [{ kind, typed, expected, ...(found[at] as Found) }];
    });
    expect(wrong).toEqual([]);
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
  // Until it is wholly gone, the library holds it for what lies on top.
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await choose(page.getByRole('combobox', { name: 'Appearance' }), 'Dark');
  await expect(page.getByRole('radio', { name: 'Dark' }).first()).toBeChecked();
});

test('in two pictures, by day and by night, no part is cut off and none runs over another', async ({
  page,
}, info) => {
  for (const appearance of ['Light', 'Dark'] as const) {
    await page.emulateMedia({ colorScheme: appearance === 'Dark' ? 'dark' : 'light' });
    await page.goto('/parts');
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    const name = `parts-${appearance.toLowerCase()}.png`;
    const picture = await page.screenshot({
      fullPage: true,
      path: info.outputPath(name),
      animations: 'disabled',
    });
    await info.attach(name, { body: picture, contentType: 'image/png' });
    const over = await page.evaluate(() => {
      const shown = [...document.querySelectorAll<HTMLElement>('main *')].filter(
        (one) => one.checkVisibility() && one.closest('.visually-hidden') === null,
      );
      const isCut = (one: HTMLElement): boolean =>
        ['hidden', 'clip'].includes(getComputedStyle(one).overflowX) &&
        getComputedStyle(one).textOverflow !== 'ellipsis' &&
        one.textContent.trim() !== '' &&
        one.scrollWidth > one.clientWidth + 1;
      const runsOut = (one: HTMLElement): boolean => one.getBoundingClientRect().right > innerWidth + 1;
      return shown.filter((one) => isCut(one) || runsOut(one)).map((one) => one.outerHTML.slice(0, 120));
    });
    expect(over, appearance).toEqual([]);
    const ground = await page.evaluate(() => getComputedStyle(document.documentElement).backgroundColor);
    const [light = 0] = (ground.match(/\d+/g) ?? []).map(Number);
    expect(light > 128, ground).toBe(appearance === 'Light');
  }
});
