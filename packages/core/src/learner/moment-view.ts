/** A planned moment: the day and time in the course's zone, and the instant (ISO, UTC) for everybody else's. */
import type { Resolved } from '../calendar/moments.ts';
import type { MomentView } from '../views/moment-view.ts';

/** Null where it has no date. */
export function momentView(resolved: Resolved | undefined): MomentView | null {
  if (resolved?.kind !== 'at') return null;
  const { day, time, instant } = resolved;
  return { day, time, instant: new Date(instant).toISOString() };
}
