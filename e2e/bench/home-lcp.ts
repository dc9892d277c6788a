/**
 * How long a learner on a slow phone waits for the home page of a course, against a page of plain HTML with the
 * same banner: the largest contentful paint of each, nothing kept from before, in turns. Prints `ratio NAME N`.
 */
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { chromium, devices } from '@playwright/test';
import type { Browser, BrowserContext } from '@playwright/test';
import { middle } from './support/middle.ts';

const ROUNDS = 15;
const SLOWER_CPU = 4;
/** 10 Mbit/s both ways, and what a phone's network takes to answer. */
const BYTES_PER_SECOND = 10_000_000 / 8;
const LATENCY_MS = 40;
const COURSE = 'EFM-210-SPR27';
const LEARNER = 'Noor Rahimi';

interface Page {
  readonly html: string;
  readonly banner: Buffer;
  readonly type: string;
}

interface Paints {
  /** When it was painted, in milliseconds after the page was asked for. */
  readonly largest: number;
  /** What was largest: a picture, or words. */
  readonly what: string;
}

async function paints(context: BrowserContext, url: string, ready: string): Promise<Paints> {
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  await session.send('Network.enable');
  await session.send('Network.setCacheDisabled', { cacheDisabled: true });
  await session.send('Network.emulateNetworkConditions', {
    offline: false,
    latency: LATENCY_MS,
    downloadThroughput: BYTES_PER_SECOND,
    uploadThroughput: BYTES_PER_SECOND,
  });
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER_CPU });
  await page.goto(url, { waitUntil: 'load' });
  await page.getByText(ready).first().waitFor();
  await page.waitForLoadState('networkidle');
  const found = await page.evaluate(
    () =>
      new Promise<Paints>((resolve) => {
        new PerformanceObserver((list) => {
          const last = list.getEntries().at(-1) as (PerformanceEntry & { url: string }) | undefined;
          resolve({ largest: last?.startTime ?? NaN, what: last?.url ? 'a picture' : 'words' });
        }).observe({ type: 'largest-contentful-paint', buffered: true });
      }),
  );
  await page.close();
  return found;
}

/** The plain page: the same picture, the same title and the same words, and a few lines of style in it. */
async function plainPage(context: BrowserContext, base: string, id: string): Promise<Page> {
  const { request } = context;
  const frame = (await (await request.get(`${base}/api/learn/${id}/frame`)).json()) as {
    title: string;
    banner: { version: string } | null;
  };
  const home = (await (await request.get(`${base}/api/learn/${id}`)).json()) as {
    texts: Record<string, string>;
  };
  if (frame.banner === null) throw new Error(`${COURSE} has no banner to measure with`);
  const picture = await request.get(`${base}/api/learn/${id}/face/phone?width=960&v=${frame.banner.version}`);
  return {
    banner: await picture.body(),
    type: picture.headers()['content-type'] ?? '',
    html: `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>${frame.title}</title>
<style>body{margin:0;font:17px/1.5 sans-serif}img{display:block;width:100%;height:150px;object-fit:cover}main{padding:16px}</style>
<img src="/banner" alt=""><main><h1>${frame.title}</h1>${Object.values(home.texts).join('')}</main></html>`,
  };
}

async function measure(browser: Browser, base: string): Promise<void> {
  const phone = devices['Pixel 5'];
  const context = await browser.newContext({ ...phone });
  const { people } = (await (await context.request.get(`${base}/api/demo/people`)).json()) as {
    people: { id: string; name: string }[];
  };
  const person = people.find(({ name }) => name === LEARNER)?.id;
  await context.request.post(`${base}/api/demo/session`, { data: { person }, headers: { origin: base } });
  const { courses } = (await (await context.request.get(`${base}/api/desk`)).json()) as {
    courses: { id: string; code: string }[];
  };
  const id = courses.find(({ code }) => code === COURSE)?.id;
  if (id === undefined) throw new Error(`${LEARNER} is not in ${COURSE}`);
  const plain = await plainPage(context, base, id);
  const server = createServer((request, response) => {
    const isBanner = request.url === '/banner';
    response.setHeader('Content-Type', isBanner ? plain.type : 'text/html');
    response.end(isBanner ? plain.banner : plain.html);
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const plainAt = `http://127.0.0.1:${(server.address() as AddressInfo).port}/`;
  const ours: Paints[] = [];
  const theirs: Paints[] = [];
  const title = /<h1>(.*?)<\/h1>/.exec(plain.html)?.[1] ?? '';
  for (let round = 0; round <= ROUNDS; round += 1) {
    const plainly = await paints(context, plainAt, title);
    const own = await paints(context, `${base}/courses/${id}/home`, title);
    // The first round finds both servers as they have just begun.
    if (round === 0) continue;
    theirs.push(plainly);
    ours.push(own);
  }
  server.close();
  await context.close();
  const ratio = middle(ours.map(({ largest }) => largest)) / middle(theirs.map(({ largest }) => largest));
  console.log(`ratio home-lcp-vs-static ${ratio.toFixed(1)}`);
  console.log(
    `  largest paint of a course's home page on a slow phone, against plain HTML with the same banner: times as long (${ours.at(-1)?.what ?? ''} was largest, and there ${theirs.at(-1)?.what ?? ''})`,
  );
}

const base = process.env['E2E_URL'];
if (base === undefined) throw new Error('E2E_URL is missing: the address of a server with the demo data');
const browser = await chromium.launch({
  executablePath: process.env['CHROME_PATH'] ?? '/usr/bin/chromium-headless-shell',
  args: ['--no-sandbox'],
});
try {
  await measure(browser, base);
} finally {
  await browser.close();
}
