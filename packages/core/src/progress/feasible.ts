/**
 * Whether a learner who does everything can finish at all, on which day at the earliest, on which at the plan's pace, and
 * what waits for what the longest (docs/semantics.md, Progress: Feasible).
 */
import { reachFor, sectionOfRow, settle, waitsOf } from '../access/reach.ts';
import type { Reach } from '../access/reach.ts';
import type { Compiled, Row } from '../access/compile.ts';
import type { Viewer } from '../access/roles.ts';
import { dayOf, startOfDay } from '../calendar/days.ts';
import { isContent } from '../course/schema/items-schema.ts';
import type { Course } from '../course/schema/schema.ts';
import { countingFor } from './counting.ts';
import type { Counting } from './counting.ts';
import { boundsOfRow, conditionDoable, countedOf, markDoable, ruleDoable } from './doable.ts';
import type { Bounds, Doable } from './doable.ts';
import type { Facts } from '../deeds/facts.ts';
import { reckon } from './reckon.ts';

/** The instant (ms since 1970-01-01T00:00Z), and its day in the course's zone; null: there is no first day. */
export interface Finish {
  readonly at: number;
  readonly day: string | null;
}

/** One of what waits for one another. */
export interface Link {
  readonly id: string;
  /** When it is done, at the earliest. */
  readonly at: number;
}

export interface Feasibility {
  /** Nothing counts: there is no answer. */
  readonly can: 'yes' | 'no' | 'nothing';
  /** Null: it cannot be finished. */
  readonly earliest: Finish | null;
  /** Each thing on its day; null: not so, though it can be finished earlier, or not at all. */
  readonly atPace: Finish | null;
  /** The longest chain of waiting, from what can be done first on; empty: nothing waits for anything. */
  readonly chain: readonly Link[];
}

/** A learner's way through the course: when each row opens and each item is done. Infinity: never. */
export interface Way {
  readonly reach: Reach;
  readonly counting: Counting;
  readonly opens: readonly number[];
  readonly bounds: (row: number) => Bounds;
  /** When the counted item of a row is done, or why it never is. */
  readonly doable: (row: number) => Doable | null;
}

/** When a thing is done, of when it opens: at once, or on the day for which it is planned. */
type Pace = (bounds: Bounds, row: number, opens: number) => number;

const AT_ONCE: Pace = (_bounds, _row, opens) => opens;

export function wayOf(course: Course, viewer: Viewer, pace: Pace = AT_ONCE): Way {
  const bounds: Bounds[] = [];
  const boundsAt = (compiled: Compiled, row: number): Bounds => (bounds[row] ??= boundsOfRow(compiled, row));
  const doableFrom = (compiled: Compiled, row: number, opens: number): Doable | null => {
    const item = countedOf(compiled, row);
    if (item === null) return null;
    const own = boundsAt(compiled, row);
    return ruleDoable(item.node, item.rule, own, pace(own, row, opens));
  };
  const when = (doable: Doable | null): number => (doable !== null && 'at' in doable ? doable.at : Infinity);
  const reach = reachFor(course, viewer, (compiled) => ({
    doneAfter: (row, opens) => when(doableFrom(compiled, row, opens)),
    markedAfter: (row, opens) => {
      const own = boundsAt(compiled, row);
      return when(markDoable((compiled.rows[row] as Row).node, own, pace(own, row, opens)));
    },
  }));
  const { compiled } = reach;
  const opens = settle(reach);
  return {
    reach,
    counting: countingFor(compiled.plan, viewer.groups ?? []),
    opens,
    bounds: (row) => boundsAt(compiled, row),
    doable: (row) => doableFrom(compiled, row, opens[row] as number),
  };
}

/** @param viewer a learner: when they joined and which groups they are in counts, what they have done does not */
export function feasibility(course: Course, viewer: Viewer): Feasibility {
  const way = wayOf(course, viewer);
  if (way.counting.items.length === 0) return { can: 'nothing', earliest: null, atPace: null, chain: [] };
  const earliest = finishOf(course, way);
  if (earliest === null) return { can: 'no', earliest, atPace: null, chain: [] };
  return {
    can: 'yes',
    earliest,
    atPace: finishOf(course, wayOf(course, viewer, paceOf(way))),
    chain: longestChain(way),
  };
}

/** The moment at which the course is done by whoever goes this way. */
function finishOf(course: Course, way: Way): Finish | null {
  const ledger = reckon(way.counting, factsOnWay(way));
  const at = ledger.reached.get(course.id)?.since ?? null;
  if (at === null) return null;
  return { at, day: Number.isFinite(at) ? dayOf(new Date(at).toISOString(), course.dates.zone) : null };
}

/** What whoever goes this way has done: full marks, and there at every meeting. */
function factsOnWay(way: Way): ReadonlyMap<string, Facts> {
  const { reach, counting } = way;
  const facts = new Map<string, Facts>();
  reach.compiled.rows.forEach(({ node }, row) => {
    if (reach.possible[row] !== true || way.opens[row] === Infinity || !isContent(node)) return;
    const done = way.doable(row);
    const own: Facts = done !== null && 'at' in done ? { kept: done.at } : {};
    facts.set(node.id, counting.asked.has(node.id) ? { ...own, ...askedOf(way, row) } : own);
  });
  return facts;
}

/** What the course's rule asks of an item by itself: its mark, or that one was there. */
function askedOf(way: Way, row: number): Facts {
  const { node } = way.reach.compiled.rows[row] as Row;
  if (!isContent(node)) return {};
  const own = way.bounds(row);
  const opens = way.opens[row] as number;
  const at = (one: Doable): number | null => ('at' in one && one.at < own.ends ? one.at : null);
  if (node.kind === 'meeting') {
    const there = at(conditionDoable(node, { by: 'attended' }, own, opens));
    return there === null ? {} : { attended: there };
  }
  const marked = at(markDoable(node, own, opens));
  return marked === null ? {} : { marks: { before: [], at: marked, own: null, staff: 100 } };
}

/**
 * Each thing on the day on which it is due, else on its section's last; where it is not open then, as soon as it is.
 * A meeting has its own day.
 */
function paceOf({ reach, counting }: Way): Pace {
  const { zone } = counting.plan.course.dates;
  const first = reach.compiled.rows.map((_row, at): number => planned(reach.compiled, at, zone));
  return (_bounds, row, opens) => Math.max(first[row] as number, opens);
}

/** The first instant of the day for which it is planned; minus infinity: it has none. */
function planned(compiled: Compiled, at: number, zone: string): number {
  const { moments } = boundsOfRow(compiled, at);
  const { due } = moments;
  // A day's due moment is the first instant after it.
  const day = due?.kind === 'at' ? due.day : lastDayAround(compiled, at);
  return day === null ? -Infinity : Date.parse(startOfDay(day, zone));
}

function lastDayAround(compiled: Compiled, at: number): string | null {
  // A meeting is gone to when it is held.
  if ((compiled.rows[at] as Row).node.kind === 'meeting') return null;
  const span = sectionOfRow(compiled, at)?.span;
  return span?.kind === 'slot' ? span.slot.last : null;
}

/** Of what waits for something that waits, the longest by number; of two as long the one that ends later. */
function longestChain(way: Way): readonly Link[] {
  const { reach } = way;
  const { rows, rowOf } = reach.compiled;
  const known = new Map<number, readonly Link[]>();
  const chainTo = (row: number): readonly Link[] => {
    const found = known.get(row);
    if (found !== undefined) return found;
    known.set(row, []);
    const done = way.doable(row);
    if (done === null || !('at' in done)) return [];
    const before = waitsOf(reach, row)
      .map(({ id }) => rowOf.get(id))
      .filter((one) => one !== undefined)
      .map(chainTo)
      .reduce<readonly Link[]>((best, one) => (isLonger(one, best) ? one : best), []);
    const chain = [...before, { id: (rows[row] as Row).node.id, at: done.at }];
    known.set(row, chain);
    return chain;
  };
  let best: readonly Link[] = [];
  // In the order of their openings no chain is walked deeper than one step.
  const order = rows
    .map((_row, at) => at)
    .sort((a, b) => (way.opens[a] as number) - (way.opens[b] as number));
  for (const row of order) {
    const chain = reach.possible[row] === true ? chainTo(row) : [];
    if (isLonger(chain, best)) best = chain;
  }
  return best.length > 1 ? best : [];
}

const isLonger = (one: readonly Link[], other: readonly Link[]): boolean =>
  one.length > other.length ||
  (one.length === other.length && (one.at(-1)?.at ?? 0) > (other.at(-1)?.at ?? 0));
