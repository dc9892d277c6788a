/** The desk, and new courses. */
import {
  aheadViewSchema,
  codeSchema,
  courseStateSchema,
  daySchema,
  formatSchema,
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
  /** Weeks, units or meetings that the calendar has. */
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

export const deskSchema = z.object({
  courses: z.array(deskCourseSchema),
  found: z.array(foundCourseSchema),
});
export type DeskAnswer = DeepReadonly<z.infer<typeof deskSchema>>;

export const newCourseSchema = z.strictObject({
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
