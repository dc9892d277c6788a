/** An announcement as it is read. */
import { momentOfCourse } from '../calendar/course-plan.ts';
import type { CoursePlan } from '../calendar/course-plan.ts';
import { momentView } from '../views/moment-view.ts';
import type { DatedAnnouncement } from './announcements.ts';
import type { MomentView } from '../views/moment-view.ts';
import type { AnnouncementView } from '../views/messages-view.ts';

/** @param one an announcement that stands: it has a date. */
export function announcementView(plan: CoursePlan, one: DatedAnnouncement): AnnouncementView {
  const { subject, text, files, pinned, comments, from } = one.announcement;
  return {
    id: one.id,
    subject,
    text,
    files,
    pinned,
    comments,
    from: momentView(momentOfCourse(plan, from, 'opens')) as MomentView,
  };
}
