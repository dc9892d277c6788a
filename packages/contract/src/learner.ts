/** What somebody reading a course gets: resolved on the server, without rules. */
import {
  accentSchema,
  eventSchema,
  fileSchema,
  formatSchema,
  ITEM_KINDS,
  paceSchema,
  timeSchema,
} from '@itinerary/core';
import type { CourseView, ItemView, SectionView } from '@itinerary/core';
import { z } from 'zod';

const accessStateSchema = z.enum(['absent', 'named', 'look', 'open']);
const accentNameSchema = accentSchema.nullable();

/** A planned moment: the day and time in the course's zone, and the instant for everybody else's. */
const momentViewSchema = z
  .object({ day: z.iso.date(), time: timeSchema.nullable(), instant: z.iso.datetime() })
  .nullable();

const bareItemSchema = z.object({
  id: z.string(),
  kind: z.enum(ITEM_KINDS),
  number: z.string().nullable(),
  title: z.string(),
  summary: z.string().nullable(),
  minutes: z.int().nullable(),
  address: z.string().nullable(),
  file: fileSchema.nullable(),
  seconds: z.int().nullable(),
  place: z.string().nullable(),
  due: momentViewSchema,
  held: momentViewSchema,
  opens: momentViewSchema,
  accent: accentNameSchema,
  state: accessStateSchema,
});

const itemViewSchema = bareItemSchema.extend({
  /** What a folder holds: items as this one. */
  get items(): z.ZodType<readonly ItemView[]> {
    return z.array(itemViewSchema) as z.ZodType<readonly ItemView[]>;
  },
});

const heldMeetingSchema = z.object({
  key: z.string(),
  pattern: z.string().nullable(),
  originalDay: z.iso.date(),
  day: z.iso.date(),
  time: timeSchema,
  minutes: z.int(),
  place: z.string().nullable(),
  status: z.enum(['held', 'moved', 'added', 'cancelled']),
});

const bareSectionSchema = z.object({
  id: z.string(),
  number: z.string().nullable(),
  title: z.string().nullable(),
  summary: z.string().nullable(),
  accent: accentNameSchema,
  days: z.object({ first: z.iso.date(), last: z.iso.date() }).nullable(),
  /** Days of the learner's own clock. */
  own: z.object({ first: z.int(), last: z.int() }).nullable(),
  meeting: heldMeetingSchema.nullable(),
  current: z.boolean(),
  opens: momentViewSchema,
  state: accessStateSchema,
});

const sectionViewSchema = bareSectionSchema.extend({ items: z.array(itemViewSchema) });

const courseViewSchema = z.object({
  id: z.string(),
  code: z.string(),
  title: z.string(),
  state: z.enum(['draft', 'live', 'archived']),
  access: accessStateSchema,
  opens: z.iso.datetime().nullable(),
  description: z.string().nullable(),
  format: formatSchema,
  pace: paceSchema,
  reading: z.enum(['scroll', 'sections']),
  firstDay: z.iso.date().nullable(),
  lastDay: z.iso.date().nullable(),
  lastTime: timeSchema.nullable(),
  zone: z.string(),
  event: eventSchema.nullable(),
  now: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('undated') }),
    z.object({ kind: z.literal('before'), days: z.int() }),
    z.object({ kind: z.literal('slot'), number: z.int() }),
    z.object({ kind: z.literal('pause'), name: z.string() }),
    z.object({ kind: z.literal('within') }),
    z.object({ kind: z.literal('after') }),
  ]),
  sections: z.array(sectionViewSchema),
  pauses: z.array(
    z.object({
      name: z.string(),
      number: z.string().nullable(),
      first: z.iso.date(),
      last: z.iso.date(),
      /** The section that it stands before; null: after all of them. */
      before: z.string().nullable(),
    }),
  ),
  around: itemViewSchema.nullable(),
  introduction: z.string().nullable(),
});

export const readCourseSchema = z.object({
  course: courseViewSchema,
  descriptionHtml: z.string().nullable(),
  introductionHtml: z.string().nullable(),
  /** Around one item: its text. */
  aroundHtml: z.string().nullable(),
  /** Who teaches: names only. */
  staff: z.array(z.string()),
  mayPlan: z.boolean(),
});
export interface ReadCourseAnswer {
  readonly course: CourseView;
  readonly descriptionHtml: string | null;
  readonly introductionHtml: string | null;
  readonly aroundHtml: string | null;
  readonly staff: readonly string[];
  readonly mayPlan: boolean;
}

const neighbourSchema = z
  .object({ id: z.string(), title: z.string(), number: z.string().nullable() })
  .nullable();

export const readItemSchema = z.object({
  course: z.object({ id: z.string(), title: z.string(), code: z.string(), zone: z.string() }),
  /** Null around one item. */
  section: bareSectionSchema.nullable(),
  item: itemViewSchema,
  html: z.string().nullable(),
  previous: neighbourSchema,
  next: neighbourSchema,
});
export interface Neighbour {
  readonly id: string;
  readonly title: string;
  readonly number: string | null;
}
export interface ReadItemAnswer {
  readonly course: {
    readonly id: string;
    readonly title: string;
    readonly code: string;
    readonly zone: string;
  };
  readonly section: Omit<SectionView, 'items'> | null;
  readonly item: ItemView;
  readonly html: string | null;
  readonly previous: Neighbour | null;
  readonly next: Neighbour | null;
}
