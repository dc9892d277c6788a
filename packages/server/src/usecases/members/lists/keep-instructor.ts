/** A course keeps an instructor who can sign in: whoever would go as the last one stays. */
import type { Roster } from '@itinerary/core/people';
import { Failure } from '../../failure.ts';

/** Whoever is the last is told so in one way, wherever they would go. */
export const lastInstructor = (): Failure =>
  new Failure(
    'not_allowed',
    'A course keeps at least one instructor; add another before taking this one off',
  );

export function mustKeepInstructor(roster: Roster): void {
  const isOne = [...roster.values()].some(
    ({ role, state, isPlace }) => role === 'instructor' && state === 'in' && !isPlace,
  );
  if (!isOne) throw lastInstructor();
}
