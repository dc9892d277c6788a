/** Coming in as somebody of the demo, and making a course of one's own to work on. */
import { expect, test } from '@playwright/test';
import type { APIRequestContext, Locator, Page } from '@playwright/test';

export const INES = 'Inês Carvalhal';
export const TUNDE = 'Tunde Balewa-Price';
export const ADAEZE = 'Adaeze Okpara';
export const NOOR = 'Noor Rahimi';
export const PAVEL = 'Pavel Dvořan';
export const KENJI = 'Kenji Morisawa';
export const LUPE = 'Lupe Arrieta';
/** Of the institution's staff. */
export const STAFF = 'Marit Solvang';

export async function comeInAs(page: Page, name: string): Promise<void> {
  await page.goto('/sign-in');
  await page.getByRole('button', { name }).click();
  await expect(page).toHaveURL(/\/desk$/);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
}

/** Ids of the demo's people, which are the same on every server of a run. */
const ids = new Map<string, string>();

/**
 * As if they had come in before: for whoever goes on to a page of their own choosing. A page of whoever was here would
 * see that its session is over, and lead to signing in just as the next is on its way.
 */
export async function signedInAs(page: Page, name: string): Promise<void> {
  const { request } = page;
  await page.goto('about:blank');
  if (ids.size === 0) {
    const { people } = await asked<{ people: { id: string; name: string }[] }>(request, '/api/demo/people');
    for (const person of people) ids.set(person.name, person.id);
  }
  await post(request, '/api/demo/session', { person: ids.get(name) });
}

/** The demo's course that is under way. */
export const LIVE = 'EFM-210-SPR27';

export async function liveCourse(page: Page, code: string): Promise<string> {
  const { courses } = await asked<{ courses: { id: string; code: string }[] }>(
    page.request,
    `/api/desk?find=${encodeURIComponent(code)}`,
  );
  const id = courses.find((course) => course.code === code)?.id;
  if (id === undefined) throw new Error(`${code} is not on this desk`);
  return id;
}

/** On the desk, where other tests' courses stand before it: the row of a course by its code or title. */
export async function rowOnDesk(page: Page, called: string): Promise<Locator> {
  await page.getByRole('searchbox', { name: 'Find by title, code or tag' }).fill(called);
  return page.getByRole('row', { name: new RegExp(`${called}(?![\\w-])`) }).first();
}

export async function fromDesk(page: Page, called: string): Promise<void> {
  await (await rowOnDesk(page, called)).getByRole('link').first().click();
}

/** On with the Tab key until something has the focus, as whoever has no mouse goes there. */
export async function tabTo(page: Page, target: Locator): Promise<void> {
  for (let press = 0; press < 120; press += 1) {
    if (await target.evaluate((element) => element === document.activeElement)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error('the Tab key does not lead there');
}

/** Types into a field, and leaves it: what is typed counts then. */
export async function put(field: Locator, text: string): Promise<void> {
  await field.fill(text);
  await field.blur();
}

/** The preview beside a stop, or over it. */
export const previewOf = (page: Page): Locator =>
  page.getByRole('complementary', { name: 'What a learner sees' });

/** Opens a list, and takes a line of it. */
export async function choose(list: Locator, title: string): Promise<void> {
  const page = list.page();
  await list.click({ force: true });
  // It unfolds at the top of the page, is then put where it belongs, and takes no press before it stands there. Pressed
  // earlier, the page is scrolled to reach it, and it moves away in the middle of the press.
  const lines = page.getByRole('listbox');
  await expect(lines).toBeInViewport();
  await expect(lines).toHaveCSS('pointer-events', 'auto');
  await page.getByRole('option', { name: title, exact: true }).click();
}

/** As if somebody had chosen the language before. */
export async function speak(page: Page, language: string): Promise<void> {
  await page.evaluate((chosen) => localStorage.setItem('itinerary.locale', chosen), language);
}

export async function signOut(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^Account of/ }).click();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page).toHaveURL(/\/sign-in/);
}

interface Made {
  readonly id: string;
  readonly sections: readonly string[];
}

/** A draft of three weeks or more, with a page in each section unless told not to; Inês and Tunde teach it. */
export async function ownCourse(
  page: Page,
  code: string,
  weeks = 3,
  hasPages = true,
  firstDay = '2027-03-01',
): Promise<Made> {
  const { request } = page;
  // Tried over and over, each time is a course of its own.
  const { repeatEachIndex, retry } = test.info();
  const time = repeatEachIndex + retry * 100;
  const body = {
    title: `Course ${code}`,
    code: time === 0 ? code : `${code}-${time}`,
    purpose: 'learners',
    department: null,
    term: null,
    firstDay,
    weeks,
    zone: 'Europe/Lisbon',
  };
  const { id } = await post<{ id: string }>(request, '/api/courses', body);
  const plan = await asked<{ course: { sections: { id: string }[] } }>(request, `/api/courses/${id}/plan`);
  const sections = plan.course.sections.map((section) => section.id);
  const edits = sections.map((parent, at) => ({
    kind: 'insert',
    parent,
    after: null,
    node: {
      id: `page-${at + 1}`,
      kind: 'page',
      title: `Page ${at + 1}`,
      minutes: 10,
      shown: true,
    },
  }));
  if (hasPages) await send(page, id, [{ id: 'start', edits }]);
  const found = (await (await request.get(`/api/courses/${id}/candidates?find=tunde`)).json()) as {
    people: { id: string }[];
  };
  await post(request, `/api/courses/${id}/members`, {
    people: found.people.map((one) => one.id),
    role: 'instructor',
  });
  return { id, sections };
}

/** Makes changes as the browser does; all of them have to be taken. */
export async function send(page: Page, id: string, changes: readonly unknown[]): Promise<void> {
  const data = { since: 0, changes, texts: {} };
  const answer = await post<{ refused: unknown[] }>(page.request, `/api/courses/${id}/changes`, data);
  expect(answer.refused).toEqual([]);
}

async function asked<T>(request: APIRequestContext, path: string): Promise<T> {
  const answer = await request.get(path);
  expect(answer.ok(), `${path}: ${await answer.text()}`).toBe(true);
  return (await answer.json()) as T;
}

async function post<T>(request: APIRequestContext, path: string, data: unknown): Promise<T> {
  const answer = await request.post(path, { data });
  expect(answer.ok(), `${path}: ${await answer.text()}`).toBe(true);
  return (await answer.json()) as T;
}

/** The bar says that everything is with the server. */
export async function allSaved(page: Page): Promise<void> {
  const saved = /^(Saved 09:4[24]|All saved)$/;
  // Many changes at once, on a machine that does much else, take their time.
  await expect(page.locator('.save-state')).toHaveText(saved, { timeout: 60_000 });
}

/** Puts somebody on a course as a learner; returns their id. */
export async function addLearner(page: Page, id: string, find: string): Promise<string> {
  const found = await asked<{ people: { id: string }[] }>(
    page.request,
    `/api/courses/${id}/candidates?find=${find}`,
  );
  const people = found.people.map((one) => one.id);
  await post(page.request, `/api/courses/${id}/members`, { people, role: 'learner' });
  return people[0] ?? '';
}

interface Setting {
  readonly kind: 'set';
  readonly target: string;
  readonly field: string;
  readonly value: unknown;
  readonly was: unknown;
}

export function setting(target: string, field: string, value: unknown, was: unknown = null): Setting {
  return { kind: 'set', target, field, value, was };
}

export async function goLive(page: Page, id: string): Promise<void> {
  await send(page, id, [{ id: 'go-live', edits: [setting(id, 'state', 'live', 'draft')] }]);
}
