/** What is left until an instant, as it runs down; by the server's clock, which has the last word. */
import { computed, watch } from 'vue';
import type { ComputedRef } from 'vue';
import { useTicking } from './ticking.ts';

const HOUR_MS = 3_600_000;
const two = (value: number): string => String(value).padStart(2, '0');

/** @returns such as `1:04:09` or `4:09` */
export function leftWords(ms: number): string {
  const seconds = Math.max(0, Math.ceil(ms / 1000));
  const [hours, minutes, rest] = [
    Math.floor(seconds / 3600),
    Math.floor((seconds % 3600) / 60),
    seconds % 60,
  ];
  return ms >= HOUR_MS ? `${hours}:${two(minutes)}:${two(rest)}` : `${minutes}:${two(rest)}`;
}

/**
 * @param end milliseconds since 1970-01-01T00:00Z; null: there is none
 * @param over once, as it passes
 * @returns null: it has no end, or one that is more than a day away
 */
export function useCountdown(
  end: ComputedRef<number | null>,
  clock: () => number,
  over: () => void,
): ComputedRef<string | null> {
  const now = useTicking(clock);
  watch(now, (is, was) => {
    if (end.value !== null && was < end.value && is >= end.value) over();
  });
  return computed(() => {
    const ms = end.value === null ? null : end.value - now.value;
    return ms === null || ms > 24 * HOUR_MS ? null : leftWords(ms);
  });
}
