/** The readiness engine: every rule that makes sense for what the course is for, blockers first. */
import { dayOf } from '../calendar/days.ts';
import { planCourse } from '../calendar/course-plan.ts';
import type { CoursePlan } from '../calendar/course-plan.ts';
import type { Term } from '../calendar/lengths.ts';
import type { Course } from '../course/schema/schema.ts';
import type { FaceFacts } from '../menu/resolve.ts';
import { NO_FACTS } from '../text/facts.ts';
import type { FactsByText } from '../text/facts.ts';
import { announcementUndated } from './messages/announcement-undated.ts';
import { aroundMissing } from './dates/around-missing.ts';
import { arriveLost } from './menu/arrive-lost.ts';
import { closedBeforeDue } from './access/closed-before-due.ts';
import { contactGone } from './messages/contact-gone.ts';
import { datesPast } from './dates/dates-past.ts';
import { emptyItem } from './outline/empty-item.ts';
import { emptySection } from './outline/empty-section.ts';
import { endsBeforeStart } from './dates/ends-before-start.ts';
import { groupsMissing } from './access/groups-missing.ts';
import { groupWorkWithout } from './access/group-work-without.ts';
import { heavySections } from './outline/heavy-sections.ts';
import { largestUpload } from './outline/largest-upload.ts';
import { linkGone } from './outline/link-gone.ts';
import { meetingPace } from './dates/meeting-pace.ts';
import { menuAddress } from './menu/menu-address.ts';
import { menuEmptyPage } from './menu/menu-empty-page.ts';
import { menuLabelLong } from './menu/menu-label-long.ts';
import { menuLong } from './menu/menu-long.ts';
import { menuNoContact } from './menu/menu-no-contact.ts';
import { menuNoStart } from './menu/menu-no-start.ts';
import { menuToolFirst } from './menu/menu-tool-first.ts';
import { menuTwice } from './menu/menu-twice.ts';
import { midWeek } from './dates/mid-week.ts';
import { noDays } from './dates/no-days.ts';
import { noDescription } from './about/no-description.ts';
import { noFirstDay } from './dates/no-first-day.ts';
import { noItem } from './outline/no-item.ts';
import { noLearners } from './members/no-learners.ts';
import { noPattern } from './dates/no-pattern.ts';
import { nothingOpen } from './access/nothing-open.ts';
import { liveTooLate, nothingToLookAt } from './access/nothing-to-look-at.ts';
import { outcomeUnassessed } from './about/outcome-unassessed.ts';
import { pastLastDay } from './outline/past-last-day.ts';
import { pastTerm } from './dates/past-term.ts';
import { coursePictureSilent } from './look/course-picture-silent.ts';
import { pictureAlt } from './outline/picture-alt.ts';
import { rulesCircle } from './outline/rules-circle.ts';
import { rulesDueAfterEnd, rulesNever } from './outline/rules-never.ts';
import { samplesShowing } from './access/samples-showing.ts';
import { spareWeeks } from './dates/spare-weeks.ts';
import { statedHours } from './about/stated-hours.ts';
import { typedNumbers } from './outline/typed-numbers.ts';
import { unitOverlap } from './outline/unit-overlap.ts';
import { unplacedSections } from './outline/unplaced-sections.ts';
import { passphraseEasy, visitorsLost } from './access/visitors-lost.ts';
import { workAtClockChange } from './work/work-at-clock-change.ts';
import { workBeforeOpening } from './work/work-before-opening.ts';
import { workCircle } from './work/work-circle.ts';
import { workInPause } from './work/work-in-pause.ts';
import { workNoSuchWeekday } from './work/work-no-such-weekday.ts';
import { workOutside } from './work/work-outside.ts';
import { workSameNight } from './work/work-same-night.ts';
import { workUndated } from './work/work-undated.ts';
import type { Finding, Passphrase, Rule } from './rule.ts';

/** In the order of the route, which is the order in which findings of one severity are listed. */
export const RULES: readonly Rule[] = [
  noDescription,
  noFirstDay,
  midWeek,
  datesPast,
  endsBeforeStart,
  noPattern,
  noDays,
  meetingPace,
  aroundMissing,
  pastTerm,
  spareWeeks,
  unplacedSections,
  pastLastDay,
  unitOverlap,
  noItem,
  emptySection,
  emptyItem,
  typedNumbers,
  linkGone,
  workUndated,
  workCircle,
  workOutside,
  workInPause,
  workAtClockChange,
  workBeforeOpening,
  workSameNight,
  workNoSuchWeekday,
  rulesCircle,
  rulesNever,
  rulesDueAfterEnd,
  heavySections,
  statedHours,
  outcomeUnassessed,
  largestUpload,
  pictureAlt,
  menuNoStart,
  menuNoContact,
  menuLong,
  menuToolFirst,
  menuTwice,
  menuEmptyPage,
  menuAddress,
  menuLabelLong,
  arriveLost,
  coursePictureSilent,
  nothingOpen,
  nothingToLookAt,
  closedBeforeDue,
  liveTooLate,
  visitorsLost,
  passphraseEasy,
  samplesShowing,
  groupsMissing,
  groupWorkWithout,
  announcementUndated,
  contactGone,
  noLearners,
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
