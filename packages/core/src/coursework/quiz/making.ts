/** Questions as they are begun, made into another kind, and found wanting. */
import type { PlannedQuestion } from '../../course/schema/coursework/quiz-schema.ts';
import type { DeepReadonly } from '../../course/schema/readonly.ts';

type Question = DeepReadonly<PlannedQuestion>;
type Kind = PlannedQuestion['kind'];
type Common = Pick<Question, 'text' | 'why' | 'points' | 'required' | 'pool' | 'at'>;

/** In the order in which they are offered. */
export const QUESTION_KINDS: readonly Kind[] = [
  'single',
  'several',
  'truth',
  'short',
  'number',
  'matching',
  'order',
  'long',
];

/** As one of a kind begins: nothing of it is right yet. @param part makes the ids of what it begins with, and their words */
export function newQuestion(
  kind: Kind,
  common: Common,
  part: (at: number) => { readonly id: string; readonly text: string },
): PlannedQuestion {
  const choices = [0, 1].map((at) => ({ ...part(at), why: '', picture: null }));
  switch (kind) {
    case 'single':
      return { ...common, kind, choices, right: null };
    case 'several':
      // One that has nothing right is refused: the first is, until somebody says otherwise.
      return { ...common, kind, choices, right: [choices[0]!.id], credit: 'by_part' };
    case 'truth':
      return { ...common, kind, right: null };
    case 'short':
      return {
        ...common,
        kind,
        accepted: [],
        folds: { case: true, accents: true },
        otherwise: 'wrong',
      };
    case 'number':
      return { ...common, kind, right: null, tolerance: { of: 'absolute', value: 0 }, units: [] };
    case 'matching':
      return { ...common, kind, lefts: [], rights: [], pairs: {}, credit: 'by_part' };
    case 'order':
      return { ...common, kind, entries: [], credit: 'whole' };
    case 'long':
      return { ...common, kind };
  }
}

/** Made into another kind: what all kinds have stays, and choices stay choices. */
export function asKind(
  question: Question,
  kind: Kind,
  part: (at: number) => { readonly id: string; readonly text: string },
): PlannedQuestion {
  const { text, why, points, required, pool, at } = question;
  const next = newQuestion(kind, { text, why, points, required, pool, at }, part);
  if (question.kind === kind) return question as PlannedQuestion;
  if (question.kind === 'single' && next.kind === 'several' && question.choices.length > 0) {
    const right = question.right ?? question.choices[0]!.id;
    return { ...next, choices: question.choices.map((one) => ({ ...one })), right: [right] };
  }
  if (question.kind === 'several' && next.kind === 'single') {
    return {
      ...next,
      choices: question.choices.map((one) => ({ ...one })),
      right: question.right[0] ?? null,
    };
  }
  return next;
}

export type QuestionFault =
  /** Nobody has said what is right. */
  | 'no_right'
  /** There is nothing to choose between, or to be put together or in order. */
  | 'too_few';

/** @returns why nobody can answer it rightly; null: somebody can, or staff look at it */
export function questionFault(question: Question): QuestionFault | null {
  switch (question.kind) {
    case 'single':
      if (question.choices.length < 2) return 'too_few';
      return question.choices.some(({ id }) => id === question.right) ? null : 'no_right';
    case 'several':
      if (question.choices.length < 2) return 'too_few';
      return question.choices.some(({ id }) => question.right.includes(id)) ? null : 'no_right';
    case 'truth':
    case 'number':
      return question.right === null ? 'no_right' : null;
    case 'short':
      return question.accepted.length === 0 && question.otherwise === 'wrong' ? 'no_right' : null;
    case 'matching': {
      if (question.lefts.length === 0 || question.rights.length < 2) return 'too_few';
      const isPaired = (left: string): boolean =>
        question.rights.some(({ id }) => id === question.pairs[left]);
      return question.lefts.every(({ id }) => isPaired(id)) ? null : 'no_right';
    }
    case 'order':
      return question.entries.length < 2 ? 'too_few' : null;
    case 'long':
      return null;
  }
}
