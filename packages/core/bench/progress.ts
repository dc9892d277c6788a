/** One deed against reckoning its learner from nothing. */
import { newItem, newSection, planFor } from '../src/index.ts';
import type { Deed, DoneRule, Facts, Item } from '../src/index.ts';
import { fold, NO_FACTS_YET } from '../src/deeds/facts.ts';
import { countingFor } from '../src/progress/counting.ts';
import { reckonDeeds, step } from '../src/progress/reckon.ts';
import { courseOfPages } from './courses.ts';
import type { Comparison } from './measure.ts';

const SECTIONS = 20;
const ITEMS = 25;
const RULE: DoneRule = { by: 'all', of: [{ by: 'opened' }, { by: 'ticked' }] };

const item = (id: string): Item => newItem('page', { id, title: id, done: RULE, minutes: 10 });
const course = {
  ...courseOfPages(1, 1),
  sections: Array.from({ length: SECTIONS }, (_one, section) =>
    newSection({
      id: `s${section}`,
      items: Array.from({ length: ITEMS }, (_other, at) => item(`s${section}i${at}`)),
    }),
  ),
};
const counting = countingFor(planFor(course, { role: 'learner', institutionStaff: false }), []);
/** What somebody does in a course of five hundred items: opened, ticked, ticked off, and ticked again. */
const deeds = counting.items.flatMap(({ id }, at): Deed[] =>
  (['opened', 'ticked', 'unticked', 'ticked'] as const).map((kind, more) => ({
    ...{ kind, item: id, at: 1000 * at + more },
  })),
);
const ledger = reckonDeeds(counting, deeds);
const facts = new Map<string, Facts>();
for (const deed of deeds) facts.set(deed.item, fold(facts.get(deed.item) ?? NO_FACTS_YET, deed));
let at = 10_000_000;

export const progressComparisons: readonly Comparison[] = [
  {
    name: 'progress-step-vs-whole',
    says: 'one deed, with what follows from it, against reckoning its learner from nothing: 500 items, 2,000 deeds',
    count: 40,
    one: () => {
      reckonDeeds(counting, deeds);
    },
    otherCount: 4000,
    other: (run) => {
      const id = counting.items[run % counting.items.length]?.id ?? '';
      const kind = (facts.get(id)?.ticked ?? 0) === 0 ? 'ticked' : 'unticked';
      const now = fold(facts.get(id) ?? NO_FACTS_YET, { kind, at: (at += 1) });
      facts.set(id, now);
      step(counting, ledger, id, now);
    },
  },
];
