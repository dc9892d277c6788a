import { goesLiveAt } from '../../access/course-caps.ts';
import type { CoursePlan } from '../../calendar/course-plan.ts';
import { toDayNumber } from '../../calendar/day-number.ts';
import { zoneOf } from '../../calendar/zone.ts';
import { setTableEntry } from '../../course/edits/making.ts';
import { SWITCHED_WAYS } from '../../course/schema/joining-schema.ts';
import type { SwitchedWay } from '../../course/schema/joining-schema.ts';
import { wayIn, wayOf } from '../../people/joining/of-course.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

/** Why a way that is on lets nobody in; null: it does. */
function never(plan: CoursePlan, kind: SwitchedWay): '' | 'draft' | 'late' | null {
  const { course, lastDay } = plan;
  const { isOn, window } = wayOf(plan, kind);
  const { opens, closes } = window;
  if (!isOn) return null;
  if (closes !== null && typeof opens === 'number' && closes <= opens) return '';
  const live = goesLiveAt(course);
  if (closes !== null && course.state === 'draft' && live !== null && closes <= live) return 'draft';
  const end = lastDay === null ? null : zoneOf(course.dates.zone).startOf(toDayNumber(lastDay) + 1);
  return typeof opens === 'number' && end !== null && opens >= end ? 'late' : null;
}

/** A way in that is on and lets nobody in: it closes before it opens or before the course is live, or opens after its end. */
export const wayNever: Rule = {
  id: 'way_never',
  stop: 'members',
  purposes: WITH_PEOPLE,
  find: ({ course, plan }) => {
    for (const way of SWITCHED_WAYS) {
      const variant = never(plan, way);
      if (variant === null) continue;
      const field = variant === 'late' ? 'opens' : 'closes';
      const cure = setTableEntry(course, 'ways', way, { ...wayIn(plan, way), [field]: null });
      return { severity: 'advice', field: 'ways', values: { variant, way }, cure: [cure] };
    }
    return null;
  },
};
