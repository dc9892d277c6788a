/** A meeting as one person has it, and the list of who was there. */
import { idSchema, storableSchema } from '@itinerary/core';
import type { DeepReadonly } from '@itinerary/core';
import { z } from 'zod';

/** Null: nobody has said anything. */
export const attendedSchema = z.enum(['there', 'late', 'excused', 'away']).nullable();

const times = {
  phase: z.enum(['undated', 'before', 'now', 'over']),
  begins: z.iso.datetime().nullable(),
  ends: z.iso.datetime().nullable(),
  zone: z.string(),
};

export const meetingSchema = z.object({
  ...times,
  /** Until it is over. */
  room: z.string().nullable(),
  /** Once it is over. */
  afterwards: z.string().nullable(),
  recording: z.string().nullable(),
  attendance: z.enum(['none', 'list', 'code']),
  mine: attendedSchema,
  /** A code is taken from this reader. */
  mayEnter: z.boolean(),
  mayLook: z.boolean(),
});
export type MeetingAnswer = DeepReadonly<z.infer<typeof meetingSchema>>;

export const hereBodySchema = z.strictObject({ code: storableSchema.trim().min(1).max(40) });

const codeSchema = z.object({ code: z.string(), until: z.iso.datetime() });
export const attendanceSchema = z.object({
  ...times,
  item: z.object({ id: z.string(), title: z.string() }),
  attendance: z.enum(['none', 'list', 'code']),
  people: z.array(
    z.object({
      person: z.string(),
      name: z.string(),
      groups: z.array(z.string()),
      attended: attendedSchema,
      /** Said by a code, or by whom. */
      by: z.string().nullable(),
      byCode: z.boolean(),
      at: z.iso.datetime().nullable(),
    }),
  ),
  /** Groups and classes with learners, in their order. */
  groups: z.array(z.object({ id: z.string(), name: z.string() })),
  /** The one that is good now. */
  code: codeSchema.nullable(),
  now: z.iso.datetime(),
});
export type AttendanceAnswer = DeepReadonly<z.infer<typeof attendanceSchema>>;

const MOST_AT_ONCE = 2000;
/** `was`: as whoever says it saw it. All of it is said, or none. */
export const sayAttendedSchema = z.strictObject({
  people: z
    .array(z.strictObject({ person: idSchema, attended: attendedSchema, was: attendedSchema }))
    .min(1)
    .max(MOST_AT_ONCE)
    .refine((all) => new Set(all.map(({ person }) => person)).size === all.length, 'each person once'),
});
export type SayAttended = DeepReadonly<z.infer<typeof sayAttendedSchema>>;
/** Made by the client: sent again, it is the same code. */
export const newCodeSchema = z.strictObject({ id: z.uuid() });
