/** What whoever finds a course gets of it once it is live, by its dates: as core has it for a learner. */
import { windowCap } from '@itinerary/core';
import type { CoursePlan } from '@itinerary/core';

export interface WhatThen {
  /** Of the sentence that says it. */
  readonly key: 'now' | 'closed' | 'look' | 'open' | 'over.closed' | 'over.look';
  /** The instant up to which it is so; null: what is chosen for the days before the first counts no more, or never did. */
  readonly opensAt: number | null;
}

/** @param at in milliseconds since 1970-01-01T00:00Z */
export function whatThen(planned: CoursePlan, at: number): WhatThen {
  const { before, after } = planned.course.window;
  const cap = windowCap(planned.course, planned, at);
  if (cap?.opensAt !== undefined) return { key: before, opensAt: cap.opensAt };
  return { key: cap === null || after === 'open' ? 'now' : `over.${after}`, opensAt: null };
}
