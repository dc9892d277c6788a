/** A meeting beyond when and where it is: its room on the net, who was there, and what is left of it. */
import { z } from 'zod';
import { addressSchema, storableSchema } from '../basics.ts';

export const MAX_AFTERWARDS = 2000;

/** Who says who was there: nobody; staff tick a list; learners with a code as well. */
export const attendanceSchema = z.enum(['none', 'list', 'code']);

export const meetingSettings = {
  /** Where it is held on the net; shown until it is over. */
  room: addressSchema.nullable().default(null),
  attendance: attendanceSchema.default('none'),
  /** What was settled, and what to do now; shown once it is over. */
  afterwards: storableSchema.trim().min(1).max(MAX_AFTERWARDS).nullable().default(null),
  /** Where it can be seen again; shown once it is over. */
  recording: addressSchema.nullable().default(null),
};
