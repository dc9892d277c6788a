/** When members were in a course: what is new to them since, where they left off, whether it is their first time. */
import type { Viewer, Visits } from '@itinerary/core';
import type { Around, VisitThere } from '../../db/coming.ts';
import { VisitRow } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';

/** After as long without a page, somebody has gone and come back. */
const VISIT_MS = 30 * 60 * 1000;

export interface Visit extends Visits {
  /** The end of the visit before this one (ISO, UTC); null: there was none. */
  readonly since: string | null;
}

const NEVER: Visit = { isFirst: false, last: null, since: null };

/** Whoever is nobody of the course has no visits of their own. */
export const visitOf = (
  { role }: Pick<Viewer, 'role'>,
  { visit }: Pick<Around, 'visit'>,
  now: string,
): Visit => (role === null ? NEVER : visitBy(visit, now));

/** When somebody was in each of these courses, by course, in one question. */
export async function visitsOf(
  em: EntityManager,
  personId: string,
  courseIds: readonly string[],
): Promise<(courseId: string) => VisitThere | null> {
  const rows = await em.find(VisitRow, { personId, courseId: { $in: [...courseIds] } });
  const found = new Map(
    rows.map(({ courseId, arrivedAt, previousAt, lastAt, lastItem }) => [
      courseId,
      { arrivedAt: arrivedAt ?? null, previousAt: previousAt ?? null, lastAt, lastItem: lastItem ?? null },
    ]),
  );
  return (courseId) => found.get(courseId) ?? null;
}

/** @param there null: they have never been there */
export function visitBy(there: VisitThere | null, now: string): Visit {
  if (there === null) return { ...NEVER, isFirst: true };
  const { arrivedAt, previousAt, lastAt, lastItem } = there;
  // Pages of one visit ask side by side: whoever asks first after a rest gives the others the same answer.
  const isBack = Date.parse(now) - Date.parse(lastAt) > VISIT_MS;
  return { isFirst: arrivedAt === null, last: lastItem, since: isBack ? lastAt : previousAt };
}

/** As long as nothing else is to be noted of it, somebody is noted as there once in it. */
const NOTED_MS = 60 * 1000;

/**
 * Notes that a member is there, in one question at most: what was noted a moment ago is not noted again.
 *
 * @param there as they were noted last
 * @param what `arrives`: they opened the course itself; `item`: the item that they opened.
 */
export async function noteVisit(
  em: EntityManager,
  courseId: string,
  personId: string,
  there: VisitThere | null,
  now: string,
  what: { readonly arrives?: true; readonly item?: string } = {},
): Promise<void> {
  const isNews =
    there === null ||
    Math.abs(Date.parse(now) - Date.parse(there.lastAt)) >= NOTED_MS ||
    (what.arrives === true && there.arrivedAt === null) ||
    (what.item !== undefined && what.item !== there.lastItem);
  if (!isNews) return;
  const rested = new Date(Date.parse(now) - VISIT_MS).toISOString();
  const item = what.item ?? null;
  await em.execute(
    `with opened as (
       insert into item_opened (course_id, person_id, item_id, first_at, last_at)
         select ?, ?, item, ?, ? from (select ?::text as item) one where item is not null
       on conflict (course_id, person_id, item_id) do update
         set last_at = greatest(item_opened.last_at, excluded.last_at))
     insert into visit (course_id, person_id, arrived_at, previous_at, last_at, last_item)
     values (?, ?, ?, null, ?, ?)
     on conflict (course_id, person_id) do update set
       arrived_at = coalesce(visit.arrived_at, excluded.arrived_at),
       previous_at = case when visit.last_at < ? then visit.last_at else visit.previous_at end,
       last_at = greatest(visit.last_at, excluded.last_at),
       last_item = coalesce(excluded.last_item, visit.last_item)`,
    [
      ...[courseId, personId, now, now, item],
      ...[courseId, personId, what.arrives === true ? now : null, now, item, rested],
    ],
  );
}
