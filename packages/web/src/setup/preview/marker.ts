/** The day through which the course is looked at: the timeline's marker, and the preview's "on". */
import { addDays, daysBetween, startOfDay } from '@itinerary/core';
import type { CoursePlan } from '@itinerary/core';
import { computed, ref } from 'vue';
import type { ComputedRef } from 'vue';
import { dayIn } from '../../app/dates.ts';
import { useSession } from '../../stores/session.ts';

export interface Marker {
  readonly day: ComputedRef<string>;
  /** The instant that the preview is resolved at: nine in the morning of that day, in the course's zone. */
  readonly moment: ComputedRef<string>;
  readonly move: (day: string) => void;
  readonly reset: () => void;
}

const NINE_HOURS_MS = 9 * 60 * 60 * 1000;

export function useMarker(planOf: () => CoursePlan | null): Marker {
  const session = useSession();
  const chosen = ref<string | null>(null);

  /** Today while the course runs, else its first day. */
  const startingDay = (plan: { firstDay: string | null; lastDay: string | null }, zone: string): string => {
    const today = dayIn(session.now(), zone);
    if (plan.firstDay === null || plan.lastDay === null) return today;
    return plan.firstDay <= today && today <= plan.lastDay ? today : plan.firstDay;
  };

  const day = computed(() => {
    const plan = planOf();
    if (plan === null) return '1970-01-01';
    const wanted = chosen.value ?? startingDay(plan, plan.course.dates.zone);
    if (plan.firstDay === null || plan.lastDay === null) return wanted;
    if (wanted < plan.firstDay) return plan.firstDay;
    return wanted > plan.lastDay ? plan.lastDay : wanted;
  });
  const moment = computed(() => {
    const zone = planOf()?.course.dates.zone ?? 'UTC';
    return new Date(Date.parse(startOfDay(day.value, zone)) + NINE_HOURS_MS).toISOString();
  });
  return { day, moment, move: (to) => (chosen.value = to), reset: () => (chosen.value = null) };
}

/** The day at a share (0 to 1) of a span of days, both ends included. */
export function dayAtShare(first: string, last: string, share: number): string {
  const days = daysBetween(first, last) + 1;
  return addDays(first, Math.min(days - 1, Math.max(0, Math.floor(share * days))));
}
