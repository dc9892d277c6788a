/** An announcement as it is read. */
import { momentOfCourse } from '../calendar/course-plan.ts';
import type { CoursePlan } from '../calendar/course-plan.ts';
import type { CourseFileRef } from '../course/schema/items-schema.ts';
import { momentView } from '../learner/moment-view.ts';
import type { MomentView } from '../learner/moment-view.ts';
import type { DatedAnnouncement } from './announcements.ts';

export interface AnnouncementView {
  readonly id: string;
  readonly subject: string;
  /** Hash of its HTML. */
  readonly text: string | null;
  readonly files: readonly CourseFileRef[];
  readonly pinned: boolean;
  readonly comments: boolean;
  /** Since when it stands. */
  readonly from: MomentView;
}

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
