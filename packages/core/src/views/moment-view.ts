/** A planned moment: the day and time in the course's zone, and the instant (ISO, UTC) for everybody else's. */
import { z } from 'zod';
import { timeSchema } from '../course/schema/basics.ts';
import type { DeepReadonly } from '../course/schema/readonly.ts';

export const momentViewSchema = z.object({
  day: z.iso.date(),
  /** Null where the day is meant. */
  time: timeSchema.nullable(),
  instant: z.iso.datetime(),
});
export type MomentView = DeepReadonly<z.infer<typeof momentViewSchema>>;
