/**
 * What the opening rules of a course come to: when each part can be reached at the earliest by somebody who does
 * each thing at the first moment it is open, what can never be reached and why, and what somebody who joins late
 * has missed (docs/semantics.md, Access: Reachable).
 */
import type { CoursePlan, NodeMoments } from '../calendar/course-plan.ts';
import type { Condition, ConditionGroup } from '../course/schema/access-schema.ts';
import { isGroup, itemsOfRule } from '../course/rules.ts';
import type { Course } from '../course/schema/schema.ts';
import { compileAccess, possibleRows } from './compile.ts';
import type { Compiled, Row } from './compile.ts';
import { goesLiveAt } from './course-caps.ts';
import { onceLive } from './once-live.ts';
import { ownPlan } from './resolve.ts';
import type { Viewer } from './roles.ts';
import { boundsOf } from './window.ts';

/** Why something can never be reached; the first of these that holds. */
export type NeverBecause =
  /** It waits for itself, by way of others. */
  | 'circle'
  /** It, or what holds it, is over before it opens. */
  | 'over_before_open'
  /** It opens only once the course has closed. */
  | 'after_the_end'
  /** It waits for something that this learner does not get, that has been removed, or that is not counted. */
  | 'waits_for_hidden'
  /** It waits for work whose due moment comes after the course has closed. */
  | 'due_after_the_end'
  /** It waits for something that can itself never be reached. */
  | 'waits_for_never';

export interface Never {
  readonly id: string;
  readonly because: NeverBecause;
  /** Ids of what it waits for in vain; of a circle all that are in it, itself first. */
  readonly waitsFor: readonly string[];
}

export interface RuleAnalysis {
  /** From when on this learner can do anything; minus infinity: there is no first day. */
  readonly start: number;
  /** For every node that this learner gets at all: the earliest instant (ms since 1970-01-01T00:00Z). */
  readonly earliest: ReadonlyMap<string, number>;
  /** In reading order. */
  readonly never: readonly Never[];
  /** Ids of what was over, or due, before this learner came; in reading order. */
  readonly missed: readonly string[];
}

interface Reach {
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
}

const NONE: NodeMoments = {};

/**
 * @param viewer a learner: what they have done counts for nothing here, when they joined and which groups they are
 *   in does.
 */
export function analyseRules(course: Course, viewer: Viewer): RuleAnalysis {
  const live = onceLive(course);
  const compiled = compileAccess(ownPlan(live, viewer, Date.parse(viewer.joinedAt ?? '') || 0));
  const reach = reachOf(compiled, viewer);
  const earliest = settle(reach);
  const { rows } = compiled;
  const reached = new Map<string, number>();
  const never: Never[] = [];
  rows.forEach((row, at) => {
    if (reach.possible[at] !== true) return;
    const when = earliest[at] as number;
    const why = when === Infinity ? whyNever(reach, earliest, at) : null;
    if (when < Infinity) reached.set(row.node.id, when);
    if (why !== null) never.push(why);
  });
  return { start: reach.start, earliest: reached, never, missed: missedBy(reach, viewer) };
}

/** The instant from which this learner can do anything: the course is live and they are in it. */
function startOf(course: Course, { joinedAt = null }: Viewer, opensAt: number | null): number {
  const joined = joinedAt === null ? (opensAt ?? -Infinity) : Date.parse(joinedAt);
  const open = course.window.before === 'open' ? -Infinity : (opensAt ?? -Infinity);
  return Math.max(joined, open, goesLiveAt(course) ?? -Infinity);
}

function reachOf(compiled: Compiled, viewer: Viewer): Reach {
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
  const { opensAt, closesAt } = boundsOf(plan);
  return {
    compiled,
    ways,
    possible,
    before,
    beforeInSection,
    start: startOf(course, viewer, opensAt),
    closesAt: closesAt === null || course.window.after === 'open' ? Infinity : closesAt,
  };
}

/**
 * The earliest instants, as the least that satisfies all rules: from nothing reached, whatever can be reached by
 * what already is, until nothing changes. Each round reaches one more row at least, or it is the last.
 */
function settle(reach: Reach): readonly number[] {
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

/** When the item can be done, once it is open: at once. */
function doneAt({ compiled, possible }: Reach, found: readonly number[], id: string): number {
  const at = compiled.rowOf.get(id);
  if (at === undefined || possible[at] !== true) return Infinity;
  return (compiled.rows[at] as Row).counts ? (found[at] as number) : Infinity;
}

function ownOpening(reach: Reach, found: readonly number[], at: number): number {
  const row = reach.compiled.rows[at] as Row;
  const moments = momentsOf(reach.compiled, at);
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
          return Math.max(...one.items.map((id) => doneAt(reach, found, id)));
        case 'scored':
          return doneAt(reach, found, one.item);
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

function momentsOf({ plan, rows }: Compiled, at: number): NodeMoments {
  let top = at;
  while ((rows[top] as Row).above >= 0) top = (rows[top] as Row).above;
  const section = plan.sections.find(({ id }) => id === (rows[top] as Row).node.id);
  return section?.moments.get((rows[at] as Row).node.id) ?? NONE;
}

/** The item that comes before in the order of a section or course that is gone through in order. */
function orderOf(reach: Reach, at: number): string | null {
  const row = reach.compiled.rows[at] as Row;
  if (row.opening.order === null) return null;
  return (reach.compiled.course.inOrder ? reach.before[at] : reach.beforeInSection[at]) ?? null;
}

/** What the openings of a row and of what holds it wait for by name, in order. */
function waitsOf(reach: Reach, at: number): readonly string[] {
  const { compiled, ways } = reach;
  return (ways[at] as readonly number[]).flatMap((part) => {
    const { rule } = (compiled.rows[part] as Row).node;
    const named = rule === null ? [] : itemsOfRule(rule.when);
    const byRule = rule !== null && mentionsBefore(rule.when) ? [reach.before[part] ?? null] : [];
    return [...named, ...byRule, orderOf(reach, part)].filter((id) => id !== null);
  });
}

function mentionsBefore(group: ConditionGroup): boolean {
  return group.of.some((one) => (isGroup(one) ? mentionsBefore(one) : one.kind === 'before'));
}

/** Null for what is out of reach only because what holds it is: that is said once, of the holder. */
function whyNever(reach: Reach, found: readonly number[], at: number): Never | null {
  const { compiled, ways } = reach;
  const row = compiled.rows[at] as Row;
  const { id } = row.node;
  const way = ways[at] as readonly number[];
  const isAbove = row.above >= 0 && found[row.above] === Infinity;
  if (isAbove) return null;
  const circle = circleThrough(reach, found, at);
  if (circle !== null) return { id, because: 'circle', waitsFor: circle };
  const when = Math.max(reach.start, ...way.map((part) => ownOpening(reach, found, part)));
  if (Number.isFinite(when) || when === -Infinity) {
    const isOver = way.some((part) => when >= (compiled.rows[part] as Row).overAt);
    return { id, because: isOver ? 'over_before_open' : 'after_the_end', waitsFor: [] };
  }
  const waits = waitsOf(reach, at).filter((one) => doneAt(reach, found, one) === Infinity);
  const hidden = waits.filter((one) => !isCounted(reach, one));
  if (hidden.length > 0) return { id, because: 'waits_for_hidden', waitsFor: hidden };
  return { id, because: 'waits_for_never', waitsFor: waits };
}

function isCounted({ compiled, possible }: Reach, id: string): boolean {
  const at = compiled.rowOf.get(id);
  return at !== undefined && possible[at] === true && (compiled.rows[at] as Row).counts;
}

/** The rows that it waits for, and they for others, back to itself; the shortest way round. */
function circleThrough(reach: Reach, found: readonly number[], at: number): readonly string[] | null {
  const { rows, rowOf } = reach.compiled;
  const start = (rows[at] as Row).node.id;
  const next = (id: string): readonly string[] => {
    const row = rowOf.get(id);
    if (row === undefined) return [];
    return waitsOf(reach, row).filter(
      (one) => isCounted(reach, one) && doneAt(reach, found, one) === Infinity,
    );
  };
  const holds = (id: string): boolean => {
    const row = rowOf.get(id);
    return row !== undefined && (reach.ways[row] as readonly number[]).includes(at);
  };
  const from = new Map<string, string | null>([[start, null]]);
  const queue: string[] = [start];
  for (let index = 0; index < queue.length; index += 1) {
    const here = queue[index] as string;
    for (const id of next(here)) {
      // What a section waits for may stand in it: that is a circle of two.
      if (id === start || holds(id)) return trail(from, id === start ? here : id, id === start ? null : here);
      if (from.has(id)) continue;
      from.set(id, here);
      queue.push(id);
    }
  }
  return null;
}

function trail(
  from: ReadonlyMap<string, string | null>,
  last: string,
  before: string | null,
): readonly string[] {
  const way: string[] = [last];
  let here: string | null = before ?? from.get(last) ?? null;
  while (here !== null) {
    way.push(here);
    here = from.get(here) ?? null;
  }
  return way.reverse();
}

/** What was over or due before they came. */
function missedBy({ compiled, possible, start }: Reach, { joinedAt = null }: Viewer): readonly string[] {
  if (joinedAt === null) return [];
  return compiled.rows.flatMap((row, at): readonly string[] => {
    if (possible[at] !== true) return [];
    const { due } = momentsOf(compiled, at);
    const isDue = due?.kind === 'at' && due.instant < start;
    return isDue || row.overAt <= start ? [row.node.id] : [];
  });
}

/** What waits for work that is due only after the course has closed for learners. */
export function dueAfterEnd(coursePlan: CoursePlan): readonly Never[] {
  const compiled = compileAccess(coursePlan);
  const { course, plan, rows, rowOf } = compiled;
  const { closesAt } = boundsOf(plan);
  if (closesAt === null || course.window.after === 'open') return [];
  return rows.flatMap(({ node }): readonly Never[] => {
    if (node.removed || node.rule === null) return [];
    const late = itemsOfRule(node.rule.when).filter((id) => {
      const at = rowOf.get(id);
      const due = at === undefined ? undefined : momentsOf(compiled, at).due;
      return due?.kind === 'at' && due.instant >= closesAt;
    });
    return late.length === 0 ? [] : [{ id: node.id, because: 'due_after_the_end', waitsFor: late }];
  });
}
