/** A planned moment: the day and time in the course's zone, and the instant (ISO, UTC) for everybody else's. */
import { z } from 'zod';
import type { Resolved } from '../calendar/moments.ts';
import { timeSchema } from '../course/schema/basics.ts';
import type { DeepReadonly } from '../course/schema/readonly.ts';

export const momentViewSchema = z.object({
  day: z.iso.date(),
  /** Null where the day is meant. */
  time: timeSchema.nullable(),
  instant: z.iso.datetime(),
});
export type MomentView = DeepReadonly<z.infer<typeof momentViewSchema>>;

/** Null where it has no date. */
export function momentView(resolved: Resolved | undefined): MomentView | null {
  if (resolved?.kind !== 'at') return null;
  const { day, time, instant } = resolved;
  return { day, time, instant: new Date(instant).toISOString() };
}
