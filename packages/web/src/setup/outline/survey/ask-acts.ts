/** What is done with the questions of a survey: each act is one change, and can be taken back as one. */
import { askedOf, setAsk } from '@itinerary/core';
import type { Ask, Asked, AskKind, Survey } from '@itinerary/core';
import { newId } from '../../../stores/new-id.ts';
import { usePlan } from '../../../stores/plan.ts';

const STEPS = 5;

/** Without its id, as the table of the survey holds it. */
export function asAsk({ id: _id, ...ask }: Asked): Ask {
  void _id;
  return ask as Ask;
}

export interface AskWords {
  readonly text: string;
  readonly low: string;
  readonly high: string;
  readonly choice: (number: number) => string;
}

/** As it is before anybody has said otherwise; the words stay where its kind alone changes. */
export function newAsk(kind: AskKind, words: AskWords, at: number): Ask {
  const common = { text: words.text, at };
  if (kind === 'scale') return { ...common, kind, steps: STEPS, low: words.low, high: words.high };
  if (kind === 'open') return { ...common, kind };
  return { ...common, kind, choices: [1, 2].map((number) => ({ id: newId(), text: words.choice(number) })) };
}

export interface AskActs {
  readonly set: (id: string, ask: Ask, typing?: boolean) => void;
  /** @returns its id */
  readonly add: (kind: AskKind) => string;
  readonly remove: (id: string) => void;
  readonly move: (id: string, by: -1 | 1) => void;
  /** After those that are there, as one change. */
  readonly put: (asks: readonly Ask[]) => void;
}

export function useAskActs(survey: () => Survey, words: AskWords): AskActs {
  const plan = usePlan();
  const last = (): number => Math.max(0, ...askedOf(survey()).map(({ at }) => at));
  return {
    set: (id, ask, typing = false) => {
      plan.change([setAsk(survey(), id, ask)], { typing });
    },
    add: (kind) => {
      const id = newId();
      plan.change([setAsk(survey(), id, newAsk(kind, words, last() + 1))]);
      return id;
    },
    remove: (id) => {
      plan.change([setAsk(survey(), id, null)]);
    },
    move: (id, by) => {
      const all = askedOf(survey());
      const from = all.findIndex((one) => one.id === id);
      if (from === -1 || all[from + by] === undefined) return;
      const next = [...all];
      [next[from], next[from + by]] = [next[from + by]!, next[from]!];
      plan.change(
        next.flatMap((one, index) =>
          one.at === index + 1 ? [] : [setAsk(survey(), one.id, { ...asAsk(one), at: index + 1 })],
        ),
      );
    },
    put: (asks) => {
      const from = last();
      plan.change(asks.map((ask, index) => setAsk(survey(), newId(), { ...ask, at: from + index + 1 })));
    },
  };
}
