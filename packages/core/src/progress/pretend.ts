/** What an example learner has done: as if each thing had been gone through, with full marks. */
import { startOfDay } from '../calendar/days.ts';
import { conditionsOf } from '../course/schema/progress-schema.ts';
import type { DoneCondition } from '../course/schema/progress-schema.ts';
import { fold, NO_FACTS_YET } from '../deeds/facts.ts';
import type { DeedKind, Facts } from '../deeds/facts.ts';
import type { CountedItem, Counting } from './counting.ts';

/** Nothing, half of what counts, what the plan wants by then, all of it; or the items of these ids. */
export type Pretended = 'nothing' | 'half' | 'planned' | 'everything' | readonly string[];

const FULL = { kind: 'scored', percent: 100, by: 'learner' } as const;

function deedsFor(condition: DoneCondition): readonly DeedKind[] {
  switch (condition.by) {
    case 'opened':
    case 'ticked':
    case 'handed_in':
    case 'attended':
      return [{ kind: condition.by }];
    case 'scored':
    case 'passed':
      return [FULL];
    case 'posted':
    case 'replied':
      return Array.from({ length: condition.least }, () => ({ kind: condition.by }));
    case 'watched':
      return [{ kind: 'watched', percent: 100 }];
  }
}

function doneWith(item: CountedItem, at: number): Facts {
  const { rule, node, terms } = item;
  const deeds = [...conditionsOf(rule).flatMap(deedsFor), ...('total' in node ? [FULL] : [])];
  // What has to be done by some moment was.
  const when = Math.min(at, terms.tooLate - 1);
  return deeds.reduce<Facts>((facts, deed) => fold(facts, { ...deed, at: when }), NO_FACTS_YET);
}

/**
 * By item; what does not count for them is not done. What was wanted by the plan was done when it was, all else on the
 * course's first day, or at the moment asked about where that is before it.
 *
 * @param at milliseconds since 1970-01-01T00:00Z
 */
export function pretended(counting: Counting, which: Pretended, at: number): ReadonlyMap<string, Facts> {
  const { items, plan } = counting;
  const begins = plan.firstDay === null ? at : Date.parse(startOfDay(plan.firstDay, plan.course.dates.zone));
  const done = (some: readonly CountedItem[]): ReadonlyMap<string, Facts> =>
    new Map(some.map((item) => [item.id, doneWith(item, Math.min(begins, at))]));
  switch (which) {
    case 'nothing':
      return new Map();
    case 'half':
      return done(items.slice(0, Math.ceil(items.length / 2)));
    case 'everything':
      return done(items);
    case 'planned':
      return new Map(
        items.filter(({ wanted }) => wanted <= at).map((item) => [item.id, doneWith(item, item.wanted)]),
      );
    default:
      return done(items.filter(({ id }) => which.includes(id)));
  }
}
