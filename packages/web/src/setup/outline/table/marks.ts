/** What decides about a line besides its moment and its being shown, as signs in the outline. */
import type { CourseNode } from '@itinerary/core';

/** In the order in which they stand. */
export const MARKS = ['held', 'staff', 'rule', 'order', 'audience', 'unlisted', 'sample'] as const;
export type NodeMark = (typeof MARKS)[number];

export function marksOf(node: CourseNode, isHeld: boolean): readonly NodeMark[] {
  const rule = node.rule;
  const has: Readonly<Record<NodeMark, boolean>> = {
    held: isHeld,
    staff: node.staffOnly,
    rule: rule !== null && (rule.when.of.length > 0 || rule.until !== null),
    order: node.kind === 'section' && node.inOrder,
    audience: node.audience.length > 0,
    unlisted: 'listed' in node && !node.listed,
    sample: 'sample' in node && node.sample,
  };
  return MARKS.filter((mark) => has[mark]);
}
