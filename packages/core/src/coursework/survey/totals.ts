/** What a survey came to, question by question. */
import type { Survey } from '../../course/schema/items-schema.ts';
import { askedOf, survives } from './answers.ts';
import type { Asked, SurveyAnswers } from './answers.ts';

export interface AskTotals {
  readonly id: string;
  readonly kind: Asked['kind'];
  readonly text: string;
  /** How many have answered it. */
  readonly answered: number;
  /** Of each step or choice, in their order, with what it says. */
  readonly counts: readonly { readonly key: string; readonly text: string; readonly count: number }[];
  /** Of a scale; null: nobody has answered it, or it is none. */
  readonly mean: number | null;
  /** In the order of the alphabet. */
  readonly texts: readonly string[];
}

/** @param answers of whole batches; what no longer answers its question counts nowhere */
export function totalsOf(
  survey: Pick<Survey, 'asks'>,
  answers: readonly SurveyAnswers[],
): readonly AskTotals[] {
  return askedOf(survey).map((ask) => {
    const given = answers.flatMap((one) => {
      const answer = Object.hasOwn(one, ask.id) ? one[ask.id] : undefined;
      return answer !== undefined && survives(ask, answer) ? [answer] : [];
    });
    const steps = given.flatMap((answer) => (answer.kind === 'scale' ? [answer.step] : []));
    const chosen = given.flatMap((answer) => {
      if (answer.kind === 'single') return [answer.choice];
      return answer.kind === 'several' ? [...new Set(answer.choices)] : [];
    });
    const texts = given.flatMap((answer) => (answer.kind === 'open' ? [answer.text] : []));
    return {
      id: ask.id,
      kind: ask.kind,
      text: ask.text,
      answered: given.length,
      counts: placesOf(ask).map(({ key, text }) => ({
        key,
        text,
        count:
          ask.kind === 'scale'
            ? steps.filter((step) => String(step) === key).length
            : chosen.filter((one) => one === key).length,
      })),
      mean: steps.length === 0 ? null : steps.reduce((sum, step) => sum + step, 0) / steps.length,
      texts: [...texts].sort(),
    };
  });
}

function placesOf(ask: Asked): readonly { readonly key: string; readonly text: string }[] {
  if (ask.kind === 'open') return [];
  if (ask.kind !== 'scale') return ask.choices.map(({ id, text }) => ({ key: id, text }));
  return Array.from({ length: ask.steps }, (_, index) => ({
    key: String(index + 1),
    text: index === 0 ? ask.low : index === ask.steps - 1 ? ask.high : '',
  }));
}
