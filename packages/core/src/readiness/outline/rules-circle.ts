import { applyChange } from '../../course/edits/apply.ts';
import type { Edit, FieldValue } from '../../course/edits/edits.ts';
import type { OpeningRule } from '../../course/schema/access-schema.ts';
import { itemsOfRule, mapRule } from '../../course/rules.ts';
import type { Course, CourseNode } from '../../course/schema/schema.ts';
import { findNode } from '../../course/tree.ts';
import { everyLearner } from '../every-learner.ts';
import type { Rule } from '../rule.ts';
import { EVERY_PURPOSE } from '../rule.ts';

/** Opening rules that wait for each other in a circle: nobody can ever begin. The cure drops one link of it. */
export const rulesCircle: Rule = {
  id: 'rules_circle',
  stop: 'outline',
  purposes: EVERY_PURPOSE,
  find: ({ course }) => {
    const circles = everyLearner(course).never.filter(({ because }) => because === 'circle');
    const [first] = circles;
    if (first === undefined) return null;
    const inCircle = first.waitsFor;
    const titles = inCircle.map((id) => findNode(course, id)?.node.title ?? '');
    return {
      severity: 'blocker',
      targets: [...new Set(circles.map(({ id }) => id))],
      values: { count: inCircle.length, title: titles[0] ?? '', titles: titles.join(' → ') },
      cure: cutAll(course, inCircle),
    };
  },
};

/** More circles than anybody has ever drawn. */
const MOST_CUTS = 50;

/** One link of each circle, until there is none; null where one of them has no link that a rule names. */
function cutAll(course: Course, first: readonly string[]): readonly Edit[] | null {
  const edits: Edit[] = [];
  let now = course;
  let circle: readonly string[] | undefined = first;
  while (circle !== undefined && edits.length < MOST_CUTS) {
    const edit = cutOf(now, circle);
    const applied = edit === null ? null : applyChange(now, { id: 'cut', edits: [edit] });
    if (edit === null || applied?.ok !== true || applied.inverse.length === 0) return null;
    edits.push(edit);
    now = applied.course;
    circle = everyLearner(now).never.find(({ because }) => because === 'circle')?.waitsFor;
  }
  return circle === undefined ? edits : null;
}

/** The first link that a rule names; links of the order are for a person to decide about. */
function cutOf(course: Course, circle: readonly string[]): Edit | null {
  for (const id of circle) {
    const node = findNode(course, id)?.node;
    if (node === undefined || node.rule === null) continue;
    const named = itemsOfRule(node.rule.when).filter((one) => circle.includes(one));
    if (named.length > 0) return cut(node, node.rule, named);
  }
  return null;
}

function cut(node: CourseNode, rule: OpeningRule, named: readonly string[]): Edit {
  const left = mapRule(rule, (one) => {
    if (one.kind === 'scored') return named.includes(one.item) ? null : one;
    if (one.kind !== 'done') return one;
    const items = one.items.filter((item) => !named.includes(item));
    return items.length === 0 ? null : { ...one, items };
  });
  const isEmpty = left.when.of.length === 0 && left.until === null;
  const value = (isEmpty ? null : left) as unknown as FieldValue;
  return { kind: 'set', target: node.id, field: 'rule', value, was: rule as unknown as FieldValue };
}
