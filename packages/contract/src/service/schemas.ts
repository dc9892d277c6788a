/** Whether it is well, and what is told while somebody looks. */
import { z } from 'zod';

export const aliveSchema = z.object({ alive: z.literal(true) });

/** Told while pages can be answered: without room for files they still are, and `status` says that something is amiss. */
export const healthSchema = z.object({
  status: z.enum(['ok', 'degraded']),
  ...aliveSchema.shape,
  ready: z.literal(true),
  database: z.literal('ok'),
  disk: z.enum(['ok', 'full', 'away']),
});
