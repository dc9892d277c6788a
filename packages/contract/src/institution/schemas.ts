/** What staff of the institution keep for all courses. */
import { institutionPageSchema, menuEntrySchema, storableSchema, titleSchema } from '@itinerary/core';
import type { DeepReadonly } from '@itinerary/core';
import { NAME_ORDERS } from '@itinerary/core/people';
import { z } from 'zod';

export const termSchema = z.object({
  code: z.string(),
  name: z.string(),
  firstDay: z.iso.date(),
  lastDay: z.iso.date(),
});

export const departmentSchema = z.object({ code: z.string(), name: z.string() });

/** Days without teaching that the institution keeps, offered as pauses. */
export const holidaySchema = z.object({
  id: z.string(),
  name: z.string(),
  first: z.iso.date(),
  last: z.iso.date(),
});
export type Holiday = DeepReadonly<z.infer<typeof holidaySchema>>;

export const holidaysSchema = z.object({ holidays: z.array(holidaySchema) });
export type HolidaysAnswer = DeepReadonly<z.infer<typeof holidaysSchema>>;

/** A calendar of one institution over several years is some ten thousand characters. */
export const readHolidaysSchema = z.strictObject({ calendar: storableSchema.min(1).max(1_000_000) });

export const institutionSchema = z.object({
  name: z.string(),
  zone: z.string(),
  departments: z.array(departmentSchema),
  terms: z.array(termSchema),
  holidays: z.array(holidaySchema),
  /** The largest upload that any course may allow, in megabytes. */
  largestUpload: z.int(),
  /** In which names stand where people are looked up. */
  nameOrder: z.enum(NAME_ORDERS),
  /** Its own pages, that menus can lead to; for those who are signed in. */
  pages: z.array(institutionPageSchema),
});
export type InstitutionAnswer = DeepReadonly<z.infer<typeof institutionSchema>>;

export const nameOrderSchema = z.strictObject({ nameOrder: z.enum(NAME_ORDERS) });

export const institutionPageBodySchema = institutionPageSchema.omit({ id: true });

export const institutionPagesSchema = z.object({ pages: z.array(institutionPageSchema) });
export type InstitutionPagesAnswer = DeepReadonly<z.infer<typeof institutionPagesSchema>>;

const menuSchema = z.record(z.string(), menuEntrySchema);

export const newMenuTemplateSchema = z.strictObject({ name: titleSchema, menu: menuSchema });

export const menuTemplatesSchema = z.object({
  templates: z.array(z.object({ id: z.string(), name: z.string(), menu: menuSchema })),
});
export type MenuTemplatesAnswer = DeepReadonly<z.infer<typeof menuTemplatesSchema>>;
