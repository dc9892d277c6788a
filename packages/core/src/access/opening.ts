/**
 * Opening rules, made ready: for what somebody has done so far, the instant from which a rule is met. Minus
 * infinity: it is met whatever the moment; infinity: time alone does not meet it.
 *
 * A condition whose moment has no date says nothing, in an *any* as in an *all*: a finding, never a guess.
 */
import type { NodeMoments } from '../calendar/node-moments.ts';
import type { Resolved } from '../calendar/moments.ts';
import type { Condition, ConditionGroup, SingleCondition } from '../course/schema/access-schema.ts';
import { isGroup } from '../course/rules.ts';
import type { CourseNode } from '../course/schema/schema.ts';
import type { Deeds } from './roles.ts';

/** What a condition is asked about. */
export interface Standing {
  readonly deeds: Deeds;
  /** The counted item before, in the course and in the section; null: there is none. */
  readonly before: string | null;
  readonly beforeInSection: string | null;
}

export type MetFrom = (standing: Standing) => number;

/** Null: it says nothing. */
function single(condition: SingleCondition, next: () => Resolved | undefined): MetFrom | number | null {
  const isMet = (met: boolean): number => (met ? -Infinity : Infinity);
  switch (condition.kind) {
    case 'from': {
      const resolved = next();
      return resolved?.kind === 'at' ? resolved.instant : null;
    }
    case 'before':
      return IN_COURSE;
    case 'done': {
      const { items, days = 0 } = condition;
      if (days === 0) return ({ deeds }) => isMet(items.every((item) => deeds.done.has(item)));
      return ({ deeds }) => doneAndPassed(items, days, deeds);
    }
    case 'scored': {
      const { item, least } = condition;
      return ({ deeds }) => isMet((deeds.scores.get(item) ?? -1) >= least);
    }
    case 'course': {
      const { course } = condition;
      return ({ deeds }) => isMet(deeds.courses.has(course));
    }
  }
}

const DAY_MS = 24 * 60 * 60 * 1000;

/** The instant that lies so many days after the last of them was done; infinity: one of them is not done. */
export function doneAndPassed(items: readonly string[], days: number, { done, since }: Deeds): number {
  const from = items.map((item) => (done.has(item) ? (since?.get(item) ?? -Infinity) : Infinity));
  return Math.max(...from) + days * DAY_MS;
}

/** How long after its doing a condition is met, in milliseconds. */
export const laterBy = (condition: SingleCondition): number =>
  condition.kind === 'done' ? (condition.days ?? 0) * DAY_MS : 0;

function group(kind: ConditionGroup['kind'], parts: readonly (MetFrom | number)[]): MetFrom | number | null {
  if (parts.length === 0) return kind === 'all' ? -Infinity : null;
  const join = kind === 'all' ? Math.max : Math.min;
  const fixed = parts.filter((part) => typeof part === 'number');
  const asked = parts.filter((part) => typeof part === 'function');
  const known = fixed.length === 0 ? (kind === 'all' ? -Infinity : Infinity) : join(...fixed);
  if (asked.length === 0) return known;
  const [only] = asked;
  if (asked.length === 1 && only !== undefined) return (standing) => join(known, only(standing));
  return (standing) => {
    let found = known;
    for (const part of asked) found = join(found, part(standing));
    return found;
  };
}

/** What an opening is made of, each part by itself; null: it has no such part, or it says nothing. */
export interface Opening {
  readonly opens: number | null;
  readonly rule: MetFrom | number | null;
  readonly order: MetFrom | null;
  /** All of them: a number where it is the same for everybody. */
  readonly whole: MetFrom | number;
}

export type OpeningPart = 'opens' | 'rule' | 'order';

const IN_COURSE: MetFrom = ({ deeds, before }) =>
  before === null || deeds.done.has(before) ? -Infinity : Infinity;
const IN_SECTION: MetFrom = ({ deeds, beforeInSection }) =>
  beforeInSection === null || deeds.done.has(beforeInSection) ? -Infinity : Infinity;

/** The opening of a node alone, whatever holds it. */
export function openingOf(
  { opens, rule }: Pick<CourseNode, 'opens' | 'rule'>,
  moments: NodeMoments,
  inOrder: 'section' | 'course' | null,
): Opening {
  const own = opens !== null && moments.opens?.kind === 'at' ? moments.opens.instant : null;
  const ofRule = rule === null ? null : read(rule.when, moments);
  const order = inOrder === null ? null : inOrder === 'course' ? IN_COURSE : IN_SECTION;
  const parts = [own, ofRule, order].filter((part) => part !== null);
  return { opens: own, rule: ofRule, order, whole: group('all', parts) ?? -Infinity };
}

function read(when: ConditionGroup, { from }: NodeMoments): MetFrom | number | null {
  let at = 0;
  const next = (): Resolved | undefined => from?.[at++];
  const visit = (condition: Condition): MetFrom | number | null => {
    if (!isGroup(condition)) return single(condition, next);
    const parts = condition.of.map(visit).filter((part) => part !== null);
    // A group of which nothing is left says nothing either.
    return parts.length === 0 && condition.of.length > 0 ? null : group(condition.kind, parts);
  };
  return visit(when);
}

export function metFrom(part: MetFrom | number | null, standing: Standing): number {
  if (part === null) return -Infinity;
  return typeof part === 'number' ? part : part(standing);
}
