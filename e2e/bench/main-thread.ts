/**
 * How long an instructor's own browser is busy with an act, in a course of 300 items, against the caret moved from one
 * cell of the outline to the next: an item added, and the slowest stop opened until it is drawn and can be used. Prints
 * `ratio NAME N`; and what it comes to with the parts below the view, which are made when nothing else is to do.
 *
 * What is pressed is pressed by its place, so that nobody's search for it is measured too.
 */
import { chromium } from '@playwright/test';
import type { CDPSession, Locator, Page } from '@playwright/test';
import { cookieOf, demoPeople } from './support/enter.ts';
import { middle } from './support/middle.ts';

const ROUNDS = 15;
const ITEMS = 300;
const WEEKS = 15;
const STOPS = ['about', 'dates', 'outline', 'menu', 'look', 'access', 'messages', 'readiness'] as const;

const INSTRUCTOR = 'Inês Carvalhal';

const base = process.env['E2E_URL'];
if (base === undefined) throw new Error('E2E_URL is not set; this is run by npm run bench');
const cookie = await cookieOf(base, ({ name }) => name === INSTRUCTOR);

async function post<T>(path: string, data: unknown): Promise<T> {
  const answer = await fetch(`${base}${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: base ?? '', cookie },
    body: JSON.stringify(data),
  });
  if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
  return (await answer.json()) as T;
}

async function largeCourse(): Promise<string> {
  const { id } = await post<{ id: string }>('/api/courses', {
    title: 'Three hundred items',
    code: `BENCH-${Date.now()}`,
    purpose: 'learners',
    department: null,
    term: null,
    firstDay: '2027-03-01',
    weeks: WEEKS,
    zone: 'Europe/Lisbon',
  });
  const answer = await fetch(`${base}/api/courses/${id}/plan`, { headers: { cookie } });
  const { course } = (await answer.json()) as { course: { sections: { id: string }[] } };
  const edits = Array.from({ length: ITEMS }, (_, at) => ({
    kind: 'insert',
    parent: course.sections[at % WEEKS]?.id,
    after: null,
    node: { id: `item-${at}`, kind: 'page', title: `Page ${at}`, minutes: 10, shown: true },
  }));
  const changes = [{ id: 'all', edits }];
  const { refused } = await post<{ refused: unknown[] }>(`/api/courses/${id}/changes`, {
    since: 0,
    changes,
    texts: {},
  });
  if (refused.length > 0) throw new Error(JSON.stringify(refused[0]));
  return id;
}

/** Milliseconds of tasks on the main thread, of the page's script, style, layout and paint. */
async function busy(session: CDPSession): Promise<number> {
  const { metrics } = await session.send('Performance.getMetrics');
  return (metrics.find(({ name }) => name === 'TaskDuration')?.value ?? NaN) * 1000;
}

/** What an act costs until nothing is drawn any more. */
async function cost(page: Page, session: CDPSession, act: () => Promise<unknown>): Promise<number> {
  const before = await busy(session);
  await act();
  await page.evaluate(
    () =>
      new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(done, 60)))),
  );
  return (await busy(session)) - before;
}

async function many(act: () => Promise<number>): Promise<number> {
  const found: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) found.push(await act());
  return middle(found);
}

const browser = await chromium.launch({
  executablePath: process.env['CHROME_PATH'] ?? '/usr/bin/chromium-headless-shell',
  args: ['--no-sandbox', '--disable-gpu'],
});
try {
  const id = await largeCourse();
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    reducedMotion: 'reduce',
  });
  const people = await demoPeople(base);
  const person = people.find(({ name }) => name === INSTRUCTOR)?.id;
  await context.request.post(`${base}/api/demo/session`, { data: { person }, headers: { origin: base } });
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  await session.send('Performance.enable');
  const placeOf = async (what: Locator): Promise<() => Promise<void>> => {
    const box = await what.boundingBox();
    if (box === null) throw new Error('it is not on the page');
    return () => page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
  };
  /** @returns presses a stop, and is there when its heading is. */
  const opening = async (stop: string): Promise<() => Promise<void>> => {
    const press = await placeOf(page.locator(`.setup-route a[href$="/${stop}"]`));
    const before = await page.locator('main h1').elementHandle();
    return async () => {
      await press();
      await page.waitForFunction((old) => ![null, old].includes(document.querySelector('main h1')), before, {
        polling: 10,
      });
    };
  };
  const open = async (stop: string): Promise<void> => {
    if (!page.url().endsWith(`/${stop}`)) await (await opening(stop))();
  };
  const allMade = (): Promise<unknown> =>
    page.waitForFunction(() => document.querySelector('[data-later]') === null, null, { polling: 100 });
  await page.goto(`${base}/setup/${id}/outline`);
  await page.getByLabel('Title of item 1.1', { exact: true }).focus();
  const rest = (): Promise<void> => page.waitForTimeout(400);

  const arrow = await many(async () => cost(page, session, () => page.keyboard.press('ArrowDown')));
  await page.getByLabel('Title of item 1.1', { exact: true }).focus();
  const added = await many(async () => {
    const press = await placeOf(page.getByRole('button', { name: 'Add: Page' }));
    const taken = await cost(page, session, press);
    await rest();
    return taken;
  });
  const stops: (readonly [string, number])[] = [];
  const wholes: (readonly [string, number])[] = [];
  for (const stop of STOPS) {
    const from = stop === 'about' ? 'messages' : 'about';
    const [found, whole]: [number[], number[]] = [[], []];
    for (let round = 0; round < Math.ceil(ROUNDS / 3); round += 1) {
      await open(from);
      await allMade();
      await rest();
      const press = await opening(stop);
      const before = await busy(session);
      found.push(await cost(page, session, press));
      await allMade();
      await rest();
      whole.push((await busy(session)) - before);
    }
    stops.push([stop, middle(found)]);
    wholes.push([stop, middle(whole)]);
  }
  const worstOf = (of: typeof stops): readonly [string, number] =>
    of.reduce((worst, one) => (one[1] > worst[1] ? one : worst));
  const [slowest, most] = worstOf(stops);
  const [longest, longestMs] = worstOf(wholes);
  console.log(
    `an arrow ${arrow.toFixed(1)} ms, an item added ${added.toFixed(1)} ms; stops, ms: ${stops.map(([stop, ms]) => `${stop} ${ms.toFixed(0)}`).join(', ')}`,
  );
  console.log(`ratio add-item-vs-arrow ${(added / arrow).toFixed(2)}`);
  console.log(`ratio stop-vs-arrow ${(most / arrow).toFixed(2)} (${slowest})`);
  console.log(`ratio whole-stop-vs-arrow ${(longestMs / arrow).toFixed(2)} (${longest})`);
} finally {
  await browser.close();
}
