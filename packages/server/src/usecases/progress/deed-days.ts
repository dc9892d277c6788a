/** What each learner has done on which day: a browser reckons from it where the class is going. */
import type { DeedDaysAnswer } from '@itinerary/contract';
import { countedItems, dayOf, daysBetween } from '@itinerary/core';
import type { Course } from '@itinerary/core';
import type { EntityManager } from '../../db/orm.ts';
import { listedMembers } from '../members/members.ts';
import { standingsOf } from './standings.ts';

export async function deedDays(em: EntityManager, course: Course, now: string): Promise<DeedDaysAnswer> {
  const { zone } = course.dates;
  const days = new Map<number, string>();
  const HOUR_MS = 3_600_000;
  /** Many things are done in the same hour; no zone changes its day within one that begins on a quarter. */
  const dayAt = (at: number): string => {
    const quarter = Math.floor(at / (HOUR_MS / 4));
    const known = days.get(quarter) ?? dayOf(new Date(at).toISOString(), zone);
    days.set(quarter, known);
    return known;
  };
  const stands = await standingsOf(em, course, null, now);
  const listed = new Map((await listedMembers(em, course.id)).map((one) => [one.person, one]));
  const items = countedItems(course).map(([{ id }]) => id);
  const placeOf = new Map(items.map((id, at) => [id, at]));
  const all = stands.map((one) => ({
    one,
    done: [...one.ledger.done].flatMap(([id, { since }]): (readonly [number, string])[] => {
      const place = placeOf.get(id);
      return place === undefined || !one.counting.indexOf.has(id) ? [] : [[place, dayAt(since)]];
    }),
  }));
  const today = dayOf(now, zone);
  const first = all
    .flatMap(({ done }) => done)
    .reduce((least, [, day]) => (day < least ? day : least), today);
  return {
    ...{ today, first, items },
    learners: all.map(({ one, done }) => {
      const { groups = [], exceptions = [], joinedAt } = one.viewer;
      const since = one.ledger.reached.get(course.id)?.since;
      return {
        ...{ person: one.person, name: listed.get(one.person)?.name ?? '', joinedAt: joinedAt ?? now },
        ...{ groups: [...groups], exceptions: [...exceptions] },
        done: done.map(([place, day]): [number, number] => [place, daysBetween(first, day)]),
        since: since === undefined ? null : dayAt(since),
      };
    }),
  };
}
