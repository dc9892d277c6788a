/** axe-core finds nothing on what comes from the registry, and on groups and classes: as staff see them, and whoever chooses. */
import { expect, test } from '@playwright/test';
import { clean } from '../support/axe.ts';
import {
  addLearner,
  comeInAs,
  goLive,
  INES,
  NOOR,
  ownCourse,
  PAVEL,
  send,
  setting,
  signedInAs,
  speak,
} from '../support/people.ts';

test.use({ trace: 'off' });
test.setTimeout(600_000);
test.describe.configure({ mode: 'parallel' });

for (const language of ['en', 'es', 'fr', 'ar'] as const) {
  test(`the registry in ${language}`, async ({ page }) => {
    const { request } = page;
    await comeInAs(page, INES);
    const { id } = await ownCourse(page, `AXE-REGISTRY-${language.toUpperCase()}`);
    await goLive(page, id);
    const { classes } = (await (await request.get('/api/registry/classes')).json()) as {
      classes: { id: string; title: string }[];
    };
    const follow = async (ids: readonly string[]): Promise<void> => {
      const data = { classes: ids.map((one) => ({ id: one, asGroup: true })) };
      expect((await request.put(`/api/courses/${id}/registry`, { data })).ok()).toBe(true);
    };
    const tides = classes.find(({ title }) => title === 'TID-140 A')?.id ?? '';
    await follow([tides]);
    const { members } = (await (await request.get(`/api/courses/${id}/members`)).json()) as {
      members: { person: string; name: string; role: string }[];
    };
    const [one] = members.filter(({ role, name }) => role === 'learner' && name !== NOOR);
    await request.post(`/api/courses/${id}/members/edit`, { data: { act: 'remove', people: [one?.person] } });
    // Read once more, what staff have decided stands against it.
    await follow([tides]);
    await speak(page, language);

    await page.goto('/new-course');
    await page.locator('.taught input[type="checkbox"]').first().check();
    await clean(page, 'classes to open a course for');
    await page.goto(`/setup/${id}/members`);
    const way = page.locator('#field-ways-registry');
    await expect(way.locator('#field-registry li').first()).toBeVisible();
    await way.locator('details summary').last().click();
    await clean(page, 'what is followed, and what is asked');
    const choose = way.locator('.acts button').last();
    await way.locator('.followed ~ .acts button').first().click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await clean(page, 'choosing classes', '[role="dialog"]');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect(choose).toBeVisible();
    // Groups that learners choose, and classes that are split and joined.
    await addLearner(page, id, 'pavel');
    const choice = { until: { kind: 'fixed', day: '2027-03-05', time: '12:00' }, most: 3, own: true };
    const group = (name: string, at: number): object => ({ name, kind: 'group', at, grouping: 'labs' });
    await send(page, id, [
      {
        id: 'groups',
        edits: [
          setting(id, 'groupings.labs', { name: 'Labs', at: 1, choice }),
          setting(id, 'groups.wet', group('Wet', 8)),
          setting(id, 'groups.dry', group('Dry', 9)),
          setting(id, 'groups.other', { name: 'Other', kind: 'class', at: 10 }),
        ],
      },
    ]);
    await page.goto(`/setup/${id}/members`);
    const board = page.locator('#field-groupings');
    await board.locator('summary').nth(1).click();
    await board.locator('.column li button:enabled').first().click();
    await clean(page, 'groupings, with somebody picked up');
    for (const press of [0, 1]) {
      await board.locator('.acts button').nth(press).click();
      await expect(page.getByRole('dialog')).toBeVisible();
      await clean(page, 'splitting or joining', '[role="dialog"]');
      await page.keyboard.press('Escape');
      await expect(page.getByRole('dialog')).toHaveCount(0);
    }
    await board.locator('.grouping').first().locator('button').last().click();
    const dialog = page.getByRole('dialog');
    await dialog.locator('textarea').first().fill(`Name\tGroup\n${PAVEL}\tWet\nNobody Known\tDry`);
    await dialog.locator('.paste button').click();
    await expect(dialog.locator('table')).toBeVisible();
    await clean(page, 'groups from a list', '[role="dialog"]');
    await signedInAs(page, PAVEL);
    for (const width of [1280, 390]) {
      await page.setViewportSize({ width, height: 844 });
      await page.goto(`/courses/${id}/members`);
      await expect(page.locator('.choosing li').first()).toBeVisible();
      await clean(page, `choosing a group, at ${width}`);
    }
    await signedInAs(page, INES);
    // Followed no more, all of them would go at once, and stay until somebody says so.
    await follow([]);
    await page.setViewportSize({ width: 900, height: 800 });
    await page.goto(`/setup/${id}/members`);
    await expect(way.locator('#field-registry section').first()).toBeVisible();
    await clean(page, 'so many would go');
  });
}
