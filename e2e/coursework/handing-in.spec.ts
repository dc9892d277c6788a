/** An assignment from the outline to its mark: set up, begun on a phone without a line, handed in, marked by keyboard. */
import { expect, request, test } from '@playwright/test';
import { aPhone, liveWith } from '../support/coursework.ts';
import { allSaved, choose, NOOR, PAVEL, put, send, setting, signedInAs } from '../support/people.ts';

test('set up in the outline, begun through a broken line, handed in with a receipt, and marked by keyboard', async ({
  browser,
  page,
}) => {
  const node = {
    ...{ id: 'notes', kind: 'assignment', title: 'Field notes', minutes: 60 },
    done: { by: 'handed_in' },
  };
  const id = await liveWith(page, 'WORK-1', node);
  await page.goto(`/setup/${id}/outline`);
  await page.getByRole('button', { name: 'Edit what Field notes holds' }).click();
  const panel = page.getByRole('complementary', { name: /Field notes/ });
  await put(panel.getByRole('textbox', { name: 'Points in all' }), '20');
  await put(panel.getByRole('textbox', { name: 'Points that pass' }), '25');
  await expect(panel.getByText('More points pass than can be reached.')).toBeVisible();
  await put(panel.getByRole('textbox', { name: 'Points that pass' }), '12');
  await put(panel.getByRole('textbox', { name: /^Largest file/ }), '3');
  await expect(panel.getByText('A file has 3 MB at most: this item holds it there.')).toBeVisible();
  await panel.getByRole('checkbox', { name: 'An address is taken' }).check();
  await allSaved(page);

  const { context, phone } = await aPhone(browser);
  await signedInAs(phone, NOOR);
  await phone.goto(`/courses/${id}/items/notes`);
  const text = phone.getByRole('textbox', { name: 'Your text' });
  await text.fill('Low tide at nine.');
  await expect(phone.getByText(/Kept by the server/)).toBeVisible();
  await context.setOffline(true);
  await text.fill('Low tide at nine. No eelgrass at three.');
  await expect(phone.getByText(/Kept on this device alone/)).toBeVisible();
  await expect(phone.getByRole('button', { name: 'Hand in', exact: true })).toBeEnabled();
  await context.setOffline(false);
  // The page is gone before the line is used: what the device has is sent by the next one.
  await phone.reload();
  await expect(text).toHaveValue('Low tide at nine. No eelgrass at three.');
  await expect(phone.getByText(/Kept by the server/)).toBeVisible();
  const files = phone.locator('.files input[type=file]');
  await files.setInputFiles([
    { name: 'levels.csv', mimeType: 'text/csv', buffer: Buffer.from('station,level\n1,2.1\n') },
    { name: 'run.exe', mimeType: 'application/octet-stream', buffer: Buffer.from('MZ is a program') },
    { name: 'large.txt', mimeType: 'text/plain', buffer: Buffer.alloc(3_000_001, 'a') },
  ]);
  await expect(phone.getByText('large.txt is larger than 3 MB and was not sent.')).toBeVisible();
  await expect(phone.getByText(/run\.exe is a program/)).toBeVisible();
  await phone.getByRole('button', { name: 'Stop run.exe' }).click();
  await expect(phone.getByRole('link', { name: 'levels.csv' })).toBeVisible();
  await phone.getByRole('textbox', { name: 'Address' }).fill('https://shore.example/photos');
  await phone.getByRole('button', { name: 'Hand in', exact: true }).click();
  const ask = phone.getByRole('dialog', { name: 'Hand this in?' });
  await expect(ask).toContainText('levels.csv');
  await ask.getByRole('button', { name: 'Hand in' }).click();
  await expect(phone.getByText('It is handed in. Your receipt stands below.')).toBeVisible();
  await expect(phone.getByText('on time')).toBeVisible();
  await expect(phone.getByText('Done', { exact: true })).toBeVisible();
  await phone.locator('.receipt summary').click();
  await expect(phone.locator('.receipt code')).toHaveText(/^[0-9a-f]{64}$/);
  await phone.getByRole('button', { name: 'Check it' }).click();
  await expect(phone.getByText('It is as it was handed in.')).toBeVisible();
  await expect(phone.getByRole('button', { name: 'Go on from what you handed in' })).toBeVisible();

  await signedInAs(phone, PAVEL);
  await phone.goto(`/courses/${id}/items/notes`);
  await phone.getByRole('textbox', { name: 'Your text' }).fill('Mud, and more mud.');
  await expect(phone.getByText(/Kept by the server/)).toBeVisible();
  const script = '<!doctype html><script>opener.document.title = "hurt"; document.title = "hurt"</script>';
  await files.setInputFiles({ name: 'notes.html', mimeType: 'text/html', buffer: Buffer.from(script) });
  await expect(phone.getByRole('link', { name: 'notes.html' })).toBeVisible();
  await phone.getByRole('button', { name: 'Hand in', exact: true }).click();
  await ask.getByRole('button', { name: 'Hand in' }).click();
  await expect(phone.getByText('It is handed in. Your receipt stands below.')).toBeVisible();

  // Staff mark one after the other, without a pointer.
  await page.goto(`/courses/${id}/items/notes`);
  await page.getByRole('link', { name: 'Look at what was handed in' }).press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'Handed in: Field notes' })).toBeVisible();
  await page.getByRole('button', { name: /^Noor Rahimi/ }).press('Enter');
  const beside = page.getByRole('article');
  await expect(beside.getByRole('heading', { name: NOOR })).toBeVisible();
  await expect(beside).toContainText('No eelgrass at three.');
  await expect(beside.getByRole('link', { name: 'levels.csv' })).toBeVisible();
  await expect(beside.getByRole('link', { name: 'https://shore.example/photos' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Points, of 20' }).fill('14.5');
  await expect(page.getByRole('textbox', { name: 'Points, of 20' })).toBeFocused();
  await page.keyboard.press('Tab');
  await expect(beside.getByText('That passes: 12 are enough.')).toBeVisible();
  await page.keyboard.type('Say how you read the edge.');
  await page.keyboard.press('Control+Enter');
  await expect(beside.getByRole('heading', { name: PAVEL })).toBeVisible();
  await page.getByRole('textbox', { name: 'Points, of 20' }).fill('8');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Control+Enter');
  await expect(beside.getByText('One mark')).toBeVisible();
  // A page with a script is something to save: it is shown, and runs, nowhere.
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    beside.getByRole('link', { name: 'notes.html' }).click(),
  ]);
  expect(saved.suggestedFilename()).toBe('notes.html');
  const file = await beside.getByRole('link', { name: 'notes.html' }).getAttribute('href');
  const framed = await page.evaluate(async (src) => {
    const frame = document.createElement('iframe');
    frame.src = src;
    document.body.append(frame);
    await new Promise((resolve) => setTimeout(resolve, 1000));
    const seen = frame.contentDocument?.title ?? 'nothing';
    frame.remove();
    return [seen, document.title];
  }, file!);
  expect(framed.join(' ')).not.toContain('hurt');
  await expect(page.getByRole('radio', { name: /Still to mark/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Pavel Dvořan/ })).toContainText('8 of 20');

  await signedInAs(phone, NOOR);
  await phone.goto(`/courses/${id}/items/notes`);
  await expect(phone.getByText('14.5 of 20')).toBeVisible();
  await expect(phone.getByText('Say how you read the edge.')).toBeVisible();
  await context.close();
});

test('two windows of one learner: nothing that was typed in either is lost', async ({ browser, page }) => {
  const node = { id: 'notes', kind: 'assignment', title: 'Field notes', minutes: 60 };
  const id = await liveWith(page, 'WORK-2', node, ['noor']);
  const context = await browser.newContext({ baseURL: test.info().project.use.baseURL ?? '' });
  const one = await context.newPage();
  // It is told of nothing meanwhile: whoever is sees the other’s words before they type.
  await one.route('**/api/events*', (route) => route.abort());
  await signedInAs(one, NOOR);
  await one.goto(`/courses/${id}/items/notes`);
  await expect(one.getByRole('textbox', { name: 'Your text' })).toBeVisible();
  const other = await context.newPage();
  await other.goto(`/courses/${id}/items/notes`);
  await other.getByRole('textbox', { name: 'Your text' }).fill('From the other window');
  await expect(other.getByText(/Kept by the server/)).toBeVisible();
  await one.getByRole('textbox', { name: 'Your text' }).fill('From the first window');
  await expect(one.getByText('What you had typed here:')).toBeVisible();
  await expect(one.getByRole('textbox', { name: 'Your text' })).toHaveValue('From the other window');
  await one.getByRole('button', { name: 'Put this in its place' }).click();
  await expect(one.getByText(/Kept by the server/)).toBeVisible();
  await other.reload();
  await expect(other.getByRole('textbox', { name: 'Your text' })).toHaveValue('From the first window');
  await context.close();
});

test('ten pieces of work, one of them a group’s: handed in once, and all marked by keyboard alone', async ({
  page,
}) => {
  const node = {
    ...{ id: 'notes', kind: 'assignment', title: 'Field notes', minutes: 60, total: 10 },
    groupWork: 'apart',
  };
  const id = await liveWith(page, 'WORK-3', node, []);
  const found = await page.request.get(`/api/courses/${id}/candidates?find=`);
  const people = ((await found.json()) as { people: { id: string; name: string; address: string }[] }).people;
  const eleven = people.slice(0, 11);
  expect(eleven).toHaveLength(11);
  await page.request.post(`/api/courses/${id}/members`, {
    data: { people: eleven.map((one) => one.id), role: 'learner' },
  });
  const boat = { name: 'Boat', kind: 'group', at: 1 };
  await send(page, id, [{ id: 'boat', edits: [setting(id, 'groups.boat', boat)] }]);
  for (const one of eleven.slice(0, 2))
    await page.request.put(`/api/courses/${id}/members/${one.id}/groups`, { data: { groups: ['boat'] } });
  // Ten hand in: of the two in one boat, one does.
  for (const { address, name } of eleven.slice(1)) {
    const theirs = await request.newContext({ baseURL: test.info().project.use.baseURL ?? '' });
    await theirs.post('/api/session', { data: { address, password: 'low-tide-at-nine' } });
    const at = `/api/learn/${id}/items/notes/coursework`;
    const draft = { version: 0, text: `Low tide, by ${name}`, address: '', files: [] };
    expect((await theirs.put(`${at}/draft`, { data: draft })).status()).toBe(200);
    const body = { id: crypto.randomUUID(), version: 1 };
    expect((await theirs.post(`${at}/handed`, { data: body })).status()).toBe(200);
    await theirs.dispose();
  }
  await page.goto(`/courses/${id}/items/notes/coursework`);
  const list = page.getByRole('list', { name: 'People' });
  await expect(list.getByRole('listitem')).toHaveCount(11);
  // By group: the two of the boat, and nobody else.
  await choose(page.getByRole('combobox', { name: 'Class or group' }), 'Boat');
  await expect(list.getByRole('listitem')).toHaveCount(2);
  await choose(page.getByRole('combobox', { name: 'Class or group' }), 'Everybody');
  await expect(list.getByRole('listitem')).toHaveCount(11);
  await list.getByRole('button').first().press('Enter');
  const beside = page.getByRole('article');
  const seen = new Set<string>();
  for (let turn = 0; turn < 10; turn += 1) {
    const heading = beside.getByRole('heading', { level: 2 });
    await expect.poll(async () => seen.has((await heading.textContent()) ?? '')).toBe(false);
    seen.add((await heading.textContent()) ?? '');
    const points = page.getByRole('textbox', { name: 'Points, of 10' });
    await points.focus();
    await page.keyboard.type(String(turn));
    await page.keyboard.press('Tab');
    await page.keyboard.type('Seen.');
    await page.keyboard.press('Control+Enter');
    if (turn < 9) await expect(heading).not.toHaveText([...seen].at(-1) ?? '');
  }
  await expect(beside.getByText('One mark')).toBeVisible();
  // The boat's is one piece of work, of two.
  expect([...seen].filter((one) => one.includes(', '))).toHaveLength(1);
  await expect(list.getByRole('button', { name: / of 10/ })).toHaveCount(11);
});
