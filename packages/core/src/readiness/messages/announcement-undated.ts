import { datedAnnouncements } from '../../messages/announcements.ts';
import type { Rule } from '../rule.ts';
import { EVERY_PURPOSE } from '../rule.ts';

/** An announcement that is ready and never stands: it has no date, or is over before it begins. */
export const announcementUndated: Rule = {
  id: 'announcement_undated',
  stop: 'messages',
  purposes: EVERY_PURPOSE,
  find: ({ plan }) => {
    const never = datedAnnouncements(plan).filter(
      ({ announcement, from, until }) =>
        announcement.ready &&
        (until <= (from ?? -Infinity) || (from === null && !waitsForJoining(announcement.from))),
    );
    const [first] = never;
    if (first === undefined) return null;
    return {
      severity: 'advice',
      field: `announcement-${first.id}`,
      values: { count: never.length, subject: first.announcement.subject },
    };
  },
};

/** Each learner's own joining is a date for them, and none for nobody in particular. */
function waitsForJoining(moment: {
  readonly kind: string;
  readonly anchor?: { readonly of: string };
}): boolean {
  return moment.kind === 'relative' && moment.anchor?.of === 'joining';
}
