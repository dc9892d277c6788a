/** A course for those who read it: resolved on the server, without rules. */
import {
  accessStateSchema,
  areaSchema,
  arrivalSchema,
  bareSectionSchema,
  contactViewSchema,
  courseStateSchema,
  courseViewSchema,
  homeViewSchema,
  itemViewSchema,
  languageSchema,
  lookViewSchema,
  MAX_TEXT,
  menuViewSchema,
  roleNameSchema,
  storableSchema,
  textHashSchema,
} from '@itinerary/core';
import type { DeepReadonly } from '@itinerary/core';
import { z } from 'zod';

/** A picture as it is shown; `version` changes with it, so that its address can be kept for good. */
const pictureViewSchema = z.object({
  version: z.string(),
  /** Empty: it is decoration. */
  alt: z.string(),
  author: z.string().nullable(),
  licence: z.string().nullable(),
});
export type PictureView = DeepReadonly<z.infer<typeof pictureViewSchema>>;

export const frameSchema = z.object({
  id: z.string(),
  title: z.string(),
  code: z.string(),
  state: courseStateSchema,
  access: accessStateSchema,
  zone: z.string(),
  institution: z.string(),
  menu: menuViewSchema,
  menuPlace: z.enum(['top', 'side']),
  /** Areas that have a page of their own for this reader now. */
  areas: z.array(areaSchema),
  look: lookViewSchema,
  language: languageSchema.nullable(),
  languageHeld: z.boolean(),
  roleNames: z.record(z.string(), roleNameSchema),
  banner: pictureViewSchema.nullable(),
  /** Whom one can turn to: on their own page, on the home page, and in texts. */
  contacts: z.array(contactViewSchema),
  /** Announcements since this reader's last visit. */
  unread: z.int(),
  isMember: z.boolean(),
  mayPlan: z.boolean(),
});
export type FrameAnswer = DeepReadonly<z.infer<typeof frameSchema>>;

export const readCourseSchema = z.object({
  course: courseViewSchema,
  descriptionHtml: z.string().nullable(),
  introductionHtml: z.string().nullable(),
  /** Around one item: its text. */
  aroundHtml: z.string().nullable(),
  /** Who teaches: names only. */
  staff: z.array(z.string()),
  mayPlan: z.boolean(),
  isMember: z.boolean(),
  /** A learner, to whom the course shows what they have done in it. */
  showsLog: z.boolean(),
  home: homeViewSchema,
  /** Texts of its panels, by their hash. */
  texts: z.record(z.string(), z.string()),
  /** Where this reader arrives who opens the course. */
  arrival: arrivalSchema,
  /** The item that they opened last. */
  last: z.string().nullable(),
});
export type ReadCourseAnswer = DeepReadonly<z.infer<typeof readCourseSchema>>;

const neighbourSchema = z.object({ id: z.string(), title: z.string(), number: z.string().nullable() });
export type Neighbour = DeepReadonly<z.infer<typeof neighbourSchema>>;

export const readItemSchema = z.object({
  course: z.object({ id: z.string(), title: z.string(), code: z.string(), zone: z.string() }),
  /** Null around one item. */
  section: bareSectionSchema.nullable(),
  item: itemViewSchema,
  html: z.string().nullable(),
  /** Who works together in it; null: everybody by themselves. */
  group: z
    .object({
      mode: z.enum(['apart', 'beside']),
      /** The name of one's own group; null: one is in none. */ own: z.string().nullable(),
      /** Names of those whom one works with. */ people: z.array(z.string()),
    })
    .nullable(),
  /** Its words are this reader's to change. */
  mayChange: z.boolean(),
  previous: neighbourSchema.nullable(),
  next: neighbourSchema.nullable(),
});
export type ReadItemAnswer = DeepReadonly<z.infer<typeof readItemSchema>>;

/** The words of a page as they are kept, and their hash. */
export const pageTextSchema = z.object({ html: z.string(), hash: textHashSchema.nullable() });
export type PageTextAnswer = DeepReadonly<z.infer<typeof pageTextSchema>>;

export const pageWordsSchema = z.strictObject({
  html: storableSchema.max(MAX_TEXT),
  was: textHashSchema.nullable(),
});
