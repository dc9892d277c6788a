/** A live course with one item in it, and the phone on which it is worked on. */
import { test } from '@playwright/test';
import type { Browser, BrowserContext, Page } from '@playwright/test';
import { addLearner, comeInAs, goLive, INES, ownCourse, send } from './people.ts';

/** Inês leads it, and is signed in afterwards. @param node with its id, kind and title @returns the course's id */
export async function liveWith(
  page: Page,
  code: string,
  node: object,
  learners: readonly string[] = ['noor', 'pavel'],
): Promise<string> {
  await comeInAs(page, INES);
  const { id, sections } = await ownCourse(page, code, 3, true, '2027-02-15');
  const whole = { minutes: 20, shown: true, ...node };
  await send(page, id, [
    { id: 'work', edits: [{ kind: 'insert', parent: sections[0], after: null, node: whole }] },
  ]);
  for (const find of learners) await addLearner(page, id, find);
  await goLive(page, id);
  return id;
}

/** @param at another server than the one of the run */
export async function aPhone(
  browser: Browser,
  at?: string,
): Promise<{ readonly context: BrowserContext; readonly phone: Page }> {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    baseURL: at ?? test.info().project.use.baseURL ?? '',
  });
  return { context, phone: await context.newPage() };
}
