/** How the demo's teaching material is written down: HTML in the words of whoever teaches it. */
import type { PlannedMoment } from '@itinerary/core';

interface Written {
  readonly title: string;
  readonly minutes: number;
  readonly html: string;
}

export type Piece =
  | (Written & { readonly kind: 'page' })
  | { readonly kind: 'link'; readonly title: string; readonly minutes: number; readonly address: string }
  | (Written & {
      readonly kind: 'assignment' | 'quiz' | 'discussion';
      readonly due: PlannedMoment;
      /** Names of the outcomes that it assesses. */
      readonly assesses: readonly string[];
    })
  | (Written & { readonly kind: 'meeting'; readonly held: PlannedMoment | null; readonly place: string })
  | { readonly kind: 'heading'; readonly title: string }
  | {
      readonly kind: 'folder';
      readonly title: string;
      readonly summary: string;
      readonly pieces: readonly Piece[];
    };

export interface Unit {
  readonly title: string;
  readonly pieces: readonly Piece[];
}

/** Lines and indentation of the source are not part of the text. */
const tidy = (html: string): string => html.trim().replaceAll(/\s*\n\s*/g, '');

export function page(title: string, minutes: number, html: string): Piece {
  return { kind: 'page', title, minutes, html: tidy(html) };
}

export function link(title: string, minutes: number, address: string): Piece {
  return { kind: 'link', title, minutes, address };
}

export const USUAL: PlannedMoment = { kind: 'usual' };

/** A weekday of its own section, at a time. */
export function onWeekday(weekday: number, time: string): PlannedMoment {
  const anchor = { of: 'section' as const, at: 'start' as const, section: null };
  return { kind: 'relative', anchor, shift: null, weekday, time };
}

export function work(
  kind: 'assignment' | 'quiz' | 'discussion',
  title: string,
  minutes: number,
  html: string,
  assesses: readonly string[] = [],
  due: PlannedMoment = USUAL,
): Piece {
  return { kind, title, minutes, html: tidy(html), due, assesses };
}

export function meeting(
  title: string,
  minutes: number,
  place: string,
  held: PlannedMoment | null,
  html: string,
): Piece {
  return { kind: 'meeting', title, minutes, place, held, html: tidy(html) };
}
