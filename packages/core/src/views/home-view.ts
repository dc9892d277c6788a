/** The home page as one person gets it, and where they arrive. */
import { z } from 'zod';
import { coursePictureSchema } from '../course/schema/look-schema.ts';
import type { DeepReadonly } from '../course/schema/readonly.ts';
import { announcementViewSchema, contactViewSchema } from './messages-view.ts';
import { momentViewSchema } from './moment-view.ts';
import { ITEM_KINDS } from '../course/schema/kinds.ts';
import { finishedSchema } from './progress-view.ts';

/** What is due, held or opening. */
export const aheadViewSchema = z.object({
  what: z.enum(['due', 'held', 'opens']),
  id: z.string(),
  /** Null: a section. */
  kind: z.enum(ITEM_KINDS).nullable(),
  number: z.string().nullable(),
  /** Null: a section that is called by its days. */
  title: z.string().nullable(),
  moment: momentViewSchema,
});
export type AheadView = DeepReadonly<z.infer<typeof aheadViewSchema>>;

/** Seven days, in order, each with what stands on it. */
const weekViewSchema = z.object({
  days: z.array(z.object({ day: z.iso.date(), events: z.array(aheadViewSchema) })),
});
export type WeekView = DeepReadonly<z.infer<typeof weekViewSchema>>;

/** How much of what counts somebody has done: items possible for them, with a done rule. */
const shareSchema = z.object({ done: z.int(), counted: z.int() });
export type Share = DeepReadonly<z.infer<typeof shareSchema>>;

const placed = { id: z.string(), column: z.enum(['main', 'side']) };
const panelViewSchema = z.discriminatedUnion('kind', [
  /** `text` is the hash of its HTML. */
  z.object({ ...placed, kind: z.literal('welcome'), text: z.string() }),
  z.object({
    ...placed,
    kind: z.literal('announcements'),
    announcements: z.array(announcementViewSchema),
    more: z.int(),
  }),
  z.object({ ...placed, kind: z.literal('next'), ahead: z.array(aheadViewSchema), days: z.int() }),
  z.object({ ...placed, kind: z.literal('picture'), picture: coursePictureSchema }),
  z.object({ ...placed, kind: z.literal('contact'), contacts: z.array(contactViewSchema) }),
  z.object({
    ...{ ...placed, kind: z.literal('progress'), share: shareSchema },
    /** What is to be done next; null: nothing can be now. */
    next: z.object({ id: z.string(), title: z.string() }).nullable(),
    finished: finishedSchema,
  }),
  z.object({ ...placed, kind: z.literal('week'), week: weekViewSchema }),
  z.object({ ...placed, kind: z.enum(['carry_on', 'outline', 'about']) }),
]);
export type PanelView = DeepReadonly<z.infer<typeof panelViewSchema>>;

export const homeViewSchema = z.object({
  columns: z.union([z.literal(1), z.literal(2)]),
  panels: z.array(panelViewSchema),
});
export type HomeView = DeepReadonly<z.infer<typeof homeViewSchema>>;

export const arrivalSchema = z.discriminatedUnion('to', [
  z.object({ to: z.enum(['home', 'sections', 'announcements']) }),
  z.object({ to: z.enum(['item', 'section']), id: z.string() }),
]);
export type Arrival = DeepReadonly<z.infer<typeof arrivalSchema>>;
