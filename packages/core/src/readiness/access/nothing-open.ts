import { boundsOf } from '../../access/window.ts';
import { onceLive } from '../../access/once-live.ts';
import { isReadable } from '../../access/answer.ts';
import { resolveAccess } from '../../access/resolve.ts';
import { ANY_LEARNER } from '../../access/roles.ts';
import { isContent } from '../../course/schema/items-schema.ts';
import { livingSections, shownItems } from '../../course/tree.ts';
import type { Rule } from '../rule.ts';
import { WITH_LEARNERS } from '../rule.ts';

/** On the first day learners find everything closed, though something is there to be opened. */
export const nothingOpen: Rule = {
  id: 'nothing_open',
  stop: 'access',
  purposes: WITH_LEARNERS,
  find: ({ course, plan }) => {
    const { opensAt } = boundsOf(plan);
    if (opensAt === null) return null;
    const content = livingSections(course)
      .flatMap((section) => shownItems(section))
      .filter((item) => isContent(item));
    if (content.length === 0) return null;
    const first = new Date(opensAt).toISOString();
    const { nodes } = resolveAccess(onceLive(course), ANY_LEARNER, first, plan);
    if (content.some(({ id }) => isReadable(nodes.get(id)?.state ?? 'absent'))) return null;
    return { severity: 'advice', values: { count: content.length, day: plan.firstDay ?? '' } };
  },
};
