/** A quiz with one question of each kind. */
import { newItem, planned, questionsOf, readQuestions } from '../../../src/index.ts';
import type { AskedQuestion, PlannedQuestion, Quiz } from '../../../src/index.ts';

const BLOCK = `1. Which lives in mud?
a) Limpet
b) Cockle *
> It digs.

2. Which grow in a salt marsh? (2)
[x] Glasswort
[x] Sea lavender
[ ] Oak

3. What goes with what?
Cockle -> Shell
Crab -> Claw

4. In which order?
+ Dig
+ Sieve
+ Count

5. Name the seagrass
= Zostera

6. How high?
= 3.25 m ± 0.05

7. Two high tides a day?
= true

8. What did you see? (4)
= ...`;

/** Ids that are counted up, as those of a mail's questions are. */
export const QUESTIONS: Readonly<Record<string, PlannedQuestion>> = Object.fromEntries(
  readQuestions(BLOCK, (at, part) =>
    part === undefined ? `q${at + 1}` : `q${at + 1}p${part}`,
  ).questions.map((one, at) => [one.id, planned(one, at)!]),
);
export const quiz = (settings: Partial<Quiz> = {}): Quiz => ({
  ...(newItem('quiz', { id: 'quiz', title: 'The marsh' }) as Quiz),
  questions: QUESTIONS,
  ...settings,
});
export const of = (id: string): AskedQuestion => questionsOf(quiz()).find((one) => one.id === id)!;
