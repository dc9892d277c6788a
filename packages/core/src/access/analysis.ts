/**
 * What the opening rules of a course come to: when each part can be reached at the earliest by somebody who does
 * each thing at the first moment it is open, what can never be reached and why, and what somebody who joins late
 * has missed (docs/semantics.md, Access: Reachable).
 */
import type { CoursePlan } from '../calendar/course-plan.ts';
import { itemsOfRule } from '../course/rules.ts';
import type { Course } from '../course/schema/schema.ts';
import { circleThrough } from './circles.ts';
import { compileAccess } from './compile.ts';
import type { Row } from './compile.ts';
import { atOnce, canCome, metAt, momentsOfRow, ownOpening, reachFor, settle, waitsOf } from './reach.ts';
import type { Reach } from './reach.ts';
import type { Viewer } from './roles.ts';
import { endOfWork } from './window.ts';

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

/**
 * @param viewer a learner: what they have done counts for nothing here, when they joined and which groups they are
 *   in does.
 */
export function analyseRules(course: Course, viewer: Viewer): RuleAnalysis {
  const reach = reachFor(course, viewer, atOnce);
  const earliest = settle(reach);
  const { rows } = reach.compiled;
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

/** Null for what is out of reach only because what holds it is: that is said once, of the holder. */
export function whyNever(reach: Reach, found: readonly number[], at: number): Never | null {
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
  const waits = waitsOf(reach, at).filter((one) => metAt(reach, found, one) === Infinity);
  const hidden = waits.filter((one) => !canCome(reach, one)).map((one) => one.id);
  if (hidden.length > 0) return { id, because: 'waits_for_hidden', waitsFor: hidden };
  return { id, because: 'waits_for_never', waitsFor: waits.map((one) => one.id) };
}

/** What was over or due before they came. */
function missedBy({ compiled, possible, start }: Reach, { joinedAt = null }: Viewer): readonly string[] {
  if (joinedAt === null) return [];
  return compiled.rows.flatMap((row, at): readonly string[] => {
    if (possible[at] !== true) return [];
    const { due } = momentsOfRow(compiled, at);
    const isDue = due?.kind === 'at' && due.instant < start;
    return isDue || row.overAt <= start ? [row.node.id] : [];
  });
}

/** What waits for work that is due only after the course has closed for learners. */
export function dueAfterEnd(coursePlan: CoursePlan): readonly Never[] {
  const compiled = compileAccess(coursePlan);
  const { plan, rows, rowOf } = compiled;
  const ends = endOfWork(plan);
  return rows.flatMap(({ node }): readonly Never[] => {
    if (node.removed || node.rule === null) return [];
    const late = itemsOfRule(node.rule.when).filter((id) => {
      const at = rowOf.get(id);
      const due = at === undefined ? undefined : momentsOfRow(compiled, at).due;
      return due?.kind === 'at' && due.instant >= ends;
    });
    return late.length === 0 ? [] : [{ id: node.id, because: 'due_after_the_end', waitsFor: late }];
  });
}
