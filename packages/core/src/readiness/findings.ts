/** The readiness engine: every rule that makes sense for what the course is for, blockers first. */
import { dayOf } from '../calendar/days.ts';
import { planCourse } from '../calendar/course-plan.ts';
import type { CoursePlan } from '../calendar/course-plan.ts';
import type { Term } from '../calendar/lengths.ts';
import type { Course } from '../course/schema/schema.ts';
import type { FaceFacts } from '../menu/resolve.ts';
import { NO_FACTS } from '../text/facts.ts';
import type { FactsByText } from '../text/facts.ts';
import { ABOUT_RULES } from './about/rules.ts';
import { ACCESS_RULES } from './access/rules.ts';
import { DATES_RULES } from './dates/rules.ts';
import { LOOK_RULES } from './look/rules.ts';
import { MEMBERS_RULES } from './members/rules.ts';
import { MENU_RULES } from './menu/rules.ts';
import { MESSAGES_RULES } from './messages/rules.ts';
import { OUTLINE_RULES } from './outline/rules.ts';
import { PROGRESS_RULES } from './progress/rules.ts';
import type { DoorFacts, Finding, Passphrase, Rule } from './rule.ts';

/** In the order of the route, which is the order in which findings of one severity are listed. */
export const RULES: readonly Rule[] = [
  ...ABOUT_RULES,
  ...DATES_RULES,
  ...OUTLINE_RULES,
  ...MENU_RULES,
  ...LOOK_RULES,
  ...PROGRESS_RULES,
  ...ACCESS_RULES,
  ...MESSAGES_RULES,
  ...MEMBERS_RULES,
];

/** What readiness has to know besides the course. */
export interface ReadinessFacts {
  /** The instant asked about (ISO, UTC). */
  readonly moment: string;
  readonly learners: number;
  readonly term?: Term | null;
  readonly texts?: FactsByText;
  /** The passphrase for visitors, which no course document holds; null: not known here. */
  readonly passphrase?: Passphrase | null;
  /** How many learners are in each group and class, by its id; null: not known here. */
  readonly groupSizes?: Readonly<Record<string, number>> | null;
  /** The institution's pages, and the course's staff; null: not known here. */
  readonly face?: FaceFacts | null;
  /** How it stands at the ways in; null: not known here. */
  readonly door?: DoorFacts | null;
}

/** @param plan the course's plan for nobody in particular; computed when it is not at hand. */
export function findings(
  course: Course,
  facts: ReadinessFacts,
  plan: CoursePlan = planCourse(course),
): readonly Finding[] {
  const context = {
    course,
    plan,
    today: dayOf(facts.moment, course.dates.zone),
    learners: facts.learners,
    term: facts.term ?? null,
    texts: facts.texts ?? NO_FACTS,
    passphrase: facts.passphrase ?? null,
    groupSizes: facts.groupSizes ?? null,
    face: facts.face ?? null,
    door: facts.door ?? null,
    at: Date.parse(facts.moment),
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
