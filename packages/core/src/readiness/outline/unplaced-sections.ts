import { MAX_MEETINGS, MAX_WEEKS } from '../../course/schema/dates-schema.ts';
import { planSections } from '../../calendar/plan.ts';
import type { Course } from '../../course/schema/schema.ts';
import type { Rule } from '../rule.ts';
import { WITH_PEOPLE } from '../rule.ts';

const MOST = { weeks: MAX_WEEKS, meetings: MAX_MEETINGS } as const;

/** Counted pauses take numbers of their own, so a few more weeks than sections can be needed. */
function neededFor(course: Course, field: 'weeks' | 'meetings', from: number): number {
  for (let needed = from; needed <= MOST[field]; needed += 1) {
    const { unplaced } = planSections({ ...course, dates: { ...course.dates, [field]: needed } });
    if (unplaced.length === 0) return needed;
  }
  return MOST[field] + 1;
}

/** Sections beyond the last week or meeting have no days. The cure makes the course as long as needed. */
export const unplacedSections: Rule = {
  id: 'unplaced_sections',
  stop: 'outline',
  purposes: WITH_PEOPLE,
  find: ({ course, plan }) => {
    const { format, pace, ends } = course.dates;
    const isOwn = pace === 'joining' && format !== 'meetings';
    // Without any place at all, another rule says why.
    if (plan.unplaced.length === 0 || (plan.slots.length === 0 && !isOwn)) return null;
    const field = format === 'meetings' ? 'meetings' : 'weeks';
    const was = course.dates[field];
    const isByCount = ends === 'weeks' || isOwn;
    const there = isByCount ? was : plan.slots.length;
    const least = there + plan.unplaced.length;
    const needed = isByCount ? neededFor(course, field, least) : least;
    const count = plan.unplaced.length;
    return {
      severity: 'blocker',
      targets: plan.unplaced,
      values: { count, weeks: there, needed, variant: format === 'meetings' ? 'meetings' : '' },
      cure:
        isByCount && needed <= MOST[field]
          ? [{ kind: 'set', target: course.id, field: `dates.${field}`, value: needed, was }]
          : null,
    };
  },
};
