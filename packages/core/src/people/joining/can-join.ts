/**
 * Whether somebody may join a course by a way at a moment: yes, wait, or no with its reason (docs/semantics.md,
 * Joining). The page of whoever is not in the course, See as and readiness read this one answer; nothing else decides.
 */
import type { JoinAnswer, JoinCourse, Joiner, JoinWay, Missing } from './joining.ts';
import { heldFor, seatsTaken } from './seats.ts';

type No = Extract<JoinAnswer, { can: 'no' }>;
const no = (because: No['because'], until: number | null = null, missing: readonly Missing[] = []): No => ({
  can: 'no',
  because,
  missing,
  until,
});

const invited = ({ invitation }: Joiner, at: number): boolean =>
  invitation !== null && (invitation.lapses === null || at < invitation.lapses);

function knowsOf(course: JoinCourse, joiner: Joiner, at: number): boolean {
  const { person, standing, hasLink } = joiner;
  if (course.finding === 'anyone' || (course.finding === 'here' && person !== null)) return true;
  if (standing !== 'never' || hasLink || invited(joiner, at)) return true;
  return (
    heldFor(course, person, at).length > 0 ||
    (person !== null && course.waiting.some((one) => one.person === person))
  );
}

const domainOf = (address: string): string => address.slice(address.lastIndexOf('@') + 1).toLowerCase();

/** Whoever is invited is whom the course is for; whoever was removed returns only by what staff do. */
function missingFor(way: JoinWay, joiner: Joiner, at: number): readonly Missing[] {
  const isInvited = way.kind === 'invitation' && invited(joiner, at);
  if (isInvited || way.kind === 'registry') return [];
  const missing: Missing[] = [];
  if (joiner.standing === 'removed') missing.push('staff');
  if (way.kinds !== null && (joiner.kind === null || !way.kinds.includes(joiner.kind))) missing.push('kind');
  const domains = way.domains?.map((one) => one.toLowerCase());
  if (domains !== undefined && !joiner.addresses.some((one) => domains.includes(domainOf(one)))) {
    missing.push('domain');
  }
  if (way.after !== null && !joiner.completed.includes(way.after)) missing.push('completed');
  if (way.kind === 'link' && !joiner.hasLink) missing.push('link');
  if (way.kind === 'invitation') missing.push('invitation');
  return missing;
}

/** A window that is over by its own opening is over; one that has yet to open says when, if that is known. */
function outside({ opens, closes }: JoinWay['window'], at: number): No | null {
  const isNever = closes !== null && typeof opens === 'number' && closes <= opens;
  if (isNever || (closes !== null && at >= closes)) return no('over');
  if (opens === 'undated') return no('not_yet');
  return opens !== null && at < opens ? no('not_yet', opens) : null;
}

/** Where there is no seat: a place in the line of the limit that is in the way, the way's before the course's. */
function seatless(course: JoinCourse, way: JoinWay, joiner: Joiner, at: number): JoinAnswer | null {
  // A seat that is kept for oneself is no obstacle.
  if (way.gives !== 'learner' || heldFor(course, joiner.person, at).length > 0) return null;
  const isFull = (seats: number | null, taken: number): boolean => seats !== null && taken >= seats;
  const limit = isFull(way.seats, seatsTaken(course, way.kind, at))
    ? 'way'
    : isFull(course.seats, seatsTaken(course, null, at))
      ? 'course'
      : null;
  if (limit === null) return null;
  // Whom the registry has waits also where nobody else may.
  const hasLine = way.kind === 'registry' || (limit === 'way' ? way.hasLine : course.hasLine);
  if (!hasLine) return no('full');
  const line = course.waiting.filter(
    (one) => one.line === limit && (limit === 'course' || one.way === way.kind),
  );
  const own = line.findIndex((one) => one.person === joiner.person);
  const isIn = joiner.person !== null && own !== -1;
  return { can: 'wait', line: limit, place: isIn ? own + 1 : line.length + 1, isIn };
}

function earliest(...instants: readonly (number | null)[]): number | null {
  const known = instants.filter((one) => one !== null);
  return known.length === 0 ? null : Math.min(...known);
}

/**
 * @param way what staff do by hand is asked here too: only an archive, and who is in already, stop them
 * @param at the instant, in milliseconds
 */
export function canJoin(course: JoinCourse, joiner: Joiner, way: JoinWay, at: number): JoinAnswer {
  const isStaff = way.kind === 'staff';
  // Whom the registry has in a class of it knows of it.
  if (!isStaff && way.kind !== 'registry' && !knowsOf(course, joiner, at)) return no('absent');
  if (course.state === 'archived') return no('archived');
  const isLive = course.state === 'live' || (course.goesLive !== null && at >= course.goesLive);
  if (!isStaff && !isLive) return no('draft', course.goesLive);
  if (joiner.standing === 'in') return no('in');
  if (isStaff) return { can: 'yes', steps: [], until: null };
  if (!way.isOn) return no('off');
  const missing = missingFor(way, joiner, at);
  if (missing.length > 0) return no('not_for', null, missing);
  // What has been offered is good until it lapses, though the window closes.
  const offer = heldFor(course, joiner.person, at).find(
    (one) => one.kind === 'offer' && one.way === way.kind,
  );
  const closed = outside(way.window, at);
  if (closed !== null && !(offer !== undefined && closed.because === 'over')) return closed;
  const without = seatless(course, way, joiner, at);
  if (without !== null) return without;
  const invitation = way.kind === 'invitation' ? (joiner.invitation?.lapses ?? null) : null;
  return {
    can: 'yes',
    steps: [
      ...(way.asksQuestion ? (['question'] as const) : []),
      ...(way.kind === 'paying' ? (['payment'] as const) : []),
    ],
    until: offer === undefined ? earliest(way.window.closes, invitation) : earliest(offer.lapses, invitation),
  };
}

/** Staff who go beyond the seats are warned, and may: how many would be there, and how many seats there are. */
export function beyondSeats(
  course: JoinCourse,
  adding: number,
  at: number,
): { readonly seats: number; readonly people: number } | null {
  const people = seatsTaken(course, null, at) + adding;
  return course.seats !== null && people > course.seats ? { seats: course.seats, people } : null;
}
