/** A quiz from a pasted text to its marks: put in, taken on a phone through a broken line, marked, mended. */
import { expect, test } from '@playwright/test';
import { aPhone, liveWith } from '../support/coursework.ts';
import { allSaved, choose, NOOR, PAVEL, put, send, signedInAs } from '../support/people.ts';

const BLOCK = `Here they are:
1. Which lives in mud?
a) Limpet
b) Cockle *
> It digs in.

2. Which grow in a salt marsh? (2)
[x] Glasswort
[x] Sea lavender
[ ] Oak

3. Two high tides a day?
= true

4. How high was the tide?
= 3.25 m ± 0.05

5. What goes with what?
Cockle -> Shell
Crab -> Claw

6. In which order?
+ Dig
+ Sieve
+ Count

7. Name the seagrass
= Zostera

8. What did you see? (4)
= ...`;

test('questions from a text, and by keyboard; taken on a phone through a broken line; marked, and one mended', async ({
  browser,
  page,
}) => {
  const id = await liveWith(page, 'QUIZ-1', { id: 'marsh', kind: 'quiz', title: 'The marsh' });
  await page.goto(`/setup/${id}/outline`);
  await page.getByRole('button', { name: 'Edit what The marsh holds' }).click();
  const panel = page.getByRole('complementary', { name: /The marsh/ });
  await expect(panel.getByText('It asks nothing yet.')).toBeVisible();
  await panel.getByRole('button', { name: 'Write the questions …' }).click();
  const dialog = page.getByRole('dialog', { name: 'Questions: The marsh' });
  await dialog.getByRole('button', { name: 'From a text …' }).click();
  const paste = page.getByRole('dialog', { name: 'Questions from a text' });
  await paste.getByRole('textbox', { name: 'The text' }).fill(BLOCK);
  await expect(paste.getByText('Line 1: Here they are:')).toBeVisible();
  await expect(paste.getByText('Right: Cockle → Shell · Crab → Claw')).toBeVisible();
  await paste.getByRole('button', { name: 'Put 8 questions in' }).click();
  await expect(paste.getByText('What could not be read is still here.')).toBeVisible();
  await expect(paste.getByRole('textbox', { name: 'The text' })).toHaveValue('Here they are:');
  await paste.getByRole('button', { name: 'Cancel' }).click();
  await expect(dialog.getByText('8 questions, 12 points at most')).toBeVisible();

  // One more by keyboard alone, from the menu to its last choice.
  await dialog.getByRole('button', { name: 'Add a question' }).focus();
  await page.keyboard.press('Enter');
  await page
    .getByRole('menuitem', { name: 'One is right' })
    .or(page.getByText('One is right', { exact: true }))
    .first()
    .waitFor();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  const words = dialog.getByRole('textbox', { name: 'Question', exact: true });
  await expect(words).toBeFocused();
  await page.keyboard.press('ControlOrMeta+A');
  await page.keyboard.type('Who counts?');
  await dialog.getByRole('textbox', { name: 'Another one' }).focus();
  await page.keyboard.type('Nobody');
  await page.keyboard.press('Enter');
  await page.keyboard.type('Everybody');
  await page.keyboard.press('Enter');
  await dialog.getByRole('checkbox', { name: 'Everybody is right' }).focus();
  await page.keyboard.press('Space');
  await put(dialog.getByRole('textbox', { name: 'Points', exact: true }), '2,5');
  await expect(dialog.getByText('9 questions, 14.5 points at most')).toBeVisible();
  await dialog.getByRole('checkbox', { name: 'Has to be answered before handing in' }).check();
  // Undone as one, and done again.
  await dialog.getByRole('button', { name: 'Remove question 9' }).click();
  await expect(dialog.getByText('8 questions, 12 points at most')).toBeVisible();
  await dialog.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(panel.getByText(/It asks 9 questions, for 14\.5 points at most, in 20 min/)).toBeVisible();
  await choose(
    panel.getByRole('combobox', { name: 'What is right is shown' }),
    'As soon as an answer is checked',
  );
  await put(panel.getByRole('textbox', { name: /^Time limit/ }), '30');
  await allSaved(page);

  const { context, phone } = await aPhone(browser);
  await signedInAs(phone, NOOR);
  await phone.goto(`/courses/${id}/items/marsh`);
  await phone.getByRole('button', { name: 'Begin', exact: true }).click();
  const question = (number: number) => phone.locator('fieldset.question').nth(number - 1);
  await question(1).getByRole('radio', { name: 'Limpet' }).check();
  await expect(phone.getByText('Kept by the server')).toBeVisible();
  await context.setOffline(true);
  await question(2).getByRole('checkbox', { name: 'Glasswort' }).check();
  await question(3).getByRole('radio', { name: 'True' }).check();
  await expect(phone.getByText(/Kept on this device alone/)).toBeVisible();
  await context.setOffline(false);
  await phone.reload();
  await expect(question(3).getByRole('radio', { name: 'True' })).toBeChecked();
  await expect(question(2).getByRole('checkbox', { name: 'Glasswort' })).toBeChecked();
  await expect(phone.getByText('Kept by the server')).toBeVisible();
  await question(4).getByRole('textbox').fill('3.3 m');
  await choose(question(5).getByRole('combobox', { name: 'What goes with Cockle' }), 'Shell');
  for (const up of ['Sieve', 'Dig']) {
    const button = question(6).getByRole('button', { name: `Move ${up} up` });
    while (await button.isEnabled()) await button.click();
  }
  await question(7).getByRole('textbox').fill(' zostera');
  await question(8).getByRole('textbox').fill('Mud, and a heron.');
  await expect(phone.getByText('8 of 9 answered')).toBeVisible();
  await question(1).getByRole('button', { name: 'Check my answer' }).click();
  await expect(question(1).getByText('Not right: 0 of 1')).toBeVisible();
  await expect(question(1).getByText('It digs in.')).toBeVisible();
  await expect(question(1).getByRole('radio', { name: 'Cockle' })).toBeDisabled();
  await phone.getByRole('button', { name: 'Hand in', exact: true }).click();
  const ask = phone.getByRole('dialog', { name: 'Hand this attempt in?' });
  await expect(ask).toContainText('One question has no answer yet.');
  await ask.getByRole('button', { name: 'Hand in' }).click();
  await expect(phone.getByText('Question 9 has to be answered before you hand in.')).toBeVisible();
  await question(9).getByRole('radio', { name: 'Everybody' }).check();
  await expect(phone.getByText('Kept by the server')).toBeVisible();
  await phone.getByRole('button', { name: 'Hand in', exact: true }).click();
  await ask.getByRole('button', { name: 'Hand in' }).click();
  await expect(phone.getByText('Something is still to be looked at: this can become more.')).toBeVisible();
  // 0 + 1 + 1 + 1 + ½ + 1 + 1 + 0 + 2.5
  await expect(phone.getByText(/^8 of 14\.5 points/)).toBeVisible();

  // Pavel says the same in other letters; both are marked at once.
  await signedInAs(phone, PAVEL);
  await phone.goto(`/courses/${id}/items/marsh`);
  await phone.getByRole('button', { name: 'Begin', exact: true }).click();
  await question(8).getByRole('textbox').fill('mud, and a   heron.');
  await question(9).getByRole('radio', { name: 'Nobody' }).check();
  await expect(phone.getByText('Kept by the server')).toBeVisible();
  await phone.getByRole('button', { name: 'Hand in', exact: true }).click();
  await ask.getByRole('button', { name: 'Hand in' }).click();
  await expect(phone.getByText(/^0 of 14\.5 points/)).toBeVisible();

  await page.goto(`/courses/${id}/items/marsh/answers`);
  await page.getByRole('button', { name: 'Look at the answers to question 8' }).click();
  const answers = page.getByRole('article');
  await expect(answers).toHaveCount(2);
  for (const at of [0, 1]) {
    await put(answers.nth(at).getByRole('textbox', { name: 'Points, of 4' }), '3');
    await answers.nth(at).getByRole('button', { name: 'Mark it' }).click();
    await expect(page.getByText('It is kept.')).toBeVisible();
  }
  await page.getByRole('button', { name: 'All questions' }).click();
  await expect(page.getByRole('row', { name: /Noor/ })).toContainText('11 of 14.5');

  // What was right was wrong: it is mended, who it moves is shown, and exactly that is done.
  const { course } = (await (await page.request.get(`/api/courses/${id}/plan`)).json()) as {
    course: {
      sections: {
        items: {
          id: string;
          questions?: Record<string, { text: string; choices: { id: string; text: string }[] }>;
        }[];
      }[];
    };
  };
  const questions =
    course.sections.flatMap(({ items }) => items).find((one) => one.id === 'marsh')?.questions ?? {};
  const [mudId, mud] = Object.entries(questions).find(([, { text }]) => text.startsWith('Which lives'))!;
  const limpet = mud.choices.find(({ text }) => text === 'Limpet')?.id;
  await send(page, id, [
    {
      id: 'mend',
      edits: [
        {
          kind: 'set',
          target: 'marsh',
          field: `questions.${mudId}`,
          value: { ...mud, right: limpet },
          was: mud,
        },
      ],
    },
  ]);
  await page.getByRole('button', { name: 'Judge all anew …' }).click();
  const anew = page.getByRole('dialog', { name: 'Judge all attempts anew' });
  await expect(anew.getByText('One attempt is judged otherwise')).toBeVisible();
  await expect(anew.getByRole('row', { name: /Noor/ })).toContainText(/11 .*12 /);
  await anew.getByRole('button', { name: 'Judge anew' }).click();
  await expect(anew).toBeHidden();
  await expect(page.getByRole('row', { name: /Noor/ })).toContainText('12 of 14.5');
  await context.close();
});
