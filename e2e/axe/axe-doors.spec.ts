/** axe-core finds nothing on the ways in, on what somebody meets who comes by them, and on the pages of accounts. */
import { expect, test } from '@playwright/test';
import { clean } from '../support/axe.ts';
import { newestTo, pathIn } from '../support/letters.ts';
import {
  comeInAs,
  goLive,
  INES,
  KENJI,
  NOOR,
  ownCourse,
  LUPE,
  PAVEL,
  send,
  signedInAs,
  speak,
  STAFF,
} from '../support/people.ts';

test.use({ trace: 'off' });
test.setTimeout(600_000);
test.describe.configure({ mode: 'parallel' });

const WAY = { on: true, opens: null, closes: null, seats: null, domains: null, line: false, question: null };
const PRICE = {
  currency: 'EUR',
  amount: 12_000,
  reduced: { amount: 9000, until: { kind: 'fixed', day: '2027-03-01', time: null } },
  byKind: { teaching: null, staff: null, learner: 4000, visitor: null },
  months: 1,
};

for (const language of ['en', 'es', 'fr', 'ar'] as const) {
  test(`in ${language}`, async ({ page }) => {
    const { request } = page;
    const guest = `guest.${language}@away.example`;
    await comeInAs(page, INES);
    const { id } = await ownCourse(page, `AXE-DOORS-${language.toUpperCase()}`);
    const set = (field: string, value: unknown, was: unknown): object => ({
      kind: 'set',
      target: id,
      field,
      value,
      was,
    });
    await send(page, id, [
      {
        id: 'doors',
        edits: [
          set('ways.link', { ...WAY, seats: 20, line: true }, null),
          set('ways.invitation', WAY, null),
          set('ways.request', { ...WAY, question: 'Why?' }, null),
          set('ways.paying', { ...WAY, price: PRICE }, null),
          set('find', 'anyone', 'members'),
          set('seats', 1, null),
          set('line', true, false),
        ],
      },
    ]);
    await goLive(page, id);
    const post = async (path: string, data: object): Promise<unknown> =>
      (await request.post(path, { data })).json();
    const { code } = (await post(`/api/courses/${id}/ways/code`, {})) as { code: string };
    const days = { role: 'learner', days: 7, keepsSeats: false, lang: language };
    await post(`/api/courses/${id}/ways/invitations`, { addresses: [guest], ...days });
    // One is in, one waits, and one asks.
    for (const who of [NOOR, PAVEL]) {
      await signedInAs(page, who);
      await post(`/api/join/${code}`, {});
    }
    await signedInAs(page, KENJI);
    await post(`/api/join/to/${id}`, { way: 'request', answer: 'For the birds' });
    await page.goto(`/courses/${id}`);
    await speak(page, language);
    for (const width of [1280, 390]) {
      await page.setViewportSize({ width, height: 844 });
      await page.goto(`/courses/${id}`);
      await expect(page.locator('section.press').first()).toBeVisible();
      await clean(page, `who has asked, at ${width}`);
      await page.goto('/account');
      await expect(page.locator('li .here')).toBeVisible();
      await clean(page, `one’s own account, at ${width}`);
    }
    await signedInAs(page, PAVEL);
    await page.goto(`/join/to/${id}`);
    await expect(page.locator('section.press button').first()).toBeVisible();
    await clean(page, 'who waits');

    await page.context().clearCookies();
    const letter = await newestTo(guest);
    await request.post('/api/accounts', {
      data: { address: guest, name: 'Guest', lang: language, onward: null },
    });
    const confirm = await newestTo(guest, 2);
    for (const path of [
      '/account/new',
      '/account/forgotten',
      pathIn(confirm),
      pathIn(letter),
      `/courses/${id}`,
    ]) {
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await expect(page.locator('main form, section.press').first()).toBeVisible();
      await clean(page, `${path.split('/').slice(0, 3).join('/')}, on a phone`);
    }
    await page.goto('/account/forgotten');
    await page.getByRole('textbox').fill(guest);
    await page.locator('form button[type="submit"]').click();
    await expect(page.locator('.sent')).toBeVisible();
    await clean(page, 'a letter is on its way');
    await page.goto(`/account/reset/${'A'.repeat(43)}`);
    await expect(page.getByRole('alert')).toBeVisible();
    await clean(page, 'a link that is over');

    await page.setViewportSize({ width: 1280, height: 800 });
    await signedInAs(page, INES);
    await page.goto(`/setup/${id}/members`);
    await expect(page.locator('section.line li').first()).toBeVisible();
    await clean(page, 'the ways in');
    const dialog = page.getByRole('dialog');
    for (const [opener, what] of [
      ['#field-ways-invitation .acts button', 'inviting'],
      ['#field-requests .acts button:nth-child(2)', 'saying no'],
    ] as const) {
      await page.locator(opener).first().click();
      await expect(dialog).toBeVisible();
      await clean(page, what, '[role="dialog"]');
      await page.keyboard.press('Escape');
      await expect(dialog).toHaveCount(0);
    }
    // Paid for a month of a course that goes on for longer.
    await send(page, id, [
      { id: 'room', edits: [set('seats', null, 1), set('dates.weeks', 52, 15), set('line', false, true)] },
    ]);
    await signedInAs(page, LUPE);
    const { page: till } = (await post(`/api/join/to/${id}`, { way: 'paying', answer: null })) as {
      page: string;
    };
    await request.post(till, { form: { act: 'paid' } });
    await page.setViewportSize({ width: 390, height: 844 });
    await expect(async () => {
      await page.goto(`/courses/${id}/members`);
      await expect(page.locator('.period button')).toBeVisible({ timeout: 1000 });
    }).toPass();
    await clean(page, 'one’s own payment, on a phone');
    await signedInAs(page, STAFF);
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto('/desk');
    await page.locator('header button').nth(1).click();
    await expect(dialog).toBeVisible();
    await clean(page, 'the order of names', '[role="dialog"]');
  });
}
