/**
 * Where everybody stands with each item, one letter an item: kept with their last deed, and reckoned anew for those whose
 * rules are others now. Whether one is behind is no matter of deeds, and is not in it.
 */
import type { Counting, Course, Done, Ledger, Viewer } from '@itinerary/core';
import type { EntityManager } from '../../db/orm.ts';
import { countingsOf, learnersOf } from './learners.ts';
import { standingsOf } from './standings.ts';

const LETTERS: Readonly<Record<Done['by'], string>> = { rule: 'd', staff: 's', kept: 'k' };
const NOT = 'o';

/** In the order of what counts. */
export function lettersOf({ items }: Counting, { done }: Ledger): string {
  let letters = '';
  for (const { id } of items) {
    const by = done.get(id)?.by;
    letters += by === undefined ? NOT : LETTERS[by];
  }
  return letters;
}

export const completedIn = ({ plan }: Counting, { reached }: Ledger): number | null =>
  reached.get(plan.course.id)?.since ?? null;

export interface Lettered {
  readonly person: string;
  readonly viewer: Viewer;
  readonly counting: Counting;
  readonly letters: string;
  readonly completed: number | null;
}

interface KeptRow {
  readonly person: string;
  readonly letters: string;
  readonly completed: string | null;
  readonly basis: string;
}

export async function letteredOf(
  em: EntityManager,
  course: Course,
  now: string,
): Promise<readonly Lettered[]> {
  const countingFor = countingsOf(course, Date.parse(now));
  const learners = await learnersOf(em, course, null);
  const kept = await em.execute<KeptRow[]>(
    'select person_id as person, letters, completed, basis from progress where course_id = ?',
    [course.id],
  );
  const rows = new Map(kept.map((row) => [row.person, row]));
  const found = new Map<string, Lettered>();
  const stale: string[] = [];
  for (const [person, viewer] of learners) {
    const counting = countingFor(viewer);
    const row = rows.get(person);
    if (row !== undefined && row.basis !== counting.sign) stale.push(person);
    else {
      const completed = row?.completed == null ? null : Number(row.completed);
      const letters = row?.letters ?? NOT.repeat(counting.items.length);
      found.set(person, { person, viewer, counting, letters, completed });
    }
  }
  for (const { person, viewer, counting, ledger } of await standingsOf(em, course, stale, now)) {
    const completed = completedIn(counting, ledger);
    found.set(person, { person, viewer, counting, letters: lettersOf(counting, ledger), completed });
  }
  return [...found.values()];
}
