/** The home page of a course: panels in one or two columns. */
import { z } from 'zod';
import { textHashSchema } from './basics.ts';
import { coursePictureSchema } from './look-schema.ts';

export const MAX_PANELS = 40;
export const MOST_ANNOUNCEMENTS_SHOWN = 15;
export const MAX_NEXT_DAYS = 60;

const placed = {
  column: z.enum(['main', 'side']),
  at: z.number().min(0).max(1_000_000),
  shown: z.boolean().default(true),
};

export const panelSchema = z.discriminatedUnion('kind', [
  z.strictObject({ ...placed, kind: z.literal('welcome'), text: textHashSchema.nullable().default(null) }),
  z.strictObject({
    ...placed,
    kind: z.literal('announcements'),
    most: z.int().min(0).max(MOST_ANNOUNCEMENTS_SHOWN).default(3),
  }),
  /** What is due, held or opening within so many days. */
  z.strictObject({
    ...placed,
    kind: z.literal('next'),
    days: z.int().min(1).max(MAX_NEXT_DAYS).default(14),
  }),
  z.strictObject({
    ...placed,
    kind: z.literal('picture'),
    picture: coursePictureSchema.nullable().default(null),
  }),
  z.strictObject({ ...placed, kind: z.literal('carry_on') }),
  z.strictObject({ ...placed, kind: z.literal('outline') }),
  z.strictObject({ ...placed, kind: z.literal('contact') }),
  z.strictObject({ ...placed, kind: z.literal('progress') }),
  z.strictObject({ ...placed, kind: z.literal('week') }),
  z.strictObject({ ...placed, kind: z.literal('about') }),
]);
export type Panel = z.infer<typeof panelSchema>;
export type PanelKind = Panel['kind'];

/** In the order in which they are offered. */
export const PANEL_KINDS: readonly PanelKind[] = [
  'welcome',
  'announcements',
  'next',
  'carry_on',
  'outline',
  'contact',
  'progress',
  'week',
  'picture',
  'about',
];

/** Each once: of words and pictures there can be several. */
export function isOnlyOnce(kind: PanelKind): boolean {
  return kind !== 'welcome' && kind !== 'picture';
}

export const FIRST_PANELS: Readonly<Record<string, Panel>> = {
  welcome: { kind: 'welcome', text: null, column: 'main', at: 1, shown: true },
  carry_on: { kind: 'carry_on', column: 'main', at: 2, shown: true },
  announcements: { kind: 'announcements', most: 3, column: 'main', at: 3, shown: true },
  outline: { kind: 'outline', column: 'main', at: 4, shown: true },
  next: { kind: 'next', days: 14, column: 'side', at: 5, shown: true },
  progress: { kind: 'progress', column: 'side', at: 6, shown: true },
  contact: { kind: 'contact', column: 'side', at: 7, shown: true },
  about: { kind: 'about', column: 'side', at: 8, shown: true },
};
