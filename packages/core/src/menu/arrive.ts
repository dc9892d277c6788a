/** Where somebody arrives who opens the course (docs/semantics.md, Arrival). */
import { canSee, isReadable } from '../access/answer.ts';
import { ownPlan, resolveAccess } from '../access/resolve.ts';
import type { Viewer } from '../access/roles.ts';
import type { CoursePlan } from '../calendar/course-plan.ts';
import { momentIn } from '../calendar/plan.ts';
import type { Arrive } from '../course/schema/menu-schema.ts';
import type { Course } from '../course/schema/schema.ts';
import { areaOpen } from './resolve.ts';
import type { FaceFacts } from './resolve.ts';
import type { Arrival } from '../views/home-view.ts';

/** What is known of their visits so far. */
export interface Visits {
  readonly isFirst: boolean;
  /** Id of the item that they opened last. */
  readonly last: string | null;
}

/**
 * What cannot be had now gives way to the home page, and that to the outline, so that nobody arrives at
 * nothing.
 */
export function arrivalAt(
  course: Course,
  viewer: Viewer,
  moment: string,
  visits: Visits,
  facts: FaceFacts,
  hint: CoursePlan | null = null,
): Arrival {
  const plan = ownPlan(course, viewer, Date.parse(moment), hint);
  const access = resolveAccess(course, viewer, moment, plan);
  // What is only named has one page, whatever was chosen for the rest.
  if (!isReadable(access.course.state)) return { to: 'home' };
  const opens = (id: string | null): Arrival | null =>
    id !== null && canSee(access.nodes.get(id)) ? { to: 'item', id } : null;
  const find = (wanted: Arrive): Arrival | null => {
    switch (wanted.at) {
      case 'home':
      case 'sections':
      case 'announcements':
        return areaOpen(course, viewer, moment, wanted.at, facts, plan) ? { to: wanted.at } : null;
      case 'page':
        return opens(wanted.item);
      case 'left_off':
        return opens(visits.last);
      case 'current': {
        const now = momentIn(plan, plan.course.dates.zone, moment);
        const here = plan.sections.find(
          ({ span }) => now.kind === 'slot' && span.kind === 'slot' && span.slot.number === now.number,
        );
        return here !== undefined && canSee(access.nodes.get(here.id))
          ? { to: 'section', id: here.id }
          : null;
      }
    }
  };
  const first = visits.isFirst && course.firstArrive !== null ? find(course.firstArrive) : null;
  return first ?? find(course.arrive) ?? find({ at: 'home' }) ?? { to: 'sections' };
}
