/**
 * A question as whoever answers it gets it: nothing of what is right, and its parts under names that say nothing of where
 * they stand, since those of a mail's questions are counted up.
 */
import { z } from 'zod';
import type { DeepReadonly } from '../../course/schema/readonly.ts';
import type { AskedQuestion } from './planned.ts';
import type { QuestionAnswer } from './question.ts';
import { shuffled } from './drawing.ts';

const part = z.object({ id: z.string(), text: z.string() });
const choice = part.extend({
  /** By its hash, and what it shows, for those who do not see it. */
  picture: z.object({ hash: z.string(), alt: z.string() }).nullable(),
});
const base = {
  id: z.string(),
  text: z.string(),
  /** Null: the points are not shown. */
  points: z.number().nullable(),
  required: z.boolean(),
};
export const shownQuestionSchema = z.discriminatedUnion('kind', [
  z.object({ ...base, kind: z.enum(['single', 'several']), choices: z.array(choice) }),
  z.object({ ...base, kind: z.enum(['truth', 'short', 'long']) }),
  z.object({ ...base, kind: z.literal('number'), units: z.array(z.string()) }),
  z.object({ ...base, kind: z.literal('matching'), lefts: z.array(part), rights: z.array(part) }),
  z.object({ ...base, kind: z.literal('order'), entries: z.array(part) }),
]);
export type ShownQuestion = DeepReadonly<z.infer<typeof shownQuestionSchema>>;

type Choice = Extract<AskedQuestion, { kind: 'single' | 'several' }>['choices'][number];

/** Of one attempt at one question: what a part of it is called there. */
export type Naming = (part: string) => string;

interface Showing {
  /** The attempt, which says in which order things stand. */
  readonly seed: string;
  readonly shuffleChoices: boolean;
  readonly showsPoints: boolean;
  readonly naming: Naming;
}

export function shownQuestion(question: AskedQuestion, showing: Showing): ShownQuestion {
  const { seed, naming } = showing;
  const { id, text, required } = question;
  const base = { id, text, required, points: showing.showsPoints ? question.points : null };
  const named = (all: readonly { readonly id: string; readonly text: string }[]) =>
    all.map((one) => ({ id: naming(one.id), text: one.text }));
  const told = (all: readonly Choice[]) =>
    all.map((one) => ({
      ...{ id: naming(one.id), text: one.text },
      picture: one.picture === null ? null : { hash: one.picture.hash, alt: one.picture.alt ?? '' },
    }));
  const mixed = (all: readonly { readonly id: string; readonly text: string }[], side: string) =>
    shuffled(named(all), `${seed} ${id} ${side}`, (one) => one.id);
  switch (question.kind) {
    case 'single':
    case 'several': {
      const choices = showing.shuffleChoices
        ? shuffled(told(question.choices), `${seed} ${id} choices`, (one) => one.id)
        : told(question.choices);
      return { ...base, kind: question.kind, choices };
    }
    case 'truth':
    case 'short':
    case 'long':
      return { ...base, kind: question.kind };
    case 'number':
      return { ...base, kind: 'number', units: question.units.map(({ name }) => name) };
    // The order in which these are written down is what is asked for.
    case 'matching':
      return {
        ...base,
        kind: 'matching',
        lefts: named(question.lefts),
        rights: mixed(question.rights, 'rights'),
      };
    case 'order':
      return { ...base, kind: 'order', entries: mixed(question.entries, 'entries') };
  }
}

/** The ids of all parts of a question. */
export function partsOf(question: AskedQuestion): readonly string[] {
  switch (question.kind) {
    case 'single':
    case 'several':
      return question.choices.map(({ id }) => id);
    case 'matching':
      return [...question.lefts, ...question.rights].map(({ id }) => id);
    case 'order':
      return question.entries.map(({ id }) => id);
    default:
      return [];
  }
}

/** An answer with its parts called otherwise; what a name stands for nothing, is left out. */
export function renamed(answer: QuestionAnswer, of: (name: string) => string | null): QuestionAnswer {
  const known = (names: readonly string[]): string[] =>
    names.map(of).filter((name): name is string => name !== null);
  switch (answer.kind) {
    case 'single':
      return { ...answer, chosen: answer.chosen === null ? null : of(answer.chosen) };
    case 'several':
      return { ...answer, chosen: known(answer.chosen) };
    case 'order':
      return { ...answer, placed: answer.placed === null ? null : known(answer.placed) };
    case 'matching': {
      const placed = Object.entries(answer.placed).flatMap(([left, right]) => {
        const pair = [of(left), of(right)];
        return pair.includes(null) ? [] : [pair as [string, string]];
      });
      return { ...answer, placed: Object.fromEntries(placed) };
    }
    default:
      return answer;
  }
}

/** @returns the part's id by what it is called */
export function unnamed(question: AskedQuestion, naming: Naming): (name: string) => string | null {
  const ids = new Map(partsOf(question).map((id) => [naming(id), id]));
  return (name) => ids.get(name) ?? null;
}

/** What is right, and why; in the words of whoever reads it, so that nothing is called by an id. */
export const solutionSchema = z.object({
  /** A line for each right choice, accepted answer, pair or place; empty: nobody has said, or staff look at it. */
  right: z.array(z.string()),
  why: z.string(),
  /** Why a choice is right or wrong, by what it is called in the attempt. */
  whys: z.array(z.object({ id: z.string(), why: z.string() })),
  truth: z.boolean().nullable(),
});
export type Solution = DeepReadonly<z.infer<typeof solutionSchema>>;

export function solutionOf(question: AskedQuestion, naming: Naming): Solution {
  const { why } = question;
  const whys =
    question.kind === 'single' || question.kind === 'several'
      ? question.choices.filter((one) => one.why !== '').map((one) => ({ id: naming(one.id), why: one.why }))
      : [];
  return {
    why,
    whys,
    right: [...rightWords(question)],
    truth: question.kind === 'truth' ? question.right : null,
  };
}

export function rightWords(question: AskedQuestion): readonly string[] {
  switch (question.kind) {
    case 'single':
      return question.choices.filter(({ id }) => id === question.right).map(({ text }) => text);
    case 'several':
      return question.choices.filter(({ id }) => question.right.includes(id)).map(({ text }) => text);
    case 'short':
      return question.accepted.filter(({ share }) => share === 1).map(({ text }) => text);
    case 'number': {
      if (question.right === null) return [];
      const unit = question.units.find(({ factor }) => factor === 1)?.name;
      const { of, value } = question.tolerance;
      const off = of === 'share' ? `${Number((value * 100).toPrecision(12))} %` : `${value}`;
      return [
        [question.right, unit, value === 0 ? undefined : `± ${off}`]
          .filter((one) => one !== undefined)
          .join(' '),
      ];
    }
    case 'matching':
      return question.lefts.map(({ id, text }) => {
        const right = question.rights.find((one) => one.id === question.pairs[id]);
        return `${text} → ${right?.text ?? ''}`;
      });
    case 'order':
      return question.entries.map(({ text }) => text);
    case 'truth':
    case 'long':
      return [];
  }
}
