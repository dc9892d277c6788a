/** How the demo's teaching material is written down: HTML in the words of whoever teaches it. */
import { escapeHtml } from '@itinerary/core';
import type { Ask, PlannedMoment } from '@itinerary/core';
import type { DemoFile } from './demo-file.ts';

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
  | { readonly kind: 'file'; readonly title: string; readonly minutes: number; readonly file: DemoFile }
  | {
      readonly kind: 'video';
      readonly title: string;
      readonly minutes: number;
      readonly address: string;
      readonly seconds: number;
    }
  | (Written & { readonly kind: 'survey'; readonly asks: readonly Ask[] })
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

export function file(title: string, minutes: number, what: DemoFile): Piece {
  return { kind: 'file', title, minutes, file: what };
}

export function video(title: string, minutes: number, seconds: number, address: string): Piece {
  return { kind: 'video', title, minutes, seconds, address };
}

export function folder(title: string, summary: string, pieces: readonly Piece[]): Piece {
  return { kind: 'folder', title, summary, pieces };
}

/** In a text: a picture with all that is said of it. */
export function picture({ hash, alt, author, licence }: DemoFile): string {
  const named = { 'data-picture': hash, alt, 'data-author': author, 'data-licence': licence };
  const attributes = Object.entries(named).flatMap(([name, value]) =>
    value === null ? [] : [`${name}="${escapeHtml(value)}"`],
  );
  return `<img ${attributes.join(' ')}>`;
}

/** In a text: TeX within a line. */
export function formula(tex: string): string {
  return `<span data-formula="${escapeHtml(tex)}"></span>`;
}

/** In a text: the number and title of an item of the same course, which is called that. */
export function named(title: string): string {
  return `{{${title}}}`;
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

export function survey(title: string, minutes: number, html: string, asks: readonly Ask[]): Piece {
  return { kind: 'survey', title, minutes, html: tidy(html), asks };
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
