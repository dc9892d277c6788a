/** axe-core finds nothing where work is set up, begun, handed in and marked. */
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

const shared = { why: 'It is so.', points: 1, required: false, pool: null };
const part = (id: string) => ({ id, text: `Part ${id}` });
const choices = ['a', 'b'].map((id) => ({ ...part(id), why: 'Look again.' }));
/** One question of each kind, in their order. */
const KINDS = [
  { kind: 'single', choices, right: 'b' },
  { kind: 'several', choices, right: ['a'], credit: 'whole' },
  { kind: 'truth', right: true },
  {
    kind: 'short',
    accepted: [{ text: 'Mud', share: 1 }],
    folds: { case: true, accents: true },
    otherwise: 'staff',
  },
  { kind: 'number', right: 3, tolerance: { of: 'share', value: 0.1 }, units: [{ name: 'm', factor: 1 }] },
  {
    kind: 'matching',
    lefts: [part('l')],
    rights: [part('r'), part('s')],
    pairs: { l: 'r' },
    credit: 'whole',
  },
  { kind: 'order', entries: [part('x'), part('y')], credit: 'whole' },
  { kind: 'long' },
];
const ASKING = {
  reveals: 'at_once',
  limit: 60,
  tries: 2,
  questions: Object.fromEntries(
    KINDS.map((one, at) => [`q${at}`, { ...shared, ...one, text: `Question of kind ${one.kind}`, at }]),
  ),
};

/** The bar at the foot of a phone's screen lies over what has been scrolled below it. */

test.use({ trace: 'off' });
test.setTimeout(600_000);
test.describe.configure({ mode: 'parallel' });

for (const language of ['en', 'es', 'fr', 'ar'] as const) {
  test(`work in ${language}`, async ({ page }) => {
    const { request } = page;
    await comeInAs(page, INES);
    const { id, sections } = await ownCourse(
      page,
      `AXE-WORK-${language.toUpperCase()}`,
      3,
      true,
      '2027-02-15',
    );
    const node = {
      ...{
        id: 'notes',
        kind: 'assignment',
        title: 'Field notes',
        minutes: 60,
        shown: true,
        total: 20,
        passAt: 12,
      },
      takes: { text: true, address: true, files: 3, kinds: ['document'] },
      lateUntil: { kind: 'fixed', day: '2027-03-05', time: null },
    };
    const quiz = { id: 'marsh', kind: 'quiz', title: 'The marsh', minutes: 20, shown: true, ...ASKING };
    const talk = { id: 'talk', kind: 'discussion', title: 'Which estuary?', minutes: 20, shown: true };
    await send(page, id, [
      {
        id: 'work',
        edits: [talk, quiz, node].map((one) => ({
          kind: 'insert',
          parent: sections[0],
          after: null,
          node: one,
        })),
      },
    ]);
    await addLearner(page, id, 'noor');
    await goLive(page, id);
    const at = `/api/learn/${id}/items/notes/coursework`;
    await speak(page, language);
    await signedInAs(page, NOOR);
    const typed = { version: 0, text: 'Low tide at nine', address: '', files: [] };
    expect((await request.put(`${at}/draft`, { data: typed })).ok()).toBe(true);
    for (const width of [1280, 390]) {
      await page.setViewportSize({ width, height: 844 });
      await page.goto(`/courses/${id}/items/notes`);
      await expect(page.locator('section.work textarea').first()).toHaveValue('Low tide at nine');
      await page.locator('.files input[type=file]').setInputFiles([
        {
          name: `run-${width}.exe`,
          mimeType: 'application/octet-stream',
          buffer: Buffer.from('MZ is a program'),
        },
      ]);
      await expect(page.locator('.files .failure')).toBeVisible();
      await toTheFoot(page);
      await clean(page, `what is begun, at ${width}`);
    }
    await page.locator('section.work .acts button').first().click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await clean(page, 'handing in', '[role="dialog"]');
    await page.getByRole('dialog').locator('button').last().click();
    await expect(page.locator('.receipt').first()).toBeVisible();
    await page.locator('.receipt summary').first().click();
    await clean(page, 'a receipt, on a phone');

    const quizAt = `/api/learn/${id}/items/marsh/quiz`;
    const attempt = randomUUID();
    const begun = await request.post(`${quizAt}/attempts`, { data: { id: attempt } });
    expect(begun.ok()).toBe(true);
    for (const width of [1280, 390]) {
      await page.setViewportSize({ width, height: 844 });
      await page.goto(`/courses/${id}/items/marsh`);
      await expect(page.locator('fieldset.question')).toHaveCount(8);
      if (width === 1280) {
        await page.locator('fieldset.question').first().locator('input[type=radio]').first().check();
        await page.locator('fieldset.question textarea').first().fill('Mud');
        await expect(page.locator('.bar .keeping')).toBeVisible();
        await page.locator('fieldset.question').first().locator('button').last().click();
        await expect(page.locator('.told').first()).toBeVisible();
      }
      await toTheFoot(page);
      await clean(page, `a quiz under way, at ${width}`);
    }
    await page.locator('.bar button').last().click();
    await page.getByRole('dialog').locator('button').last().click();
    await expect(page.locator('.attempts li')).toBeVisible();
    await toTheFoot(page);
    await clean(page, 'a quiz handed in, on a phone');

    const threads = `/api/learn/${id}/items/talk/discussion/threads`;
    const thread = { id: randomUUID(), post: randomUUID(), title: 'The Tagus', html: '<p>Mud</p>' };
    expect((await request.post(threads, { data: thread })).ok()).toBe(true);
    await page.goto(`/courses/${id}/items/talk`);
    await expect(page.locator('.threads .one')).toBeVisible();
    await clean(page, 'threads, on a phone');
    await page.locator('.threads .one').click();
    await page.locator('.thread > p > button').last().click();
    await expect(page.locator('.post-editor .files')).toBeVisible();
    await toTheFoot(page);
    await clean(page, 'a thread, and a post that is written, on a phone');

    await signedInAs(page, INES);
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto(`/courses/${id}/items/talk`);
    await page.locator('.talk summary').click();
    await expect(page.locator('.talk details li')).toHaveCount(1);
    await clean(page, 'threads, as staff have them');
    await page.locator('.threads .one').click();
    await expect(page.locator('article.post')).toBeVisible();
    await clean(page, 'a thread, as staff have it');
    await page.goto(`/courses/${id}/items/marsh/answers`);
    await expect(page.locator('table').first()).toBeVisible();
    await clean(page, 'how a quiz went');
    await page.locator('table').first().locator('tr button:enabled').last().click();
    await expect(page.locator('article').first()).toBeVisible();
    await clean(page, 'answers that are alike');
    for (const width of [1280, 390]) {
      await page.setViewportSize({ width, height: 844 });
      await page.goto(`/courses/${id}/items/notes/coursework`);
      await page.locator('.people li button').first().click();
      await expect(page.locator('article.beside')).toBeVisible();
      await page.locator('.mark > .acts button').first().click();
      await expect(page.locator('.mark details').first()).toBeVisible();
      await clean(page, `marking, at ${width}`);
    }
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto(`/setup/${id}/outline`);
    await page.locator('[data-row="notes"] [data-cell="act"]').first().click();
    await expect(page.locator('[data-panel] .handing')).toBeVisible();
    for (const part of await page.locator('[data-panel] .handing summary').all()) await part.click();
    await clean(page, 'what an assignment takes', '[data-panel]');
    await page.locator('[data-row="talk"] [data-cell="act"]').first().click();
    await expect(page.locator('[data-panel] .discussion')).toBeVisible();
    await clean(page, 'a discussion in the outline', '[data-panel]');
    await page.locator('[data-row="marsh"] [data-cell="act"]').first().click();
    await expect(page.locator('[data-panel] .quiz')).toBeVisible();
    await clean(page, 'how a quiz is taken', '[data-panel]');
    await page.locator('[data-panel] .quiz button').first().click();
    const questions = page.getByRole('dialog').locator('.list ol button');
    await expect(questions).toHaveCount(8);
    // What stands there is the same in every language, but for its words.
    for (const at of language === 'en' ? [1, 3, 4, 5, 6] : [5]) {
      await questions.nth(at).click();
      await clean(page, `question ${at + 1} as it is written`, '[role="dialog"]');
    }
    await page.getByRole('dialog').locator('.acts button').nth(1).click();
    await page.getByRole('dialog').last().locator('textarea').first().fill('So be it\n1. Is it?\n= true');
    await clean(page, 'questions from a text', '[role="dialog"]:last-of-type');
  });
}
