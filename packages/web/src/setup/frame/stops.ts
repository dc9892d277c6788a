/** The route through setup: the stops that exist, in the order in which people work. */
import type { Stop as FindingStop } from '@itinerary/core';

export const STOPS = [
  'about',
  'dates',
  'outline',
  'menu',
  'look',
  'access',
  'messages',
  'readiness',
] as const;
export type Stop = (typeof STOPS)[number];

/** Where a finding is settled. People are put on a course from the bar, and told of it under Readiness. */
export function stopOf(finding: FindingStop): Stop {
  return finding === 'members' ? 'readiness' : finding;
}
