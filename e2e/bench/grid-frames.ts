/**
 * Frames that Chromium draws while one moves through the grid of five hundred learners and two hundred items, down and to
 * the side, as a hand on a wheel does; of as many as the same browser draws on an empty page. Prints how many a second, and
 * `ratio grid-frames N`: one is all of them.
 */
import { chromium } from '@playwright/test';
import type { Page } from '@playwright/test';
import { connect } from '../../packages/server/src/db/orm.ts';
import { classOf } from './support/class-of.ts';
import { asInstructor, cookieOf } from './support/enter.ts';

const LEARNERS = 500;
const ITEMS = 200;
const SECONDS = 4;
const base = process.env['E2E_URL'];
const url = process.env['DATABASE_URL'];
if (base === undefined || url === undefined) throw new Error('E2E_URL and DATABASE_URL are missing');

const database = await connect(url);
const run = (sql: string, values: readonly unknown[] = []): Promise<unknown> =>
  database.em.fork().execute(sql, [...values]);
const id = await classOf(await asInstructor(base), run, {
  ...{ code: 'BENCH-FRAMES', learners: LEARNERS, items: ITEMS, now: '2027-02-16T09:42:00.000Z' },
});
await run(
  `insert into deed (course_id, person_id, item_id, facts)
     select ?, 'BENCH-FRAMES-p' || n, 'BENCH-FRAMES-' || i, '{"ticked": 5}' from generate_series(1, ?) n, generate_series(0, ?) i
     where (n * 31 + i * 17) % 10 < 6`,
  [id, LEARNERS, ITEMS - 1],
);
await run(
  `insert into progress (course_id, person_id, basis) select ?, 'BENCH-FRAMES-p' || n, 'anew' from generate_series(1, ?) n`,
  [id, LEARNERS],
);
await database.close(true);

/** Frames in a second, while something goes on. */
async function frames(page: Page, goOn: (until: number) => Promise<unknown>): Promise<number> {
  const counted = page.evaluate(async (seconds) => {
    const began = performance.now();
    let count = 0;
    while (performance.now() - began < seconds * 1000) {
      await new Promise((done) => requestAnimationFrame(done));
      count += 1;
    }
    return count / seconds;
  }, SECONDS);
  await goOn(Date.now() + SECONDS * 1000);
  return counted;
}

const browser = await chromium.launch({
  executablePath: process.env['CHROME_PATH'] ?? '/usr/bin/chromium-headless-shell',
  args: ['--no-sandbox', '--disable-gpu'],
});
try {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, baseURL: base });
  const [name = '', value = ''] = (await cookieOf(base, ({ part }) => part === 'instructor')).split('=');
  await context.addCookies([{ name, value, url: base }]);
  const page = await context.newPage();
  await page.goto('about:blank');
  const empty = await frames(page, async () => undefined);
  await page.goto(`/courses/${id}/progress`);
  const cell = page.getByRole('gridcell').first();
  await cell.waitFor();
  const box = await page.getByRole('grid').boundingBox();
  if (box === null) throw new Error('the grid is not there');
  await page.mouse.move(box.x + box.width / 2, Math.min(box.y + 200, 700));
  let turns = 0;
  const moved = await frames(page, async (until) => {
    while (Date.now() < until) {
      turns += 1;
      // Down for a while, then to the side, and on.
      await page.mouse.wheel(turns % 40 < 20 ? 0 : 90, turns % 40 < 20 ? 120 : 0);
      await new Promise((done) => setTimeout(done, 16));
    }
  });
  const first = await page.getByRole('rowheader').first().textContent();
  console.log(
    `  ${moved.toFixed(0)} frames a second, ${empty.toFixed(0)} on an empty page; the first row is ${String(first).trim()}`,
  );
  console.log(`ratio grid-frames ${(moved / empty).toFixed(2)}`);
} finally {
  await browser.close();
}
