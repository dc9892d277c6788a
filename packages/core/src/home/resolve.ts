/**
 * The home page as one person gets it at one moment: panels fill themselves from what is in the course, and an
 * empty one is not there (docs/semantics.md, Home).
 */
import { isReadable } from '../access/answer.ts';
import { ownPlan } from '../access/resolve.ts';
import type { Viewer } from '../access/roles.ts';
import type { CoursePlan } from '../calendar/course-plan.ts';
import type { Panel } from '../course/schema/home-schema.ts';
import type { Course } from '../course/schema/schema.ts';
import type { MenuReason, FaceFacts } from '../menu/resolve.ts';
import { announcementView } from '../messages/announcement-view.ts';
import { announcementsAt } from '../messages/announcements.ts';
import { contactsOf } from '../messages/contacts.ts';
import { nextOf, shareOf } from '../progress/share.ts';
import { finishedTold } from '../progress/told.ts';
import { aheadWithin, weekOf } from './ahead.ts';
import type { CourseView } from '../views/course-view.ts';
import type { HomeView, PanelView } from '../views/home-view.ts';

export type PanelReason = Extract<MenuReason, { readonly kind: 'not_shown' | 'area_off' | 'empty' }>['kind'];

export interface PanelAnswer {
  readonly id: string;
  readonly panel: Panel;
  /** What a reader gets; null: it is not there for them. */
  readonly view: PanelView | null;
  readonly unseen: PanelReason | null;
}

export function panelEntries({ panels }: Course): readonly (readonly [string, Panel])[] {
  return Object.entries(panels).sort(([one, a], [other, b]) => a.at - b.at || (one < other ? -1 : 1));
}

/**
 * Every panel in its order, with what it holds for this person.
 *
 * @param view the course as this person gets it at this moment.
 */
export function resolveHome(
  course: Course,
  viewer: Viewer,
  moment: string,
  view: CourseView,
  facts: FaceFacts,
  hint: CoursePlan | null = null,
): readonly PanelAnswer[] {
  const plan = ownPlan(course, viewer, Date.parse(moment), hint);
  return panelEntries(course).map(([id, panel]): PanelAnswer => {
    if (!panel.shown) return { id, panel, view: null, unseen: 'not_shown' };
    if (panel.kind === 'announcements' && course.areas['announcements'] === 'off') {
      return { id, panel, view: null, unseen: 'area_off' };
    }
    const filled = fill(id, panel, { course, viewer, moment, view, facts, plan });
    return { id, panel, view: filled, unseen: filled === null ? 'empty' : null };
  });
}

/** Around one item, and while only its name is there, a course has one page: what is on it is not panels. */
export function homeView(
  course: Course,
  viewer: Viewer,
  moment: string,
  view: CourseView,
  facts: FaceFacts,
  hint: CoursePlan | null = null,
): HomeView {
  const answers = isReadable(view.access) ? resolveHome(course, viewer, moment, view, facts, hint) : [];
  return {
    columns: course.homeColumns,
    panels: answers.flatMap((answer) => (answer.view === null ? [] : [answer.view])),
  };
}

interface Filling {
  readonly course: Course;
  readonly viewer: Viewer;
  readonly moment: string;
  readonly view: CourseView;
  readonly facts: FaceFacts;
  readonly plan: CoursePlan;
}

function fill(id: string, panel: Panel, filling: Filling): PanelView | null {
  const { course, viewer, moment, view, facts, plan } = filling;
  const placed = { id, column: panel.column };
  switch (panel.kind) {
    case 'welcome':
      return panel.text === null ? null : { ...placed, kind: 'welcome', text: panel.text };
    case 'announcements': {
      const standing = announcementsAt(plan, Date.parse(moment));
      if (standing.length === 0) return null;
      const first = standing.slice(0, panel.most).map((one) => announcementView(plan, one));
      return { ...placed, kind: 'announcements', announcements: first, more: standing.length - first.length };
    }
    case 'next': {
      const ahead = aheadWithin(view, moment, panel.days);
      return ahead.length === 0 ? null : { ...placed, kind: 'next', ahead, days: panel.days };
    }
    case 'picture':
      return panel.picture === null ? null : { ...placed, kind: 'picture', picture: panel.picture };
    case 'contact': {
      const contacts = contactsOf(course, facts.staff);
      return contacts.length === 0 ? null : { ...placed, kind: 'contact', contacts };
    }
    case 'progress': {
      // Visitors and staff have nothing of their own to look at.
      const isShown = viewer.role === 'learner' && course.progress && course.shareShown;
      const share = isShown ? shareOf(plan, viewer) : null;
      if (share === null) return null;
      return {
        ...{ ...placed, kind: 'progress', share },
        next: nextOf(course, viewer, Date.parse(moment), plan),
        finished: finishedTold(course, viewer.deeds?.reached?.get(course.id)?.since ?? null),
      };
    }
    case 'week': {
      const week = weekOf(view, moment, course.dates.weekStart);
      return week === null ? null : { ...placed, kind: 'week', week };
    }
    case 'outline':
      return view.sections.length === 0 && view.around === null ? null : { ...placed, kind: 'outline' };
    case 'carry_on':
      return view.sections.length === 0 ? null : { ...placed, kind: 'carry_on' };
    case 'about':
      return { ...placed, kind: 'about' };
  }
}
