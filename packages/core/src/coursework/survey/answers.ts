/** What somebody answers in a survey, and whether it answers what is asked. */
import type { Survey } from '../../course/schema/items-schema.ts';
import type { Ask } from '../../course/schema/coursework/survey-schema.ts';

/** In characters. */
export const MAX_OPEN = 5000;

export type SurveyAnswer =
  | { readonly kind: 'scale'; readonly step: number }
  | { readonly kind: 'single'; readonly choice: string }
  | { readonly kind: 'several'; readonly choices: readonly string[] }
  | { readonly kind: 'open'; readonly text: string };

/** By question. What is not answered is not in it. */
export type SurveyAnswers = Readonly<Record<string, SurveyAnswer>>;

export type Asked = Ask & { readonly id: string };

/** In their order. */
export const askedOf = ({ asks }: Pick<Survey, 'asks'>): readonly Asked[] =>
  Object.entries(asks)
    .map(([id, ask]): Asked => ({ ...ask, id }))
    .sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1));

/** Whether an answer still answers its question, as that is now. */
export function survives(ask: Ask | undefined, answer: SurveyAnswer): boolean {
  if (ask?.kind !== answer.kind) return false;
  switch (answer.kind) {
    case 'scale':
      return ask.kind === 'scale' && answer.step >= 1 && answer.step <= ask.steps;
    case 'single':
      return ask.kind === 'single' && ask.choices.some(({ id }) => id === answer.choice);
    case 'several':
      return (
        ask.kind === 'several' && answer.choices.every((one) => ask.choices.some(({ id }) => id === one))
      );
    case 'open':
      return answer.text.length <= MAX_OPEN;
  }
}

const isNothing = (answer: SurveyAnswer): boolean =>
  (answer.kind === 'open' && answer.text.trim() === '') ||
  (answer.kind === 'several' && answer.choices.length === 0);

/** What is sent, without what says nothing; or the first question whose answer is none. */
export function readAnswers(
  { asks }: Pick<Survey, 'asks'>,
  given: SurveyAnswers,
):
  | { readonly ok: true; readonly answers: SurveyAnswers }
  | { readonly ok: false; readonly ask: string | null } {
  const all = Object.entries(given).filter(([, answer]) => !isNothing(answer));
  const wrong = all.find(([id, answer]) => !survives(Object.hasOwn(asks, id) ? asks[id] : undefined, answer));
  if (wrong !== undefined) return { ok: false, ask: wrong[0] };
  if (all.length === 0) return { ok: false, ask: null };
  return { ok: true, answers: Object.fromEntries(all) };
}
