/** A long text written over the whole window, by keyboard; what word processors put on the clipboard; and too much of it. */
import { expect, test } from '@playwright/test';
import type { Locator, Page } from '@playwright/test';
import { PASTES } from '../../packages/web/test/text/pastes.ts';
import { allSaved, INES, ownCourse, signedInAs, tabTo } from '../support/people.ts';

const text = (page: Page): Locator => page.getByRole('textbox', { name: 'Text' });

async function openPage(page: Page, code: string): Promise<string> {
  await signedInAs(page, INES);
  const { id } = await ownCourse(page, code);
  await page.goto(`/setup/${id}/outline?at=page-1`);
  await expect(text(page)).toBeVisible();
  return id;
}

async function storedText(page: Page, id: string): Promise<string> {
  const plan = (await (await page.request.get(`/api/courses/${id}/plan`)).json()) as {
    course: { sections: { items: { id: string; text: string | null }[] }[] };
  };
  const item = plan.course.sections.flatMap(({ items }) => items).find((one) => one.id === 'page-1');
  const answer = await page.request.get(`/api/courses/${id}/texts/${item?.text ?? ''}`);
  return ((await answer.json()) as { html: string }).html;
}

/** As a browser does when somebody pastes. */
async function paste(field: Locator, data: Readonly<Record<string, string>>, file?: string): Promise<void> {
  await field.evaluate(
    (element, [kinds, picture]) => {
      const clipboard = new DataTransfer();
      for (const [kind, words] of Object.entries(kinds)) clipboard.setData(kind, words);
      if (picture !== null) clipboard.items.add(new File(['x'], picture, { type: 'image/png' }));
      const init = { clipboardData: clipboard, bubbles: true, cancelable: true };
      element.dispatchEvent(new ClipboardEvent('paste', init));
    },
    [data, file ?? null] as const,
  );
}

test('a text of two pages, with headings and a table, is written wide by keyboard alone', async ({
  page,
}) => {
  const id = await openPage(page, 'WIDE-1');
  const widen = page.getByRole('button', { name: 'Write Text wide' });
  await page.getByRole('textbox', { name: 'Title', exact: true }).focus();
  await tabTo(page, widen);
  await page.keyboard.press('Enter');
  const wide = page.getByRole('dialog', { name: 'Page 1' });
  await expect(wide).toBeVisible();
  await expect(text(page)).toBeFocused();

  for (let week = 1; week <= 6; week += 1) {
    await page.keyboard.type(`## Week ${week}`);
    await page.keyboard.press('Enter');
    await page.keyboard.insertText(
      `What the tide leaves, and what it takes with it. ${'Low water. '.repeat(60)}`,
    );
    await page.keyboard.press('Enter');
  }
  await page.keyboard.press('Shift+Tab');
  const toolbar = wide.getByRole('toolbar');
  await tabTo(page, toolbar.getByRole('button', { name: 'Heading', exact: true }));
  for (let step = 0; step < 30; step += 1) {
    if (
      await toolbar.getByRole('button', { name: 'Table' }).evaluate((one) => one === document.activeElement)
    )
      break;
    await page.keyboard.press('ArrowRight');
  }
  await page.keyboard.press('Enter');
  for (const cell of ['Site', 'Depth', 'Hour', 'A', '1.2 m', '9:40']) {
    await page.keyboard.type(cell);
    await page.keyboard.press('Tab');
  }
  const list = wide.getByRole('navigation', { name: 'Headings' });
  await expect(list.getByRole('button')).toHaveText([
    'Week 1',
    'Week 2',
    'Week 3',
    'Week 4',
    'Week 5',
    'Week 6',
  ]);
  await expect(wide.getByRole('complementary', { name: 'As it reads' }).getByRole('table')).toContainText(
    '1.2 m',
  );
  await expect(wide.locator('.count')).toHaveText(/^[78]\d\d words$/);

  // Tab goes from cell to cell; an arrow leads out of the table.
  await page.keyboard.press('Control+End');
  await page.keyboard.press('ArrowDown');
  // A heading in the list leads to it, and typing goes on there.
  await tabTo(page, list.getByRole('button', { name: 'Week 4' }));
  await page.keyboard.press('Enter');
  await expect(text(page)).toBeFocused();
  await page.keyboard.press('End');
  await page.keyboard.type(', revised');
  await expect(list.getByRole('button', { name: 'Week 4, revised' })).toBeVisible();

  // Closed, it is the same text in the panel, with the same steps to take back, and the focus where it came from.
  await page.keyboard.press('Escape');
  await expect(wide).toBeHidden();
  await expect(widen).toBeFocused();
  await expect(text(page).getByRole('heading', { name: 'Week 4, revised' })).toBeAttached();
  await text(page).focus();
  await page.keyboard.press('Control+z');
  await expect(text(page).getByRole('heading', { name: 'Week 4', exact: true })).toBeAttached();
  await expect(text(page).getByRole('heading', { name: 'Week 6' })).toBeAttached();
  await allSaved(page);
  const html = await storedText(page, id);
  expect(html.match(/<h2>/g)).toHaveLength(6);
  expect(html).toContain('<td><p>1.2 m</p></td>');
});

test('what word processors put on the clipboard stands as it was written there', async ({ page }) => {
  const id = await openPage(page, 'WIDE-2');
  await text(page).focus();
  for (const { name, html, becomes } of PASTES) {
    await page.keyboard.press('Control+a');
    await page.keyboard.press('Delete');
    await paste(text(page), { 'text/html': html, 'text/plain': 'plain' });
    // The editor draws what has no words otherwise than it writes it; its words and its shape are compared.
    const [here, there] = await text(page).evaluate((element, wanted) => {
      const shape = (holder: Element): string => {
        const copy = holder.cloneNode(true) as Element;
        copy
          .querySelectorAll('.ProseMirror-trailingBreak, .ProseMirror-separator, colgroup')
          .forEach((one) => one.remove());
        copy.querySelectorAll('.tableWrapper').forEach((one) => one.replaceWith(...one.childNodes));
        copy.querySelectorAll('*').forEach((one) => {
          for (const attribute of [...one.attributes])
            if (!['href', 'start'].includes(attribute.name)) one.removeAttribute(attribute.name);
        });
        return copy.innerHTML;
      };
      const holder = document.createElement('div');
      holder.innerHTML = wanted;
      return [shape(element), shape(holder)];
    }, becomes);
    // A last empty line stands after what cannot be left otherwise.
    expect((here ?? '').replace(/<p><\/p>$/, ''), name).toBe(there);
  }

  // The picture of the words that comes along is none of the text.
  await page.keyboard.press('Control+a');
  await page.keyboard.press('Delete');
  await paste(text(page), { 'text/html': '<p>10 m<sup>2</sup> of CO<sub>2</sub></p>' }, 'words.png');
  await expect(text(page)).toHaveText('10 m2 of CO2');
  await expect(text(page).locator('img')).toHaveCount(0);
  await allSaved(page);
  expect(await storedText(page, id)).toBe('<p>10 m<sup>2</sup> of CO<sub>2</sub></p>');
});

test('two hundred thousand characters do not stop anybody, and what is too long is kept and said', async ({
  page,
}) => {
  const id = await openPage(page, 'WIDE-3');
  const point = (at: number): string => `<li>Point ${at} of what is to be looked at</li>`;
  const most = Array.from({ length: 3700 }, (_, at) => point(at)).join('');
  await text(page).focus();
  await paste(text(page), { 'text/html': `<ul>${most}</ul>` });
  await expect(text(page).locator('li')).toHaveCount(3700);
  await expect(page.getByText(/of 200,000 characters, with the formatting/)).toBeVisible();
  await page.keyboard.type(' and more');
  await allSaved(page);
  expect(await storedText(page, id)).toContain('Point 3699 of what is to be looked at and more');

  await paste(text(page), {
    'text/html': `<ul>${Array.from({ length: 400 }, (_, at) => point(at)).join('')}</ul>`,
  });
  const over = page.getByText(/more than the 200,000 that a text can have\. It is kept here/);
  await expect(over).toBeVisible();
  // Elsewhere and back: it is there again, and still said.
  await page
    .getByRole('link', { name: /^About/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: 'About', level: 1 })).toBeVisible();
  await page.goBack();
  await expect(over).toBeVisible();
  await expect(text(page).locator('li')).toHaveCount(4099);
  // What was saved is what fitted.
  expect((await storedText(page, id)).match(/<li>/g)).toHaveLength(3700);
  await text(page).focus();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('Short again');
  await expect(over).toBeHidden();
  await allSaved(page);
  expect(await storedText(page, id)).toBe('<p>Short again</p>');
});
