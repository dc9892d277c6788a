/**
 * When somebody who does everything can have done an item: each condition of its rule by what it takes, at the first
 * moment at which that is possible, or why it never is (docs/semantics.md, Progress: Feasible).
 */
import type { Compiled, Row } from '../access/compile.ts';
import { momentsOfRow, sectionOfRow } from '../access/reach.ts';
import { endOfWork } from '../access/window.ts';
import type { NodeMoments } from '../calendar/node-moments.ts';
import { meetingAt } from '../coursework/meeting.ts';
import { questionsOf } from '../coursework/quiz/planned.ts';
import { passOf, pointsOf, termsOf } from '../coursework/terms.ts';
import { handInWindow } from '../coursework/window.ts';
import type { CourseNode } from '../course/schema/schema.ts';
import type { ContentItem } from '../course/schema/items-schema.ts';
import { isContent } from '../course/schema/items-schema.ts';
import { isSeveral } from '../course/schema/progress-schema.ts';
import type { DoneCondition, DoneRule } from '../course/schema/progress-schema.ts';

/** Why a condition can never come true, whatever its item's opening. */
export type NeverDone =
  /** It takes neither words, nor files, nor an address. */
  | 'takes_nothing'
  /** The quiz asks nothing. */
  | 'asks_nothing'
  /** There is nothing to be reached in it. */
  | 'no_points'
  | 'no_pass_mark'
  /** The pass mark is more than can be reached. */
  | 'pass_beyond'
  /** The discussion is closed. */
  | 'talk_shut'
  /** Whether it is watched cannot be told: it is no file of the course, or nobody has said how long it is. */
  | 'film_not_followed'
  /** The meeting has no date, or nobody keeps a list. */
  | 'meeting_undated'
  | 'no_list'
  /** It opens when the meeting is over, or when nothing is taken any more. */
  | 'meeting_over'
  | 'taken_before'
  /** It comes, or opens, after the moment by which it has to be done. */
  | 'too_late'
  /** It comes when the course has closed, or when the item has. */
  | 'after_the_end';

/** At this instant; or never, and why. */
export type Doable = { readonly at: number } | { readonly never: NeverDone };

const never = (why: NeverDone): Doable => ({ never: why });
const isNever = (one: Doable): one is { readonly never: NeverDone } => 'never' in one;

/** What a learner is bound by in one item. */
export interface Bounds {
  readonly moments: NodeMoments;
  /** The first instant at which it can no longer be worked in: it is over, or the course is closed. */
  readonly ends: number;
  /** Minutes of its section's meeting, where it is held with that. */
  readonly slotMinutes: number | null;
}

export function boundsOfRow(compiled: Compiled, at: number): Bounds {
  const { rows, plan } = compiled;
  let ends = endOfWork(plan);
  for (let row = at; row >= 0; row = (rows[row] as Row).above) {
    ends = Math.min(ends, (rows[row] as Row).overAt);
  }
  const span = sectionOfRow(compiled, at)?.span;
  return {
    moments: momentsOfRow(compiled, at),
    ends,
    slotMinutes: span?.kind === 'slot' ? (span.slot.meeting?.minutes ?? null) : null,
  };
}

/** @param opens the instant at which it can be worked in first */
export function ruleDoable(node: ContentItem, rule: DoneRule, bounds: Bounds, opens: number): Doable {
  const { tooLate } = termsOf(node, bounds.moments);
  const inTime = (one: Doable): Doable => {
    if (isNever(one)) return one;
    if (one.at >= bounds.ends) return never('after_the_end');
    return one.at >= tooLate ? never('too_late') : one;
  };
  if (!isSeveral(rule)) return inTime(conditionDoable(node, rule, bounds, opens));
  const parts = rule.of.map((one) => inTime(conditionDoable(node, one, bounds, opens)));
  const can = parts.flatMap((one) => (isNever(one) ? [] : [one.at]));
  const cannot = parts.find(isNever);
  if (rule.by === 'all') return cannot ?? { at: Math.max(...can) };
  return can.length > 0 ? { at: Math.min(...can) } : (cannot as Doable);
}

export function conditionDoable(
  node: ContentItem,
  { by }: DoneCondition,
  { moments, slotMinutes }: Bounds,
  opens: number,
): Doable {
  switch (by) {
    case 'opened':
    case 'ticked':
      return { at: opens };
    case 'handed_in':
      return handedIn(node, moments, opens);
    case 'scored':
      return pointsOf(node) === 0 ? never('no_points') : handedIn(node, moments, opens);
    case 'passed':
      return passed(node, moments, opens);
    case 'posted':
    case 'replied':
      return node.kind === 'discussion' && node.shut ? never('talk_shut') : { at: opens };
    case 'watched':
      return node.kind === 'video' && (node.file === null || (node.seconds ?? 0) === 0)
        ? never('film_not_followed')
        : { at: opens };
    case 'attended':
      return attended(node, moments, slotMinutes, opens);
  }
}

function passed(node: ContentItem, moments: NodeMoments, opens: number): Doable {
  const pass = passOf(node);
  if (pass === null) return never('no_pass_mark');
  return pass > 100 ? never('pass_beyond') : handedIn(node, moments, opens);
}

function handedIn(node: ContentItem, moments: NodeMoments, opens: number): Doable {
  if (node.kind === 'assignment') {
    const { text, address, files } = node.takes;
    if (!text && !address && files === 0) return never('takes_nothing');
  }
  if (node.kind === 'quiz' && questionsOf(node).length === 0) return never('asks_nothing');
  const { takenTo } = handInWindow(moments, 'grace' in node ? node.grace : 0);
  return takenTo !== null && opens >= takenTo ? never('taken_before') : { at: opens };
}

function attended(
  node: ContentItem,
  { held }: NodeMoments,
  slotMinutes: number | null,
  opens: number,
): Doable {
  if (node.kind !== 'meeting') return never('no_list');
  if (node.attendance === 'none') return never('no_list');
  const { begins, ends } = meetingAt(node, held, slotMinutes, opens);
  if (begins === null || ends === null) return never('meeting_undated');
  return opens >= ends ? never('meeting_over') : { at: Math.max(begins, opens) };
}

/** When there can be a mark in it, whatever it counts as done by. */
export function markDoable(node: CourseNode, bounds: Bounds, opens: number): Doable {
  if (!isContent(node) || pointsOf(node) === 0) return never('no_points');
  const doable = handedIn(node, bounds.moments, opens);
  return isNever(doable) || doable.at < bounds.ends ? doable : never('after_the_end');
}

/** The item of a row with its rule, where it is counted. */
export function countedOf({ rows }: Compiled, at: number): { node: ContentItem; rule: DoneRule } | null {
  const row = rows[at] as Row;
  const { node } = row;
  return row.counts && isContent(node) && node.done !== null ? { node, rule: node.done } : null;
}
