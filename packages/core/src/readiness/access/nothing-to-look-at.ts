import { boundsOf } from '../../access/window.ts';
import { onceLive } from '../../access/once-live.ts';
import { isReadable } from '../../access/answer.ts';
import { accessAt } from '../../access/resolve.ts';
import { ANY_LEARNER } from '../../access/roles.ts';
import { isContent } from '../../course/schema/items-schema.ts';
import { livingSections, shownItems } from '../../course/tree.ts';
import type { Rule } from '../rule.ts';
import { WITH_LEARNERS } from '../rule.ts';

/** "Look only" before the first day, and everything has an opening of its own: not even the syllabus shows. */
export const nothingToLookAt: Rule = {
  id: 'nothing_to_look_at',
  stop: 'access',
  purposes: WITH_LEARNERS,
  find: ({ course, plan }) => {
    const { opensAt } = boundsOf(plan);
    if (opensAt === null || course.window.before !== 'look') return null;
    const content = livingSections(course)
      .flatMap((section) => shownItems(section))
      .filter((item) => isContent(item));
    if (content.length === 0) return null;
    const live = onceLive(course);
    const { nodes } = accessAt(live, ANY_LEARNER, opensAt - 1, plan);
    if (content.some(({ id }) => isReadable(nodes.get(id)?.state ?? 'absent'))) return null;
    return { severity: 'advice', field: 'window', values: { day: plan.firstDay ?? '' } };
  },
};

/** A draft that goes live by itself only after its first day. */
export const liveTooLate: Rule = {
  id: 'live_too_late',
  stop: 'access',
  purposes: WITH_LEARNERS,
  find: ({ course, plan }) => {
    if (course.state !== 'draft' || course.goesLive === null || plan.firstDay === null) return null;
    if (course.goesLive.day <= plan.firstDay) return null;
    return {
      severity: 'advice',
      field: 'goesLive',
      values: { day: course.goesLive.day, first: plan.firstDay },
      cure: [
        {
          kind: 'set',
          target: course.id,
          field: 'goesLive',
          value: { day: plan.firstDay, time: '00:00' },
          was: course.goesLive,
        },
      ],
    };
  },
};
