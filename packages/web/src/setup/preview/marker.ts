/** The moment at which the course is looked at: the timeline's marker, and the preview's "on". */
import { addDays, daysBetween, startOfDay } from '@itinerary/core';
import type { CoursePlan } from '@itinerary/core';
import { computed, ref } from 'vue';
import type { ComputedRef } from 'vue';
import { dayIn } from '../../words/dates.ts';
import { useSession } from '../../stores/session.ts';

export interface Marker {
  readonly day: ComputedRef<string>;
  /** The instant that the preview is resolved at (ISO, UTC). */
  readonly moment: ComputedRef<string>;
  /** To a day; the moment is then nine in the morning of it, in the course's zone: of today it is now. */
  readonly move: (day: string) => void;
  /** To an instant, in milliseconds since 1970-01-01T00:00Z. */
  readonly moveTo: (instant: number) => void;
  /** Whether an instant was chosen, and not only a day. */
  readonly isExact: ComputedRef<boolean>;
  readonly reset: () => void;
}

const NINE_HOURS_MS = 9 * 60 * 60 * 1000;

/** It stands on any day: before the first and after the last of the course too. */
export function useMarker(planOf: () => CoursePlan | null): Marker {
  const session = useSession();
  const chosen = ref<string | number | null>(null);
  const zone = computed(() => planOf()?.course.dates.zone ?? 'UTC');

  /** Today while the course runs, else its first day. */
  const startingDay = (plan: CoursePlan): string => {
    const today = dayIn(session.now(), zone.value);
    const days = daysOf(plan);
    if (days === null) return today;
    return days.first <= today && today <= days.last ? today : days.first;
  };

  const day = computed(() => {
    const plan = planOf();
    if (plan === null) return '1970-01-01';
    const { value } = chosen;
    if (value === null) return startingDay(plan);
    return typeof value === 'string' ? value : dayIn(new Date(value).toISOString(), zone.value);
  });
  const isExact = computed(() => typeof chosen.value === 'number');
  const moment = computed(() => {
    if (isExact.value) return new Date(chosen.value as number).toISOString();
    // What was done and what has opened today is there.
    if (day.value === dayIn(session.now(), zone.value)) return session.now();
    return new Date(Date.parse(startOfDay(day.value, zone.value)) + NINE_HOURS_MS).toISOString();
  });
  return {
    day,
    moment,
    isExact,
    move: (to) => (chosen.value = to),
    moveTo: (instant) => (chosen.value = instant),
    reset: () => (chosen.value = null),
  };
}

/** The days of a course; null where it has no first or no last. */
export function daysOf(plan: CoursePlan | null): { readonly first: string; readonly last: string } | null {
  if (plan === null || plan.firstDay === null || plan.lastDay === null) return null;
  return plan.firstDay <= plan.lastDay ? { first: plan.firstDay, last: plan.lastDay } : null;
}

/** The day at a share (0 to 1) of a span of days, both ends included. */
export function dayAtShare(first: string, last: string, share: number): string {
  const days = daysBetween(first, last) + 1;
  return addDays(first, Math.min(days - 1, Math.max(0, Math.floor(share * days))));
}
