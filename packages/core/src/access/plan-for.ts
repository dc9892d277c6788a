/** The plan of a course as it is for one person: whoever has a clock of their own has days of their own. */
import { planCourse } from '../calendar/course-plan.ts';
import type { CoursePlan } from '../calendar/course-plan.ts';
import { toDay } from '../calendar/day-number.ts';
import { zoneOf } from '../calendar/zone.ts';
import { momentsOfRule } from '../course/rules.ts';
import type { PlannedMoment } from '../course/schema/moment-schema.ts';
import type { Course, CourseNode } from '../course/schema/schema.ts';
import { subtree } from '../course/tree.ts';
import { BoundedBy, LAST_FEW } from '../course/bounded.ts';
import type { Viewer } from './roles.ts';

const DAY_MS = 86_400_000;

/** Plans by the day of joining; a course that does not ask when somebody joined has one. */
const plans = new BoundedBy<Course, CoursePlan>(LAST_FEW);
const asks = new WeakMap<Course, boolean>();

/** The day of joining as the plan needs it: null where the course does not ask for it. */
export function joinedDay(course: Course, { joinedAt = null }: Viewer): string | null {
  if (joinedAt === null || !asksForJoining(course)) return null;
  return toDay(Math.floor(zoneOf(course.dates.zone).localOf(Date.parse(joinedAt)) / DAY_MS));
}

export function planFor(course: Course, viewer: Viewer): CoursePlan {
  const joined = joinedDay(course, viewer);
  return plans.of(course).orElse(joined ?? '', () => planCourse(course, { joined }));
}

function asksForJoining(course: Course): boolean {
  let found = asks.get(course);
  if (found === undefined) {
    found =
      course.dates.pace === 'joining' ||
      course.sections.some((section) => subtree(section).some(asksIt)) ||
      Object.values(course.announcements).some(({ from, until }) => [from, until].some(isFromJoining));
    asks.set(course, found);
  }
  return found;
}

function asksIt(node: CourseNode): boolean {
  const { opens, rule } = node;
  const due = 'due' in node ? node.due : null;
  const late = 'lateUntil' in node ? node.lateUntil : null;
  const held = 'held' in node ? node.held : null;
  const byThen = 'done' in node && node.kind !== 'section' ? (node.done?.byThen ?? null) : null;
  const inRule = rule === null ? [] : [...momentsOfRule(rule.when), rule.until];
  return [opens, due, late, held, byThen, ...inRule].some(isFromJoining);
}

function isFromJoining(moment: PlannedMoment | null): boolean {
  return moment?.kind === 'relative' && moment.anchor.of === 'joining';
}
