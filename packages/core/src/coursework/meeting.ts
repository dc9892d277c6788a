/** Where a meeting stands: before it, while it is held, after it. Instants are milliseconds since 1970-01-01T00:00Z. */
import type { Resolved } from '../calendar/moments.ts';
import type { Meeting } from '../course/schema/items-schema.ts';

const MINUTE_MS = 60_000;
const DAY_MS = 24 * 60 * MINUTE_MS;
/** Where nobody has said how long it takes. */
const USUAL_MINUTES = 60;

/** As staff or a code have it; nobody has said anything: null. */
export type Attended = 'there' | 'late' | 'excused' | 'away';

export type MeetingPhase = 'undated' | 'before' | 'now' | 'over';

export interface MeetingTimes {
  readonly phase: MeetingPhase;
  readonly begins: number | null;
  readonly ends: number | null;
}

/** @param held its moment; a day alone is held all day @param slot minutes of its section's meeting, where it is that one */
export function meetingAt(
  { minutes }: Pick<Meeting, 'minutes'>,
  held: Resolved | undefined,
  slot: number | null,
  at: number,
): MeetingTimes {
  if (held?.kind !== 'at') return { phase: 'undated', begins: null, ends: null };
  const begins = held.instant;
  const lasts = minutes === null || minutes === 0 ? (slot ?? USUAL_MINUTES) : minutes;
  const ends = begins + (held.time === null ? DAY_MS : lasts * MINUTE_MS);
  const phase = at < begins ? 'before' : at < ends ? 'now' : 'over';
  return { phase, begins, ends };
}

/** Whether that counts as having been there. */
export const isAttending = (attended: Attended | null): boolean =>
  attended === 'there' || attended === 'late';
