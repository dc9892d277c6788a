/** The desk, and new courses. */
import {
  aheadViewSchema,
  codeSchema,
  courseStateSchema,
  daySchema,
  formatSchema,
  idSchema,
  MAX_WEEKS,
  paceSchema,
  purposeSchema,
  storableSchema,
  titleSchema,
  zoneSchema,
} from '@itinerary/core';
import type { DeepReadonly } from '@itinerary/core';
import { z } from 'zod';
import { roleSchema } from '../people/schemas.ts';
import { followsSchema } from '../registry/schemas.ts';

/** Changes with the picture, so that its address can be kept for good. */
const deskPictureSchema = z.object({ version: z.string(), alt: z.string() }).nullable();

export const deskCourseSchema = z.object({
  id: z.string(),
  code: z.string(),
  title: z.string(),
  state: courseStateSchema,
  department: z.string().nullable(),
  term: z.string().nullable(),
  tags: z.array(z.string()),
  format: formatSchema,
  pace: paceSchema,
  /** Weeks, units or meetings, the same for everybody or each learner's own; 0: it counts none. */
  slots: z.int(),
  firstDay: daySchema.nullable(),
  lastDay: daySchema.nullable(),
  role: roleSchema.nullable(),
  mayPlan: z.boolean(),
  /** What readiness finds; null for those who do not plan the course. */
  toSettle: z.object({ blockers: z.int(), advice: z.int() }).nullable(),
  learners: z.int().nullable(),
  /** What is due, held or opening next for whoever learns there; null: nothing, or they do not. */
  next: aheadViewSchema.nullable(),
  /** Its picture in lists; null: one is computed. */
  picture: deskPictureSchema,
  /** The colour that its theme is made from; null: the product's own. */
  seed: z.string().nullable(),
});
export type DeskCourse = DeepReadonly<z.infer<typeof deskCourseSchema>>;

/** A course that one is not in and can find. */
export const foundCourseSchema = z.object({
  id: z.string(),
  code: z.string(),
  title: z.string(),
  firstDay: daySchema.nullable(),
  lastDay: daySchema.nullable(),
  picture: deskPictureSchema,
  seed: z.string().nullable(),
});
export type FoundCourse = DeepReadonly<z.infer<typeof foundCourseSchema>>;

/** As many stand on one page of the desk. */
export const DESK_ROWS = 30;
const MOST_PAGES = 10_000;

/** What is asked of the desk: all of it that is asked for is so at once. */
export const deskQuerySchema = z.object({
  /** Words, each of which stands in the title, the code or a tag, without accents and case. */
  find: storableSchema.max(200).optional(),
  term: storableSchema.max(40).optional(),
  state: courseStateSchema.optional(),
  tag: storableSchema.max(200).optional(),
  /** From 1; beyond the last one it is the last one. */
  page: z.coerce.number().int().min(1).max(MOST_PAGES).optional(),
});
export type DeskQuery = z.infer<typeof deskQuerySchema>;

export const deskSchema = z.object({
  /** One page: what is archived last, then by first day and code. */
  courses: z.array(deskCourseSchema),
  page: z.int(),
  /** How many are asked for, on all pages. */
  total: z.int(),
  /** What there is to ask for among all that are theirs. */
  all: z.int(),
  states: z.array(courseStateSchema),
  tags: z.array(z.string()),
  /** Of the page, those whose rows no course can be read from: they say so, and harm nothing else. */
  broken: z.array(z.object({ id: z.string(), code: z.string(), title: z.string() })),
  /** Of all that are theirs, the course that begins next. */
  next: z.object({ title: z.string(), firstDay: daySchema }).nullable(),
  /** By title. */
  found: z.array(foundCourseSchema),
  /** There are more to be found, by words. */
  moreFound: z.boolean(),
});
export type DeskAnswer = DeepReadonly<z.infer<typeof deskSchema>>;

export const newCourseSchema = z.strictObject({
  /** Made by whoever sends it: sent again it is the same course. */
  id: idSchema.optional(),
  title: titleSchema,
  code: codeSchema,
  purpose: purposeSchema,
  department: storableSchema.max(40).nullable(),
  term: storableSchema.max(40).nullable(),
  firstDay: daySchema.nullable(),
  weeks: z.int().min(1).max(MAX_WEEKS),
  zone: zoneSchema,
  /** Classes of the registry that it follows from the beginning. */
  follows: followsSchema.shape.classes.optional(),
});
export type NewCourseRequest = z.infer<typeof newCourseSchema>;

export const createdSchema = z.object({ id: z.string() });

export const codeAnswerSchema = z.object({
  free: z.boolean(),
  /** The course that has the code. */
  heldBy: z.object({ title: z.string(), code: z.string() }).nullable(),
  /** A free code made from the one asked about. */
  proposal: z.string(),
});
export type CodeAnswer = DeepReadonly<z.infer<typeof codeAnswerSchema>>;
