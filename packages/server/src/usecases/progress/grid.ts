/** Learners by what counts: where everybody stands, for staff. */
import type { GridAnswer } from '@itinerary/contract';
import { countedItems, csvOf, livingSections, numberNodes } from '@itinerary/core';
import type { Counting, Course } from '@itinerary/core';
import { filedAs } from '@itinerary/core/people';
import type { MemberRecord, Person } from '../../db/entities.ts';
import type { EntityManager } from '../../db/orm.ts';
import { iso } from '../coursework/own-work.ts';
import { nameOrderOf } from '../institution/name-order.ts';
import { namedOf } from '../members/lists/roster-rows.ts';
import { letteredOf } from './letters.ts';
import type { Lettered } from './letters.ts';
import { standingsOf } from './standings.ts';

type Item = GridAnswer['items'][number];
type Items = ReturnType<typeof countedItems>;

interface Listed {
  readonly name: string;
  readonly address: string | null;
  /** When they were last in the course. */
  readonly lastAt: string | null;
}

/** Each with who it is, by their names; as rows alone, since a class of hundreds is read. */
async function byName<One extends { readonly person: string }>(
  em: EntityManager,
  course: Course,
  all: readonly One[],
): Promise<readonly (readonly [One, Listed | undefined])[]> {
  const order = await nameOrderOf(em, course.id);
  const rows = await em.execute<
    (Pick<MemberRecord, 'listed'> & Pick<Person, 'name' | 'address' | 'placeIn'> & LastHere)[]
  >(
    `select m.person_id as person, m.listed, p.name, p.address, p.place_in as "placeIn", v.last_at as "lastAt"
     from member m join person p on p.id = m.person_id
       left join visit v on v.course_id = m.course_id and v.person_id = m.person_id
     where m.course_id = ? and m.left_at is null`,
    [course.id],
  );
  const listed = new Map(
    rows.map((row): [string, Listed] => {
      const { address, ...called } = namedOf(row, row);
      const name = filedAs(called, order) || row.name;
      return [row.person, { name, address, lastAt: row.lastAt }];
    }),
  );
  const { compare } = new Intl.Collator();
  return all
    .map((one) => [one, listed.get(one.person)] as const)
    .sort(([, a], [, b]) => compare(a?.name ?? '', b?.name ?? ''));
}

interface LastHere {
  readonly person: string;
  readonly lastAt: string | null;
}

export async function readGrid(em: EntityManager, course: Course, now: string): Promise<GridAnswer> {
  const items = countedItems(course);
  const people = await byName(em, course, await letteredOf(em, course, now));
  const at = Date.parse(now);
  const numbers = numberNodes(course);
  const counts = items.map(() => ({ done: 0, behind: 0, of: 0 }));
  const placesIn = placesOf(items, at);
  const rows = people.map(([one, listed]) => ({
    ...rowOf(one, items, placesIn(one.counting), counts),
    ...whoIs(listed, one.viewer.groups),
  }));
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

/** Where an item of the course stands among those that count for somebody, and whether it should be done by now. */
interface Place {
  /** Less than nothing: it is not for them. */
  readonly at: number;
  readonly isWanted: boolean;
}

/** The same for all who have the same days and groups. */
function placesOf(items: Items, at: number): (counting: Counting) => readonly Place[] {
  const known = new Map<Counting, readonly Place[]>();
  return (counting) => {
    const found =
      known.get(counting) ??
      items.map(([{ id }]): Place => {
        const place = counting.indexOf.get(id) ?? -1;
        const ends = counting.items[place]?.ends ?? null;
        return { at: place, isWanted: ends !== null && at >= ends };
      });
    known.set(counting, found);
    return found;
  };
}

function rowOf(
  { person, counting, letters, completed }: Lettered,
  items: Items,
  places: readonly Place[],
  counts: { done: number; behind: number; of: number }[],
): Row {
  let cells = '';
  let [done, behind] = [0, 0];
  let standsAt: string | null = null;
  let next: string | null = null;
  for (let index = 0; index < items.length; index += 1) {
    const { at, isWanted } = places[index] as Place;
    const count = counts[index] as { done: number; behind: number; of: number };
    if (at < 0) {
      cells += '-';
      continue;
    }
    count.of += 1;
    const letter = letters[at] as string;
    if (letter !== 'o') {
      done += 1;
      count.done += 1;
      cells += letter;
      continue;
    }
    const id = items[index]?.[0].id ?? null;
    next ??= id;
    if (isWanted) {
      behind += 1;
      count.behind += 1;
      standsAt ??= id;
    }
    cells += isWanted ? 'b' : 'o';
  }
  return {
    ...{ person, cells, done, behind, counted: counting.items.length },
    since: iso(completed),
    standsAt: standsAt ?? next,
  };
}

const whoIs = (
  listed: Listed | undefined,
  groups: readonly string[] = [],
): Pick<GridAnswer['people'][number], 'name' | 'groups' | 'lastHere'> => ({
  name: listed?.name ?? '',
  groups: [...groups],
  lastHere: listed?.lastAt ?? null,
});

/** A line a learner, a column an item: since when it is done; empty: it is not, and a dash: it is not for them. */
export async function gridCsv(em: EntityManager, course: Course, now: string): Promise<string> {
  const items = countedItems(course);
  const people = await byName(em, course, await standingsOf(em, course, null, now));
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
