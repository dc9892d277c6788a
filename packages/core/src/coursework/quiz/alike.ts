/** Answers to one question that say the same, so that staff look at each once. */
import { likened } from './folding.ts';
import type { AskedQuestion } from './planned.ts';
import type { QuestionAnswer } from './question.ts';

/** What was answered, a line for each choice, pair or place; empty: nothing. */
export function answerWords(question: AskedQuestion, answer: QuestionAnswer): readonly string[] {
  const words = (all: readonly { readonly id: string; readonly text: string }[], id: string): string[] =>
    all.filter((one) => one.id === id).map(({ text }) => text);
  switch (answer.kind) {
    case 'single':
      return 'choices' in question && answer.chosen !== null ? words(question.choices, answer.chosen) : [];
    case 'several':
      // In the question's order, whatever was ticked first.
      return 'choices' in question
        ? question.choices.filter(({ id }) => answer.chosen.includes(id)).map(({ text }) => text)
        : [];
    case 'truth':
      return answer.chosen === null ? [] : [String(answer.chosen)];
    case 'short':
    case 'long':
    case 'number':
      return answer.text.trim() === '' ? [] : [answer.text];
    case 'order':
      return question.kind === 'order'
        ? (answer.placed ?? []).flatMap((id) => words(question.entries, id))
        : [];
    case 'matching':
      return question.kind === 'matching'
        ? question.lefts.flatMap(({ id, text }) => {
            const right = answer.placed[id];
            return right === undefined
              ? []
              : words(question.rights, right).map((other) => `${text} → ${other}`);
          })
        : [];
  }
}

/** The same for answers that say the same; of long ones each stands by itself. */
export function alikeAs(question: AskedQuestion, answer: QuestionAnswer): string {
  const words = answerWords(question, answer);
  if (question.kind === 'short') return words.map((text) => likened(text, question.folds)).join('\n');
  return words.map((text) => likened(text, { case: false, accents: false })).join('\n');
}
