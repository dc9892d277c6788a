/** A film: set up with its captions and parts, half watched on a phone through a lost line, and finished at a desk. */
import { randomUUID } from 'node:crypto';
import { expect, test } from '@playwright/test';
import type { Page } from '@playwright/test';
import { coreFilm } from '../../packages/server/src/demo/film/core-film.ts';
import { aPhone, liveWith } from '../support/coursework.ts';
import { allSaved, choose, NOOR, put, signedInAs } from '../support/people.ts';
import { secondServer } from '../support/second-server.ts';

const VTT =
  'WEBVTT\n\n00:02.000 --> 00:12.000\nOne tube, one cap, one breath.\n\n01:20.000 --> 01:40.000\nNow lean.\n';

/** Plays it without a sound, four times as fast, for so many seconds of the film. */
async function play(page: Page, seconds: number): Promise<void> {
  await page.locator('video').evaluate(async (element, lasts) => {
    const player = element as HTMLVideoElement;
    player.muted = true;
    player.playbackRate = 4;
    const until = player.currentTime + lasts;
    await player.play();
    await new Promise<void>((resolve) => {
      const looking = setInterval(() => {
        if (player.currentTime < until && !player.ended) return;
        clearInterval(looking);
        resolve();
      }, 50);
    });
    player.pause();
  }, seconds);
}
const at = (page: Page): Promise<number> =>
  page.locator('video').evaluate((element) => (element as HTMLVideoElement).currentTime);
const goTo = (page: Page, seconds: number): Promise<void> =>
  page.locator('video').evaluate((element, to) => {
    (element as HTMLVideoElement).currentTime = to;
  }, seconds);

test('with captions and parts; half of it on a phone, through a lost line; the rest at a desk, and done', async ({
  browser,
  page,
}) => {
  const id = await liveWith(page, 'FILM-E2E', { id: 'film', kind: 'video', title: 'One breath', minutes: 7 });
  await page.goto(`/setup/${id}/outline`);
  await page.getByRole('button', { name: 'Edit what One breath holds' }).click();
  const panel = page.getByRole('complementary', { name: /One breath/ });
  const { bytes } = await coreFilm();
  await panel
    .locator('.file input[type=file]')
    .first()
    .setInputFiles({ name: 'one-breath.webm', mimeType: 'video/webm', buffer: bytes });
  // Its length is read off it.
  await expect(panel.getByRole('textbox', { name: 'Playing time' })).toHaveValue('6:42');
  const captions = panel.locator('.film input[type=file]');
  const file = (text: string) => ({ name: 'said.vtt', mimeType: 'text/vtt', buffer: Buffer.from(text) });
  await captions.setInputFiles(file('WEBVTT\n\n00:02,000 --> 00:12,000\nOne tube.\n'));
  await expect(panel.getByText(/line 3 says “00:02,000 --> 00:12,000”/)).toBeVisible();
  await captions.setInputFiles(file(VTT));
  await expect(panel.getByText('said.vtt')).toBeVisible();
  const parts = panel.getByRole('textbox', { name: /^Parts/ });
  await put(parts, '0:00 Where you stand\n7:00 Down');
  await expect(panel.getByText('Line 2, “7:00 Down”, lies after the end of the film.')).toBeVisible();
  await put(parts, '0:00 Where you stand\n1:20 Down');
  await choose(panel.getByRole('combobox', { name: /^Counts as done when/ }), 'watched to so much');
  await allSaved(page);

  // Time passes when it is told to: what has been played can have been played by then.
  const server = await secondServer('2027-03-02T10:00:00.000Z', 'told');
  let minute = 0;
  const later = (): void => server.tell(`2027-03-02T10:${String((minute += 1)).padStart(2, '0')}:00.000Z`);
  const { context, phone } = await aPhone(browser, server.url);
  await signedInAs(phone, NOOR);
  await phone.goto(`/courses/${id}/items/film`);
  await expect(phone.getByText('0% watched')).toBeVisible();
  later();
  await play(phone, 20);
  await expect(phone.getByText('Kept by the server')).toBeVisible();
  // A jump adds nothing.
  await phone.getByRole('button', { name: /1:20/ }).first().click();
  expect(await at(phone)).toBeCloseTo(80, 0);
  await expect(phone.getByText(/^[45]% watched/)).toBeVisible();
  await context.setOffline(true);
  later();
  await play(phone, 16);
  await expect(phone.getByText('Kept on this device, on its way')).toBeVisible();
  await context.setOffline(false);
  await phone.reload();
  await expect(phone.getByText(/^It goes on at 1:3\d, where you were\./)).toBeVisible();
  await expect(phone.getByText(/^[89]% watched/)).toBeVisible();
  await expect(phone.getByText('Kept by the server')).toBeVisible();
  await phone.getByText('What is said').click();
  await phone.getByRole('button', { name: /Now lean/ }).click();
  expect(await at(phone)).toBeCloseTo(80, 0);
  const tracks = await phone.locator('video').evaluate((element) =>
    [...(element as HTMLVideoElement).textTracks].map((track) => {
      // Turned on, as by the player's own menu.
      track.mode = 'showing';
      return [track.language, track.kind, [...(track.cues ?? [])].map((cue) => (cue as VTTCue).text)];
    }),
  );
  expect(tracks).toEqual([['en', 'captions', ['One tube, one cap, one breath.', 'Now lean.']]]);

  // At a desk it goes on, to the end; what was skipped is still missing.
  const desk = await browser.newContext({ baseURL: server.url });
  const wide = await desk.newPage();
  await signedInAs(wide, NOOR);
  await wide.goto(`/courses/${id}/items/film`);
  await expect(wide.getByText(/^It goes on at 1:\d\d/)).toBeVisible();
  later();
  await goTo(wide, 382);
  await play(wide, 30);
  await expect(wide.getByText(/^1[34]% watched/)).toBeVisible();
  await expect(wide.getByText('Kept by the server')).toBeVisible();
  await expect(wide.getByText('Done', { exact: true })).toHaveCount(0);
  // Nobody waits for five minutes more: the rest is told as a player tells it.
  const path = `/api/learn/${id}/items/film/film`;
  const { film } = (await (await wide.request.get(path)).json()) as { film: string };
  const run = { from: 96_000, to: 384_000 };
  const tell = () =>
    wide.request.post(`${path}/watched`, {
      data: { id: randomUUID(), film, runs: [run], position: run.to },
    });
  expect((await tell()).status()).toBe(409);
  later();
  expect((await tell()).status()).toBe(200);
  await wide.reload();
  await expect(wide.getByText('Done', { exact: true }).first()).toBeVisible();
  await desk.close();
  await context.close();
  await server.stop();
});
