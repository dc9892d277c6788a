/** A discussion: set up to be posted in before one reads, begun by staff, answered on a phone, led, and found in. */
import { expect, test } from '@playwright/test';
import { aPhone, liveWith } from '../support/coursework.ts';
import { allSaved, NOOR, PAVEL, signedInAs } from '../support/people.ts';

test('begun by staff, posted in before it is read, through a lost line, changed, answered and closed', async ({
  browser,
  page,
}) => {
  const node = {
    ...{ id: 'talk', kind: 'discussion', title: 'Which estuary?' },
    done: { by: 'posted', least: 1 },
  };
  const id = await liveWith(page, 'TALK-1', node);
  await page.goto(`/setup/${id}/outline`);
  await page.getByRole('button', { name: 'Edit what Which estuary? holds' }).click();
  const panel = page.getByRole('complementary', { name: /Which estuary/ });
  await panel.getByRole('checkbox', { name: /seen after a first post/ }).check();
  await allSaved(page);
  await page.goto(`/courses/${id}/items/talk`);
  const talk = page.getByRole('region', { name: 'Discussion' });
  await talk.getByRole('button', { name: 'Begin a thread' }).click();
  await talk.getByRole('textbox', { name: 'Title' }).fill('Say where');
  await talk.getByRole('textbox', { name: 'Your post' }).fill('What flows into yours?');
  await talk.getByRole('button', { name: 'Begin it' }).click();
  await expect(talk.getByRole('article')).toContainText('What flows into yours?');

  // Whoever has a thread before them has read what comes into it.
  await page.goto('/desk');

  const { context, phone } = await aPhone(browser);
  const theirs = phone.getByRole('region', { name: 'Discussion' });
  await signedInAs(phone, NOOR);
  await phone.goto(`/courses/${id}/items/talk`);
  await expect(
    theirs.getByText('What the others say is shown once you have posted something yourself.'),
  ).toBeVisible();
  await theirs.getByRole('button', { name: /Say where/ }).click();
  await theirs.getByRole('button', { name: /^Answer.*Inês/ }).click();
  const words = theirs.getByRole('textbox', { name: 'Your answer to Inês Carvalhal' });
  await words.fill('The Tagus does.');
  // The page is gone before it is posted, and so is the line: what was typed is on the device.
  await context.setOffline(true);
  await theirs.getByRole('button', { name: 'Post it' }).click();
  await expect(theirs.getByRole('alert')).toBeVisible();
  await context.setOffline(false);
  await phone.reload();
  await theirs.getByRole('button', { name: /Say where/ }).click();
  await theirs.getByRole('button', { name: 'Write a post' }).click();
  await expect(theirs.getByRole('textbox', { name: 'Your post' })).toHaveText('The Tagus does.');
  await theirs.getByRole('button', { name: 'Post it' }).click();
  await expect(theirs.getByRole('article')).toHaveCount(2);
  await expect(phone.getByText('Done', { exact: true }).first()).toBeVisible();
  await theirs.getByRole('button', { name: /^Change.*2/ }).click();
  await theirs.getByRole('textbox', { name: 'Your post, changed' }).fill('The Tagus does, and the Sorraia.');
  await theirs.getByRole('button', { name: 'Keep it' }).click();
  await expect(theirs.getByRole('article').nth(1)).toContainText('The Tagus does, and the Sorraia.');

  await signedInAs(phone, PAVEL);
  await phone.goto(`/courses/${id}/items/talk`);
  await theirs.getByRole('button', { name: /Say where/ }).click();
  await expect(theirs.getByRole('article')).toHaveCount(1);
  await expect(
    theirs.getByText('What the others have answered is shown once you have posted.'),
  ).toBeVisible();
  await context.close();

  // Staff see what came, say what answers it, close it, find it by a word, and see who is missing.
  await page.goto(`/courses/${id}/items/talk`);
  await expect(talk.getByRole('button', { name: /Say where/ })).toContainText('one new');
  await talk.getByRole('button', { name: /Say where/ }).click();
  await talk.getByRole('button', { name: /^Answers it.*2/ }).click();
  await expect(talk.getByText('This answers it')).toBeVisible();
  await talk.getByRole('button', { name: 'Close it' }).click();
  await expect(talk.getByText('Closed', { exact: true })).toBeVisible();
  await talk.getByRole('button', { name: 'All threads' }).click();
  const find = talk.getByRole('searchbox', { name: 'Find a word in it' });
  await find.fill('SORRAIA');
  await expect(talk.getByRole('button', { name: /Say where/ })).toBeVisible();
  await find.fill('Danube');
  await expect(talk.getByText('There is no such word in it.')).toBeVisible();
  await talk.getByText('Who has posted, and who has not').click();
  await expect(talk.getByRole('listitem').filter({ hasText: 'Pavel' })).toContainText('nothing yet');
});
