/** What stands around every page of a course: its menu, look, language and picture, as one reader gets them. */
import type { FrameAnswer, PictureView } from '@itinerary/contract';
import {
  announcementsAt,
  AREAS,
  areaOpen,
  contactsOf,
  isReadable,
  lookView,
  mayPlan,
  menuView,
  ownPlan,
  resolveAccess,
} from '@itinerary/core';
import type { Course, CoursePicture, FaceFacts, StaffProfile, Viewer } from '@itinerary/core';
import { staffColumn } from '../../db/coming.ts';
import type { Around } from '../../db/coming.ts';
import type { EntityManager } from '../../db/orm.ts';
import { inOrderOfUse } from '../institution/institution-pages.ts';
import { visitOf } from './visits.ts';

/** Instructors and assistants of a course. */
export async function staffOf(em: EntityManager, courseId: string): Promise<readonly StaffProfile[]> {
  const [row] = await em.execute<{ readonly staff: readonly StaffProfile[] | null }[]>(
    `select ${staffColumn('asked.place')} from (select ?::text as place) asked`,
    [courseId],
  );
  return inRank(row?.staff ?? []);
}

/** Instructors first; by name among each. */
function inRank(staff: readonly StaffProfile[]): readonly StaffProfile[] {
  const rank = ({ role, name }: StaffProfile): string => `${role === 'instructor' ? 0 : 1} ${name}`;
  return staff.toSorted((a, b) => (rank(a) < rank(b) ? -1 : 1));
}

/** Of what came with the question who is there. */
export const faceFacts = ({ pages, staff }: Pick<Around, 'pages' | 'staff'>): FaceFacts => ({
  pages: inOrderOfUse(pages),
  staff: inRank(staff),
});

/** Changes whenever something else is to be seen: of another picture, or of another part of it. */
export function pictureVersion({ file, focus, zoom }: CoursePicture): string {
  return [file.hash.slice(0, 12), focus.x, focus.y, zoom].join('-');
}

export function pictureView(picture: CoursePicture | null): PictureView | null {
  if (picture === null) return null;
  const { alt, author, licence } = picture.file;
  return { version: pictureVersion(picture), alt: alt ?? '', author, licence };
}

export function frame(course: Course, viewer: Viewer, around: Around, now: string): FrameAnswer {
  const facts = faceFacts(around);
  const at = Date.parse(now);
  const plan = ownPlan(course, viewer, at);
  const access = resolveAccess(course, viewer, now, plan).course.state;
  const { since } = visitOf(viewer, around, now);
  const isReader = isReadable(access) && course.areas['announcements'] !== 'off';
  const unread =
    !isReader || since === null
      ? 0
      : announcementsAt(plan, at).filter(({ from }) => from !== null && from > Date.parse(since)).length;
  return {
    id: course.id,
    title: course.title,
    code: course.code,
    state: course.state,
    access,
    zone: course.dates.zone,
    institution: around.institution,
    menu: menuView(course, viewer, now, facts, plan),
    menuPlace: course.menuPlace,
    areas: AREAS.filter((area) => areaOpen(course, viewer, now, area, facts, plan)),
    look: lookView(course.look),
    language: course.language,
    languageHeld: course.languageHeld,
    roleNames: course.roleNames,
    banner: pictureView(course.banner),
    contacts: isReadable(access) ? contactsOf(course, facts.staff) : [],
    unread,
    isMember: viewer.role === 'learner' || mayPlan(viewer),
    mayPlan: mayPlan(viewer),
  };
}
