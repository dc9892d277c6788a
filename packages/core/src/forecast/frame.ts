/**
 * What a course asks of those who get the same of it on the same days, in whole days: what there is to do, from when on,
 * by when it is wanted, and what waits for what (docs/semantics.md, Forecast).
 *
 * Days are indices from one first day on, the same for all frames of a forecast.
 */
import type { Row } from '../access/compile.ts';
import { laterBy } from '../access/opening.ts';
import { orderOf } from '../access/reach.ts';
import type { Reach } from '../access/reach.ts';
import type { Viewer } from '../access/roles.ts';
import { groupWorkOf } from '../access/group-work.ts';
import { datedPauses } from '../calendar/pauses.ts';
import { zoneOf } from '../calendar/zone.ts';
import { handInWindow } from '../coursework/window.ts';
import type { Condition, SingleCondition } from '../course/schema/access-schema.ts';
import { conditionsOf } from '../course/schema/progress-schema.ts';
import type { DoneBy } from '../course/schema/progress-schema.ts';
import { isGroup } from '../course/rules.ts';
import type { Course } from '../course/schema/schema.ts';
import type { CountedItem, Counting } from '../progress/counting.ts';
import { wayOf } from '../progress/feasible.ts';
import type { Way } from '../progress/feasible.ts';

const DAY_MS = 86_400_000;

export interface FrameItem {
  readonly id: string;
  /** In minutes. */
  readonly weight: number;
  /** Of all that is wanted on the same day, this with it. */
  readonly beside: number;
  /** The first day on which it can be done; infinity: it never can. */
  readonly opens: number;
  /** The day by which it is wanted; infinity: it has none. */
  readonly wanted: number;
  /** The last day on which it can be done; infinity: it stays open. */
  readonly closes: number;
  /** Done when it is held, however much time one has. */
  readonly isHeld: boolean;
  /** Indices of what has to be done before, and how many days before. */
  readonly waits: readonly { readonly at: number; readonly later: number }[];
  /** A group does it as one, or one answers what others have said there. */
  readonly together: 'group' | 'talk' | null;
}

export interface Frame {
  readonly counting: Counting;
  readonly items: readonly FrameItem[];
  /** By day: whether anybody works on it. */
  readonly works: readonly boolean[];
  /** By item, its place among all: what is held first, then by the day on which it is wanted, then in reading order. */
  readonly rank: readonly number[];
  /** Of what the course's rule asks about by itself and does not count: the day on which it comes. */
  readonly asked: ReadonlyMap<string, number>;
  /** The last day on which anybody can work; infinity: it has none. */
  readonly last: number;
}

/** @param first the day number of the day of index 0 */
export function frameOf(course: Course, viewer: Viewer, first: number, days: number): Frame {
  const way = wayOf(course, viewer);
  const { counting, reach } = way;
  const zone = zoneOf(course.dates.zone);
  const indexOf = (instant: number): number =>
    Number.isFinite(instant) ? Math.floor(zone.localOf(instant) / DAY_MS) - first : instant;
  const items = besideOneAnother(counting.items.map((item) => itemOf(course, way, item, indexOf)));
  const order = items.map((_one, at) => at).sort((a, b) => wantedOf(items, a) - wantedOf(items, b) || a - b);
  const rank = new Array<number>(items.length).fill(0);
  order.forEach((at, place) => (rank[at] = place));
  const pauses = datedPauses(course.dates);
  return {
    ...{ counting, items, rank },
    works: Array.from({ length: days }, (_one, day) => !pauses.isPaused(first + day)),
    asked: new Map(
      [...counting.asked]
        .filter((id) => !counting.indexOf.has(id))
        .map((id): [string, number] => [id, indexOf(askedAt(way, id))]),
    ),
    last: lastIn(reach.closesAt, indexOf),
  };
}

function besideOneAnother(items: readonly FrameItem[]): readonly FrameItem[] {
  const minutes = new Map<number, number>();
  for (const { wanted, weight, isHeld } of items)
    if (!isHeld) minutes.set(wanted, (minutes.get(wanted) ?? 0) + weight);
  return items.map((one) => ({ ...one, beside: minutes.get(one.wanted) ?? one.weight }));
}

/** A finite number, so that two of them can be taken from one another. What is held comes before what can wait. */
function wantedOf(items: readonly FrameItem[], at: number): number {
  const { isHeld = false, wanted = Infinity } = items[at] ?? {};
  return isHeld ? -1e9 : Math.min(wanted, 1e9);
}

/** The last day before an instant. */
const lastIn = (instant: number, indexOf: (instant: number) => number): number => indexOf(instant - 1);

const HANDED: readonly DoneBy[] = ['handed_in', 'scored', 'passed'];

function itemOf(
  course: Course,
  way: Way,
  item: CountedItem,
  indexOf: (instant: number) => number,
): FrameItem {
  const { reach, counting } = way;
  const row = reach.compiled.rowOf.get(item.id) ?? -1;
  const { ends, moments } = way.bounds(row);
  const doable = way.doable(row);
  const at = doable !== null && 'at' in doable ? doable.at : Infinity;
  const conditions = conditionsOf(item.rule).map(({ by }) => by);
  const isHeld = conditions.includes('attended');
  const isHanded = conditions.some((by) => HANDED.includes(by));
  const { takenTo } = handInWindow(moments, 'grace' in item.node ? item.node.grace : 0);
  const closes = Math.min(ends, reach.closesAt, item.terms.tooLate, (isHanded ? takenTo : null) ?? Infinity);
  const opens = indexOf(at);
  const isShared = isHanded && groupWorkOf(course, item.node) !== 'none' && item.node.kind === 'assignment';
  return {
    ...{ id: item.id, weight: item.weight, beside: item.weight, opens, isHeld },
    wanted: lastIn(item.wanted, indexOf),
    closes: isHeld ? opens : lastIn(closes, indexOf),
    waits: waitsIn(reach, counting, row),
    together: isShared ? 'group' : conditions.includes('replied') ? 'talk' : null,
  };
}

/** When there can be what the course's rule asks of something that is not counted itself. */
function askedAt({ reach, bounds, opens }: Way, id: string): number {
  const row = reach.compiled.rowOf.get(id);
  if (row === undefined || reach.possible[row] !== true) return Infinity;
  const { held } = bounds(row).moments;
  return held?.kind === 'at' ? Math.max(held.instant, opens[row] as number) : (opens[row] as number);
}

/** What certainly has to be done before: of several ways in, none has to be. */
function waitsIn(reach: Reach, counting: Counting, row: number): FrameItem['waits'] {
  const { compiled, ways } = reach;
  const found = new Map<number, number>();
  const put = (id: string | null, later: number): void => {
    const at = id === null ? undefined : counting.indexOf.get(id);
    if (at !== undefined) found.set(at, Math.max(found.get(at) ?? 0, Math.ceil(later / DAY_MS)));
  };
  for (const part of ways[row] ?? []) {
    const { node } = compiled.rows[part] as Row;
    for (const one of node.rule === null ? [] : surelyIn(node.rule.when)) {
      if (one.kind === 'done') one.items.forEach((id) => put(id, laterBy(one)));
      if (one.kind === 'scored') put(one.item, 0);
      if (one.kind === 'before') put(reach.before[part] ?? null, 0);
    }
    put(orderOf(reach, part), 0);
  }
  return [...found].map(([at, later]) => ({ at, later }));
}

function surelyIn(when: Condition): readonly SingleCondition[] {
  if (!isGroup(when)) return [when];
  return when.kind === 'all' || when.of.length === 1 ? when.of.flatMap(surelyIn) : [];
}
