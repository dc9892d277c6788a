/** The readiness engine: every rule that makes sense for what the course is for, blockers first. */
import { dayOf } from '../calendar/days.ts';
import { planCourse } from '../calendar/course-plan.ts';
import type { CoursePlan } from '../calendar/course-plan.ts';
import type { Term } from '../calendar/lengths.ts';
import type { Course } from '../course/schema.ts';
import type { FaceFacts } from '../menu/resolve.ts';
import { NO_FACTS } from '../text/facts.ts';
import type { FactsByText } from '../text/facts.ts';
import { announcementUndated } from './announcement-undated.ts';
import { aroundMissing } from './around-missing.ts';
import { arriveLost } from './arrive-lost.ts';
import { closedBeforeDue } from './closed-before-due.ts';
import { contactGone } from './contact-gone.ts';
import { datesPast } from './dates-past.ts';
import { emptyItem } from './empty-item.ts';
import { emptySection } from './empty-section.ts';
import { endsBeforeStart } from './ends-before-start.ts';
import { groupsMissing } from './groups-missing.ts';
import { groupWorkWithout } from './group-work-without.ts';
import { heavySections } from './heavy-sections.ts';
import { largestUpload } from './largest-upload.ts';
import { linkGone } from './link-gone.ts';
import { meetingPace } from './meeting-pace.ts';
import { menuAddress } from './menu-address.ts';
import { menuEmptyPage } from './menu-empty-page.ts';
import { menuLabelLong } from './menu-label-long.ts';
import { menuLong } from './menu-long.ts';
import { menuNoContact } from './menu-no-contact.ts';
import { menuNoStart } from './menu-no-start.ts';
import { menuToolFirst } from './menu-tool-first.ts';
import { menuTwice } from './menu-twice.ts';
import { midWeek } from './mid-week.ts';
import { noDays } from './no-days.ts';
import { noDescription } from './no-description.ts';
import { noFirstDay } from './no-first-day.ts';
import { noItem } from './no-item.ts';
import { noLearners } from './no-learners.ts';
import { noPattern } from './no-pattern.ts';
import { nothingOpen } from './nothing-open.ts';
import { liveTooLate, nothingToLookAt } from './nothing-to-look-at.ts';
import { outcomeUnassessed } from './outcome-unassessed.ts';
import { pastLastDay } from './past-last-day.ts';
import { pastTerm } from './past-term.ts';
import { coursePictureSilent } from './course-picture-silent.ts';
import { pictureAlt } from './picture-alt.ts';
import { rulesCircle } from './rules-circle.ts';
import { rulesDueAfterEnd, rulesNever } from './rules-never.ts';
import { samplesShowing } from './samples-showing.ts';
import { spareWeeks } from './spare-weeks.ts';
import { statedHours } from './stated-hours.ts';
import { typedNumbers } from './typed-numbers.ts';
import { unitOverlap } from './unit-overlap.ts';
import { unplacedSections } from './unplaced-sections.ts';
import { passphraseEasy, visitorsLost } from './visitors-lost.ts';
import { workAtClockChange } from './work-at-clock-change.ts';
import { workBeforeOpening } from './work-before-opening.ts';
import { workCircle } from './work-circle.ts';
import { workInPause } from './work-in-pause.ts';
import { workNoSuchWeekday } from './work-no-such-weekday.ts';
import { workOutside } from './work-outside.ts';
import { workSameNight } from './work-same-night.ts';
import { workUndated } from './work-undated.ts';
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
