/** axe-core finds nothing where posts are begun, words are found and work goes back, nor where what goes with it is set up. */
import { randomUUID } from 'node:crypto';
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

const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

for (const language of ['en', 'es', 'fr', 'ar'] as const) {
  test(`what goes with work in ${language}`, async ({ page }) => {
    const { request } = page;
    await comeInAs(page, INES);
    const code = `AXE-BEGUN-${language.toUpperCase()}`;
    const { id, sections } = await ownCourse(page, code, 3, true, '2027-02-15');
    const came = await request.post(`/api/courses/${id}/files?name=shell.png`, {
      headers: { 'content-type': 'application/octet-stream' },
      data: PNG,
    });
    const { hash, size, type } = (await came.json()) as { hash: string; size: number; type: string };
    const file = { hash, name: 'shell.png', size, type, alt: 'A shell', author: null, licence: null };
    const choice = (of: string) => ({ id: of, text: `Choice ${of}`, why: '', picture: file });
    const question = {
      ...{ kind: 'single', text: 'Which?', why: '', points: 1, required: false, pool: null, at: 1 },
      ...{ choices: ['a', 'b'].map(choice), right: 'a' },
    };
    const work = {
      ...{ id: 'notes', kind: 'assignment', title: 'Field notes', total: 10, namesLeftOut: true },
      ...{ attachments: [file], exampleWords: 'Three bands.', exampleFile: file },
    };
    const nodes = [
      { id: 'talk', kind: 'discussion', title: 'Questions' },
      { id: 'shells', kind: 'quiz', title: 'Shells', questions: { q: question } },
      work,
    ];
    const insert = (one: object) => ({
      ...{ kind: 'insert', parent: sections[0], after: null },
      node: { minutes: 20, shown: true, ...one },
    });
    await send(page, id, [{ id: 'parts', edits: nodes.map(insert) }]);
    await addLearner(page, id, 'noor');
    await goLive(page, id);
    const threads = `/api/learn/${id}/items/talk/discussion/threads`;
    await request.post(threads, {
      data: { id: randomUUID(), post: randomUUID(), title: 'Boots', html: '<p>In the estuarine mud.</p>' },
    });
    await speak(page, language);

    await signedInAs(page, NOOR);
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto(`/courses/${id}/items/talk`);
    await page.locator('.threads .one').first().click();
    await page.locator('.thread > p .v-btn').last().click();
    await page.locator('.post-editor .rich-text').fill('Mud');
    await page
      .locator('.files input[type=file]')
      .setInputFiles({ name: 'a.png', mimeType: 'image/png', buffer: PNG });
    await expect(page.locator('.files li')).toHaveCount(1);
    await expect(page.locator('.files progress')).toHaveCount(0);
    await expect(page.locator('.keeping')).toBeVisible();
    await page.waitForLoadState('networkidle');
    await toTheFoot(page);
    await clean(page, 'a post that is begun, on a phone');
    await page.goto(`/courses/${id}/items/shells`);
    await page.locator('main .v-btn').first().click();
    await expect(page.locator('fieldset.question img').first()).toBeVisible();
    await toTheFoot(page);
    await clean(page, 'pictures to choose, on a phone');
    await page.goto(`/courses/${id}/items/notes`);
    await page.locator('textarea').first().fill('Low tide.');
    await page.waitForTimeout(1500);
    const version = 1;
    const handed = `/api/learn/${id}/items/notes/coursework/handed`;
    await expect
      .poll(async () => (await request.post(handed, { data: { id: randomUUID(), version } })).status())
      .toBe(200);
    for (const width of [390, 1280]) {
      await page.setViewportSize({ width, height: 844 });
      await page.goto(`/courses/${id}/find?find=mud`);
      await expect(page.locator('main li').first()).toBeVisible();
      await clean(page, `what is found, at ${width}`);
      await page.goto(`/courses/${id}/log`);
      await expect(page.locator('main li').first()).toBeVisible();
      await clean(page, `a log of one’s own, at ${width}`);
    }

    await signedInAs(page, INES);
    await page.goto(`/courses/${id}/items/notes/coursework`);
    await page.locator('.people .one').first().click();
    await expect(page.locator('.beside')).toBeVisible();
    for (const part of await page.locator('.beside .mark details > summary').all()) await part.click();
    await clean(page, 'work without a name, with its example and notes');
    await page.goto(`/setup/${id}/outline?panel=notes`);
    await page.locator('[data-node="notes"] .pencil, button[aria-label*="Field notes"]').last().click();
    await expect(page.locator('aside.panel')).toBeVisible();
    for (const part of await page.locator('aside.panel .handing details > summary').all()) await part.click();
    await clean(page, 'what goes with an assignment', 'aside.panel');
  });
}
