/** On which day whoever has done these things on these days is done with the course. */
import type { Facts } from '../deeds/facts.ts';
import { reckonFrom } from '../progress/reckon.ts';
import type { Frame } from './frame.ts';
import { NEVER } from './walk.ts';

/** @param done by item, the day, or `NEVER` @returns `NEVER`: on none */
export function finishOf({ counting, items, asked }: Frame, done: Int32Array): number {
  if (items.length === 0) return NEVER;
  if (counting.rule === null) {
    let last = -1;
    for (const day of done) last = Math.max(last, day);
    return last;
  }
  const dones = new Map<string, { since: number; by: 'rule' }>();
  const facts = new Map<string, Facts>();
  const put = (id: string, since: number): void => {
    if (!counting.asked.has(id)) return;
    // Whoever does it is there, and gets what can be got.
    facts.set(id, { attended: since, marks: { before: [], at: since, own: null, staff: 100 } });
  };
  items.forEach(({ id }, at) => {
    const since = done[at] as number;
    if (since === NEVER) return;
    dones.set(id, { since, by: 'rule' });
    put(id, since);
  });
  for (const [id, day] of asked) if (day !== Infinity) put(id, day);
  const ledger = reckonFrom(counting, dones, facts, new Map());
  return ledger.reached.get(counting.plan.course.id)?.since ?? NEVER;
}
