/** From nothing to a learner's screen, as somebody who has never seen Itinerary; pictures are taken on the way. */
import { expect, test } from '@playwright/test';
import {
  allSaved,
  comeInAs,
  fromDesk,
  INES,
  LIVE,
  liveCourse,
  NOOR,
  signedInAs,
  signOut,
  speak,
  put,
  choose,
} from '../support/people.ts';
import { picture } from '../support/pictures.ts';

test('an instructor sets up a course and goes live, and a learner reads it', async ({ page, context }) => {
  test.setTimeout(300_000);
  const stop = (name: string) =>
    page.getByRole('navigation', { name: 'The route through setup' }).getByRole('link', { name });

  await test.step('sign in', async () => {
    await page.goto('/');
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
    await expect(page.getByRole('button', { name: /Learner/ })).toHaveCount(3);
    await page.getByRole('button', { name: INES }).click();
    await expect(page.getByText('Next to start: Estuary Field Methods, in 13 weeks.')).toBeVisible();
    await picture(page, 'desk');
  });

  await test.step('look at the draft that is there', async () => {
    await page
      .getByRole('row', { name: /EFM-210-SUM27/ })
      .getByRole('link', { name: 'Estuary Field Methods' })
      .click();
    await expect(page.getByRole('button', { name: /Go live · 3 to settle/ })).toBeVisible();
    await expect(page.getByText('measure a shore so that somebody else')).toHaveCount(2);
    await stop('Dates & format').click();
    await expect(page.getByText('Begin on Mon 17 May')).toBeVisible();
    await picture(page, 'setup-dates');
    await put(page.getByRole('textbox', { name: 'First day', exact: true }), '2027-05-24');
    await expect(page.getByRole('dialog', { name: 'Before it changes' })).toBeVisible();
    await page.getByRole('button', { name: 'Leave it as it is' }).click();
    await stop('Readiness').click();
    await picture(page, 'setup-readiness');
    await stop('Outline').click();
    await page.getByRole('button', { name: 'Load' }).click();
    await expect(page.getByText('No section is over the target')).toBeVisible();
    await expect(page.getByRole('img', { name: /Minutes of each section/ })).toBeVisible();
    await page.getByRole('button', { name: 'Close' }).click();
    await page.getByRole('button', { name: 'Edit what Your own tide table holds' }).click();
    await expect(page.getByRole('textbox', { name: 'Text' })).toContainText('Take the readings');
    await picture(page, 'setup-outline');
    await page.getByRole('button', { name: 'Close' }).click();
    await stop('Access').click();
    await expect(page.getByRole('row', { name: /^The first minute/ })).toContainText('of 50 items');
    await picture(page, 'setup-access');
    await page.getByRole('button', { name: 'See as …' }).click();
    await choose(page.getByLabel('Who has done'), 'half of what counts');
    await picture(page, 'see-as');
    await page.getByRole('link', { name: 'Itinerary' }).click();
  });

  await test.step('look at the meetings of another', async () => {
    await page.getByRole('link', { name: 'Field Sketching' }).click();
    await stop('Dates & format').click();
    await expect(page.getByRole('row', { name: /The far shore/ })).toContainText('moved');
    await page.getByRole('link', { name: 'Itinerary' }).click();
  });

  await test.step('look at what learners see first of the one that is under way', async () => {
    await page
      .getByRole('row', { name: /EFM-210-SPR27/ })
      .getByRole('link', { name: 'Estuary Field Methods' })
      .click();
    await stop('Menu & home').click();
    await expect(page.getByText('Now a learner sees 8 entries.')).toBeVisible();
    await picture(page, 'setup-menu');
    await stop('Look').click();
    await expect(page.getByRole('slider', { name: 'What has to be seen' })).toBeVisible();
    await picture(page, 'setup-look');
    await stop('Messages').click();
    await expect(page.getByText('The home page shows the newest 3, pinned ones first.')).toBeVisible();
    await picture(page, 'setup-messages');
    await stop('Members').click();
    await expect(page.getByRole('row', { name: /Aroha Tamihere/ })).toBeVisible();
    await picture(page, 'setup-members');
    await page.getByRole('link', { name: 'Itinerary' }).click();
  });

  await test.step('new course', async () => {
    await page.getByRole('link', { name: 'New course' }).click();
    // The desk, which stands until the page has come, has a field to find courses by title or code.
    await expect(page.getByRole('heading', { name: 'New course' })).toBeVisible();
    await page.getByLabel('Title').fill('Estuary Field Methods');
    await page.getByLabel('Code').fill('EFM-210-SPR27');
    await expect(page.getByText('The course “Estuary Field Methods” has this code.')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Open the course as a draft' })).toBeDisabled();
    await page.getByRole('button', { name: 'Use EFM-210-SPR27-2' }).click();
    await expect(page.getByText('This code is free.')).toBeVisible();
    await put(page.getByRole('textbox', { name: 'First day' }), '2027-02-10');
    await put(page.getByLabel('Teaching weeks'), '3');
    await expect(page.getByText('Tue 2 Mar')).toBeVisible();
    await expect(page.getByText('Wednesday is in mid-week')).toBeVisible();
    await page.getByRole('button', { name: 'Open the course as a draft' }).click();
  });

  await test.step('About', async () => {
    await expect(page.getByRole('heading', { name: 'About', level: 1 })).toBeVisible();
    await page.getByLabel('Tags', { exact: true }).first().fill('shore');
    await page.getByLabel('Tags', { exact: true }).first().press('Enter');
    const description = page.getByRole('textbox', { name: 'Description' });
    await description.click();
    await page.keyboard.type('Three weeks on one shore.');
    await allSaved(page);
  });

  await test.step('Dates & format: the cure moves the first day', async () => {
    await stop('Dates & format').click();
    await expect(page.getByText('The first day is a Wednesday')).toBeVisible();
    await page.getByText('Begin on Mon 8 Feb').click();
    await expect(page.getByRole('textbox', { name: 'First day' })).toHaveValue('Mon 8 Feb');
    await expect(page.getByRole('cell', { name: '15–21 Feb' }).first()).toBeVisible();
    await put(page.getByLabel('Teaching weeks'), '4');
    await expect(page.getByText('No section here yet')).toBeVisible();
    await expect(page.getByRole('definition').filter({ hasText: 'Sun 7 Mar' })).toBeVisible();
    await page.getByRole('button', { name: 'Add a section for it' }).click();
    await expect(page.getByText('Week of 1 March').first()).toBeVisible();
  });

  await test.step('Readiness stops it: there is nothing to open', async () => {
    await page.getByRole('button', { name: /Go live/ }).click();
    await expect(page.getByRole('dialog').getByText('Nothing in the course is shown')).toBeVisible();
    await expect(page.getByRole('dialog').getByRole('button', { name: 'Go live', exact: true })).toHaveCount(
      0,
    );
    await page.getByRole('button', { name: 'Cancel' }).click();
  });

  await test.step('Outline', async () => {
    await stop('Outline').click();
    await page.getByLabel('Title of section 1', { exact: true }).fill('Reading a tide table');
    await page.getByRole('button', { name: 'Add a page to Reading a tide table' }).click();
    await page.getByLabel('Title of item 1.1').fill('Why tides lag the moon');
    await put(page.getByLabel('Minutes for Why tides lag the moon'), '25');
    await page.getByRole('textbox', { name: 'Text' }).click();
    await page.keyboard.type('The moon is overhead; the tide is not. Compare ');
    await page.getByRole('button', { name: 'Link', exact: true }).last().click();
    await page.getByRole('textbox', { name: 'Address' }).fill('gauge.ternpoint.example/today');
    await page.getByRole('button', { name: 'Link it' }).click();
    await page.getByRole('button', { name: 'Add a page to Reading a tide table' }).click();
    await page.getByLabel('Title of item 1.2').fill('Start here');
    await page.keyboard.press('Alt+ArrowUp');
    await expect(page.getByLabel('Title of item 1.1')).toHaveValue('Start here');
    await page.getByRole('textbox', { name: 'Text' }).click();
    await page.keyboard.type('Welcome to the mud.');
    await allSaved(page);
  });

  await test.step('Readiness, members, go live', async () => {
    await stop('Readiness').click();
    await expect(page.getByText('3 sections are empty')).toBeVisible();
    await page.getByRole('button', { name: 'Hide them from learners' }).click();
    await page.getByRole('button', { name: 'Go to Members' }).click();
    await page.getByRole('button', { name: 'Add people' }).click();
    await page.getByPlaceholder('Find by name or address').fill('noor');
    await page.getByRole('checkbox', { name: /Noor Rahimi/ }).check();
    await page.getByRole('button', { name: 'Add one' }).click();
    await expect(page.getByRole('row', { name: /Noor Rahimi/ })).toBeVisible();
    await expect(page.getByText('One person added')).toBeVisible();
    await page
      .getByRole('banner')
      .getByRole('button', { name: /Go live/ })
      .click();
    await expect(page.getByText('one learner will find it on their desk')).toBeVisible();
    await page.getByRole('dialog').getByRole('button', { name: 'Go live', exact: true }).click();
    await expect(page.getByRole('banner').getByText('Live', { exact: true })).toBeVisible();
    await signOut(page);
  });

  await test.step('a learner at 1280', async () => {
    await comeInAs(page, NOOR);
    await picture(page, 'learner-desk');
    await fromDesk(page, 'EFM-210-SPR27-2');
    await expect(page.getByRole('heading', { name: 'Estuary Field Methods', level: 1 })).toBeVisible();
    await expect(page.getByText('Three weeks on one shore.')).toBeVisible();
    await expect(page.getByText('Week of')).toHaveCount(0);
    await page.getByRole('link', { name: /Start with: Start here/ }).click();
    await expect(page.getByText('Welcome to the mud.')).toBeVisible();
    await page.getByRole('link', { name: /Next.*Why tides lag the moon/ }).click();
    await expect(page.getByRole('heading', { name: /Why tides lag the moon/ })).toBeVisible();
    const link = page.getByRole('link', { name: 'gauge.ternpoint.example/today' });
    await expect(link).toHaveAttribute('href', 'https://gauge.ternpoint.example/today');
    await context.route('https://gauge.ternpoint.example/**', (route) =>
      route.fulfill({ body: 'the gauge' }),
    );
    await link.click();
    await expect(page.getByText('the gauge')).toBeVisible();
    await page.goBack();
  });

  await test.step('a learner on a phone', async () => {
    await page.goto('/desk');
    await fromDesk(page, 'EFM-210-SPR27');
    await expect(page.getByText('Week 6 is on')).toBeVisible();
    await picture(page, 'learner-course');
    await page.getByRole('link', { name: 'Pacing guide, to print' }).click();
    await expect(page.getByRole('row', { name: /Spring break/ })).toContainText('8–14 Mar');
    await page.getByRole('navigation', { name: 'Course menu' }).getByRole('link', { name: 'Home' }).click();
    await page.setViewportSize({ width: 360, height: 740 });
    await page.getByRole('button', { name: /in Reading a tide table/ }).click();
    await page.getByRole('link', { name: /Why tides lag the moon/ }).click();
    await expect(page.getByText('A bulge that cannot keep up')).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
    await page.setViewportSize({ width: 1280, height: 800 });
    await expect(page.getByRole('img', { name: /shell of water/ })).toBeVisible();
    await expect(page.locator('math').first()).toBeVisible();
    await page.evaluate(() => window.scrollTo(0, 160));
    await picture(page, 'learner-text');
  });

  await test.step('and a quiz is taken', async () => {
    const live = await liveCourse(page, LIVE);
    await page.goto(`/courses/${live}/outline`);
    await page.getByRole('button', { name: /in What clouds the water/ }).click();
    await page
      .getByRole('link', { name: /What the disc says/ })
      .first()
      .click();
    await page.getByRole('button', { name: 'Begin', exact: true }).click();
    await page.setViewportSize({ width: 390, height: 844 });
    await page.getByRole('textbox', { name: 'Your answer to question 1' }).fill('2.3 m');
    await page.getByRole('checkbox', { name: 'Mud stirred up' }).check();
    await expect(page.getByText('2 of 7 answered')).toBeVisible();
    await expect(page.getByText('Kept by the server')).toBeVisible();
    await page.evaluate(() => document.querySelector('#quiz-title')?.scrollIntoView());
    await page.evaluate(() => scrollBy(0, -70));
    await picture(page, 'quiz');
    await page.setViewportSize({ width: 1280, height: 800 });
  });

  await test.step('and a film goes on where it was left', async () => {
    const live = await liveCourse(page, LIVE);
    await page.goto(`/courses/${live}/outline`);
    await page.getByRole('button', { name: /in Sediment cores/ }).click();
    await page
      .getByRole('link', { name: /A core, taken in one breath/ })
      .first()
      .click();
    await expect(page.getByText('It goes on at 2:12, where you were.')).toBeVisible();
    await expect(page.getByText(/^32% watched/)).toBeVisible();
    await page.evaluate(() => window.scrollTo(0, 200));
    await picture(page, 'film');
  });

  await test.step('and in the dark, from right to left', async () => {
    const live = await liveCourse(page, LIVE);
    await speak(page, 'ar');
    await page.emulateMedia({ colorScheme: 'dark' });
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto(`/courses/${live}/home`);
    await expect(page.locator('html')).toHaveAttribute('dir', 'rtl');
    await expect(page.getByRole('heading', { name: 'Estuary Field Methods', level: 1 })).toBeVisible();
    await picture(page, 'learner-course-phone');
  });

  await test.step('and what has been handed in is looked at', async () => {
    await page.emulateMedia({ colorScheme: 'light' });
    await page.setViewportSize({ width: 1280, height: 800 });
    await speak(page, 'en');
    await signedInAs(page, INES);
    const live = await liveCourse(page, LIVE);
    await page.goto(`/courses/${live}/outline`);
    await page.getByRole('button', { name: /in Reading a tide table/ }).click();
    await page
      .getByRole('link', { name: /Your own tide table/ })
      .first()
      .click();
    await page.getByRole('link', { name: 'Look at what was handed in' }).click();
    await page.getByRole('button', { name: /^Aroha Tamihere/ }).click();
    await expect(page.getByRole('heading', { name: 'Aroha Tamihere' })).toBeVisible();
    await picture(page, 'marking');
  });
});
