/** The desk, new courses, the plan and its changes. */
import {
  changeSchema,
  codeSchema,
  courseSchema,
  courseStateSchema,
  daySchema,
  fileSchema,
  formatSchema,
  MAX_TEXT,
  MAX_WEEKS,
  paceSchema,
  purposeSchema,
  storableSchema,
  textFactsSchema,
  textHashSchema,
  titleSchema,
  zoneSchema,
} from '@itinerary/core';
import type { Course, Passphrase, Refusal, TakenChange, TextFacts } from '@itinerary/core';
import { z } from 'zod';
import { faceFactsSchema } from './face.ts';
import type { FaceFactsAnswer } from './face.ts';
import { roleSchema } from './people.ts';

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
  /** Its picture in lists; null: one is computed. */
  picture: deskPictureSchema,
  /** The colour that its theme is made from; null: the product's own. */
  seed: z.string().nullable(),
});
export type DeskCourse = z.infer<typeof deskCourseSchema>;

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
export type FoundCourse = z.infer<typeof foundCourseSchema>;

export const deskSchema = z.object({
  courses: z.array(deskCourseSchema),
  found: z.array(foundCourseSchema),
});
export type DeskAnswer = z.infer<typeof deskSchema>;

export const newCourseSchema = z.strictObject({
  title: titleSchema,
  code: codeSchema,
  purpose: purposeSchema,
  department: storableSchema.max(40).nullable(),
  term: storableSchema.max(40).nullable(),
  firstDay: daySchema.nullable(),
  weeks: z.int().min(1).max(MAX_WEEKS),
  zone: zoneSchema,
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
export type CodeAnswer = z.infer<typeof codeAnswerSchema>;

/** Whether there is a passphrase for visitors, and whether it can be guessed. */
export const passphraseStateSchema = z.enum(['none', 'easy', 'good']);
export const passphraseAnswerSchema = z.object({ passphrase: passphraseStateSchema });

export const planSchema = z.object({
  course: courseSchema,
  seq: z.int(),
  learners: z.int(),
  /** What its long texts hold besides words, by hash. */
  texts: z.record(textHashSchema, textFactsSchema),
  passphrase: passphraseStateSchema,
  /** Learners in each group and class, by its id. */
  groupSizes: z.record(z.string(), z.int()),
  face: faceFactsSchema,
  rights: z.object({ plan: z.boolean(), state: z.boolean(), members: z.boolean() }),
});
export interface PlanAnswer {
  readonly course: Course;
  readonly seq: number;
  readonly learners: number;
  readonly texts: Readonly<Record<string, TextFacts>>;
  readonly passphrase: Passphrase;
  readonly groupSizes: Readonly<Record<string, number>>;
  readonly face: FaceFactsAnswer;
  readonly rights: { readonly plan: boolean; readonly state: boolean; readonly members: boolean };
}

export const MAX_CHANGES = 100;

export const changesRequestSchema = z.strictObject({
  /** The last sequence number that the client has. */
  since: z.int().min(0),
  changes: z.array(changeSchema).max(MAX_CHANGES),
  /** New texts that the changes name: from hash to HTML. */
  texts: z.record(textHashSchema, storableSchema.max(MAX_TEXT)),
});
export type ChangesRequest = z.infer<typeof changesRequestSchema>;

const takenSchema = z.object({
  seq: z.int(),
  change: changeSchema,
  author: z.string(),
  mine: z.boolean(),
});

export const changesAnswerSchema = z.object({
  seq: z.int(),
  /** Every change since `since`, one's own included, in the order in which they were taken. */
  taken: z.array(takenSchema),
  refused: z.array(z.object({ id: z.string(), refusal: z.looseObject({ code: z.string() }) })),
  /** What the texts that they name hold besides words. */
  texts: z.record(textHashSchema, textFactsSchema),
  /** Texts sent that were kept as something else, since not all in them may stand: from hash to hash. */
  renamed: z.record(textHashSchema, textHashSchema),
  learners: z.int(),
  groupSizes: z.record(z.string(), z.int()),
});
export interface ChangesAnswer {
  readonly seq: number;
  readonly taken: readonly TakenChange[];
  readonly refused: readonly { readonly id: string; readonly refusal: Refusal | ServerRefusal }[];
  readonly texts: Readonly<Record<string, TextFacts>>;
  readonly renamed: Readonly<Record<string, string>>;
  readonly learners: number;
  readonly groupSizes: Readonly<Record<string, number>>;
}

/** Refusals that only the server can decide, in the shape of core's. */
export type ServerRefusal =
  | { readonly code: 'not_allowed'; readonly edit: number; readonly target: string }
  | { readonly code: 'archived'; readonly edit: number; readonly target: string }
  | {
      readonly code: 'blocked';
      readonly edit: number;
      readonly target: string;
      readonly rules: readonly string[];
    }
  | { readonly code: 'code_taken'; readonly edit: number; readonly target: string; readonly proposal: string }
  | { readonly code: 'file_missing'; readonly edit: number; readonly target: string }
  | { readonly code: 'text_missing'; readonly edit: number; readonly target: string; readonly field: string }
  | {
      readonly code: 'unknown_choice';
      readonly edit: number;
      readonly target: string;
      readonly field: string;
    };

/** What came: its content's hash, size in bytes, and the media type that its content has. */
export const uploadAnswerSchema = fileSchema.pick({ hash: true, name: true, size: true, type: true }).extend({
  /** Of a picture, in pixels. */
  width: z.int().nullable(),
  height: z.int().nullable(),
});
export type UploadAnswer = z.infer<typeof uploadAnswerSchema>;

export const textAnswerSchema = z.object({ html: z.string() });
export type TextAnswer = z.infer<typeof textAnswerSchema>;
