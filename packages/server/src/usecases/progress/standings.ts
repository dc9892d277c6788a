/** Where learners of a course stand, as it was kept with their last deed; reckoned anew where the rules are others now. */
import { ledgerOf, reckon } from '@itinerary/core';
import type { Counting, Course, Done, Facts, Ledger, Reached, Viewer } from '@itinerary/core';
import type { EntityManager } from '../../db/orm.ts';
import { countingsOf, learnersOf } from './learners.ts';

export interface Stands {
  readonly person: string;
  readonly viewer: Viewer;
  readonly counting: Counting;
  readonly ledger: Ledger;
}

interface KeptRow {
  readonly person: string;
  readonly done: Readonly<Record<string, Done>>;
  readonly reached: Readonly<Record<string, Reached>>;
  readonly basis: string;
}

export async function standingsOf(
  em: EntityManager,
  course: Course,
  ids: readonly string[] | null,
  now: string,
): Promise<readonly Stands[]> {
  const countingFor = countingsOf(course, Date.parse(now));
  const learners = await learnersOf(em, course, ids);
  const kept = await em.execute<KeptRow[]>(
    'select person_id as person, done, reached, basis from progress where course_id = ?',
    [course.id],
  );
  const rows = new Map(kept.map((row) => [row.person, row]));
  const stale: string[] = [];
  const countings = new Map<string, Counting>();
  for (const [person, viewer] of learners) {
    const counting = countingFor(viewer);
    countings.set(person, counting);
    const row = rows.get(person);
    if (row !== undefined && row.basis !== counting.sign) stale.push(person);
  }
  const facts = await factsOf(em, course.id, stale);
  return [...learners].map(([person, viewer]): Stands => {
    const counting = countings.get(person) as Counting;
    const row = rows.get(person);
    const anew = facts.get(person);
    const ledger =
      anew === undefined
        ? ledgerOf(counting, row?.done ?? {}, row?.reached ?? {})
        : reckon(counting, anew, new Map(Object.entries(row?.reached ?? {})));
    return { person, viewer, counting, ledger };
  });
}

/**
 * By person and item; of whoever is asked about and has done nothing there is an empty one.
 *
 * @param items those alone; null: whatever they have done
 */
export async function factsOf(
  em: EntityManager,
  courseId: string,
  persons: readonly string[],
  items: readonly string[] | null = null,
): Promise<ReadonlyMap<string, ReadonlyMap<string, Facts>>> {
  const found = new Map<string, Map<string, Facts>>(persons.map((person) => [person, new Map()]));
  if (persons.length === 0 || items?.length === 0) return found;
  const rows = await em.execute<{ person: string; item: string; facts: Facts }[]>(
    `select person_id as person, item_id as item, facts from deed where course_id = ?
       and person_id in (select jsonb_array_elements_text(?::jsonb))
       and (?::jsonb = 'null' or item_id in (select jsonb_array_elements_text(nullif(?::jsonb, 'null'))))`,
    [courseId, ...[persons, items, items].map((one) => JSON.stringify(one))],
  );
  for (const { person, item, facts } of rows) found.get(person)?.set(item, facts);
  return found;
}
