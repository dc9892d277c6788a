import { goesLiveAt } from '../../access/course-caps.ts';
import { toDayNumber } from '../../calendar/day-number.ts';
import { zoneOf } from '../../calendar/zone.ts';
import { setTableEntry } from '../../course/edits/making.ts';
import { wayIn, wayOf } from '../../people/joining/of-course.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** A way in that is on and lets nobody in: it closes before it opens or before the course is live, or opens after its end. */
export const wayNever: Rule = {
  id: 'way_never',
  stop: 'members',
  purposes: WITH_PEOPLE,
  find: ({ course, plan }) => {
    const { isOn, window } = wayOf(plan, 'link');
    if (!isOn) return null;
    const { opens, closes } = window;
    const live = goesLiveAt(course);
    const { lastDay } = plan;
    const end = lastDay === null ? null : zoneOf(course.dates.zone).startOf(toDayNumber(lastDay) + 1);
    const variant =
      closes !== null && typeof opens === 'number' && closes <= opens
        ? ''
        : closes !== null && course.state === 'draft' && live !== null && closes <= live
          ? 'draft'
          : typeof opens === 'number' && end !== null && opens >= end
            ? 'late'
            : null;
    if (variant === null) return null;
    const field = variant === 'late' ? 'opens' : 'closes';
    const cure = setTableEntry(course, 'ways', 'link', { ...wayIn(plan, 'link'), [field]: null });
    return { severity: 'advice', field: 'ways', values: { variant }, cure: [cure] };
  },
};
