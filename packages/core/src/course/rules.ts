/** Walking opening rules: what they name, and the same rule with other names. */
import type { Condition, ConditionGroup, OpeningRule, SingleCondition } from './schema/access-schema.ts';
import type { PlannedMoment } from './schema/moment-schema.ts';
import type { Course } from './schema/schema.ts';
import { subtree } from './tree.ts';

export function isGroup(condition: Condition): condition is ConditionGroup {
  return condition.kind === 'all' || condition.kind === 'any';
}

/** The single conditions of a group, in the order in which they stand there. */
export function singles(group: ConditionGroup): readonly SingleCondition[] {
  return group.of.flatMap((one) => (isGroup(one) ? singles(one) : [one]));
}

/** The moments that conditions name, in the order in which they stand there. */
export function momentsOfRule(when: ConditionGroup): readonly PlannedMoment[] {
  return singles(when).flatMap((one) => (one.kind === 'from' ? [one.moment] : []));
}

/** Ids of the items that a rule waits for by name. */
export function itemsOfRule(when: ConditionGroup): readonly string[] {
  return singles(when).flatMap((one) => {
    if (one.kind === 'done') return one.items;
    return one.kind === 'scored' ? [one.item] : [];
  });
}

/** Ids of other courses that the opening rules of this one wait for. */
export function coursesNamed({ sections }: Course): readonly string[] {
  return sections
    .flatMap((section) => subtree(section))
    .flatMap(({ rule }) => (rule === null ? [] : singles(rule.when)))
    .flatMap((one) => (one.kind === 'course' ? [one.course] : []));
}

/** The rule with every single condition replaced; those replaced by null are left out, and groups that empty. */
export function mapRule(
  rule: OpeningRule,
  replace: (one: SingleCondition) => SingleCondition | null,
): OpeningRule {
  return { ...rule, when: mapGroup(rule.when, replace) };
}

function mapGroup(
  group: ConditionGroup,
  replace: (one: SingleCondition) => SingleCondition | null,
): ConditionGroup {
  const of = group.of.flatMap((one): readonly Condition[] => {
    if (!isGroup(one)) return [replace(one)].filter((kept) => kept !== null);
    const inner = mapGroup(one, replace);
    return inner.of.length === 0 ? [] : [inner];
  });
  // Of an "any" with nothing left there is nothing to wait for.
  return of.length === 0 ? { kind: 'all', of } : { kind: group.kind, of };
}
