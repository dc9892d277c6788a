/** Sets of questions that are ready to load, in the language of whoever loads them. */
import type { Ask } from '@itinerary/core';
import { newId } from '../../../stores/new-id.ts';

export const READY_SETS = ['start', 'unit', 'course'] as const;
export type ReadySet = (typeof READY_SETS)[number];

/** Of each set, the kinds of its questions, under the names of their words. */
const ASKS: Readonly<
  Record<ReadySet, readonly (readonly [name: string, kind: Ask['kind'], choices?: number])[]>
> = {
  start: [
    ['why', 'several', 5],
    ['know', 'scale'],
    ['hours', 'single', 4],
    ['hope', 'open'],
    ['worry', 'open'],
  ],
  unit: [
    ['clear', 'scale'],
    ['pace', 'single', 3],
    ['helped', 'several', 5],
    ['muddy', 'open'],
    ['keep', 'open'],
  ],
  course: [
    ['learnt', 'scale'],
    ['work', 'single', 3],
    ['feedback', 'scale'],
    ['ready', 'scale'],
    ['best', 'open'],
    ['change', 'open'],
  ],
};

/** @param t the words of `setup.survey.sets` */
export function readySet(set: ReadySet, t: (key: string) => string): readonly Ask[] {
  return ASKS[set].map(([name, kind, choices = 0], index): Ask => {
    const words = (part: string): string => t(`setup.survey.sets.${set}.${name}.${part}`);
    const common = { text: words('text'), at: index + 1 };
    if (kind === 'scale') return { ...common, kind, steps: 5, low: words('low'), high: words('high') };
    if (kind === 'open') return { ...common, kind };
    return {
      ...common,
      kind,
      choices: Array.from({ length: choices }, (_, at) => ({ id: newId(), text: words(`c${at + 1}`) })),
    };
  });
}
