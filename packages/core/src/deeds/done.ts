/** Whether an item is done by its rule, since when, and what of the rule is missing. */
import { conditionsOf, isSeveral } from '../course/schema/progress-schema.ts';
import type { DoneCondition, DoneRule } from '../course/schema/progress-schema.ts';
import { since, stepsOf, topOf } from './facts.ts';
import type { Facts } from './facts.ts';

/** What a rule is asked with, beside the facts. */
export interface DoneTerms {
  /** The pass mark, in percent of what can be reached; null: there is none, and nothing passes. */
  readonly pass: number | null;
  /** The first instant at which it is too late; infinity: it never is. */
  readonly tooLate: number;
}

export const ANY_TIME: DoneTerms = { pass: null, tooLate: Infinity };

export interface Done {
  /** Since when, in milliseconds since 1970-01-01T00:00Z; infinity: it is not. */
  readonly since: number;
  /** By whom, where it was first. */
  readonly by: 'rule' | 'staff' | 'kept';
}

/** The moment from which one condition has held; infinity: it does not. */
export function metSince(condition: DoneCondition, facts: Facts, pass: number | null): number {
  switch (condition.by) {
    case 'opened':
      return facts.opened ?? Infinity;
    case 'ticked':
      return facts.ticked ?? Infinity;
    case 'handed_in':
      return facts.handedIn ?? Infinity;
    case 'attended':
      return facts.attended ?? Infinity;
    case 'scored':
      return since(stepsOf(facts.marks), condition.least);
    case 'passed':
      return pass === null ? Infinity : since(stepsOf(facts.marks), pass);
    case 'posted':
      return since(facts.posts?.most, condition.least);
    case 'replied':
      return since(facts.replies?.most, condition.least);
    case 'watched':
      return since(facts.watched, condition.least);
  }
}

function ruleSince(rule: DoneRule, facts: Facts, { pass, tooLate }: DoneTerms): number {
  const inTime = (at: number): number => (at < tooLate ? at : Infinity);
  if (!isSeveral(rule)) return inTime(metSince(rule, facts, pass));
  let found = rule.by === 'all' ? -Infinity : Infinity;
  for (const one of rule.of) {
    const at = inTime(metSince(one, facts, pass));
    found = rule.by === 'all' ? Math.max(found, at) : Math.min(found, at);
  }
  return found;
}

const NOT: Done = { since: Infinity, by: 'rule' };

/** @param rule null: the item is not counted, and is done only as it was */
export function doneBy(rule: DoneRule | null, facts: Facts, terms: DoneTerms): Done {
  const byRule = rule === null ? Infinity : ruleSince(rule, facts, terms);
  const kept = facts.kept ?? Infinity;
  const marked = facts.marked ?? Infinity;
  const first = Math.min(byRule, kept, marked);
  if (first === Infinity) return NOT;
  return { since: first, by: first === byRule ? 'rule' : first === kept ? 'kept' : 'staff' };
}

/** One condition as somebody stands to it. */
export interface Condition {
  readonly by: DoneCondition['by'];
  readonly since: number | null;
  /** How much is wanted, and how much there is: percent, or posts. */
  readonly wants: number | null;
  readonly has: number | null;
}

export interface Standing {
  /** All of them, or any one. */
  readonly match: 'all' | 'any';
  readonly conditions: readonly Condition[];
}

/** What the rule asks, and how far each of it is. */
export function standingTo(rule: DoneRule, facts: Facts, { pass, tooLate }: DoneTerms): Standing {
  const conditions = conditionsOf(rule).map((one): Condition => {
    const at = metSince(one, facts, pass);
    return {
      by: one.by,
      since: at < tooLate ? at : null,
      ...amount(one, facts, pass),
    };
  });
  return { match: rule.by === 'any' ? 'any' : 'all', conditions };
}

function amount(one: DoneCondition, facts: Facts, pass: number | null): Pick<Condition, 'wants' | 'has'> {
  switch (one.by) {
    case 'scored':
      return { wants: one.least, has: topOf(facts) };
    case 'passed':
      return { wants: pass, has: topOf(facts) };
    case 'posted':
      return { wants: one.least, has: facts.posts?.most.at(-1)?.[1] ?? 0 };
    case 'replied':
      return { wants: one.least, has: facts.replies?.most.at(-1)?.[1] ?? 0 };
    case 'watched':
      return { wants: one.least, has: facts.watched?.at(-1)?.[1] ?? 0 };
    case 'opened':
    case 'ticked':
    case 'handed_in':
    case 'attended':
      return { wants: null, has: null };
  }
}
