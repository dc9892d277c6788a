/** When members were in a course: what is new to them since, where they left off, whether it is their first time. */
import type { Visits } from '@itinerary/core';
import { VisitRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';

/** After as long without a page, somebody has gone and come back. */
const VISIT_MS = 30 * 60 * 1000;

export interface Visit extends Visits {
  /** The end of the visit before this one (ISO, UTC); null: there was none. */
  readonly since: string | null;
}

const NEVER: Visit = { isFirst: false, last: null, since: null };

/** @param personId null, or of nobody on the course: they have no visits of their own. */
export async function visitOf(
  em: EntityManager,
  courseId: string,
  personId: string | null,
  now: string,
): Promise<Visit> {
  if (personId === null) return NEVER;
  const row = await em.findOne(VisitRow, { courseId, personId });
  if (row === null) return { ...NEVER, isFirst: true };
  const { arrivedAt, previousAt, lastAt, lastItem } = row;
  // Pages of one visit ask side by side: whoever asks first after a rest gives the others the same answer.
  const isBack = Date.parse(now) - Date.parse(lastAt) > VISIT_MS;
  return {
    isFirst: arrivedAt === null,
    last: lastItem ?? null,
    since: (isBack ? lastAt : previousAt) ?? null,
  };
}

/**
 * Notes that a member is there.
 *
 * @param what `arrives`: they opened the course itself; `item`: the item that they opened.
 */
export async function noteVisit(
  em: EntityManager,
  courseId: string,
  personId: string,
  now: string,
  what: { readonly arrives?: true; readonly item?: string } = {},
): Promise<void> {
  const rested = new Date(Date.parse(now) - VISIT_MS).toISOString();
  if (what.item !== undefined) {
    await em.execute(
      `insert into item_opened (course_id, person_id, item_id, first_at, last_at) values (?, ?, ?, ?, ?)
       on conflict (course_id, person_id, item_id) do update
         set last_at = greatest(item_opened.last_at, excluded.last_at)`,
      [courseId, personId, what.item, now, now],
    );
  }
  await em.getConnection().execute(
    `insert into visit (course_id, person_id, arrived_at, previous_at, last_at, last_item)
     values (?, ?, ?, null, ?, ?)
     on conflict (course_id, person_id) do update set
       arrived_at = coalesce(visit.arrived_at, excluded.arrived_at),
       previous_at = case when visit.last_at < ? then visit.last_at else visit.previous_at end,
       last_at = greatest(visit.last_at, excluded.last_at),
       last_item = coalesce(excluded.last_item, visit.last_item)`,
    [courseId, personId, what.arrives === true ? now : null, now, what.item ?? null, rested],
  );
}
