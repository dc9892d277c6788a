/** axe-core finds nothing, in light and in dark. */
import { expect, test } from '@playwright/test';
import { clean } from '../support/axe.ts';
import { choose, comeInAs, fromDesk, goLive, INES, NOOR, ownCourse } from '../support/people.ts';

// A trace of every step of axe over a thousand cells costs more than the check itself.
test.use({ trace: 'off' });
test.setTimeout(600_000);
// They share nothing, and take long: beside one another.
test.describe.configure({ mode: 'parallel' });

test('sign-in, desk, new course and setup', async ({ page }) => {
  await page.goto('/sign-in');
  await expect(page.getByRole('button', { name: INES })).toBeVisible();
  await clean(page, 'sign-in');
  await comeInAs(page, INES);
  await clean(page, 'desk');
  await page.goto('/new-course');
  await page.getByLabel('Code').fill('EFM-210-SPR27');
  await expect(page.getByRole('button', { name: /^Use / })).toBeVisible();
  await clean(page, 'new course');
  await page.goto('/desk');
  await fromDesk(page, 'EFM-210-SUM27');
  for (const stop of ['About', 'Dates & format', 'Outline', 'Access', 'Members', 'Readiness']) {
    await page
      .getByRole('navigation', { name: 'The route through setup' })
      .getByRole('link', { name: stop })
      .click();
    await expect(page.getByRole('heading', { name: stop, level: 1 })).toBeVisible();
    await clean(page, stop);
  }
  const pane = page.getByRole('complementary', { name: 'What a learner sees' });
  await page.getByRole('button', { name: 'See as …' }).click();
  await expect(pane.getByRole('combobox', { name: 'See as …' })).toBeVisible();
  await clean(page, 'see as');
  await pane.getByRole('button', { name: /What they don’t get/ }).click();
  await clean(page, 'what they do not get');
  await pane.getByRole('button', { name: 'See it at full size' }).click();
  await page.getByRole('button', { name: 'Keep this beside, and compare' }).click();
  await clean(page, 'two beside each other');
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
  await page
    .getByRole('link', { name: /^Members/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Add people' }).click();
  await expect(page.getByRole('dialog').getByRole('checkbox').first()).toBeVisible();
  await clean(page, 'people to add');
  await page.keyboard.press('Escape');
  await page.getByRole('checkbox', { name: 'Inês Carvalhal' }).check();
  await clean(page, 'members chosen');
  await page.getByRole('button', { name: 'Read a list' }).click();
  await clean(page, 'a list to read');
  await page.getByLabel('Or paste').fill('Id,Name,Class\n7,Tunde Balewa-Price,A\n8,Maëlle Tréguier,B');
  await page.getByRole('button', { name: 'Read what is pasted' }).click();
  await expect(page.getByRole('button', { name: /^Take the list in/ })).toBeVisible();
  await clean(page, 'a list as it is read');
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('listbox').getByRole('option').first()).toBeVisible();
  await clean(page, 'palette');
});

test('an item beside the outline, its text with every piece, and what lies over the outline', async ({
  page,
}) => {
  await comeInAs(page, INES);
  await fromDesk(page, 'EFM-210-SPR27');
  await page
    .getByRole('navigation', { name: 'The route through setup' })
    .getByRole('link', { name: 'Outline' })
    .click();
  await page.getByRole('button', { name: 'Edit what Why tides lag the moon holds' }).click();
  const text = page.getByRole('textbox', { name: 'Text' });
  await text.locator('figure img').click();
  await expect(page.getByLabel('What the picture shows')).toBeVisible();
  await clean(page, 'picture');
  await text.locator('math').first().click();
  await expect(page.getByLabel('Formula, in TeX')).toBeVisible();
  await clean(page, 'formula');
  await page.getByRole('toolbar').getByRole('button', { name: 'Link', exact: true }).click();
  await page.getByLabel('To an item of this course').check();
  await clean(page, 'link');
  await page.getByRole('button', { name: 'Edit what The table, column by column holds' }).click();
  await text.getByRole('columnheader').first().click();
  await expect(page.getByRole('toolbar', { name: 'Tools for the table' })).toBeVisible();
  await clean(page, 'table');
  await page.getByRole('button', { name: /Change this sentence/ }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByText('From a moment on').click();
  await dialog.getByText('Until a moment').click();
  await dialog.getByRole('button', { name: 'One more condition' }).click();
  await choose(dialog.getByLabel('What it waits for'), 'any of several');
  await clean(page, 'an opening rule', '[role="dialog"]');
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await expect(dialog).toHaveCount(0);
  await page.getByRole('button', { name: 'Close' }).click();
  for (const name of ['Copy unit', 'All work', 'Load', 'Numbers, reading']) {
    await page.getByRole('button', { name }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await clean(page, name);
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
  }
});

test('joining a course, at a desk and on a phone', async ({ page }) => {
  await comeInAs(page, INES);
  const { id } = await ownCourse(page, 'AXE-JOIN');
  await page.goto(`/setup/${id}/members`);
  await page.getByRole('checkbox', { name: 'By link or code' }).check();
  const code = (await page.locator('.ways .large').textContent()) ?? '';
  await page.getByRole('button', { name: 'Show it large' }).click();
  await expect(page.getByRole('img', { name: 'The link as a QR picture' })).toBeVisible();
  await clean(page, 'a way to join, and its code');
  await goLive(page, id);
  await page.context().clearCookies();
  for (const width of [1280, 390]) {
    await page.setViewportSize({ width, height: 844 });
    await page.goto('/join');
    await expect(page.getByLabel('Code')).toBeVisible();
    await clean(page, `a code to type at ${width}`);
    await page.goto(`/join/${code}`);
    await expect(page.getByRole('link', { name: 'Sign in and join' })).toBeVisible();
    await clean(page, `a course to join at ${width}`);
  }
});

test('dates in every format', async ({ page }) => {
  await comeInAs(page, INES);
  for (const title of ['Field Sketching', 'Bookbinding by Hand', 'Small Boat Refresher']) {
    await page.goto('/desk');
    await fromDesk(page, title);
    await page
      .getByRole('navigation', { name: 'The route through setup' })
      .getByRole('link', { name: 'Dates & format' })
      .click();
    await expect(page.getByRole('heading', { name: 'Dates & format', level: 1 })).toBeVisible();
    await clean(page, title);
  }
});

test('a learner’s desk, course and page', async ({ page }) => {
  await comeInAs(page, NOOR);
  await clean(page, 'desk');
  await fromDesk(page, 'EFM-210-SPR27');
  await expect(page.getByRole('heading', { name: 'Estuary Field Methods', level: 1 })).toBeVisible();
  await clean(page, 'course');
  await page
    .getByRole('link', { name: /The plan for the day/ })
    .first()
    .click();
  await expect(page.getByText('We leave the shed')).toBeVisible();
  await clean(page, 'page');
  await page.getByRole('link', { name: /All sections/ }).click();
  await page.getByText('8 items').click();
  await page.getByRole('link', { name: /Why tides lag/ }).click();
  await expect(page.locator('math').first()).toBeVisible();
  await clean(page, 'a text with every piece');
  await page.goBack();
  await page.goBack();
  await page.goBack();
  await page.getByRole('link', { name: 'Who is on this course' }).click();
  await expect(page.getByRole('heading', { name: 'Members', level: 1 })).toBeVisible();
  await clean(page, 'members');
  await page.goBack();
  await page.getByRole('link', { name: 'Pacing guide, to print' }).click();
  // The page before it has a heading too.
  await expect(page).toHaveURL(/\/guide$/);
  await expect(page.locator('.tools button')).toBeVisible();
  await clean(page, 'guide');
});
