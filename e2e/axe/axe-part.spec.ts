/** axe-core finds nothing where films are watched, meetings met and surveys answered, nor where they are set up and looked at. */
import { randomUUID } from 'node:crypto';
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { CORE_CAPTIONS, coreFilm } from '../../packages/server/src/demo/film/core-film.ts';
import { clean, toTheFoot } from '../support/axe.ts';
import {
  addLearner,
  comeInAs,
  goLive,
  INES,
  LIVE,
  liveCourse,
  NOOR,
  ownCourse,
  send,
  signedInAs,
  speak,
} from '../support/people.ts';

test.use({ trace: 'off' });
test.setTimeout(600_000);
test.describe.configure({ mode: 'parallel' });

const choices = ['a', 'b'].map((id) => ({ id, text: `Choice ${id}` }));
const ASKS = {
  clear: { kind: 'scale', text: 'How clear was it?', at: 1, steps: 5, low: 'not at all', high: 'entirely' },
  pace: { kind: 'single', text: 'How was the pace?', at: 2, choices },
  helped: { kind: 'several', text: 'What has helped?', at: 3, choices },
  muddy: { kind: 'open', text: 'What is muddy?', at: 4 },
};

async function sent(page: Page, id: string, name: string, bytes: Buffer): Promise<object> {
  const answer = await page.request.post(`/api/courses/${id}/files?name=${name}`, {
    headers: { 'content-type': 'application/octet-stream' },
    data: bytes,
  });
  const { hash, size, type } = (await answer.json()) as { hash: string; size: number; type: string };
  return { hash, name, size, type, alt: null, author: null, licence: null };
}

for (const language of ['en', 'es', 'fr', 'ar'] as const) {
  test(`taking part in ${language}`, async ({ page }) => {
    const { request } = page;
    await comeInAs(page, INES);
    const { id, sections } = await ownCourse(
      page,
      `AXE-PART-${language.toUpperCase()}`,
      3,
      true,
      '2027-02-15',
    );
    const film = {
      ...{ id: 'film', kind: 'video', title: 'One breath', seconds: 402, done: { by: 'watched', least: 80 } },
      file: await sent(page, id, 'breath.webm', (await coreFilm()).bytes),
      captions: ['en', 'pt'].map((of) => ({ language: of, file: null as object | null })),
      chapters: [
        { at: 0, title: 'Where you stand' },
        { at: 80, title: 'Down' },
      ],
    };
    for (const one of film.captions) one.file = await sent(page, id, 'said.vtt', CORE_CAPTIONS.bytes);
    const held = { kind: 'fixed', day: '2027-03-05', time: '09:30' };
    const meeting = {
      ...{ id: 'meet', kind: 'meeting', title: 'Mudflat visit', held, attendance: 'code', place: 'The slip' },
      ...{ room: 'https://rooms.example/mud', done: { by: 'attended' } },
    };
    const survey = { id: 'went', kind: 'survey', title: 'How it went', asks: ASKS };
    const insert = (one: object) => ({
      ...{ kind: 'insert', parent: sections[0], after: null },
      node: { minutes: 20, shown: true, ...one },
    });
    await send(page, id, [{ id: 'parts', edits: [survey, meeting, film].map(insert) }]);
    await addLearner(page, id, 'noor');
    await goLive(page, id);
    await speak(page, language);
    await signedInAs(page, NOOR);
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto(`/courses/${id}/items/film`);
    await page.locator('details.said summary').click();
    await expect(page.locator('details.said li').first()).toBeVisible();
    await toTheFoot(page);
    await clean(page, 'a film, on a phone');
    await page.goto(`/courses/${id}/items/meet`);
    await page.locator('.enter input').fill('AAAAAA');
    await page.locator('.enter button').click();
    await expect(page.locator('.enter .v-input--error')).toBeVisible();
    // The hint before it has gone.
    await expect(page.locator('.enter .v-messages__message')).toHaveCount(1);
    await clean(page, 'a meeting, and a code that is none, on a phone');
    for (const width of [1280, 390]) {
      await page.setViewportSize({ width, height: 844 });
      await page.goto(`/courses/${id}/items/went`);
      await page.locator('.ask input[type=radio]').first().check();
      await toTheFoot(page);
      await clean(page, `a survey, at ${width}`);
    }
    await page.locator('.bar button').last().click();
    await expect(page.locator('.thanks')).toBeVisible();
    await clean(page, 'a survey that is answered, on a phone');

    for (const width of [390, 1280]) {
      await page.setViewportSize({ width, height: 844 });
      await page.goto('/calendar?month=2027-03');
      const isMonth = width === 1280;
      await page
        .locator('.ways button')
        .nth(isMonth ? 0 : 1)
        .click();
      await expect(page.locator('.thing').first()).toBeVisible();
      if (isMonth) await page.locator('td .number').nth(5).click();
      await page.locator('.feed summary').click();
      await page.locator('.feed button').first().click();
      await expect(page.locator('.feed input')).toBeVisible();
      await clean(page, `a calendar, at ${width}`);
    }

    await signedInAs(page, INES);
    const desk = `/api/courses/${id}/items/meet/meeting`;
    expect((await request.post(`${desk}/codes`, { data: { id: randomUUID() } })).ok()).toBe(true);
    for (const width of [390, 1280]) {
      await page.setViewportSize({ width, height: 844 });
      await page.goto(`/courses/${id}/items/meet/attendance`);
      await expect(page.locator('.letters')).toBeVisible();
      await toTheFoot(page);
      await clean(page, `who was there, at ${width}`);
    }
    await page.goto(`/courses/${id}/items/went/survey`);
    await expect(page.locator('.promise')).toBeVisible();
    await clean(page, 'a survey of which nothing is shown yet');
    await page.goto(`/setup/${id}/outline`);
    for (const [item, part] of [
      ['film', '.film'],
      ['meet', '.meeting'],
      ['went', '.survey'],
    ] as const) {
      await page.locator(`[data-row="${item}"] [data-cell="act"]`).first().click();
      await expect(page.locator(`[data-panel] ${part}`)).toBeVisible();
      await clean(page, `${item} in the outline`, '[data-panel]');
    }
    await page.locator('[data-panel] .survey button').first().click();
    await expect(page.getByRole('dialog').locator('li[data-ask]')).toHaveCount(4);
    await clean(page, 'what a survey asks', '[role="dialog"]');
    // What it came to, with its bars: the demo's has enough answers.
    const live = await liveCourse(page, LIVE);
    const { course } = (await (await request.get(`/api/courses/${live}/plan`)).json()) as {
      course: { sections: { items: { id: string; kind: string }[] }[] };
    };
    const known =
      course.sections.flatMap(({ items }) => items).find(({ kind }) => kind === 'survey')?.id ?? '';
    await page.goto(`/courses/${live}/items/${known}/survey`);
    await expect(page.locator('.totals svg').first()).toBeVisible();
    await page.locator('.ask summary').first().click();
    await clean(page, 'what a survey came to');
  });
}
