import { momentsOf } from '../../calendar/course-plan.ts';
import { handInWindow } from '../../coursework/window.ts';
import { takenRule } from './taken.ts';

/** A late end that comes no later than the due moment: nothing is ever late. The cure takes it off. */
export const lateBeforeDue = takenRule('late_before_due', ['assignment', 'quiz'], {
  isWrong: ({ id, lateUntil }, { plan }) => {
    const moments = momentsOf(plan, id);
    if (lateUntil === null || moments.due?.kind !== 'at' || moments.late?.kind !== 'at') return false;
    const { due, takenTo } = handInWindow(moments, 0);
    return takenTo === due;
  },
  cure: { field: 'lateUntil', cured: () => null },
});
