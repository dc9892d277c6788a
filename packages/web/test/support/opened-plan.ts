/** The store that saves, opened, and what a test does with it. */
import { jest } from '@jest/globals';
import type { Course } from '@itinerary/core';
import { usePlan } from '../../src/stores/plan.ts';

export async function opened(): Promise<ReturnType<typeof usePlan>> {
  const plan = usePlan();
  await plan.open('course');
  return plan;
}

/** Lets time pass, and everything that was waiting for it happen. */
export const pass = (ms: number): Promise<void> => jest.advanceTimersByTimeAsync(ms);
export const titleOf = (course: Course | null, at = 0): string | null => course?.sections[at]?.title ?? null;
export const type = (plan: ReturnType<typeof usePlan>, text: string): boolean =>
  plan.set('A', 'title', text, titleOf(plan.course), { typing: true });
