/**
 * Which announcements stand when. Pinned ones first, then the newest: the home page shows the first few, so an
 * older one drops off when a new one arrives (docs/semantics.md, Announcements).
 */
import { momentOfCourse } from '../calendar/course-plan.ts';
import { endOf } from '../calendar/moments.ts';
import type { CoursePlan } from '../calendar/course-plan.ts';
import type { Announcement } from '../course/schema/messages-schema.ts';

export interface DatedAnnouncement {
  readonly id: string;
  readonly announcement: Announcement;
  /** The first instant at which it stands, in milliseconds since 1970-01-01T00:00Z; null: it has no date. */
  readonly from: number | null;
  /** The first instant at which it does not stand any more; Infinity: there is none. */
  readonly until: number;
}

const dated = new WeakMap<CoursePlan, readonly DatedAnnouncement[]>();

/** All of them, drafts included, in the order in which they stand. */
export function datedAnnouncements(plan: CoursePlan): readonly DatedAnnouncement[] {
  let found = dated.get(plan);
  if (found === undefined) dated.set(plan, (found = date(plan)));
  return found;
}

function date(plan: CoursePlan): readonly DatedAnnouncement[] {
  return Object.entries(plan.course.announcements)
    .map(([id, announcement]): DatedAnnouncement => {
      const from = momentOfCourse(plan, announcement.from, 'opens');
      const until = announcement.until === null ? null : momentOfCourse(plan, announcement.until, 'until');
      return {
        id,
        announcement,
        from: from.kind === 'at' ? from.instant : null,
        // An end without a date is none.
        until: until?.kind === 'at' ? endOf(until) : Infinity,
      };
    })
    .sort(inOrder);
}

function inOrder(a: DatedAnnouncement, b: DatedAnnouncement): number {
  if (a.announcement.pinned !== b.announcement.pinned) return a.announcement.pinned ? -1 : 1;
  const [first, second] = [a.from ?? Infinity, b.from ?? Infinity];
  if (first !== second) return second - first;
  return a.id < b.id ? -1 : 1;
}

function standsAt({ announcement, from, until }: DatedAnnouncement, at: number): boolean {
  return announcement.ready && from !== null && from <= at && at < until;
}

/** Those that stand at an instant, in the order in which they are read. */
export function announcementsAt(plan: CoursePlan, at: number): readonly DatedAnnouncement[] {
  return datedAnnouncements(plan).filter((one) => standsAt(one, at));
}

/** When the next one arrives that is ready; null: none is on its way. */
export function nextAnnouncementAt(plan: CoursePlan, at: number): number | null {
  const coming = datedAnnouncements(plan).flatMap(({ announcement, from, until }) =>
    announcement.ready && from !== null && from > at && from < until ? [from] : [],
  );
  return coming.length === 0 ? null : Math.min(...coming);
}

/** A time on the home page: from the first instant up to, not including, the last. */
export interface Standing {
  readonly from: number;
  /** Infinity: until something newer comes. */
  readonly until: number;
}

/**
 * When each announcement stands on a home page that shows the first `most`, drafts as if they were ready. One
 * can drop off, and come back when a newer one is over.
 */
export function homeStandings(plan: CoursePlan, most: number): ReadonlyMap<string, readonly Standing[]> {
  const all = datedAnnouncements(plan).map((one) => ({
    ...one,
    announcement: { ...one.announcement, ready: true },
  }));
  const instants = [...new Set(all.flatMap(({ from, until }) => (from === null ? [] : [from, until])))].sort(
    (a, b) => a - b,
  );
  const standings = new Map<string, Standing[]>(all.map(({ id }) => [id, []]));
  instants.forEach((from, index) => {
    if (from === Infinity) return;
    const until = instants[index + 1] ?? Infinity;
    for (const { id } of all.filter((one) => standsAt(one, from)).slice(0, most)) {
      const own = standings.get(id) as Standing[];
      const last = own.at(-1);
      if (last?.until === from) own[own.length - 1] = { from: last.from, until };
      else own.push({ from, until });
    }
  });
  return standings;
}
