/**
 * Opening the table of members, and finding one of them, where there are ten thousand, against a hundred, in one browser;
 * each came by one class list. Prints `ratio members-10000-vs-100 N`.
 */
import { randomUUID } from 'node:crypto';
import { chromium } from '@playwright/test';
import type { Page } from '@playwright/test';
import { asInstructor, cookieOf } from './support/enter.ts';
import { middle } from './support/middle.ts';

const base = process.env['E2E_URL'];
if (base === undefined) throw new Error('E2E_URL is missing: the address of a server with the demo data');
const cookie = await cookieOf(base, ({ part }) => part === 'instructor');
const asked = await asInstructor(base);

/** A course with so many, all by one list. */
async function courseOf(many: number): Promise<string> {
  const { id } = await asked<{ id: string }>('/api/courses', {
    title: `Course of ${many}`,
    code: `MANY-${many}`,
    purpose: 'learners',
    department: null,
    term: null,
    firstDay: '2027-03-01',
    weeks: 3,
    zone: 'UTC',
  });
  const { stamp } = await asked<{ stamp: string }>(`/api/courses/${id}/roster`);
  const rows = Array.from({ length: many }, (_, at) => ({
    line: at + 2,
    id: String(20_000 + at),
    given: `Given${at}`,
    family: `Family${(at * 7919) % many}`,
    address: `somebody.${at}@away.example`,
    class: `Shore ${at % 20}`,
  }));
  const list = {
    id: randomUUID(),
    stamp,
    source: '',
    shape: { heading: null, columns: [] },
    rows,
    choices: [],
    remove: [],
  };
  const begun = performance.now();
  await asked(`/api/courses/${id}/lists`, list);
  console.log(`  ${many} taken in: ${(performance.now() - begun).toFixed(0)} ms`);
  return id;
}

const ROUNDS = 9;
/** From the press on the stop to its rows; from a few letters to the one row that is left. */
async function times(page: Page, id: string): Promise<number> {
  const opening: number[] = [];
  const finding: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    await page.goto(`${base}/setup/${id}/messages`);
    await page.locator('.setup-route').waitFor();
    await page.waitForTimeout(400);
    opening.push(
      await page.evaluate(async (course) => {
        const begun = performance.now();
        const link = document.querySelector<HTMLElement>(`.setup-route a[href="/setup/${course}/members"]`);
        if (link === null) throw new Error(`no way to the members at ${location.href}`);
        link.click();
        while (performance.now() - begun < 20_000) {
          await new Promise((done) => requestAnimationFrame(done));
          if (document.querySelectorAll('.long-table tbody tr td').length > 20)
            return performance.now() - begun;
        }
        throw new Error('the members have not come');
      }, id),
    );
    finding.push(
      await page.evaluate(async () => {
        const field = document.querySelector<HTMLInputElement>('.filters input');
        if (field === null) throw new Error('there is nothing to find by');
        const begun = performance.now();
        field.value = '20042';
        field.dispatchEvent(new Event('input', { bubbles: true }));
        while (performance.now() - begun < 20_000) {
          await new Promise((done) => requestAnimationFrame(done));
          const [first] = document.querySelectorAll('.long-table tbody .who');
          if (first?.textContent.includes('Given42') === true) return performance.now() - begun;
        }
        throw new Error('nobody was found');
      }),
    );
  }
  const [open, find] = [middle(opening), middle(finding)];
  console.log(`  opened in ${open.toFixed(0)} ms, found in ${find.toFixed(0)} ms`);
  return open + find;
}

const few = await courseOf(100);
const many = await courseOf(10_000);
const browser = await chromium.launch({
  executablePath: process.env['CHROME_PATH'] ?? '/usr/bin/chromium-headless-shell',
  args: ['--no-sandbox', '--disable-gpu'],
});
try {
  const context = await browser.newContext({ baseURL: base, reducedMotion: 'reduce' });
  const at = cookie.indexOf('=');
  await context.addCookies([{ name: cookie.slice(0, at), value: cookie.slice(at + 1), url: base }]);
  const page = await context.newPage();
  await times(page, few);
  const atFew = await times(page, few);
  const atMany = await times(page, many);
  console.log(`ratio members-10000-vs-100 ${(atMany / atFew).toFixed(2)}`);
} finally {
  await browser.close();
}
