/**
 * How a learner goes through a course who does each thing as soon as it is open: the least moments that satisfy all rules
 * (docs/semantics.md, Access: Earliest).
 */
import type { SectionPlan } from '../calendar/course-plan.ts';
import type { NodeMoments } from '../calendar/node-moments.ts';
import type { Condition, ConditionGroup, SingleCondition } from '../course/schema/access-schema.ts';
import { isGroup, singles } from '../course/rules.ts';
import type { Course } from '../course/schema/schema.ts';
import { compileAccess, possibleRows } from './compile.ts';
import type { Compiled, Row } from './compile.ts';
import { goesLiveAt } from './course-caps.ts';
import { onceLive } from './once-live.ts';
import { laterBy } from './opening.ts';
import { ownPlan } from './resolve.ts';
import type { Viewer } from './roles.ts';
import { boundsOf, endOfWork } from './window.ts';

/** How a learner goes through a course: what they get, in which order, and when something is done once it is open. */
export interface Reach {
  readonly compiled: Compiled;
  /** What holds a row and the row itself, outermost first. */
  readonly ways: readonly (readonly number[])[];
  /** Rows that this learner gets at all. */
  readonly possible: readonly boolean[];
  /** The counted item before each row, in the course and in its section. */
  readonly before: readonly (string | null)[];
  readonly beforeInSection: readonly (string | null)[];
  readonly start: number;
  readonly closesAt: number;
  /** When the item of a row is done that opens at this instant, at the earliest; infinity: not at all. */
  readonly doneAfter: (at: number, opens: number) => number;
  /** The same of a mark in it. */
  readonly markedAfter: (at: number, opens: number) => number;
}

type Doing = Pick<Reach, 'doneAfter' | 'markedAfter'>;

/** What counts is done, and marked, as soon as it is open. */
export function atOnce({ rows }: Compiled): Doing {
  const doneAfter: Reach['doneAfter'] = (at, opens) => ((rows[at] as Row).counts ? opens : Infinity);
  return { doneAfter, markedAfter: doneAfter };
}

const NONE: NodeMoments = {};

/** @param doing in the plan as this learner has it */
export function reachFor(course: Course, viewer: Viewer, doing: (compiled: Compiled) => Doing): Reach {
  const live = onceLive(course);
  const compiled = compileAccess(ownPlan(live, viewer, Date.parse(viewer.joinedAt ?? '') || 0));
  return reachOf(compiled, viewer, doing(compiled));
}

/** The instant from which this learner can do anything: the course is live and they are in it. */
function startOf(course: Course, { joinedAt = null }: Viewer, opensAt: number | null): number {
  const joined = joinedAt === null ? (opensAt ?? -Infinity) : Date.parse(joinedAt);
  const open = course.window.before === 'open' ? -Infinity : (opensAt ?? -Infinity);
  return Math.max(joined, open, goesLiveAt(course) ?? -Infinity);
}

function reachOf(compiled: Compiled, viewer: Viewer, doing: Doing): Reach {
  const { course, plan, rows } = compiled;
  const possible = possibleRows(rows, viewer.groups ?? []);
  const ways: number[][] = [];
  const before: (string | null)[] = [];
  const beforeInSection: (string | null)[] = [];
  let last: string | null = null;
  let lastInSection: string | null = null;
  rows.forEach((row, at) => {
    const { above } = row;
    if (above < 0) lastInSection = null;
    ways.push([...(above < 0 ? [] : (ways[above] as number[])), at]);
    before.push(last);
    beforeInSection.push(lastInSection);
    if (possible[at] === true && row.counts) last = lastInSection = row.node.id;
  });
  const { opensAt } = boundsOf(plan);
  return {
    compiled,
    ways,
    possible,
    before,
    beforeInSection,
    start: startOf(course, viewer, opensAt),
    closesAt: endOfWork(plan),
    ...doing,
  };
}

/**
 * The earliest instants, as the least that satisfies all rules: from nothing reached, whatever can be reached by
 * what already is, until nothing changes. Each round reaches one more row at least, or it is the last.
 */
export function settle(reach: Reach): readonly number[] {
  const { rows } = reach.compiled;
  const found = new Array<number>(rows.length).fill(Infinity);
  for (let round = 0; round <= rows.length; round += 1) {
    let isSettled = true;
    for (let at = 0; at < rows.length; at += 1) {
      if (reach.possible[at] !== true) continue;
      const when = openingAt(reach, found, at);
      if (when < (found[at] as number)) {
        found[at] = when;
        isSettled = false;
      }
    }
    if (isSettled) break;
  }
  return found;
}

/** Infinity: not by what has been reached so far. */
function openingAt(reach: Reach, found: readonly number[], at: number): number {
  const { start, closesAt, ways, compiled } = reach;
  let when = start;
  for (const part of ways[at] as readonly number[]) when = Math.max(when, ownOpening(reach, found, part));
  const isOver = (ways[at] as readonly number[]).some((part) => when >= (compiled.rows[part] as Row).overAt);
  return isOver || when >= closesAt ? Infinity : when;
}

/** Something that an opening waits for: that an item is done, or that there is a mark in it. */
export interface Waited {
  readonly id: string;
  readonly by: 'done' | 'marked';
}

/** When that can be so, once the item is open. */
export function metAt(reach: Reach, found: readonly number[], { id, by }: Waited): number {
  const at = reach.compiled.rowOf.get(id);
  if (at === undefined || reach.possible[at] !== true) return Infinity;
  const opens = found[at] as number;
  if (opens === Infinity) return Infinity;
  return by === 'done' ? reach.doneAfter(at, opens) : reach.markedAfter(at, opens);
}

const doneAt = (reach: Reach, found: readonly number[], id: string): number =>
  metAt(reach, found, { id, by: 'done' });

export function ownOpening(reach: Reach, found: readonly number[], at: number): number {
  const row = reach.compiled.rows[at] as Row;
  const moments = momentsOfRow(reach.compiled, at);
  const parts: number[] = [row.opening.opens ?? -Infinity];
  const { rule } = row.node;
  if (rule !== null) {
    let next = 0;
    const meet = (one: Condition): number | null => {
      if (isGroup(one)) return meetGroup(one, meet);
      switch (one.kind) {
        case 'from': {
          const resolved = moments.from?.[next++];
          return resolved?.kind === 'at' ? resolved.instant : null;
        }
        case 'before': {
          const before = reach.before[at] ?? null;
          return before === null ? -Infinity : doneAt(reach, found, before);
        }
        case 'done':
          return Math.max(...one.items.map((id) => doneAt(reach, found, id))) + laterBy(one);
        case 'scored':
          return metAt(reach, found, { id: one.item, by: 'marked' });
        // What happens in other courses is no matter of this one's rules.
        case 'course':
          return -Infinity;
      }
    };
    parts.push(meet(rule.when) ?? -Infinity);
  }
  const before = orderOf(reach, at);
  if (before !== null) parts.push(doneAt(reach, found, before));
  return Math.max(...parts);
}

function meetGroup({ kind, of }: ConditionGroup, meet: (one: Condition) => number | null): number | null {
  const parts = of.map(meet).filter((part) => part !== null);
  if (of.length === 0) return -Infinity;
  if (parts.length === 0) return null;
  return kind === 'all' ? Math.max(...parts) : Math.min(...parts);
}

/** The section that a row stands in, as it is planned; undefined: it has been removed. */
export function sectionOfRow({ plan, rows }: Compiled, at: number): SectionPlan | undefined {
  let top = at;
  while ((rows[top] as Row).above >= 0) top = (rows[top] as Row).above;
  return plan.sections.find(({ id }) => id === (rows[top] as Row).node.id);
}

export const momentsOfRow = (compiled: Compiled, at: number): NodeMoments =>
  sectionOfRow(compiled, at)?.moments.get((compiled.rows[at] as Row).node.id) ?? NONE;

/** The item that comes before in the order of a section or course that is gone through in order. */
export function orderOf(reach: Reach, at: number): string | null {
  const row = reach.compiled.rows[at] as Row;
  if (row.opening.order === null) return null;
  return (reach.compiled.course.inOrder ? reach.before[at] : reach.beforeInSection[at]) ?? null;
}

/** What the openings of a row and of what holds it wait for by name, in order. */
export function waitsOf(reach: Reach, at: number): readonly Waited[] {
  const { compiled, ways } = reach;
  return (ways[at] as readonly number[]).flatMap((part) => {
    const { rule } = (compiled.rows[part] as Row).node;
    const all = rule === null ? [] : singles(rule.when);
    const byRule = all.some(({ kind }) => kind === 'before') ? [reach.before[part] ?? null] : [];
    const before = [...byRule, orderOf(reach, part)].filter((id) => id !== null);
    return [...all.flatMap(namedBy), ...before.map((id): Waited => ({ id, by: 'done' }))];
  });
}

function namedBy(one: SingleCondition): readonly Waited[] {
  if (one.kind === 'scored') return [{ id: one.item, by: 'marked' }];
  return one.kind === 'done' ? one.items.map((id) => ({ id, by: 'done' })) : [];
}

/** This learner gets it, and it counts; a mark there can be in what does not count, too. */
export function canCome({ compiled, possible }: Reach, { id, by }: Waited): boolean {
  const at = compiled.rowOf.get(id);
  if (at === undefined || possible[at] !== true) return false;
  return by === 'marked' || (compiled.rows[at] as Row).counts;
}
