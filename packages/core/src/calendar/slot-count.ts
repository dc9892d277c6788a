import type { CoursePlan } from './course-plan.ts';

/**
 * How many weeks, units or meetings a course has, be they the same days for everybody or each learner's own.
 *
 * @param plan for nobody in particular
 * @returns null: it counts none, or none yet: it goes without a clock, around one item, or has no first day
 */
export function slotCount({ course: { dates }, firstDay, slots, sections }: CoursePlan): number | null {
  const { format, pace, weeks, ends } = dates;
  if (format === 'item') return null;
  if (format === 'meetings' || pace === 'together') {
    if (firstDay !== null || slots.length > 0) return slots.length;
    // As many weeks as were said stand there before the first of them has a day.
    return format === 'weeks' && ends === 'weeks' ? weeks : null;
  }
  if (pace === 'none') return null;
  return format === 'weeks' ? weeks : sections.filter(({ span }) => span.kind === 'own').length;
}
