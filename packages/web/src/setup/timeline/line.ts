/** The line that the timeline is: days as parts of it, and parts of it as days. */
import { daysBetween } from '@itinerary/core';
import { dayAtShare } from '../preview/marker.ts';

export interface Line {
  /** ISO days, both on the line. */
  readonly first: string;
  readonly last: string;
}

export const daysOn = ({ first, last }: Line): number => daysBetween(first, last) + 1;

export const isOn = ({ first, last }: Line, day: string): boolean => day >= first && day <= last;

/** Where a run of days stands; what lies outside the line is cut off. */
export function placeOn(line: Line, first: string, last: string): Record<string, string> {
  const count = daysOn(line);
  const from = Math.max(0, daysBetween(line.first, first));
  const to = Math.min(count, daysBetween(line.first, last) + 1);
  return {
    insetInlineStart: `${(100 * from) / count}%`,
    width: `${(100 * Math.max(0, to - from)) / count}%`,
  };
}

interface Box {
  readonly left: number;
  readonly right: number;
  readonly width: number;
}

/** The day under a pointer: time runs the way the language is read. */
export function dayUnder(line: Line, x: number, box: Box, rightToLeft: boolean): string {
  const far = rightToLeft ? box.right - x : x - box.left;
  return dayAtShare(line.first, line.last, far / box.width);
}

const STEPS: Readonly<Record<string, number>> = {
  ArrowLeft: -1,
  ArrowDown: -1,
  ArrowRight: 1,
  ArrowUp: 1,
  PageDown: -7,
  PageUp: 7,
};
const MIRRORED: Readonly<Record<string, string>> = { ArrowLeft: 'ArrowRight', ArrowRight: 'ArrowLeft' };

/** By how many days a key moves the marker; null: it does not. */
export function stepOf(key: string, rightToLeft: boolean): number | null {
  return STEPS[rightToLeft ? (MIRRORED[key] ?? key) : key] ?? null;
}
