/** Learners by what counts: where everybody stands, for staff. */
import type { GridAnswer } from '@itinerary/contract';
import { countedItems, csvOf, livingSections, numberNodes } from '@itinerary/core';
import type { Course } from '@itinerary/core';
import type { EntityManager } from '../../db/orm.ts';
import { iso } from '../coursework/own-work.ts';
import { listedMembers } from '../members/members.ts';
import { standingsOf } from './standings.ts';
import type { Stands } from './standings.ts';

type Item = GridAnswer['items'][number];

interface Read {
  readonly items: ReturnType<typeof countedItems>;
  /** With whom each is. */
  readonly people: readonly (readonly [Stands, Listed | undefined])[];
}
type Listed = Awaited<ReturnType<typeof listedMembers>>[number];

/** By their names. */
async function readAll(em: EntityManager, course: Course, now: string): Promise<Read> {
  const stands = await standingsOf(em, course, null, now);
  const listed = new Map((await listedMembers(em, course.id)).map((one) => [one.person, one]));
  return {
    items: countedItems(course),
    people: stands
      .map((one) => [one, listed.get(one.person)] as const)
      .sort(([, a], [, b]) => (a?.name ?? '').localeCompare(b?.name ?? '')),
  };
}

export async function readGrid(em: EntityManager, course: Course, now: string): Promise<GridAnswer> {
  const { items, people } = await readAll(em, course, now);
  const at = Date.parse(now);
  const numbers = numberNodes(course);
  const counts = items.map(() => ({ done: 0, behind: 0, of: 0 }));
  const rows = people.map(([one, listed]) => ({ ...rowOf(one, items, counts, at), ...whoIs(listed) }));
  const inItems = new Set(items.map(([, section]) => section));
  return {
    zone: course.dates.zone,
    at: now,
    groups: Object.entries(course.groups)
      .sort(([, a], [, b]) => a.at - b.at)
      .map(([id, { name }]) => ({ id, name })),
    sections: livingSections(course)
      .filter(({ id }) => inItems.has(id))
      .map(({ id, title }) => ({ id, title, number: numbers.get(id) ?? null })),
    items: items.map(([{ id, kind, title }, section], index): Item => ({
      ...{ id, kind, title, section, number: numbers.get(id) ?? null },
      ...(counts[index] as Pick<Item, 'done' | 'behind' | 'of'>),
    })),
    people: rows,
  };
}

type Row = Omit<GridAnswer['people'][number], 'name' | 'groups' | 'lastHere'>;

function rowOf(
  { person, counting, ledger }: Stands,
  items: Read['items'],
  counts: { done: number; behind: number; of: number }[],
  at: number,
): Row {
  let cells = '';
  let [done, behind] = [0, 0];
  let standsAt: string | null = null;
  let next: string | null = null;
  items.forEach(([{ id }], index) => {
    const own = counting.items[counting.indexOf.get(id) ?? -1];
    if (own === undefined) {
      cells += '-';
      return;
    }
    const count = counts[index] as { done: number; behind: number; of: number };
    count.of += 1;
    const is = ledger.done.get(id);
    if (is !== undefined) {
      done += 1;
      count.done += 1;
      cells += is.by === 'staff' ? 's' : is.by === 'kept' ? 'k' : 'd';
      return;
    }
    next ??= id;
    if (own.ends !== null && at >= own.ends) {
      behind += 1;
      count.behind += 1;
      standsAt ??= id;
      cells += 'b';
    } else cells += 'o';
  });
  return {
    ...{ person, cells, done, behind, counted: counting.items.length },
    since: iso(ledger.reached.get(counting.plan.course.id)?.since ?? null),
    standsAt: standsAt ?? next,
  };
}

const whoIs = (
  listed: Listed | undefined,
): Pick<GridAnswer['people'][number], 'name' | 'groups' | 'lastHere'> => ({
  name: listed?.name ?? '',
  groups: [...(listed?.groups ?? [])],
  lastHere: listed?.lastAt ?? null,
});

/** A line a learner, a column an item: since when it is done; empty: it is not, and a dash: it is not for them. */
export async function gridCsv(em: EntityManager, course: Course, now: string): Promise<string> {
  const { items, people } = await readAll(em, course, now);
  const head = ['name', 'address', 'done', 'counted', 'completed', ...items.map(([{ title }]) => title)];
  const moment = (at: number | undefined): string => iso(at ?? null) ?? '';
  const lines = people.map(([{ counting, ledger }, listed]) => [
    listed?.name ?? '',
    listed?.address ?? '',
    counting.items.filter(({ id }) => ledger.done.has(id)).length,
    counting.items.length,
    moment(ledger.reached.get(course.id)?.since),
    ...items.map(([{ id }]) => (counting.indexOf.has(id) ? moment(ledger.done.get(id)?.since) : '–')),
  ]);
  return csvOf([head, ...lines]);
}
