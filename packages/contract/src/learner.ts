/** What somebody reading a course gets: resolved on the server, without rules. */
import type { CourseView, ItemView, SectionView } from '@itinerary/core';
import { z } from 'zod';

const accessStateSchema = z.enum(['absent', 'named', 'look', 'open']);

const itemViewSchema = z.object({
  id: z.string(),
  kind: z.enum(['page', 'link']),
  number: z.string().nullable(),
  title: z.string(),
  minutes: z.int().nullable(),
  address: z.string().nullable(),
  state: accessStateSchema,
});

const sectionViewSchema = z.object({
  id: z.string(),
  number: z.string().nullable(),
  title: z.string().nullable(),
  days: z.object({ first: z.iso.date(), last: z.iso.date() }).nullable(),
  current: z.boolean(),
  state: accessStateSchema,
  items: z.array(itemViewSchema),
});

const courseViewSchema = z.object({
  id: z.string(),
  code: z.string(),
  title: z.string(),
  state: z.enum(['draft', 'live', 'archived']),
  access: accessStateSchema,
  description: z.string().nullable(),
  firstDay: z.iso.date().nullable(),
  lastDay: z.iso.date().nullable(),
  zone: z.string(),
  now: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('undated') }),
    z.object({ kind: z.literal('before'), days: z.int() }),
    z.object({ kind: z.literal('week'), number: z.int() }),
    z.object({ kind: z.literal('after') }),
  ]),
  sections: z.array(sectionViewSchema),
});

export const readCourseSchema = z.object({
  course: courseViewSchema,
  descriptionHtml: z.string().nullable(),
  /** Who teaches: names only. */
  staff: z.array(z.string()),
  mayPlan: z.boolean(),
});
export interface ReadCourseAnswer {
  readonly course: CourseView;
  readonly descriptionHtml: string | null;
  readonly staff: readonly string[];
  readonly mayPlan: boolean;
}

const neighbourSchema = z
  .object({ id: z.string(), title: z.string(), number: z.string().nullable() })
  .nullable();

export const readItemSchema = z.object({
  course: z.object({ id: z.string(), title: z.string(), code: z.string() }),
  section: sectionViewSchema.omit({ items: true }),
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
  readonly course: { readonly id: string; readonly title: string; readonly code: string };
  readonly section: Omit<SectionView, 'items'>;
  readonly item: ItemView;
  readonly html: string | null;
  readonly previous: Neighbour | null;
  readonly next: Neighbour | null;
}
