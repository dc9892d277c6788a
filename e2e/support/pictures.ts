/** The pictures of docs/screenshots, taken on the way. */
import { join } from 'node:path';
import type { Page } from '@playwright/test';

const FOLDER = join(import.meta.dirname, '../../docs/screenshots');

export async function picture(page: Page, name: string): Promise<void> {
  await page.waitForLoadState('networkidle');
  await page.evaluate(() => document.fonts.ready);
  // What has come may still have to be unpacked before it can be drawn.
  await page.evaluate(async () => {
    const come = [...document.images].filter(({ complete }) => complete);
    await Promise.allSettled(come.map((image) => image.decode()));
  });
  // A caret would blink into one picture and not into the next.
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  // Nothing is hovered, and what was moving has come to rest.
  await page.mouse.move(0, 0);
  await page.waitForTimeout(200);
  await page.screenshot({ path: join(FOLDER, `${name}.png`), animations: 'disabled', caret: 'hide' });
}
