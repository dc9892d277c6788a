/** The readiness engine: every rule that makes sense for what the course is for, blockers first. */
import { dayOf } from '../calendar/days.ts';
import { planSections } from '../calendar/plan.ts';
import type { Course } from '../course/schema.ts';
import { datesPast } from './dates-past.ts';
import { emptyItem } from './empty-item.ts';
import { emptySection } from './empty-section.ts';
import { midWeek } from './mid-week.ts';
import { noDescription } from './no-description.ts';
import { noFirstDay } from './no-first-day.ts';
import { noItem } from './no-item.ts';
import { noLearners } from './no-learners.ts';
import type { Finding, Rule } from './rule.ts';
import { spareWeeks } from './spare-weeks.ts';
import { unplacedSections } from './unplaced-sections.ts';

/** In the order of the route, which is the order in which findings of one severity are listed. */
export const RULES: readonly Rule[] = [
  noDescription,
  noFirstDay,
  midWeek,
  datesPast,
  spareWeeks,
  unplacedSections,
  noItem,
  emptySection,
  emptyItem,
  noLearners,
];

/** What readiness has to know besides the course. */
export interface ReadinessFacts {
  /** The instant asked about (ISO, UTC). */
  readonly moment: string;
  readonly learners: number;
}

export function findings(course: Course, facts: ReadinessFacts): readonly Finding[] {
  const context = {
    course,
    plan: planSections(course),
    today: dayOf(facts.moment, course.dates.zone),
    learners: facts.learners,
  };
  const found = RULES.filter((rule) => rule.purposes.includes(course.purpose)).flatMap((rule) => {
    const body = rule.find(context);
    if (body === null) return [];
    return [{ rule: rule.id, stop: rule.stop, field: null, targets: [], values: {}, cure: null, ...body }];
  });
  return [...found.filter(isBlocker), ...found.filter((finding) => !isBlocker(finding))];
}

export function isBlocker(finding: Finding): boolean {
  return finding.severity === 'blocker';
}
