/** The plan of a course as it is for one person: whoever has a clock of their own has days of their own. */
import { planCourse } from '../calendar/course-plan.ts';
import type { CoursePlan } from '../calendar/course-plan.ts';
import { dayOf } from '../calendar/days.ts';
import type { Course } from '../course/schema.ts';
import type { Viewer } from './roles.ts';

export function planFor(course: Course, viewer: Viewer, before: CoursePlan | null = null): CoursePlan {
  const { joinedAt = null } = viewer;
  const joined = joinedAt === null ? null : dayOf(joinedAt, course.dates.zone);
  return planCourse(course, { joined }, before);
}
