/** A learner goes through a course on a phone, thing by thing of every kind, until the course says that it is done. */
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { coreFilm } from '../../packages/server/src/demo/film/core-film.ts';
import { aPhone, liveWith } from '../support/coursework.ts';
import { allSaved, INES, NOOR, rowOnDesk, send, setting, signedInAs } from '../support/people.ts';
import { secondServer } from '../support/second-server.ts';

const NOW = '2027-03-02T17:50:00.000Z';
const TIDE = { kind: 'truth', text: 'Two high tides a day?', right: true, at: 1 };
const common = { minutes: 20, shown: true };

async function howFar(phone: Page, id: string, done: number): Promise<void> {
  await phone.goto(`/courses/${id}/how-far`);
  await expect(phone.getByText(`${done} of 6 done`).first()).toBeVisible();
}

test('page, film, quiz, assignment, discussion and meeting, each by its own rule, and then it is done', async ({
  browser,
  page,
}) => {
  test.setTimeout(180_000);
  const id = await liveWith(page, 'PROG-5', {
    ...{ id: 'boots', kind: 'page', title: 'Boots', done: { by: 'ticked' } },
  });
  const after = (node: object): object => ({ kind: 'insert', parent: section, after: 'boots', node });
  const plan = await (await page.request.get(`/api/courses/${id}/plan`)).json();
  const section = (plan as { course: { sections: { id: string }[] } }).course.sections[0]?.id;
  const held = { kind: 'fixed', day: '2027-03-02', time: '18:00' };
  await send(page, id, [
    {
      id: 'rest',
      edits: [
        after({ ...common, id: 'meet', kind: 'meeting', title: 'Mudflat visit', held, minutes: 90 }),
        after({
          ...common,
          id: 'talk',
          kind: 'discussion',
          title: 'Where?',
          done: { by: 'posted', least: 1 },
        }),
        after({ ...common, id: 'notes', kind: 'assignment', title: 'Notes', done: { by: 'handed_in' } }),
        after({
          ...{ ...common, id: 'marsh', kind: 'quiz', title: 'The marsh', questions: { tide: TIDE } },
          ...{ passAt: 1, done: { by: 'passed' } },
        }),
        after({
          ...common,
          id: 'film',
          kind: 'video',
          title: 'One breath',
          done: { by: 'watched', least: 3 },
        }),
      ],
    },
    {
      id: 'rules',
      edits: [
        setting('meet', 'attendance', 'code', 'none'),
        setting('meet', 'done', { by: 'attended' }, null),
        setting(id, 'doneWords', 'Well walked, all the way.', null),
      ],
    },
  ]);
  await page.goto(`/setup/${id}/outline`);
  await page.getByRole('button', { name: 'Edit what One breath holds' }).click();
  const panel = page.getByRole('complementary', { name: /One breath/ });
  const { bytes } = await coreFilm();
  const film = { name: 'one-breath.webm', mimeType: 'video/webm', buffer: bytes };
  await panel.locator('.file input[type=file]').first().setInputFiles(film);
  await expect(panel.getByRole('textbox', { name: 'Playing time' })).toHaveValue('6:42');
  await allSaved(page);
  await page.goto(`/setup/${id}/progress`);
  await expect(page.getByText(/^It can be finished: on Tue 2 Mar at the earliest/)).toBeVisible();

  const server = await secondServer(NOW, 'told');
  const { context, phone } = await aPhone(browser, server.url);
  await signedInAs(phone, NOOR);
  await howFar(phone, id, 0);
  const done = phone.getByText('Done', { exact: true }).first();
  const to = (item: string) => phone.goto(`/courses/${id}/items/${item}`);

  await to('boots');
  await phone.getByRole('button', { name: 'Done with it' }).click();
  await expect(done).toBeVisible();

  await to('film');
  await expect(phone.getByText('0% watched')).toBeVisible();
  server.tell('2027-03-02T17:52:00.000Z');
  await phone.locator('video').evaluate(async (element) => {
    const player = element as HTMLVideoElement;
    player.muted = true;
    player.playbackRate = 4;
    await player.play();
    while (player.currentTime < 16) await new Promise((resolve) => setTimeout(resolve, 50));
    player.pause();
  });
  await expect(phone.getByText('Kept by the server')).toBeVisible();
  await expect(done).toBeVisible();
  await howFar(phone, id, 2);

  await to('marsh');
  await phone.getByRole('button', { name: 'Begin', exact: true }).click();
  await phone.getByRole('radio', { name: 'False' }).check();
  const handIn = phone.getByRole('button', { name: 'Hand in', exact: true });
  await handIn.click();
  await phone.getByRole('dialog').getByRole('button', { name: 'Hand in' }).click();
  await expect(phone.getByText(/^0 of 1 point/)).toBeVisible();
  // Handed in is not passed: it says what is missing.
  await expect(phone.getByText('Counts as done once it is passed, with 100 %; it has 0 %.')).toBeVisible();
  await phone.getByRole('button', { name: 'Begin another attempt' }).click();
  await phone.getByRole('radio', { name: 'True' }).check();
  await handIn.click();
  await phone.getByRole('dialog').getByRole('button', { name: 'Hand in' }).click();
  await expect(done).toBeVisible();

  await to('notes');
  await phone.getByRole('textbox', { name: 'Your text' }).fill('Mud, and a heron.');
  await expect(phone.getByText(/Kept by the server/)).toBeVisible();
  await handIn.click();
  await phone.getByRole('dialog').getByRole('button', { name: 'Hand in' }).click();
  await expect(done).toBeVisible();

  await to('talk');
  await phone.getByRole('button', { name: 'Begin a thread' }).click();
  await phone
    .getByRole('textbox', { name: /Title|about/ })
    .first()
    .fill('The Tagus');
  await phone.getByRole('textbox', { name: 'Your post' }).fill('It has mud.');
  await phone.getByRole('button', { name: 'Begin it' }).click();
  await expect(done).toBeVisible();
  await phone.getByRole('button', { name: 'All threads' }).click();
  await expect(phone.getByRole('button', { name: 'Begin a thread' })).toBeVisible();
  await howFar(phone, id, 5);
  await expect(phone.getByText('Well walked')).toHaveCount(0);

  const staff = await browser.newContext({ baseURL: server.url });
  const list = await staff.newPage();
  await signedInAs(list, INES);
  await list.goto(`/courses/${id}/items/meet/attendance`);
  await list.getByRole('button', { name: 'New code' }).click();
  const code = (await list.locator('.letters').textContent()) ?? '';
  await to('meet');
  const field = phone.getByRole('textbox', { name: 'Code of the meeting' });
  await field.fill(code);
  await field.press('Enter');
  await expect(phone.getByText('You were there.')).toBeVisible();

  await howFar(phone, id, 6);
  await expect(phone.getByText(/Done, since/)).toBeVisible();
  await expect(phone.getByText('Well walked, all the way.')).toBeVisible();
  await phone.goto('/desk');
  await expect((await rowOnDesk(phone, 'PROG-5')).getByText('Done with the course.')).toBeVisible();
  await staff.close();
  await context.close();
  await server.stop();
});
